package giostra.core.piece.accordion;

import static giostra.core.anatomy.Initially.atLeastHigh;
import static giostra.core.anatomy.Initially.border;
import static giostra.core.anatomy.Initially.corners;
import static giostra.core.anatomy.Initially.edge;
import static giostra.core.anatomy.Initially.gap;
import static giostra.core.anatomy.Initially.ground;
import static giostra.core.anatomy.Initially.ink;
import static giostra.core.anatomy.Initially.none;
import static giostra.core.anatomy.Initially.opacity;
import static giostra.core.anatomy.Initially.padded;
import static giostra.core.anatomy.Initially.pictured;
import static giostra.core.anatomy.Initially.plain;
import static giostra.core.anatomy.Initially.px;
import static giostra.core.anatomy.Initially.rem;
import static giostra.core.anatomy.Initially.room;
import static giostra.core.anatomy.Initially.shaded;
import static giostra.core.anatomy.Initially.size;
import static giostra.core.anatomy.Initially.words;

import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.PanelParts;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.value.Family;
import giostra.core.value.Ink;
import giostra.core.value.ToneColour;
import giostra.core.value.TypeStyle;
import java.util.List;
import java.util.Set;

/** Parts of accordions. */
public final class AccordionParts {
  public static final Part ROW =
      opacity(
          shaded(
              corners(
                  edge(
                      pictured(
                          ink(Part.of("accordion.row", "Row", State.CURRENT), ToneColour.INK),
                          plain(ToneColour.RAISED)),
                      1,
                      Ink.of(ToneColour.LINE)),
                  px(12))),
          1);

  public static final Part QUESTION =
      words(
              Part.of(
                  "accordion.heading",
                  "Heading",
                  State.CURRENT,
                  State.FOCUS,
                  State.HOVER,
                  State.PRESSED),
              TypeStyle.SUBHEADING,
              Family.TEXT,
              600,
              rem(1.0625),
              1.4,
              ToneColour.INK)
          .in(State.HOVER, Property.INK, Ink.of(ToneColour.ACCENT));

  /** Heading, icon and marker side by side. */
  public static final Part QUESTION_ROW =
      atLeastHigh(
          padded(
              gap(Part.of("accordion.heading-row", "Heading row"), rem(0.9)),
              px(20),
              px(20),
              px(20)));

  /** What is under a heading; the padding of that stands above it. */
  public static final Part PANEL =
      atLeastHigh(padded(Part.of("accordion.panel", "Panel"), px(0), px(20), px(20)));

  /** The search box and the categories. */
  public static final Part TOOLS =
      room(
          room(
              gap(Part.of("accordion.tools", "Search and categories"), rem(0.75)),
              Property.GAP_ACROSS,
              rem(1)),
          Property.BELOW,
          rem(1.25));

  public static final Part SEARCH =
      size(
          corners(
              border(
                  ground(
                      padded(
                          ink(
                              Part.of("accordion.search", "Search box", State.FOCUS),
                              ToneColour.INK),
                          rem(0.5),
                          rem(0.9),
                          rem(0.5)),
                      plain(ToneColour.RAISED)),
                  1,
                  Ink.of(ToneColour.QUIET)),
              px(999)),
          44,
          24,
          120);

  public static final Part CHIPS = gap(Part.of("accordion.categories", "Categories"), rem(0.4));

  public static final Part CHIP =
      size(
              corners(
                  border(
                      ground(
                          padded(
                              words(
                                  Part.of(
                                      "accordion.category",
                                      "Category",
                                      State.CURRENT,
                                      State.FOCUS,
                                      State.HOVER,
                                      State.PRESSED),
                                  TypeStyle.SMALL,
                                  Family.TEXT,
                                  400,
                                  rem(0.9375),
                                  1.6,
                                  ToneColour.QUIET),
                              rem(0.3),
                              rem(0.9),
                              rem(0.3)),
                          none()),
                      1,
                      Ink.of(ToneColour.LINE)),
                  px(999)),
              36,
              24,
              120)
          .in(State.CURRENT, Property.GROUND, plain(ToneColour.ACCENT))
          .in(State.CURRENT, Property.BORDER_INK, Ink.of(ToneColour.ACCENT))
          .in(State.CURRENT, Property.INK, Ink.of(ToneColour.GROUND))
          .in(State.CURRENT, Property.WEIGHT, 600);

  public static final Part SHARE =
      size(
          padded(
              words(
                  Part.of(
                      "accordion.copy-link", "Copy link", State.FOCUS, State.HOVER, State.PRESSED),
                  TypeStyle.SMALL,
                  Family.TEXT,
                  400,
                  rem(0.9375),
                  1.6,
                  ToneColour.ACCENT),
              rem(0.35),
              px(0),
              rem(0.35)),
          32,
          24,
          120);

  public static final Part FOUND =
      room(
          ink(Part.of("accordion.found", "What was found"), ToneColour.QUIET),
          Property.ABOVE,
          rem(1));

  /** Words that were searched for. */
  public static final Part MARKED =
      corners(
          ground(
              ink(Part.of("accordion.match", "Found words"), ToneColour.GROUND),
              plain(ToneColour.ACCENT)),
          px(2));

  public static final List<Part> ALL =
      PageParts.joined(
          List.of(ROW, QUESTION, QUESTION_ROW, PANEL),
          PanelParts.ALL,
          List.of(TOOLS, SEARCH, CHIPS, CHIP, SHARE, FOUND, MARKED),
          PageParts.WORDED);

  /** What stands over all questions, and under them. */
  static final Set<Part> TOOLS_OVER = Set.of(TOOLS, SEARCH, CHIPS, CHIP, FOUND);

  private AccordionParts() {}
}
