package giostra.server.host;

import giostra.core.output.Origins;
import java.util.Locale;
import java.util.Set;

/** The Content-Security-Policy of published pages: everything from the page's own place. */
public final class Policy {
  private static final String PAGE =
      "default-src 'none'; script-src 'self'; style-src 'self'; font-src 'self';"
          + " base-uri 'none'; form-action 'self'; img-src 'self'%s; media-src 'self'%s";

  private Policy() {}

  /** For live pages, which only their own site may frame; with the other places that one needs. */
  public static String live(Origins origins) {
    return page(origins) + "; frame-ancestors 'self'";
  }

  /** For previews, which only the bench may frame. */
  public static String preview(String bench, Origins origins) {
    return page(origins) + "; frame-ancestors " + bench;
  }

  private static String page(Origins origins) {
    String frames =
        origins.frames().isEmpty() ? "" : "; frame-src " + String.join(" ", origins.frames());
    return String.format(Locale.ROOT, PAGE, list(origins.images()), list(origins.media())) + frames;
  }

  private static String list(Set<String> origins) {
    return origins.isEmpty() ? "" : " " + String.join(" ", origins);
  }
}
