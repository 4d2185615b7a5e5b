package giostra.core.fit;

import giostra.core.value.RichText;
import java.util.regex.Pattern;

/** Texts cut after so many words, with an ellipsis. Words are what white space parts. */
public final class Shortened {
  private static final Pattern SPACE = Pattern.compile("\\s+");

  private Shortened() {}

  /** Whether a text has more words than that. */
  public static boolean cuts(String text, int words) {
    return SPACE.split(RichText.words(text).strip()).length > words;
  }

  /** The first words of a text; punctuation that ends a clause goes before the ellipsis. */
  public static String to(String text, int words) {
    String[] all = SPACE.split(RichText.words(text).strip());
    String cut = String.join(" ", java.util.Arrays.copyOf(all, Math.min(words, all.length)));
    return all.length <= words ? cut : cut.replaceAll("[\\p{Punct}\u2013\u2014]+$", "") + "\u2026";
  }
}
