package giostra.server.bell;

import java.util.Map;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * Tells all servers that share a database that something happened. What is told within a
 * transaction is heard when that is committed, and never where it is not. Source: PostgreSQL,
 * NOTIFY.
 */
@Component
public class Bell {
  /** The channel that is listened to. */
  public static final String CHANNEL = "giostra";

  /** Bytes that PostgreSQL takes, less a few. */
  private static final int MOST = 7500;

  private final JdbcTemplate jdbc;
  private final JsonMapper mapper;

  Bell(JdbcTemplate jdbc, JsonMapper mapper) {
    this.jdbc = jdbc;
    this.mapper = mapper;
  }

  /**
   * Tells something of a site.
   *
   * @param page that it is about; empty for all pages of the site
   * @param kind what happened: changed, here, remarked
   */
  public void ring(String site, String page, String kind, Map<String, ?> told) {
    String text =
        mapper.writeValueAsString(Map.of("site", site, "page", page, "kind", kind, "told", told));
    if (text.getBytes(java.nio.charset.StandardCharsets.UTF_8).length > MOST) {
      throw new IllegalArgumentException(kind + " tells too much");
    }
    jdbc.query("select pg_notify(?, ?)", _ -> {}, CHANNEL, text);
  }
}
