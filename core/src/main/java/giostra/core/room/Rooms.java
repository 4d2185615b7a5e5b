package giostra.core.room;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.ServiceLoader;

/** All kinds of pieces there are, in the order in which people see them. */
public final class Rooms {
  private static final Map<String, Room> ALL = new LinkedHashMap<>();

  static {
    for (Room room : ServiceLoader.load(Room.class, Rooms.class.getClassLoader())) {
      if (ALL.put(room.word(), room) != null) {
        throw new IllegalStateException(room.word() + " is a kind twice");
      }
    }
  }

  private static final List<Room> IN_ORDER = List.copyOf(ALL.values());
  private static final List<String> WORDS = List.copyOf(ALL.keySet());

  private Rooms() {}

  /** All of them. */
  public static List<Room> all() {
    return IN_ORDER;
  }

  /** Their names in documents. */
  public static List<String> words() {
    return WORDS;
  }

  /**
   * What a kind says to one who asks.
   *
   * @param word its name in documents
   * @param as what is asked
   * @throws IllegalStateException when there is no such kind, or it does not say that
   */
  public static <R extends Room> R of(String word, Class<R> as) {
    Room room = ALL.get(word);
    if (!as.isInstance(room)) {
      throw new IllegalStateException(word + " is no kind that is " + as.getSimpleName());
    }
    return as.cast(room);
  }
}
