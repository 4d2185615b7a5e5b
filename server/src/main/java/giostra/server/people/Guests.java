package giostra.server.people;

import giostra.core.value.Refused;
import giostra.server.site.Ids;
import java.time.Clock;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** People without an account, who come by a link for review. */
@Service
public class Guests {
  /** Before the id of a link, where else a session holds that of a person. */
  static final String LINK = "link:";

  private final PeopleRows rows;
  private final Clock clock;

  Guests(PeopleRows rows, Clock clock) {
    this.rows = rows;
    this.clock = clock;
  }

  /**
   * What lets guests in.
   *
   * @param secret the words of it, told once
   * @param mixed what is kept of them
   */
  public record Key(String id, String secret, String mixed) {}

  /** A new one. */
  public Key key() {
    String secret = Secrets.drawn();
    return new Key(Ids.chance(), secret, Secrets.mixed(secret));
  }

  /** Whom a key lets in, as often as it is used, until it ends. */
  String enter(String secret) {
    return rows.linkOf(Secrets.mixed(secret), clock.instant())
        .map(id -> LINK + id)
        .orElseThrow(() ->
            new Refused(
                "key", "ended or none", "the address that you were sent, whole, before its date"));
  }

  /** A guest who is in. */
  Optional<Who> guest(String session) {
    return rows.link(session.substring(LINK.length()), clock.instant())
        .map(link ->
            new Who(
                "",
                "Guest",
                false,
                Map.of(link.site(), Role.GUEST),
                true,
                false,
                new Who.Review(link.id(), link.page(), link.site(), link.release())));
  }
}
