package giostra.core.page;

import giostra.core.band.Bands;
import giostra.core.value.Refused;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Consumer;
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

  /** Nodes that may have changed before all places are noted anew. */
  private static final int MOST_NEWER = 64;

  /** A node and the id of what holds it; the site and the page have an empty one. */
  private record Place(Node node, String parent) {}

  private final Site site;
  private final Page page;

  /** By id. Documents that differ in values share it, so that one more costs next to nothing. */
  private final Map<String, Place> places;

  /** Nodes that have changed since the places were noted, by id; each stands where it stood. */
  private final Map<String, Node> newer;

  /**
   * @throws Refused for an id that is there twice, and for what is too much or too deep
   */
  public Document(Site site, Page page) {
    this.site = site;
    this.page = page;
    places = new HashMap<>();
    newer = Map.of();
    note(site, "", 0);
    note(page, "", 0);
    if (places.size() > MOST_NODES) {
      throw new Refused("document", places.size() + " nodes large", "of at most " + MOST_NODES);
    }
  }

  private Document(Site site, Page page, Map<String, Place> places, Map<String, Node> newer) {
    this.site = site;
    this.page = page;
    this.places = places;
    this.newer = newer;
  }

  private void note(Node node, String parent, int depth) {
    if (depth > DEEPEST) {
      throw new Refused("depth", Integer.toString(depth), "at most " + DEEPEST).at(node.id());
    }
    if (places.put(node.id(), new Place(node, parent)) != null) {
      throw new Refused("id", node.id(), "unique in the document").at(node.id());
    }
    for (Node child : node.children()) {
      note(child, node.id(), depth + 1);
    }
  }

  /** What all pages of the site share. */
  public Site site() {
    return site;
  }

  /** The page itself. */
  public Page page() {
    return page;
  }

  /** Whether one reads from right to left. */
  public boolean mirrored() {
    return page.values().get(PageSettings.DIRECTION) == PageSettings.Direction.RTL;
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
    return "Document[" + page.id() + ", " + size() + " nodes]";
  }

  /** How many nodes it has, the site and the page among them. */
  public int size() {
    return places.size();
  }

  /** The bands of the site. */
  public Bands bands() {
    return site.bands();
  }

  /** All nodes: the site and its looks, the page, then everything in it in reading order. */
  public Stream<Node> nodes() {
    return Stream.concat(walk(site), walk(page));
  }

  /** A node and everything in it, in reading order. */
  public static Stream<Node> walk(Node node) {
    return Stream.of(node).mapMulti(Document::tell);
  }

  private static void tell(Node node, Consumer<? super Node> to) {
    to.accept(node);
    for (Node child : node.children()) {
      tell(child, to);
    }
  }

  /** The node with that id. */
  public Optional<Node> find(String id) {
    Node changed = newer.get(id);
    return changed == null
        ? Optional.ofNullable(places.get(id)).map(Place::node)
        : Optional.of(changed);
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

  /**
   * The way from the page to a node, both included; for a look from the site. Empty for the site
   * and an unknown id.
   */
  public List<Node> path(String id) {
    var path = new ArrayDeque<Node>();
    if (!id.equals(Site.ID)) {
      for (Place at = places.get(id); at != null; at = places.get(at.parent())) {
        path.addFirst(newer.getOrDefault(at.node().id(), at.node()));
      }
    }
    return List.copyOf(path);
  }

  /**
   * Which child of a node another one is, from 0; -1 when it is none. Told by the node itself:
   * comparing what is in them takes long where many are much alike.
   */
  public static int placeIn(Node parent, Node child) {
    int at = 0;
    for (Node each : parent.children()) {
      if (each == child) {
        return at;
      }
      at++;
    }
    return -1;
  }

  /**
   * The document with one node changed.
   *
   * @throws Refused when no node has that id
   */
  public Document changed(String id, UnaryOperator<Node> change) {
    if (id.equals(Site.ID)) {
      Site changed = (Site) change.apply(site);
      return changed.children() == site.children()
          ? with(changed, page, Map.of(Site.ID, changed))
          : new Document(changed, page);
    }
    Node before = node(id);
    List<Node> way = path(id);
    var made = new HashMap<String, Node>();
    Node whole = change(way, change, made);
    Site ofSite = whole instanceof Site shared ? shared : site;
    Page ofPage = whole instanceof Page own ? own : page;
    Node after = Objects.requireNonNull(made.get(way.getLast().id()));
    boolean stands = after.id().equals(before.id()) && after.children() == before.children();
    return stands ? with(ofSite, ofPage, made) : new Document(ofSite, ofPage);
  }

  /** A document in which all nodes stand where they stand here. */
  private Document with(Site site, Page page, Map<String, ? extends Node> made) {
    if (newer.size() + made.size() > MOST_NEWER) {
      return new Document(site, page);
    }
    var all = new HashMap<String, Node>(newer);
    all.putAll(made);
    return new Document(site, page, places, all);
  }

  /** The document with every node changed, children first. */
  public Document changedAll(UnaryOperator<Node> change) {
    return new Document((Site) changeAll(site, change), (Page) changeAll(page, change));
  }

  /**
   * Only what lies on the way to the node is made anew.
   *
   * @param made takes what was made, by the id that it had
   */
  private static Node change(List<Node> way, UnaryOperator<Node> change, Map<String, Node> made) {
    Node changed = change.apply(way.getLast());
    made.put(way.getLast().id(), changed);
    for (int i = way.size() - 2; i >= 0; i--) {
      Node parent = way.get(i);
      var children = new ArrayList<Node>(parent.children());
      children.set(placeIn(parent, way.get(i + 1)), changed);
      changed = parent.holding(children);
      made.put(parent.id(), changed);
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
