package giostra.core.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.band.Bands;
import giostra.core.format.DocumentJson;
import giostra.core.format.EditJson;
import giostra.core.look.Values;
import giostra.core.piece.carousel.Carousel;
import giostra.core.value.Refused;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;

/** Edits and their inverses; documents and edits as JSON. */
class EditsTest {
  private static Document document() {
    var carousel =
        (Carousel)
            Starters.ALL.stream()
                .filter(s -> s.id().equals("quotations"))
                .findFirst()
                .orElseThrow()
                .node();
    var section = new Section("first", Values.NONE, List.of(carousel));
    return new Document(
        new Site(Bands.INITIAL, Values.NONE),
        new Page(
            "page", Values.NONE, List.of(section, new Section("second", Values.NONE, List.of()))));
  }

  @Provide
  Arbitrary<List<Edit>> edits() {
    Arbitrary<String> band = Arbitraries.of("phone", "tablet", "desktop");
    Arbitrary<String> item = Arbitraries.of("item-1", "item-2", "item-3", "item-4");
    Arbitrary<Integer> index = Arbitraries.integers().between(0, 6);
    Arbitrary<Edit> one =
        Arbitraries.oneOf(
            band.flatMap(b ->
                Arbitraries.<Object>of("12px", "2rem", "5%", 40.0)
                    .injectNull(0.2)
                    .map(v -> new Edit.SetValue("carousel", "gap", b, v))),
            item.map(Edit.RemoveNode::new),
            item.flatMap(i -> index.map(at -> new Edit.MoveNode(i, "carousel", at))),
            index.map(at -> new Edit.MoveNode("carousel", "second", at)),
            index.map(at -> new Edit.AddNode("carousel", at, new Item("new-" + at, Values.NONE))),
            Arbitraries.integers().between(700, 900).map(w -> new Edit.MoveBreakpoint("tablet", w)),
            Arbitraries.of(400, 1600).map(w -> new Edit.AddBand("band-" + w, "Band", w)),
            band.map(Edit.RemoveBand::new));
    return one.list().ofMaxSize(30);
  }

  @Property(tries = 400)
  void undoingWhateverWasDoneGivesTheFirstDocumentBack(@ForAll("edits") List<Edit> edits) {
    Document first = document();
    Document now = first;
    var back = new ArrayList<Edit>();
    for (Edit edit : edits) {
      try {
        Edits.Applied applied = Edits.apply(now, edit);
        now = applied.document();
        back.addAll(0, applied.inverse());
      } catch (Refused impossible) {
        // Random edits name items that are gone by then; a refusal must change nothing.
      }
    }
    assertThat(DocumentJson.read(DocumentJson.text(now))).isEqualTo(now);
    List<Edit> again = EditJson.read(EditJson.write(back), now.bands());
    assertThat(Edits.apply(now, again).document()).isEqualTo(first);
  }

  @Test
  void aGapBelowZeroIsRefusedWithValueRangeAndPlace() {
    assertThatThrownBy(
            () -> Edits.apply(document(), new Edit.SetValue("carousel", "gap", "phone", -4.0)))
        .isInstanceOf(Refused.class)
        .hasMessage(
            "carousel / gap / phone: Gap is -4px; it must be a length from 0 to 400 px (px, rem,"
                + " em), or a percentage up to 100");
  }

  @Test
  void noItemInViewIsRefused() {
    assertThatThrownBy(
            () -> Edits.apply(document(), new Edit.SetValue("carousel", "inView", "phone", 0.0)))
        .hasMessageContaining("In view is 0; it must be a whole number from 1 to 12");
  }

  @Test
  void aNarrowBandInheritsFromTheNearestWiderOneThatSetsAValue() {
    Document document =
        Edits.apply(document(), new Edit.SetValue("carousel", "peek", "phone", "32px")).document();
    Node node = document.node("carousel");
    Bands bands = document.bands();
    assertThat(node.values().at(TrackSettings.PEEK, bands, bands.band("tablet")).css())
        .isEqualTo("0px");
    assertThat(node.values().at(TrackSettings.PEEK, bands, bands.band("phone")).css())
        .isEqualTo("32px");
  }
}
