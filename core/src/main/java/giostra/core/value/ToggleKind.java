package giostra.core.value;

import java.util.Locale;
import java.util.Set;

/** On or off. */
public record ToggleKind() implements Kind<Boolean> {
  private static final Set<String> ON = Set.of("on", "yes", "true", "1");
  private static final Set<String> OFF = Set.of("off", "no", "false", "0");

  @Override
  public Boolean read(String what, Object raw) {
    String word = raw.toString().strip().toLowerCase(Locale.ROOT);
    if (!ON.contains(word) && !OFF.contains(word)) {
      throw new Refused(what, raw.toString(), allowed());
    }
    return ON.contains(word);
  }

  @Override
  public Object write(Boolean value) {
    return value;
  }

  @Override
  public String allowed() {
    return "on or off";
  }
}
