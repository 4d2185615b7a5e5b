package giostra.core.value;

import java.time.Duration;
import java.util.Locale;
import java.util.regex.Pattern;

/**
 * A span of time; read as seconds where no unit is given, since seconds say more than ms.
 *
 * @param none whether 0 is allowed besides, which stands for none of its own
 */
public record TimeKind(Duration least, Duration most, boolean none) implements Kind<Duration> {
  private static final Pattern WRITTEN = Pattern.compile("(\\d{1,9}(?:[.,]\\d{1,9})?)\\s*(ms|s)?");

  /** A span between two in ms, both allowed. */
  public static TimeKind ms(long least, long most) {
    return new TimeKind(Duration.ofMillis(least), Duration.ofMillis(most), false);
  }

  /** The same, or 0 for none of its own. */
  public static TimeKind ownMs(long least, long most) {
    return new TimeKind(Duration.ofMillis(least), Duration.ofMillis(most), true);
  }

  @Override
  public Duration read(String what, Object raw) {
    var match = WRITTEN.matcher(raw.toString().strip().toLowerCase(Locale.ROOT));
    if (!match.matches()) {
      throw new Refused(what, raw.toString(), allowed());
    }
    double amount = Double.parseDouble(match.group(1).replace(',', '.'));
    double ms = "ms".equals(match.group(2)) ? amount : amount * 1000;
    boolean nothing = none && ms == 0;
    if (!nothing && !(ms >= least.toMillis() && ms <= most.toMillis())) {
      throw new Refused(what, raw.toString(), allowed());
    }
    return Duration.ofMillis(Math.round(ms));
  }

  @Override
  public Object write(Duration value) {
    return seconds(value);
  }

  @Override
  public String allowed() {
    String span = String.format(Locale.ROOT, "a time from %s to %s", seconds(least), seconds(most));
    return none ? span + ", or 0 for none of its own" : span;
  }

  /** As people and CSS write it: {@code 1.5s}. */
  public static String seconds(Duration value) {
    return Require.number(value.toMillis() / 1000.0) + "s";
  }
}
