package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.layout.GridBand;
import giostra.core.layout.Heights.Reading;
import giostra.core.layout.Resolution;
import giostra.core.layout.TrackBand;
import giostra.core.layout.TrackLayout;
import giostra.core.page.Edit;
import giostra.core.page.GridSettings;
import giostra.core.page.Gridded;
import giostra.core.page.Piece;
import giostra.core.page.TrackSettings;
import giostra.core.page.TrackSettings.Axis;
import giostra.core.page.Tracked;
import giostra.core.value.PickKind;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * What stands in one row and is as high as its own content asks, where that differs by a line and
 * more: the row looks torn. Common practice, no source.
 */
final class UnevenHeights {
  /** Less than that is no line, px. */
  private static final double LINE = 24;

  private UnevenHeights() {}

  static List<Snag> check(Looked at) {
    return switch (at.node()) {
      case Tracked piece ->
          TrackLayout.of(at.document(), piece, at.scrollbar()).bands().stream()
              .filter(in -> !in.equalHeights() && in.axis() == Axis.ACROSS && !piece.oneByOne())
              .flatMap(in ->
                  found(
                      at,
                      piece,
                      in.band(),
                      all -> in.all() ? rows(all, in.view()) : windows(all, in),
                      TrackSettings.HEIGHTS,
                      PickKind.word(TrackSettings.Heights.ALL)))
              .toList();
      case Gridded piece ->
          GridBand.of(at.document(), piece, at.scrollbar()).stream()
              .filter(in ->
                  Resolution.value(at.document(), piece, GridSettings.HEIGHTS, in.band())
                      == GridSettings.Heights.OWN)
              .flatMap(in ->
                  found(
                      at,
                      piece,
                      in.band(),
                      all -> rows(all, in.grid().columns()),
                      GridSettings.HEIGHTS,
                      PickKind.word(GridSettings.Heights.ROW)))
              .toList();
      default -> List.of();
    };
  }

  @FunctionalInterface
  private interface Together {
    /** Those heights that are seen side by side. */
    Stream<List<Double>> of(List<Double> all);
  }

  private static Stream<List<Double>> rows(List<Double> all, int columns) {
    return IntStream.iterate(0, from -> from < all.size(), from -> from + columns)
        .mapToObj(from -> all.subList(from, Math.min(all.size(), from + columns)));
  }

  private static Stream<List<Double>> windows(List<Double> all, TrackBand in) {
    if (!in.moves()) {
      return Stream.of(all);
    }
    int stops = in.loops() ? all.size() : all.size() - in.view() + 1;
    return IntStream.range(0, Math.max(1, stops))
        .mapToObj(from ->
            IntStream.range(from, from + in.view())
                .mapToObj(n -> all.get(n % all.size()))
                .toList());
  }

  private static double most(Looked at, Piece piece, Together together, int width) {
    return together
        .of(heights(at, piece, width))
        .filter(row -> row.size() > 1)
        .mapToDouble(row ->
            row.stream().mapToDouble(h -> h).max().orElse(0)
                - row.stream().mapToDouble(h -> h).min().orElse(0))
        .max()
        .orElse(0);
  }

  /** How high each item is, in their order: of two faces the higher. */
  private static List<Double> heights(Looked at, Piece piece, int width) {
    Map<String, Double> byItem = new LinkedHashMap<>();
    for (Reading each : at.heights(piece).at(width)) {
      byItem.merge(each.item(), each.height(), Math::max);
    }
    return new ArrayList<>(byItem.values());
  }

  private static Stream<Snag> found(
      Looked at, Piece piece, Band band, Together together, Setting<?> heights, String equal) {
    return Runs.ofSome(band, width -> most(at, piece, together, width) >= LINE).stream()
        .map(run -> {
          double most =
              Stream.of(run[0], (run[0] + run[1]) / 2, run[1])
                  .mapToDouble(width -> most(at, piece, together, width))
                  .max()
                  .orElseThrow();
          return Snag.of(
                  Rule.UNEVEN,
                  piece.id(),
                  Extent.of(run[0], run[1], band),
                  Said.of("uneven", "px", Math.round(most), "from", run[0], "to", run[1]))
              .about(heights.id(), heights.id())
              .measured(Math.round(most), LINE, Measure.Unit.PX)
              .withFixes(
                  List.of(
                      Snag.Fix.of(
                          Said.of("as-high-as-each-other"),
                          new Edit.SetValue(piece.id(), heights.id(), band.id(), equal))));
        });
  }
}
