package giostra.server.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.server.testing.Postgres;
import java.sql.Connection;
import java.sql.SQLTransientConnectionException;
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
          .hasCauseInstanceOf(java.sql.SQLException.class);
      database.up();
      try (Connection one = connections.getConnection()) {
        assertThat(one.isValid(5)).as("though the pool still waits with its next try").isTrue();
      }
    }
  }

  @Test
  void whereAllAreInUseOneIsWaitedFor() throws Exception {
    try (Postgres database = Postgres.start();
        Connections connections = to(database, PATIENCE);
        Connections impatient = to(database, Duration.ofMillis(1200))) {
      try (Connection first = connections.getConnection();
          Connection second = connections.getConnection()) {
        CompletableFuture<Boolean> third =
            CompletableFuture.supplyAsync(() -> {
              try (Connection one = connections.getConnection()) {
                return one.isValid(5);
              } catch (java.sql.SQLException e) {
                return false;
              }
            });
        // Longer than the pool's own time.
        assertThat(CompletableFuture.anyOf(third, later(1500)).get()).isEqualTo("later");
        assertThat(second.isValid(5)).isTrue();
        first.close();
        assertThat(third.get(60, TimeUnit.SECONDS)).isTrue();
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

  private static CompletableFuture<String> later(long millis) {
    return new CompletableFuture<String>()
        .completeOnTimeout("later", millis, TimeUnit.MILLISECONDS);
  }
}
