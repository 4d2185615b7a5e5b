package giostra.core.snag;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.fit.Piecewise;
import giostra.core.layout.PictureSizes;
import giostra.core.layout.PictureWidths;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Section;
import giostra.core.piece.carousel.Carousel;
import giostra.core.testing.Demo;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Weights of pictures; that they are what Chromium fetches is PictureJourney's. */
class HeavyTest {
  /** Pictures of 1 600 by 1 200 px, each in so many files. */
  private record Weighed(List<File> of) implements PictureSizes {
    @Override
    public Optional<Size> find(String id) {
      return id.isEmpty() ? Optional.empty() : Optional.of(new Size(1600, 1200));
    }

    @Override
    public List<File> files(String id) {
      return id.isEmpty() ? List.of() : of;
    }
  }

  private static Document cards(int count) {
    List<Item> items =
        IntStream.range(0, count)
            .mapToObj(i ->
                new Item(
                    "card-" + i, Values.NONE.with(ItemSettings.PICTURE, Values.ALL, "shot-" + i)))
            .toList();
    return Demo.bare(
        List.of(
            new Section("one", Values.NONE, List.of(new Carousel("cards", Values.NONE, items)))));
  }

  private static List<Snag> found(Document document, PictureSizes pictures) {
    return Snags.of(document, document.node("cards"), pictures, 0).stream()
        .filter(snag -> snag.rule() == Rule.HEAVY)
        .toList();
  }

  private static PictureSizes one(long bytes) {
    return new Weighed(List.of(new PictureSizes.File(1600, bytes)));
  }

  @ParameterizedTest
  @CsvSource({"4, 500000, false", "4, 500001, true", "1, 2000000, false", "1, 2000001, true"})
  void whatIsOverTwoMillionBytesIsTold(int cards, long bytes, boolean told) {
    List<Snag> found = found(cards(cards), one(bytes));
    // One file for every screen: told in each band, or in none.
    assertThat(found).hasSize(told ? Demo.document().bands().all().size() : 0);
    for (Snag snag : found) {
      assertThat(snag.measure().orElseThrow().required()).isEqualTo(2000);
      assertThat(snag.place().item()).isEqualTo("card-0");
    }
  }

  /** The file for 3 px a px ends to do where a phone's screen gets too wide for it. */
  @Test
  void onlyWhereTheFileIsFetchedThatIsTooHeavy() {
    List<PictureSizes.File> files =
        LongStream.of(320, 640, 960, 1280, 1600)
            .mapToObj(width -> new PictureSizes.File((int) width, width <= 960 ? 200_000 : 800_000))
            .toList();
    Document single =
        Edits.apply(cards(3), List.of(new Edit.SetValue("cards", "inView", "phone", 1))).document();
    PictureWidths phone =
        PictureWidths.of(single, PictureSizes.NONE).stream()
            .filter(each -> each.band().id().equals("phone"))
            .findFirst()
            .orElseThrow();
    Carousel cards = (Carousel) single.node("cards");
    Piecewise drawn =
        phone.item(cards, cards.items().getFirst(), new PictureSizes.Size(1600, 1200));
    List<Snag> found =
        found(single, new Weighed(files)).stream()
            .filter(snag -> snag.band().equals("phone"))
            .toList();
    assertThat(found).hasSize(1);
    assertThat(found.getFirst().to()).isEqualTo(767);
    assertThat(3 * drawn.at(found.getFirst().from())).isGreaterThan(960);
    assertThat(3 * drawn.at(found.getFirst().from() - 1)).isLessThanOrEqualTo(960);
    assertThat(found)
        .allSatisfy(snag -> assertThat(snag.measure().orElseThrow().found()).isEqualTo(2400));
  }

  @Test
  void whatIsStillToBeMadeIsNotWeighed() {
    assertThat(found(cards(9), new Weighed(List.of()))).isEmpty();
  }

  /** A picture that several items have comes once. */
  @Test
  void theSamePictureCountsOnce() {
    List<Item> items =
        IntStream.range(0, 5)
            .mapToObj(i ->
                new Item("card-" + i, Values.NONE.with(ItemSettings.PICTURE, Values.ALL, "shot")))
            .toList();
    Document document =
        Demo.bare(
            List.of(
                new Section(
                    "one", Values.NONE, List.of(new Carousel("cards", Values.NONE, items)))));
    assertThat(found(document, one(1_900_000))).isEmpty();
    assertThat(found(document, one(2_100_000))).isNotEmpty();
  }
}
