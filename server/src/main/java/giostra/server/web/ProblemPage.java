package giostra.server.web;

import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.web.util.HtmlUtils;

/** A problem as a page: what people see in a window, or in a frame of the bench. */
final class ProblemPage {
  static final MediaType TYPE = new MediaType("text", "html", StandardCharsets.UTF_8);

  /** What it is sent with: nothing runs in it, and nobody keeps it. */
  static final Map<String, String> HEADERS =
      Map.of(
          HttpHeaders.CACHE_CONTROL,
          "no-store",
          "X-Content-Type-Options",
          "nosniff",
          "Content-Security-Policy",
          "default-src 'none'; style-src 'unsafe-inline'; form-action 'none'; base-uri 'none'");

  private static final String PAGE =
      """
      <!DOCTYPE html>
      <html lang="en">
      <meta charset="utf-8">
      <meta name="viewport" content="width=device-width">
      <meta name="robots" content="noindex">
      %s<title>%s</title>
      <style>
        html { color-scheme: light dark; font: 1.05rem/1.6 Georgia, serif }
        main { max-width: 34rem; margin: 18vh auto; padding: 0 1.5rem; overflow-wrap: anywhere }
        h1 { font-weight: 400; font-size: 2rem; line-height: 1.2; margin: 0 0 .6rem }
        p { margin: 0 }
      </style>
      <main>
        <h1>%s</h1>
        <p>%s</p>
      </main>
      </html>
      """;

  private ProblemPage() {}

  /** Whether who asks names pages: a browser that goes somewhere does, a program does not. */
  static boolean isAskedFor(HttpServletRequest request) {
    String accept = request.getHeader(HttpHeaders.ACCEPT);
    return accept != null && accept.contains(MediaType.TEXT_HTML_VALUE);
  }

  /**
   * The page.
   *
   * @param again after how many seconds it asks again by itself; null if it does not
   */
  static byte[] of(String title, String detail, @Nullable String again) {
    String refresh =
        again == null ? "" : "<meta http-equiv=\"refresh\" content=\"" + quoted(again) + "\">\n";
    String words = quoted(detail) + (again == null ? "" : " This page asks again by itself.");
    return String.format(Locale.ROOT, PAGE, refresh, quoted(title), quoted(title), words)
        .getBytes(StandardCharsets.UTF_8);
  }

  private static String quoted(String text) {
    return HtmlUtils.htmlEscape(text, "UTF-8");
  }
}
