package giostra.core.output;

import giostra.core.page.Item;
import giostra.core.page.Tracked;
import giostra.core.room.Rooms;

/**
 * How a kind is written whose items stand on a track.
 *
 * @param <P> the kind
 */
public interface TrackWritten<P extends Tracked> extends Written<P> {
  /** How the kind of such a piece is written. */
  @SuppressWarnings("unchecked") // A room makes the pieces of its kind, so it knows their type.
  static <P extends Tracked> TrackWritten<P> of(P piece) {
    return (TrackWritten<P>) Rooms.of(piece.type().word(), TrackWritten.class);
  }

  /**
   * Writes what stands in an item.
   *
   * @param level of its heading, 1 to 6
   */
  void item(P piece, Item item, int index, int level, Writing writing);

  /** Writes the rules of what stands in its items. */
  void css(P piece, Writing writing);

  /** Whether something in its items moves by itself, such as clips under words. */
  default boolean moves(P piece) {
    return false;
  }

  /** Whether its arrows show what they lead to. */
  default boolean neighbours(P piece) {
    return false;
  }

  @Override
  default void write(P piece, Writing writing) {
    var track = new TrackOutput(writing, piece);
    track.html();
    track.css();
  }

  @Override
  default String sharedSheet() {
    return "track";
  }

  @Override
  default String script() {
    return "track";
  }
}
