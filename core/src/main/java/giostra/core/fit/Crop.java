package giostra.core.fit;

import giostra.core.value.Aspect;
import giostra.core.value.Focus;
import giostra.core.value.Require;

/**
 * A picture in a box. Source: CSS Images 3, "Sizing Objects: the object-fit property" and
 * "Positioning Objects: the object-position property".
 *
 * @param boxWidth px
 * @param boxHeight px
 * @param width of the picture, px
 * @param height of the picture, px
 * @param focus the point of the picture that lies at the same share of the box
 */
public record Crop(
    double boxWidth, double boxHeight, double width, double height, Fit fit, Focus focus) {
  /** How a picture takes to its box. */
  public enum Fit {
    COVER,
    CONTAIN,
    NONE
  }

  public Crop {
    Require.above(0, "box width (px)", boxWidth);
    Require.above(0, "box height (px)", boxHeight);
    Require.above(0, "picture width (px)", width);
    Require.above(0, "picture height (px)", height);
  }

  /** Screen px for a px of the picture. */
  public double scale() {
    return switch (fit) {
      case COVER -> Math.max(boxWidth / width, boxHeight / height);
      case CONTAIN -> Math.min(boxWidth / width, boxHeight / height);
      case NONE -> 1;
    };
  }

  /** Where the picture's left edge lies, in px from the box's. */
  public double left() {
    return (boxWidth - width * scale()) * focus.x() / 100;
  }

  /** Where the picture's top edge lies, in px from the box's. */
  public double top() {
    return (boxHeight - height * scale()) * focus.y() / 100;
  }

  /** The part of the picture that shows, in px of the picture. */
  public Part shown() {
    double scale = scale();
    double x = Math.max(0, -left() / scale);
    double y = Math.max(0, -top() / scale);
    return new Part(
        x,
        y,
        Math.min(width, (boxWidth - left()) / scale) - x,
        Math.min(height, (boxHeight - top()) / scale) - y);
  }

  /** How much of the picture shows, 0 to 1. */
  public double share() {
    return shown().width() * shown().height() / (width * height);
  }

  /** How many screen px have to be made of one px of the picture; above 1 it is enlarged. */
  public double enlarged(double density) {
    return scale() * density;
  }

  /** How wide a picture is drawn that stands whole in a box, as a share of the box's width. */
  public static double within(Aspect box, Aspect picture) {
    return Math.min(1, picture.ratio() / box.ratio());
  }

  /** A part of a picture, in its px. */
  public record Part(double x, double y, double width, double height) {}

  /** How wide a picture is drawn that covers a box so wide and high, as a multiple of its width. */
  public static double covering(Aspect box, Aspect picture) {
    return Math.max(1, picture.ratio() / box.ratio());
  }
}
