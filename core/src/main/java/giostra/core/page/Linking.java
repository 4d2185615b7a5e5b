package giostra.core.page;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.look.StyleKey;
import giostra.core.look.Styles;
import giostra.core.look.Values;
import giostra.core.value.Refused;
import giostra.core.value.Setting;
import giostra.core.value.TokenKind;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.UnaryOperator;

/**
 * Pieces and sections that are kept on the site once and put in elsewhere: a linked one has no
 * content of its own, follows its source, and departs from it in what is set on itself.
 */
public final class Linking {
  /** What a piece or section is linked to; empty for one that has its own content. */
  public static final Setting<String> LINKED_TO =
      Setting.once(
          "linkedTo",
          "Linked to",
          new TokenKind("[a-z0-9-]{1,80}", "the id of something kept on the site"),
          "");

  /** Links within links are followed this far. */
  private static final int DEEPEST = 4;

  /** Ids are no longer than this, {@link NodeType#make}. */
  private static final int LONGEST_ID = 61;

  /** What is kept on a site. */
  @FunctionalInterface
  public interface Stock {
    /** The piece or section that is kept under an id. */
    Optional<Node> find(String id);
  }

  private final Bands bands;
  private final Stock stock;

  private Linking(Bands bands, Stock stock) {
    this.bands = bands;
    this.stock = stock;
  }

  /** Whether a node has its content elsewhere. */
  public static boolean linked(Node node) {
    return (node instanceof Piece || node instanceof Section)
        && !node.values().get(LINKED_TO).isEmpty();
  }

  /** Ids of what a page links to. */
  public static Set<String> used(Document document) {
    var all = new LinkedHashSet<String>();
    document.nodes().filter(Linking::linked).forEach(node -> all.add(node.values().get(LINKED_TO)));
    return all;
  }

  /**
   * A document with what it links to put in. The same thing twice on a page has ids of its own each
   * time, which stay the same from one release to the next. What is not there any more leaves an
   * empty place.
   */
  public static Document expanded(Document document, Stock stock) {
    var linking = new Linking(document.bands(), stock);
    Document all = document;
    for (Node node : document.nodes().filter(Linking::linked).toList()) {
      Node whole = linking.expanded(node, Set.of());
      if (whole != node) {
        all = all.changed(node.id(), _ -> whole);
      }
    }
    return all;
  }

  /**
   * The edits that make of a linked node one that has its own content, which is what it shows now.
   * What is linked to within it stays linked.
   *
   * @throws Refused when it is not linked, or what it is linked to is not there
   */
  public static List<Edit> separated(Document document, String id, Stock stock) {
    var linking = new Linking(document.bands(), stock);
    Node node = document.node(id);
    if (!linked(node)) {
      throw new Refused("Node", id, "linked to something that is kept");
    }
    Node source =
        linking
            .source(node)
            .orElseThrow(() ->
                new Refused(LINKED_TO.label(), node.values().get(LINKED_TO), "something kept"));
    Node whole = linking.put(node, source, own -> own);
    return Edits.replacing(document, whole.with(whole.values().with(LINKED_TO, Values.ALL, null)));
  }

  private Node expanded(Node node, Set<String> within) {
    String id = node.values().get(LINKED_TO);
    Optional<Node> source = source(node);
    if (source.isEmpty() || within.contains(id) || within.size() >= DEEPEST) {
      return node;
    }
    Set<String> inside = new LinkedHashSet<>(within);
    inside.add(id);
    return put(node, source.get(), own -> linked(own) ? expanded(own, inside) : own);
  }

  /** What a node is linked to, where that is still there and is of a kind with it. */
  private Optional<Node> source(Node node) {
    return stock
        .find(node.values().get(LINKED_TO))
        .filter(found -> found instanceof Section == node instanceof Section);
  }

  private Node put(Node node, Node source, UnaryOperator<Node> each) {
    Values values = over(bare(source.values()), node.values(), source.type());
    return source.type().make(node.id(), values, inside(node.id(), source.children(), each));
  }

  private List<Node> inside(
      String instance, List<? extends Node> children, UnaryOperator<Node> each) {
    var all = new ArrayList<Node>();
    for (Node child : children) {
      Node own =
          child
              .type()
              .make(
                  id(instance, child.id()),
                  bare(child.values()),
                  inside(instance, child.children(), each));
      all.add(each.apply(own));
    }
    return all;
  }

  /** Anchors name one place on a page: an instance has none of its source's. */
  private static Values bare(Values values) {
    return values.with(MarkSettings.ANCHOR, Values.ALL, null);
  }

  private static String id(String instance, String inner) {
    String whole = instance + "-" + inner;
    return whole.length() <= LONGEST_ID
        ? whole
        : instance.substring(0, Math.min(instance.length(), 40))
            + "-"
            + Integer.toUnsignedString(whole.hashCode(), 36);
  }

  /**
   * What is set on an instance, over what is set on its source. As between any two layers, the
   * nearer one speaks at the bands where it says something and at all that are narrower.
   */
  private Values over(Values source, Values own, NodeType type) {
    var all = new TreeMap<String, Map<String, Object>>(source.set());
    own.set()
        .forEach((setting, byBand) -> {
          if (type.settings().stream().noneMatch(each -> each.id().equals(setting))) {
            return;
          }
          all.put(setting, over(source.set().getOrDefault(setting, Map.of()), byBand));
        });
    return new Values(all, over(source.styles(), own.styles(), type));
  }

  private Styles over(Styles source, Styles own, NodeType type) {
    var all = new TreeMap<StyleKey, Map<String, Object>>(source.set());
    own.set()
        .forEach((key, byBand) -> {
          if (type.parts().stream().anyMatch(part -> part.id().equals(key.part()))) {
            all.put(key, over(source.set().getOrDefault(key, Map.of()), byBand));
          }
        });
    return Styles.of(all);
  }

  /** By band: the nearer one's, and of the other what is set in wider bands only. */
  private Map<String, Object> over(Map<String, Object> source, Map<String, Object> own) {
    var merged = new HashMap<String, Object>(own);
    boolean spoken = false;
    for (Band band : bands.all().reversed()) {
      spoken |= own.containsKey(band.id());
      if (!spoken && source.containsKey(band.id())) {
        merged.put(band.id(), Objects.requireNonNull(source.get(band.id())));
      }
    }
    return merged;
  }
}
