package giostra.journeys;

import giostra.core.look.Values;
import giostra.core.page.Fields;
import giostra.core.page.NodeType;
import giostra.core.piece.carousel.CarouselSettings;
import giostra.core.piece.carousel.CarouselSettings.Card;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A setting that is changed through the screen on one of two pieces that are alike otherwise.
 *
 * @param kind word of the type of node that stands on the page; for an item, of its piece
 * @param ofItem whether the setting is one of its first item
 * @param value as it is typed or picked
 * @param needs what both have set beforehand, by setting; {@code item.} before one of the item
 */
record Difference(
    String kind, boolean ofItem, String setting, String value, Map<String, String> needs) {
  private static final String LIST = "/giostra/journeys/differences.txt";

  /** All of them, as the list in the resources has them; {@code *} is what all kinds have. */
  static List<Difference> all() {
    var all = new ArrayList<Difference>();
    for (String line : text().split("\n")) {
      if (!line.isBlank() && !line.startsWith("#")) {
        String[] parts = line.split("\\s*\\|\\s*");
        if (parts[0].strip().equals("*")) {
          // What all kinds have is written by one method for all of them: one kind stands for all.
          all.add(of(NodeType.ACCORDION.word(), parts));
        } else {
          all.add(of(parts[0].strip(), parts));
        }
      }
    }
    return all;
  }

  /** Ids of the settings that all kinds of piece have. */
  static List<String> common() {
    return text()
        .lines()
        .filter(line -> line.startsWith("*"))
        .map(line -> line.split("\\s*\\|\\s*")[1].strip())
        .toList();
  }

  private static Difference of(String where, String[] parts) {
    boolean item = where.startsWith("item@");
    return new Difference(
        item ? where.substring(5) : where,
        item,
        parts[1].strip(),
        parts[2].strip(),
        parts.length > 3 ? pairs(parts[3]) : Map.of());
  }

  /** The node that it is set on, where pieces have this id. */
  String node(String piece) {
    return ofItem ? piece + "-1" : kind.equals("pin") ? piece + "-pin" : piece;
  }

  private static Map<String, String> pairs(String list) {
    var pairs = new LinkedHashMap<String, String>();
    for (String pair : list.split(",\\s*")) {
      String[] parts = pair.strip().split("=", 2);
      pairs.put(parts[0], parts.length > 1 ? parts[1] : "");
    }
    return pairs;
  }

  private static String text() {
    try (InputStream in = Difference.class.getResourceAsStream(LIST)) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The type that the setting is one of. */
  NodeType type() {
    return ofItem ? NodeType.ITEM : NodeType.named(kind);
  }

  /** What people read over it: an item's field may have a name of its own in a kind. */
  String label() {
    if (ofItem) {
      Card card = "quotation".equals(needs.get("card")) ? Card.QUOTATION : Card.PICTURE;
      Values values = Values.NONE.with(CarouselSettings.CARD, Values.ALL, card);
      for (Fields.Field field : Fields.used(NodeType.named(kind), values)) {
        if (field.setting().id().equals(setting)) {
          return field.label();
        }
      }
    }
    return type().setting(setting).label();
  }

  /** Whether it is a guide of the bench that is never published. */
  boolean benchOnly() {
    return setting.startsWith("comfort") || setting.equals("note");
  }

  String key() {
    return type().word() + "." + setting;
  }

  static @Nullable Object raw(String value) {
    return switch (value) {
      case "true" -> true;
      case "false" -> false;
      default -> value;
    };
  }
}
