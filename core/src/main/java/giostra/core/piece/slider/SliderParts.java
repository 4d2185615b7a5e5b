package giostra.core.piece.slider;

import static giostra.core.anatomy.Initially.aligned;
import static giostra.core.anatomy.Initially.corners;
import static giostra.core.anatomy.Initially.edged;
import static giostra.core.anatomy.Initially.gap;
import static giostra.core.anatomy.Initially.ground;
import static giostra.core.anatomy.Initially.ink;
import static giostra.core.anatomy.Initially.none;
import static giostra.core.anatomy.Initially.padded;
import static giostra.core.anatomy.Initially.plain;
import static giostra.core.anatomy.Initially.px;
import static giostra.core.anatomy.Initially.rem;
import static giostra.core.anatomy.Initially.room;
import static giostra.core.anatomy.Initially.shaded;
import static giostra.core.anatomy.Initially.words;

import giostra.core.anatomy.Initially;
import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.PinParts;
import giostra.core.anatomy.TrackParts;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.value.Family;
import giostra.core.value.Ground;
import giostra.core.value.ToneColour;
import giostra.core.value.TypeStyle;
import java.util.List;

/** Parts of slides. */
public final class SliderParts {
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

  /** What is kept free between the edges of a slide and its words. */
  public static final Part SLIDE_STAND =
      padded(Part.of("slider.stand", "Room around the words"), px(48), px(48), px(48));

  public static final Part SLIDE_WORDS =
      Initially.atLeastHigh(
          shaded(
              edged(
                  corners(
                      ground(
                          padded(
                              gap(Part.of("slider.words", "Words"), rem(0.7)), px(0), px(0), px(0)),
                          none()),
                      px(0)))));

  public static final Part SLIDE_HEADING =
      aligned(
          words(
              Part.of("slider.heading", "Heading", State.HOVER),
              TypeStyle.HEADING,
              Family.DISPLAY,
              500,
              PageParts.fluid(1.6, 1.2, 1.6, 2.5),
              1.15,
              ToneColour.INK));

  public static final Part SLIDE_BUTTONS =
      room(Part.of("slider.buttons", "Buttons"), Property.ABOVE, rem(0.5));

  public static final List<Part> ALL =
      PageParts.joined(
          List.of(
              SLIDE,
              SLIDE_OVERLAY,
              SLIDE_STAND,
              SLIDE_WORDS,
              SLIDE_HEADING,
              SLIDE_BUTTONS,
              PageParts.ICON),
          PageParts.WORDED,
          PinParts.ALL,
          TrackParts.MOVING);

  private SliderParts() {}
}
