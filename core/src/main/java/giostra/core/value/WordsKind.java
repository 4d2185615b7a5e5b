package giostra.core.value;

import java.util.Locale;

/**
 * Text. A blank one is as good as none.
 *
 * @param most characters at the most
 * @param lines whether it may have line breaks
 */
public record WordsKind(int most, boolean lines) implements Kind<String> {
  @Override
  public String read(String what, Object raw) {
    if (!(raw instanceof String text)) {
      throw new Refused(what, raw.toString(), allowed());
    }
    if (text.length() > most) {
      throw new Refused(
          what, String.format(Locale.ROOT, "%d characters long", text.length()), allowed());
    }
    Require.text(what, text, this::allowed);
    return lines ? text : text.replace('\n', ' ');
  }

  @Override
  public Object write(String value) {
    return value;
  }

  @Override
  public String allowed() {
    return String.format(Locale.ROOT, "text of at most %d characters", most);
  }
}
