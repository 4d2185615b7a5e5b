package giostra.server.web;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;

/** Problem details (RFC 9457) where no controller has been asked yet; see {@link Problems}. */
public final class ProblemAnswer {
  private ProblemAnswer() {}

  /**
   * Answers with a problem.
   *
   * @param detail words of ours alone: nothing that somebody has sent
   */
  public static void write(HttpServletResponse response, int status, String title, String detail)
      throws IOException {
    byte[] body =
        String.format(
                Locale.ROOT,
                "{\"title\":\"%s\",\"status\":%d,\"detail\":\"%s\"}",
                title,
                status,
                detail)
            .getBytes(StandardCharsets.UTF_8);
    response.setStatus(status);
    response.setContentType("application/problem+json");
    response.setContentLength(body.length);
    response.getOutputStream().write(body);
  }
}
