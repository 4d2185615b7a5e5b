package giostra.server.host;

/** The Content-Security-Policy of published pages: everything from the page's own place. */
public final class Policy {
  private static final String PAGE =
      "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self'; font-src 'self';"
          + " base-uri 'none'; form-action 'self'";

  private Policy() {}

  /** For live pages, which only their own site may frame. */
  public static String live() {
    return PAGE + "; frame-ancestors 'self'";
  }

  /** For previews, which only the bench may frame. */
  public static String preview(String bench) {
    return PAGE + "; frame-ancestors " + bench;
  }
}
