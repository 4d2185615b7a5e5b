package giostra.core.page;

import static giostra.core.piece.video.VideoParts.BAR_BUTTON;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.anatomy.Anatomy;
import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.Tone;
import giostra.core.anatomy.TrackParts;
import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.format.DocumentJson;
import giostra.core.format.EditJson;
import giostra.core.layout.Resolution;
import giostra.core.look.Cascade;
import giostra.core.look.Layer;
import giostra.core.look.Origin;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.output.Compiler;
import giostra.core.output.Shipped;
import giostra.core.piece.carousel.Carousel;
import giostra.core.piece.carousel.CarouselParts;
import giostra.core.piece.carousel.CarouselSettings;
import giostra.core.piece.video.PlayerContrast;
import giostra.core.piece.video.Video;
import giostra.core.piece.video.VideoParts;
import giostra.core.snag.Rule;
import giostra.core.snag.Snag;
import giostra.core.snag.Snags;
import giostra.core.snag.ToneContrast;
import giostra.core.value.Colour;
import giostra.core.value.Ground;
import giostra.core.value.Length;
import giostra.core.value.ToneColour;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * How parts look: what a site says for all, departures, and what becomes of both; see
 * docs/engine.md, "Cascade". Players stand for all kinds.
 */
class StylesTest {
  private static final Band DESKTOP = Bands.INITIAL.band("desktop");
  private static final Band PHONE = Bands.INITIAL.band("phone");

  /** How rules of a block begin: stronger than those of what holds it. */
  private static final String BLOCK = ":is(#g#g#g#g#g,";

  private static Document document(Values site, Values piece) {
    return new Document(
        new Site(Bands.INITIAL, site),
        new Page(
            "page",
            Values.NONE,
            List.of(
                new Section(
                    "s",
                    Values.NONE,
                    List.of(
                        new Video("film", piece, List.of(new Item("one", Values.NONE))),
                        new Video("other", Values.NONE, List.of(new Item("two", Values.NONE))))))));
  }

  private static Values ground(State state, String band, String css) {
    return Values.NONE.withStyle(BAR_BUTTON.key(Property.GROUND, state), band, Ground.parse(css));
  }

  private static String ground(Document document, String piece, State state, Band band) {
    return Cascade.value(
            BAR_BUTTON,
            Property.GROUND,
            state,
            Resolution.scope(document, document.node(piece)),
            band)
        .css();
  }

  @Test
  void allPlayersWearTheLookAndOneMayDepartFromIt() {
    Document document =
        document(
            ground(State.REST, "desktop", "#224433"), ground(State.REST, "desktop", "#551122"));
    assertThat(ground(document, "film", State.REST, DESKTOP)).isEqualTo("#551122");
    assertThat(ground(document, "other", State.REST, DESKTOP)).isEqualTo("#224433");
    var found =
        Cascade.resolve(
            BAR_BUTTON,
            Property.GROUND,
            State.REST,
            Resolution.scope(document, document.node("film")),
            PHONE);
    assertThat(found.origin()).isEqualTo(new Origin(Layer.PIECE, "desktop", State.REST));
    assertThat(found.losers())
        .extracting(each -> each.origin().layer())
        .containsExactly(Layer.SITE, Layer.INITIAL);
  }

  @Test
  void stateFirstThenLayerThenBand() {
    // The piece's colour at rest does not kill the look's on hover.
    Document hover =
        document(
            ground(State.HOVER, "desktop", "#224433"), ground(State.REST, "desktop", "#551122"));
    assertThat(ground(hover, "film", State.HOVER, PHONE)).isEqualTo("#224433");
    // The piece's lead value beats the look's for phones.
    Document lead =
        document(ground(State.REST, "phone", "#224433"), ground(State.REST, "desktop", "#551122"));
    assertThat(ground(lead, "film", State.REST, PHONE)).isEqualTo("#551122");
    // A state that nobody speaks of is as at rest; one with an initial value of its own has that.
    Document rest = document(Values.NONE, ground(State.REST, "desktop", "#551122"));
    assertThat(ground(rest, "film", State.FOCUS, DESKTOP)).isEqualTo("#551122");
    assertThat(ground(rest, "film", State.HOVER, DESKTOP)).isEqualTo("#fffdf629");
  }

  @Test
  void departuresAreGivenToAllOrGivenUp() {
    Values own =
        ground(State.HOVER, "desktop", "#551122")
            .withStyle(BAR_BUTTON.key(Property.SIZE, State.REST), "phone", Length.px(44));
    Document document = document(Values.NONE, own);
    SharedLook look =
        SharedLook.of(document, document.node("film")).stream()
            .filter(each -> each.part() == BAR_BUTTON)
            .findFirst()
            .orElseThrow();
    assertThat(look.departures()).isEqualTo(2);
    Document shared = Edits.apply(document, look.share()).document();
    assertThat(shared.node("film").values()).isEqualTo(Values.NONE);
    assertThat(ground(shared, "other", State.HOVER, DESKTOP)).isEqualTo("#551122");
    assertThat(
            Cascade.value(
                BAR_BUTTON,
                Property.SIZE,
                State.REST,
                Resolution.scope(shared, shared.node("other")),
                PHONE))
        .isEqualTo(Length.px(44));
    Document taken = Edits.apply(document, look.take()).document();
    assertThat(taken.node("film").values()).isEqualTo(Values.NONE);
    assertThat(taken.site().values()).isEqualTo(Values.NONE);
  }

  @Test
  void givenToAllThePlayerLooksAsItDid() {
    // Its lead value holds on phones too, against what the site says there.
    Document document =
        document(ground(State.REST, "phone", "#224433"), ground(State.REST, "desktop", "#551122"));
    SharedLook look =
        SharedLook.of(document, document.node("film")).stream()
            .filter(each -> each.part() == BAR_BUTTON)
            .findFirst()
            .orElseThrow();
    Document shared = Edits.apply(document, look.share()).document();
    for (Band band : Bands.INITIAL.all()) {
      assertThat(ground(shared, "film", State.REST, band))
          .isEqualTo(ground(document, "film", State.REST, band))
          .isEqualTo("#551122");
    }
    assertThat(look.departures()).isEqualTo(1);
  }

  private static String css(Document document) {
    return Compiler.compile(document, Shipped.scriptsOnly()).css();
  }

  @Test
  void onlyWhatSomebodySetIsWritten() {
    assertThat(css(document(Values.NONE, Values.NONE))).doesNotContain("#g-film) .g-controls");
    String css = css(document(Values.NONE, ground(State.PRESSED, "phone", "#551122")));
    assertThat(css)
        .contains(
            BLOCK
                + "#g-film) .g-controls>:is(button,select):active:active:active:active{--p-ground:#fffdf647}")
        .contains("@media (width < 768px){")
        .contains(":active:active:active:active{--p-ground:#551122}")
        .doesNotContain("#g-other) .g-controls");
    assertThat(css(document(Values.NONE, ground(State.HOVER, "desktop", "#551122"))))
        .contains(
            "@media (hover:hover) and (pointer:fine){"
                + BLOCK
                + "#g-film)"
                + " .g-controls>:is(button,select):hover:hover:hover{--p-ground:#551122}}");
  }

  /** Source: WCAG 2.2, 1.4.11: 3 to 1 for what is needed to tell a control. */
  @Test
  void everyInitialStateCanBeToldFromWhateverAClipShows() {
    Document document = document(Values.NONE, Values.NONE);
    assertThat(PlayerContrast.of(document, (Video) document.node("film")))
        .hasSize((4 + 5 + 1) * 3)
        .allMatch(each -> each.found() >= each.asked());
  }

  @Test
  void aSignThatCannotBeToldIsFoundWithAWayOut() {
    Document document = document(Values.NONE, ground(State.REST, "desktop", "#eee8d0"));
    List<Snag> found = contrast(document);
    assertThat(found).isNotEmpty().allMatch(each -> each.message().contains("needs 3"));
    // What is the same in all bands is one finding.
    assertThat(found).extracting(Snag::message).doesNotHaveDuplicates();
    assertThat(found.getFirst().from()).isEqualTo(Bands.NARROWEST);
    assertThat(found.getFirst().to()).isEqualTo(Bands.WIDEST);
    assertThat(found.getFirst().fixes()).isNotEmpty();
    Document mended = document;
    // A dark sign at rest is dark on hover too, where the ground is another: that is found next.
    for (int round = 0; round < 4 && !contrast(mended).isEmpty(); round++) {
      Snag next = contrast(mended).getFirst();
      mended = Edits.apply(mended, next.fixes().getFirst().edits()).document();
    }
    assertThat(contrast(mended)).isEmpty();
  }

  @Test
  void overAPictureNothingIsComputed() {
    Values picture =
        ground(State.REST, "desktop", "#eee8d0")
            .withStyle(VideoParts.BAR.key(Property.PICTURE, State.REST), "desktop", "lamp");
    Document document = document(Values.NONE, picture);
    assertThat(PlayerContrast.of(document, (Video) document.node("film")))
        .allMatch(each -> each.part() == VideoParts.START_BUTTON);
  }

  private static List<Snag> contrast(Document document) {
    return Snags.of(document, (Piece) document.node("film"), _ -> Optional.empty(), 0).stream()
        .filter(each -> each.rule() == Rule.CONTRAST)
        .toList();
  }

  @Test
  void aKeyReadsAsPeopleSayIt() {
    assertThat(Anatomy.said(VideoParts.TIME.key(Property.INK, State.REST)))
        .isEqualTo("Time, colour");
    StyleKey key = BAR_BUTTON.key(Property.BORDER, State.CURRENT);
    assertThat(Anatomy.said(key)).isEqualTo("Bar button while on, border");
    assertThat(StyleKey.parse(key.written())).isEqualTo(key);
    assertThatThrownBy(() -> NodeType.CAROUSEL.style(key))
        .hasMessageContaining(
            "part of a carousel is video.bar-button; it must be one of carousel.");
    StyleKey none = new StyleKey(key.part(), Property.LEADING, State.REST);
    assertThatThrownBy(() -> NodeType.VIDEO.style(none)).hasMessageContaining("leading");
    StyleKey disabled = key.in(State.DISABLED);
    assertThatThrownBy(() -> NodeType.VIDEO.style(disabled)).hasMessageContaining("disabled");
  }

  @Test
  void whatIsSaidIsKeptTakenBackAndReadAgain() {
    Document document = document(Values.NONE, ground(State.HOVER, "desktop", "#551122"));
    StyleKey key = BAR_BUTTON.key(Property.GROUND, State.HOVER);
    Edits.Applied set =
        Edits.apply(
            document,
            List.of(
                new Edit.SetStyle("film", key, "phone", "accent"),
                new Edit.SetStyle("film", key, "desktop", null),
                new Edit.SetStyle(Site.ID, key, "desktop", "#000")));
    assertThat(ground(set.document(), "film", State.HOVER, PHONE)).isEqualTo("var(--g-mark)");
    assertThat(ground(set.document(), "film", State.HOVER, DESKTOP)).isEqualTo("#000000");
    assertThat(set.paths())
        .contains(new Path.OfStyle("film", key, "phone"), new Path.OfStyle("site", key, "desktop"));
    for (Path path : set.paths()) {
      assertThat(Path.parse(path.written())).isEqualTo(path);
    }
    ReadBack.check(set.document());
    assertThat(DocumentJson.read(DocumentJson.text(set.document()))).isEqualTo(set.document());
    assertThat(Edits.apply(set.document(), set.inverse()).document()).isEqualTo(document);
    List<Edit> back = EditJson.read(EditJson.write(set.inverse()), document.bands());
    assertThat(Edits.apply(set.document(), back).document()).isEqualTo(document);
    assertThatThrownBy(() ->
            Edits.apply(document, List.of(new Edit.SetStyle("film", key, "phone", "no colour"))))
        .hasMessageContaining("no colour")
        .hasMessageContaining("film / video.bar-button/hover/ground / phone");
  }

  @Test
  void onlyWhatCanBeSeenOfACarouselIsOffered() {
    Piece cards = new Carousel("c", Values.NONE, List.of());
    assertThat(PartsShown.of(cards))
        .contains(CarouselParts.CARD_WORDS, TrackParts.ARROW)
        .doesNotContain(CarouselParts.QUOTE_MARK, CarouselParts.BUBBLE, CarouselParts.BARE_PICTURE);
    Node tailed =
        cards.with(
            Values.NONE
                .with(CarouselSettings.CARD, Values.ALL, CarouselSettings.Card.QUOTATION)
                .with(CarouselSettings.FRAME, Values.ALL, CarouselSettings.Frame.TAIL));
    assertThat(PartsShown.of(tailed))
        .contains(CarouselParts.QUOTE_MARK, CarouselParts.BUBBLE, TrackParts.ARROW)
        .doesNotContain(CarouselParts.CARD_WORDS);
    Node heading = new Block.Heading("h", Values.NONE.with(BlockSettings.LEVEL, Values.ALL, 3));
    assertThat(PartsShown.of(heading)).containsExactly(PageParts.HEADING_3);
  }

  /** A disabled arrow under a pointer looks as the cascade says: as at rest, but for disabled. */
  @Test
  void whatIsDisabledIsNotLitByAPointer() {
    StyleKey ground = TrackParts.ARROW.key(Property.GROUND, State.REST);
    Document document =
        document(Values.NONE.withStyle(ground, "desktop", Ground.parse("#123456")), Values.NONE);
    assertThat(css(document))
        .contains(
            ".g-arrow:hover:hover:hover:not(:where(:disabled,[aria-disabled=true])){background:");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "clamp(12px, 8px + 0vmin, 24px) | 12px",
        "clamp(12px, 40px + 0.00001vmin, 24px) | 24px",
        "clamp(12px, 18px + 0vmin, 24px) | 18px",
        "clamp(12px, 8px + 1.5vmin, 24px) | clamp(12px,8px + 1.5vmin,24px)",
        "1,5 rem | 1.5rem"
      })
  void aTextSizeReadsBackAsWhatItIs(String typed, String kept) {
    StyleKey size = PageParts.TEXT.key(Property.TEXT_SIZE, State.REST);
    Edits.Applied set =
        Edits.apply(
            document(Values.NONE, Values.NONE),
            List.of(new Edit.SetStyle(Site.ID, size, "desktop", typed)));
    ReadBack.check(set.document());
    assertThat(
            NodeType.SITE
                .style(size)
                .write(
                    Objects.requireNonNull(
                        set.document().site().values().styles().own(size, "desktop"))))
        .isEqualTo(kept);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"120%", "1.2em", "clamp(12px, 5% + 1vmin, 24px)", "clamp(9px,1,2)", "2px"})
  void aTextSizeThatOtherLettersDecideIsRefused(String typed) {
    StyleKey size = PageParts.TEXT.key(Property.TEXT_SIZE, State.REST);
    assertThatThrownBy(() -> NodeType.SITE.style(size).read(typed))
        .hasMessageContaining("Text, text size is " + typed);
  }

  @Test
  void aToneThatIsOtherIsOtherForAllThatStandsInIt() {
    StyleKey ground = Tone.PAPER.part().key(Property.of(ToneColour.GROUND), State.REST);
    Values site = Values.NONE.withStyle(ground, "phone", Colour.parse("#ddeeff"));
    Document document = document(site, Values.NONE);
    assertThat(Resolution.tone(document, document.node("film"), PHONE).colour(ToneColour.GROUND))
        .isEqualTo(Colour.parse("#ddeeff"));
    assertThat(Resolution.tone(document, document.node("film"), DESKTOP)).isEqualTo(Tone.PAPER);
    assertThat(css(document))
        .contains(
            ":is(#g,main) .g-paper:not(.g-grounded),:is(#g,main)"
                + " .g-on-paper:not(.g-grounded){--g-under:#ddeeff}")
        .contains(":is(#g,html) body{background:#ddeeff}");
    assertThat(DocumentJson.read(DocumentJson.text(document))).isEqualTo(document);
    assertThat(ToneContrast.of(document, document.page()))
        .hasSize(4 * 3)
        .allMatch(each -> each.found() >= ToneContrast.ASKED || each.band().equals(PHONE));
    // A colour of a tone is none of a tone's.
    assertThatThrownBy(() -> NodeType.SITE.style(ground).read("accent"))
        .hasMessageContaining("Paper, ground is accent");
  }

  @Test
  void aBandThatGoesTakesWhatIsSaidInItAndBringsItBack() {
    Document document =
        document(ground(State.REST, "phone", "#224433"), ground(State.HOVER, "phone", "#551122"));
    assertThat(Edits.goingWith(document, "phone"))
        .containsExactlyInAnyOrder(
            "site / Bar button, ground", "film / Bar button on hover, ground");
    Edits.Applied gone = Edits.apply(document, new Edit.RemoveBand("phone"));
    assertThat(gone.document().nodes()).allMatch(node -> node.values().styles().set().isEmpty());
    assertThat(Edits.apply(gone.document(), gone.inverse()).document()).isEqualTo(document);
  }
}
