package giostra.core.page;

import giostra.core.band.Bands;
import giostra.core.look.Values;
import giostra.core.page.CarouselSettings.Card;
import giostra.core.value.Change;
import giostra.core.value.Change.Manner;
import giostra.core.value.Changes;
import giostra.core.value.Height;
import giostra.core.value.Length;
import giostra.core.value.Setting;
import giostra.core.value.Shares;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntFunction;

/**
 * What can be put on a page, ready to be filled. Ids are placeholders: whoever puts one in gives
 * new ones. Bands are those of {@link giostra.core.band.Bands#INITIAL}; values for bands that a
 * site does not have are left out by whoever puts it in.
 */
public final class Starters {
  private Starters() {}

  /** Questions that are asked nearly everywhere, with answers to write over. */
  private static final List<String> QUESTIONS =
      List.of(
          "When are you open?",
          "How do I get there?",
          "What if it rains?",
          "May I bring my dog?",
          "Can I change the day?",
          "Where do I leave my things?");

  private static final List<String> ANSWERS =
      List.of(
          "Every day but Monday, from ten to six.",
          "By tram to the last stop, then five minutes on foot.",
          "Then we are indoors, and your ticket holds.",
          "On a lead, and not into the kitchen.",
          "Until the evening before, as often as you like.",
          "There are lockers by the door. They take a coin and give it back.");

  /** A picture that ships for pieces to start with, and what can be seen on it. */
  public record Shown(String id, String alt) {}

  private static final Shown HARBOUR =
      new Shown("start-harbour", "Sailing boats in front of a row of painted houses");
  private static final Shown MOUNTAINS =
      new Shown("start-mountains", "Blue mountains over a lake, flowers on the shore");
  private static final Shown LIGHTHOUSE =
      new Shown("start-lighthouse", "A striped lighthouse sending its beam over the night sea");
  private static final Shown BALLOONS =
      new Shown("start-balloons", "Five hot-air balloons over hills in the morning");
  private static final Shown PINES =
      new Shown("start-pines", "A hut with lit windows among snowy pines");
  private static final Shown ROOFS =
      new Shown("start-roofs", "Roofs of a town at dusk, some windows lit");
  private static final Shown PEARS =
      new Shown("start-pears", "Four pears, three of them on a plate");
  private static final Shown WAVES =
      new Shown("start-waves", "Waves under a pale sun, gulls above them");

  /** What there is to tell of a picture. */
  private record Told(Shown picture, String kicker, String heading, String text, String button) {}

  private static final List<Told> OPENINGS =
      List.of(
          new Told(
              HARBOUR,
              "From Monday",
              "The harbour wakes at five",
              "Fish, bread and the first ferry: come before the gulls have finished.",
              "See the mornings"),
          new Told(
              LIGHTHOUSE,
              "All winter",
              "A light for those who come late",
              "The tower is open until ten, with tea on every landing.",
              "Climb the tower"),
          new Told(
              BALLOONS,
              "In September",
              "Up before breakfast",
              "Five balloons, one field, and nobody in a hurry to come down.",
              "Book a basket"));

  private static final List<Told> ROOMS =
      List.of(
          new Told(
              MOUNTAINS,
              "The lake room",
              "Wake to water",
              "Two windows, one on each shore. The kettle is older than the house.",
              "See the room"),
          new Told(
              PINES,
              "The hut",
              "Snow to the sill",
              "Wood is stacked by the door; the path is cleared at seven.",
              "See the hut"),
          new Told(
              WAVES,
              "The deck",
              "Nothing between you and the horizon",
              "Blankets in the chest, gulls on the rail, breakfast whenever.",
              "See the deck"));

  private static final List<Told> WALKS =
      List.of(
          new Told(
              ROOFS,
              "",
              "Over the roofs",
              "An hour by lamplight, from the bell tower to the last bakery.",
              "Walk with us"),
          new Told(
              PEARS,
              "",
              "What grows here",
              "Four orchards, four kinds of pear, and a press that still turns.",
              "Walk with us"),
          new Told(
              WAVES,
              "",
              "Along the breakwater",
              "Out with the tide and back before it. Wear what may get wet.",
              "Walk with us"),
          new Told(
              PINES,
              "",
              "The quiet round",
              "Three miles of snow and no words until the hut.",
              "Walk with us"),
          new Told(
              HARBOUR,
              "",
              "From boat to boat",
              "The people who mend them show how, and let you hold the rope.",
              "Walk with us"));

  /** All pictures that pieces start with. */
  public static final List<Shown> PICTURES =
      List.of(
          HARBOUR,
          MOUNTAINS,
          LIGHTHOUSE,
          BALLOONS,
          PINES,
          ROOFS,
          PEARS,
          WAVES,
          new Shown("start-speaker-1", ""),
          new Shown("start-speaker-2", ""),
          new Shown("start-speaker-3", ""),
          new Shown("start-speaker-4", ""));

  /**
   * One starting arrangement.
   *
   * @param label what it is called
   * @param says what it is for, in one line
   * @param flush whether a section that is made for it has no space above and below
   */
  public record Starter(String id, String label, String says, Node node, boolean flush) {
    /** What a section says that is made for it, on a site with such bands. */
    public Values around(Bands bands) {
      String lead = bands.lead().id();
      return flush
          ? Values.NONE
              .with(SectionSettings.SPACE_ABOVE, lead, Length.px(0))
              .with(SectionSettings.SPACE_BELOW, lead, Length.px(0))
          : Values.NONE;
    }
  }

  /** All of them, in the order in which they are offered: pieces by kind, then plain blocks. */
  public static final List<Starter> ALL = all();

  private static List<Starter> all() {
    var all = new ArrayList<Starter>();
    all.addAll(sliders());
    all.addAll(carousels());
    all.addAll(tabs());
    all.addAll(accordions());
    all.addAll(flipBoxes());
    all.addAll(counters());
    all.addAll(videos());
    all.addAll(blocks());
    return List.copyOf(all);
  }

  private static List<Starter> sliders() {
    Values wide =
        named("Openings")
            .with(PieceSettings.EXTENT, "desktop", SectionSettings.Extent.EDGE)
            .with(SliderSettings.HEIGHT, "desktop", new Height.Screen(70))
            .with(SliderSettings.HEIGHT, "phone", new Height.Screen(80))
            .with(SliderSettings.PADDING, "phone", Length.px(24))
            .with(SliderSettings.PADDING, "desktop", Length.px(104))
            .with(SliderSettings.ARROWS, "phone", TrackSettings.Arrows.NONE)
            .with(TrackSettings.ENDLESS, "desktop", true);
    Values beside =
        named("Openings")
            .with(SliderSettings.PICTURE_USE, "desktop", SliderSettings.PictureUse.BESIDE)
            .with(SliderSettings.PICTURE_SIDE, "desktop", SliderSettings.PictureSide.ALTERNATE)
            .with(SliderSettings.PICTURE_SIDE, "phone", SliderSettings.PictureSide.ABOVE)
            .with(SliderSettings.HEIGHT, "phone", new Height.Auto())
            .with(SliderSettings.PADDING, "phone", Length.px(24))
            .with(SliderSettings.ARROWS, "desktop", TrackSettings.Arrows.BELOW);
    return List.of(
        new Starter(
            "slides",
            "Slider, edge to edge",
            "One thing at a time, large: a season’s openings, say.",
            new Piece.Slider("slider", wide, items(3, number -> slide(OPENINGS.get(number - 1)))),
            true),
        new Starter(
            "slides-moving",
            "Slider that moves by itself",
            "Each slide rests as long as it takes to read; a hand, a pointer, a key hold it.",
            new Piece.Slider(
                "slider",
                wide.with(DriveSettings.MOVES_ITSELF, "desktop", true)
                    .with(DriveSettings.RESTS_BY, "desktop", DriveSettings.RestsBy.READING)
                    .with(DriveSettings.CHANGES, "desktop", Changes.of(Change.of(Manner.FADE)))
                    .with(DriveSettings.WORDS_COME, "desktop", DriveSettings.Entrance.RISE)
                    .with(DriveSettings.GROUND_MOVES, "desktop", DriveSettings.GroundMoves.NEARER),
                items(3, number -> slide(ROOMS.get(number - 1)))),
            true),
        starter(
            "slides-beside",
            "Slider, picture beside text",
            "One thing at a time, the picture now left, now right.",
            new Piece.Slider("slider", beside, items(3, number -> slide(ROOMS.get(number - 1))))));
  }

  private static List<Starter> carousels() {
    return List.of(
        starter(
            "quotations",
            "Carousel of quotations",
            "What visitors say, three at a time on a desktop.",
            carousel(Card.QUOTATION)),
        starter(
            "pictures",
            "Carousel of pictures",
            "Cards with a picture, a heading, a text and a button.",
            carousel(Card.PICTURE)));
  }

  private static List<Starter> tabs() {
    Values row =
        named("What to know")
            .with(TabsSettings.FORM, "desktop", TabsSettings.Form.TABS)
            .with(TabsSettings.FORM, "phone", TabsSettings.Form.ACCORDION);
    Values side =
        row.with(TabsSettings.HEADS_SIDE, "desktop", TabsSettings.HeadsSide.START)
            .with(TabsSettings.HEADS_SIDE, "tablet", TabsSettings.HeadsSide.ABOVE)
            .with(TabsSettings.MARK, Values.ALL, TabsSettings.Mark.POINTER);
    return List.of(
        starter(
            "tabs",
            "Tabs in a row",
            "Several panels in one place, an accordion on a phone.",
            new Piece.Tabs("tabs", row, items(3, Starters::tab))),
        starter(
            "tabs-side",
            "Tabs at the side",
            "Headings beside their panel, above it on a tablet.",
            new Piece.Tabs("tabs", side, items(4, Starters::season))));
  }

  private static List<Starter> accordions() {
    Values questions =
        named("Questions")
            .with(AccordionSettings.OPEN_FIRST, Values.ALL, AccordionSettings.OpenFirst.FIRST);
    Values many =
        named("Questions")
            .with(AccordionSettings.ROWS, Values.ALL, AccordionSettings.Rows.JOINED)
            .with(AccordionSettings.SEVERAL, Values.ALL, true)
            .with(AccordionSettings.FILTER, Values.ALL, true)
            .with(AccordionSettings.SEARCH, Values.ALL, true)
            .with(AccordionSettings.FAQ, Values.ALL, true);
    return List.of(
        starter(
            "questions",
            "Accordion",
            "A few headings that fold out, one at a time.",
            new Piece.Accordion("accordion", questions, items(3, Starters::question))),
        starter(
            "many-questions",
            "List of questions",
            "Questions by category, with a search box.",
            new Piece.Accordion("accordion", many, items(6, Starters::categorised))));
  }

  private static List<Starter> flipBoxes() {
    Values values =
        named("Turn them over")
            .with(GridSettings.COLUMNS, "desktop", 3)
            .with(GridSettings.COLUMNS, "tablet", 2)
            .with(GridSettings.COLUMNS, "phone", 1);
    return List.of(
        starter(
            "boxes",
            "Flip boxes",
            "A face that makes curious, and what is behind it.",
            new Piece.FlipBoxes("boxes", values, items(3, Starters::box))));
  }

  private static List<Starter> counters() {
    Values values =
        named("In figures")
            .with(GridSettings.COLUMNS, "desktop", 4)
            .with(GridSettings.COLUMNS, "phone", 2)
            .with(CounterSettings.COMFORT_FROM, Values.ALL, Length.px(80))
            .with(GridSettings.DIVIDERS, "desktop", true)
            .with(PieceSettings.TEXT_ALIGN, "desktop", BlockSettings.Side.CENTER);
    return List.of(
        starter(
            "figures",
            "Counters",
            "Figures that run to their value when they are first seen.",
            new Piece.Counters("figures", values, items(4, Starters::figure))));
  }

  private static List<Starter> videos() {
    Values one =
        named("A minute by the sea").with(VideoSettings.RATIO, "desktop", VideoSettings.Ratio.WIDE);
    return List.of(
        starter(
            "clip",
            "Video",
            "A clip of your own or of a host, with a poster and captions.",
            new Piece.Video(
                "clip",
                one,
                items(
                    1,
                    _ ->
                        shown(
                            headed("A minute by the sea", "Give it a clip of your own."),
                            WAVES)))));
  }

  private static List<Starter> blocks() {
    return List.of(
        starter(
            "heading",
            "Heading",
            "A line that says what comes.",
            new Block.Heading("heading", text(BlockSettings.HEADING_TEXT, "A new heading"))),
        starter(
            "text",
            "Text",
            "Paragraphs, lists, quotations.",
            new Block.Text("text", text(BlockSettings.PARAGRAPHS, "Write something here."))),
        starter("picture", "Picture", "One picture.", new Block.Picture("picture", Values.NONE)),
        starter(
            "button",
            "Button",
            "A link that asks to be pressed.",
            new Block.Button("button", text(BlockSettings.LABEL, "See how"))),
        starter(
            "columns",
            "Columns",
            "Two columns that stack on a phone.",
            new Block.Columns(
                "columns",
                Values.NONE.with(BlockSettings.RATIO, "phone", Shares.STACK),
                List.of(
                    new Column("left", Values.NONE, List.of()),
                    new Column("right", Values.NONE, List.of())))),
        starter(
            "own-html",
            "Own HTML",
            "Markup of your own, cleaned; forms too.",
            new Block.OwnHtml("own-html", text(BlockSettings.MARKUP, "<p>Your own markup.</p>"))));
  }

  private static Starter starter(String id, String label, String says, Node node) {
    return new Starter(id, label, says, node, false);
  }

  private static Values text(Setting<String> setting, String text) {
    return Values.NONE.with(setting, Values.ALL, text);
  }

  private static Values named(String name) {
    return text(PieceSettings.NAME, name);
  }

  private static List<Item> items(int count, IntFunction<Values> make) {
    var items = new ArrayList<Item>();
    for (int number = 1; number <= count; number++) {
      items.add(new Item("item-" + number, make.apply(number)));
    }
    return items;
  }

  private static Values headed(String heading, String text) {
    return text(ItemSettings.HEADING, heading).with(ItemSettings.TEXT, Values.ALL, text);
  }

  private static Values shown(Values values, Shown picture) {
    return values.with(ItemSettings.PICTURE, Values.ALL, picture.id());
  }

  private static Values slide(Told told) {
    return shown(headed(told.heading(), told.text()), told.picture())
        .with(ItemSettings.KICKER, Values.ALL, told.kicker())
        .with(ItemSettings.BUTTON, Values.ALL, told.button())
        .with(ItemSettings.BUTTON_LINK.address(), Values.ALL, "#");
  }

  private static Values tab(int number) {
    List<String> heads = List.of("Before you come", "While you are here", "Afterwards");
    List<String> texts =
        List.of(
            "<p>Take the slow train. It stops where the path begins, and the conductor knows us.</p>"
                + "<ul><li>Shoes that may get wet</li><li>Something warm for the evening</li></ul>",
            "<p>Nobody has to hurry. Lunch is from noon until it is gone, and the reading room has no"
                + " clock.</p>",
            "<p>We keep what you forget for a year, and send it if you ask. Most people come back for"
                + " it.</p>");
    return headed(heads.get(number - 1), texts.get(number - 1));
  }

  private static Values season(int number) {
    List<String> heads = List.of("Spring", "Summer", "Autumn", "Winter");
    List<String> icons = List.of("flower-2", "sun", "leaf", "snowflake");
    List<Shown> pictures = List.of(MOUNTAINS, BALLOONS, PEARS, PINES);
    List<String> texts =
        List.of(
            "The lake is cold and the meadow is not. Bring a jar for the honey.",
            "Up at four, asleep by noon, up again when the heat has gone.",
            "Everything is picked at once, and everybody helps.",
            "The road closes when it snows. That is when the stove is lit.");
    int at = number - 1;
    return shown(headed(heads.get(at), texts.get(at)), pictures.get(at))
        .with(ItemSettings.ICON, Values.ALL, icons.get(at));
  }

  private static Values question(int number) {
    int at = (number - 1) % QUESTIONS.size();
    return headed(QUESTIONS.get(at), ANSWERS.get(at));
  }

  private static Values categorised(int number) {
    List<String> categories = List.of("Before", "During", "After");
    return question(number)
        .with(ItemSettings.CATEGORY, Values.ALL, categories.get((number - 1) / 2));
  }

  private static Values box(int number) {
    List<String> heads = List.of("The light", "The orchard", "The balloons");
    List<String> texts =
        List.of("Two hundred steps", "Four kinds of pear", "Five, if the wind lets");
    List<String> backs = List.of("Up at dusk", "Taste them all", "Be there at five");
    List<String> tells =
        List.of(
            "The keeper lights it by hand. If you ask, she lets you count it in.",
            "The sour ones are for the press. The others are for your pockets.",
            "Whoever helps to fill one may fly in it.");
    int at = number - 1;
    return shown(headed(heads.get(at), texts.get(at)), List.of(LIGHTHOUSE, PEARS, BALLOONS).get(at))
        .with(ItemSettings.BACK_HEADING, Values.ALL, backs.get(at))
        .with(ItemSettings.BACK_TEXT, Values.ALL, tells.get(at));
  }

  private static Values figure(int number) {
    List<String> heads =
        List.of("steps to the light", "loaves a day", "lamps on the pier", "years open");
    List<String> icons = List.of("footprints", "wheat", "lamp", "calendar-days");
    List<Double> to = List.of(217.0, 340.0, 96.0, 31.0);
    int at = number - 1;
    return text(ItemSettings.HEADING, heads.get(at))
        .with(ItemSettings.ICON, Values.ALL, icons.get(at))
        .with(ItemSettings.TO, Values.ALL, to.get(at));
  }

  private static Piece.Carousel carousel(Card card) {
    Values values =
        named(card == Card.QUOTATION ? "Visitors’ words" : "Walks")
            .with(CarouselSettings.CARD, Values.ALL, card)
            .with(TrackSettings.IN_VIEW, "desktop", 3)
            .with(TrackSettings.IN_VIEW, "tablet", 2)
            .with(TrackSettings.IN_VIEW, "phone", 1)
            .with(TrackSettings.GAP, "desktop", Length.px(24))
            .with(TrackSettings.GAP, "tablet", Length.px(16))
            .with(TrackSettings.GAP, "phone", Length.px(12))
            .with(TrackSettings.PEEK, "desktop", Length.px(0))
            .with(CarouselSettings.COMFORT_FROM, Values.ALL, Length.px(230));
    return new Piece.Carousel(
        "carousel",
        values,
        items(card == Card.PICTURE ? WALKS.size() : 4, number -> card(card, number)));
  }

  private static Values card(Card card, int number) {
    if (card == Card.PICTURE) {
      Told told = WALKS.get(number - 1);
      return shown(headed(told.heading(), told.text()), told.picture())
          .with(ItemSettings.BUTTON, Values.ALL, told.button())
          .with(ItemSettings.BUTTON_LINK.address(), Values.ALL, "#");
    }
    List<String> words =
        List.of(
            "We came for an hour and missed the last boat. Nobody minded, least of all us.",
            "My son has asked for the lighthouse three evenings running.",
            "The kind of place where somebody remembers how you take your tea.",
            "I have drawn that harbour for eleven years and am not done with it.");
    List<String> names = List.of("Ivo Tamm", "Odile Brand", "Maren Quist", "Tom Asker");
    List<String> roles = List.of("on a Sunday", "with two children", "every spring", "who draws");
    int at = number - 1;
    return text(ItemSettings.TEXT, words.get(at))
        .with(ItemSettings.NAME, Values.ALL, names.get(at))
        .with(ItemSettings.ROLE, Values.ALL, roles.get(at))
        .with(ItemSettings.PICTURE, Values.ALL, "start-speaker-" + number);
  }
}
