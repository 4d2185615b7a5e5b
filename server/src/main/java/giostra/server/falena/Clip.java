package giostra.server.falena;

import java.util.List;
import java.util.Optional;

/** What Falena shows; all of it is invented and drawn by us. */
record Clip(String id, String title, String author, int seconds) {
  static final int WIDTH = 640;
  static final int HEIGHT = 360;

  static final List<Clip> ALL =
      List.of(
          new Clip("lamps", "Lamps in the yard", "The lamp keepers", 6),
          new Clip("rain", "Rain on the panes", "The lamp keepers", 6),
          new Clip("moths", "Moths round the last light", "Night wardens", 6));

  /** The clip with an id, if there is one. */
  static Optional<Clip> find(String id) {
    return ALL.stream().filter(clip -> clip.id.equals(id)).findFirst();
  }
}
