package giostra.core.anatomy;

import static giostra.core.anatomy.Initially.aligned;
import static giostra.core.anatomy.Initially.border;
import static giostra.core.anatomy.Initially.corners;
import static giostra.core.anatomy.Initially.edge;
import static giostra.core.anatomy.Initially.edged;
import static giostra.core.anatomy.Initially.em;
import static giostra.core.anatomy.Initially.framed;
import static giostra.core.anatomy.Initially.gap;
import static giostra.core.anatomy.Initially.ground;
import static giostra.core.anatomy.Initially.grounded;
import static giostra.core.anatomy.Initially.line;
import static giostra.core.anatomy.Initially.lively;
import static giostra.core.anatomy.Initially.none;
import static giostra.core.anatomy.Initially.own;
import static giostra.core.anatomy.Initially.padded;
import static giostra.core.anatomy.Initially.plain;
import static giostra.core.anatomy.Initially.px;
import static giostra.core.anatomy.Initially.rem;
import static giostra.core.anatomy.Initially.room;
import static giostra.core.anatomy.Initially.words;

import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.value.DecimalKind;
import giostra.core.value.Family;
import giostra.core.value.Ground;
import giostra.core.value.Ink;
import giostra.core.value.LetterCase;
import giostra.core.value.LettersKind;
import giostra.core.value.PaintKind;
import giostra.core.value.PickKind;
import giostra.core.value.ToneColour;
import giostra.core.value.TypeSize;
import giostra.core.value.TypeStyle;
import giostra.core.value.WholeKind;
import java.util.List;
import java.util.stream.Stream;

/** Parts of pages and blocks, and those that items of all kinds have. */
public final class PageParts {
  /** What holds where no part says anything else. */
  public static final Part BODY =
      ground(
          words(
              Part.of("page.body", "Page"),
              TypeStyle.TEXT,
              Family.TEXT,
              400,
              rem(1),
              1.6,
              ToneColour.INK),
          plain(ToneColour.GROUND));

  public static final Part HEADING_1 = heading(1, fluid(2.5, 1.6, 4, 4.25));
  public static final Part HEADING_2 = heading(2, fluid(1.75, 1.4, 1.5, 2.5));
  public static final Part HEADING_3 = heading(3, TypeSize.of(rem(1.375)));

  /** Headings of the fourth level and of those below it. */
  public static final Part HEADING_4 = heading(4, TypeSize.of(rem(1.125)));

  /** A text that stands by itself. */
  public static final Part TEXT =
      words(
          Part.of("page.text", "Text"),
          TypeStyle.TEXT,
          Family.TEXT,
          400,
          rem(1.125),
          1.6,
          ToneColour.QUIET);

  /** The text of an item. */
  public static final Part ITEM_TEXT =
      aligned(
          words(
              Part.of("page.item-text", "Text"),
              TypeStyle.TEXT,
              Family.TEXT,
              400,
              rem(1),
              1.6,
              ToneColour.QUIET));

  public static final Part PICTURE =
      Initially.placed(framed(corners(Part.of("page.picture", "Picture"), px(14))));

  /** A picture whose address only is known, until it is there. */
  public static final Part REMOTE =
      ground(Part.of("page.remote-picture", "Remote picture"), plain(ToneColour.LINE));

  public static final Part BUTTON =
      Initially.atLeastWide(
          lively(
              edged(
                  ground(
                      corners(
                          padded(
                              gap(
                                  words(
                                      Part.of(
                                          "page.button",
                                          "Button",
                                          State.FOCUS,
                                          State.HOVER,
                                          State.PRESSED),
                                      TypeStyle.BUTTON,
                                      Family.TEXT,
                                      600,
                                      rem(1),
                                      1.3,
                                      ToneColour.GROUND),
                                  em(0.5)),
                              em(0.7),
                              em(1.4),
                              em(0.7)),
                          px(999)),
                      plain(ToneColour.ACCENT)))));

  public static final Part SECOND_BUTTON =
      Initially.atLeastWide(
          lively(
              edge(
                  ground(
                      corners(
                          padded(
                              gap(
                                  words(
                                      Part.of(
                                          "page.second-button",
                                          "Second button",
                                          State.FOCUS,
                                          State.HOVER,
                                          State.PRESSED),
                                      TypeStyle.BUTTON,
                                      Family.TEXT,
                                      600,
                                      rem(1),
                                      1.3,
                                      ToneColour.ACCENT),
                                  em(0.5)),
                              em(0.7),
                              em(1.4),
                              em(0.7)),
                          px(999)),
                      none()),
                  2,
                  Ink.of(ToneColour.ACCENT))));

  /** Before or after the words of a button. */
  public static final Part BUTTON_ICON =
      Initially.drawn(
          Initially.size(Part.of("page.button-icon", "Button’s icon"), em(1.2), 8, 120));

  /** Buttons side by side. */
  public static final Part BUTTONS =
      Initially.kept(gap(Part.of("page.buttons", "Buttons"), rem(0.6)));

  public static final Part KICKER =
      aligned(
          words(
                  Part.of("page.kicker", "Kicker"),
                  TypeStyle.KICKER,
                  Family.TEXT,
                  650,
                  rem(0.8125),
                  1.6,
                  ToneColour.ACCENT)
              .with(Property.SPACING, new DecimalKind(-0.1, 0.5), 0.08)
              .with(Property.CASE, new PickKind<>(LetterCase.class), LetterCase.CAPITALS));

  public static final Part SUBHEADING =
      aligned(
          words(
              Part.of("page.subheading", "Subheading"),
              TypeStyle.SUBHEADING,
              Family.TEXT,
              600,
              rem(1.0625),
              1.6,
              ToneColour.INK));

  /** The heading and the button over a piece. */
  public static final Part OVER =
      room(
          room(
              gap(Part.of("page.over", "Heading over it"), rem(0.75)),
              Property.GAP_ACROSS,
              rem(1.5)),
          Property.BELOW,
          rem(1.5));

  /** A block after another one. */
  public static final Part BLOCK = room(Part.of("page.block", "Block"), Property.ABOVE, rem(1.75));

  // --- long texts ------------------------------------------------------------------------------

  public static final Part PARAGRAPH =
      room(Part.of("copy.paragraph", "Paragraph"), Property.ABOVE, em(0.9));
  public static final Part LIST =
      room(Part.of("copy.list", "List"), Property.PADDING_START, em(1.4));
  public static final Part COPY_HEADING =
      words(
          Part.of("copy.heading", "Heading in a text"),
          TypeStyle.SUBHEADING,
          Family.DISPLAY,
          500,
          rem(1.25),
          1.15,
          ToneColour.INK);

  /** Emphasised words. */
  public static final Part EMPHASIS =
      Initially.around(
          Part.of("copy.emphasis", "Emphasis").with(Property.WEIGHT, new WholeKind(100, 900), 700));

  /** Words that lead somewhere. */
  public static final Part LINK =
      Initially.around(Part.of("copy.link", "Link", State.FOCUS, State.HOVER));

  public static final Part QUOTATION =
      line(
          room(Part.of("copy.quotation", "Quotation in a text"), Property.PADDING_START, em(1)),
          3,
          Ink.of(ToneColour.ACCENT));
  public static final Part CODE =
      padded(
          corners(
              ground(
                  Part.of("copy.code", "Code")
                      .with(Property.FAMILY, new PickKind<>(Family.class), Family.CODE)
                      .with(Property.TEXT_SIZE, new LettersKind(6, 240, true), TypeSize.of(em(0.9)))
                      .with(Property.LEADING, new DecimalKind(0.8, 3), 1.5),
                  plain(ToneColour.LINE)),
              px(4)),
          em(0.1),
          em(0.35),
          em(0.1));
  public static final Part CODE_BLOCK =
      padded(Part.of("copy.code-block", "Block of code"), em(0.8), em(1), em(0.8));
  public static final Part COPY_PICTURE =
      framed(corners(Part.of("copy.picture", "Picture in a text"), px(12)));

  // --- signs and messages ----------------------------------------------------------------------

  public static final Part ICON =
      sign(
          grounded(
              Initially.around(
                  Initially.size(Part.of("page.icon", "Icon", State.HOVER), 24, 8, 200))));

  /** A sign among the words of an item, which may move. */
  public static Part sign(Part part) {
    return Initially.drawn(Initially.layered(Initially.kept(lively(part))));
  }

  /** The picture under a section. */
  public static final Part GROUND_PICTURE =
      Initially.laid(Part.of("section.picture", "Ground picture"));

  public static final Part OVERLAY =
      ground(
          Part.of("section.overlay", "Overlay"),
          Ground.parse("linear-gradient(180deg,#0a141294,#0a1412bd)"));
  public static final Part FIELD =
      border(
          ground(
              corners(
                  padded(
                      Initially.ink(Part.of("page.field", "Field of own HTML"), ToneColour.INK),
                      rem(0.5),
                      rem(0.7),
                      rem(0.5)),
                  px(8)),
              plain(ToneColour.RAISED)),
          1,
          Ink.of(ToneColour.QUIET));
  public static final Part MESSAGE =
      ground(
              corners(
                  padded(Part.of("page.message", "Message"), rem(0.8), rem(1.1), rem(0.8)), px(12)),
              plain(own("#11201d")))
          .with(Property.INK, new PaintKind(), own("#f2ead8"));

  /** What shows where the keyboard is. */
  public static final Part FOCUS =
      corners(line(Part.of("page.focus", "Focus ring"), 3, Ink.of(ToneColour.RING)), px(4));

  /** Headings of all levels. */
  public static final List<Part> HEADINGS = List.of(HEADING_1, HEADING_2, HEADING_3, HEADING_4);

  /** What texts that stand by themselves have. */
  public static final List<Part> TEXTS =
      List.of(
          TEXT,
          PARAGRAPH,
          LIST,
          COPY_HEADING,
          EMPHASIS,
          LINK,
          QUOTATION,
          CODE,
          CODE_BLOCK,
          COPY_PICTURE);

  static final List<Part> ALL =
      List.of(
          BODY,
          HEADING_1,
          HEADING_2,
          HEADING_3,
          HEADING_4,
          TEXT,
          ITEM_TEXT,
          PICTURE,
          REMOTE,
          BUTTON,
          SECOND_BUTTON,
          BUTTONS,
          KICKER,
          SUBHEADING,
          OVER,
          BLOCK,
          PARAGRAPH,
          LIST,
          COPY_HEADING,
          EMPHASIS,
          LINK,
          QUOTATION,
          CODE,
          CODE_BLOCK,
          COPY_PICTURE,
          ICON,
          GROUND_PICTURE,
          OVERLAY,
          FIELD,
          MESSAGE,
          FOCUS);

  /** What items of most kinds have beside their own parts. */
  public static final List<Part> WORDED =
      List.of(KICKER, SUBHEADING, ITEM_TEXT, EMPHASIS, LINK, BUTTON, SECOND_BUTTON, BUTTON_ICON);

  private PageParts() {}

  /** All of some lists in their order, each once. */
  @SafeVarargs
  public static List<Part> joined(List<Part>... lists) {
    return Stream.of(lists).flatMap(List::stream).distinct().toList();
  }

  /** The heading of a level, 1 to 6. */
  public static Part heading(int level) {
    return switch (level) {
      case 1 -> HEADING_1;
      case 2 -> HEADING_2;
      case 3 -> HEADING_3;
      default -> HEADING_4;
    };
  }

  private static TypeStyle type(int level) {
    return switch (level) {
      case 1 -> TypeStyle.TITLE;
      case 2 -> TypeStyle.HEADING;
      default -> TypeStyle.SUBHEADING;
    };
  }

  private static Part heading(int level, TypeSize size) {
    return words(
        Part.of("page.heading-" + level, "Heading " + level),
        type(level),
        Family.DISPLAY,
        500,
        size,
        1.15,
        ToneColour.INK);
  }

  /** A size that grows with the lesser side of the screen, in rem. */
  public static TypeSize fluid(double least, double base, double vmin, double most) {
    return new TypeSize(rem(least), rem(base), vmin, rem(most));
  }
}
