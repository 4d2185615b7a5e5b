package giostra.core.anatomy;

import static giostra.core.anatomy.Said.border;
import static giostra.core.anatomy.Said.corners;
import static giostra.core.anatomy.Said.edge;
import static giostra.core.anatomy.Said.em;
import static giostra.core.anatomy.Said.gap;
import static giostra.core.anatomy.Said.ground;
import static giostra.core.anatomy.Said.ink;
import static giostra.core.anatomy.Said.lively;
import static giostra.core.anatomy.Said.none;
import static giostra.core.anatomy.Said.opacity;
import static giostra.core.anatomy.Said.padded;
import static giostra.core.anatomy.Said.plain;
import static giostra.core.anatomy.Said.px;
import static giostra.core.anatomy.Said.rem;
import static giostra.core.anatomy.Said.room;
import static giostra.core.anatomy.Said.shaded;
import static giostra.core.anatomy.Said.size;
import static giostra.core.anatomy.Said.words;

import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.value.Around;
import giostra.core.value.Family;
import giostra.core.value.Ink;
import giostra.core.value.PaintKind;
import giostra.core.value.ToneColour;
import java.util.List;

/** Parts of tabs and accordions. */
public final class PanelParts {
  public static final Part TAB =
      lively(
              opacity(
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
                      px(10)),
                  1))
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
      ground(size(Part.of("tabs.divider", "Divider"), 1, 1, 12), plain(ToneColour.LINE));

  public static final Part PANEL =
      shaded(
          corners(
              edge(
                  ground(Part.of("tabs.panel", "Panel"), plain(ToneColour.RAISED)),
                  1,
                  Ink.of(ToneColour.LINE)),
              px(14)));

  /** The heading of a tab where tabs are an accordion. */
  public static final Part FOLDED_TAB =
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
                      Family.TEXT,
                      600,
                      rem(1),
                      1.6,
                      ToneColour.INK),
                  rem(0.7)),
              rem(0.9),
              rem(1.1),
              rem(0.9))
          .with(Property.BORDER, "Line above", Said.ONE_LINE, Around.all(px(1)))
          .with(Property.BORDER_INK, "Line’s colour", new PaintKind(), Ink.of(ToneColour.LINE));

  // --- both ------------------------------------------------------------------------------------

  /** An icon or a thumbnail by a heading. */
  public static final Part SIGN =
      corners(size(Part.of("panel.heading-icon", "Heading’s icon"), em(1.5), 8, 120), px(4));

  public static final Part MARKER =
      ink(size(Part.of("panel.marker", "Marker"), 20, 8, 80), ToneColour.ACCENT);

  /** Between two things in a panel. */
  public static final Part INNER =
      room(Part.of("panel.content", "Panel’s content"), Property.ABOVE, rem(1));

  public static final Part PICTURE = corners(Part.of("panel.picture", "Panel’s picture"), px(12));

  // --- accordions ------------------------------------------------------------------------------

  public static final Part ROW =
      shaded(
          corners(
              edge(
                  ground(
                      ink(Part.of("accordion.row", "Row", State.CURRENT), ToneColour.INK),
                      plain(ToneColour.RAISED)),
                  1,
                  Ink.of(ToneColour.LINE)),
              px(12)));
  public static final Part QUESTION =
      words(
              Part.of(
                  "accordion.heading",
                  "Heading",
                  State.CURRENT,
                  State.FOCUS,
                  State.HOVER,
                  State.PRESSED),
              Family.TEXT,
              600,
              rem(1.0625),
              1.4,
              ToneColour.INK)
          .in(State.HOVER, Property.INK, Ink.of(ToneColour.ACCENT));

  /** Heading, icon and marker side by side. */
  public static final Part QUESTION_ROW =
      gap(Part.of("accordion.heading-row", "Heading row"), rem(0.9));

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

  static final List<Part> TABS =
      List.of(TAB, CURRENT_LINE, DIVIDER, PANEL, FOLDED_TAB, SIGN, MARKER, INNER, PICTURE);
  static final List<Part> ACCORDION =
      List.of(
          ROW,
          QUESTION,
          QUESTION_ROW,
          SIGN,
          MARKER,
          INNER,
          PICTURE,
          TOOLS,
          SEARCH,
          CHIPS,
          CHIP,
          SHARE,
          FOUND,
          MARKED);

  private PanelParts() {}
}
