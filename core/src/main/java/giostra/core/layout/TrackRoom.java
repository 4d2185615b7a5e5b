package giostra.core.layout;

import giostra.core.band.Band;
import giostra.core.fit.Flow;
import giostra.core.fit.Piecewise;
import giostra.core.layout.Heights.Measured;
import giostra.core.look.Part;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.TrackSettings.Arrows;
import giostra.core.page.Tracked;
import giostra.core.room.Rooms;
import giostra.core.value.Length;
import giostra.core.value.Setting;
import java.util.List;
import java.util.Optional;

/**
 * How a kind is laid out whose items stand on a track.
 *
 * @param <P> the kind
 */
public interface TrackRoom<P extends Tracked> extends LaidOut<P> {
  /** How the kind of such a piece is laid out. */
  @SuppressWarnings("unchecked") // A room makes the pieces of its kind, so it knows their type.
  static <P extends Tracked> TrackRoom<P> of(P piece) {
    return (TrackRoom<P>) Rooms.of(piece.type().word(), TrackRoom.class);
  }

  /** A whole item in one band. */
  Flow item(P piece, Item item, BlockFlows blocks);

  /** What an item takes to be seen whole, however high it is asked to be. */
  default Flow content(P piece, Item item, BlockFlows blocks) {
    return item(piece, item, blocks);
  }

  /** What of an item is high. */
  Heights.Part part();

  /** The part of an item that throws a shadow over its ends; of most kinds there is none. */
  default Optional<Part> throwing(P piece) {
    return Optional.empty();
  }

  /** Where its arrows stand. */
  Setting<Arrows> arrows();

  /** What says how high a track is that runs down. */
  Setting<?> height();

  /** How high a track is that runs down. */
  Length trackHeight(Document document, P piece, Band band);

  @Override
  default Flow flow(P piece, BlockFlows blocks) {
    return new TrackFlows(blocks).track(piece, item -> item(piece, item, blocks));
  }

  @Override
  default List<Measured> measured(P piece, BlockFlows blocks, Piecewise outer) {
    Piecewise room =
        TrackLayout.in(blocks.document(), piece, blocks.band(), blocks.scrollbar()).itemWidth();
    return blocks.shown(piece).stream()
        .map(item -> new Measured(item, part(), item(piece, item, blocks), room))
        .toList();
  }

  @Override
  default Piecewise words(P piece, PictureWidths widths) {
    return TrackLayout.in(widths.document(), piece, widths.band(), 0).itemWidth();
  }
}
