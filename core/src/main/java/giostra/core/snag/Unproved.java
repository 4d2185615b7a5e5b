package giostra.core.snag;

import giostra.core.page.CodeSettings;
import giostra.core.page.Node;
import giostra.core.page.ProofSettings;
import giostra.core.value.Setting;
import java.util.List;
import java.util.stream.Stream;

/** CSS and code of one's own, of which nothing is computed. */
final class Unproved {
  private static final List<Setting<String>> ALL =
      List.of(ProofSettings.OWN_CSS, CodeSettings.HEAD, CodeSettings.END);

  private Unproved() {}

  static List<Snag> css(Looked at) {
    return check(Rule.OWN_CSS, "own-css", at, ProofSettings.OWN_CSS).toList();
  }

  static List<Snag> code(Looked at) {
    return Stream.of(CodeSettings.HEAD, CodeSettings.END)
        .flatMap(setting -> check(Rule.OWN_CODE, "own-code", at, setting))
        .toList();
  }

  /** Those of a node. */
  static Stream<Proved.Without> of(Node node) {
    return ALL.stream()
        .filter(setting -> said(node, setting))
        .map(setting -> new Proved.Without(node, setting));
  }

  private static boolean said(Node node, Setting<String> setting) {
    return node.type().settings().contains(setting) && !node.values().get(setting).isEmpty();
  }

  private static Stream<Snag> check(Rule rule, String says, Looked at, Setting<String> setting) {
    return said(at.node(), setting)
        ? Stream.of(
            Snag.of(rule, at.node().id(), Extent.always(at.document()), Said.of(says))
                .about(setting.id(), ""))
        : Stream.empty();
  }
}
