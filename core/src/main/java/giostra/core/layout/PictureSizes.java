package giostra.core.layout;

import giostra.core.band.Aspect;
import java.util.Optional;

/** Where the sizes of pictures are looked up; one that is not found takes no room. */
@FunctionalInterface
public interface PictureSizes {
  /** Px as stored, before any cropping. */
  record Size(int width, int height) {
    /** Its own shape. */
    public Aspect aspect() {
      return new Aspect(width, height);
    }
  }

  /** The size of the picture with that id. */
  Optional<Size> find(String id);
}
