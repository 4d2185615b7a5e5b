package giostra.core.snag;

import giostra.core.page.ProofSettings;
import java.util.List;

/** CSS of one's own, of which nothing is computed. */
final class Unproved {
  private Unproved() {}

  static List<Snag> check(Looked at) {
    boolean there =
        at.node().type().settings().contains(ProofSettings.OWN_CSS)
            && !at.node().values().get(ProofSettings.OWN_CSS).isEmpty();
    return there
        ? List.of(
            Snag.of(Rule.OWN_CSS, at.node().id(), Extent.always(at.document()), Said.of("own-css"))
                .about(ProofSettings.OWN_CSS.id(), ""))
        : List.of();
  }
}
