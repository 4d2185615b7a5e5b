package giostra.core.page;

import giostra.core.band.Bands;
import giostra.core.band.Refused;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * One page with what it shares with its site: all that a compile needs but the pictures' bytes.
 *
 * <p>Ids are unique over the whole document; a Refused names the one that is not.
 */
public final class Document {
  /** Nodes a document may have at the most. */
  public static final int MOST_NODES = 20_000;

  /** How deep nodes may lie in one another: the page is at 0. */
  public static final int DEEPEST = 24;

  /** A node and what holds it. */
  private record Place(Node node, @Nullable Node parent) {}

  private final Site site;
  private final Page page;
  private final Map<String, Place> places = new HashMap<>();

  /**
   * @throws Refused for an id that is there twice, and for what is too much or too deep
   */
  public Document(Site site, Page page) {
    this.site = site;
    this.page = page;
    places.put(Site.ID, new Place(site, null));
    note(page, null, 0);
    if (places.size() > MOST_NODES) {
      throw new Refused("document", places.size() + " nodes large", "of at most " + MOST_NODES);
    }
  }

  private void note(Node node, @Nullable Node parent, int depth) {
    if (depth > DEEPEST) {
      throw new Refused("depth", Integer.toString(depth), "at most " + DEEPEST).at(node.id());
    }
    if (places.put(node.id(), new Place(node, parent)) != null) {
      throw new Refused("id", node.id(), "unique in the document").at(node.id());
    }
    node.children().forEach(child -> note(child, node, depth + 1));
  }

  /** What all pages of the site share. */
  public Site site() {
    return site;
  }

  /** The page itself. */
  public Page page() {
    return page;
  }

  @Override
  public boolean equals(@Nullable Object other) {
    return other instanceof Document that && site.equals(that.site) && page.equals(that.page);
  }

  @Override
  public int hashCode() {
    return 31 * site.hashCode() + page.hashCode();
  }

  @Override
  public String toString() {
    return "Document[" + page.id() + ", " + places.size() + " nodes]";
  }

  /** The bands of the site. */
  public Bands bands() {
    return site.bands();
  }

  /** All nodes: the site, the page, then everything in it in reading order. */
  public Stream<Node> nodes() {
    return Stream.concat(Stream.of(site), walk(page));
  }

  /** A node and everything in it, in reading order. */
  public static Stream<Node> walk(Node node) {
    return Stream.concat(Stream.of(node), node.children().stream().flatMap(Document::walk));
  }

  /** The node with that id. */
  public Optional<Node> find(String id) {
    return Optional.ofNullable(places.get(id)).map(Place::node);
  }

  /**
   * The node with that id.
   *
   * @throws Refused when there is none
   */
  public Node node(String id) {
    return find(id).orElseThrow(() -> new Refused("node", id, "the id of something on this page"));
  }

  /**
   * The piece with that id.
   *
   * @throws Refused naming the pieces there are
   */
  public Piece piece(String id) {
    return find(id)
        .filter(Piece.class::isInstance)
        .map(Piece.class::cast)
        .orElseThrow(() ->
            new Refused(
                "piece",
                id,
                "one of " + String.join(", ", pieces().stream().map(Piece::id).toList())));
  }

  /** All pieces in page order. */
  public List<Piece> pieces() {
    return nodes().filter(Piece.class::isInstance).map(Piece.class::cast).toList();
  }

  /** The way from the page to a node, both included; empty for the site or an unknown id. */
  public List<Node> path(String id) {
    var path = new ArrayDeque<Node>();
    Place at = id.equals(Site.ID) ? null : places.get(id);
    while (at != null) {
      path.addFirst(at.node());
      Node parent = at.parent();
      at = parent == null ? null : places.get(parent.id());
    }
    return List.copyOf(path);
  }

  /**
   * The document with one node changed.
   *
   * @throws Refused when no node has that id
   */
  public Document changed(String id, UnaryOperator<Node> change) {
    if (id.equals(Site.ID)) {
      return new Document((Site) change.apply(site), page);
    }
    node(id);
    return new Document(site, (Page) change(path(id), change));
  }

  /** The document with every node changed, children first. */
  public Document changedAll(UnaryOperator<Node> change) {
    return new Document((Site) change.apply(site), (Page) changeAll(page, change));
  }

  /** Only what lies on the way to the node is made anew. */
  private static Node change(List<Node> way, UnaryOperator<Node> change) {
    Node last = way.getLast();
    Node changed = change.apply(last);
    for (int i = way.size() - 2; i >= 0; i--) {
      Node parent = way.get(i);
      var children = new ArrayList<Node>(parent.children());
      children.set(children.indexOf(way.get(i + 1)), changed);
      changed = parent.holding(children);
    }
    return changed;
  }

  private static Node changeAll(Node at, UnaryOperator<Node> change) {
    return change.apply(
        at.children().isEmpty()
            ? at
            : at.holding(at.children().stream().map(child -> changeAll(child, change)).toList()));
  }
}
