package giostra.core.snag;

import giostra.core.look.Part;
import giostra.core.page.Document;
import giostra.core.page.Piece;
import giostra.core.page.PieceRoom;
import giostra.core.room.Rooms;
import java.util.List;
import java.util.Optional;

/**
 * What can be wrong with a kind of piece that cannot with others.
 *
 * @param <P> the kind
 */
public interface Judged<P extends Piece> extends PieceRoom {
  /** What can be wrong with the kind of a piece. */
  @SuppressWarnings("unchecked") // A room makes the pieces of its kind, so it knows their type.
  static <P extends Piece> Judged<P> of(P piece) {
    return (Judged<P>) Rooms.of(piece.type().word(), Judged.class);
  }

  /** Says which of its settings cannot take effect in a band. */
  void idle(P piece, Asked asked);

  /** What a rule finds of it beside what it finds of all kinds. */
  default List<Snag> found(Rule rule, P piece, Looked at) {
    return List.of();
  }

  /** Contrasts of parts of it that are not read against what usually lies under them. */
  default List<? extends Contrasted> contrasts(Document document, P piece) {
    return List.of();
  }

  /** Whether an item of it shows something though all its fields are empty. */
  default boolean showsAnyway() {
    return false;
  }

  /** What a part of it stands on as it is set, where another of its kind may stand elsewhere. */
  default Optional<Part> under(P piece, Part part) {
    return Optional.empty();
  }

  /** Whether a part of it has the ground that its kind has only where somebody says so. */
  default boolean isBare(P piece, Part part) {
    return false;
  }

  /** Whether a part of a piece, where it is current, is told by what it has under it. */
  default boolean fillsCurrent(P piece, Part part) {
    return false;
  }
}
