package giostra.core.layout;

import giostra.core.band.Band;
import giostra.core.band.Length;
import giostra.core.band.Setting;
import giostra.core.band.Viewport;
import giostra.core.fit.Line;
import giostra.core.fit.Piecewise;
import giostra.core.fit.Suggestion;
import giostra.core.page.CarouselSettings;
import giostra.core.page.CarouselSettings.Axis;
import giostra.core.page.CarouselSettings.Sides;
import giostra.core.page.Document;
import giostra.core.page.Piece;
import giostra.core.page.SectionSettings.Extent;
import java.util.List;
import java.util.stream.Stream;

/**
 * A carousel over all bands.
 *
 * @param bands narrowest first, as the site's
 */
public record CarouselLayout(List<CarouselBand> bands) {
  public CarouselLayout {
    bands = List.copyOf(bands);
  }

  /**
   * Lays a carousel of a document out.
   *
   * @param scrollbar width of a classic scrollbar in px, 0 where it overlays the page
   */
  public static CarouselLayout of(Document document, Piece.Carousel piece, double scrollbar) {
    return new CarouselLayout(
        document.bands().all().stream()
            .map(band -> new Maker(document, piece, band, scrollbar).make())
            .toList());
  }

  /** The band that a viewport width falls in. */
  public CarouselBand at(double viewportPx) {
    return bands.stream().filter(b -> b.band().holds(viewportPx)).findFirst().orElseThrow();
  }

  /** Item width against viewport width over all bands: the saw-tooth. */
  public Piecewise itemWidth() {
    return Piecewise.joined(bands.stream().map(CarouselBand::itemWidth).toList());
  }

  /**
   * Items in view that stay comfortable where a band is narrowest.
   *
   * @param comfortable px that an item should not fall below
   * @param most the most that may be suggested
   */
  public static int suggested(CarouselBand band, double comfortable, int most) {
    double inner = Math.max(1, band.inner().least());
    // The peek as it is set: with fewer in view there will be something to peek at.
    int sides = band.peek().isZero() ? 0 : Math.max(1, band.sides());
    return Suggestion.count(
        inner, comfortable, band.gap().in(inner), band.peek().in(inner), sides, most);
  }

  /** Reads the values of one band and clamps them. */
  private record Maker(Document document, Piece.Carousel piece, Band band, double scrollbar) {

    private <T> T value(Setting<T> setting) {
      return Resolution.value(document, piece, setting, band);
    }

    CarouselBand make() {
      int items = piece.onShow().size();
      int asked = value(CarouselSettings.IN_VIEW);
      boolean few = items <= asked;
      int view = few && value(CarouselSettings.STRETCH_FEW) ? Math.max(1, items) : asked;
      boolean moves = items > view;
      Length peek = value(CarouselSettings.PEEK);
      int sides = value(CarouselSettings.PEEK_SIDES) == Sides.BOTH ? 2 : 1;
      Extent extent =
          Containers.inSection(document, piece.id())
              ? value(CarouselSettings.EXTENT)
              : Extent.MEASURE;
      Piecewise outer = outer(extent, scrollbar);
      CarouselBand made =
          new CarouselBand(
              band,
              items,
              asked,
              view,
              value(CarouselSettings.GAP),
              peek,
              moves && !peek.isZero() ? Math.min(sides, items - view) : 0,
              value(CarouselSettings.STRIDE).in(view),
              false,
              value(CarouselSettings.AXIS),
              value(CarouselSettings.TRACK_HEIGHT),
              value(CarouselSettings.FEW),
              value(CarouselSettings.EQUAL_HEIGHTS),
              extent,
              value(CarouselSettings.WIDTH),
              value(CarouselSettings.ALIGN),
              value(CarouselSettings.SPACE_ABOVE),
              value(CarouselSettings.SPACE_BELOW),
              value(CarouselSettings.ARROWS),
              value(CarouselSettings.ARROW_DISTANCE),
              value(CarouselSettings.MARKS),
              value(CarouselSettings.MARK_DISTANCE),
              outer,
              inner(outer, moves));
      return value(CarouselSettings.ENDLESS) && loopsEverywhere(made) ? looping(made) : made;
    }

    private Piecewise outer(Extent extent, double scrollbar) {
      Piecewise room = Containers.room(document, piece.id(), extent, band, scrollbar);
      return room.min(room.through(Line.of(value(CarouselSettings.WIDTH))));
    }

    private Piecewise inner(Piecewise outer, boolean moves) {
      if (value(CarouselSettings.AXIS) == Axis.DOWN) {
        return outer.through(new Line(0, value(CarouselSettings.TRACK_HEIGHT).constantPx()));
      }
      Line beside =
          CarouselBand.besideArrows(
              value(CarouselSettings.ARROWS), moves, value(CarouselSettings.ARROW_DISTANCE));
      return outer.through(beside).atLeast(0);
    }

    /**
     * What is compiled cannot know the visitor's scrollbar, so it must be possible without one and
     * with the widest. The condition is linear in the inner width: the ends of segments decide.
     */
    private boolean loopsEverywhere(CarouselBand made) {
      return made.moves()
          && Stream.of(0.0, Viewport.WIDEST_SCROLLBAR)
              .map(scrollbar -> inner(outer(made.extent(), scrollbar), true))
              .flatMap(inner -> inner.segments().stream())
              .allMatch(
                  s -> loops(made, s.line().at(s.from())) && loops(made, s.line().at(s.below())));
    }

    private static boolean loops(CarouselBand band, double inner) {
      double item = band.itemOfInner().at(inner);
      return item > 0 && band.items() * (item + band.gap().in(inner)) - item >= inner;
    }

    private static CarouselBand looping(CarouselBand b) {
      return new CarouselBand(
          b.band(),
          b.items(),
          b.asked(),
          b.view(),
          b.gap(),
          b.peek(),
          b.sides(),
          b.stride(),
          true,
          b.axis(),
          b.trackHeight(),
          b.few(),
          b.equalHeights(),
          b.extent(),
          b.width(),
          b.align(),
          b.spaceAbove(),
          b.spaceBelow(),
          b.arrows(),
          b.arrowDistance(),
          b.marks(),
          b.markDistance(),
          b.outer(),
          b.inner());
    }
  }
}
