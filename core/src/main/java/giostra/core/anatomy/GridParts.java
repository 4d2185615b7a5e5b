package giostra.core.anatomy;

import static giostra.core.anatomy.Said.corners;
import static giostra.core.anatomy.Said.edge;
import static giostra.core.anatomy.Said.gap;
import static giostra.core.anatomy.Said.ground;
import static giostra.core.anatomy.Said.grounded;
import static giostra.core.anatomy.Said.ink;
import static giostra.core.anatomy.Said.lively;
import static giostra.core.anatomy.Said.none;
import static giostra.core.anatomy.Said.padded;
import static giostra.core.anatomy.Said.plain;
import static giostra.core.anatomy.Said.px;
import static giostra.core.anatomy.Said.rem;
import static giostra.core.anatomy.Said.shaded;
import static giostra.core.anatomy.Said.size;
import static giostra.core.anatomy.Said.words;

import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.value.Around;
import giostra.core.value.DecimalKind;
import giostra.core.value.Family;
import giostra.core.value.Ink;
import giostra.core.value.Length;
import giostra.core.value.PickKind;
import giostra.core.value.ToneColour;
import giostra.core.value.WholeKind;
import java.util.List;

/** Parts of what stands in grids: flip boxes and counters; and the dividers of all grids. */
public final class GridParts {
  public static final Part DIVIDER =
      ground(size(Part.of("grid.divider", "Divider"), 1, 1, 12), plain(ToneColour.LINE));

  // --- flip boxes ------------------------------------------------------------------------------

  public static final Part FRONT =
      shaded(
          corners(
              edge(
                  ground(
                      ink(Part.of("flip.front", "Front", State.HOVER), ToneColour.INK),
                      plain(ToneColour.RAISED)),
                  1,
                  Ink.of(ToneColour.LINE)),
              px(14)));
  public static final Part BACK =
      shaded(
          corners(
              ground(
                  ink(Part.of("flip.back", "Back", State.HOVER), ToneColour.GROUND),
                  plain(ToneColour.ACCENT)),
              px(14)));
  public static final Part BACK_BUTTON =
      ground(
          ink(
              Part.of("flip.back-button", "Back’s button", State.FOCUS, State.HOVER, State.PRESSED),
              ToneColour.ACCENT),
          plain(ToneColour.GROUND));
  public static final Part WORDS = gap(Part.of("flip.words", "Words"), rem(0.6));
  public static final Part HEADING =
      words(
          Part.of("flip.heading", "Front’s heading"),
          Family.DISPLAY,
          500,
          rem(1.375),
          1.15,
          ToneColour.INK);
  public static final Part BACK_HEADING =
      words(
          Part.of("flip.back-heading", "Back’s heading"),
          Family.DISPLAY,
          500,
          rem(1.375),
          1.15,
          ToneColour.GROUND);
  public static final Part BACK_TEXT =
      words(
          Part.of("flip.back-text", "Back’s text"),
          Family.TEXT,
          400,
          rem(1),
          1.6,
          ToneColour.GROUND);
  public static final Part ICON =
      grounded(ink(size(Part.of("flip.icon", "Front’s icon"), 36, 8, 200), ToneColour.ACCENT));
  public static final Part BACK_ICON =
      grounded(ink(size(Part.of("flip.back-icon", "Back’s icon"), 36, 8, 200), ToneColour.GROUND));

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

  // --- counters --------------------------------------------------------------------------------

  /** A figure with its title; the pointer lights those that lead somewhere. */
  public static final Part FIGURE =
      lively(
              corners(
                  ground(
                      gap(
                          padded(
                              Part.of("counters.box", "Box", State.HOVER),
                              rem(0.75),
                              rem(0.75),
                              rem(0.75)),
                          rem(0.35)),
                      none()),
                  px(0)))
          .in(State.HOVER, Property.GROUND, plain(ToneColour.RAISED))
          .in(State.HOVER, Property.CORNERS, Around.all(px(12)));

  /** How large it is says the piece. */
  public static final Part NUMBER =
      ink(
          Part.of("counters.number", "Number")
              .with(Property.FAMILY, new PickKind<>(Family.class), Family.DISPLAY)
              .with(Property.WEIGHT, new WholeKind(100, 900), 500)
              .with(Property.LEADING, new DecimalKind(0.8, 3), 1.1),
          ToneColour.INK);

  public static final Part TITLE =
      words(Part.of("counters.title", "Title"), Family.TEXT, 400, rem(1), 1.35, ToneColour.QUIET);
  public static final Part COUNTER_ICON =
      grounded(ink(size(Part.of("counters.icon", "Icon"), 32, 8, 200), ToneColour.ACCENT));
  public static final Part COUNTER_PICTURE =
      corners(size(Part.of("counters.picture", "Picture"), 72, 8, 400), Length.percent(50));

  static final List<Part> FLIP =
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
          DIVIDER);
  static final List<Part> COUNTERS =
      List.of(FIGURE, NUMBER, TITLE, COUNTER_ICON, COUNTER_PICTURE, DIVIDER);

  private GridParts() {}
}
