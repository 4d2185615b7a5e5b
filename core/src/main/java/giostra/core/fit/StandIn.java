package giostra.core.fit;

import giostra.core.value.Stand;
import java.util.Optional;

/**
 * How letters that a machine has are drawn so that they take the room of a family that has not come
 * yet: as wide on the whole, and as far over and under their line. Source: CSS Fonts 5, "The
 * size-adjust descriptor", "Default font metrics overriding".
 *
 * @param size of 1, what they are drawn at
 * @param above of the size that they are then drawn at
 * @param below likewise
 */
public record StandIn(double size, double above, double below) {
  /** From here on letters are bold. Ours, between regular, 400, and bold, 700. */
  public static final int BOLD_FROM = 600;

  /** What is compared: of the letters about as many as texts have of them; our own words. */
  static final String WORDS =
      "The lamps went down one aisle at a time, and then the moonflowers opened while we stood"
          + " there. Nobody spoke. Doors open at seven; bring a coat, the far room is cold.";

  /**
   * The one of a family in a stand's letters; none where there is nothing like it, or where the
   * family is not there or says of its letters that they are far from as wide as any.
   */
  public static Optional<StandIn> of(String family, Stand stand, boolean bold) {
    Shaper shaper = HarfBuzz.shipped();
    Optional<Shaper.Reach> found = shaper.reach(family);
    if (stand == Stand.HAND || found.isEmpty()) {
      return Optional.empty();
    }
    double own = shaper.width(WORDS, family, bold ? 700 : 400, Shaper.Manner.RUNNING);
    double size = own / Shaper.EM / wide(stand, bold);
    Shaper.Reach reach = found.get();
    return size > 1 / MOST && size < MOST
        ? Optional.of(new StandIn(size, reach.above() / size, reach.below() / size))
        : Optional.empty();
  }

  /** How many times as wide letters may be as others; ours. */
  private static final double MOST = 3;

  /**
   * How wide the words are in a stand's letters, in font sizes: measured of the Liberation fonts,
   * which are as wide as those that other machines have by the other names. StandInTest measures
   * them again.
   */
  static double wide(Stand stand, boolean bold) {
    return switch (stand) {
      case SANS -> bold ? 80.457 : 75.043;
      case SERIF -> bold ? 71.333 : 67.704;
      // All letters are as wide. Source: the fonts' own advance, 1229 of 2048 units.
      case CODE -> WORDS.length() * 1229 / 2048.0;
      case HAND -> throw new IllegalArgumentException("nothing stands in for a hand");
    };
  }
}
