package giostra.core.piece.carousel;

import static giostra.core.anatomy.Initially.aligned;
import static giostra.core.anatomy.Initially.border;
import static giostra.core.anatomy.Initially.corners;
import static giostra.core.anatomy.Initially.edge;
import static giostra.core.anatomy.Initially.edged;
import static giostra.core.anatomy.Initially.framed;
import static giostra.core.anatomy.Initially.gap;
import static giostra.core.anatomy.Initially.ground;
import static giostra.core.anatomy.Initially.ink;
import static giostra.core.anatomy.Initially.letters;
import static giostra.core.anatomy.Initially.lively;
import static giostra.core.anatomy.Initially.moving;
import static giostra.core.anatomy.Initially.none;
import static giostra.core.anatomy.Initially.opacity;
import static giostra.core.anatomy.Initially.padded;
import static giostra.core.anatomy.Initially.pictured;
import static giostra.core.anatomy.Initially.plain;
import static giostra.core.anatomy.Initially.px;
import static giostra.core.anatomy.Initially.rem;
import static giostra.core.anatomy.Initially.shaded;
import static giostra.core.anatomy.Initially.size;
import static giostra.core.anatomy.Initially.words;

import giostra.core.anatomy.Initially;
import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.TrackParts;
import giostra.core.look.Part;
import giostra.core.look.State;
import giostra.core.look.Values;
import giostra.core.piece.carousel.CarouselSettings.Card;
import giostra.core.piece.carousel.CarouselSettings.Frame;
import giostra.core.value.Family;
import giostra.core.value.Ink;
import giostra.core.value.Length;
import giostra.core.value.ToneColour;
import giostra.core.value.TypeSize;
import giostra.core.value.TypeStyle;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Parts of cards. */
public final class CarouselParts {
  public static final Part CARD =
      Initially.box(
          lively(
              corners(
                  border(
                      pictured(
                          ink(Part.of("carousel.card", "Card", State.HOVER), ToneColour.INK),
                          plain(ToneColour.RAISED)),
                      1,
                      Ink.of(ToneColour.LINE)),
                  px(14))));

  public static final Part CARD_WORDS =
      Initially.placed(
          Initially.atLeastHigh(
              edged(
                  corners(
                      ground(
                          padded(
                              gap(Part.of("carousel.words", "Words", State.HOVER), rem(0.6)),
                              rem(1.25),
                              rem(1.35),
                              rem(1.4)),
                          none()),
                      px(0)))));

  /** The picture of a card; its frame cuts off what grows out of it. */
  public static final Part CARD_PICTURE =
      moving(opacity(Part.of("carousel.picture", "Picture", State.HOVER), 1));

  public static final Part CARD_HEADING =
      aligned(
          words(
              Part.of("carousel.heading", "Heading", State.HOVER),
              TypeStyle.SUBHEADING,
              Family.DISPLAY,
              500,
              rem(1.3),
              1.15,
              ToneColour.INK));

  /** What cuts the picture of a card; with room around it the picture is set into its card. */
  public static final Part SHOT =
      Initially.kept(framed(corners(Part.of("carousel.shot", "Picture’s frame"), px(0))));

  /** The picture of a card that has no frame. */
  public static final Part BARE_PICTURE =
      Initially.kept(
          framed(corners(Part.of("carousel.bare-picture", "Picture without a frame"), px(14))));

  public static final Part QUOTATION =
      padded(
          gap(Part.of("quotation.box", "Quotation box"), rem(1.4)), rem(1.5), rem(1.6), rem(1.4));

  public static final Part QUOTATION_WORDS = gap(Part.of("quotation.words", "Words"), rem(1));

  public static final Part QUOTATION_TEXT =
      aligned(
          words(
              Part.of("quotation.text", "Quotation", State.HOVER),
              TypeStyle.TEXT,
              Family.TEXT,
              400,
              rem(1.0625),
              1.6,
              ToneColour.INK));

  public static final Part QUOTE_MARK =
      size(
          Initially.ink(
              letters(
                  Part.of("quotation.mark", "Quote mark"),
                  Family.DISPLAY,
                  600,
                  TypeSize.of(rem(3.6)),
                  1),
              ToneColour.ACCENT),
          rem(2.1),
          0,
          200);

  public static final Part SPEAKER = gap(Part.of("quotation.speaker", "Speaker"), rem(0.9));

  public static final Part SPEAKER_NAME =
      words(
          Part.of("quotation.name", "Name", State.HOVER),
          TypeStyle.TEXT,
          Family.TEXT,
          650,
          rem(1),
          1.3,
          ToneColour.INK);

  public static final Part ROLE =
      words(
          Part.of("quotation.role", "Role", State.HOVER),
          TypeStyle.SMALL,
          Family.TEXT,
          400,
          rem(0.9375),
          1.35,
          ToneColour.QUIET);

  /** Its shape says the piece. */
  public static final Part PORTRAIT = framed(Part.of("quotation.portrait", "Portrait"));

  /** Corners of a portrait that is no circle. */
  static final Length PORTRAIT_CORNERS = px(12);

  /** The box of the words where the quotation has a tail. */
  public static final Part BUBBLE =
      opacity(
          shaded(
              corners(
                  edge(
                      pictured(
                          padded(
                              Part.of("quotation.bubble", "Box with a tail"),
                              rem(1.4),
                              rem(1.5),
                              rem(1.4)),
                          plain(ToneColour.RAISED)),
                      1,
                      Ink.of(ToneColour.LINE)),
                  px(14))),
          1);

  /** Who speaks, where the quotation has a tail. */
  public static final Part BUBBLE_SPEAKER =
      padded(
          Part.of("quotation.bubble-speaker", "Speaker by the tail"), rem(0.4), rem(0.3), rem(0.4));

  public static final List<Part> ALL =
      PageParts.joined(
          List.of(
              CARD,
              CARD_WORDS,
              CARD_HEADING,
              SHOT,
              CARD_PICTURE,
              BARE_PICTURE,
              QUOTATION,
              QUOTATION_WORDS,
              QUOTATION_TEXT,
              QUOTE_MARK,
              SPEAKER,
              PORTRAIT,
              SPEAKER_NAME,
              ROLE,
              BUBBLE,
              BUBBLE_SPEAKER,
              PageParts.ICON),
          PageParts.WORDED,
          TrackParts.MOVING);

  private static final Set<Part> PICTURED =
      Set.of(
          CARD_WORDS,
          CARD_HEADING,
          SHOT,
          CARD_PICTURE,
          PageParts.ICON,
          PageParts.KICKER,
          PageParts.SUBHEADING,
          PageParts.ITEM_TEXT,
          PageParts.BUTTON,
          PageParts.SECOND_BUTTON,
          PageParts.BUTTON_ICON);

  private static final Set<Part> QUOTED =
      Set.of(
          QUOTATION,
          QUOTATION_WORDS,
          QUOTATION_TEXT,
          QUOTE_MARK,
          SPEAKER,
          PORTRAIT,
          SPEAKER_NAME,
          ROLE);

  private static final Set<Part> TAILED = Set.of(BUBBLE, BUBBLE_SPEAKER);

  private CarouselParts() {}

  /** The parts that cards do not have as they are set. */
  static Set<Part> hidden(Values values) {
    boolean quotes = values.get(CarouselSettings.CARD) == Card.QUOTATION;
    Frame frame = values.get(CarouselSettings.FRAME);
    var hidden = new HashSet<Part>(quotes ? PICTURED : QUOTED);
    if (!quotes || frame != Frame.TAIL) {
      hidden.addAll(TAILED);
    }
    if (quotes || frame != Frame.NONE) {
      hidden.add(BARE_PICTURE);
    } else {
      hidden.add(SHOT);
    }
    return hidden;
  }

  /** What cuts the pictures of cards as they are set. */
  static Part shot(Values values) {
    return values.get(CarouselSettings.FRAME) == Frame.NONE ? BARE_PICTURE : SHOT;
  }
}
