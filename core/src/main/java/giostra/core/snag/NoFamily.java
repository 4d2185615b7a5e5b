package giostra.core.snag;

import giostra.core.anatomy.Anatomy;
import giostra.core.look.StyleKey;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Node;
import giostra.core.value.Family;
import giostra.core.value.Typeface;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** Letters of a family of the site's own that has no files: browsers draw them with another. */
final class NoFamily {
  private NoFamily() {}

  static List<Snag> check(Looked at) {
    return at.node().values().styles().set().entrySet().stream()
        .flatMap(set ->
            set.getValue().entrySet().stream()
                .flatMap(said ->
                    empty(at.document(), said.getValue())
                        .map(face -> snag(at, set.getKey(), said.getKey(), face))
                        .stream()))
        .toList();
  }

  /** Whether a node says so of something. */
  static boolean said(Document document, Node node) {
    return node.values().styles().set().values().stream()
        .flatMap(byBand -> byBand.values().stream())
        .anyMatch(value -> empty(document, value).isPresent());
  }

  private static Optional<Typeface> empty(Document document, Object value) {
    List<List<String>> own = document.site().fonts();
    return Stream.of(value)
        .flatMap(each ->
            each instanceof Family family
                ? family.typeface().stream()
                : each instanceof Typeface face ? Stream.of(face) : Stream.empty())
        .filter(face -> {
          int at = Typeface.OWN.indexOf(face);
          return at >= 0 && (at >= own.size() || own.get(at).isEmpty());
        })
        .findFirst();
  }

  private static Snag snag(Looked at, StyleKey key, String band, Typeface face) {
    Extent extent =
        at.document().bands().all().stream()
            .filter(each -> each.id().equals(band))
            .findFirst()
            .map(Extent::of)
            .orElse(Extent.always(at.document()));
    return Snag.of(
            Rule.NO_FAMILY,
            at.node().id(),
            extent,
            Said.of(
                "no-family",
                "what",
                Anatomy.said(key),
                "family",
                face.label().toLowerCase(Locale.ROOT)))
        .about(key.written(), key.written())
        .withFixes(
            List.of(
                Snag.Fix.of(
                    Said.of("no-family-away"),
                    new Edit.SetStyle(at.node().id(), key, band, null))));
  }
}
