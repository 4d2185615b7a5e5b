package giostra.core.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.value.AroundKind.Of;
import java.util.List;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class AroundTest {
  private static final AroundKind SIDES = new AroundKind(Of.SIDES, new SizeKind(0, 200, false));
  private static final EndsKind ENDS = new EndsKind(new SizeKind(0, 200, false));

  /** Source: CSS Box Model 4, "padding" and its examples 2 to 4: one to four values. */
  @ParameterizedTest
  @CsvSource({
    "2em, 2em 2em 2em 2em",
    "1em 2em, 1em 2em 1em 2em",
    "1em 2em 3em, 1em 2em 3em 2em",
    "1px 2px 3px 4px, 1px 2px 3px 4px",
    "10 20, 10px 20px 10px 20px",
    "1.5 rem  2, 1.5rem 2px 1.5rem 2px"
  })
  void oneToFourAreReadAsCssDoes(String typed, String all) {
    Around read = SIDES.read("Border", typed);
    assertThat(List.of(read.first(), read.second(), read.third(), read.fourth()))
        .extracting(Length::css)
        .containsExactly(all.split(" "));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        " ",
        "1 2 3 4 5",
        "a",
        "1px/2px",
        "1px,",
        "1pxx 2",
        "-1px",
        "1px -2px",
        "201px",
        "1% 2px",
        "10px20px",
        "1px 2px 3px 4px; color: red"
      })
  void anythingElseIsRefusedByName(String typed) {
    assertThatThrownBy(() -> SIDES.read("Border", typed))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("Border")
        .hasMessageContaining("above, end, below, start");
  }

  @ParameterizedTest
  @ValueSource(ints = {100, 100_000})
  void longOnesCostNothing(int times) {
    assertThatThrownBy(() -> SIDES.read("Border", "1 ".repeat(times))).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> SIDES.read("Border", "1".repeat(times))).isInstanceOf(Refused.class);
    assertThatThrownBy(() -> SIDES.read("Border", " ".repeat(times))).isInstanceOf(Refused.class);
  }

  @Property(tries = 200)
  void whatIsWrittenReadsBack(
      @ForAll @Size(min = 1, max = 4) List<@IntRange(min = 0, max = 9) Integer> lengths) {
    String typed = lengths.stream().map(each -> each + "px").collect(Collectors.joining(" "));
    Around read = SIDES.read("Border", typed);
    assertThat(SIDES.read("Border", SIDES.write(read))).isEqualTo(read);
    assertThat(read.css().length()).isLessThanOrEqualTo(typed.length());
    assertThat(read.sides(true).sides(true)).isEqualTo(read);
    assertThat(read.corners(true).corners(true)).isEqualTo(read);
  }

  @ParameterizedTest
  @CsvSource({"12px, 12px, 12px", "12 20, 12px, 20px", "1em 0, 1em, 0px"})
  void endsAreOneOrTwo(String typed, String start, String end) {
    Ends read = ENDS.read("Padding", typed);
    assertThat(read.start().css()).isEqualTo(start);
    assertThat(read.end().css()).isEqualTo(end);
    assertThat(ENDS.read("Padding", ENDS.write(read))).isEqualTo(read);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "1 2 3", "-1", "1 -1", "x"})
  void otherEndsAreRefused(String typed) {
    assertThatThrownBy(() -> ENDS.read("Padding", typed))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("at the start, at the end");
  }

  @ParameterizedTest
  @ValueSource(strings = {"1 2", "1px 1px"})
  void whatCannotBeToldApartIsOneLength(String typed) {
    var kind = new AroundKind(Of.WHOLE, new SizeKind(0, 20, false));
    assertThat(kind.word()).isEqualTo("size");
    assertThatThrownBy(() -> kind.read("Line", typed)).isInstanceOf(Refused.class);
  }
}
