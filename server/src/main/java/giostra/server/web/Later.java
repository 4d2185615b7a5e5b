package giostra.server.web;

/** Something that has to wait; it says how long. */
public final class Later extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final int seconds;

  /** With words for whoever asked, and seconds after which the same works. */
  public Later(String why, int seconds) {
    super(why);
    this.seconds = seconds;
  }

  /** After how many seconds the same works. */
  public int seconds() {
    return seconds;
  }
}
