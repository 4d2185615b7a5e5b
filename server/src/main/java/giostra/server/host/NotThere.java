package giostra.server.host;

import giostra.server.web.ProblemAnswer;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;

/** What people, and what programs, get where no page is. */
public final class NotThere {
  private NotThere() {}

  /** Answers a request: as a page to who asks for one, otherwise as problem details (RFC 9457). */
  public static void answer(HttpServletRequest request, HttpServletResponse response)
      throws IOException {
    response.setHeader("Cache-Control", "no-store");
    response.setHeader("X-Content-Type-Options", "nosniff");
    ProblemAnswer.write(
        request,
        response,
        HttpServletResponse.SC_NOT_FOUND,
        "There is no page here",
        "It may have been taken down, or the address may have a letter too many. Whoever gave it to"
            + " you knows.");
  }
}
