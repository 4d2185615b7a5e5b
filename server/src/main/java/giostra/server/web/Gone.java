package giostra.server.web;

/** Something that is not there, or no longer. */
public final class Gone extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private static String shortened(String text) {
    return text.length() > 80 ? text.substring(0, 80) + "…" : text;
  }

  /** For example {@code page "evenings"}. */
  public Gone(String what, String id) {
    super("There is no " + shortened(what) + " \"" + shortened(id) + "\".");
  }
}
