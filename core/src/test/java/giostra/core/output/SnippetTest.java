package giostra.core.output;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.layout.RoomHeights;
import giostra.core.look.Values;
import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.Piece;
import giostra.core.page.ProofSettings;
import giostra.core.testing.Demo;
import giostra.core.testing.RandomDocuments;
import giostra.core.value.Refused;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Reference libraries: jsoup for markup; in Chromium: SnippetJourney. */
class SnippetTest {
  private static final Map<String, String> SCRIPTS =
      Shipped.SCRIPTS.stream().collect(Collectors.toMap(Function.identity(), name -> "in/" + name));

  private static final Pattern OF_THE_SCREEN =
      Pattern.compile(
          "[\\d.](?:rem|vw|svw|lvw|dvw|vmin|vmax)\\b|@media[^{]*width|:root|(?<![-\\w.])(?:html|body|main)[\\s{,>:]");

  private static Snippet of(Document document, String id) {
    return Snippet.of(document, Shipped.scriptsOnly(), id, SCRIPTS, _ -> true, true);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          html{--a:1}                                     | g-page{--a:1}
          body{margin:0}                                  | g-page{margin:0}
          main .g-card{rotate:1deg}                       | g-page .g-card{rotate:1deg}
          :root[dir=rtl] .g-belt{--g-way:1}               | .g-page[dir=rtl] .g-belt{--g-way:1}
          .main-body,[data-x=body],.html{gap:1px}         | .main-body,[data-x=body],.html{gap:1px}
          .a{gap:1.5rem;margin:-2rem .5rem}               | .a{gap:24px;margin:-32px 8px}
          .a{width:var(--g-1rem);color:#1e3;top:3em}      | .a{width:var(--g-1rem);color:#1e3;top:3em}
          .a{width:calc(50vw - 1rem)}                     | .a{width:calc(calc(50*var(--g-in)) - 16px)}
          .a{font-size:clamp(1rem,2px + 1.5vmin,3rem)}    | .a{font-size:clamp(16px,2px + min(calc(1.5*var(--g-in)),1.5vh),48px)}
          .a::before{content:"1rem 5vw"}                  | .a::before{content:"1rem 5vw"}
          @media (width < 600px){.a{gap:1px}}             | @container g-room (width < 600px){.a{gap:1px}}
          @media (600px <= width < 900px){.a{gap:1px}}    | @container g-room (600px <= width < 900px){.a{gap:1px}}
          @media screen and (max-width:600px){.a{gap:0}}  | @container g-room (max-width:600px){.a{gap:0}}
          @media (hover:hover) and (pointer:fine){@media (width < 600px){.a{gap:1px}}} | @media (hover:hover) and (pointer:fine){@container g-room (width < 600px){.a{gap:1px}}}
          @media (hover:hover) and (width < 9px){.a{gap:0}} | @media (hover:hover){@container g-room (width < 9px){.a{gap:0}}}
          @media print,(width < 9px){.a{gap:0}}           | @media print,(width < 9px){.a{gap:0}}
          @container (inline-size < 480px){.a{gap:1rem}}  | @container (inline-size < 480px){.a{gap:16px}}
          .a{background:url("x_(1)5rem.png") 1rem}        | .a{background:url("x_(1)5rem.png") 16px}
          @keyframes g-a{to{width:1rem}}                  | @keyframes g-a{to{width:16px}}
          """)
  void whatAskedForTheScreenAsksForTheRoom(String css, String then) {
    String made = RoomSheet.of(css, true).css();
    assertThat(made.substring(made.indexOf("1cqi}") + 5)).isEqualTo(then.strip());
  }

  @Test
  void withoutScriptItIsAsForWhoRunsNone() {
    String css =
        "@media (scripting: none){.a{gap:1px}}@media (scripting: enabled){.b{gap:1px}}.c{gap:1px}";
    assertThat(RoomSheet.of(css, false).css()).endsWith(".a{gap:1px}.c{gap:1px}");
  }

  @Test
  void familiesHaveNamesThatNobodyElseHas() {
    RoomSheet.Made made =
        RoomSheet.of(
            "@font-face{font-family:\"A B\";src:url(\"x\");font-display:optional}"
                + ".a{font-family:\"A B\",serif;content:\"A B\"}.b{--g-face:\"A B\"}",
            true);
    String name = "A B " + Hash.of("font-family:\"A B\";src:url(\"x\");font-display:optional");
    assertThat(made.faces())
        .contains("font-family:\"" + name + "\"")
        .contains("font-display:swap")
        .contains("@property --g-in");
    assertThat(made.css()).contains("\"" + name + "\",serif").doesNotContain("\"A B\"");
  }

  @Test
  void nothingOfTheScreenIsLeftInAnySheet() {
    for (long seed = 0; seed < 25; seed++) {
      Document document = RandomDocuments.document(seed);
      for (Piece piece : document.pieces()) {
        Snippet snippet = of(document, piece.id());
        assertThat(OF_THE_SCREEN.matcher(snippet.css().replaceAll("\"[^\"]*\"", "\"\"")).results())
            .as("seed %d, %s", seed, piece.id())
            .map(each -> snippet.css().substring(Math.max(0, each.start() - 60), each.end()))
            .isEmpty();
        assertThat(Jsoup.parse(snippet.html()).select("[data-piece=" + piece.id() + "]"))
            .hasSize(1);
      }
    }
  }

  @Test
  void aPieceAloneHasNothingOfTheRoomAroundIt() {
    Document demo = Demo.document();
    Document alone = Snippet.alone(demo, "houses");
    assertThat(alone.page().sections())
        .singleElement()
        .satisfies(
            section -> assertThat(section.blocks()).extracting("id").containsExactly("houses"));
    assertThat(of(demo, "houses").css()).contains("padding-block:0px 0px");
    assertThat(of(demo, "houses").html()).doesNotContain("aria-label=\"Tonight\"");
    assertThat(of(demo, "houses-section").html()).contains("aria-label=\"Tonight\"");
    assertThatThrownBy(() -> of(demo, "houses-title"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("houses-title")
        .hasMessageContaining("a section or a piece of the page as it was published");
  }

  @Test
  void addressesAreKnownWhereItIsAskedFor() {
    Snippet snippet = of(Demo.document(), "houses");
    assertThat(snippet.scripts())
        .isNotEmpty()
        .allMatch(each -> each.startsWith("giostra-base:/in/"));
    assertThat(snippet.at("https://x.example/4/", "https://x.example/"))
        .contains("https://x.example/4/in/")
        .doesNotContain("giostra-base");
  }

  /** Source: HTML, "Restrictions on the contents of raw text elements". */
  @Test
  void whatSomebodyWroteInASheetEndsNoElement() {
    Document written =
        Demo.document()
            .changed(
                "houses",
                node ->
                    node.with(
                        node.values()
                            .with(
                                ProofSettings.OWN_CSS,
                                Values.ALL,
                                ".g-card::before { content: '</style><img src=x onerror=alert(1)> 5rem' }")));
    String kept = of(written, "houses").kept();
    assertThat(kept).contains("<\\/style><img").contains("5rem");
    assertThat(Jsoup.parse(kept).select("template > *").eachAttr("class"))
        .containsExactly("g-room");
    assertThat(Jsoup.parse(kept).select("template > style")).hasSize(1);
    assertThat(Jsoup.parse(kept).select("[onerror]")).isEmpty();
  }

  @Test
  void linksLeadWhereTheyLedOnThePage() {
    Document demo = Demo.document();
    Document linked =
        demo.changed(
            "houses-text",
            node ->
                node.with(
                    node.values()
                        .with(
                            BlockSettings.PARAGRAPHS,
                            Values.ALL,
                            "<p><a href=\"#g-visit\">a</a> <a href=\"#g-houses\">b</a>"
                                + " <a href=\"tickets.html?x=1\">c</a> <a href=\"/root\">d</a>"
                                + " <a href=\"https://x.example/\">e</a>"
                                + " <a href=\"mailto:a@x.example\">f</a></p>")));
    assertThat(
            Jsoup.parse(
                    of(linked, "houses-section").at("https://s.example/4/", "https://l.example/p/"))
                .select("template")
                .select("#g-houses-text a, .g-text a")
                .eachAttr("href"))
        .containsExactly(
            "https://l.example/p/#g-visit",
            "#g-houses",
            "https://l.example/p/tickets.html?x=1",
            "/root",
            "https://x.example/",
            "mailto:a@x.example");
  }

  @Test
  void heightsAreStraightBetweenFewPoints() {
    List<RoomHeights.Point> points =
        RoomHeights.of(Snippet.alone(Demo.document(), "houses"), _ -> Optional.empty());
    assertThat(points).hasSizeBetween(2, 40);
    assertThat(points).extracting(RoomHeights.Point::wide).isSorted();
    assertThat(RoomHeights.css(points, "p"))
        .startsWith("p{min-height:")
        .contains("@container (width >= " + points.get(1).wide() + "px){p{");
    assertThat(
            RoomHeights.css(
                List.of(new RoomHeights.Point(280, 500), new RoomHeights.Point(380, 450)), "p"))
        .isEqualTo(
            "p{min-height:calc(500px + (100cqi - 280px)*-0.5)}@container (width >= 380px){p{min-height:450px}}");
  }
}
