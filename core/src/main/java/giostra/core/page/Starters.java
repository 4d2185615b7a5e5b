package giostra.core.page;

import giostra.core.band.Bands;
import giostra.core.look.Values;
import giostra.core.room.Rooms;
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

  /**
   * A file that ships for pieces to start with.
   *
   * @param alt what can be seen on it
   * @param ending of its name, with the dot
   */
  public record Shown(String id, String alt, String ending) {
    Shown(String id, String alt) {
      this(id, alt, ".jpg");
    }

    /** Its name. */
    public String file() {
      return id + ending;
    }
  }

  public static final Shown HARBOUR =
      new Shown("start-harbour", "Sailing boats in front of a row of painted houses");
  public static final Shown MOUNTAINS =
      new Shown("start-mountains", "Blue mountains over a lake, flowers on the shore");
  public static final Shown LIGHTHOUSE =
      new Shown("start-lighthouse", "A striped lighthouse sending its beam over the night sea");
  public static final Shown BALLOONS =
      new Shown("start-balloons", "Five hot-air balloons over hills in the morning");
  public static final Shown PINES =
      new Shown("start-pines", "A hut with lit windows among snowy pines");
  public static final Shown ROOFS =
      new Shown("start-roofs", "Roofs of a town at dusk, some windows lit");
  public static final Shown PEARS =
      new Shown("start-pears", "Four pears, three of them on a plate");
  public static final Shown WAVES =
      new Shown("start-waves", "Waves under a pale sun, gulls above them");

  public static final Shown CLIP = new Shown("start-clip", "", ".mp4");

  /** The same in the second format. */
  public static final Shown CLIP_2 = new Shown("start-clip-2", "", ".webm");

  /** What is heard in it. */
  public static final Shown CAPTIONS = new Shown("start-captions", "", ".vtt");

  /** What there is to tell of a picture. */
  public record Told(Shown picture, String kicker, String heading, String text, String button) {}

  /** All files that pieces start with. */
  public static final List<Shown> FILES =
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
          new Shown("start-speaker-4", ""),
          CLIP,
          CLIP_2,
          CAPTIONS);

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
    Rooms.all().forEach(room -> all.addAll(Rooms.of(room.word(), PieceRoom.class).starters()));
    all.addAll(blocks());
    return List.copyOf(all);
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

  /** One whose section has the usual space above and below. */
  public static Starter starter(String id, String label, String says, Node node) {
    return new Starter(id, label, says, node, false);
  }

  /** A text for one setting. */
  public static Values text(Setting<String> setting, String text) {
    return Values.NONE.with(setting, Values.ALL, text);
  }

  /** A name for a piece. */
  public static Values named(String name) {
    return text(PieceSettings.NAME, name);
  }

  /** So many items, each made by its number from 1. */
  public static List<Item> items(int count, IntFunction<Values> make) {
    var items = new ArrayList<Item>();
    for (int number = 1; number <= count; number++) {
      items.add(new Item("item-" + number, make.apply(number)));
    }
    return items;
  }

  /** A heading with a text. */
  public static Values headed(String heading, String text) {
    return text(ItemSettings.HEADING, heading).with(ItemSettings.TEXT, Values.ALL, text);
  }

  /** The same with a picture. */
  public static Values shown(Values values, Shown picture) {
    return values.with(ItemSettings.PICTURE, Values.ALL, picture.id());
  }

  /** A slide that tells of a picture. */
  public static Values slide(Told told) {
    return shown(headed(told.heading(), told.text()), told.picture())
        .with(ItemSettings.KICKER, Values.ALL, told.kicker())
        .with(ItemSettings.BUTTON, Values.ALL, told.button())
        .with(ItemSettings.BUTTON_LINK.address(), Values.ALL, "#");
  }
}
