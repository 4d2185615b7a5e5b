package giostra.core.piece.slider;

import giostra.core.fit.Flow;
import giostra.core.fit.Screen;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.TrackBand;
import giostra.core.page.TrackSettings.Axis;

/** How large the slides of a band are, whatever the width. */
final class SlideSizes {
  /** A slide at a width, px. */
  record Size(double wide, double high, Screen screen) {
    SlideFlow.Stood stood(SlideFlow.Standing standing) {
      return standing.in(wide, high, screen);
    }
  }

  private final TrackBand track;
  private final Flow tallest;

  SlideSizes(TrackBand track, Slider piece, BlockFlows blocks, SlideFlow flow) {
    this.track = track;
    this.tallest =
        Flow.tallest(blocks.shown(piece).stream().map(item -> flow.slide(piece, item)).toList());
  }

  /**
   * Of all of them, since each is as high as the tallest.
   *
   * @param width of the viewport, px
   */
  Size at(int width) {
    var screen = new Screen(width, Screen.USUAL_HEIGHT);
    double wide = track.itemWidth().at(width);
    double high =
        track.axis() == Axis.DOWN ? track.trackHeight().constantPx() : tallest.height(wide, screen);
    return new Size(wide, high, screen);
  }
}
