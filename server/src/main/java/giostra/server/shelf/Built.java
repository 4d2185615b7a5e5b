package giostra.server.shelf;

import java.time.Clock;
import java.time.Instant;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.info.BuildProperties;
import org.springframework.stereotype.Component;

/**
 * Which program this is, in one word: another one may read a page otherwise and find something else
 * on it. One that does not know when it was built is another one at each start.
 */
@Component
class Built {
  private final String word;

  Built(ObjectProvider<BuildProperties> built, Clock clock) {
    BuildProperties known = built.getIfAvailable();
    Instant time = known == null ? null : known.getTime();
    this.word = Long.toString((time == null ? clock.instant() : time).toEpochMilli(), 36);
  }

  /** Its word, without spaces. */
  String word() {
    return word;
  }
}
