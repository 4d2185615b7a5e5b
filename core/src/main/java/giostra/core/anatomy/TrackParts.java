package giostra.core.anatomy;

import static giostra.core.anatomy.Said.border;
import static giostra.core.anatomy.Said.corners;
import static giostra.core.anatomy.Said.edge;
import static giostra.core.anatomy.Said.gap;
import static giostra.core.anatomy.Said.ground;
import static giostra.core.anatomy.Said.ink;
import static giostra.core.anatomy.Said.lively;
import static giostra.core.anatomy.Said.none;
import static giostra.core.anatomy.Said.opacity;
import static giostra.core.anatomy.Said.own;
import static giostra.core.anatomy.Said.padded;
import static giostra.core.anatomy.Said.plain;
import static giostra.core.anatomy.Said.px;
import static giostra.core.anatomy.Said.rem;
import static giostra.core.anatomy.Said.ring;
import static giostra.core.anatomy.Said.room;
import static giostra.core.anatomy.Said.shaded;
import static giostra.core.anatomy.Said.size;
import static giostra.core.anatomy.Said.words;

import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.value.Around;
import giostra.core.value.Family;
import giostra.core.value.Ground;
import giostra.core.value.Ink;
import giostra.core.value.Length;
import giostra.core.value.PaintKind;
import giostra.core.value.ToneColour;
import java.util.List;

/** Parts of sliders and carousels: what moves them, their slides, their cards. */
public final class TrackParts {
  public static final Part ARROW =
      lively(
              opacity(
                  corners(
                      border(
                          ground(
                              ink(
                                  size(
                                      Part.of(
                                          "track.arrow",
                                          "Arrow",
                                          State.FOCUS,
                                          State.HOVER,
                                          State.PRESSED,
                                          State.DISABLED),
                                      44,
                                      24,
                                      120),
                                  ToneColour.ACCENT),
                              none()),
                          1,
                          Ink.of(ToneColour.ACCENT)),
                      Length.percent(50)),
                  1))
          .in(State.HOVER, Property.GROUND, plain(ToneColour.ACCENT))
          .in(State.HOVER, Property.INK, Ink.of(ToneColour.GROUND))
          .in(State.DISABLED, Property.OPACITY, 0.38);

  /** The sign in an arrow. */
  public static final Part ARROW_ICON =
      size(Part.of("track.arrow-icon", "Arrow’s icon"), 22, 8, 100);

  /** A dot among the marks of the stops. */
  public static final Part MARK =
      ground(
              corners(
                  border(
                      size(Part.of("track.mark", "Mark", State.CURRENT, State.HOVER), 10, 4, 24),
                      2,
                      Ink.of(ToneColour.ACCENT)),
                  Length.percent(50)),
              none())
          .in(State.CURRENT, Property.GROUND, plain(ToneColour.ACCENT));

  public static final Part TALLY =
      words(Part.of("track.tally", "Tally"), Family.TEXT, 400, rem(1), 1.5, ToneColour.QUIET);

  /** The bar that tells how far a track has moved: its ink is what has passed. */
  public static final Part BAR =
      corners(
          ground(
              ink(size(Part.of("track.bar", "Progress bar"), 4, 1, 24), ToneColour.ACCENT),
              plain(ToneColour.LINE)),
          px(2));

  public static final Part THUMBNAIL =
      opacity(
              corners(
                  ground(
                      ink(Part.of("track.thumbnail", "Thumbnail", State.CURRENT), ToneColour.INK),
                      plain(ToneColour.LINE)),
                  px(8)),
              0.62)
          .in(State.CURRENT, Property.OPACITY, 1.0);

  public static final Part NAME =
      padded(
              words(
                  Part.of("track.name", "Name of a stop", State.CURRENT, State.HOVER),
                  Family.TEXT,
                  400,
                  rem(0.9375),
                  1.6,
                  ToneColour.QUIET),
              rem(0.3),
              rem(0.6),
              rem(0.3))
          .with(Property.BORDER, "Line below", Said.ONE_LINE, Around.all(px(2)))
          .with(Property.BORDER_INK, "Line’s colour", new PaintKind(), own("#00000000"))
          .in(State.CURRENT, Property.INK, Ink.of(ToneColour.INK))
          .in(State.CURRENT, Property.BORDER_INK, Ink.of(ToneColour.ACCENT));

  /** The neighbour's picture by an arrow. */
  public static final Part NEIGHBOUR =
      corners(
          ground(Part.of("track.neighbour", "Neighbour’s picture"), plain(ToneColour.RAISED)),
          px(10));

  // --- slides ----------------------------------------------------------------------------------

  public static final Part SLIDE =
      corners(
          ground(
              ink(Part.of("slider.slide", "Slide", State.HOVER), ToneColour.INK),
              plain(ToneColour.RAISED)),
          px(14));
  public static final Part SLIDE_OVERLAY =
      ground(
          Part.of("slider.overlay", "Overlay"),
          Ground.parse("linear-gradient(180deg,#0a141266,#0a1412a8)"));
  public static final Part SLIDE_WORDS = gap(Part.of("slider.words", "Words"), rem(0.7));
  public static final Part SLIDE_HEADING =
      words(
          Part.of("slider.heading", "Heading"),
          Family.DISPLAY,
          500,
          PageParts.fluid(1.6, 1.2, 1.6, 2.5),
          1.15,
          ToneColour.INK);
  public static final Part SLIDE_BUTTONS =
      room(Part.of("slider.buttons", "Buttons"), Property.ABOVE, rem(0.5));

  /** Holds what moves by itself: the track, and what moves behind a slide. */
  public static final Part HOLD =
      ring(
              ground(
                  corners(
                      size(
                              Part.of("slider.hold", "Pause button", State.FOCUS, State.HOVER),
                              44,
                              24,
                              96)
                          .with(Property.INK, new PaintKind(), own("#fffdf6")),
                      Length.percent(50)),
                  plain(own("#11201db8"))),
              1,
              own("#fffdf680"))
          .in(State.HOVER, Property.GROUND, plain(own("#11201d")));

  // --- cards -----------------------------------------------------------------------------------

  public static final Part CARD =
      lively(
          corners(
              border(
                  ground(
                      ink(Part.of("carousel.card", "Card", State.HOVER), ToneColour.INK),
                      plain(ToneColour.RAISED)),
                  1,
                  Ink.of(ToneColour.LINE)),
              px(14)));
  public static final Part CARD_WORDS =
      padded(gap(Part.of("carousel.words", "Words"), rem(0.6)), rem(1.25), rem(1.35), rem(1.4));
  public static final Part CARD_HEADING =
      words(
          Part.of("carousel.heading", "Heading"),
          Family.DISPLAY,
          500,
          rem(1.3),
          1.15,
          ToneColour.INK);

  /** The picture of a card that has no frame. */
  public static final Part BARE_PICTURE =
      corners(Part.of("carousel.bare-picture", "Picture without a frame"), px(14));

  // --- quotations ------------------------------------------------------------------------------

  public static final Part QUOTATION =
      padded(
          gap(Part.of("quotation.box", "Quotation box"), rem(1.4)), rem(1.5), rem(1.6), rem(1.4));
  public static final Part QUOTATION_WORDS = gap(Part.of("quotation.words", "Words"), rem(1));
  public static final Part QUOTATION_TEXT =
      words(
          Part.of("quotation.text", "Quotation"),
          Family.TEXT,
          400,
          rem(1.0625),
          1.6,
          ToneColour.INK);
  public static final Part QUOTE_MARK =
      size(
          words(
              Part.of("quotation.mark", "Quote mark"),
              Family.DISPLAY,
              600,
              rem(3.6),
              1,
              ToneColour.ACCENT),
          rem(2.1),
          0,
          200);
  public static final Part SPEAKER = gap(Part.of("quotation.speaker", "Speaker"), rem(0.9));
  public static final Part SPEAKER_NAME =
      words(Part.of("quotation.name", "Name"), Family.TEXT, 650, rem(1), 1.3, ToneColour.INK);
  public static final Part ROLE =
      words(
          Part.of("quotation.role", "Role"), Family.TEXT, 400, rem(0.9375), 1.35, ToneColour.QUIET);
  public static final Part PORTRAIT = corners(Part.of("quotation.portrait", "Portrait"), px(12));

  /** The box of the words where the quotation has a tail. */
  public static final Part BUBBLE =
      shaded(
          corners(
              edge(
                  ground(
                      padded(
                          Part.of("quotation.bubble", "Box with a tail"),
                          rem(1.4),
                          rem(1.5),
                          rem(1.4)),
                      plain(ToneColour.RAISED)),
                  1,
                  Ink.of(ToneColour.LINE)),
              px(14)));

  /** Who speaks, where the quotation has a tail. */
  public static final Part BUBBLE_SPEAKER =
      padded(
          Part.of("quotation.bubble-speaker", "Speaker by the tail"), rem(0.4), rem(0.3), rem(0.4));

  static final List<Part> MOVING =
      List.of(ARROW, ARROW_ICON, MARK, TALLY, BAR, THUMBNAIL, NAME, NEIGHBOUR, HOLD);
  static final List<Part> SLIDES =
      List.of(SLIDE, SLIDE_OVERLAY, SLIDE_WORDS, SLIDE_HEADING, SLIDE_BUTTONS);
  static final List<Part> CARDS =
      List.of(
          CARD,
          CARD_WORDS,
          CARD_HEADING,
          BARE_PICTURE,
          QUOTATION,
          QUOTATION_WORDS,
          QUOTATION_TEXT,
          QUOTE_MARK,
          SPEAKER,
          SPEAKER_NAME,
          ROLE,
          BUBBLE,
          BUBBLE_SPEAKER);

  private TrackParts() {}
}
