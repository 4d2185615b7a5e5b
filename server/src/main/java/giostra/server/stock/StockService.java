package giostra.server.stock;

import giostra.core.band.Bands;
import giostra.core.band.Refused;
import giostra.core.band.Values;
import giostra.core.format.DocumentJson;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Linking;
import giostra.core.page.Node;
import giostra.core.page.Page;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.server.web.Gone;
import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Pieces and sections that are kept on a site. Each has a home, the page where it is edited; it is
 * remembered as it was last there, so that it outlives its home.
 */
@Service
public class StockService {
  private final StockRows rows;
  private final Clock clock;

  StockService(StockRows rows, Clock clock) {
    this.rows = rows;
    this.clock = clock;
  }

  /**
   * Something that is kept.
   *
   * @param homePage id of the page where it was kept, which may not have it any more
   * @param node as it is now
   */
  public record Kept(String id, String name, String homePage, String homeNode, JsonNode node) {}

  /** What is kept on a site, oldest first. */
  @Transactional(readOnly = true)
  public List<Kept> of(String siteId) {
    return rows.findBySiteIdOrderByCreatedAt(siteId).stream().map(StockService::kept).toList();
  }

  private static Kept kept(StockEntity row) {
    return new Kept(row.id, row.name, row.homePage, row.homeNode, DocumentJson.parse(row.node));
  }

  /**
   * Keeps a piece or section of a page under a name. What is kept already only gets the name.
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
    if (name.isBlank() || name.length() > 120) {
      throw new Refused("Name of what is kept", name, "1 to 120 characters");
    }
    StockEntity row =
        rows.findBySiteIdAndHomePageAndHomeNode(siteId, pageId, nodeId).orElseGet(StockEntity::new);
    if (row.id.isEmpty()) {
      row.id = freeId(siteId, name);
      row.siteId = siteId;
      row.homePage = pageId;
      row.homeNode = nodeId;
      row.createdAt = clock.instant();
    }
    row.name = name.strip();
    row.node = DocumentJson.write(node).toString();
    return kept(rows.save(row));
  }

  private String freeId(String siteId, String name) {
    String word =
        name.toLowerCase(java.util.Locale.ROOT)
            .replaceAll("[^a-z0-9]+", "-")
            .replaceAll("^-+|-+$", "");
    String base = siteId + "-" + word.substring(0, Math.min(30, word.length()));
    String free = base;
    for (int i = 2; rows.existsById(free); i++) {
      free = base + "-" + i;
    }
    return free;
  }

  /** The id for something that is kept elsewhere under one: the same where it is free. */
  @Transactional(readOnly = true)
  public String reserve(String wanted) {
    String free = wanted;
    for (int i = 2; rows.existsById(free); i++) {
      free = wanted + "-" + i;
    }
    return free;
  }

  /** Keeps something that was kept elsewhere. */
  @Transactional
  public void restore(
      String siteId, String id, String name, String homePage, String homeNode, JsonNode node) {
    var row = new StockEntity();
    row.id = id;
    row.siteId = siteId;
    row.name = name;
    row.homePage = homePage;
    row.homeNode = homeNode;
    row.node = node.toString();
    row.createdAt = clock.instant();
    rows.save(row);
  }

  /** Keeps it no longer. */
  @Transactional
  public void drop(String id) {
    rows.delete(rows.findById(id).orElseThrow(() -> new Gone("kept piece", id)));
  }

  /**
   * After a page has changed: what has its home there is remembered as it is now. What was deleted
   * there stays as it last was, and follows again when undo brings it back.
   */
  @Transactional
  public void follow(String pageId, Document document) {
    for (StockEntity row : rows.findByHomePage(pageId)) {
      document.find(row.homeNode).ifPresent(now -> row.node = DocumentJson.write(now).toString());
    }
  }

  /** A page with what it links to put in. */
  @Transactional(readOnly = true)
  public Document expanded(String siteId, Document document) {
    return document.nodes().noneMatch(Linking::linked)
        ? document
        : Linking.expanded(document, stock(siteId, document.bands()));
  }

  /** What is kept, as a page of its own, so that it can be looked through like any other. */
  @Transactional(readOnly = true)
  public Document document(String id, Site site) {
    StockEntity row = rows.findById(id).orElseThrow(() -> new Gone("kept piece", id));
    Node node = node(row, site.bands());
    Section section =
        node instanceof Section own ? own : new Section("kept", Values.NONE, List.of((Piece) node));
    return new Document(site, new Page("page", Values.NONE, List.of(section)));
  }

  /** The edits that make of a linked node one with its own content, {@link Linking#separated}. */
  @Transactional(readOnly = true)
  public List<Edit> separated(String siteId, Document document, String node) {
    return Linking.separated(document, node, stock(siteId, document.bands()));
  }

  private Linking.Stock stock(String siteId, Bands bands) {
    var found = new HashMap<String, Node>();
    for (StockEntity row : rows.findBySiteIdOrderByCreatedAt(siteId)) {
      found.put(row.id, node(row, bands));
    }
    return id -> Optional.ofNullable(found.get(id));
  }

  /** As it was remembered, less what was said for bands that are gone since. */
  private static Node node(StockEntity row, Bands bands) {
    Set<String> ids = DocumentJson.ids(bands);
    JsonNode json = DocumentJson.parse(row.node);
    forget(json, ids);
    return DocumentJson.readNode(json, ids);
  }

  private static void forget(JsonNode node, Set<String> bands) {
    node.path("values")
        .forEach(value -> {
          if (value instanceof ObjectNode byBand) {
            byBand.retain(bands);
          }
        });
    node.path("children").forEach(child -> forget(child, bands));
  }
}
