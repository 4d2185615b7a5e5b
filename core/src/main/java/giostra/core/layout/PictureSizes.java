package giostra.core.layout;

import giostra.core.fit.Samples;
import giostra.core.value.Aspect;
import giostra.core.value.Focus;
import java.util.List;
import java.util.Optional;

/** Where the sizes of pictures are looked up; one that is not found takes no room. */
@FunctionalInterface
public interface PictureSizes {
  /** Where no picture is known. */
  PictureSizes NONE = _ -> Optional.empty();

  /**
   * Px as stored, before any cropping.
   *
   * @param known whether they are; a picture that stands elsewhere has a place kept for it
   */
  record Size(int width, int height, boolean known) {
    /** The place that is kept for a picture whose pixels are not known: 3 to 2. Practice. */
    public static final Size UNKNOWN = new Size(1200, 800, false);

    /** Known px. */
    public Size(int width, int height) {
      this(width, height, true);
    }

    /** Its own shape. */
    public Aspect aspect() {
      return new Aspect(width, height);
    }
  }

  /**
   * What is seen on a picture.
   *
   * @param focus the point of it that stays in view where it is cut
   */
  record Seen(Samples samples, Focus focus) {}

  /** What is seen on the picture with that id; nothing where its pixels are not known. */
  default Optional<Seen> seen(String id) {
    return Optional.empty();
  }

  /**
   * What is seen on a clip.
   *
   * @param size of its frames, px
   * @param frames some of them, evenly over its time
   */
  record Film(Size size, List<Frame> frames) {
    public Film {
      frames = List.copyOf(frames);
    }
  }

  /**
   * A frame of a clip.
   *
   * @param second when it is seen, from the clip's begin
   */
  record Frame(double second, Samples samples) {}

  /** What is seen on the clip with that id; nothing where nobody has looked at it yet. */
  default Optional<Film> film(String id) {
    return Optional.empty();
  }

  /**
   * Whether nobody has said of the picture with that id what is on it, nor that it is decoration.
   */
  default boolean untold(String id) {
    return false;
  }

  /**
   * A file of a picture or a clip.
   *
   * @param width px across
   * @param bytes on the way: such files are packed in themselves
   */
  record File(int width, long bytes) {}

  /**
   * The files that there are of the picture or clip with that id, narrowest first, its own last;
   * none as long as some are still to be made.
   */
  default List<File> files(String id) {
    return List.of();
  }

  /** The size of the picture with that id. */
  Optional<Size> find(String id);
}
