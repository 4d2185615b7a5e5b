package giostra.core.snag;

import java.util.List;
import java.util.Map;
import java.util.Set;

/** Characters that no font has that ships: another system draws them as it likes. */
final class NoGlyph {
  private NoGlyph() {}

  static List<Snag> check(Looked at) {
    return at.piece()
        .map(piece ->
            at.heights(piece).missing().entrySet().stream().map(each -> snag(at, each)).toList())
        .orElse(List.of());
  }

  private static Snag snag(Looked at, Map.Entry<String, Set<String>> missing) {
    Extent always = Extent.always(at.document());
    return Snag.of(
            Rule.NO_GLYPH,
            at.node().id(),
            always,
            Said.of(
                "no-glyph",
                "characters",
                String.join(" ", missing.getValue()),
                "from",
                always.widths().from(),
                "to",
                always.widths().to()))
        .of(missing.getKey());
  }
}
