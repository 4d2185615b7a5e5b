package giostra.core.output;

import giostra.core.value.Focus;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A picture cut about its focal point, never enlarged, for those who are sent the address of a page
 * and see its picture beside it. Source of the shapes: common practice, no source; 1.91 to 1 where
 * there is room for a wide one, a square beside a few words. JPEG, since not all of them read more.
 *
 * @param width px
 * @param height px
 * @param path relative to the page
 */
public record SharePicture(int width, int height, String path) {
  /** The shapes, at the px that are enough. */
  private enum Shape {
    WIDE(1200, 630),
    SQUARE(1200, 1200);

    private final int width;
    private final int height;

    Shape(int width, int height) {
      this.width = width;
      this.height = height;
    }
  }

  /** Less than that is not shown. Practice, no source. */
  private static final int LEAST = 200;

  /** Width and height in px. */
  public record Size(int width, int height) {}

  /** The sizes in which a picture of so many px is cut, the wide one first. */
  public static List<Size> sizes(int width, int height) {
    return Stream.of(Shape.values()).flatMap(shape -> size(shape, width, height).stream()).toList();
  }

  private static Optional<Size> size(Shape shape, int width, int height) {
    double scale =
        Math.min(1, Math.min((double) width / shape.width, (double) height / shape.height));
    var size = new Size((int) (shape.width * scale), (int) Math.round(shape.height * scale));
    return size.width() >= LEAST ? Optional.of(size) : Optional.empty();
  }

  /** What there is of a picture; none where it cannot be cut. */
  static List<SharePicture> of(Shipped.Picture picture) {
    boolean cut =
        switch (picture.type()) {
          case "image/jpeg", "image/png", "image/webp" -> true;
          default -> false;
        };
    if (picture.isRemote() || !cut) {
      return List.of();
    }
    String start = picture.path().substring(0, picture.path().lastIndexOf('.'));
    return sizes(picture.width(), picture.height()).stream()
        .map(size ->
            new SharePicture(size.width(), size.height(), start + ending(size, picture.focus())))
        .toList();
  }

  /** What the name of the file ends with: all that it depends on. */
  private static String ending(Size size, Focus focus) {
    return "-"
        + size.width()
        + "x"
        + size.height()
        + "at"
        + Math.round(focus.x())
        + "-"
        + Math.round(focus.y())
        + ".jpg";
  }
}
