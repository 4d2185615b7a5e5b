package giostra.core.layout;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.band.Bands;
import giostra.core.layout.Heights.Part;
import giostra.core.layout.Heights.Reading;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Column;
import giostra.core.page.Document;
import giostra.core.page.GridSettings;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Page;
import giostra.core.page.PanelSettings;
import giostra.core.page.PanelSettings.PanelHeight;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.page.TrackSettings;
import giostra.core.piece.accordion.Accordion;
import giostra.core.piece.accordion.AccordionSettings;
import giostra.core.piece.carousel.Carousel;
import giostra.core.piece.carousel.CarouselSettings;
import giostra.core.piece.carousel.CarouselSettings.Card;
import giostra.core.piece.carousel.CarouselSettings.Frame;
import giostra.core.piece.counters.CounterParts;
import giostra.core.piece.counters.Counters;
import giostra.core.piece.flipboxes.FlipBoxes;
import giostra.core.piece.flipboxes.FlipParts;
import giostra.core.piece.slider.Slider;
import giostra.core.piece.slider.SliderParts;
import giostra.core.piece.slider.SliderSettings;
import giostra.core.piece.tabs.HeadRows;
import giostra.core.piece.tabs.Tabs;
import giostra.core.piece.tabs.TabsBand;
import giostra.core.piece.tabs.TabsParts;
import giostra.core.piece.tabs.TabsSettings;
import giostra.core.piece.tabs.TabsSettings.HeadsRow;
import giostra.core.value.Ends;
import giostra.core.value.Height;
import giostra.core.value.Length;
import giostra.core.value.TypeSize;
import java.util.List;
import java.util.Optional;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

/**
 * Heights worked out by hand, each text short enough for one line: the sheets give sizes, distances
 * and line heights. Against the browser they are held in {@code HeightsJourney}.
 */
class HeightsTest {
  private static final Offset<Double> HAIR = Offset.offset(0.01);

  /** Engines lay out in 64ths of a px, and cut. Found by measuring in Chromium. */
  private static double laid(double px) {
    return Math.floor(px * 64) / 64;
  }

  private static final double REM = 16;
  private static final double KICKER = laid(13 * 1.6);
  private static final double CARD_HEADING = laid(1.3 * REM * 1.15);
  private static final double LINE = REM * 1.6;
  private static final PictureSizes PICTURES =
      id -> id.equals("shot") ? Optional.of(new PictureSizes.Size(800, 600)) : Optional.empty();

  private static Values words(Object... settingAndValue) {
    Values values = Values.NONE;
    for (int i = 0; i < settingAndValue.length; i += 2) {
      values =
          values.withRaw(
              ((giostra.core.value.Setting<?>) settingAndValue[i]).id(),
              Values.ALL,
              settingAndValue[i + 1]);
    }
    return values;
  }

  private static Document document(Block piece) {
    Section section = new Section("s", Values.NONE, List.of(piece));
    return new Document(
        new Site(Bands.INITIAL, Values.NONE), new Page("page", Values.NONE, List.of(section)));
  }

  private static List<Reading> at(Piece piece, double width) {
    return Heights.of(document(piece), piece, PICTURES, 0, 800).at(width);
  }

  private static double height(Piece piece, Part part, double width) {
    return at(piece, width).stream()
        .filter(reading -> reading.part() == part)
        .findFirst()
        .orElseThrow()
        .height();
  }

  private static Item item(String id, Object... settingAndValue) {
    return new Item(id, words(settingAndValue));
  }

  @Test
  void theTallestPanelIsOneOfThoseThatShowInTheBand() {
    Values tallest =
        Values.NONE
            .with(PanelSettings.PANEL_HEIGHT, "desktop", PanelHeight.TALLEST)
            .with(AccordionSettings.OPEN_FIRST, Values.ALL, AccordionSettings.OpenFirst.FIRST);
    Item brief = item("brief", ItemSettings.HEADING, "A", ItemSettings.TEXT, "Short.");
    Item full =
        new Item(
            "full",
            words(ItemSettings.HEADING, "B", ItemSettings.TEXT, "Many words. ".repeat(200))
                .with(ItemSettings.SHOWN, "phone", false));
    // What an accordion takes up in a panel: one answer open, as high as the highest.
    Piece both = around(new Accordion("questions", tallest, List.of(brief, full)));
    Piece one = around(new Accordion("questions", tallest, List.of(brief)));
    assertThat(height(both, Part.PANEL, 1280)).isGreaterThan(height(one, Part.PANEL, 1280) + 200);
    assertThat(height(both, Part.PANEL, 400)).isEqualTo(height(one, Part.PANEL, 400), HAIR);
  }

  private static Piece around(Piece inner) {
    return new Tabs("tabs", Values.NONE, List.of(new Item("tab", words(), List.of(inner))));
  }

  private static Carousel cards(Values values, Item... items) {
    Values all =
        values
            .with(CarouselSettings.CARD, Values.ALL, Card.PICTURE)
            .with(TrackSettings.IN_VIEW, "desktop", 3)
            .with(TrackSettings.GAP, "desktop", Length.px(20))
            .with(TrackSettings.PEEK, "desktop", Length.px(0));
    return new Carousel("p", all, List.of(items));
  }

  @Test
  void aCardOfAPictureAndItsWords() {
    Item card =
        item(
            "one",
            ItemSettings.PICTURE,
            "shot",
            ItemSettings.KICKER,
            "Tonight",
            ItemSettings.HEADING,
            "Lamps",
            ItemSettings.TEXT,
            "A path of sand.");
    Piece piece = cards(Values.NONE, card);
    Reading reading = at(piece, 1440).getFirst();
    // (1120 - 2 x 20) / 3, less a border of 1 px on each side, at 4:3.
    assertThat(reading.width()).isCloseTo(360, HAIR);
    double body = (1.25 + 1.4) * REM + KICKER + CARD_HEADING + LINE + 2 * 0.6 * REM;
    assertThat(reading.height()).isCloseTo(2 + 358 * 3 / 4.0 + body, HAIR);
    Item bare = item("one", ItemSettings.PICTURE, "not there", ItemSettings.HEADING, "Lamps");
    assertThat(height(cards(Values.NONE, bare), Part.CARD, 1440))
        .isCloseTo(2 + (1.25 + 1.4) * REM + CARD_HEADING, HAIR);
  }

  @Test
  void fieldsThatAreSwitchedOffTakeNoRoom() {
    Item card = item("one", ItemSettings.KICKER, "Tonight", ItemSettings.HEADING, "Lamps");
    Values off = Values.NONE.with(PieceSettings.FIELDS_OFF, Values.ALL, List.of("kicker"));
    double with = height(cards(Values.NONE, card), Part.CARD, 1440);
    double without = height(cards(off, card), Part.CARD, 1440);
    assertThat(with - without).isCloseTo(KICKER + 0.6 * REM, HAIR);
  }

  @Test
  void shortenedTextsTakeFewerLines() {
    Item card = item("one", ItemSettings.TEXT, "Words on a card. ".repeat(30));
    Values short3 = Values.NONE.with(PieceSettings.SHORTEN, Values.ALL, 3);
    double whole = height(cards(Values.NONE, card), Part.CARD, 1440);
    assertThat(height(cards(short3, card), Part.CARD, 1440))
        .isCloseTo(2 + (1.25 + 1.4) * REM + LINE, HAIR);
    assertThat((whole - 2 - (1.25 + 1.4) * REM) / LINE)
        .isCloseTo(Math.rint((whole - 44.4) / LINE), Offset.offset(0.01));
    assertThat(whole).isGreaterThan(10 * LINE);
  }

  @Test
  void buttonsStandInARowThatWraps() {
    Object[] two = {
      ItemSettings.BUTTON,
      "See the evenings of the season",
      ItemSettings.BUTTON_2,
      "Plan a visit with friends",
      ItemSettings.BUTTON_LINK.address(),
      "#a",
      ItemSettings.BUTTON_2_LINK.address(),
      "#b"
    };
    double button = 2 * 0.7 * REM + REM * 1.3;
    double around = 2 + (1.25 + 1.4) * REM;
    Piece piece = cards(Values.NONE, item("one", two));
    assertThat(height(piece, Part.CARD, 1440)).isCloseTo(around + 2 * button + 0.6 * REM, HAIR);
    Piece wide = piece.with(piece.values().with(TrackSettings.IN_VIEW, "desktop", 1));
    assertThat(height(wide, Part.CARD, 1440)).isCloseTo(around + button, HAIR);
  }

  @Test
  void aSlideIsAsHighAsAskedOrAsItsWordsNeed() {
    Values values = Values.NONE.with(SliderSettings.HEIGHT, "desktop", new Height.Ratio(16, 9));
    Item slide = item("one", ItemSettings.HEADING, "Frost");
    assertThat(height(new Slider("p", values, List.of(slide)), Part.SLIDE, 1440))
        .isCloseTo(1120 * 9 / 16.0, HAIR);
    Values screen = values.with(SliderSettings.HEIGHT, "desktop", new Height.Screen(50));
    assertThat(height(new Slider("p", screen, List.of(slide)), Part.SLIDE, 1440))
        .isCloseTo(400, HAIR);
    Values low = values.with(SliderSettings.HEIGHT, "desktop", new Height.Auto());
    low = padded(low, SliderParts.SLIDE_STAND, 60);
    // 1.2rem + 1.6 vmin of 800 px is 32 px.
    assertThat(height(new Slider("p", low, List.of(slide)), Part.SLIDE, 1440))
        .isCloseTo(2 * 60 + 32 * 1.15, HAIR);
  }

  private static Values padded(Values values, giostra.core.look.Part part, double px) {
    Length room = Length.px(px);
    return values
        .withStyle(part.key(Property.PADDING_ABOVE, State.REST), "desktop", room)
        .withStyle(part.key(Property.PADDING_SIDES, State.REST), "desktop", Ends.both(room))
        .withStyle(part.key(Property.PADDING_BELOW, State.REST), "desktop", room);
  }

  @Test
  void bothFacesAreMeasured() {
    Item box =
        item(
            "one",
            ItemSettings.ICON,
            "sprout",
            ItemSettings.HEADING,
            "Fern",
            ItemSettings.BACK_TEXT,
            "Older than flowers.");
    Values values =
        padded(Values.NONE.with(GridSettings.COLUMNS, "desktop", 3), FlipParts.WORDS, 24);
    Piece piece = new FlipBoxes("p", values, List.of(box));
    assertThat(height(piece, Part.FRONT, 1440)).isCloseTo(48 + 36 + 0.6 * REM + 22 * 1.15, HAIR);
    assertThat(height(piece, Part.BACK, 1440)).isCloseTo(48 + LINE, HAIR);
  }

  @Test
  void aFigureHasItsNumberOnOneLine() {
    Item figure = item("one", ItemSettings.HEADING, "lamps", ItemSettings.TO, 400.0);
    Values values =
        Values.NONE.withStyle(
            CounterParts.NUMBER.key(Property.TEXT_SIZE, State.REST),
            "desktop",
            TypeSize.of(Length.px(50)));
    Piece piece = new Counters("p", values, List.of(figure));
    assertThat(height(piece, Part.FIGURE, 1440))
        .isCloseTo(2 * 0.75 * REM + 55 + 0.35 * REM + REM * 1.35, HAIR);
  }

  @Test
  void panelsHoldBlocksAndPiecesInColumns() {
    Block heading =
        new Block.Heading("h", words(BlockSettings.HEADING_TEXT, "Cloud", BlockSettings.LEVEL, 3));
    Block shot = new Block.Picture("b", words(BlockSettings.SOURCE, "shot"));
    Values gap = Values.NONE.with(BlockSettings.GAP, "desktop", Length.px(40));
    Block columns =
        new Block.Columns(
            "c",
            gap,
            List.of(
                new Column("left", Values.NONE, List.of(heading)),
                new Column("right", Values.NONE, List.of(shot))));
    Item item = new Item("one", words(ItemSettings.TEXT, "Mist."), List.of(columns));
    Values values =
        padded(
            Values.NONE.with(TabsSettings.FORM, "desktop", TabsSettings.Form.TABS),
            TabsParts.PANEL,
            30);
    Piece piece = new Tabs("p", values, List.of(item));
    // 1120 less 2 x 30, less the gap, in halves; the picture is 4:3 as it is.
    assertThat(height(piece, Part.PANEL, 1440))
        .isCloseTo(60 + LINE + REM + (1060 - 40) / 2.0 * 3 / 4, HAIR);
  }

  @Test
  void headingsOfNaturalWidthWrapAndThoseOfAGridGrow() {
    List<Item> four =
        List.of(
            item("a", ItemSettings.HEADING, "Cloud"),
            item("b", ItemSettings.HEADING, "Fern"),
            item("c", ItemSettings.HEADING, "Desert"),
            item("d", ItemSettings.HEADING, "Water"));
    Values values =
        Values.NONE
            .with(TabsSettings.FORM, "desktop", TabsSettings.Form.TABS)
            .with(TabsSettings.HEADS_ROW, "desktop", HeadsRow.NATURAL)
            .with(TabsSettings.OVERFLOW, "desktop", TabsSettings.Overflow.WRAP);
    Piece piece = new Tabs("p", values, four);
    Heights heights = Heights.of(document(piece), piece, PICTURES, 0, 800);
    assertThat(heights.headingRows(1440)).isEqualTo(1);
    assertThat(heights.headingRows(280)).isEqualTo(2);
    assertThat(height(piece, Part.HEADING, 1440)).isEqualTo(44);
    Document document = document(piece);
    List<HeadRows> rows =
        HeadRows.of(
            document, (Tabs) piece, TabsBand.of(document, (Tabs) piece, 0).getLast(), PICTURES);
    assertThat(rows.getLast().ends()).as("all in one row").containsExactly(3);
    assertThat(rows.getFirst().ends()).as("one under the other").containsExactly(0, 1, 2, 3);
    for (int i = 1; i < rows.size(); i++) {
      assertThat(rows.get(i).from()).isEqualTo(rows.get(i - 1).below());
      assertThat(rows.get(i).ends()).hasSizeLessThanOrEqualTo(rows.get(i - 1).ends().size());
    }
  }

  @Test
  void aLineOfThePlotIsTheHighestAtEachWidth() {
    Item low = item("a", ItemSettings.TEXT, "Short.");
    Item high = item("b", ItemSettings.TEXT, "Words on a card. ".repeat(12));
    Piece piece = cards(Values.NONE.with(CarouselSettings.FRAME, Values.ALL, Frame.BOX), low, high);
    Heights heights = Heights.of(document(piece), piece, PICTURES, 0, 800);
    List<Heights.Series> series = heights.series();
    assertThat(series).hasSize(2);
    for (Heights.Series line : series) {
      for (int width = 280; width <= 2560; width += 13) {
        double meant =
            heights.at(width).stream()
                .mapToDouble(Reading::height)
                .reduce((a, b) -> line.highest() ? Math.max(a, b) : Math.min(a, b))
                .orElseThrow();
        assertThat(on(line.points(), width))
            .as("at %d", width)
            .isCloseTo(meant, Offset.offset(0.05));
      }
    }
  }

  private static double on(List<double[]> points, double x) {
    for (int i = 1; i < points.size(); i++) {
      double[] a = points.get(i - 1);
      double[] b = points.get(i);
      if (x <= b[0]) {
        return a[1] + (b[1] - a[1]) * (x - a[0]) / (b[0] - a[0]);
      }
    }
    return points.getLast()[1];
  }

  @Test
  void anAnswerNarrowsToItsMeasure() {
    Item question =
        item(
            "one",
            ItemSettings.HEADING,
            "Where?",
            ItemSettings.TEXT,
            "Words on a card. ".repeat(20));
    Values narrow = Values.NONE.with(AccordionSettings.INNER, "desktop", Length.px(300));
    Values wide = Values.NONE.with(AccordionSettings.INNER, "desktop", Length.px(1100));
    double tall = height(new Accordion("p", narrow, List.of(question)), Part.PANEL, 1440);
    double flat = height(new Accordion("p", wide, List.of(question)), Part.PANEL, 1440);
    assertThat(tall).isGreaterThan(2 * flat);
  }
}
