package giostra.core.page;

import giostra.core.look.Styles;
import giostra.core.value.Setting;
import giostra.core.value.Step;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;

/**
 * What belongs to the step Fill: texts, pictures and clips, and the items that hold them. Whoever
 * fills a page changes nothing of how it is laid out, looks or moves, and no code.
 */
public final class Filling {
  private Filling() {}

  /**
   * The first of some edits that goes beyond filling, in words; none where all of them fill.
   *
   * @param before the document that the first of them is made on
   */
  public static Optional<String> beyond(Document before, List<Edit> edits) {
    Document now = before;
    for (Edit edit : edits) {
      Optional<String> said = beyond(now, edit);
      if (said.isPresent()) {
        return said;
      }
      now = Edits.apply(now, edit).document();
    }
    return Optional.empty();
  }

  private static Optional<String> beyond(Document now, Edit edit) {
    return switch (edit) {
      case Edit.SetValue(var id, var setting, _, _) ->
          now.find(id).flatMap(node -> beyond(node, setting));
      case Edit.SetStyle _ -> Optional.of("a style");
      case Edit.AddNode(var parent, _, var node) ->
          inItems(now, parent, node).or(() -> carried(now, node));
      case Edit.RemoveNode(var id) ->
          now.find(id).flatMap(node -> inItems(now, parentOf(now, id), node));
      case Edit.MoveNode(var id, var parent, _) ->
          now.find(id)
              .flatMap(node ->
                  inItems(now, parentOf(now, id), node).or(() -> inItems(now, parent, node)));
      case Edit.MoveBreakpoint _, Edit.AddBand _, Edit.RemoveBand _, Edit.SetBands _ ->
          Optional.of("the bands");
      case Edit.ReplacePage _, Edit.Replace _ -> Optional.of("the whole page");
    };
  }

  private static Optional<String> beyond(Node node, String setting) {
    if (Site.has(node.id())) {
      return Optional.of("what all pages share");
    }
    if (node.type() == NodeType.OWN_HTML) {
      return Optional.of("own HTML");
    }
    Setting<?> found = node.type().setting(setting);
    return found.home() == Step.FILL
        ? Optional.empty()
        : Optional.of(
            found.label().toLowerCase(Locale.ROOT)
                + " of a "
                + node.type().word()
                + ", which is set in "
                + found.home().name().charAt(0)
                + found.home().name().substring(1).toLowerCase(Locale.ROOT));
  }

  /** Items come and go, and what stands in items; nothing else does. */
  private static Optional<String> inItems(Document now, String parent, Node node) {
    boolean fills =
        node.type() == NodeType.ITEM
            || now.path(parent).stream().anyMatch(each -> each.type() == NodeType.ITEM);
    return fills ? Optional.empty() : Optional.of("a " + node.type().word() + " of the page");
  }

  private static String parentOf(Document now, String id) {
    List<Node> path = now.path(id);
    return path.get(Math.max(0, path.size() - 2)).id();
  }

  /** What comes in carries content alone, or what another of its type carries already: a copy. */
  private static Optional<String> carried(Document now, Node added) {
    return Document.walk(added).flatMap(node -> carries(now, node).stream()).findFirst();
  }

  private static Optional<String> carries(Document now, Node node) {
    if (node.type() == NodeType.OWN_HTML || node.type().isPiece()) {
      return Optional.of("a new " + node.type().word());
    }
    Optional<String> said =
        node.values().styles().equals(Styles.NONE)
            ? node.values().set().keySet().stream()
                .flatMap(setting -> beyond(node, setting).stream())
                .findFirst()
            : Optional.of("a style");
    return said.filter(
        _ -> now.nodes().noneMatch(each -> each.type() == node.type() && sameDress(each, node)));
  }

  /** Whether two say the same of all that is not filled. */
  private static boolean sameDress(Node one, Node other) {
    return one.values().styles().equals(other.values().styles())
        && one.type().settings().stream()
            .filter(setting -> setting.home() != Step.FILL)
            .allMatch(setting ->
                Objects.equals(
                    one.values().set().get(setting.id()), other.values().set().get(setting.id())));
  }
}
