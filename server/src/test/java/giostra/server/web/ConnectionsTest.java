package giostra.server.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.server.testing.Postgres;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.sql.Statement;
import java.time.Duration;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

class ConnectionsTest {
  /** Longer than any test waits: who is told before was not left to wait for it. */
  private static final Duration PATIENCE = Duration.ofMinutes(5);

  private static Connections to(Postgres database, Duration patience) {
    var made = new Connections(patience.toMillis());
    made.setJdbcUrl(database.url());
    made.setUsername("giostra");
    made.setMaximumPoolSize(2);
    made.setConnectionTimeout(500);
    made.setValidationTimeout(500);
    return made;
  }

  @Test
  void nobodyWaitsForADatabaseThatIsAway() throws Exception {
    try (Postgres database = Postgres.start();
        Connections connections = to(database, PATIENCE)) {
      connections.getConnection().close();
      database.down();
      assertThatThrownBy(connections::getConnection)
          .isInstanceOf(SQLTransientConnectionException.class)
          .hasCauseInstanceOf(SQLException.class);
      database.up();
      try (Connection one = connections.getConnection()) {
        assertThat(one.isValid(5)).as("though the pool still waits with its next try").isTrue();
      }
    }
  }

  /** Whether somebody who asks while all are in use waits until one of them is given back. */
  private static void isWaitedFor(Connections connections, Connection inUse) throws Exception {
    CompletableFuture<Boolean> next =
        CompletableFuture.supplyAsync(() -> {
          try (Connection one = connections.getConnection()) {
            return one.isValid(5);
          } catch (SQLException e) {
            throw new IllegalStateException(e);
          }
        });
    // Longer than the pool's own time.
    assertThat(CompletableFuture.anyOf(next, later(1500)).get()).isEqualTo("later");
    inUse.close();
    assertThat(next.get(60, TimeUnit.SECONDS)).isTrue();
  }

  @Test
  void whereAllAreInUseOneIsWaitedFor() throws Exception {
    try (Postgres database = Postgres.start();
        Connections connections = to(database, PATIENCE);
        Connections impatient = to(database, Duration.ofMillis(1200))) {
      try (Connection first = connections.getConnection();
          Connection second = connections.getConnection()) {
        isWaitedFor(connections, first);
        assertThat(second.isValid(5)).isTrue();
      }
      try (Connection first = impatient.getConnection();
          Connection second = impatient.getConnection()) {
        assertThat(first.isValid(5) && second.isValid(5)).isTrue();
        assertThatThrownBy(impatient::getConnection)
            .isInstanceOf(SQLTransientConnectionException.class)
            .hasNoCause();
      }
    }
  }

  /** Other servers may have all that the database gives (53300): it is there nonetheless. */
  @Test
  void aDatabaseThatGivesNoMoreIsNotAway() throws Exception {
    try (Postgres database = Postgres.start();
        Connections all = to(database, PATIENCE);
        Connections few = to(database, PATIENCE)) {
      try (Connection one = all.getConnection();
          Statement makes = one.createStatement()) {
        makes.execute("create role few login connection limit 1");
      }
      few.setUsername("few");
      few.setInitializationFailTimeout(-1);
      isWaitedFor(few, few.getConnection());
    }
  }

  private static CompletableFuture<String> later(long millis) {
    return new CompletableFuture<String>()
        .completeOnTimeout("later", millis, TimeUnit.MILLISECONDS);
  }
}
