package giostra.core.page;

import giostra.core.look.Values;
import giostra.core.page.CarouselSettings.Card;
import giostra.core.value.Height;
import giostra.core.value.Length;
import giostra.core.value.Setting;
import giostra.core.value.Shares;
import java.util.ArrayList;
import java.util.Arrays;
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
      List.of("When are you open?", "How do I get there?", "What if it rains?");

  private static final List<String> ANSWERS =
      List.of(
          "Every day but Monday, from ten to six.",
          "By tram to the last stop, then five minutes on foot.",
          "Then we are indoors, and your ticket holds.");

  /**
   * One starting arrangement.
   *
   * @param label what it is called
   * @param says what it is for, in one line
   */
  public record Starter(String id, String label, String says, Node node) {}

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
        named("New slides")
            .with(PieceSettings.EXTENT, "desktop", SectionSettings.Extent.EDGE)
            .with(SliderSettings.HEIGHT, "desktop", new Height.Screen(70))
            .with(SliderSettings.HEIGHT, "phone", new Height.Screen(80))
            .with(SliderSettings.PADDING, "phone", Length.px(24))
            .with(TrackSettings.ENDLESS, "desktop", true);
    Values beside =
        named("New slides")
            .with(SliderSettings.PICTURE_USE, "desktop", SliderSettings.PictureUse.BESIDE)
            .with(SliderSettings.PICTURE_SIDE, "desktop", SliderSettings.PictureSide.ALTERNATE)
            .with(SliderSettings.PICTURE_SIDE, "phone", SliderSettings.PictureSide.ABOVE)
            .with(SliderSettings.HEIGHT, "phone", Height.AUTO)
            .with(SliderSettings.PADDING, "phone", Length.px(24))
            .with(SliderSettings.ARROWS, "desktop", TrackSettings.Arrows.BELOW);
    return List.of(
        starter(
            "slides",
            "Slider, edge to edge",
            "One thing at a time, large: a season’s openings, say.",
            new Piece.Slider("slider", wide, items(3, Starters::slide))),
        starter(
            "slides-beside",
            "Slider, picture beside text",
            "One thing at a time, the picture now left, now right.",
            new Piece.Slider("slider", beside, items(3, Starters::slide))));
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
        named("New tabs")
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
            new Piece.Tabs("tabs", side, items(4, Starters::tab))));
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
        named("New boxes")
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
        named("New figures")
            .with(GridSettings.COLUMNS, "desktop", 4)
            .with(GridSettings.COLUMNS, "phone", 2)
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
    Values one = named("A clip").with(VideoSettings.RATIO, "desktop", VideoSettings.Ratio.WIDE);
    return List.of(
        starter(
            "clip",
            "Video",
            "A clip of your own or of a host, with a poster and captions.",
            new Piece.Video("clip", one, items(1, _ -> Values.NONE))));
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
    return new Starter(id, label, says, node);
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

  private static Values slide(int number) {
    ItemSettings.Ground[] grounds = {
      ItemSettings.Ground.DUSK, ItemSettings.Ground.LEAF, ItemSettings.Ground.CARD
    };
    return headed("Slide " + number, "A line or two about it.")
        .with(ItemSettings.KICKER, Values.ALL, "What kind of thing")
        .with(ItemSettings.GROUND, Values.ALL, grounds[(number - 1) % 3])
        .with(ItemSettings.BUTTON, Values.ALL, "See how")
        .with(ItemSettings.BUTTON_LINK.address(), Values.ALL, "#");
  }

  private static Values tab(int number) {
    return headed(
        "Tab " + number, "What this panel tells. It may hold blocks and other pieces too.");
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
    List<String> icons = Arrays.asList("flower-2", "leaf", "moon");
    return headed("Box " + number, "Turn it over.")
        .with(ItemSettings.ICON, Values.ALL, icons.get((number - 1) % 3))
        .with(ItemSettings.BACK_HEADING, Values.ALL, "Behind box " + number)
        .with(ItemSettings.BACK_TEXT, Values.ALL, "What there is to tell.");
  }

  private static Values figure(int number) {
    return text(ItemSettings.HEADING, "Figure " + number)
        .with(ItemSettings.TO, Values.ALL, 120.0 * number);
  }

  private static Piece.Carousel carousel(Card card) {
    Values values =
        named(card == Card.QUOTATION ? "Visitors’ words" : "New cards")
            .with(CarouselSettings.CARD, Values.ALL, card)
            .with(TrackSettings.IN_VIEW, "desktop", 3)
            .with(TrackSettings.IN_VIEW, "tablet", 2)
            .with(TrackSettings.IN_VIEW, "phone", 1)
            .with(TrackSettings.GAP, "desktop", Length.px(24))
            .with(TrackSettings.GAP, "tablet", Length.px(16))
            .with(TrackSettings.GAP, "phone", Length.px(12))
            .with(TrackSettings.PEEK, "desktop", Length.px(0))
            .with(TrackSettings.PEEK, "phone", Length.px(32));
    return new Piece.Carousel("carousel", values, items(4, number -> card(card, number)));
  }

  private static Values card(Card card, int number) {
    return card == Card.QUOTATION
        ? text(ItemSettings.TEXT, "What somebody said, in their own words.")
            .with(ItemSettings.NAME, Values.ALL, "Somebody " + number)
        : headed("Card " + number, "A line or two about it.");
  }
}
