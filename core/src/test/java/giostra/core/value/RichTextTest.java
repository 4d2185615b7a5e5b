package giostra.core.value;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Hostile and ordinary markup; what a parser of the HTML standard (jsoup) makes of the result. */
class RichTextTest {
  @ParameterizedTest
  @ValueSource(
      strings = {
        "<p onclick=alert(1)>a</p>",
        "<a href='javascript:alert(1)'>a</a>",
        "<a href='jav&#x09;ascript:alert(1)'>a</a>",
        "<img src=x onerror=alert(1)>",
        "<svg><script>alert(1)</script></svg>",
        "<iframe srcdoc='<script>alert(1)</script>'></iframe>",
        "<math><mi xlink:href='javascript:alert(1)'>a</mi></math>",
        "<style>@import 'https://elsewhere.example/a.css'</style><p>a</p>",
        "<p style='background:url(https://elsewhere.example/a)'>a</p>",
        "<form action='javascript:alert(1)'><button formaction='javascript:alert(1)'>a</button></form>",
        "<template><script>alert(1)</script></template>",
        "<noscript><p title='</noscript><img src=x onerror=alert(1)>'></noscript>",
      })
  void nothingHostileIsLeft(String html) {
    for (String clean : new String[] {RichText.clean(html), RichText.cleanOwn(html)}) {
      var parsed = Jsoup.parseBodyFragment(clean);
      assertThat(parsed.select("script, style, iframe, svg, math, template, object")).isEmpty();
      assertThat(parsed.getAllElements().stream().flatMap(e -> e.attributes().asList().stream()))
          .noneMatch(a -> a.getKey().startsWith("on") || a.getKey().equals("style"))
          .noneMatch(a ->
              a.getValue()
                  .replaceAll("\\s", "")
                  .toLowerCase(java.util.Locale.ROOT)
                  .startsWith("javascript:"))
          .noneMatch(a -> a.getValue().contains("elsewhere.example"));
    }
  }

  @Test
  void cleaningWhatIsCleanChangesNothing() {
    String html =
        "<h3>Four</h3><p>One <strong>two</strong> <em>three</em><br>four</p><ul><li>a</li></ul>"
            + "<blockquote><p>q</p></blockquote><p><a href=\"#there\">t</a> <code>c</code></p>";
    String clean = RichText.clean(html);
    assertThat(clean).isEqualTo(html);
    assertThat(RichText.clean(clean)).isEqualTo(clean);
  }

  @Test
  void formFieldsMayStandInMarkupOfOnesOwnOnly() {
    String form =
        "<form action=\"https://a.example/x\"><label>Name <input name=\"n\" required></label></form>";
    assertThat(RichText.cleanOwn(form)).contains("<input", "required", "action=");
    assertThat(RichText.clean(form)).doesNotContain("<input").contains("Name");
  }

  @Test
  void theWordsOfAMarkupAreItsTextBlockByBlock() {
    assertThat(RichText.words("<p>One <em>two</em></p><ul><li>three</li></ul>"))
        .isEqualTo("One two\nthree");
    assertThat(RichText.words("a < b & c")).isEqualTo("a < b & c");
  }

  /** What stands in what it cannot stand in is read otherwise when it is read again. */
  @Test
  void whatIsCleanIsCleanAgain() {
    for (String html :
        List.of(
            "<p>One <<select>\"x\">three</a></p><ul><li>x</ul><h" + "(".repeat(20),
            "<table><a href='https://a.example'><tr><td>1<table><a>2",
            "<p><b><p><i></b><p>x</i>",
            "<h2><a href='https://a.example'><h2><a href='https://b.example'>x",
            "<table><a href='https://a.example'>".repeat(60),
            "a".repeat(10) + "<form><form><select><option><select>")) {
      String clean = RichText.cleanOwn(html);
      assertThat(RichText.cleanOwn(clean)).as(html).isEqualTo(clean);
      String plain = RichText.clean(html);
      assertThat(RichText.clean(plain)).as(html).isEqualTo(plain);
    }
  }

  /** A link that is never closed stands in each cell after it: 20 kB would become 20 MB. */
  @Test
  void whatGrowsByBeingReadIsLeftAsWords() {
    String html =
        "<a href='https://a.example/"
            + "b".repeat(9_000)
            + "'>One"
            + "<table><tr><td>two".repeat(600);
    String clean = RichText.cleanOwn(html);
    assertThat(clean).startsWith("One").contains("two").doesNotContain("<");
    assertThat(RichText.cleanOwn(clean)).isEqualTo(clean);
  }

  /** The parser itself gives up here; it says so as every refusal does. */
  @Test
  void whatCannotBeFollowedIsRefused() {
    for (String each : List.of("<template>", "<template><svg>", "<svg><template>")) {
      try {
        assertThat(RichText.clean(each.repeat(700))).isNotNull();
      } catch (Refused e) {
        assertThat(e).hasMessageContaining("HTML");
      }
    }
  }
}
