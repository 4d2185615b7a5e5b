package giostra.core.piece.counters;

import static giostra.core.anatomy.Initially.corners;
import static giostra.core.anatomy.Initially.gap;
import static giostra.core.anatomy.Initially.grounded;
import static giostra.core.anatomy.Initially.ink;
import static giostra.core.anatomy.Initially.lively;
import static giostra.core.anatomy.Initially.none;
import static giostra.core.anatomy.Initially.padded;
import static giostra.core.anatomy.Initially.pictured;
import static giostra.core.anatomy.Initially.plain;
import static giostra.core.anatomy.Initially.px;
import static giostra.core.anatomy.Initially.rem;
import static giostra.core.anatomy.Initially.size;
import static giostra.core.anatomy.Initially.words;

import giostra.core.anatomy.GridParts;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.value.Around;
import giostra.core.value.DecimalKind;
import giostra.core.value.Family;
import giostra.core.value.Length;
import giostra.core.value.PickKind;
import giostra.core.value.ToneColour;
import giostra.core.value.TypeStyle;
import giostra.core.value.WholeKind;
import java.util.List;

/** Parts of counters. */
public final class CounterParts {
  /** A figure with its title; the pointer lights those that lead somewhere. */
  public static final Part FIGURE =
      lively(
              corners(
                  pictured(
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
              .with(Property.TYPE, new PickKind<>(TypeStyle.class), TypeStyle.FIGURE)
              .with(Property.FAMILY, new PickKind<>(Family.class), Family.DISPLAY)
              .with(Property.WEIGHT, new WholeKind(100, 900), 500)
              .with(Property.LEADING, new DecimalKind(0.8, 3), 1.1),
          ToneColour.INK);

  public static final Part TITLE =
      words(
          Part.of("counters.title", "Title"),
          TypeStyle.TEXT,
          Family.TEXT,
          400,
          rem(1),
          1.35,
          ToneColour.QUIET);

  public static final Part COUNTER_ICON =
      grounded(ink(size(Part.of("counters.icon", "Icon"), 32, 8, 200), ToneColour.ACCENT));

  public static final Part COUNTER_PICTURE =
      corners(size(Part.of("counters.picture", "Picture"), 72, 8, 400), Length.percent(50));

  public static final List<Part> ALL =
      List.of(FIGURE, NUMBER, TITLE, COUNTER_ICON, COUNTER_PICTURE, GridParts.DIVIDER);

  private CounterParts() {}
}
