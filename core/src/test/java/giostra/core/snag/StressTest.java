package giostra.core.snag;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import giostra.core.band.Band;
import giostra.core.format.DocumentJson;
import giostra.core.format.NodeTexts;
import giostra.core.layout.PictureSizes;
import giostra.core.layout.Resolution;
import giostra.core.look.Cascade;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Node;
import giostra.core.page.PartsShown;
import giostra.core.testing.Demo;
import giostra.core.value.Length;
import giostra.core.value.Refused;
import giostra.core.value.TypeSize;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Pages as life changes them. */
class StressTest {
  private final Document demo = Demo.document();

  @ParameterizedTest
  @EnumSource
  void whatComesOfItIsAPageThatCanBeKeptAndSwept(Stress stress) {
    Document page = stress.of(demo);
    assertThat(page).isNotEqualTo(demo);
    String text = new NodeTexts((section, write) -> write.apply(section)).text(page);
    assertThat(DocumentJson.read(text)).isEqualTo(page);
    // What is found stands where something is.
    assertThat(Snags.of(page, PictureSizes.NONE, 0))
        .isNotEmpty()
        .allMatch(snag -> page.find(snag.piece()).isPresent())
        .allMatch(snag -> snag.item().isEmpty() || page.find(snag.item()).isPresent());
    // What stood in an item that is gone is gone with it.
    assertThat(page.pieces()).hasSizeBetween(demo.pieces().size() - 1, demo.pieces().size());
  }

  @ParameterizedTest
  @CsvSource({
    "Plants, Plantspla",
    "The lamp walk, Theth lampla walkwa",
    "No. 1210, Non. 1210",
    "Gärten, Gärtengär",
    "a, aa",
    "12 %, 12 %"
  })
  void everyWordIsTwoFifthsLonger(String text, String longer) {
    assertThat(Stress.longer(text)).isEqualTo(longer);
  }

  @Test
  void whatNobodyKnowsIsRefused() {
    assertThat(Stress.named("translated")).isEqualTo(Stress.TRANSLATED);
    assertThatThrownBy(() -> Stress.named("hail"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("longest, translated, one, twenty");
  }

  /** Markup stays what it is; words within it are longer. */
  @Test
  void wordsInMarkupAreLonger() {
    Document page =
        Edits.apply(
                demo,
                List.of(
                    new Edit.SetValue(
                        "house-1",
                        "text",
                        Values.ALL,
                        "<p>Lit <strong>from</strong> &amp; <a href=\"https://a.example\">here</a></p>")))
            .document();
    assertThat(item(Stress.TRANSLATED.of(page), "house-1").values().get(ItemSettings.TEXT))
        .contains("<strong>fromfr</strong>")
        .contains("&amp;")
        .containsPattern("href=\"https://a.example\"[^>]*>herehe</a>");
  }

  @Test
  void itemsAreAsManyAsIsSaid() {
    assertThat(Stress.TWENTY.of(demo).piece("houses").items()).hasSize(20);
    assertThat(Stress.ONE.of(demo).piece("houses").items()).hasSize(1);
    // Tabs hold pieces of their own, which a page has once.
    assertThat(Stress.TWENTY.of(demo).piece("four-houses").items()).hasSize(4);
    assertThat(Stress.ONE.of(demo).piece("four-houses").items()).hasSize(1);
  }

  @Test
  void textsAreAsLongAsTheLongest() {
    List<Item> words = Stress.LONGEST.of(demo).piece("words").items();
    assertThat(words)
        .extracting(item -> item.values().get(ItemSettings.TEXT))
        .allMatch(text -> text.equals(words.getFirst().values().get(ItemSettings.TEXT)));
  }

  /** The headings of tabs of the demo break in no band; two fifths longer one does. */
  @Test
  void longerWordsBreakWhereTheseDoNot() {
    long before = broken(demo);
    assertThat(broken(Stress.TRANSLATED.of(demo))).isGreaterThan(before);
    assertThat(broken(Stress.ONE.of(demo))).isLessThanOrEqualTo(before);
  }

  private static long broken(Document document) {
    return Snags.of(document, PictureSizes.NONE, 0).stream()
        .filter(each -> each.rule() == Rule.BROKEN_WORD)
        .mapToLong(each -> each.to() - each.from() + 1)
        .sum();
  }

  private static Item item(Document document, String id) {
    return (Item) document.node(id);
  }

  /** Whatever part of whatever node, in every band: as WCAG 2.2, 1.4.4 and 1.4.12 have it. */
  @Test
  void lettersAreTwiceAsLargeAndNothingIsCloserThanReadersMaySet() {
    Document large = Stress.LARGE.of(demo);
    Document spaced = Stress.SPACED.of(demo);
    int looked = 0;
    for (Node node : demo.nodes().toList()) {
      for (Part part : PartsShown.of(node)) {
        for (Band band : demo.bands().all()) {
          if (part.has(Property.TEXT_SIZE)) {
            TypeSize was = of(demo, node, part, Property.TEXT_SIZE, band);
            TypeSize is = of(large, large.node(node.id()), part, Property.TEXT_SIZE, band);
            // What is a share of the letters around grows with these.
            boolean share = was.base().unit() == Length.Unit.EM;
            assertThat(is.px(800) / was.px(800))
                .as("%s of %s in %s", part.id().id(), node.id(), band.id())
                .isCloseTo(share ? 1 : 2, within(1e-9));
            looked++;
          }
          if (part.has(Property.SPACING)) {
            Node there = spaced.node(node.id());
            assertThat(of(spaced, there, part, Property.LEADING, band)).isGreaterThanOrEqualTo(1.5);
            assertThat(of(spaced, there, part, Property.SPACING, band))
                .isGreaterThanOrEqualTo(0.12);
            assertThat(of(spaced, there, part, Property.WORD_SPACING, band))
                .isGreaterThanOrEqualTo(0.16);
          }
        }
      }
    }
    assertThat(looked).isGreaterThan(500);
  }

  private static <T> T of(Document document, Node node, Part part, Property<T> what, Band band) {
    return Cascade.value(part, what, State.REST, Resolution.scope(document, node), band);
  }
}
