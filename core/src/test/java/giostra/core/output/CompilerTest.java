package giostra.core.output;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.testing.RandomDocuments;
import java.util.List;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.jsoup.parser.ParseErrorList;
import org.jsoup.parser.Parser;
import org.junit.jupiter.api.Test;

/** Reference library: jsoup, for what a parser of the HTML standard makes of our markup. */
class CompilerTest {
  private static final Shipped SHIPPED = Shipped.scriptsOnly();

  @Test
  void theSameDocumentGivesTheSameBytes() {
    for (long seed = 0; seed < 40; seed++) {
      assertThat(Compiler.compile(RandomDocuments.document(seed), SHIPPED))
          .isEqualTo(Compiler.compile(RandomDocuments.document(seed), SHIPPED));
    }
  }

  @Test
  void whatItWritesParsesWithoutAnErrorAndNeedsNoInlineScriptOrStyle() {
    for (long seed = 0; seed < 40; seed++) {
      String html = Compiler.compile(RandomDocuments.document(seed), SHIPPED).html();
      Parser parser = Parser.htmlParser().setTrackErrors(10);
      var parsed = Jsoup.parse(html, "", parser);
      ParseErrorList errors = parser.getErrors();
      assertThat(errors).as("seed " + seed).isEmpty();
      assertThat(parsed.select("[style], script:not([src]), style")).isEmpty();
      assertThat(parsed.getAllElements().stream().flatMap(e -> e.attributes().asList().stream()))
          .noneMatch(attribute -> attribute.getKey().startsWith("on"));
      assertThat(parsed.select("[id]").stream().map(Element::id)).doesNotHaveDuplicates();
    }
  }

  @Test
  void hostileWordsStayWords() {
    Document document = RandomDocuments.document(3);
    String item = document.pieces().getFirst().items().getFirst().id();
    String hostile = "</script><script>alert(1)</script><img src=x onerror=alert(1)>\"'&";
    Document after =
        Edits.apply(
                document,
                List.of(
                    new Edit.SetValue(item, "text", "", hostile),
                    new Edit.SetValue(item, "name", "", hostile.substring(0, 60)),
                    new Edit.SetValue(item, "heading", "", hostile),
                    new Edit.SetValue("page", "title", "", hostile)))
            .document();
    var parsed = Jsoup.parse(Compiler.compile(after, SHIPPED).html());
    assertThat(parsed.title()).isEqualTo(hostile);
    // Words stay words; long text is markup, of which only what is harmless is left.
    assertThat(parsed.select("[data-item=" + item + "]").outerHtml())
        .doesNotContain("<script")
        .doesNotContain("onerror=\"");
    assertThat(parsed.select("script")).allMatch(script -> script.hasAttr("src"));
    assertThat(parsed.select("img")).isEmpty();
  }

  @Test
  void aLinkThatWouldRunScriptIsRefused() {
    assertThat(
            org.assertj.core.api.Assertions.catchThrowable(
                () -> BlockSettings.LINK.address().read("javascript:alert(1)")))
        .hasMessageContaining("it must be an address (https, http, mailto, tel)");
  }

  @Test
  void compiledCssNeverUsesTheViewportUnitThatCountsTheScrollbar() {
    for (long seed = 0; seed < 40; seed++) {
      assertThat(Compiler.compile(RandomDocuments.document(seed), SHIPPED).css())
          .doesNotContain("vw")
          .doesNotContain(",px")
          .doesNotContain("NaN");
    }
  }
}
