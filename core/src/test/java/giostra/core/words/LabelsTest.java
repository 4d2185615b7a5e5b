package giostra.core.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.util.Properties;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What pieces say themselves, in the languages that we speak. */
class LabelsTest {
  private static Set<String> words(String code) throws IOException {
    var words = new Properties();
    try (InputStream in = Labels.class.getResourceAsStream("labels/" + code + ".properties")) {
      words.load(in);
    }
    return words.stringPropertyNames();
  }

  @ParameterizedTest
  @ValueSource(strings = {"de", "fr", "it", "es", "ar"})
  void everyLanguageHasEveryWord(String code) throws IOException {
    assertThat(words(code)).isEqualTo(words("en"));
  }

  @Test
  void wordsAreThoseOfThePagesLanguage() {
    assertThat(Labels.in("de-AT").of(2, 6)).isEqualTo("2 von 6");
    assertThat(Labels.in("fr").turnOver("L'orchidée")).isEqualTo("Retourner : L'orchidée");
    assertThat(Labels.in("nl").next()).as("not spoken").isEqualTo("Next");
    assertThat(Labels.in("en").goTo(1200))
        .as("no grouping in a place")
        .isEqualTo("Go to place 1200");
    assertThat(Labels.in("en").play("{0}"))
        .as("what people call it is no pattern")
        .isEqualTo("Play {0}");
  }
}
