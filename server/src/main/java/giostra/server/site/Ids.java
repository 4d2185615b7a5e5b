package giostra.server.site;

import java.security.SecureRandom;
import java.text.Normalizer;
import java.util.Locale;
import java.util.function.Predicate;
import java.util.random.RandomGenerator;

/** Ids that stand in addresses, made of names. */
public final class Ids {
  private static final int LONGEST = 40;

  /** Names that many things have get another ending by chance after so many tries. */
  private static final int TRIES = 50;

  private static final RandomGenerator RANDOM = new SecureRandom();

  private Ids() {}

  /**
   * A word of lower-case letters, digits and hyphens.
   *
   * @param start what stands before a name that begins with no letter
   */
  public static String word(String name, String start) {
    String cut = name.substring(0, Math.min(4 * LONGEST, name.length()));
    String word =
        Normalizer.normalize(cut, Normalizer.Form.NFD)
            .toLowerCase(Locale.ROOT)
            .replaceAll("\\p{M}+", "")
            .replaceAll("[^a-z0-9]+", "-")
            .replaceAll("^-+|-+$", "");
    String shortened = word.substring(0, Math.min(LONGEST, word.length())).replaceAll("-+$", "");
    return shortened.isEmpty() || !Character.isLetter(shortened.charAt(0))
        ? (start + "-" + shortened).replaceAll("-+$", "")
        : shortened;
  }

  /**
   * The first of a word, the word with 2, with 3 and so on that is free; where many have that word,
   * one with an ending by chance.
   *
   * @param isFree where to ask is to take, whoever comes first has it
   */
  public static String next(String word, Predicate<String> isFree) {
    String free = word;
    for (int i = 2; !isFree.test(free); i++) {
      free = word + "-" + (i <= TRIES ? Integer.toString(i) : chance());
    }
    return free;
  }

  /** Letters and digits such as nobody else draws. */
  public static String chance() {
    return Long.toString(RANDOM.nextLong(1L << 40, 1L << 50), 36);
  }
}
