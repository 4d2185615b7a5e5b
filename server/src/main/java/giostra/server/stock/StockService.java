package giostra.server.stock;

import giostra.core.band.Bands;
import giostra.core.format.DocumentJson;
import giostra.core.format.Upgrade;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Linking;
import giostra.core.page.Node;
import giostra.core.page.Page;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.value.Refused;
import giostra.core.value.WordsKind;
import giostra.server.site.Ids;
import giostra.server.site.SiteRows;
import giostra.server.web.Gone;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/**
 * Pieces and sections that are kept on a site. Each has a home, the page where it is edited; it is
 * remembered as it was last there, so that it outlives its home.
 */
@Service
public class StockService {
  private static final Logger LOG = LoggerFactory.getLogger(StockService.class);

  private final StockRows rows;
  private final SiteRows sites;
  private final EntityManager entities;
  private final Clock clock;

  StockService(StockRows rows, SiteRows sites, EntityManager entities, Clock clock) {
    this.rows = rows;
    this.sites = sites;
    this.entities = entities;
    this.clock = clock;
  }

  /**
   * Something that is kept.
   *
   * @param homePage id of the page where it was kept, which may not have it any more
   * @param node as it is now
   */
  public record Kept(String id, String name, String homePage, String homeNode, JsonNode node) {}

  /** What is kept on a site and can be read, oldest first. */
  @Transactional(readOnly = true)
  public List<Kept> of(String siteId) {
    return rows.findBySiteIdOrderByCreatedAt(siteId).stream()
        .flatMap(row -> readable(row, StockService::kept).stream())
        .toList();
  }

  /** Of a row that cannot be read, nothing: whatever stands beside it does not suffer. */
  private static <T> Optional<T> readable(StockEntity row, Function<StockEntity, T> read) {
    try {
      return Optional.of(read.apply(row));
    } catch (RuntimeException e) {
      LOG.warn("what is kept on {} as {} cannot be read", row.siteId, row.id, e);
      return Optional.empty();
    }
  }

  private static Kept kept(StockEntity row) {
    JsonNode node = Upgrade.node(DocumentJson.parse(row.node), row.version);
    return new Kept(row.id, row.name, row.homePage, row.homeNode, node);
  }

  /**
   * Keeps a piece or section of a page under a name. What is kept already only gets the name. The
   * page's site is held by whoever calls.
   *
   * @throws Refused for other nodes, and for what is itself linked to something
   */
  @Transactional
  public Kept keep(String siteId, String pageId, Document document, String nodeId, String name) {
    Node node = document.node(nodeId);
    if (!(node instanceof Piece) && !(node instanceof Section)) {
      throw new Refused("What is kept", node.type().word(), "a piece or a section");
    }
    if (Linking.linked(node)) {
      throw new Refused("What is kept", "linked to something", "what has its own content");
    }
    String called = named(name);
    Optional<StockEntity> known = rows.findBySiteIdAndHomePageAndHomeNode(siteId, pageId, nodeId);
    StockEntity row = known.orElseGet(StockEntity::new);
    row.name = called;
    row.version = DocumentJson.VERSION;
    row.node = DocumentJson.write(node).toString();
    if (known.isEmpty()) {
      insert(row, siteId, free(siteId, Ids.word(called, "kept")), pageId, nodeId);
    }
    return kept(row);
  }

  private static String named(String name) {
    String called = new WordsKind(120, false).read("Name of what is kept", name).strip();
    if (called.isEmpty()) {
      throw new Refused("Name of what is kept", name, "1 to 120 characters");
    }
    return called;
  }

  private void insert(StockEntity row, String siteId, String id, String homePage, String homeNode) {
    row.siteId = siteId;
    row.id = id;
    row.homePage = homePage;
    row.homeNode = homeNode;
    row.createdAt = clock.instant();
    entities.persist(row);
  }

  private String free(String siteId, String wanted) {
    return Ids.next(wanted, free -> !rows.existsBySiteIdAndId(siteId, free));
  }

  /**
   * Keeps something that was kept elsewhere, under the same id.
   *
   * @param node in the newest version, read with the bands of its site
   */
  @Transactional
  public void restore(
      String siteId, String id, String name, String homePage, String homeNode, Node node) {
    var row = new StockEntity();
    row.name = named(name);
    row.version = DocumentJson.VERSION;
    row.node = DocumentJson.write(node).toString();
    insert(row, siteId, free(siteId, id), homePage, homeNode);
  }

  /**
   * Gives a site all that is kept on another one.
   *
   * @param homes ids of its pages by those of the other's
   */
  @Transactional
  public void copy(String from, String to, Map<String, String> homes) {
    for (StockEntity each : rows.findBySiteIdOrderByCreatedAt(from)) {
      var row = new StockEntity();
      row.name = each.name;
      row.version = each.version;
      row.node = each.node;
      insert(row, to, each.id, homes.getOrDefault(each.homePage, ""), each.homeNode);
    }
  }

  /** Keeps it no longer. */
  @Transactional
  public void drop(String siteId, String id) {
    sites.held(siteId);
    rows.delete(row(siteId, id));
  }

  /** Keeps nothing on a site any more. */
  @Transactional
  public void dropAll(String siteId) {
    rows.deleteAll(rows.findBySiteIdOrderByCreatedAt(siteId));
  }

  private StockEntity row(String siteId, String id) {
    return rows.findBySiteIdAndId(siteId, id).orElseThrow(() -> new Gone("kept piece", id));
  }

  /**
   * After a page has changed: what has its home there is remembered as it is now. What was deleted
   * there stays as it last was, and follows again when undo brings it back.
   */
  @Transactional
  public void follow(String siteId, String pageId, Document document) {
    for (StockEntity row : rows.findBySiteIdAndHomePage(siteId, pageId)) {
      document
          .find(row.homeNode)
          .ifPresent(now -> {
            row.version = DocumentJson.VERSION;
            row.node = DocumentJson.write(now).toString();
          });
    }
  }

  /** A page with what it links to put in. Most link to nothing, and ask the database nothing. */
  public Document expanded(String siteId, Document document) {
    return document.nodes().noneMatch(Linking::linked)
        ? document
        : Linking.expanded(document, stock(siteId, document.bands()));
  }

  /** What is kept, as a page of its own, so that it can be looked through like any other. */
  public Document document(Kept kept, Site site) {
    Node node =
        DocumentJson.keptNode(kept.node(), DocumentJson.ids(site.bands()), DocumentJson.VERSION);
    Section section =
        node instanceof Section own ? own : new Section("kept", Values.NONE, List.of((Piece) node));
    return new Document(site, new Page("page", Values.NONE, List.of(section)));
  }

  /** The edits that make of a linked node one with its own content, {@link Linking#separated}. */
  @Transactional(readOnly = true)
  public List<Edit> separated(String siteId, Document document, String node) {
    return Linking.separated(document, node, stock(siteId, document.bands()));
  }

  /** As they were remembered, less what was said for bands that are gone since. */
  private Linking.Stock stock(String siteId, Bands bands) {
    var found = new HashMap<String, Node>();
    Set<String> known = DocumentJson.ids(bands);
    for (StockEntity row : rows.findBySiteIdOrderByCreatedAt(siteId)) {
      // What links to one that cannot be read has an empty place, as for what is gone.
      readable(
              row,
              each -> DocumentJson.keptNode(DocumentJson.parse(each.node), known, each.version))
          .ifPresent(node -> found.put(row.id, node));
    }
    return id -> Optional.ofNullable(found.get(id));
  }
}
