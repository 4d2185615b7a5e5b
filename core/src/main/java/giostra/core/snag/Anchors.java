package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.layout.Resolution;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.MarkSettings;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jsoup.Jsoup;

/**
 * What on a page can be led to by its name: what has an anchor, everything else under the id that
 * it is published with, and what has an id in HTML of one's own. Source: HTML, 7.4.6.4 "Scrolling
 * to a fragment".
 */
final class Anchors {
  private final Document document;
  private final Map<String, List<Node>> byName = new HashMap<>();

  /** The same of what is hidden for good, which is not on the published page at all. */
  private final Map<String, List<Node>> gone = new HashMap<>();

  Anchors(Document document) {
    this.document = document;
    note(document.page(), byName);
  }

  private void note(Node node, Map<String, List<Node>> around) {
    Map<String, List<Node>> names = hidden(node) ? gone : around;
    String own = own(node);
    // An item has the one in place of the other, a piece both.
    if (own.isEmpty() || node instanceof Piece) {
      note("g-" + node.id(), node, names);
    }
    if (!own.isEmpty()) {
      note(own, node, names);
    }
    if (node instanceof Block.OwnHtml) {
      Jsoup.parseBodyFragment(node.values().get(BlockSettings.MARKUP))
          .getElementsByAttribute("id")
          .forEach(element -> note(element.id(), node, names));
    }
    node.children().forEach(child -> note(child, names));
  }

  private static void note(String name, Node node, Map<String, List<Node>> names) {
    names.computeIfAbsent(name, _ -> new ArrayList<>()).add(node);
  }

  private static boolean hidden(Node node) {
    return switch (node) {
      case Piece piece -> piece.values().get(PieceSettings.HIDDEN);
      case Item item -> !item.onShow();
      default -> false;
    };
  }

  /** The anchor that somebody has given; empty for none. */
  static String own(Node node) {
    return node.type().settings().contains(MarkSettings.ANCHOR)
        ? node.values().get(MarkSettings.ANCHOR)
        : "";
  }

  /** All on the published page that have a name, as they are read. */
  List<Node> called(String name) {
    return byName.getOrDefault(name, List.of());
  }

  /** What a link leads to: browsers go to the first; what is hidden for good is the last resort. */
  Optional<Node> led(String name) {
    List<Node> all = byName.getOrDefault(name, gone.getOrDefault(name, List.of()));
    return all.stream().findFirst();
  }

  /** Whether a node, and all that it stands in, is there in a band; what comes of dates is. */
  boolean there(Node node, Band band) {
    return document.path(node.id()).stream().noneMatch(Anchors::hidden)
        && Resolution.there(document, node, band);
  }

  /**
   * What a section or a piece has to do with it: a value that is equal where it leads to the same,
   * which is there in the same bands, and where it is called as the same are.
   */
  Object key(Node node) {
    return List.of(
        Leading.in(node).stream().map(link -> led(link.name()).map(this::place)).toList(),
        Leading.of(node)
            .map(Anchors::own)
            .filter(name -> !name.isEmpty())
            .map(name -> called(name).stream().map(Node::id).toList())
            .toList());
  }

  private Object place(Node node) {
    return List.of(
        node.id(),
        Fields.called(node),
        document.bands().all().stream().map(band -> there(node, band)).toList());
  }
}
