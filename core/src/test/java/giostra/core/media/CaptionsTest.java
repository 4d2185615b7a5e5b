package giostra.core.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.value.Refused;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Source: WebVTT, "Syntax"; the files are in the form of its examples. */
class CaptionsTest {
  @Test
  void cuesAreReadWithTheirTimes() {
    Captions read =
        Captions.read(
            "\uFEFFWEBVTT Bloom\r\n\r\nNOTE by us\r\n\r\nSTYLE\r\n::cue{color:gold}\r\n\r\n"
                + "1\r\n00:01.000 --> 00:04.250 align:start\r\nThe bud\r\nopens.\r\n\r\n"
                + "01:00:02.500 --> 01:00:03.000\r\n<v Guide>Look.\r\n");
    assertThat(read.cues())
        .containsExactly(
            new Captions.Cue(1000, 4250, "The bud\nopens."),
            new Captions.Cue(3_602_500, 3_603_000, "<v Guide>Look."));
    assertThat(read.endMs()).isEqualTo(3_603_000);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '~',
      value = {
        "WEBVTTX\\n\\n00:01.000 --> 00:02.000\\nx ~ Line 1 of the captions is WEBVTTX",
        "1\\n00:00:01,000 --> 00:00:02,000\\nx ~ Line 1 of the captions is 1",
        "WEBVTT\\n\\n00:01,000 --> 00:02,000\\nx ~ Line 3 of the captions is 00:01,000",
        "WEBVTT\\n\\n00:02.000 --> 00:01.000\\nx ~ a time with a later one after it",
        "WEBVTT\\n\\n00:61.000 --> 01:02.000\\nx ~ Line 3 of the captions",
        "WEBVTT\\n\\nonly words ~ without a cue",
      })
  void whatIsWrongIsNamedByItsLine(String text, String message) {
    assertThatThrownBy(() -> Captions.read(text.replace("\\n", "\n")))
        .isInstanceOf(Refused.class)
        .hasMessageContaining(message);
  }
}
