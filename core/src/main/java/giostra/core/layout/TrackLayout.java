package giostra.core.layout;

import giostra.core.anatomy.TrackParts;
import giostra.core.band.Band;
import giostra.core.band.Viewport;
import giostra.core.fit.Line;
import giostra.core.fit.Piecewise;
import giostra.core.fit.Track;
import giostra.core.look.Property;
import giostra.core.page.BlockSettings.Side;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.PieceSettings;
import giostra.core.page.SectionSettings.Extent;
import giostra.core.page.TrackSettings;
import giostra.core.page.TrackSettings.Axis;
import giostra.core.page.TrackSettings.Form;
import giostra.core.page.TrackSettings.Sides;
import giostra.core.page.Tracked;
import giostra.core.value.Length;
import giostra.core.value.Setting;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A track over all bands.
 *
 * @param bands narrowest first, as the site's
 */
public record TrackLayout(List<TrackBand> bands) {
  public TrackLayout {
    bands = List.copyOf(bands);
  }

  /**
   * Lays the track of a carousel or slider out.
   *
   * @param scrollbar width of a classic scrollbar in px, 0 where it overlays the page
   */
  public static TrackLayout of(Document document, Tracked piece, double scrollbar) {
    return new TrackLayout(
        document.bands().all().stream().map(band -> in(document, piece, band, scrollbar)).toList());
  }

  /** The track in one band. */
  public static TrackBand in(Document document, Tracked piece, Band band, double scrollbar) {
    return new Maker(document, piece, band, scrollbar).make();
  }

  /** The band that a viewport width falls in. */
  public TrackBand at(double viewportPx) {
    return bands.stream().filter(b -> b.band().holds(viewportPx)).findFirst().orElseThrow();
  }

  /**
   * The item that each place mark stands for, by its place among the items on show: the first that
   * its stop shows in the widest band that has so many stops. Names and thumbnails are those of it.
   */
  public List<Integer> marked() {
    int most = bands.stream().mapToInt(b -> b.stops().count()).max().orElse(0);
    return IntStream.range(0, most)
        .map(stop ->
            bands.reversed().stream()
                .filter(b -> stop < b.stops().count() && b.items() > 0)
                .findFirst()
                .map(b -> b.on().get(b.stops().starts().get(stop)))
                .orElse(0))
        .boxed()
        .toList();
  }

  /** Item width against viewport width over all bands: the saw-tooth. */
  public Piecewise itemWidth() {
    return Piecewise.joined(bands.stream().map(TrackBand::itemWidth).toList());
  }

  /** Reads the values of one band and clamps them. */
  private record Maker(Document document, Tracked piece, Band band, double scrollbar) {

    private <T> T value(Setting<T> setting) {
      return Resolution.value(document, piece, setting, band);
    }

    private List<Integer> on() {
      List<Item> some = piece.onShow();
      return IntStream.range(0, some.size())
          .filter(i -> some.get(i).onShow(document.bands(), band))
          .boxed()
          .toList();
    }

    TrackBand make() {
      boolean slides = piece.oneByOne();
      List<Integer> on = on();
      boolean all = value(TrackSettings.FORM) == Form.ALL;
      int asked = slides ? 1 : value(TrackSettings.IN_VIEW);
      boolean few = on.size() <= asked;
      boolean stretch = !slides && few && value(TrackSettings.STRETCH_FEW);
      int view = stretch ? Math.max(1, on.size()) : asked;
      boolean moves = !all && on.size() > view;
      Length peek = slides ? Length.px(0) : value(TrackSettings.PEEK);
      Extent extent =
          Containers.inSection(document, piece.id()) ? value(PieceSettings.EXTENT) : Extent.MEASURE;
      Piecewise outer = Containers.outer(document, piece, band, scrollbar);
      TrackBand made =
          new TrackBand(
              band,
              on,
              all,
              asked,
              view,
              value(TrackSettings.GAP),
              peek,
              moves && !peek.isZero() ? Math.min(sides(), on.size() - view) : 0,
              slides ? 1 : value(TrackSettings.STRIDE).in(view),
              false,
              all ? Axis.ACROSS : value(TrackSettings.AXIS),
              trackHeight(),
              slides ? Side.START : value(TrackSettings.FEW),
              slides || value(TrackSettings.HEIGHTS) == TrackSettings.Heights.ALL,
              extent,
              value(PieceSettings.WIDTH),
              value(PieceSettings.ALIGN),
              value(PieceSettings.SPACE_ABOVE),
              value(PieceSettings.SPACE_BELOW),
              arrows(),
              arrowSize(),
              value(TrackSettings.ARROW_DISTANCE),
              value(TrackSettings.MARKS),
              value(TrackSettings.MARK_DISTANCE),
              outer,
              inner(outer, moves, all));
      return value(TrackSettings.ENDLESS) && loopsEverywhere(made) ? made.looping() : made;
    }

    private int sides() {
      return value(TrackSettings.PEEK_SIDES) == Sides.BOTH ? 2 : 1;
    }

    private Length arrowSize() {
      return new PartBox(TrackParts.ARROW, Resolution.scope(document, piece), band)
          .of(Property.SIZE);
    }

    private TrackSettings.Arrows arrows() {
      return value(TrackRoom.of(piece).arrows());
    }

    private Length trackHeight() {
      return TrackRoom.of(piece).trackHeight(document, piece, band);
    }

    private Piecewise inner(Piecewise outer, boolean moves, boolean all) {
      if (!all && value(TrackSettings.AXIS) == Axis.DOWN) {
        return outer.through(new Line(0, trackHeight().constantPx()));
      }
      Line beside =
          TrackBand.besideArrows(arrows(), moves, arrowSize(), value(TrackSettings.ARROW_DISTANCE));
      return outer.through(beside).atLeast(0);
    }

    /**
     * What is compiled cannot know the visitor's scrollbar, so it must be possible without one and
     * with the widest. The condition is linear in the inner width: the ends of segments decide.
     */
    private boolean loopsEverywhere(TrackBand made) {
      return made.moves()
          && Stream.of(0.0, Viewport.WIDEST_SCROLLBAR)
              .map(bar -> inner(Containers.outer(document, piece, band, bar), true, false))
              .flatMap(inner -> inner.segments().stream())
              .allMatch(
                  s -> loops(made, s.line().at(s.from())) && loops(made, s.line().at(s.below())));
    }

    private static boolean loops(TrackBand band, double inner) {
      double item = band.itemOfInner().at(inner);
      return Track.fills(band.items(), item, band.gap().in(inner), inner);
    }
  }
}
