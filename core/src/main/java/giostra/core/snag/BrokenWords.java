package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.layout.Heights;
import giostra.core.layout.ItemWidths;
import giostra.core.page.Edit;
import giostra.core.page.Piece;
import giostra.core.page.TrackSettings;
import giostra.core.value.Setting;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Stream;

/** Words that break where no word ends, from the fonts that ship. */
final class BrokenWords {
  private final Looked at;
  private final Piece piece;

  private BrokenWords(Looked at, Piece piece) {
    this.at = at;
    this.piece = piece;
  }

  static List<Snag> check(Looked at) {
    return at.piece().map(piece -> new BrokenWords(at, piece).found()).orElse(List.of());
  }

  private List<Snag> found() {
    return at.heights(piece).brokenWords().stream().map(this::snag).toList();
  }

  private Snag snag(Heights.Broken each) {
    Band band = at.document().bands().band(each.band());
    return Snag.of(
            Rule.BROKEN_WORD,
            piece.id(),
            Extent.of(each.from(), each.to(), band),
            Said.of(
                "broken-word",
                "word",
                each.word(),
                "part",
                each.part().name().toLowerCase(Locale.ROOT),
                "from",
                each.from(),
                "to",
                each.to()))
        .of(each.item())
        .withFixes(fewer(at, piece, band.id()));
  }

  /** One less side by side where a setting says how many, or no neighbour that shows. */
  static List<Snag.Fix> fewer(Looked at, Piece piece, String band) {
    return ItemWidths.of(at.document(), piece, at.scrollbar()).stream()
        .flatMap(widths -> widths.bands().stream())
        .filter(in -> in.band().id().equals(band))
        .flatMap(in ->
            Stream.of(
                in.counted() && in.count() > 1
                    ? fix(
                        piece,
                        Said.of("show", "n", in.count() - 1),
                        in.setting(),
                        band,
                        in.count() - 1)
                    : null,
                in.sides() > 0
                    ? fix(piece, Said.of("no-peek"), TrackSettings.PEEK, band, 0)
                    : null))
        .filter(Objects::nonNull)
        .filter(fix -> fix.possible(at.document()))
        .toList();
  }

  private static Snag.Fix fix(
      Piece piece, String label, Setting<?> setting, String band, double value) {
    return Snag.Fix.of(label, new Edit.SetValue(piece.id(), setting.id(), band, value));
  }
}
