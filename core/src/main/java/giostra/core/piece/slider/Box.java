package giostra.core.piece.slider;

/**
 * Where something stands on a slide, px from the left and from above of it.
 *
 * @param width px
 * @param height px
 */
public record Box(double x, double y, double width, double height) {
  /** How much two have in common along the shorter way, px; 0 for nothing. */
  double over(Box other) {
    double across = Math.min(x + width, other.x + other.width) - Math.max(x, other.x);
    double down = Math.min(y + height, other.y + other.height) - Math.max(y, other.y);
    return Math.max(0, Math.min(across, down));
  }

  /** The same so far from there. */
  Box moved(double across, double down) {
    return new Box(x + across, y + down, width, height);
  }

  /** How far it stands out of something that begins at 0, px; 0 where it does not. */
  double out(double wide, double high) {
    return Math.max(0, Math.max(Math.max(-x, -y), Math.max(x + width - wide, y + height - high)));
  }
}
