package giostra.server.web;

import com.zaxxer.hikari.HikariDataSource;
import com.zaxxer.hikari.HikariPoolMXBean;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Properties;
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

  /** What was found of a database that is away holds so long, in ms. */
  private static final int HOLDS = 500;

  private static final String TITLE = "Not now";

  private final IntSupplier waiting;
  private final BooleanSupplier empty;
  private final BooleanSupplier reached;

  private boolean lastReached = true;
  private long lastAsked;

  @Autowired
  Turnstile(HikariDataSource source) {
    this(
        () -> {
          HikariPoolMXBean pool = source.getHikariPoolMXBean();
          return pool == null ? 0 : pool.getThreadsAwaitingConnection();
        },
        () -> {
          HikariPoolMXBean pool = source.getHikariPoolMXBean();
          return pool != null && pool.getTotalConnections() == 0;
        },
        () -> answers(source));
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

  private static boolean answers(HikariDataSource source) {
    var as = new Properties();
    as.setProperty("user", String.valueOf(source.getUsername()));
    as.setProperty("password", source.getPassword() == null ? "" : source.getPassword());
    as.setProperty("connectTimeout", "2");
    as.setProperty("loginTimeout", "2");
    try (Connection one = DriverManager.getConnection(source.getJdbcUrl(), as)) {
      return one.isValid(2);
    } catch (SQLException e) {
      return false;
    }
  }

  /** One looks, the others take what it finds. */
  private synchronized boolean isAway() {
    if (!empty.getAsBoolean()) {
      return false;
    }
    long now = System.nanoTime();
    if (lastAsked == 0 || now - lastAsked > HOLDS * 1_000_000L) {
      lastReached = reached.getAsBoolean();
      lastAsked = System.nanoTime();
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
