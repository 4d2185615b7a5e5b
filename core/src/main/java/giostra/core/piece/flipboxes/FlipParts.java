package giostra.core.piece.flipboxes;

import static giostra.core.anatomy.Initially.aligned;
import static giostra.core.anatomy.Initially.corners;
import static giostra.core.anatomy.Initially.edge;
import static giostra.core.anatomy.Initially.edged;
import static giostra.core.anatomy.Initially.gap;
import static giostra.core.anatomy.Initially.ground;
import static giostra.core.anatomy.Initially.grounded;
import static giostra.core.anatomy.Initially.ink;
import static giostra.core.anatomy.Initially.none;
import static giostra.core.anatomy.Initially.padded;
import static giostra.core.anatomy.Initially.pictured;
import static giostra.core.anatomy.Initially.plain;
import static giostra.core.anatomy.Initially.px;
import static giostra.core.anatomy.Initially.rem;
import static giostra.core.anatomy.Initially.shaded;
import static giostra.core.anatomy.Initially.size;
import static giostra.core.anatomy.Initially.words;

import giostra.core.anatomy.GridParts;
import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.StandsOn;
import giostra.core.look.Part;
import giostra.core.look.State;
import giostra.core.value.Family;
import giostra.core.value.Ink;
import giostra.core.value.Length;
import giostra.core.value.ToneColour;
import giostra.core.value.TypeStyle;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Parts of flip boxes. */
public final class FlipParts {
  public static final Part FRONT =
      shaded(
          corners(
              edge(
                  pictured(
                      ink(Part.of("flip.front", "Front", State.HOVER), ToneColour.INK),
                      plain(ToneColour.RAISED)),
                  1,
                  Ink.of(ToneColour.LINE)),
              px(14)));

  public static final Part BACK =
      shaded(
          edged(
              corners(
                  pictured(
                      ink(Part.of("flip.back", "Back", State.HOVER), ToneColour.GROUND),
                      plain(ToneColour.ACCENT)),
                  px(14))));

  public static final Part BACK_BUTTON =
      ground(
          ink(
              Part.of("flip.back-button", "Back’s button", State.FOCUS, State.HOVER, State.PRESSED),
              ToneColour.ACCENT),
          plain(ToneColour.GROUND));

  public static final Part WORDS =
      padded(gap(Part.of("flip.words", "Words"), rem(0.6)), px(24), px(24), px(24));

  public static final Part HEADING =
      aligned(
          words(
              Part.of("flip.heading", "Front’s heading", State.HOVER),
              TypeStyle.SUBHEADING,
              Family.DISPLAY,
              500,
              rem(1.375),
              1.15,
              ToneColour.INK));

  public static final Part BACK_HEADING =
      aligned(
          words(
              Part.of("flip.back-heading", "Back’s heading", State.HOVER),
              TypeStyle.SUBHEADING,
              Family.DISPLAY,
              500,
              rem(1.375),
              1.15,
              ToneColour.GROUND));

  public static final Part BACK_TEXT =
      aligned(
          words(
              Part.of("flip.back-text", "Back’s text", State.HOVER),
              TypeStyle.TEXT,
              Family.TEXT,
              400,
              rem(1),
              1.6,
              ToneColour.GROUND));

  public static final Part ICON =
      PageParts.sign(
          grounded(
              ink(
                  size(Part.of("flip.icon", "Front’s icon", State.HOVER), 36, 8, 200),
                  ToneColour.ACCENT)));

  public static final Part BACK_ICON =
      PageParts.sign(
          grounded(
              ink(
                  size(Part.of("flip.back-icon", "Back’s icon", State.HOVER), 36, 8, 200),
                  ToneColour.GROUND)));

  /** Turns a box back. */
  public static final Part TURN_BACK =
      corners(
          ground(
              size(
                  Part.of("flip.turn-back", "Button to turn back", State.FOCUS, State.HOVER),
                  36,
                  24,
                  96),
              none()),
          Length.percent(50));

  public static final List<Part> ALL =
      PageParts.joined(
          List.of(
              FRONT,
              BACK,
              WORDS,
              HEADING,
              BACK_HEADING,
              BACK_TEXT,
              ICON,
              BACK_ICON,
              BACK_BUTTON,
              TURN_BACK,
              GridParts.DIVIDER),
          PageParts.WORDED);

  /** What lies under what: each face under what stands on it. */
  static final Map<Part, Part> UNDER = under();

  private FlipParts() {}

  private static Map<Part, Part> under() {
    var all = new HashMap<Part, Part>();
    all.putAll(
        StandsOn.on(
            FRONT,
            List.of(),
            HEADING,
            ICON,
            PageParts.ITEM_TEXT,
            PageParts.EMPHASIS,
            PageParts.LINK));
    all.putAll(StandsOn.on(BACK, List.of(), BACK_HEADING, BACK_TEXT, BACK_ICON, BACK_BUTTON));
    return Map.copyOf(all);
  }
}
