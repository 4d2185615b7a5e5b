package giostra.core.value;

import java.util.Locale;

/**
 * Input that cannot be taken. The three parts travel unchanged to whoever typed it.
 *
 * @see #found() what was given
 * @see #allowed() what would have been taken, in words
 * @see #where() the place, e.g. {@code visitors-words / gap / phone}; empty until somebody knows it
 */
public final class Refused extends IllegalArgumentException {
  private static final long serialVersionUID = 1L;
  private final String what;
  private final String found;
  private final String allowed;
  private final String where;

  /**
   * @param what the thing that was to be set, e.g. {@code Gap}
   * @param found the value as it was given
   * @param allowed what is allowed, e.g. {@code 0 to 400 px}
   */
  public Refused(String what, String found, String allowed) {
    this(what, found, allowed, "");
  }

  /** Characters of what was given that are told back: whoever sent megabytes knows them. */
  private static final int MOST_TOLD = 160;

  private Refused(String what, String found, String allowed, String where) {
    super(
        (where.isEmpty() ? "" : shortened(where) + ": ")
            + String.format(
                Locale.ROOT,
                "%s is %s; it must be %s",
                shortened(what),
                found.isEmpty() ? "empty" : shortened(found),
                allowed));
    this.what = shortened(what);
    this.found = shortened(found);
    this.allowed = allowed;
    this.where = shortened(where);
  }

  /** A text as messages tell it: the beginning of one that is long. */
  public static String shortened(String text) {
    if (text.length() <= MOST_TOLD) {
      return text;
    }
    // Not in the middle of a character.
    int cut = Character.isHighSurrogate(text.charAt(MOST_TOLD - 1)) ? MOST_TOLD - 1 : MOST_TOLD;
    return text.substring(0, cut) + "…";
  }

  /** The same refusal, told with its place. A place that is known already stays. */
  public Refused at(String place) {
    return where.isEmpty() ? new Refused(what, found, allowed, place) : this;
  }

  /** What was to be set. */
  public String what() {
    return what;
  }

  /** The value as it was given. */
  public String found() {
    return found;
  }

  /** What is allowed, in words. */
  public String allowed() {
    return allowed;
  }

  /** The place, or an empty string. */
  public String where() {
    return where;
  }
}
