package giostra.server.together;

import giostra.server.bell.Bell;
import giostra.server.bell.Heard;
import giostra.server.web.Later;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArraySet;
import org.jspecify.annotations.Nullable;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.jdbc.autoconfigure.DataSourceProperties;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Hears what {@link Bell} tells, on a connection of its own, and passes it to the streams that
 * listen. A database that was away is listened to again; the streams are told to look anew then,
 * since nobody knows what they have missed. Nothing that it does waits for anybody: whoever holds
 * it up makes everybody deaf.
 */
@Component
class Ears implements SmartLifecycle {
  private static final Logger LOG = LoggerFactory.getLogger(Ears.class);
  private static final int LISTENS_MS = 1000;

  /** Streams of one page. */
  private static final int MOST = 200;

  private static final int TRIES_AGAIN_MS = 1000;

  /** A connection that has silently gone is found out after this long. */
  private static final int ASKED_AFTER_SILENT_ROUNDS = 15;

  private static final int ANSWERS_SECONDS = 5;

  private final DataSourceProperties database;
  private final JsonMapper mapper;
  private final Presences presences;
  private final ApplicationEventPublisher events;
  private final Map<String, Set<Stream>> streams = new ConcurrentHashMap<>();

  /**
   * What listens now; none while nobody does. It is there before its thread starts, which may run
   * before anybody knows it.
   */
  private volatile @Nullable Object turn;

  Ears(
      DataSourceProperties database,
      JsonMapper mapper,
      Presences presences,
      ApplicationEventPublisher events) {
    this.events = events;
    this.database = database;
    this.mapper = mapper;
    this.presences = presences;
  }

  /** Listens to a page from now on, until the stream ends. */
  void add(Stream stream) {
    streams.compute(
        stream.page(),
        (_, before) -> {
          Set<Stream> here = before == null ? new CopyOnWriteArraySet<>() : before;
          if (here.size() >= MOST) {
            throw new Later("Many windows have this page open; it is not told of others here.", 60);
          }
          here.add(stream);
          return here;
        });
    stream.onEnd(() ->
        streams.computeIfPresent(
            stream.page(),
            (_, all) -> {
              all.remove(stream);
              return all.isEmpty() ? null : all;
            }));
  }

  @Override
  public void start() {
    Object mine = new Object();
    turn = mine;
    // Not a virtual one: those wait while others compute.
    Thread.ofPlatform().daemon().name("ears").start(() -> listen(mine));
  }

  @Override
  public void stop() {
    turn = null;
    streams.values().forEach(all -> all.forEach(Stream::end));
  }

  @Override
  public boolean isRunning() {
    return turn != null;
  }

  /** Before the web server waits for what it still answers: streams would keep it for ever. */
  @Override
  public int getPhase() {
    return Integer.MAX_VALUE;
  }

  private void listen(Object mine) {
    while (turn == mine) {
      try (Connection connection =
              DriverManager.getConnection(
                  database.determineUrl(),
                  database.determineUsername(),
                  database.determinePassword());
          Statement statement = connection.createStatement()) {
        statement.execute("listen " + Bell.CHANNEL);
        // Before this nobody listened, if only for a moment.
        events.publishEvent(new Heard("", "", "missed", mapper.createObjectNode()));
        streams.values().forEach(all -> all.forEach(each -> each.tell("missed", Map.of())));
        PGConnection heard = connection.unwrap(PGConnection.class);
        int silent = 0;
        while (turn == mine) {
          PGNotification[] all = heard.getNotifications(LISTENS_MS);
          silent = all == null || all.length == 0 ? silent + 1 : 0;
          for (PGNotification each : all == null ? new PGNotification[0] : all) {
            hear(each.getParameter());
          }
          if (silent >= ASKED_AFTER_SILENT_ROUNDS) {
            silent = 0;
            if (!connection.isValid(ANSWERS_SECONDS)) {
              throw new SQLException("the connection has gone");
            }
          }
        }
      } catch (SQLException | RuntimeException e) {
        LOG.warn("the database is not listened to: {}", e.getMessage());
        pause();
      }
    }
  }

  private void pause() {
    try {
      Thread.sleep(TRIES_AGAIN_MS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private void hear(String text) {
    try {
      JsonNode said = mapper.readTree(text);
      String kind = said.path("kind").asString();
      String page = said.path("page").asString();
      JsonNode told = said.path("told");
      events.publishEvent(new Heard(said.path("site").asString(), page, kind, told));
      if (kind.equals("live")) {
        // Of no matter to who works on the page.
        return;
      }
      if (kind.equals(Presences.HERE)) {
        presences.heard(page, told);
        tell(page, kind, presences.of(page));
      } else if (page.isEmpty() || told.path("ofSite").asBoolean()) {
        String site = said.path("site").asString();
        streams
            .values()
            .forEach(all ->
                all.stream()
                    .filter(each -> each.site().equals(site))
                    .forEach(each -> each.tell(kind, told)));
      } else {
        tell(page, kind, told);
      }
    } catch (RuntimeException e) {
      LOG.warn("something that was told is not understood", e);
    }
  }

  private void tell(String page, String kind, Object told) {
    streams.getOrDefault(page, Set.of()).forEach(each -> each.tell(kind, told));
  }

  /** How many listen; for tests and figures. */
  List<String> listening() {
    return List.copyOf(streams.keySet());
  }
}
