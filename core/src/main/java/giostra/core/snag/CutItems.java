package giostra.core.snag;

import giostra.core.fit.Flow;
import giostra.core.fit.Line;
import giostra.core.fit.Screen;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.TrackBand;
import giostra.core.layout.TrackLayout;
import giostra.core.layout.TrackRoom;
import giostra.core.page.Edit;
import giostra.core.page.Item;
import giostra.core.page.TrackSettings;
import giostra.core.page.TrackSettings.Axis;
import giostra.core.page.Tracked;
import giostra.core.value.PickKind;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Items of a track that runs down and hold more than their share of its height: they are cut, or
 * lie over the next.
 */
final class CutItems {
  /** Less than this nobody sees, px. */
  private static final double TOUCH = 1;

  /** The item that is cut most. */
  private record Cut(Item item, double high) {}

  private final Looked at;
  private final Tracked piece;
  private final TrackBand track;
  private final double room;
  private final Map<Item, Flow> items;

  private CutItems(Looked at, Tracked piece, TrackBand track) {
    this.at = at;
    this.piece = piece;
    this.track = track;
    var blocks = new BlockFlows(at.document(), track.band(), at.pictures(), at.scrollbar());
    this.items =
        blocks.shown(piece).stream()
            .collect(
                Collectors.toMap(
                    item -> item, item -> TrackRoom.of(piece).content(piece, item, blocks)));
    this.room = track.itemOfInner().at(track.trackHeight().constantPx());
  }

  static List<Snag> check(Looked at, Tracked piece) {
    return TrackLayout.of(at.document(), piece, at.scrollbar()).bands().stream()
        .filter(track -> track.axis() == Axis.DOWN)
        .flatMap(track -> new CutItems(at, piece, track).found().stream())
        .toList();
  }

  private List<Snag> found() {
    return Runs.worst(track.band(), this::cut, Comparator.comparingDouble(Cut::high)).stream()
        .map(run -> {
          Cut most = run.worst();
          Setting<?> height = TrackRoom.of(piece).height();
          String said =
              Said.of(
                  "cut-item",
                  "px",
                  Math.round(room),
                  "high",
                  Math.round(most.high),
                  "from",
                  run.from(),
                  "to",
                  run.to());
          return Snag.of(
                  Rule.CUT_OFF, piece.id(), Extent.of(run.from(), run.to(), track.band()), said)
              .of(most.item.id())
              .about(height.id(), TrackSettings.AXIS.id())
              .measured(Math.round(most.high), Math.round(room), Measure.Unit.PX)
              .withFixes(ways(height, run.from(), run.to()));
        })
        .toList();
  }

  private Optional<Cut> cut(int width) {
    double wide = track.itemWidth().at(width);
    // Where there is no room at all, another rule says so.
    if (!(wide > 0 && room > 0)) {
      return Optional.empty();
    }
    var screen = new Screen(width, Screen.USUAL_HEIGHT);
    return items.entrySet().stream()
        .map(each -> new Cut(each.getKey(), each.getValue().height(wide, screen)))
        .filter(each -> each.high > room + TOUCH)
        .max(Comparator.comparingDouble(Cut::high));
  }

  /** As high as it takes at every width of a run, fewer at a time, or across. */
  private List<Snag.Fix> ways(Setting<?> height, int from, int to) {
    double high = 0;
    for (int width = from; width <= to; width++) {
      high = Math.max(high, cut(width).map(Cut::high).orElse(0.0));
    }
    var ways = new ArrayList<Snag.Fix>();
    Line share = track.itemOfInner();
    if (share.slope() > 0) {
      int asked = (int) Math.ceil((high - share.constant()) / share.slope());
      ways.add(
          Snag.Fix.of(
              Said.of("track-higher", "px", asked),
              new Edit.SetValue(piece.id(), height.id(), track.band().id(), asked + "px")));
    }
    if (track.view() > 1 && !piece.oneByOne()) {
      ways.add(
          Snag.Fix.of(
              Said.of("fewer-in-view", "n", track.view() - 1),
              new Edit.SetValue(
                  piece.id(), TrackSettings.IN_VIEW.id(), track.band().id(), track.view() - 1)));
    }
    ways.add(
        Snag.Fix.of(
            Said.of("track-across"),
            new Edit.SetValue(
                piece.id(),
                TrackSettings.AXIS.id(),
                track.band().id(),
                PickKind.word(Axis.ACROSS))));
    return ways;
  }
}
