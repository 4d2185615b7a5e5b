package giostra.server.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import org.springframework.http.HttpHeaders;

/**
 * Problems where no controller has been asked yet: a page for people, problem details (RFC 9457)
 * for programs; see {@link Problems}.
 */
public final class ProblemAnswer {
  private ProblemAnswer() {}

  /**
   * Answers with a problem. A page asks again by itself where the answer says when.
   *
   * @param detail words of ours alone: nothing that somebody has sent
   */
  public static void write(
      HttpServletRequest request,
      HttpServletResponse response,
      int status,
      String title,
      String detail)
      throws IOException {
    response.addHeader(HttpHeaders.VARY, HttpHeaders.ACCEPT);
    byte[] body;
    if (ProblemPage.isAskedFor(request)) {
      body = ProblemPage.of(title, detail, response.getHeader(HttpHeaders.RETRY_AFTER));
      response.setContentType(ProblemPage.TYPE.toString());
      ProblemPage.HEADERS.forEach(response::setHeader);
    } else {
      body =
          String.format(
                  Locale.ROOT,
                  "{\"title\":\"%s\",\"status\":%d,\"detail\":\"%s\"}",
                  title,
                  status,
                  detail)
              .getBytes(StandardCharsets.UTF_8);
      response.setContentType("application/problem+json");
    }
    response.setStatus(status);
    response.setContentLength(body.length);
    response.getOutputStream().write(body);
  }
}
