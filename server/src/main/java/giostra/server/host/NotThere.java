package giostra.server.host;

import giostra.server.web.ProblemAnswer;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;

/** What people, and what programs, get where no page is. */
public final class NotThere {
  private static final String PAGE =
      """
      <!DOCTYPE html>
      <html lang="en">
      <meta charset="utf-8">
      <meta name="viewport" content="width=device-width">
      <meta name="robots" content="noindex">
      <title>No page here</title>
      <style>
        html { color-scheme: light dark; font: 1.05rem/1.6 Georgia, serif }
        main { max-width: 34rem; margin: 18vh auto; padding: 0 1.5rem }
        h1 { font-weight: 400; font-size: 2rem; line-height: 1.2; margin: 0 0 .6rem }
        p { margin: 0 }
      </style>
      <main>
        <h1>There is no page here</h1>
        <p>It may have been taken down, or the address may have a letter too many. Whoever gave it
        to you knows.</p>
      </main>
      </html>
      """;

  private NotThere() {}

  /** Answers a request: as a page to who asks for one, otherwise as problem details (RFC 9457). */
  public static void answer(HttpServletRequest request, HttpServletResponse response)
      throws IOException {
    String accept = request.getHeader("Accept");
    boolean page = accept != null && accept.contains("text/html");
    response.setHeader("Cache-Control", "no-store");
    response.setHeader("Vary", "Accept");
    response.setHeader("X-Content-Type-Options", "nosniff");
    response.setHeader(
        "Content-Security-Policy",
        "default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'none'");
    if (!page) {
      ProblemAnswer.write(response, 404, "Not there", "There is no page at this address.");
      return;
    }
    byte[] body = PAGE.getBytes(StandardCharsets.UTF_8);
    response.setStatus(HttpServletResponse.SC_NOT_FOUND);
    response.setContentType("text/html;charset=utf-8");
    response.setContentLength(body.length);
    response.getOutputStream().write(body);
  }
}
