package giostra.server.web;

/** Something that is not there, or no longer. */
public final class Gone extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /** For example {@code page "evenings"}. */
  public Gone(String what, String id) {
    super("There is no " + what + " \"" + id + "\".");
  }
}
