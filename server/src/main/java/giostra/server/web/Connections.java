package giostra.server.web;

import com.zaxxer.hikari.HikariDataSource;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.Properties;
import java.util.concurrent.TimeUnit;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.jdbc.autoconfigure.DataSourceProperties;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * Connections to the database. Where all are in use somebody waits for one; where none can be made,
 * since the database is away, nobody does: the pool itself cannot tell the two apart before its
 * time is over.
 */
public class Connections extends HikariDataSource {
  static {
    // The pool would take what was in use half a second ago to be alive still: right after the
    // database was restarted the first requests would be lost. It can be told so in no other way.
    System.setProperty("com.zaxxer.hikari.aliveBypassWindowMs", "0");
  }

  private final long patience;

  /**
   * Of none yet.
   *
   * @param patience how long somebody waits for a connection while all are in use, in ms. The
   *     pool's own time is how long it takes to find that the database is away
   */
  public Connections(long patience) {
    this.patience = patience;
  }

  /**
   * {@inheritDoc}
   *
   * @throws SQLTransientConnectionException if none was free for as long as somebody waits, or if
   *     the database cannot be reached, which the cause tells
   */
  @Override
  public Connection getConnection() throws SQLException {
    long since = System.nanoTime();
    while (true) {
      try {
        return super.getConnection();
      } catch (SQLTransientConnectionException e) {
        // The pool names what it met when it last made a connection, until it made one, which it
        // tries less and less often. While it has some in use one of them may come back: a
        // database that has no more to give is not away.
        boolean away =
            e.getCause() != null && getHikariPoolMXBean().getTotalConnections() == 0 && !reached();
        if (away || System.nanoTime() - since >= TimeUnit.MILLISECONDS.toNanos(patience)) {
          throw e;
        }
      }
    }
  }

  /** Whether a new connection can be had, beside the pool; it may take some seconds to know. */
  boolean reached() {
    var as = new Properties();
    as.setProperty("user", String.valueOf(getUsername()));
    as.setProperty("password", getPassword() == null ? "" : getPassword());
    as.setProperty("connectTimeout", "2");
    as.setProperty("loginTimeout", "2");
    try (Connection one = DriverManager.getConnection(getJdbcUrl(), as)) {
      return one.isValid(2);
    } catch (SQLException e) {
      return false;
    }
  }

  /** As the settings say. */
  @Configuration(proxyBeanMethods = false)
  static class Made {
    private static final long PATIENCE = 10_000;

    @Bean
    @ConfigurationProperties("spring.datasource.hikari")
    Connections dataSource(DataSourceProperties settings) {
      var made = new Connections(PATIENCE);
      made.setJdbcUrl(settings.determineUrl());
      made.setUsername(settings.determineUsername());
      made.setPassword(settings.determinePassword());
      return made;
    }
  }
}
