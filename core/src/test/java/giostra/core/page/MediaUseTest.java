package giostra.core.page;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.band.Bands;
import giostra.core.look.Values;
import giostra.core.piece.carousel.Carousel;
import giostra.core.piece.carousel.CarouselSettings;
import giostra.core.piece.video.Video;
import giostra.core.testing.Demo;
import giostra.core.value.Aspect;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/** Where media are used, and documents in which they have other ids. */
class MediaUseTest {
  private static Document document() {
    var card =
        new Item(
            "card",
            Values.NONE
                .with(ItemSettings.PICTURE, Values.ALL, "lamp")
                .with(ItemSettings.HEADING, Values.ALL, "The lamp"));
    Values cards =
        Values.NONE
            .with(CarouselSettings.PICTURE_SHAPE, "desktop", CarouselSettings.PictureShape.WIDE)
            .with(CarouselSettings.PICTURE_SHAPE, "phone", CarouselSettings.PictureShape.SQUARE);
    var film =
        new Item(
            "film",
            Values.NONE
                .with(ClipSettings.CLIP, Values.ALL, "bloom")
                .with(ClipSettings.CAPTIONS.getFirst().file(), Values.ALL, "words"));
    var text =
        new Block.Text(
            "text",
            Values.NONE.with(
                BlockSettings.PARAGRAPHS,
                Values.ALL,
                "<p>A lamp: <img data-picture=\"lamp\" alt=\"\"></p>"));
    return new Document(
        new Site(Bands.INITIAL, Values.NONE),
        new Page(
            "page",
            Values.NONE,
            List.of(
                new Section(
                    "one",
                    Values.NONE.with(SectionSettings.GROUND, Values.ALL, "lamp"),
                    List.of(
                        new Carousel("cards", cards, List.of(card)),
                        new Video("films", Values.NONE, List.of(film)),
                        text)))));
  }

  @Test
  void everyPlaceIsNamed() {
    assertThat(MediaUse.of(document()))
        .extracting(MediaUse::media, MediaUse::node, MediaUse::called, MediaUse::setting)
        .containsExactlyInAnyOrder(
            org.assertj.core.groups.Tuple.tuple("lamp", "one", "section", "Ground picture"),
            org.assertj.core.groups.Tuple.tuple("lamp", "card", "The lamp", "Picture"),
            org.assertj.core.groups.Tuple.tuple("bloom", "film", "item", "Clip"),
            org.assertj.core.groups.Tuple.tuple("words", "film", "item", "Captions"),
            org.assertj.core.groups.Tuple.tuple("lamp", "text", "text", "Text"));
  }

  @Test
  void theShapesAreThoseOfAllBands() {
    assertThat(MediaUse.of(document()))
        .filteredOn(use -> use.node().equals("card"))
        .singleElement()
        .extracting(MediaUse::shapes)
        .isEqualTo(List.of(Aspect.SQUARE, new Aspect(16, 9)));
  }

  @Test
  void otherIdsStandEverywhereAndNowhereElse() {
    Document renamed = Renamed.of(document(), Map.of("lamp", "lamp-2", "bloom", "bloom-2"));
    assertThat(MediaUse.of(renamed))
        .extracting(MediaUse::media)
        .containsExactlyInAnyOrder("lamp-2", "lamp-2", "lamp-2", "bloom-2", "words");
    assertThat(renamed.node("card").values().get(ItemSettings.HEADING)).isEqualTo("The lamp");
  }

  /** There and back again is where one was: on all of the demo. */
  @Test
  void renamingBackGivesTheDocumentBack() {
    Document demo = Demo.document();
    var there = new TreeMap<String, String>();
    var back = new TreeMap<String, String>();
    for (MediaUse use : MediaUse.of(demo)) {
      there.put(use.media(), "new-" + use.media());
      back.put("new-" + use.media(), use.media());
    }
    assertThat(there).hasSizeGreaterThan(15);
    Document renamed = Renamed.of(demo, there);
    assertThat(renamed).isNotEqualTo(demo);
    assertThat(Renamed.of(renamed, back)).isEqualTo(demo);
  }
}
