package giostra.server.web;

/** Something that whoever asks may not do; it says who may. */
public final class NotAllowed extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /** With words for whoever asked. */
  public NotAllowed(String why) {
    super(why);
  }
}
