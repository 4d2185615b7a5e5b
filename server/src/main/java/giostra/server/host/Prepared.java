package giostra.server.host;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;

/** What is published and ready to be sent, before anything else of the server is asked. */
public interface Prepared {
  /**
   * Answers a request for what is published.
   *
   * @return whether it has been answered; else it goes the usual way
   */
  boolean answers(HttpServletRequest request, HttpServletResponse response) throws IOException;
}
