package giostra.core.snag;

import giostra.core.band.Setting;
import giostra.core.layout.CarouselBand;
import giostra.core.layout.CarouselLayout;
import giostra.core.layout.Containers;
import giostra.core.layout.Resolution;
import giostra.core.page.CarouselSettings;
import giostra.core.page.CarouselSettings.Arrows;
import giostra.core.page.CarouselSettings.Axis;
import giostra.core.page.CarouselSettings.Marks;
import giostra.core.page.Document;
import giostra.core.page.Piece;
import giostra.core.page.SectionSettings.Extent;
import java.util.ArrayList;
import java.util.List;

/**
 * A value that cannot take effect where it stands, with the cause.
 *
 * @param setting id of the setting
 * @param band id of the band
 * @param message why, in one sentence
 * @param cause id of the setting to look at
 */
public record NoEffect(String setting, String band, String message, String cause) {

  /** All values of a carousel that cannot take effect, band by band. */
  public static List<NoEffect> of(Document document, Piece.Carousel piece) {
    var found = new ArrayList<NoEffect>();
    for (CarouselBand band : CarouselLayout.of(document, piece, 0).bands()) {
      new Finder(document, piece, band, found).find();
    }
    return found;
  }

  private record Finder(
      Document document, Piece.Carousel piece, CarouselBand in, List<NoEffect> found) {

    private <T> T value(Setting<T> setting) {
      return Resolution.value(document, piece, setting, in.band());
    }

    private void say(Setting<?> setting, Setting<?> cause, String message) {
      found.add(new NoEffect(setting.id(), in.band().id(), message, cause.id()));
    }

    void find() {
      if (in.moves()) {
        whereItMoves();
      } else {
        whereNothingMoves();
      }
      boolean across = in.axis() == Axis.ACROSS;
      if (across && set(CarouselSettings.TRACK_HEIGHT)) {
        say(
            CarouselSettings.TRACK_HEIGHT,
            CarouselSettings.AXIS,
            "A track that runs across is as high as its items.");
      }
      if (!across && set(CarouselSettings.EQUAL_HEIGHTS)) {
        say(
            CarouselSettings.EQUAL_HEIGHTS,
            CarouselSettings.AXIS,
            "Down a track all items are equally high.");
      }
      if (in.extent() == Extent.MEASURE && value(CarouselSettings.EXTENT) == Extent.EDGE) {
        say(
            CarouselSettings.EXTENT,
            CarouselSettings.WIDTH,
            "It stands in columns, and cannot reach further than they do.");
      }
      if (set(CarouselSettings.ALIGN) && in.outer().least() >= room().least()) {
        say(
            CarouselSettings.ALIGN,
            CarouselSettings.WIDTH,
            "It is as wide as it can be, so it has no room to stand elsewhere.");
      }
    }

    private giostra.core.fit.Piecewise room() {
      return Containers.room(document, piece.id(), in.extent(), in.band(), 0);
    }

    private void whereItMoves() {
      if (in.peek().isZero() && value(CarouselSettings.PEEK_SIDES) != CarouselSettings.Sides.END) {
        say(CarouselSettings.PEEK_SIDES, CarouselSettings.PEEK, "The peek is 0.");
      }
      if (in.sides() == 1 && value(CarouselSettings.PEEK_SIDES) == CarouselSettings.Sides.BOTH) {
        say(
            CarouselSettings.PEEK_SIDES,
            CarouselSettings.IN_VIEW,
            "Only one item is out of view, so there is never a neighbour on both sides.");
      }
      int stride = value(CarouselSettings.STRIDE).items();
      if (stride > in.view() && stride <= 12) {
        say(
            CarouselSettings.STRIDE,
            CarouselSettings.IN_VIEW,
            "One move advances %d: no more than are in view.".formatted(in.view()));
      }
      if (value(CarouselSettings.ENDLESS) && !in.loops()) {
        say(
            CarouselSettings.ENDLESS,
            CarouselSettings.PEEK,
            "With %d items an item would have to show twice, so the track has an end here."
                .formatted(in.items()));
      }
      if (set(CarouselSettings.FEW)) {
        say(
            CarouselSettings.FEW,
            CarouselSettings.IN_VIEW,
            "There are more items (%d) than in view (%d).".formatted(in.items(), in.view()));
      }
      if (value(CarouselSettings.STRETCH_FEW)) {
        say(
            CarouselSettings.STRETCH_FEW,
            CarouselSettings.IN_VIEW,
            "There are more items (%d) than in view (%d).".formatted(in.items(), in.view()));
      }
      if (in.arrows() == Arrows.NONE && set(CarouselSettings.ARROW_DISTANCE)) {
        say(CarouselSettings.ARROW_DISTANCE, CarouselSettings.ARROWS, "There are no arrows.");
      }
      if (in.marks() == Marks.NONE
          && in.arrows() != Arrows.BELOW
          && set(CarouselSettings.MARK_DISTANCE)) {
        say(CarouselSettings.MARK_DISTANCE, CarouselSettings.MARKS, "There are no place marks.");
      }
    }

    private void whereNothingMoves() {
      String why =
          "All %d items are in view (%d), so nothing moves.".formatted(in.items(), in.asked());
      for (Setting<?> setting :
          List.of(
              CarouselSettings.PEEK,
              CarouselSettings.PEEK_SIDES,
              CarouselSettings.STRIDE,
              CarouselSettings.ENDLESS,
              CarouselSettings.ARROWS,
              CarouselSettings.ARROW_DISTANCE,
              CarouselSettings.MARKS,
              CarouselSettings.MARK_DISTANCE)) {
        if (set(setting)) {
          say(setting, CarouselSettings.IN_VIEW, why);
        }
      }
    }

    /** Whether somebody asked for something other than the initial value here. */
    private boolean set(Setting<?> setting) {
      return !value(setting).equals(setting.initial());
    }
  }
}
