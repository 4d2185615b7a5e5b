package giostra.core.fit;

import giostra.core.value.Further;
import giostra.core.value.Typeface;
import java.util.Arrays;
import java.util.Optional;
import java.util.Set;

/** Shapes text with the fonts that ship: what a browser does before it knows how wide a word is. */
public interface Shaper {
  /** Units that widths are told in: so many are the size of the font. */
  double EM = 1000;

  /**
   * The families that there are: {@link Typeface}s, and those that draw {@link Further} letters.
   */
  Set<String> families();

  /** Whether it is one of them, or one of a site's own that is there. */
  boolean knows(String family);

  /** Whether a family has a character of its own. */
  boolean has(String family, int codePoint);

  /** The first that draws a character which a family has not. */
  default Optional<Further> further(int codePoint) {
    return Arrays.stream(Further.values())
        .filter(each -> has(each.family(), codePoint))
        .findFirst();
  }

  /** How letters are set. */
  enum Manner {
    RUNNING,
    /** With space between letters, which takes ligatures apart. Source: CSS Text 3. */
    SPACED,
    /** Figures of one width, as high as capitals. Source: CSS Fonts 4, "font-variant-numeric". */
    FIGURES
  }

  /**
   * How far letters of a family reach over and under their line, as shares of the font size.
   *
   * @param above positive
   * @param below positive as well
   */
  record Reach(double above, double below) {}

  /** The reach of a family, as a browser makes room for it; nothing where it is not there. */
  Optional<Reach> reach(String family);

  /**
   * How wide a run of text is on one line, in thousandths of the font size, with kerning and
   * ligatures. What the family has not is drawn by {@link Further} ones.
   *
   * @param weight 1 to 1000; the nearest that the family has
   */
  double width(String text, String family, int weight, Manner manner);
}
