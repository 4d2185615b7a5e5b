package giostra.core.piece.counters;

import static giostra.core.anatomy.Initially.aligned;
import static giostra.core.anatomy.Initially.corners;
import static giostra.core.anatomy.Initially.edged;
import static giostra.core.anatomy.Initially.framed;
import static giostra.core.anatomy.Initially.gap;
import static giostra.core.anatomy.Initially.grounded;
import static giostra.core.anatomy.Initially.ink;
import static giostra.core.anatomy.Initially.lively;
import static giostra.core.anatomy.Initially.moving;
import static giostra.core.anatomy.Initially.none;
import static giostra.core.anatomy.Initially.padded;
import static giostra.core.anatomy.Initially.pictured;
import static giostra.core.anatomy.Initially.px;
import static giostra.core.anatomy.Initially.rem;
import static giostra.core.anatomy.Initially.size;
import static giostra.core.anatomy.Initially.words;

import giostra.core.anatomy.GridParts;
import giostra.core.anatomy.Initially;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.value.DecimalKind;
import giostra.core.value.Family;
import giostra.core.value.Length;
import giostra.core.value.LettersKind;
import giostra.core.value.PickKind;
import giostra.core.value.Slant;
import giostra.core.value.ToneColour;
import giostra.core.value.TypeSize;
import giostra.core.value.TypeStyle;
import giostra.core.value.WholeKind;
import java.util.List;

/** Parts of counters. */
public final class CounterParts {
  /** A figure with its title; while the pointer is over it, so it is over all that stands on it. */
  public static final Part FIGURE =
      Initially.box(
          lively(
              edged(
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
                      px(0)))));

  public static final Part NUMBER =
      ink(
          Part.of("counters.number", "Number", State.HOVER)
              .with(Property.TYPE, new PickKind<>(TypeStyle.class), TypeStyle.FIGURE)
              .with(Property.FAMILY, new PickKind<>(Family.class), Family.DISPLAY)
              .with(Property.WEIGHT, new WholeKind(100, 900), 500)
              .with(Property.TEXT_SIZE, new LettersKind(6, 240), TypeSize.of(px(52)))
              .with(Property.LEADING, new DecimalKind(0.8, 3), 1.1)
              .with(Property.SLANT, new PickKind<>(Slant.class), Slant.UPRIGHT),
          ToneColour.INK);

  public static final Part TITLE =
      aligned(
          words(
              Part.of("counters.title", "Title", State.HOVER),
              TypeStyle.TEXT,
              Family.TEXT,
              400,
              rem(1),
              1.35,
              ToneColour.QUIET));

  public static final Part COUNTER_ICON =
      Initially.drawn(
          lively(
              grounded(
                  ink(
                      size(Part.of("counters.icon", "Icon", State.HOVER), 32, 8, 200),
                      ToneColour.ACCENT))));

  public static final Part COUNTER_PICTURE =
      moving(
          framed(
              corners(
                  size(Part.of("counters.picture", "Picture", State.HOVER), 72, 8, 400),
                  Length.percent(50))));

  public static final List<Part> ALL =
      List.of(FIGURE, NUMBER, TITLE, COUNTER_ICON, COUNTER_PICTURE, GridParts.DIVIDER);

  private CounterParts() {}
}
