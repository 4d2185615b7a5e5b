package giostra.core.page;

import giostra.core.band.Length;
import giostra.core.band.Setting;
import giostra.core.band.Shares;
import giostra.core.band.Values;
import giostra.core.page.CarouselSettings.Card;
import java.util.List;
import java.util.Map;

/**
 * What can be put on a page, ready to be filled. Ids are placeholders: whoever puts one in gives
 * new ones. Bands are those of {@link giostra.core.band.Bands#INITIAL}; values for bands that a
 * site does not have are left out by whoever puts it in.
 */
public final class Starters {
  private Starters() {}

  /**
   * One starting arrangement.
   *
   * @param label what it is called
   * @param says what it is for, in one line
   */
  public record Starter(String id, String label, String says, Node node) {}

  /** All of them, in the order in which they are offered. */
  public static final List<Starter> ALL =
      List.of(
          new Starter(
              "quotations",
              "Carousel of quotations",
              "What visitors say, three at a time on a desktop.",
              carousel(Card.QUOTATION)),
          new Starter(
              "pictures",
              "Carousel of pictures",
              "Cards with a picture, a heading, a text and a button.",
              carousel(Card.PICTURE)),
          new Starter(
              "heading",
              "Heading",
              "A line that says what comes.",
              new Block.Heading("heading", text(BlockSettings.HEADING_TEXT, "A new heading"))),
          new Starter(
              "text",
              "Text",
              "Paragraphs.",
              new Block.Text("text", text(BlockSettings.PARAGRAPHS, "Write something here."))),
          new Starter(
              "picture", "Picture", "One picture.", new Block.Picture("picture", Values.NONE)),
          new Starter(
              "button",
              "Button",
              "A link that asks to be pressed.",
              new Block.Button("button", text(BlockSettings.LABEL, "Read more"))),
          new Starter(
              "columns",
              "Columns",
              "Two columns that stack on a phone.",
              new Block.Columns(
                  "columns",
                  Values.NONE.with(BlockSettings.RATIO, "phone", Shares.STACK),
                  List.of(
                      new Column("left", Values.NONE, List.of()),
                      new Column("right", Values.NONE, List.of())))));

  private static Values text(Setting<String> setting, String text) {
    return Values.NONE.with(setting, Values.ALL, text);
  }

  private static Piece.Carousel carousel(Card card) {
    Values values = Values.NONE.with(CarouselSettings.CARD, Values.ALL, card);
    for (var each : Map.of("desktop", 3, "tablet", 2, "phone", 1).entrySet()) {
      values = values.with(CarouselSettings.IN_VIEW, each.getKey(), each.getValue());
    }
    for (var each : Map.of("desktop", 24, "tablet", 16, "phone", 12).entrySet()) {
      values = values.with(CarouselSettings.GAP, each.getKey(), Length.px(each.getValue()));
    }
    values =
        values
            .with(CarouselSettings.PEEK, "desktop", Length.px(0))
            .with(CarouselSettings.PEEK, "phone", Length.px(32));
    return new Piece.Carousel(
        "carousel",
        values.with(
            CarouselSettings.NAME,
            Values.ALL,
            card == Card.QUOTATION ? "Visitors’ words" : "New cards"),
        List.of(item(card, 1), item(card, 2), item(card, 3), item(card, 4)));
  }

  private static Item item(Card card, int number) {
    Values values =
        card == Card.QUOTATION
            ? text(ItemSettings.TEXT, "What somebody said, in their own words.")
                .with(ItemSettings.NAME, Values.ALL, "Somebody " + number)
            : text(ItemSettings.HEADING, "Card " + number)
                .with(ItemSettings.TEXT, Values.ALL, "A line or two about it.");
    return new Item("item-" + number, values);
  }
}
