package giostra.core.snag;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.layout.PictureSizes;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Section;
import giostra.core.piece.carousel.Carousel;
import giostra.core.testing.Demo;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Hints of composition: quotations beside one another, and portraits beside their words. */
class QuotationSnagTest {
  private static final PictureSizes FACE =
      id -> id.isEmpty() ? Optional.empty() : Optional.of(new PictureSizes.Size(600, 600, false));

  /** Quotations of so many characters each, in words of five. */
  private static Document quotations(List<Integer> lengths, Edit... edits) {
    var items = new ArrayList<Item>();
    for (int length : lengths) {
      items.add(
          new Item(
              "q-" + items.size(),
              Values.NONE
                  .with(ItemSettings.TEXT, Values.ALL, "four ".repeat(length).substring(0, length))
                  .with(ItemSettings.PICTURE, Values.ALL, "face")
                  .with(ItemSettings.NAME, Values.ALL, "Aurelia")));
    }
    Document bare =
        Demo.bare(
            List.of(new Section("s", Values.NONE, List.of(new Carousel("c", Values.NONE, items)))));
    var all = new ArrayList<Edit>();
    all.add(new Edit.SetValue("c", "card", "", "quotation"));
    all.add(new Edit.SetValue("c", "inView", "desktop", 2));
    all.add(new Edit.SetValue("c", "inView", "phone", 1));
    all.addAll(List.of(edits));
    return Edits.apply(bare, all).document();
  }

  private static List<Snag> found(Rule rule, Document document) {
    return Snags.of(document, document.node("c"), FACE, 0).stream()
        .filter(snag -> snag.rule() == rule)
        .toList();
  }

  @ParameterizedTest
  @CsvSource({
    "319, 79, true",
    "321, 80, true",
    "320, 81, false",
    "319, 80, false",
    "310, 71, false",
    "900, 226, false",
  })
  void twoInViewOfWhichOneIsFourTimesAsLong(int most, int least, boolean told) {
    List<Snag> snags = found(Rule.UNLIKE, quotations(List.of(least, most)));
    assertThat(!snags.isEmpty()).isEqualTo(told);
    assertThat(snags).noneMatch(each -> each.band().equals("phone"));
  }

  /** Only what some stop shows together counts; going round, the first stand beside the last. */
  @Test
  void whatIsNeverSeenTogetherIsNotCompared() {
    List<Integer> lengths = List.of(60, 200, 200, 600);
    assertThat(found(Rule.UNLIKE, quotations(lengths))).isEmpty();
    assertThat(
            found(
                Rule.UNLIKE,
                quotations(lengths, new Edit.SetValue("c", "endless", "desktop", true))))
        .isNotEmpty();
  }

  @Test
  void eachWayOutIsOne() {
    Document document = quotations(List.of(60, 900));
    for (Snag snag : found(Rule.UNLIKE, document)) {
      assertThat(snag.fixes()).hasSize(2);
      for (Snag.Fix fix : snag.fixes()) {
        assertThat(found(Rule.UNLIKE, Edits.apply(document, fix.edits()).document()))
            .as(fix.label())
            .noneMatch(each -> each.band().equals(snag.band()));
      }
    }
    Document large =
        quotations(List.of(60, 90), new Edit.SetValue("c", "pictureWidth", "desktop", "180px"));
    assertThat(found(Rule.LARGE_PORTRAIT, large)).isNotEmpty();
    for (Snag snag : found(Rule.LARGE_PORTRAIT, large)) {
      assertThat(
              found(
                  Rule.LARGE_PORTRAIT,
                  Edits.apply(large, snag.fixes().getFirst().edits()).document()))
          .noneMatch(each -> each.band().equals(snag.band()));
    }
  }

  @Test
  void theDemoHasNeither() {
    Document demo = Demo.document();
    assertThat(
            Snags.of(demo, demo.node("words"), FACE, 0).stream()
                .filter(each -> each.rule() == Rule.UNLIKE || each.rule() == Rule.LARGE_PORTRAIT))
        .isEmpty();
  }
}
