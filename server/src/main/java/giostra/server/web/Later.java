package giostra.server.web;

/** Something that has to wait; it says how long. */
public final class Later extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final int seconds;

  /** Whether it is for this server's own sake, and another may do it at once. */
  private final boolean elsewhere;

  /** With words for whoever asked too often, and seconds after which the same works. */
  public Later(String why, int seconds) {
    this(why, seconds, false);
  }

  private Later(String why, int seconds, boolean elsewhere) {
    super(why);
    this.seconds = seconds;
    this.elsewhere = elsewhere;
  }

  /** What this server cannot do, and whoever comes back finds done by another. */
  public static Later elsewhere(String why, int seconds) {
    return new Later(why, seconds, true);
  }

  /** Whether another server may do it at once. */
  public boolean isElsewhere() {
    return elsewhere;
  }

  /** After how many seconds the same works. */
  public int seconds() {
    return seconds;
  }
}
