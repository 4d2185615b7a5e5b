package giostra.core.fit;

import java.util.Set;

/** Shapes text with the fonts that ship: what a browser does before it knows how wide a word is. */
public interface Shaper {
  /** Units that widths are told in: so many are the size of the font. */
  double EM = 1000;

  /** The families that there are. */
  Set<String> families();

  /** Whether a family has a character. */
  boolean has(String family, int codePoint);

  /** How letters are set. */
  enum Manner {
    RUNNING,
    /** With space between letters, which takes ligatures apart. Source: CSS Text 3. */
    SPACED,
    /** Figures of one width, as high as capitals. Source: CSS Fonts 4, "font-variant-numeric". */
    FIGURES
  }

  /**
   * How wide a run of text is on one line, in thousandths of the font size, with kerning and
   * ligatures.
   *
   * @param weight 1 to 1000; the nearest that the family has
   */
  double width(String text, String family, int weight, Manner manner);
}
