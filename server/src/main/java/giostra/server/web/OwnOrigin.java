package giostra.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * What no request may have, before anybody looks at it. Nobody is signed in on loopback yet, so a
 * page elsewhere on the web must not be able to write here: a request that changes something and
 * names an origin must name ours, and the host must be one that cannot be rebound to us.
 */
@Component
class OwnOrigin extends OncePerRequestFilter {
  private static final Set<String> READS = Set.of("GET", "HEAD", "OPTIONS");
  private static final Set<String> LOOPBACK = Set.of("127.0.0.1", "localhost", "[::1]");

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String origin = request.getHeader("Origin");
    boolean reads = READS.contains(request.getMethod());
    boolean local = request.getLocalAddr().startsWith("127.");
    String query = request.getQueryString();
    if (request.getRequestURI().contains("%00") || (query != null && query.contains("%00"))) {
      // No address of ours has one, and no database keeps one.
      problem(response, "The address holds a NUL character (%00); it must be without one.");
    } else if (local && !LOOPBACK.contains(request.getServerName())) {
      response.sendError(HttpServletResponse.SC_FORBIDDEN, "unknown host");
    } else if (!reads && origin != null && !own(origin, request)) {
      response.sendError(HttpServletResponse.SC_FORBIDDEN, "another origin");
    } else {
      chain.doFilter(request, response);
    }
  }

  private static void problem(HttpServletResponse response, String detail) throws IOException {
    response.setStatus(HttpServletResponse.SC_BAD_REQUEST);
    response.setContentType("application/problem+json");
    response
        .getWriter()
        .write("{\"title\":\"Cannot be taken\",\"status\":400,\"detail\":\"" + detail + "\"}");
  }

  private static boolean own(String origin, HttpServletRequest request) {
    try {
      URI uri = URI.create(origin);
      return request.getServerName().equals(uri.getHost())
          && (uri.getPort() == request.getServerPort() || uri.getPort() == -1);
    } catch (IllegalArgumentException e) {
      return false;
    }
  }
}
