package giostra.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.look.StyleKey;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.testing.Demo;
import giostra.core.value.Refused;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/**
 * Source: Design Tokens Community Group, "Design Tokens Format Module 2025.10" and its Color
 * Module; its examples from memory.
 */
class DesignTokensTest {
  private final Document demo = Demo.document();

  private static JsonNode json(String text) {
    return DocumentJson.parse(text.replace('\'', '"'));
  }

  private DesignTokens.Read read(String text) {
    return DesignTokens.read(demo, text.replace('\'', '"'));
  }

  private static Document apply(Document document, List<Edit> edits) {
    return Edits.apply(document, edits).document();
  }

  /** The module's own examples of its types. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "COLOR | {'colorSpace':'srgb','components':[1,0,1],'alpha':1,'hex':'#ff00ff'} | #ff00ff",
        "COLOR | {'colorSpace':'srgb','components':[0,0,0],'alpha':0.5,'hex':'#000000'} | #00000080",
        "COLOR | {'colorSpace':'srgb','components':['none',0.2,1]} | #0033ff",
        "COLOR | {'colorSpace':'hsl','components':[330,100,50],'hex':'#ff0080'} | #ff0080",
        "COLOR | '#ff00ff' | #ff00ff",
        "DIMENSION | {'value':0,'unit':'px'} | 0px",
        "DIMENSION | {'value':0.5,'unit':'rem'} | 0.5rem",
        "DIMENSION | '16px' | 16px",
        "WEIGHT | 350 | 350",
        "WEIGHT | 'extra-bold' | 800",
        "NUMBER | 1.2 | 1.2"
      })
  void examplesOfTypesAreRead(TokenValue type, String value, String said) {
    assertThat(type.read(json(value.strip()))).hasToString(said);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "COLOR | {'colorSpace':'lab','components':[60,93,-60]} | hex",
        "COLOR | {'colorSpace':'srgb','components':[2,0,0]} | 0 to 1",
        "COLOR | {'colorSpace':'srgb','components':['red',0,0]} | 0 to 1, or none",
        "COLOR | 'shocking' | a colour such as",
        "DIMENSION | {'value':'1','unit':'px'} | px or rem",
        "DIMENSION | {'value':1,'unit':'furlong'} | px or rem",
        "DIMENSION | 3 | px or rem",
        "WEIGHT | 'fat' | a name such as bold",
        "NUMBER | 'one' | a number"
      })
  void whatIsNoneOfATypeIsRefused(TokenValue type, String value, String says) {
    assertThatThrownBy(() -> type.read(json(value.strip())))
        .isInstanceOf(Refused.class)
        .hasMessageContaining(says.strip());
  }

  @Test
  void whatGoesOutComesBackAsItIs() {
    String out = DesignTokens.write(demo);
    DesignTokens.Read read = DesignTokens.read(demo, out);
    assertThat(read.edits()).isEmpty();
    assertThat(read.refused()).isEmpty();
    assertThat(read.strangers()).isZero();
    JsonNode file = DocumentJson.parse(out);
    assertThat(file.at("/tone/paper/ground/$type").asString()).isEqualTo("color");
    assertThat(file.at("/tone/paper/ground/$value/hex").asString()).isEqualTo("#fbf7ec");
    assertThat(file.at("/type/title/$type").asString()).isEqualTo("typography");
    assertThat(file.at("/type/title/$value/fontFamily").asString()).isEqualTo("{family.display}");
    assertThat(file.at("/look").isEmpty()).as("the demo has looks of its own").isFalse();
  }

  /** Whatever is changed in the file is what the site has then, and nothing else. */
  @Test
  void whatIsChangedInTheFileIsWhatTheSiteHas() {
    var random = new Random(20_261_129);
    for (int round = 0; round < 60; round++) {
      Document other = demo;
      int changes = 1 + random.nextInt(6);
      for (int i = 0; i < changes; i++) {
        other = apply(other, List.of(drawn(random)));
      }
      String out = DesignTokens.write(other);
      DesignTokens.Read read = DesignTokens.read(demo, out);
      assertThat(read.refused()).isEmpty();
      assertThat(DesignTokens.write(apply(demo, read.edits()))).isEqualTo(out);
      assertThat(read.edits()).hasSizeLessThanOrEqualTo(changes + 1);
      assertThat(read.changes()).hasSameSizeAs(read.edits());
    }
  }

  private static Edit drawn(Random random) {
    List<String> tones = List.of("paper", "leaf", "dusk", "picture");
    List<String> colours = List.of("ground", "raised", "ink", "quiet", "accent", "line", "ring");
    List<String> styles = List.of("title", "heading", "text", "small", "kicker", "button");
    String style = "type." + styles.get(random.nextInt(styles.size())) + "/rest/";
    return switch (random.nextInt(6)) {
      case 0 -> set(style + "weight", 100 + 50 * random.nextInt(17));
      case 1 -> set(style + "text-size", 12 + random.nextInt(40) + "px");
      case 2 -> set(style + "leading", 1 + random.nextInt(10) / 10.0);
      case 3 ->
          set(
              "type.families/rest/" + (random.nextBoolean() ? "text-face" : "display-face"),
              List.of("literata", "rubik", "caveat").get(random.nextInt(3)));
      default ->
          set(
              "tone."
                  + tones.get(random.nextInt(tones.size()))
                  + "/rest/tone-"
                  + colours.get(random.nextInt(colours.size())),
              String.format(Locale.ROOT, "#%06x", random.nextInt(0x1000000)));
    };
  }

  private static Edit set(String key, Object value) {
    return new Edit.SetStyle("site", StyleKey.parse(key), "desktop", value);
  }

  @Test
  void anAliasIsFollowed() {
    DesignTokens.Read read =
        read(
            """
            {'brand': {'$type': 'color', 'copper': {'$value': '#8a3a04'}, 'main': {'$value': '{brand.copper}'}},
             'tone': {'paper': {'accent': {'$value': '{brand.main}'}}}}
            """);
    assertThat(read.refused()).isEmpty();
    assertThat(read.strangers()).isEqualTo(2);
    assertThat(read.changes())
        .singleElement()
        .satisfies(each -> assertThat(each.now()).isEqualTo("#8a3a04"));
  }

  /** What is wrong is told with its path, and what is right is taken all the same. */
  @Test
  void whatIsWrongIsToldAndTheRestIsTaken() {
    DesignTokens.Read read =
        read(
            """
            {'a': {'$value': '{b}'}, 'b': {'$value': '{a}'},
             'tone': {
               'paper': {
                 'ground': {'$type': 'color', '$value': '{a}'},
                 'ink': {'$type': 'dimension', '$value': {'value': 1, 'unit': 'px'}},
                 'quiet': {'$value': '{nowhere.at.all}'},
                 'line': {'$type': 'color', '$value': 'mauve'},
                 'accent': {'$type': 'color', '$value': '#123456'}},
               'leaf': {'$ref': '#/tone/paper'}},
             'family': {'text': {'$type': 'fontFamily', '$value': 'Some Other Sans'}},
             'type': {'title': {'$type': 'typography', '$value': {'fontWeight': 2000, 'lineHeight': 1.3}}}}
            """);
    assertThat(read.refused())
        .extracting(Refused::getMessage)
        .satisfiesExactlyInAnyOrder(
            each -> assertThat(each).startsWith("tone.leaf: $ref"),
            each -> assertThat(each).startsWith("tone.paper.ground: alias").contains("circle"),
            each -> assertThat(each).startsWith("tone.paper.ink: type is dimension"),
            each -> assertThat(each).startsWith("tone.paper.quiet: alias is {nowhere.at.all}"),
            each -> assertThat(each).startsWith("tone.paper.line: colour is mauve"),
            each -> assertThat(each).startsWith("family.text: font family is Some Other Sans"),
            each -> assertThat(each).startsWith("type.title.fontWeight").contains("2000"));
    assertThat(read.changes()).extracting(each -> each.now()).contains("#123456", "1.3").hasSize(2);
  }

  @ParameterizedTest
  @ValueSource(strings = {"[]", "7", "'tokens'"})
  void whatIsNoFileOfTokensIsRefused(String file) {
    assertThatThrownBy(() -> read(file))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("an object of groups and tokens");
  }

  @Test
  void hostileFilesAreRefusedSoon() {
    assertThatThrownBy(() -> read("{'a':".repeat(300) + "1" + "}".repeat(300)))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("at most 40");
    assertThatThrownBy(() -> read("{'a': ")).isInstanceOf(DocumentJson.Faults.class);
    var many = new ArrayList<String>();
    for (int i = 0; i < 10_001; i++) {
      many.add("'t" + i + "': {'$value': 1}");
    }
    assertThatThrownBy(() -> read("{" + String.join(",", many) + "}"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("10000");
    // A long chain that ends is followed; it is no circle.
    var chain = new ArrayList<String>();
    for (int i = 0; i < 2_000; i++) {
      chain.add("'c" + i + "': {'$value': '{c" + (i + 1) + "}'}");
    }
    chain.add("'c2000': {'$type': 'color', '$value': '#010203'}");
    DesignTokens.Read read =
        read("{" + String.join(",", chain) + ", 'tone': {'paper': {'ink': {'$value': '{c0}'}}}}");
    assertThat(read.changes()).extracting(each -> each.now()).containsExactly("#010203");
  }
}
