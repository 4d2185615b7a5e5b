package giostra.core.fit;

import giostra.core.value.Refused;
import giostra.core.value.Require;
import java.util.List;
import java.util.Set;

/**
 * One of the families that ship with a page, at a weight: how wide what is set in it is.
 *
 * @param family its name in the files that ship
 * @param weight 1 to 1000. Source: CSS Fonts 4, "font-weight"
 */
public record Face(String family, int weight) {
  private static final Shaper SHAPER = HarfBuzz.shipped();

  private static final Set<Character.UnicodeScript> CURSIVE =
      Set.of(
          Character.UnicodeScript.ARABIC,
          Character.UnicodeScript.SYRIAC,
          Character.UnicodeScript.MANDAIC,
          Character.UnicodeScript.MONGOLIAN,
          Character.UnicodeScript.NKO,
          Character.UnicodeScript.PHAGS_PA);

  public Face {
    Require.within(1, 1000, "weight of a face", weight);
    if (!SHAPER.families().contains(family)) {
      throw new Refused(
          "family of a face", family, "one of " + String.join(", ", SHAPER.families()));
    }
  }

  /**
   * The face of a family at a weight.
   *
   * @throws Refused naming the families there are
   */
  public static Face of(String family, int weight) {
    return new Face(family, weight);
  }

  /**
   * The size in px that letters of a size are drawn at: fonts are scaled in 64ths of a px, cut and
   * not rounded. Found by measuring; FreeType keeps sizes so.
   */
  public static double drawn(double sizePx) {
    return Math.floor(sizePx * 64) / 64;
  }

  /** Whether it has a character. */
  public boolean has(int codePoint) {
    return SHAPER.has(family, codePoint);
  }

  /**
   * Characters of a text that it does not have, each once; those that nothing is drawn for aside.
   */
  public List<String> missing(String text) {
    return text.codePoints()
        .filter(c -> !Character.isWhitespace(c) && !has(c) && !unseen(c))
        .distinct()
        .mapToObj(Character::toString)
        .toList();
  }

  /** Joiners, marks of direction, selectors of a variant. */
  static boolean unseen(int codePoint) {
    return Character.getType(codePoint) == Character.FORMAT
        || (codePoint >= 0xfe00 && codePoint <= 0xfe0f);
  }

  /**
   * The width of a run of text in px, on one line.
   *
   * @param sizePx font size in px
   * @param spacingPx letter spacing in px, added after each character
   */
  public double width(CharSequence text, double sizePx, double spacingPx) {
    String whole = text.toString();
    if (whole.isEmpty()) {
      return 0;
    }
    return SHAPER.width(
                whole,
                family,
                weight,
                spacingPx == 0 ? Shaper.Manner.RUNNING : Shaper.Manner.SPACED)
            * drawn(sizePx)
            / Shaper.EM
        + (spacingPx == 0 ? 0 : whole.codePoints().filter(c -> !cursive(c)).count() * spacingPx);
  }

  /** The width of a number in px whose figures are all as wide. */
  public double figures(String text, double sizePx) {
    return text.isEmpty()
        ? 0
        : SHAPER.width(text, family, weight, Shaper.Manner.FIGURES) * drawn(sizePx) / Shaper.EM;
  }

  /**
   * Whether letters are joined, and so not spaced. Source: CSS Text 3, "Cursive Scripts"; which
   * those are was found by measuring in Chromium.
   */
  private static boolean cursive(int codePoint) {
    return CURSIVE.contains(Character.UnicodeScript.of(codePoint));
  }

  @Override
  public String toString() {
    return family + " " + weight;
  }
}
