package giostra.core.snag;

import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Node;
import giostra.core.page.ProofSettings;
import giostra.core.value.Refused;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * What is left as it is on purpose, with the reason. It holds for the very finding: one that
 * changes, in where it is or in its figures, is another and is found again.
 */
public final class Leaves {
  /** Characters of a reason. */
  public static final int LONGEST = 200;

  private Leaves() {}

  /** Why a finding is left as it is, where it is. */
  public static Optional<String> reason(Document document, Snag snag) {
    return document
        .find(snag.piece())
        .flatMap(node -> Optional.ofNullable(reasons(node).get(snag.mark())));
  }

  /** Whether it is left as it is. */
  public static boolean left(Document document, Snag snag) {
    return reason(document, snag).isPresent();
  }

  /** What of what was found a visitor could meet, and nobody leaves on purpose: what is counted. */
  public static List<Snag> counted(Document document, List<Snag> found) {
    return found.stream().filter(Snag::met).filter(snag -> !left(document, snag)).toList();
  }

  /**
   * The edit that leaves a finding as it is. What is said of findings that are no more goes with
   * it.
   *
   * @param found all that is found on the page
   * @param because why; empty to leave it no longer
   * @throws Refused for a reason that is too long, or has several lines
   */
  public static Edit leave(Document document, List<Snag> found, Snag snag, String because) {
    String reason = because.strip();
    if (reason.length() > LONGEST || reason.lines().count() > 1) {
      throw new Refused("reason", reason, "a line of at most " + LONGEST + " characters");
    }
    Node node = document.node(snag.piece());
    Map<String, String> reasons = reasons(node);
    reasons.keySet().retainAll(found.stream().map(Snag::mark).collect(Collectors.toSet()));
    reasons.remove(snag.mark());
    if (!reason.isEmpty()) {
      reasons.put(snag.mark(), reason);
    }
    String all =
        reasons.entrySet().stream()
            .map(each -> each.getKey() + " " + each.getValue())
            .collect(Collectors.joining("\n"));
    return new Edit.SetValue(node.id(), ProofSettings.LEFT.id(), "", all.isEmpty() ? null : all);
  }

  /** By mark, in the order in which they were said. */
  private static Map<String, String> reasons(Node node) {
    var all = new LinkedHashMap<String, String>();
    if (node.type().settings().contains(ProofSettings.LEFT)) {
      node.values()
          .get(ProofSettings.LEFT)
          .lines()
          .map(line -> line.split(" ", 2))
          .filter(parts -> parts.length == 2)
          .forEach(parts -> all.put(parts[0], parts[1]));
    }
    return all;
  }
}
