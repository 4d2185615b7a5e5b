package giostra.core.piece.tabs;

import static giostra.core.anatomy.Initially.corners;
import static giostra.core.anatomy.Initially.edge;
import static giostra.core.anatomy.Initially.edged;
import static giostra.core.anatomy.Initially.gap;
import static giostra.core.anatomy.Initially.ground;
import static giostra.core.anatomy.Initially.lively;
import static giostra.core.anatomy.Initially.none;
import static giostra.core.anatomy.Initially.opacity;
import static giostra.core.anatomy.Initially.padded;
import static giostra.core.anatomy.Initially.pictured;
import static giostra.core.anatomy.Initially.plain;
import static giostra.core.anatomy.Initially.px;
import static giostra.core.anatomy.Initially.rem;
import static giostra.core.anatomy.Initially.ruled;
import static giostra.core.anatomy.Initially.shaded;
import static giostra.core.anatomy.Initially.size;
import static giostra.core.anatomy.Initially.words;

import giostra.core.anatomy.Initially;
import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.PanelParts;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.value.Around;
import giostra.core.value.Family;
import giostra.core.value.Ink;
import giostra.core.value.LineStyle;
import giostra.core.value.PaintKind;
import giostra.core.value.PickKind;
import giostra.core.value.ToneColour;
import giostra.core.value.TypeStyle;
import java.util.List;

/** Parts of tabs. */
public final class TabsParts {
  public static final Part TAB =
      Initially.pressedHigh(
              lively(
                  opacity(
                      edged(
                          corners(
                              ground(
                                  padded(
                                      gap(
                                          words(
                                              Part.of(
                                                  "tabs.heading",
                                                  "Heading",
                                                  State.CURRENT,
                                                  State.FOCUS,
                                                  State.HOVER,
                                                  State.PRESSED,
                                                  State.DISABLED),
                                              TypeStyle.TEXT,
                                              Family.TEXT,
                                              600,
                                              rem(1),
                                              1.3,
                                              ToneColour.QUIET),
                                          rem(0.6)),
                                      rem(0.6),
                                      rem(1),
                                      rem(0.6)),
                                  none()),
                              px(10))),
                      1)))
          .in(State.HOVER, Property.INK, Ink.of(ToneColour.INK))
          .in(State.CURRENT, Property.INK, Ink.of(ToneColour.INK))
          .in(State.DISABLED, Property.OPACITY, 0.5);

  /** What tells the current heading: a line, or a pointer. */
  public static final Part CURRENT_LINE =
      corners(
          ground(
              size(Part.of("tabs.current-line", "Line of the current"), 3, 1, 24),
              plain(ToneColour.ACCENT)),
          px(2));

  /** Between two headings. */
  public static final Part DIVIDER =
      ruled(ground(size(Part.of("tabs.divider", "Divider"), 1, 1, 12), plain(ToneColour.LINE)));

  public static final Part PANEL =
      Initially.atLeastHigh(
          shaded(
              corners(
                  edge(
                      pictured(
                          padded(Part.of("tabs.panel", "Panel"), px(20), px(20), px(20)),
                          plain(ToneColour.RAISED)),
                      1,
                      Ink.of(ToneColour.LINE)),
                  px(14))));

  /** The heading of a tab where tabs are an accordion. */
  public static final Part FOLDED_TAB =
      Initially.pressedHigh(
              padded(
                  gap(
                      words(
                          Part.of(
                              "tabs.folded-heading",
                              "Folded heading",
                              State.CURRENT,
                              State.FOCUS,
                              State.HOVER,
                              State.PRESSED,
                              State.DISABLED),
                          TypeStyle.TEXT,
                          Family.TEXT,
                          600,
                          rem(1),
                          1.6,
                          ToneColour.INK),
                      rem(0.7)),
                  rem(0.9),
                  rem(1.1),
                  rem(0.9)))
          .with(Property.BORDER, "Line above", Initially.ONE_LINE, Around.all(px(1)))
          .with(
              Property.BORDER_STYLE,
              "Line’s style",
              new PickKind<>(LineStyle.class),
              LineStyle.SOLID)
          .with(Property.BORDER_INK, "Line’s colour", new PaintKind(), Ink.of(ToneColour.LINE));

  public static final List<Part> ALL =
      PageParts.joined(
          List.of(TAB, CURRENT_LINE, DIVIDER, PANEL, FOLDED_TAB), PanelParts.ALL, PageParts.WORDED);

  private TabsParts() {}
}
