package giostra.core.piece;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.band.Bands;
import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Page;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.piece.slider.Slider;
import giostra.core.snag.Rule;
import giostra.core.snag.Snag;
import giostra.core.snag.Snags;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Arrows and pause buttons over words; that they are where this says is CoveredJourney's. */
class SlideCoveredTest {
  private static Item item(String id) {
    return new Item(
        id,
        Values.NONE
            .with(ItemSettings.HEADING, Values.ALL, "Dusk")
            .with(ItemSettings.TEXT, Values.ALL, "The doors are open from dusk. ".repeat(4)));
  }

  private static Edit set(String setting, Object value) {
    return new Edit.SetValue("slider", setting, "desktop", value);
  }

  private static Edit sides(String padding) {
    return new Edit.SetStyle(
        "slider", StyleKey.parse("slider.stand/rest/padding-sides"), "desktop", padding);
  }

  private static Document with(Edit... edits) {
    var section =
        new Section(
            "section",
            Values.NONE,
            List.of(new Slider("slider", Values.NONE, List.of(item("one"), item("two")))));
    var bare =
        new Document(
            new Site(Bands.INITIAL, Values.NONE), new Page("page", Values.NONE, List.of(section)));
    var all =
        new ArrayList<Edit>(
            List.of(
                set("arrows", "over"),
                set("arrowDistance", "16px"),
                new Edit.SetStyle(
                    "slider", StyleKey.parse("track.arrow/rest/size"), "desktop", "40px"),
                set("height", "400px")));
    all.addAll(Arrays.asList(edits));
    return Edits.apply(bare, all).document();
  }

  private static List<Snag> found(Document document) {
    return Snags.of(document, document.piece("slider"), _ -> Optional.empty(), 0).stream()
        .filter(snag -> snag.rule() == Rule.COVERED)
        .toList();
  }

  /** Arrows of 40 px, 16 from the edge, end at 56: words from there on are clear of them. */
  @Test
  void wordsThatBeginWhereTheArrowEndsAreClear() {
    assertThat(found(with(sides("56px")))).isEmpty();
    assertThat(found(with(sides("55px")))).as("a touch").isEmpty();
    List<Snag> over = found(with(sides("50px")));
    assertThat(over).extracting(snag -> snag.place().item()).contains("one", "two");
    assertThat(over).allSatisfy(snag -> assertThat(snag.place().part()).isEqualTo("track.arrow"));
    assertThat(found(with(sides("50px"), set("arrows", "below")))).isEmpty();
    assertThat(found(with(sides("50px"), set("arrows", "beside")))).isEmpty();
  }

  @Test
  void eachWayOutIsOne() {
    Document document = with(sides("20px"));
    List<Snag> found = found(document);
    assertThat(found).isNotEmpty();
    for (int way = 0; way < 3; way++) {
      Document mended = document;
      for (Snag snag : found) {
        mended = Edits.apply(mended, snag.fixes().get(way).edits()).document();
      }
      assertThat(found(mended)).as(found.getFirst().fixes().get(way).label()).isEmpty();
    }
  }

  @Test
  void thePauseButtonHasThreeOtherCorners() {
    Document document =
        with(
            set("arrows", "below"),
            set("movesItself", true),
            set("pausePlace", "top-start"),
            set("place", "top-start"),
            sides("20px"),
            new Edit.SetStyle(
                "slider", StyleKey.parse("slider.stand/rest/padding-above"), "desktop", "20px"));
    List<Snag> found = found(document);
    assertThat(found).isNotEmpty();
    assertThat(found)
        .allSatisfy(snag -> {
          assertThat(snag.place().part()).isEqualTo("slider.hold");
          assertThat(snag.fixes()).isNotEmpty();
        });
    Document mended = document;
    for (Snag snag : found) {
      mended = Edits.apply(mended, snag.fixes().getLast().edits()).document();
    }
    assertThat(found(mended)).isEmpty();
    assertThat(found(Edits.apply(document, List.of(set("movesItself", false))).document()))
        .isEmpty();
  }

  /** Another writing direction changes sides, and covers as much. */
  @Test
  void fromRightToLeftItIsTheSame() {
    Document document =
        Edits.apply(with(sides("20px")), List.of(new Edit.SetValue("page", "direction", "", "rtl")))
            .document();
    assertThat(found(document)).hasSameSizeAs(found(with(sides("20px"))));
  }
}
