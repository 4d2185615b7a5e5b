package giostra.core.layout;

import giostra.core.band.Band;
import giostra.core.fit.Line;
import giostra.core.fit.Piecewise;
import giostra.core.fit.Screen;
import giostra.core.fit.Suggestion;
import giostra.core.page.Document;
import giostra.core.page.GridSettings;
import giostra.core.page.Piece;
import giostra.core.page.SliderSettings;
import giostra.core.page.TabsSettings;
import giostra.core.page.TabsSettings.HeadsRow;
import giostra.core.page.TabsSettings.HeadsSide;
import giostra.core.page.TrackSettings;
import giostra.core.value.Height;
import giostra.core.value.Length;
import giostra.core.value.Setting;
import java.util.List;
import java.util.Optional;

/**
 * How wide what stands side by side in a piece is, against the viewport's width: the cards of a
 * carousel, the headings of tabs, boxes and figures; of a slider, how high its slides are. The one
 * plot that Arrange shows for all of them, and what the counts that it suggests come from.
 *
 * @param what what is measured, as it begins a sentence
 * @param comfortFrom px that an item should not fall below
 * @param comfortTo px beyond which it is wider than needed
 * @param bands narrowest first
 */
public record ItemWidths(
    Piece piece, String what, double comfortFrom, double comfortTo, List<InBand> bands) {
  public ItemWidths {
    bands = List.copyOf(bands);
  }

  /**
   * One band.
   *
   * @param count how many stand side by side
   * @param counted whether {@code setting} says how many
   * @param room width of all of them together as a function of the viewport's, in px
   * @param sides on how many sides a neighbour shows
   */
  public record InBand(
      Band band,
      int count,
      boolean counted,
      Setting<Integer> setting,
      Length gap,
      Length peek,
      int sides,
      Piecewise room,
      Piecewise width) {}

  /** Those of a piece; none for an accordion, whose questions lie under one another. */
  public static Optional<ItemWidths> of(Document document, Piece piece, double scrollbar) {
    return switch (piece) {
      case Piece.Tracked track -> Optional.of(track(document, track, scrollbar));
      case Piece.Tabs tabs -> Optional.of(tabs(document, tabs, scrollbar));
      case Piece.FlipBoxes _ -> Optional.of(grid(document, piece, "Box width", scrollbar));
      case Piece.Counters _ -> Optional.of(grid(document, piece, "Figure width", scrollbar));
      case Piece.Video _ -> Optional.of(grid(document, piece, "Clip width", scrollbar));
      case Piece.Accordion _ -> Optional.empty();
    };
  }

  /** The plain one of a setting that every such kind has under the same id. */
  private static ItemWidths made(Piece piece, String what, List<InBand> bands) {
    double from = comfort(piece, "comfortFrom");
    double to = comfort(piece, "comfortTo");
    return new ItemWidths(piece, what, from, to, bands);
  }

  private static double comfort(Piece piece, String id) {
    if (piece instanceof Piece.Slider) {
      return 0;
    }
    Object own = piece.values().get(piece.type().setting(id));
    return own instanceof Length length ? length.constantPx() : 0;
  }

  private static ItemWidths track(Document document, Piece.Tracked piece, double scrollbar) {
    List<InBand> bands =
        TrackLayout.of(document, piece, scrollbar).bands().stream()
            .map(b ->
                new InBand(
                    b.band(),
                    b.view(),
                    piece instanceof Piece.Carousel,
                    TrackSettings.IN_VIEW,
                    b.gap(),
                    b.peek(),
                    b.sides(),
                    b.inner(),
                    piece instanceof Piece.Slider slider
                        ? slideHeight(document, slider, b)
                        : b.itemWidth()))
            .toList();
    return made(piece, piece instanceof Piece.Slider ? "Slide height" : "Card width", bands);
  }

  /**
   * The least height of a slide: what a slider's plot answers, since a slide is as wide as there is
   * room. A share of the screen is that of one usual height.
   */
  private static Piecewise slideHeight(Document document, Piece.Slider slider, TrackBand b) {
    Height height = Resolution.value(document, slider, SliderSettings.HEIGHT, b.band());
    Line line =
        switch (height) {
          case Height.Ratio(var wide, var high) -> new Line(high / wide, 0);
          case Height.Auto _, Height.Fixed _, Height.Screen _ ->
              new Line(0, height.px(0, Screen.USUAL_HEIGHT, Screen.USUAL_HEIGHT));
        };
    return b.outer().through(line);
  }

  private static ItemWidths tabs(Document document, Piece.Tabs piece, double scrollbar) {
    List<InBand> bands =
        TabsBand.of(document, piece, scrollbar).stream()
            .map(b -> {
              boolean row =
                  !b.folds() && (b.side() == HeadsSide.ABOVE || b.side() == HeadsSide.BELOW);
              return new InBand(
                  b.band(),
                  row && b.row() == HeadsRow.GRID ? b.grid().columns() : 1,
                  row && b.row() == HeadsRow.GRID,
                  TabsSettings.COLUMNS,
                  Resolution.value(document, piece, TabsSettings.HEADS_GAP, b.band()),
                  Length.px(0),
                  0,
                  b.outer(),
                  b.head());
            })
            .toList();
    return made(piece, "Heading width", bands);
  }

  private static ItemWidths grid(Document document, Piece piece, String what, double scrollbar) {
    List<InBand> bands =
        GridBand.of(document, piece, scrollbar).stream()
            .map(b ->
                new InBand(
                    b.band(),
                    b.grid().columns(),
                    true,
                    GridSettings.COLUMNS,
                    b.gap(),
                    Length.px(0),
                    0,
                    b.outer(),
                    b.item()))
            .toList();
    return made(piece, what, bands);
  }

  /**
   * How many stay comfortable where a band is narrowest; as many as there are where nobody counts.
   *
   * @param most the most that may be suggested
   */
  public int suggested(InBand in, int most) {
    if (!in.counted()) {
      return in.count();
    }
    double inner = Math.max(1, in.room().least());
    // The peek as it is set: with fewer in view there will be something to peek at.
    int sides = in.peek().isZero() ? 0 : Math.max(1, in.sides());
    return Suggestion.count(
        inner, comfortFrom, in.gap().in(inner), in.peek().in(inner), sides, most);
  }
}
