package giostra.core.format.content;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.value.Refused;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a file with content is, by what is in it. */
class SourceTest {
  private static Source read(String text) {
    return Source.read(text.getBytes(StandardCharsets.UTF_8));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '~',
      value = {
        "a,b\\n1,2 ~ COMMAS",
        "a;b\\n1,5;2 ~ SEMICOLONS",
        "a\\tb\\n1\\t2 ~ TABS",
        "a|b\\n1|2 ~ BARS",
        "[{\"a\": 1}] ~ JSON",
        "{\"rows\": [{\"a\": 1}]} ~ JSON",
        "<dl><dt>Why?</dt><dd>So.</dd></dl> ~ QUESTIONS",
        "\uFEFF<details><summary>Why?</summary>So.</details> ~ QUESTIONS",
        "{\"@type\": \"Question\", \"name\": \"Why?\", \"acceptedAnswer\": {\"text\": \"So.\"}} ~ QUESTIONS",
      })
  void theFormIsFoundOut(String text, Source.Form form) {
    assertThat(read(text.replace("\\n", "\n").replace("\\t", "\t")).form()).isEqualTo(form);
  }

  @Test
  void markupWithoutAQuestionIsRefusedWithWhatIsLookedFor() {
    assertThatThrownBy(() -> read("<p>Nothing here.</p>"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("dt and dd, details, headings");
  }

  @Test
  void cellsAreMendedWhereTheyStand() {
    Table table = read("a,b\n1,2\n3\n").table();
    Table mended =
        table.mended(
            List.of(
                new Table.Mend(2, 0, "one"), new Table.Mend(3, 1, "4"), new Table.Mend(9, 0, "x")));
    assertThat(mended.rows())
        .extracting(Table.Row::cells)
        .containsExactly(List.of("one", "2"), List.of("3", "4"));
    assertThat(mended.only(Set.of(3)).rows()).hasSize(1);
    assertThat(table.mended(List.of())).isSameAs(table);
  }
}
