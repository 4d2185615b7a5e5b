package giostra.core.layout;

import giostra.core.anatomy.TrackParts;
import giostra.core.fit.Flow;
import giostra.core.fit.Line;
import giostra.core.fit.Screen;
import giostra.core.look.Property;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.TrackSettings.Arrows;
import giostra.core.page.TrackSettings.Axis;
import giostra.core.page.TrackSettings.Marks;
import giostra.core.page.Tracked;
import java.util.List;
import java.util.function.Function;

/** Tracks, with what stands under them, as they flow in one band. */
final class TrackFlows {
  private final BlockFlows blocks;

  TrackFlows(BlockFlows blocks) {
    this.blocks = blocks;
  }

  /**
   * A whole track.
   *
   * @param item how an item flows
   */
  Flow track(Tracked piece, Function<Item, Flow> item) {
    TrackBand in = TrackLayout.in(blocks.document(), piece, blocks.band(), 0);
    List<Flow> each = blocks.shown(piece).stream().map(item).toList();
    Line room = in.besideArrows();
    Flow view =
        in.axis() == Axis.DOWN
            ? Flow.fixed(in.trackHeight().constantPx())
            : in.all()
                ? Flow.rows(each, in.view(), Line.of(in.gap()), false)
                : Flow.tallest(each).within(in.itemOfInner(), 0);
    double arrow = in.moves() && in.arrows() == Arrows.BESIDE ? in.arrowSize().constantPx() : 0;
    Flow frame = view.within(room, 0).atLeast(Flow.fixed(arrow));
    // What stands under the track is as wide as the track, not as the arrows beside it too.
    return (width, screen) ->
        frame.height(width, screen) + below(in, piece, width, Math.max(1, room.at(width)), screen);
  }

  /**
   * Marks and arrows that stand under a track share a row.
   *
   * @param outer width of the whole piece, px
   * @param width what there is for the marks, px
   */
  private double below(TrackBand in, Tracked piece, double outer, double width, Screen screen) {
    if (!in.moves()) {
      return 0;
    }
    double arrows =
        in.arrows() == Arrows.BELOW
            ? in.arrowDistance().constantPx() + in.arrowSize().constantPx()
            : 0;
    Marks marks = in.marksIn(outer);
    double high =
        marks == Marks.NONE
            ? 0
            : in.markDistance().constantPx()
                + Math.max(24, marks(marks, in, piece).height(width, screen));
    return Math.max(arrows, high);
  }

  private Flow marks(Marks marks, TrackBand in, Tracked piece) {
    int stops = in.stops().count();
    return switch (marks) {
      case NONE, DOTS, BAR -> Flow.fixed(24);
      case TALLY -> blocks.words(piece, TrackParts.TALLY).of("0", blocks.locale());
      case THUMBNAILS ->
          Flow.wrapping(java.util.Collections.nCopies(stops, new Flow.Box(72, 48)), 10, 10);
      case NAMES -> names(in, piece);
    };
  }

  /** Names in a row that wraps; one that is wider than the row wraps in itself. */
  private Flow names(TrackBand in, Tracked piece) {
    List<Integer> marked =
        TrackLayout.of(blocks.document(), piece, 0).marked().subList(0, in.stops().count());
    PartBox name = blocks.part(piece, TrackParts.NAME);
    double across = name.sides();
    double down = name.px(Property.PADDING_ABOVE) + name.px(Property.PADDING_BELOW) + name.line();
    List<TextStyle.Text> words =
        marked.stream()
            .map(i -> name.words().of(Fields.called(piece.onShow().get(i), i), blocks.locale()))
            .toList();
    return (width, screen) ->
        Flow.wrapping(
                words.stream()
                    .map(text ->
                        new Flow.Box(
                            Math.min(width, text.natural(screen) + across),
                            text.height(Math.max(1, width - across), screen) + down))
                    .toList(),
                10,
                10)
            .height(width, screen);
  }
}
