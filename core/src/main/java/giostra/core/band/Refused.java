package giostra.core.band;

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

  private Refused(String what, String found, String allowed, String where) {
    super(
        (where.isEmpty() ? "" : where + ": ")
            + "%s is %s; it must be %s"
                .formatted(what, found.isEmpty() ? "empty" : found, allowed));
    this.what = what;
    this.found = found;
    this.allowed = allowed;
    this.where = where;
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
