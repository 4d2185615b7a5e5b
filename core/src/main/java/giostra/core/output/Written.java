package giostra.core.output;

import giostra.core.page.Piece;
import giostra.core.page.PieceRoom;
import giostra.core.room.Rooms;
import java.util.List;

/**
 * How a kind of piece is written.
 *
 * @param <P> the kind
 */
public interface Written<P extends Piece> extends PieceRoom {
  /** How the kind of a piece is written. */
  @SuppressWarnings("unchecked") // A room makes the pieces of its kind, so it knows their type.
  static <P extends Piece> Written<P> of(P piece) {
    return (Written<P>) Rooms.of(piece.type().word(), Written.class);
  }

  /** Writes the markup and the rules of a piece. */
  void write(P piece, Writing writing);

  /**
   * Names of its sheets, which lie beside its class: first the one that all its pieces need, then
   * those that a piece asks for ({@link Writing#parts}).
   */
  default List<String> sheets() {
    return List.of(word());
  }

  /** The sheet that it shares with others, which comes before its own; empty for none. */
  default String sharedSheet() {
    return "";
  }

  /** The name of the page script that brings it to life. */
  default String script() {
    return word();
  }

  /** Names of the icons that it shows of itself, whatever its items ask for. */
  default List<String> icons() {
    return List.of();
  }

  /** Says where its parts are found in the markup. */
  void places(Where.Places to);
}
