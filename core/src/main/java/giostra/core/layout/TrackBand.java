package giostra.core.layout;

import giostra.core.band.Band;
import giostra.core.fit.Line;
import giostra.core.fit.Piecewise;
import giostra.core.fit.Stops;
import giostra.core.fit.Track;
import giostra.core.page.BlockSettings.Side;
import giostra.core.page.SectionSettings.Extent;
import giostra.core.page.TrackSettings;
import giostra.core.page.TrackSettings.Arrows;
import giostra.core.page.TrackSettings.Axis;
import giostra.core.page.TrackSettings.Marks;
import giostra.core.value.Length;
import java.util.List;

/**
 * A track in one band, of a carousel or a slider: the values that hold, clamped to what is
 * possible, and its width.
 *
 * @param on places, among the items that show in some band, of those that show in this one
 * @param all whether all items stand in rows instead of on a track
 * @param asked items in view as set
 * @param view items in view that widths are computed for: {@code asked}, or fewer when few items
 *     are stretched
 * @param sides on how many sides a neighbour shows: 0 where nothing moves or the peek is 0
 * @param stride items one move advances, at most {@code view}
 * @param loops whether it goes round: asked for, and possible at every width of the band
 * @param extent how far it reaches; {@code MEASURE} in columns
 * @param outer width of the piece as a function of the viewport's, in px
 * @param inner inner size of the track along its axis as a function of the viewport's width, in px
 */
public record TrackBand(
    Band band,
    List<Integer> on,
    boolean all,
    int asked,
    int view,
    Length gap,
    Length peek,
    int sides,
    int stride,
    boolean loops,
    Axis axis,
    Length trackHeight,
    Side few,
    boolean equalHeights,
    Extent extent,
    Length width,
    Side align,
    Length spaceAbove,
    Length spaceBelow,
    Arrows arrows,
    Length arrowSize,
    Length arrowDistance,
    Marks marks,
    Length markDistance,
    Piecewise outer,
    Piecewise inner) {

  public TrackBand {
    on = List.copyOf(on);
  }

  /** Items on show. */
  public int items() {
    return on.size();
  }

  /** Whether anything moves: without it there are no arrows and no place marks. */
  public boolean moves() {
    return !all && items() > view;
  }

  /** The stops, which do not depend on the width. */
  public Stops stops() {
    int some = Math.max(1, items());
    if (all) {
      return Stops.ending(some, some, 1);
    }
    return loops ? Stops.endless(some, view, stride) : Stops.ending(some, view, stride);
  }

  /** The size of an item along the track as a function of the viewport's width, in px. */
  public Piecewise item() {
    return inner.through(itemOfInner());
  }

  /** The width of an item, which down a track is that of the track. */
  public Piecewise itemWidth() {
    return axis == Axis.ACROSS ? item() : trackWidth();
  }

  /**
   * Width of the piece below which its dots do not fit and become a tally, in px: 24 a dot (WCAG
   * 2.2, 2.5.8 Target Size), and the arrows when they stand in the same row or beside the track.
   */
  public double dotsNeed() {
    double arrows =
        switch (this.arrows) {
          case NONE, OVER -> 0;
          case BELOW -> 2 * (arrowSize.constantPx() + 8);
          case BESIDE -> 2 * (arrowSize.constantPx() + arrowDistance.constantPx());
        };
    return stops().count() * 24.0 + arrows;
  }

  /** The place marks that really show at a viewport width in px. */
  public Marks marksAt(double viewportPx) {
    return marksIn(outer.at(viewportPx));
  }

  /** The place marks that really show where the piece is so wide, px. */
  public Marks marksIn(double outerPx) {
    if (!moves()) {
      return Marks.NONE;
    }
    return marks == Marks.DOTS && outerPx < dotsNeed() ? Marks.TALLY : marks;
  }

  private Piecewise trackWidth() {
    return outer.through(besideArrows()).atLeast(0);
  }

  /** The size of an item as a function of the inner size of the track. */
  public Line itemOfInner() {
    Line gapOf = Line.of(gap);
    Line taken = Line.of(peek).plus(gapOf).times(sides).plus(gapOf.times(view - 1));
    return Line.SAME.minus(taken).times(1.0 / view);
  }

  /**
   * The track at a viewport width in px.
   *
   * @throws giostra.core.value.Refused naming the band when gaps and peek leave no room
   */
  public Track track(double viewportPx) {
    double size = inner.at(viewportPx);
    try {
      return new Track(
          size,
          Math.max(1, items()),
          view,
          gap.in(size),
          // Where nothing moves no neighbour shows.
          sides == 0 ? 0 : peek.in(size),
          Math.max(1, sides),
          stride,
          loops);
    } catch (giostra.core.value.Refused e) {
      throw e.at(band.name());
    }
  }

  /** Width left for the track by arrows that stand beside it. */
  public static Line besideArrows(Arrows arrows, boolean moves, Length size, Length distance) {
    return arrows == Arrows.BESIDE && moves
        ? Line.SAME.minus(Line.of(distance).plus(Line.of(size)).times(2))
        : Line.SAME;
  }

  /** Width left for the track by its arrows. */
  public Line besideArrows() {
    return besideArrows(arrows, moves(), arrowSize, arrowDistance);
  }

  /** The same, going round. */
  public TrackBand looping() {
    return new TrackBand(
        band,
        on,
        all,
        asked,
        view,
        gap,
        peek,
        sides,
        stride,
        true,
        axis,
        trackHeight,
        few,
        equalHeights,
        extent,
        width,
        align,
        spaceAbove,
        spaceBelow,
        arrows,
        arrowSize,
        arrowDistance,
        marks,
        markDistance,
        outer,
        inner);
  }

  /**
   * The band in a plot of widths.
   *
   * @param counted whether the count in view is what it is about
   * @param width what is plotted against the viewport's width, px
   */
  public ItemWidths.InBand widths(boolean counted, Piecewise width) {
    return new ItemWidths.InBand(
        band, view, counted, TrackSettings.IN_VIEW, gap, peek, sides, inner, width);
  }
}
