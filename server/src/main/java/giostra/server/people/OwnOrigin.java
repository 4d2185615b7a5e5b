package giostra.server.people;

import giostra.server.host.Ports;
import giostra.server.web.ProblemAnswer;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * What no request may have, before anybody asks who sends it: an origin that is not exactly the
 * bench's where it changes something, whatever else it shows.
 */
@Component
class OwnOrigin extends OncePerRequestFilter {
  private static final Set<String> READS = Set.of("GET", "HEAD", "OPTIONS");

  private static final String TITLE = "Cannot be taken";

  private final Ports ports;

  OwnOrigin(Ports ports) {
    this.ports = ports;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    // What an answer is called is what it is.
    response.setHeader("X-Content-Type-Options", "nosniff");
    String origin = request.getHeader("Origin");
    boolean reads = READS.contains(request.getMethod());
    String query = request.getQueryString();
    if (request.getRequestURI().contains("%00") || (query != null && query.contains("%00"))) {
      // No address of ours has one, and no database keeps one.
      ProblemAnswer.write(
          request,
          response,
          400,
          TITLE,
          "The address holds a NUL character (%00); it must be without one.");
    } else if (!reads && origin != null && !origin.equals(ports.bench())) {
      ProblemAnswer.write(request, response, 403, TITLE, "The request comes from another origin.");
    } else {
      chain.doFilter(request, response);
    }
  }
}
