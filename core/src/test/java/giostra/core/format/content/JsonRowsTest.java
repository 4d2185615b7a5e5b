package giostra.core.format.content;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.value.Refused;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Tables as JSON. */
class JsonRowsTest {
  @Test
  void keysOfAllEntriesAreColumns() {
    Table table =
        JsonRows.read(
            "[{\"heading\":\"A\",\"to\":12.5},{\"text\":\"B\",\"open\":true,\"to\":null}]");
    assertThat(table.head()).containsExactly("heading", "to", "text", "open");
    assertThat(table.rows().getFirst().cells()).containsExactly("A", "12.5", "", "");
    assertThat(table.rows().getLast().cells()).containsExactly("", "", "B", "true");
  }

  @Test
  void aListMayStandInAnObject() {
    Table table = JsonRows.read("{\"made\":\"today\",\"items\":[{\"a\":1}]}");
    assertThat(table.rows()).hasSize(1);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '~',
      value = {
        "[1, 2] ~ Entry 1 is 1; it must be an object",
        "{\"a\":[],\"b\":[]} ~ The file is 2 lists",
        "\"words\" ~ The file is 0 lists",
        "[{] ~ JSON"
      })
  void whatIsNoListIsNamed(String text, String message) {
    assertThatThrownBy(() -> JsonRows.read(text))
        .isInstanceOf(Refused.class)
        .hasMessageContaining(message);
  }

  @Test
  void emptyCellsAreLeftOut() {
    String json = JsonRows.write(List.of("a", "b"), List.of(List.of("1", ""), List.of("", "2")));
    assertThat(json.replaceAll("\\s", "")).isEqualTo("[{\"a\":\"1\"},{\"b\":\"2\"}]");
  }
}
