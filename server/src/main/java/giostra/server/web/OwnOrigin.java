package giostra.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Locale;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * What no request may have, before anybody looks at it. Nobody is signed in on loopback yet, so no
 * page but the bench may write here: neither one elsewhere on the web nor a live page, which stands
 * on the same origin and may hold a form of somebody's own. So a request that changes something has
 * a header that no form can send, an origin that it names is exactly ours, and the host is one that
 * cannot be rebound to us.
 */
@Component
class OwnOrigin extends OncePerRequestFilter {
  /** What a request that changes something has, whatever its value. */
  static final String WRITES = "Giostra-Writes";

  private static final Set<String> READS = Set.of("GET", "HEAD", "OPTIONS");
  private static final Set<String> LOOPBACK = Set.of("127.0.0.1", "localhost", "[::1]");

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    // What an answer is called is what it is.
    response.setHeader("X-Content-Type-Options", "nosniff");
    String origin = request.getHeader("Origin");
    boolean reads = READS.contains(request.getMethod());
    boolean local = request.getLocalAddr().startsWith("127.");
    String query = request.getQueryString();
    if (request.getRequestURI().contains("%00") || (query != null && query.contains("%00"))) {
      // No address of ours has one, and no database keeps one.
      problem(
          response,
          HttpStatus.BAD_REQUEST,
          "The address holds a NUL character (%00); it must be without one.");
    } else if (local && !LOOPBACK.contains(request.getServerName())) {
      problem(response, HttpStatus.FORBIDDEN, "The host is none of this server's.");
    } else if (!reads && origin != null && !own(origin, request)) {
      problem(response, HttpStatus.FORBIDDEN, "The request comes from another origin.");
    } else if (!reads && request.getHeader(WRITES) == null) {
      problem(
          response,
          HttpStatus.FORBIDDEN,
          "A request that changes something must have the header " + WRITES + ".");
    } else {
      chain.doFilter(request, response);
    }
  }

  private static void problem(HttpServletResponse response, HttpStatus status, String detail)
      throws IOException {
    response.setStatus(status.value());
    response.setContentType("application/problem+json");
    response
        .getWriter()
        .write(
            String.format(
                Locale.ROOT,
                "{\"title\":\"Cannot be taken\",\"status\":%d,\"detail\":\"%s\"}",
                status.value(),
                detail));
  }

  private static boolean own(String origin, HttpServletRequest request) {
    try {
      URI uri = URI.create(origin);
      return request.getScheme().equals(uri.getScheme())
          && request.getServerName().equals(uri.getHost())
          && request.getServerPort() == port(uri);
    } catch (IllegalArgumentException e) {
      return false;
    }
  }

  /** Source: the Fetch standard, "default port". */
  private static int port(URI uri) {
    return uri.getPort() != -1 ? uri.getPort() : "https".equals(uri.getScheme()) ? 443 : 80;
  }
}
