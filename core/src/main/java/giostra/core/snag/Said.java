package giostra.core.snag;

import com.ibm.icu.text.MessageFormat;
import giostra.core.value.Require;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Properties;

/**
 * What findings and their ways out are called: texts with places for figures and names, as ICU's
 * MessageFormat has them, in {@code messages.properties}.
 */
public final class Said {
  private static final Properties TEXTS = load();

  private Said() {}

  private static Properties load() {
    var texts = new Properties();
    try (Reader in =
        new InputStreamReader(
            Objects.requireNonNull(Said.class.getResourceAsStream("messages.properties")),
            StandardCharsets.UTF_8)) {
      texts.load(in);
      return texts;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * A text with what stands in its places: names and values in turn; figures as people read them.
   */
  public static String of(String text, Object... places) {
    Map<String, Object> named = new HashMap<>();
    for (int i = 0; i < places.length; i += 2) {
      Object value = places[i + 1];
      named.put(
          (String) places[i],
          value instanceof Number number ? Require.number(number.doubleValue()) : value);
    }
    String pattern = Objects.requireNonNull(TEXTS.getProperty(text), text);
    return new MessageFormat(pattern, Locale.ROOT).format(named);
  }

  /** Seconds to a tenth. */
  public static String seconds(long ms) {
    return of("seconds", "n", Math.round(ms / 100.0) / 10.0);
  }
}
