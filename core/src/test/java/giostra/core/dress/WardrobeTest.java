package giostra.core.dress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.anatomy.PageParts;
import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.format.DocumentJson;
import giostra.core.layout.PictureSizes;
import giostra.core.layout.Resolution;
import giostra.core.look.Cascade;
import giostra.core.look.Layer;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Item;
import giostra.core.page.Look;
import giostra.core.page.LookSettings;
import giostra.core.page.NodeType;
import giostra.core.page.Page;
import giostra.core.page.Piece;
import giostra.core.page.ReadBack;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.Site;
import giostra.core.piece.tabs.TabsParts;
import giostra.core.piece.tabs.TabsSettings;
import giostra.core.piece.video.PlayerContrast;
import giostra.core.piece.video.Video;
import giostra.core.snag.PartContrast;
import giostra.core.snag.Rule;
import giostra.core.snag.Snag;
import giostra.core.snag.Snags;
import giostra.core.snag.ToneContrast;
import giostra.core.testing.InTurn;
import giostra.core.value.Around;
import giostra.core.value.Ink;
import giostra.core.value.Length;
import giostra.core.value.PickKind;
import giostra.core.value.Refused;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Looks: those that ship, wearing one, departing from it, keeping one. */
class WardrobeTest {
  private static final Band DESKTOP = Bands.INITIAL.band("desktop");
  private static final Band PHONE = Bands.INITIAL.band("phone");

  private static Document document(NodeType kind, SectionSettings.Tone tone) {
    Values section = Values.NONE.with(SectionSettings.TONE, Values.ALL, tone);
    Piece piece = (Piece) kind.make("piece", Values.NONE, List.of(new Item("one", Values.NONE)));
    return new Document(
        new Site(Bands.INITIAL, Values.NONE),
        new Page("page", Values.NONE, List.of(new Section("s", section, List.of(piece)))));
  }

  static Stream<ShippedLooks.Shipped> shipped() {
    return ShippedLooks.all().stream();
  }

  @Test
  void everyKindHasFiveOrMore() {
    for (NodeType kind : NodeType.values()) {
      if (kind.isPiece()) {
        assertThat(ShippedLooks.of(kind)).as(kind.word()).hasSizeGreaterThanOrEqualTo(5);
      }
    }
    assertThat(shipped().map(ShippedLooks.Shipped::id)).doesNotHaveDuplicates();
  }

  /** Source: WCAG 2.2, 1.4.3 and 1.4.11. */
  @InTurn(InTurn.EACH_CASE)
  @ParameterizedTest
  @MethodSource("shipped")
  void whatShipsCanBeReadInEveryToneAndState(ShippedLooks.Shipped look) {
    for (SectionSettings.Tone tone : SectionSettings.Tone.values()) {
      for (TabsSettings.Mark mark : TabsSettings.Mark.values()) {
        canBeRead(look, tone, mark);
      }
    }
  }

  private static void canBeRead(
      ShippedLooks.Shipped look, SectionSettings.Tone tone, TabsSettings.Mark mark) {
    Document document = document(look.of(), tone);
    if (look.of() == NodeType.TABS) {
      document =
          Edits.apply(
                  document,
                  new Edit.SetValue("piece", TabsSettings.MARK.id(), "", PickKind.word(mark)))
              .document();
    }
    Document worn = Wardrobe.wearing(document, document.piece("piece"), look.id());
    ReadBack.check(worn);
    assertThat(
            PartContrast.of(worn, worn.piece("piece"), PictureSizes.NONE).stream()
                .filter(each -> each.found() < each.asked()))
        .as("%s in %s, %s", look.id(), tone, mark)
        .isEmpty();
  }

  /** Source: WCAG 2.2, 1.4.11 and 1.4.3; whatever a clip shows. */
  @ParameterizedTest
  @MethodSource("shipped")
  void playersInEveryLookCanBeRead(ShippedLooks.Shipped look) {
    if (look.of() != NodeType.VIDEO) {
      return;
    }
    Document document = document(NodeType.VIDEO, SectionSettings.Tone.PAPER);
    Document worn = Wardrobe.wearing(document, document.piece("piece"), look.id());
    assertThat(
            PlayerContrast.of(worn, (Video) worn.piece("piece")).stream()
                .filter(each -> each.found() < each.asked()))
        .as(look.id())
        .isEmpty();
  }

  @Test
  void aLookIsWornDepartedFromGivenAndKept() {
    Document bare = document(NodeType.TABS, SectionSettings.Tone.PAPER);
    var hangers = Wardrobe.of(bare, bare.piece("piece"));
    assertThat(hangers.getFirst().worn()).isTrue();
    Wardrobe.Hanger pebble =
        hangers.stream()
            .filter(each -> each.id().equals("look.pebble-tabs"))
            .findFirst()
            .orElseThrow();
    assertThat(pebble.shipped()).isTrue();
    Edits.Applied worn = Edits.apply(bare, pebble.wear());
    assertThat(Edits.apply(worn.document(), worn.inverse()).document()).isEqualTo(bare);
    var heading = TabsParts.TAB;
    var found = corners(worn.document(), PHONE);
    assertThat(found.value()).isEqualTo(Around.all(Length.px(99)));
    assertThat(found.origin().layer()).isEqualTo(Layer.LOOK);
    // A second time it is the site's own.
    assertThat(Wardrobe.of(worn.document(), worn.document().piece("piece")))
        .filteredOn(each -> each.id().equals("look.pebble-tabs"))
        .singleElement()
        .satisfies(each -> {
          assertThat(each.shipped()).isFalse();
          assertThat(each.worn()).isTrue();
          assertThat(each.wear()).hasSize(1);
        });
    // What the piece says on the phone is nearer; kept, it is part of a look of its own.
    Document departed =
        Edits.apply(
                worn.document(),
                List.of(
                    new Edit.SetStyle(
                        "piece", heading.key(Property.CORNERS, State.REST), "phone", "3px")))
            .document();
    List<Edit> keep = Wardrobe.keep(departed, departed.piece("piece"), "look.mine", "Mine");
    Document kept = Edits.apply(departed, keep).document();
    assertThat(kept.piece("piece").values().styles().set()).isEmpty();
    assertThat(kept.site().wornBy(kept.piece("piece")).map(Look::name)).contains("Mine");
    assertThat(corners(kept, PHONE).value()).isEqualTo(Around.all(Length.px(3)));
    assertThat(corners(kept, DESKTOP).value()).isEqualTo(Around.all(Length.px(99)));
    assertThat(DocumentJson.read(DocumentJson.text(kept))).isEqualTo(kept);
  }

  private static giostra.core.look.Resolved<Around> corners(Document document, Band band) {
    return Cascade.resolve(
        TabsParts.TAB,
        Property.CORNERS,
        State.REST,
        Resolution.scope(document, document.piece("piece")),
        band);
  }

  /** Source: WCAG 2.2, 1.4.3; the way out is tried. */
  @Test
  void wordsThatCannotBeReadAreFoundAndMended() {
    Document bare = document(NodeType.TABS, SectionSettings.Tone.PAPER);
    StyleKey ink = TabsParts.TAB.key(Property.INK, State.REST);
    Document faint =
        Edits.apply(
                bare,
                List.of(
                    // The same in a narrower band: one way out mends both.
                    new Edit.SetStyle("piece", ink, "desktop", "#c9c4b8"),
                    new Edit.SetStyle("piece", ink, "tablet", "#c9c4b8"),
                    new Edit.SetStyle("one", ink, "phone", "#fbf7ec")))
            .document();
    assertThat(contrasts(bare)).isEmpty();
    List<Snag> found = contrasts(faint);
    assertThat(found).extracting(Snag::item).contains("", "one");
    Document mended = faint;
    for (Snag each : found) {
      assertThat(each.fixes()).as(each.message()).hasSize(1);
      mended = Edits.apply(mended, each.fixes().getFirst().edits()).document();
    }
    assertThat(contrasts(mended)).isEmpty();
  }

  private static List<Snag> contrasts(Document document) {
    return Snags.of(document, document.piece("piece"), _ -> Optional.empty(), 0).stream()
        .filter(each -> each.rule() == Rule.CONTRAST)
        .toList();
  }

  @Test
  void aPageBringsTheLooksThatItWearsToAnotherSite() {
    Document bare = document(NodeType.TABS, SectionSettings.Tone.PAPER);
    Document worn = Wardrobe.wearing(bare, bare.piece("piece"), "look.pebble-tabs");
    Document usual =
        Edits.apply(worn, new Edit.SetValue("look.pebble-tabs", "usual", "", true)).document();
    Site narrow = new Site(Bands.INITIAL.minus("desktop"), Values.NONE);
    Site there = Wardrobe.bringing(narrow, usual);
    assertThat(there.looks()).extracting(Look::id).containsExactly("look.pebble-tabs");
    // Its values stood in a band that is not there; and what is usual elsewhere is not so here.
    assertThat(there.looks().getFirst().values().styles().set()).isEmpty();
    assertThat(there.usual(NodeType.TABS)).isEmpty();
    assertThat(Wardrobe.bringing(worn.site(), usual)).isEqualTo(worn.site());
    ReadBack.check(new Document(there, Edits.fitted(usual.page(), there.bands())));
  }

  @Test
  void aLookThatIsGoneOrOfAnotherKindIsNone() {
    Document bare = document(NodeType.TABS, SectionSettings.Tone.PAPER);
    Document worn = Wardrobe.wearing(bare, bare.piece("piece"), "look.pebble-tabs");
    Document gone = Edits.apply(worn, new Edit.RemoveNode("look.pebble-tabs")).document();
    assertThat(gone.site().wornBy(gone.piece("piece"))).isEmpty();
    assertThat(corners(gone, DESKTOP).value()).isEqualTo(Around.all(Length.px(10)));
    assertThat(Wardrobe.of(gone, gone.piece("piece")).getFirst().worn()).isTrue();
    Document other =
        Edits.apply(worn, new Edit.SetValue("look.pebble-tabs", "of", "", "video")).document();
    assertThat(other.site().wornBy(other.piece("piece"))).isEmpty();
    assertThatThrownBy(() -> Wardrobe.wearing(bare, bare.piece("piece"), "look.nobody"))
        .isInstanceOf(Refused.class);
    assertThatThrownBy(() -> new Look("almanac", Values.NONE))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("almanac");
  }

  @Test
  void theSectionIsNearerThanALookAndLetsGo() {
    Document bare = document(NodeType.CAROUSEL, SectionSettings.Tone.LEAF);
    Document worn = Wardrobe.wearing(bare, bare.piece("piece"), "look.gazette-carousel");
    var key = PageParts.BUTTON.key(Property.INK, State.REST);
    Document held =
        Edits.apply(worn, List.of(new Edit.SetStyle("s", key, "desktop", "#123456"))).document();
    assertThat(ink(held)).isEqualTo(Ink.parse("#123456"));
    List<Wardrobe.Held> holders = Wardrobe.held(held, held.piece("piece"));
    assertThat(holders)
        .singleElement()
        .satisfies(each -> assertThat(each.by().id()).isEqualTo("s"));
    Document free = Edits.apply(held, holders.getFirst().letGo()).document();
    assertThat(free).isEqualTo(worn);
    assertThat(ink(free)).isEqualTo(Ink.parse("ground"));
  }

  private static Ink ink(Document document) {
    return Cascade.value(
        PageParts.BUTTON,
        Property.INK,
        State.REST,
        Resolution.scope(document, document.piece("piece")),
        DESKTOP);
  }

  @Test
  void theWayFromOneSiteToAnotherLeadsOverItsLooks() {
    Site bare = new Site(Bands.INITIAL, Values.NONE);
    var looks = new ArrayList<Look>();
    for (ShippedLooks.Shipped each : ShippedLooks.all().subList(0, 6)) {
      looks.add(each.look("desktop"));
    }
    Site six = new Site(Bands.INITIAL, Values.NONE, looks);
    Look changed =
        looks.get(4).with(looks.get(4).values().with(LookSettings.NAME, Values.ALL, "Otherwise"));
    Site mixed =
        new Site(
            Bands.INITIAL, Values.NONE, List.of(changed, looks.get(2), looks.get(5), looks.get(0)));
    Page page = new Page("page", Values.NONE, List.of());
    for (Site from : List.of(bare, six, mixed)) {
      for (Site to : List.of(bare, six, mixed)) {
        Document there =
            Edits.apply(new Document(from, page), Edits.siteEdits(from, to)).document();
        assertThat(there.site()).isEqualTo(to);
      }
    }
  }

  static Stream<WholeDress> dresses() {
    return WholeDress.ALL.stream();
  }

  /** Source: WCAG 2.2, 1.4.3 and 1.4.11. */
  @InTurn(InTurn.EACH_CASE)
  @ParameterizedTest
  @MethodSource("dresses")
  void aWholeDressIsWornByAllAndCanBeRead(WholeDress dress) {
    for (NodeType kind : NodeType.values()) {
      if (!kind.isPiece()) {
        continue;
      }
      for (SectionSettings.Tone tone : SectionSettings.Tone.values()) {
        Document bare = document(kind, tone);
        Edits.Applied worn = Edits.apply(bare, dress.wear(bare.site()));
        Document now = worn.document();
        ReadBack.check(now);
        assertThat(Edits.apply(now, worn.inverse()).document()).isEqualTo(bare);
        assertThat(DocumentJson.read(DocumentJson.text(now))).isEqualTo(now);
        Piece piece = now.piece("piece");
        assertThat(now.site().wornBy(piece).map(Look::id))
            .contains(dress.manner() + "-" + kind.word());
        assertThat(
                Stream.concat(
                    PartContrast.of(now, piece, PictureSizes.NONE).stream()
                        .filter(each -> each.found() < each.asked())
                        .map(Object::toString),
                    ToneContrast.of(now, now.site()).stream()
                        .filter(each -> each.found() < ToneContrast.ASKED)
                        .map(Object::toString)))
            .as("%s, %s in %s", dress.id(), kind, tone)
            .isEmpty();
        // Worn again nothing changes; another one after it leaves nothing of it but its looks.
        assertThat(Edits.apply(now, dress.wear(now.site())).document()).isEqualTo(now);
        for (WholeDress other : WholeDress.ALL) {
          Document then = Edits.apply(now, other.wear(now.site())).document();
          assertThat(then.site().wornBy(then.piece("piece")).map(Look::id))
              .contains(other.manner() + "-" + kind.word());
          assertThat(then.site().values())
              .isEqualTo(Edits.apply(bare, other.wear(bare.site())).document().site().values());
        }
      }
    }
  }
}
