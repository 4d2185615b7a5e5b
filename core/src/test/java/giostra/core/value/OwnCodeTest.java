package giostra.core.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.testing.Runs;
import giostra.core.value.OwnCode.Where;
import java.util.List;
import java.util.Random;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Code of one's own; that it runs under its policy is held in CodeJourney. */
class OwnCodeTest {
  private static final int DRAWN = Runs.of(3_000, 20_000);

  @Test
  void whatItNeedsIsReadOffIt() {
    OwnCode code =
        OwnCode.read(
            "Code",
            """
            <script>seen("a")</script>
            <script type="module" src="//stats.example/a.js"></script>
            <script type="application/ld+json">{"@type":"Event"}</script>
            <script src="/own.js"></script>
            <style>b{color:red}</style>
            <svg><script>drawn()</script></svg>
            <img src="HTTP://Pixel.example:8080/p.gif" alt="">
            <iframe src="https://frame.example/x?y"></iframe>
            """,
            Where.END);
    assertThat(code.scripts()).containsExactly("seen(\"a\")", "drawn()");
    assertThat(code.styles()).containsExactly("b{color:red}");
    assertThat(code.scriptHosts()).containsExactly("https://stats.example");
    assertThat(code.imageHosts()).containsExactly("http://pixel.example:8080");
    assertThat(code.frameHosts()).containsExactly("https://frame.example");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "<meta name=\"verify\" content=\"1\">",
        "<link rel=\"preconnect\" href=\"https://stats.example\">",
        "<!-- a word --><script>if (1 < 2 && \"</b>\") go()</script>",
        "<noscript><link rel=\"stylesheet\" href=\"/a.css\"></noscript>",
        "<script>// <!-- </script>",
        "",
        " \n"
      })
  void whatBelongsIntoAHeadIsTaken(String html) {
    assertThat(new CodeKind(Where.HEAD, 1000).read("Code", html)).isEqualTo(html);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "<div>a</div>|<div>a</div>",
        "words|words",
        "<script>go()|something that is not closed",
        "<!-- a|something that is not closed",
        "<style>b{}|something that is not closed",
        "<template><b>|something that is not closed",
        "<noscript>|something that is not closed",
        "</head><body>|something that is not closed",
        "<title>Other</title>|<title>",
        "<base href=\"/x/\">|<base>",
        "<meta charset=\"utf-16\">|<meta>",
        "<script src=\"https://[\"></script>|https://[",
        "<script src=\"https://a b\"></script>|https://a b",
        "<script src=\"data:text/javascript,go()\"></script>|data:text/javascript,go()",
        "<link rel=\"stylesheet\" href=\"https://a.example;x\">|https://a.example;x",
        "<link rel=\"icon\" onload=\"go()\" href=\"/a\">|onload on <link>",
      })
  void whatDoesNotIsRefusedByName(String html, String found) {
    assertThatThrownBy(() -> OwnCode.read("Code in the head", html, Where.HEAD))
        .isInstanceOfSatisfying(
            Refused.class,
            refused -> {
              assertThat(refused.getMessage()).startsWith("Code in the head");
              assertThat(refused.found()).isEqualTo(found);
            });
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "<div><p>a</div",
        "<textarea>",
        "<script>",
        "<!--",
        "<div>",
        "<a href=\"javascript:go()\">x</a>",
        "<p onclick=\"go()\">x</p>",
        "<p><b>a",
        "<p>a</p><body class=\"own\">",
        "<html dir=\"rtl\">",
        "<select>",
        "<plaintext>"
      })
  void whatSwallowsTheEndIsRefused(String html) {
    assertThatThrownBy(() -> OwnCode.read("Code", html, Where.END)).isInstanceOf(Refused.class);
  }

  /** Drawn from pieces of markup: what is taken leaves the rest of the page as it was. */
  @Test
  void whatIsTakenChangesNothingOfThePageAroundIt() {
    List<String> pieces =
        List.of(
            "<script>",
            "</script>",
            "<!--",
            "-->",
            "<style>",
            "</style>",
            "<div>",
            "</div>",
            "<b>",
            "</b>",
            "a",
            "<meta name=x>",
            "<template>",
            "</template>",
            "<noscript>",
            "</noscript>",
            "</head>",
            "<body>",
            "</body>",
            "<link rel=next href=x>",
            "'",
            "\"",
            "<svg>",
            "</svg>",
            "<![CDATA[",
            "]]>",
            "<table>",
            "<tr>",
            "</table>",
            "<p>",
            "</main>");
    var random = new Random(3);
    int taken = 0;
    for (int n = 0; n < DRAWN; n++) {
      var text = new StringBuilder();
      for (int i = random.nextInt(6); i >= 0; i--) {
        text.append(pieces.get(random.nextInt(pieces.size())));
      }
      for (Where where : Where.values()) {
        try {
          OwnCode.read("Code", text.toString(), where);
        } catch (Refused e) {
          continue;
        }
        taken++;
        Document page =
            Jsoup.parse(
                "<!DOCTYPE html><html><head><meta charset=utf-8>"
                    + (where == Where.HEAD ? text : "")
                    + "</head><body><main><h1>Title</h1></main>"
                    + (where == Where.END ? text : "")
                    + "</body></html>");
        assertThat(page.selectXpath("/html/body/main/h1")).as(text.toString()).hasSize(1);
        assertThat(page.body().child(0).normalName()).as(text.toString()).isEqualTo("main");
        assertThat(page.selectXpath("/html/body/main/*")).as(text.toString()).hasSize(1);
      }
    }
    assertThat(taken).isGreaterThan(DRAWN / 10);
  }
}
