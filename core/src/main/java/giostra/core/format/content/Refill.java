package giostra.core.format.content;

import giostra.core.look.Values;
import giostra.core.page.Feed;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.Piece;
import giostra.core.value.Refused;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * New data for a piece that is filled from a file. What the designer did stays: the order of the
 * items, what was changed in them by hand, what was added by hand and what was deleted. A row that
 * is gone from the file takes its item with it, unless the item is kept.
 *
 * @param piece the piece with the new data
 * @param added items of rows that are new
 * @param changed items in which the new data changed something
 * @param kept fields that the new data would change, but that were changed by hand before
 * @param going items whose rows are gone
 * @param filled what was read of the new file, with what could not be
 */
public record Refill(
    Piece piece,
    List<Item> added,
    List<Item> changed,
    List<Own> kept,
    List<Item> going,
    Filled filled) {
  /** A field of an item that keeps what was written by hand. */
  public record Own(Item item, String field) {}

  public Refill {
    added = List.copyOf(added);
    changed = List.copyOf(changed);
    kept = List.copyOf(kept);
    going = List.copyOf(going);
  }

  /**
   * Fills a piece again.
   *
   * @param before the file that it was filled from last
   * @param now the new file
   * @param keep ids of items that stay although their rows are gone; they are by hand then
   * @throws Refused when the column that tells rows apart is not there
   */
  public static Refill of(
      Piece piece,
      Feed feed,
      Table before,
      Table now,
      Set<String> keep,
      Filled.Media media,
      Supplier<String> ids) {
    return new Merge(piece, feed, keep)
        .merged(
            Filled.of(before, mapping(feed, before), piece, media, ids),
            before,
            Filled.of(now, mapping(feed, now), piece, media, ids),
            now);
  }

  /** Items of a table, each with the row that it is of; for a piece filled for the first time. */
  public static List<Item> marked(Filled filled, Table table, String key) {
    return List.copyOf(byKey(filled, table, key).values());
  }

  private static Mapping mapping(Feed feed, Table table) {
    Map<String, String> fields = new HashMap<>();
    feed.columns().forEach((field, column) -> fields.putIfAbsent(column, field));
    var taken = new HashSet<String>();
    return new Mapping(
        table.head().stream()
            .map(column -> {
              String field = fields.getOrDefault(column, "");
              return taken.add(field) ? field : "";
            })
            .toList());
  }

  /**
   * What tells each row of a table apart, by its number: the same again gets a number of its own,
   * whether it could be read or not, so that mending one row renames no other.
   */
  private static Map<Integer, String> names(Table table, String key) {
    int column = table.head().indexOf(key);
    if (column < 0) {
      throw new Refused(
          "Column that tells rows apart", key, "one of " + String.join(", ", table.head()));
    }
    var names = new LinkedHashMap<Integer, String>();
    var taken = new HashSet<String>();
    var next = new HashMap<String, Integer>();
    for (Table.Row row : table.rows()) {
      String cut = cut(row.cell(column));
      String free = cut;
      while (!taken.add(free)) {
        free = cut + " (" + next.merge(cut, 2, (again, _) -> again + 1) + ")";
      }
      names.put(row.number(), free);
    }
    return names;
  }

  private static String cut(String cell) {
    String name = cell.strip();
    return name.substring(0, Math.min(name.length(), 380));
  }

  /** The rows that were read, by what tells them apart. */
  private static Map<String, Item> byKey(Filled filled, Table table, String key) {
    Map<Integer, String> names = names(table, key);
    Set<Integer> left = new HashSet<>(filled.left().stream().map(Table.Row::number).toList());
    var all = new LinkedHashMap<String, Item>();
    int at = 0;
    for (Table.Row row : table.rows()) {
      if (!left.contains(row.number())) {
        Item item = filled.items().get(at++);
        String name = Objects.requireNonNull(names.get(row.number()));
        all.put(name, item.with(item.values().with(Feed.ROW, Values.ALL, name)));
      }
    }
    return all;
  }

  private static final class Merge {
    private final Piece piece;
    private final Feed feed;
    private final Set<String> keep;
    private final List<Item> added = new ArrayList<>();
    private final List<Item> changed = new ArrayList<>();
    private final List<Own> kept = new ArrayList<>();
    private final List<Item> going = new ArrayList<>();

    Merge(Piece piece, Feed feed, Set<String> keep) {
      this.piece = piece;
      this.feed = feed;
      this.keep = keep;
    }

    Refill merged(Filled old, Table before, Filled fresh, Table now) {
      Map<String, Item> was = byKey(old, before, feed.key());
      Map<String, Item> is = byKey(fresh, now, feed.key());
      // A row that cannot be read is not gone: its item stays as it is until it is mended.
      Set<String> unread = unread(fresh, now);
      var items = new ArrayList<Item>();
      for (Item item : piece.items()) {
        String row = item.values().get(Feed.ROW);
        if (row.isEmpty()) {
          items.add(item);
        } else if (is.containsKey(row)) {
          items.add(merged(item, was.get(row), Objects.requireNonNull(is.get(row))));
        } else if (unread.contains(row) || unread.contains(base(row))) {
          items.add(item);
        } else if (keep.contains(item.id())) {
          items.add(item.with(item.values().with(Feed.ROW, Values.ALL, null)));
          going.add(item);
        } else {
          going.add(item);
        }
      }
      add(items, was.keySet(), is);
      return new Refill(piece.holding(items), added, changed, kept, going, fresh);
    }

    private Set<String> unread(Filled fresh, Table now) {
      int column = now.head().indexOf(feed.key());
      var rows = new HashSet<String>();
      fresh.left().forEach(row -> rows.add(cut(row.cell(column))));
      return rows;
    }

    /** Of rows that say the same, nobody knows which one could not be read: all of them stay. */
    private static String base(String row) {
      int at = row.endsWith(")") ? row.lastIndexOf(" (") : -1;
      return at < 0 ? row : row.substring(0, at);
    }

    private Item merged(Item item, @Nullable Item was, Item is) {
      Values values = item.values();
      for (Fields.Field each : Mapping.fields(piece)) {
        String field = each.setting().id();
        if (!feed.columns().containsKey(field)) {
          continue;
        }
        Object own = raw(values, field);
        Object old = was == null ? null : raw(was.values(), field);
        Object fresh = raw(is.values(), field);
        if (Objects.equals(own, fresh)) {
          continue;
        }
        if (was != null && !Objects.equals(own, old)) {
          if (!Objects.equals(old, fresh)) {
            kept.add(new Own(item, each.label()));
          }
          continue;
        }
        values = values.withRaw(field, Values.ALL, fresh);
      }
      if (values.equals(item.values())) {
        return item;
      }
      Item now = item.with(values);
      changed.add(now);
      return now;
    }

    /** New rows, each behind the item of the row before it; rows deleted by hand stay deleted. */
    private void add(List<Item> items, Set<String> was, Map<String, Item> is) {
      Set<String> there = new HashSet<>();
      items.forEach(item -> there.add(item.values().get(Feed.ROW)));
      String last = "";
      for (var each : is.entrySet()) {
        String row = each.getKey();
        if (there.contains(row)) {
          last = row;
        } else if (!was.contains(row)) {
          String behind = last;
          int at = 0;
          for (int i = 0; !behind.isEmpty() && i < items.size(); i++) {
            if (items.get(i).values().get(Feed.ROW).equals(behind)) {
              at = i + 1;
            }
          }
          items.add(at, each.getValue());
          added.add(each.getValue());
          last = row;
        }
      }
    }

    private static @Nullable Object raw(Values values, String field) {
      return values.set().getOrDefault(field, Map.of()).get(Values.ALL);
    }
  }
}
