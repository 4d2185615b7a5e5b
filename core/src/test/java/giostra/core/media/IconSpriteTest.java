package giostra.core.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Icons of one's own in one file. Source: SVG 2, "The symbol element", "The viewBox attribute". */
class IconSpriteTest {
  private static String sprite(String symbols) {
    return "<svg xmlns=\"http://www.w3.org/2000/svg\">" + symbols + "</svg>";
  }

  @Test
  void theStarterReadsBackWhole() {
    String starter = IconSprite.starter(Map.of("play", "<path d=\"M6 4l12 8l-12 8z\"/>"));
    IconSprite read = IconSprite.read(starter);
    assertThat(IconSprite.looksLikeOne(starter)).isTrue();
    assertThat(read.odd()).isEmpty();
    assertThat(read.missing(List.of("play", "pause"))).containsExactly("pause");
    assertThat(read.find("play").orElseThrow().draw())
        .startsWith("<g fill=\"none\" stroke=\"currentColor\" stroke-width=\"2\"")
        .contains("M6 4l12 8l-12 8z");
  }

  @Test
  void oddOnesAreNamedAndTheOthersTaken() {
    IconSprite read =
        IconSprite.read(
            sprite(
                """
                <symbol id="play" viewBox="0 0 24 24"><path d="M0 0"/></symbol>
                <symbol id="wide" viewBox="0 0 48 24"><path d="M0 0"/></symbol>
                <symbol id="flat" viewBox="0 0 24 0"><path d="M0 0"/></symbol>
                <symbol id="boxless"><path d="M0 0"/></symbol>
                <symbol id="words" viewBox="0 0 big big"><path d="M0 0"/></symbol>
                <symbol id="play" viewBox="0 0 24 24"><path d="M1 1"/></symbol>
                <symbol id="Bad Name" viewBox="0 0 24 24"><path d="M0 0"/></symbol>
                <symbol viewBox="0 0 24 24"><path d="M0 0"/></symbol>
                """));
    assertThat(read.symbols()).containsOnlyKeys("play", "wide");
    assertThat(read.odd())
        .containsEntry("wide", "its view box “0 0 48 24” is not square; it is drawn smaller")
        .containsEntry("flat", "its view box “0 0 24 0” has no area")
        .containsEntry("boxless", "it has no view box")
        .containsEntry("words", "its view box is “0 0 big big”, not four numbers")
        .containsEntry("play", "there are two of that name; the first counts")
        .containsKeys("Bad Name", "(no id)");
    assertThat(read.find("play").orElseThrow().draw()).contains("M0 0");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "<symbol id=\"a\" viewBox=\"0 0 24 24\"><script>x</script></symbol>",
        "<symbol id=\"a\" viewBox=\"0 0 24 24\"><path d=\"M0 0\" onclick=\"x\"/></symbol>",
        "<symbol id=\"a\" viewBox=\"0 0 24 24\"><use href=\"https://elsewhere.example/x#y\"/></symbol>",
        "<symbol id=\"a\" viewBox=\"0 0 24 24\"><path fill=\"url(https://elsewhere.example)\" d=\"M0 0\"/></symbol>"
      })
  void whatRunsOrFetchesIsRefusedByName(String symbol) {
    assertThatThrownBy(() -> IconSprite.read(sprite(symbol)))
        .hasMessageContaining("Icon a of the sprite");
  }

  @Test
  void aSpriteHasSymbols() {
    assertThatThrownBy(() -> IconSprite.read(sprite("<path d=\"M0 0\"/>")))
        .hasMessageContaining("without a symbol");
    assertThatThrownBy(() -> IconSprite.read("<!DOCTYPE svg>" + sprite("<symbol id=\"a\"/>")))
        .hasMessageContaining("document type");
  }
}
