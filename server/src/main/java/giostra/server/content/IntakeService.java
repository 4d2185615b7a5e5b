package giostra.server.content;

import giostra.core.format.content.Filled;
import giostra.core.format.content.Mapping;
import giostra.core.format.content.Refill;
import giostra.core.format.content.Source;
import giostra.core.format.content.Table;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Feed;
import giostra.core.page.Item;
import giostra.core.page.Piece;
import giostra.core.value.Refused;
import giostra.server.page.PageService;
import giostra.server.web.Gone;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

/**
 * Files on their way into pieces. All that is said of one is kept as it is said, so that a reload
 * or a restart loses nothing; its items are put in at once, as one step of undo.
 */
@Service
public class IntakeService {
  private static final Logger LOG = LoggerFactory.getLogger(IntakeService.class);

  /** Rows that are made items between two reports of progress. */
  private static final int STEP = 200;

  /** More items than this are put in with their piece, which is one edit instead of many. */
  private static final int SINGLY = 100;

  private final IntakeRows rows;
  private final Sources sources;
  private final PageService pages;
  private final Clock clock;
  private final JsonMapper json;
  private final TransactionTemplate transaction;
  private final EntityManager entities;
  private final ExecutorService workers = Executors.newVirtualThreadPerTaskExecutor();

  IntakeService(
      IntakeRows rows,
      Sources sources,
      PageService pages,
      Clock clock,
      JsonMapper json,
      EntityManager entities,
      PlatformTransactionManager transactions) {
    this.entities = entities;
    this.rows = rows;
    this.sources = sources;
    this.pages = pages;
    this.clock = clock;
    this.json = json;
    this.transaction = new TransactionTemplate(transactions);
  }

  /** Nothing is put in before all of it is, so what a stop cut off begins again from the start. */
  @EventListener(ApplicationReadyEvent.class)
  void resume() {
    transaction.executeWithoutResult(_ -> {
      for (IntakeEntity each : rows.findByState(IntakeState.RUNNING)) {
        each.state = IntakeState.OPEN;
        each.done = 0;
        each.said = "The server was stopped while it read. Nothing is lost, and nothing is in yet.";
      }
    });
  }

  /** Takes a file, or text that was pasted, for a piece. */
  IntakeReply add(String pageId, String pieceId, String name, byte[] bytes) {
    PageService.Head head = pages.head(pageId);
    Piece piece = head.document().piece(pieceId);
    SourceEntity source = sources.add(head.siteId(), name, bytes);
    Table table = sources.read(source).table();
    var row = new IntakeEntity();
    row.id = Sources.id("intake");
    row.pageId = pageId;
    row.piece = pieceId;
    row.source = source.id;
    row.mapping = json.writeValueAsString(Mapping.proposed(table, piece).fields());
    row.total = table.rows().size();
    row.createdAt = clock.instant();
    transaction.executeWithoutResult(_ -> entities.persist(row));
    return reply(row);
  }

  /** The one that a piece waits for, newest first. */
  List<IntakeReply> open(String pageId, String pieceId) {
    return rows.findByPageIdAndPieceOrderByCreatedAt(pageId, pieceId).reversed().stream()
        .filter(row -> row.state != IntakeState.DONE)
        .limit(1)
        .map(this::reply)
        .toList();
  }

  IntakeReply get(String id) {
    return reply(row(id));
  }

  /** Says which columns go where. */
  IntakeReply map(String id, List<String> fields) {
    change(
        id,
        row -> {
          Piece piece = piece(row);
          List<String> known = Mapping.fields(piece).stream().map(f -> f.setting().id()).toList();
          for (String field : fields) {
            if (!field.isEmpty() && !known.contains(field)) {
              throw new Refused("Field", field, "one of " + String.join(", ", known));
            }
            if (!field.isEmpty() && Collections.frequency(fields, field) > 1) {
              throw new Refused("Field", field + " of several columns", "one of a single column");
            }
          }
          int columns = table(row).head().size();
          if (fields.size() != columns) {
            throw new Refused(
                "Mapping", fields.size() + " columns", "one field or none for each of " + columns);
          }
          row.mapping = json.writeValueAsString(fields);
        });
    return get(id);
  }

  /** Mends cells; the file stays as it was uploaded. */
  IntakeReply mend(String id, List<Table.Mend> mends) {
    change(
        id,
        row -> {
          var all = new LinkedHashMap<String, Table.Mend>();
          for (List<Table.Mend> some : List.of(mends(row), mends)) {
            some.forEach(each -> all.put(each.row() + "/" + each.column(), each));
          }
          row.mends = json.writeValueAsString(all.values());
        });
    return get(id);
  }

  /** Puts a file aside. */
  void drop(String id) {
    change(id, rows::delete);
  }

  /** Puts all files aside that are on their way into a page. */
  public void dropOf(String pageId) {
    transaction.executeWithoutResult(_ -> rows.deleteByPageId(pageId));
  }

  /** The rows that could not be read, to be mended elsewhere. */
  String rest(String id) {
    IntakeEntity row = row(id);
    Table table = table(row);
    return giostra.core.format.content.Csv.write(
        table.head(),
        filled(row, table).left().stream()
            .map(each -> {
              var cells = new ArrayList<>(each.cells());
              while (cells.size() < table.head().size()) {
                cells.add("");
              }
              return (List<String>) cells;
            })
            .toList());
  }

  /**
   * Makes items of all rows that can be read, in the background.
   *
   * @param replace whether they stand for those that the piece has
   * @param key column by which the piece follows the file from then on; null for not at all
   */
  IntakeReply run(String id, boolean replace, @Nullable String key) {
    IntakeEntity row = row(id);
    if (key != null && !table(row).head().contains(key)) {
      throw new Refused(
          "Column that tells rows apart", key, "one of " + String.join(", ", table(row).head()));
    }
    change(
        id,
        running -> {
          running.state = IntakeState.RUNNING;
          running.done = 0;
          running.total = table(running).rows().size();
          running.said = "";
        });
    workers.execute(() -> read(id, replace, key));
    return get(id);
  }

  /**
   * Fills a piece from a file at once, for whoever needs no look at it before.
   *
   * @param key column by which the piece follows the file from then on
   */
  public void fill(String pageId, String pieceId, String name, byte[] bytes, String key) {
    read(add(pageId, pieceId, name, bytes).id(), true, key);
  }

  private void read(String id, boolean replace, @Nullable String key) {
    try {
      IntakeEntity row = row(id);
      Table table = table(row);
      Piece piece = piece(row);
      var items = new ArrayList<Item>();
      var left = new ArrayList<Table.Row>();
      var faults = new ArrayList<Filled.Fault>();
      Filled.Media media = sources.media(pages.head(row.pageId).siteId());
      for (int at = 0; at < table.rows().size(); at += STEP) {
        Table part = table.part(at, Math.min(at + STEP, table.rows().size()));
        Filled some = Filled.of(part, mapping(row), piece, media, () -> Sources.id("item"));
        items.addAll(some.items());
        left.addAll(some.left());
        faults.addAll(some.faults());
        int done = at + part.rows().size();
        transaction.executeWithoutResult(_ -> rows.progress(id, done));
      }
      Filled all = new Filled(items, faults, left);
      List<Item> made = key == null ? items : Refill.marked(all, table, key);
      transaction.executeWithoutResult(_ -> putIn(id, made, left, replace, key));
    } catch (RuntimeException e) {
      LOG.warn("the file {} was not taken", id, e);
      transaction.executeWithoutResult(_ -> {
        IntakeEntity row = held(id);
        row.state = IntakeState.OPEN;
        row.said = "Not taken: " + reason(e);
      });
    }
  }

  /** What people are told: of what was refused, why; of anything else no names of classes. */
  private static String reason(RuntimeException e) {
    String message = e instanceof Refused || e instanceof Gone ? e.getMessage() : null;
    return message == null ? "something went wrong here. Try once more." : message;
  }

  private void putIn(
      String id, List<Item> items, List<Table.Row> left, boolean replace, @Nullable String key) {
    // The site first, then the file: everybody holds them in that order.
    pages.hold(row(id).pageId);
    entities.clear();
    IntakeEntity row = held(id);
    Table table = table(row);
    pages.change(
        row.pageId,
        document -> {
          Piece piece = document.piece(row.piece);
          return key == null
              ? edits(document, piece, items, replace)
              : Edits.replacing(
                  document,
                  piece
                      .with(feed(row, table, key).in(piece.values()))
                      .holding(joined(piece, items, replace)));
        });
    row.rest = json.writeValueAsString(left.stream().map(Table.Row::number).toList());
    row.state = left.isEmpty() ? IntakeState.DONE : IntakeState.OPEN;
    row.said =
        (items.size() == 1 ? "1 item is in." : items.size() + " items are in.")
            + (left.isEmpty()
                ? ""
                : left.size() == 1
                    ? " 1 row waits for mending."
                    : " " + left.size() + " rows wait for mending.");
  }

  private static List<Edit> edits(
      Document document, Piece piece, List<Item> items, boolean replace) {
    if (replace || items.size() > SINGLY) {
      return Edits.replacing(document, piece.holding(joined(piece, items, replace)));
    }
    return items.stream()
        .<Edit>map(item -> new Edit.AddNode(piece.id(), Integer.MAX_VALUE, item))
        .toList();
  }

  private static List<Item> joined(Piece piece, List<Item> items, boolean replace) {
    var all = new ArrayList<>(replace ? List.of() : piece.items());
    all.addAll(items);
    return all;
  }

  private Feed feed(IntakeEntity row, Table table, String key) {
    var columns = new LinkedHashMap<String, String>();
    List<String> fields = mapping(row).fields();
    for (int i = 0; i < fields.size(); i++) {
      if (!fields.get(i).isEmpty()) {
        columns.put(fields.get(i), table.head().get(i));
      }
    }
    return new Feed(row.source, key, columns);
  }

  /** A page with the first rows of a file in its piece, instead of what that has. */
  Document previewed(String pageId, String id, Document document) {
    IntakeEntity row = row(id);
    if (!row.pageId.equals(pageId)) {
      // Whoever may look at one page may not at others by it.
      throw new Gone("intake", id);
    }
    Table table = table(row);
    Table some = table.part(0, Math.min(IntakeReply.SAMPLES, table.rows().size()));
    List<Item> items = filled(row, some).items();
    return Edits.apply(
            document, Edits.replacing(document, document.piece(row.piece).holding(items)))
        .document();
  }

  private Filled filled(IntakeEntity row, Table table) {
    PageService.Head head = pages.head(row.pageId);
    return Filled.of(
        table,
        mapping(row),
        head.document().piece(row.piece),
        sources.media(head.siteId()),
        () -> Sources.id("item"));
  }

  private IntakeReply reply(IntakeEntity row) {
    SourceEntity source = sources.get(site(row), row.source);
    Source read = sources.read(source);
    Table table = table(row, read.table());
    // While it runs only its progress is asked for, and often.
    Filled filled =
        row.state == IntakeState.RUNNING
            ? new Filled(List.of(), List.of(), List.of())
            : filled(row, table);
    return IntakeReply.of(
        row, source.name, read.form().says(), table, mapping(row).fields(), piece(row), filled);
  }

  private Table table(IntakeEntity row) {
    return table(row, sources.read(sources.get(site(row), row.source)).table());
  }

  private Table table(IntakeEntity row, Table whole) {
    Table mended = whole.mended(mends(row));
    return row.rest == null
        ? mended
        : mended.only(Set.of(json.readValue(row.rest, Integer[].class)));
  }

  private List<Table.Mend> mends(IntakeEntity row) {
    return List.of(json.readValue(row.mends, Table.Mend[].class));
  }

  private Mapping mapping(IntakeEntity row) {
    return new Mapping(List.of(json.readValue(row.mapping, String[].class)));
  }

  private String site(IntakeEntity row) {
    return pages.place(row.pageId).siteId();
  }

  private Piece piece(IntakeEntity row) {
    return pages.head(row.pageId).document().piece(row.piece);
  }

  private void change(String id, Consumer<IntakeEntity> change) {
    transaction.executeWithoutResult(_ -> {
      IntakeEntity row = held(id);
      refuseRunning(row);
      change.accept(row);
    });
  }

  private static void refuseRunning(IntakeEntity row) {
    if (row.state == IntakeState.RUNNING) {
      throw new Refused("The file", "being read", "changed when its rows are in");
    }
  }

  private IntakeEntity held(String id) {
    return rows.hold(id).orElseThrow(() -> new Gone("file on its way", id));
  }

  private IntakeEntity row(String id) {
    return rows.findById(id).orElseThrow(() -> new Gone("file on its way", id));
  }
}
