package giostra.core.fit;

import giostra.core.value.Refused;
import giostra.core.value.Require;
import java.util.List;
import java.util.Set;

/**
 * A family at a weight: how wide what is set in it is.
 *
 * @param family its name in the files that ship, or one of a site's own as {@link OwnFonts} names
 *     it
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
    // A font of a site's own may be gone while it is asked; other letters stand in for it then.
    if (!OwnFonts.is(family) && !SHAPER.knows(family)) {
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

  /** Whether there is such a family: one that ships, or one of a site's own. */
  public static boolean is(String family) {
    return SHAPER.knows(family);
  }

  /** The same letters at another weight. */
  public Face at(int other) {
    return new Face(family, other);
  }

  /** The same as they are slanted; a family that has none such is slanted by the browser. */
  public Face slanted() {
    return new Face(OwnFonts.slanted(family), weight);
  }

  /**
   * The size in px that letters of a size are drawn at: fonts are scaled in 64ths of a px, cut and
   * not rounded. Found by measuring; FreeType keeps sizes so.
   */
  public static double drawn(double sizePx) {
    return LayoutUnit.kept(sizePx);
  }

  /** Whether it has a character, or a further family that ships has. */
  public boolean has(int codePoint) {
    return SHAPER.has(family, codePoint) || SHAPER.further(codePoint).isPresent();
  }

  /**
   * Characters of a text that nothing that ships draws, each once; those that are not seen aside.
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
   * @param spacingPx letter spacing in px, added after each letter
   */
  public double width(CharSequence text, double sizePx, double spacingPx) {
    return width(text, sizePx, spacingPx, 0);
  }

  /**
   * The width of a run of text in px, on one line.
   *
   * @param sizePx font size in px
   * @param spacingPx letter spacing in px, added after each letter
   * @param wordsPx word spacing in px, added to each space between words
   */
  public double width(CharSequence text, double sizePx, double spacingPx, double wordsPx) {
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
        + (spacingPx == 0 ? 0 : whole.codePoints().filter(Face::spaced).count() * spacingPx)
        + (wordsPx == 0 ? 0 : whole.codePoints().filter(Face::separates).count() * wordsPx);
  }

  /** Source: CSS Text 3, 8.1 "word-spacing": word-separator characters, those that texts have. */
  private static boolean separates(int codePoint) {
    return codePoint == ' ' || codePoint == 0xa0 || codePoint == 0x1361;
  }

  /** The width of a number in px whose figures are all as wide. */
  public double figures(String text, double sizePx) {
    return text.isEmpty()
        ? 0
        : SHAPER.width(text, family, weight, Shaper.Manner.FIGURES) * drawn(sizePx) / Shaper.EM;
  }

  /** Marks stand with their letter, which has the space after it. Source: CSS Text 3, 2.1. */
  private static boolean spaced(int codePoint) {
    int type = Character.getType(codePoint);
    return type != Character.NON_SPACING_MARK
        && type != Character.ENCLOSING_MARK
        && !cursive(codePoint);
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
