package giostra.server.web;

import com.zaxxer.hikari.HikariPoolMXBean;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.function.BooleanSupplier;
import java.util.function.IntSupplier;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Lets in as many at once as the database answers in reasonable time. Whoever comes to a queue that
 * is full, or to a database that is away, is told at once when to come back, before anything of
 * them is read, and waits for no connection first.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
public class Turnstile extends OncePerRequestFilter {
  /** Those that wait for a connection: some seconds of work for two cores. */
  static final int LONGEST_QUEUE = 250;

  private static final int BUSY_SECONDS = 2;
  private static final int AWAY_SECONDS = 2;

  private static final String TITLE = "Not now";

  private final IntSupplier waiting;
  private final BooleanSupplier empty;
  private final BooleanSupplier reached;

  private boolean lastReached = true;

  /** Until when that holds, by {@link System#nanoTime()}. */
  private long holds = System.nanoTime();

  @Autowired
  Turnstile(Connections source) {
    this(
        () -> {
          HikariPoolMXBean pool = source.getHikariPoolMXBean();
          return pool == null ? 0 : pool.getThreadsAwaitingConnection();
        },
        () -> {
          HikariPoolMXBean pool = source.getHikariPoolMXBean();
          return pool != null && pool.getTotalConnections() == 0;
        },
        source::reached);
  }

  /**
   * With what it looks at.
   *
   * @param waiting how many wait for a connection
   * @param empty whether there is no connection at all
   * @param reached whether a new one can be had, which may take a moment
   */
  Turnstile(IntSupplier waiting, BooleanSupplier empty, BooleanSupplier reached) {
    this.waiting = waiting;
    this.empty = empty;
    this.reached = reached;
  }

  /**
   * One looks, the others take what it finds: it holds for as long as it took to be found, which is
   * next to nothing where a connection is refused and seconds where nothing answers.
   */
  private synchronized boolean isAway() {
    if (!empty.getAsBoolean()) {
      return false;
    }
    long since = System.nanoTime();
    if (since - holds >= 0) {
      lastReached = reached.getAsBoolean();
      long found = System.nanoTime();
      holds = found + (found - since);
    }
    return !lastReached;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (!request.getRequestURI().startsWith("/api/")) {
      chain.doFilter(request, response);
    } else if (waiting.getAsInt() >= LONGEST_QUEUE) {
      later(
          request,
          response,
          BUSY_SECONDS,
          "Many ask at once. Nothing was changed; try again in a moment.");
    } else if (isAway()) {
      later(
          request,
          response,
          AWAY_SECONDS,
          "The database cannot be reached. Nothing was changed; try again in a moment.");
    } else {
      chain.doFilter(request, response);
    }
  }

  private static void later(
      HttpServletRequest request, HttpServletResponse response, int seconds, String why)
      throws IOException {
    response.setHeader("Retry-After", Integer.toString(seconds));
    ProblemAnswer.write(request, response, HttpServletResponse.SC_SERVICE_UNAVAILABLE, TITLE, why);
  }
}
