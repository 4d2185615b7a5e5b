package giostra.core.page;

import giostra.core.band.Band;
import giostra.core.look.Part;
import giostra.core.look.Values;
import giostra.core.page.Fields.Field;
import giostra.core.page.Starters.Starter;
import giostra.core.room.Room;
import giostra.core.value.Aspect;
import giostra.core.value.Setting;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What a kind of piece says to documents. */
public interface PieceRoom extends Room {
  /** A piece of the kind. */
  Piece piece(String id, Values values, List<Item> items);

  /** The fields of its items that a piece with such values uses, in reading order. */
  List<Field> fields(Values values);

  /** The same for each of the words by which a piece of the kind decides; one, empty, for most. */
  default Map<String, List<Field>> fieldsByWord() {
    return Map.of("", fields(Values.NONE));
  }

  /** Whether a field is words that stand on an item, and not at its mark alone. */
  default boolean reads(Setting<?> field) {
    return true;
  }

  /** Parts of the kind that the piece does not have as it is set. */
  default Set<Part> hidden(Piece piece) {
    return Set.of();
  }

  /** The shape that the pictures of its items are cut to in a band, where settings name one. */
  default Optional<Aspect> shape(Document document, Piece piece, Band band) {
    return Optional.empty();
  }

  /** Pieces of the kind to start with. */
  List<Starter> starters();
}
