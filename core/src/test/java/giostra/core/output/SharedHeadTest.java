package giostra.core.output;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.ItemSettings;
import giostra.core.page.NodeType;
import giostra.core.testing.Demo;
import giostra.core.value.Focus;
import java.util.List;
import java.util.Optional;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the head says to whoever shares the page. */
class SharedHeadTest {
  /** The picture of the demo's first slide. */
  private static final String FIRST =
      Demo.document().pieces().stream()
          .filter(piece -> piece.type() == NodeType.SLIDER)
          .flatMap(piece -> piece.onShow().stream())
          .map(item -> item.values().get(ItemSettings.PICTURE))
          .filter(id -> !id.isEmpty())
          .findFirst()
          .orElseThrow();

  private static org.jsoup.nodes.Document head(Edit... edits) {
    Document document = Edits.apply(Demo.document(), List.of(edits)).document();
    Shipped plain = Shipped.scriptsOnly();
    var shipped =
        new Shipped(
            plain.scripts(), List.of(), SharedHeadTest::media, plain.icons(), List.of(), "");
    return Jsoup.parse(Compiler.compile(document, shipped).html());
  }

  private static Optional<Shipped.Picture> media(String id) {
    return id.equals("moonflower") || id.equals(FIRST)
        ? Optional.of(
            new Shipped.Picture(
                id,
                "media/one.jpg",
                "image/jpeg",
                1600,
                1200,
                "A moonflower",
                Focus.CENTER,
                List.of(new Shipped.Rendition(800, "media/one-800.webp"))))
        : Optional.empty();
  }

  private static Edit set(String setting, String value) {
    return new Edit.SetValue("page", setting, "", value);
  }

  private static String said(org.jsoup.nodes.Document page, String property) {
    return page.select("meta[property=\"" + property + "\"]").attr("content");
  }

  private static List<String> all(org.jsoup.nodes.Document page, String property) {
    return page.select("meta[property=\"" + property + "\"]").eachAttr("content");
  }

  /** Never enlarged; what is too small is not shown there at all. */
  @ParameterizedTest
  @CsvSource({
    "1600, 1200, 1200x630 1200x1200",
    "4000, 630, 1200x630 630x630",
    "800, 600, 800x420 600x600",
    "300, 2000, 300x158 300x300",
    "199, 199, ''",
    "240, 110, 209x110",
  })
  void aPictureIsCutToTheShapesThatAreAsked(int width, int height, String sizes) {
    assertThat(
            SharePicture.sizes(width, height).stream()
                .map(size -> size.width() + "x" + size.height()))
        .containsExactlyElementsOf(sizes.isEmpty() ? List.of() : List.of(sizes.split(" ")));
  }

  /** Who gives none is shown by the first slide that has one. */
  @Test
  void aPageWithoutOneIsShownByItsFirstSlide() {
    var page = head(set("address", "https://velluta.example/"), set("sharePicture", ""));
    assertThat(FIRST).isNotEmpty();
    assertThat(all(page, "og:image"))
        .hasSize(2)
        .allMatch(each -> each.startsWith("https://velluta.example/media/"));
  }

  /** Where paths lead from there: RFC 3986, 5.2.3 and 5.2.4. */
  @ParameterizedTest
  @CsvSource({
    "https://velluta.example, https://velluta.example/media/",
    "https://velluta.example/, https://velluta.example/media/",
    "https://velluta.example/evenings/, https://velluta.example/evenings/media/",
    "https://velluta.example/evenings, https://velluta.example/media/",
    "http://velluta.example:8080/a%20b/c, http://velluta.example:8080/a%20b/media/",
  })
  void aPictureIsToldByItsWholeAddress(String address, String start) {
    var page = head(set("address", address), set("sharePicture", "moonflower"));
    assertThat(said(page, "og:image")).startsWith(start);
    assertThat(said(page, "og:url")).isEqualTo(address);
    assertThat(said(page, "og:type")).isEqualTo("website");
    assertThat(said(page, "og:title")).isNotEmpty();
    assertThat(all(page, "og:image:width")).containsExactly("1200", "1200");
    assertThat(all(page, "og:image:height")).containsExactly("630", "1200");
    assertThat(all(page, "og:image"))
        .containsExactly(start + "one-1200x630at50-50.jpg", start + "one-1200x1200at50-50.jpg");
    assertThat(said(page, "og:image:alt")).isEqualTo("A moonflower");
    assertThat(page.select("link[rel=canonical]").attr("href")).isEqualTo(address);
  }

  @Test
  void aPageThatSaysNothingOfThatSaysNothing() {
    assertThat(head().select("meta[property^=og], link[rel=canonical]")).isEmpty();
  }
}
