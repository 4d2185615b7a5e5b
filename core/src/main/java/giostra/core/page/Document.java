package giostra.core.page;

import giostra.core.band.Bands;
import giostra.core.band.Refused;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * One page with what it shares with its site: all that a compile needs but the pictures' bytes.
 *
 * <p>Ids are unique over the whole document; a Refused names the one that is not.
 */
public record Document(Site site, Page page) {
  /** Nodes a document may have at the most. */
  public static final int MOST_NODES = 20_000;

  public Document {
    var ids = new HashSet<String>();
    ids.add(Site.ID);
    walk(page)
        .forEach(node -> {
          if (!ids.add(node.id())) {
            throw new Refused("id", node.id(), "unique in the document").at(node.id());
          }
        });
    if (ids.size() > MOST_NODES) {
      throw new Refused("document", ids.size() + " nodes large", "of at most " + MOST_NODES);
    }
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
    return nodes().filter(node -> node.id().equals(id)).findFirst();
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
    return pieces().stream()
        .filter(piece -> piece.id().equals(id))
        .findFirst()
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
    var path = new ArrayList<Node>();
    return descend(page, id, path) ? path : List.of();
  }

  private static boolean descend(Node at, String id, List<Node> path) {
    path.add(at);
    if (at.id().equals(id)) {
      return true;
    }
    for (Node child : at.children()) {
      if (descend(child, id, path)) {
        return true;
      }
    }
    path.removeLast();
    return false;
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
    return new Document(site, (Page) change(page, id, change));
  }

  /** The document with every node changed, children first. */
  public Document changedAll(UnaryOperator<Node> change) {
    return new Document((Site) change.apply(site), (Page) changeAll(page, change));
  }

  private static Node change(Node at, String id, UnaryOperator<Node> change) {
    if (at.id().equals(id)) {
      return change.apply(at);
    }
    var children = new ArrayList<Node>();
    boolean touched = false;
    for (Node child : at.children()) {
      Node changed = change(child, id, change);
      touched |= changed != child;
      children.add(changed);
    }
    return touched ? at.holding(children) : at;
  }

  private static Node changeAll(Node at, UnaryOperator<Node> change) {
    return change.apply(
        at.children().isEmpty()
            ? at
            : at.holding(at.children().stream().map(child -> changeAll(child, change)).toList()));
  }
}
