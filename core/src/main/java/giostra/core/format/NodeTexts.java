package giostra.core.format;

import giostra.core.page.Document;
import giostra.core.page.Node;
import giostra.core.page.Page;
import giostra.core.page.Section;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.IntStream;

/**
 * Documents as text, as {@link DocumentJson} writes them, section by section: a section that nobody
 * has changed is the same object as before, and its text need not be written again.
 */
public final class NodeTexts {
  /** Remembers texts of sections, told by themselves and not by what is in them. */
  @FunctionalInterface
  public interface Known {
    /** The text of a section; what is not known is written. */
    String text(Section section, Function<Section, String> write);
  }

  private final Known known;

  /**
   * @param known where texts are remembered
   */
  public NodeTexts(Known known) {
    this.known = known;
  }

  /** A document. */
  public String text(Document document) {
    return "{\"giostra\":"
        + DocumentJson.VERSION
        + ",\"site\":"
        + DocumentJson.write(document.site())
        + ",\"page\":"
        + text(document.page())
        + "}";
  }

  /** A node with all it holds. */
  public String text(Node node) {
    return node instanceof Page page ? page(page) : DocumentJson.write(node).toString();
  }

  /**
   * The nodes that make one page another, each with all it holds, where it stands where the one
   * with its id stood.
   */
  public static List<Node> changes(Page before, Page after) {
    var changed = new ArrayList<Node>();
    changes(before, after, changed);
    return changed;
  }

  private static void changes(Node before, Node after, List<Node> changed) {
    if (before == after) {
      return;
    }
    List<? extends Node> were = before.children();
    List<? extends Node> are = after.children();
    boolean stands =
        before.type() == after.type()
            && before.values().equals(after.values())
            && were.size() == are.size()
            && IntStream.range(0, are.size())
                .allMatch(i -> were.get(i).id().equals(are.get(i).id()));
    if (!stands) {
      changed.add(after);
      return;
    }
    for (int i = 0; i < are.size(); i++) {
      changes(were.get(i), are.get(i), changed);
    }
  }

  private String page(Page page) {
    String empty = DocumentJson.write(page.holding(List.of())).toString();
    // The list of children is what a node's text ends with.
    var out = new StringBuilder(empty).delete(empty.length() - 2, empty.length());
    String comma = "";
    for (Section section : page.sections()) {
      out.append(comma).append(known.text(section, each -> DocumentJson.write(each).toString()));
      comma = ",";
    }
    return out.append("]}").toString();
  }
}
