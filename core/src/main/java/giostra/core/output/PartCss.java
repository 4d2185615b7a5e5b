package giostra.core.output;

import giostra.core.anatomy.Tone;
import giostra.core.anatomy.TrackParts;
import giostra.core.anatomy.TypeParts;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.value.Around;
import giostra.core.value.Colour;
import giostra.core.value.Easing;
import giostra.core.value.Easings;
import giostra.core.value.Ends;
import giostra.core.value.Family;
import giostra.core.value.Ground;
import giostra.core.value.GroundFit;
import giostra.core.value.Ink;
import giostra.core.value.Length;
import giostra.core.value.LineStyle;
import giostra.core.value.Nudge;
import giostra.core.value.Require;
import giostra.core.value.Shadows;
import giostra.core.value.Slant;
import giostra.core.value.Tilt;
import giostra.core.value.ToneColour;
import giostra.core.value.Typeface;
import giostra.core.value.WordsAlign;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The properties of a part in the words of CSS. The sheets that ship are filled with the initial
 * values by it, and what somebody has said is written by it: both say the same.
 */
final class PartCss {
  /** What holds of a part. */
  interface Look {
    <T> T of(Property<T> property);

    /** The widest viewport that it holds at, px. */
    double widest();
  }

  /** Where pictures are. */
  @FunctionalInterface
  interface Files {
    /**
     * The path of one that is enough for a box.
     *
     * @param wide px of the box
     * @return empty where there is none
     */
    String path(String id, double wide);
  }

  /** No box that has a picture as its ground is wider, in px; ours, no source. */
  private static final double WIDEST = 1600;

  /** A pattern is small enough to be as sharp as most screens are: two px to one of CSS. Ours. */
  private static final double PATTERN_DENSITY = 2;

  /**
   * A declaration.
   *
   * @param of the properties that it says something of
   * @param within what of the part it is said of, as the end of a selector; empty for the part
   * @param name of the CSS property
   */
  record Declared(List<Property<?>> of, String within, String name, Function<Look, String> value) {}

  /** What goes over between states. */
  private static final List<String> GOING_OVER =
      List.of(
          "translate",
          "scale",
          "rotate",
          "transform",
          "box-shadow",
          "background-color",
          "color",
          "border-color",
          "opacity");

  private final Part part;
  private final Where where;
  private final boolean whole;
  private final boolean mirrored;
  private final Files files;
  private final List<Declared> all = new ArrayList<>();

  private PartCss(Part part, boolean whole, boolean mirrored, Files files) {
    this.part = part;
    this.where = Where.of(part);
    this.whole = whole;
    this.mirrored = mirrored;
    this.files = files;
  }

  /** All declarations of a part that says all of itself, in few words. */
  static List<Declared> whole(Part part) {
    return of(part, true, false, (_, _) -> "");
  }

  /**
   * All declarations of a part, apart: who says one thing of it says nothing of another.
   *
   * @param mirrored whether the page is read from right to left
   * @param files where pictures are
   */
  static List<Declared> apart(Part part, boolean mirrored, Files files) {
    return of(part, false, mirrored, files);
  }

  private static List<Declared> of(Part part, boolean whole, boolean mirrored, Files files) {
    var css = new PartCss(part, whole, mirrored, files);
    if (css.where.variables()) {
      css.variables();
    } else if (part.equals(TypeParts.FAMILIES)) {
      css.add(Property.TEXT_FACE, Family.TEXT.variable(), Typeface::css);
      css.add(Property.DISPLAY_FACE, Family.DISPLAY.variable(), Typeface::css);
      if (!whole) {
        // What is inherited from farther out is of another family.
        css.add(List.of(Property.TEXT_FACE), "", "font-family", _ -> Family.TEXT.css());
      }
    } else if (Tone.is(part)) {
      // Over a picture all has the colours of that tone, whatever the section's is.
      String unless = !whole && !part.equals(Tone.PICTURE.part()) ? ":not(.g-grounded)" : "";
      for (ToneColour name : ToneColour.values()) {
        Property<Colour> property = Property.of(name);
        css.add(List.of(property), unless, name.variable(), look -> look.of(property).css());
      }
    } else {
      css.letters();
      css.laid();
      css.box();
      css.edges();
      css.motion();
    }
    return css.all;
  }

  /** Players are drawn by rules that read variables. */
  private void variables() {
    add(Property.SIZE, "--p-size", Css::px);
    add(Property.PADDING, "--p-pad", Css::px);
    add(Property.CORNERS, "--p-round", this::corners);
    add(Property.INK, "--p-ink", Ink::css);
    add(Property.GROUND, "--p-ground", Ground::css);
    add(Property.PICTURE, "--p-picture", id -> picture(id, WIDEST));
    add(Property.BORDER, "--p-border", border -> Css.px(border.first()));
    add(Property.BORDER_INK, "--p-line", Ink::css);
    add(Property.NUDGE, "--p-nudge", Nudge::css);
  }

  /**
   * How a picture lies that is there already: as an image, or as a ground where it is a pattern.
   */
  private void laid() {
    if (part.has(Property.PICTURE)) {
      return;
    }
    List<Property<?>> of = List.of(Property.PICTURE_FIT, Property.PICTURE_SIZE);
    if (!whole) {
      add(Property.PICTURE_FIT, "object-fit", fit -> isPattern(fit) ? "none" : fit.css());
    }
    add(of, "", "background-size", look -> laid(look));
    add(Property.PICTURE_FIT, "background-repeat", fit -> isPattern(fit) ? "repeat" : "no-repeat");
  }

  private static boolean isPattern(GroundFit fit) {
    return fit == GroundFit.PATTERN;
  }

  private static String laid(Look look) {
    GroundFit fit = look.of(Property.PICTURE_FIT);
    return isPattern(fit) ? look.of(Property.PICTURE_SIZE).css() + " auto" : fit.css();
  }

  /** How wide a file is asked for, px. */
  static double wide(GroundFit fit, Length size, double widest) {
    return isPattern(fit) ? PATTERN_DENSITY * size.constantPx() : Math.min(WIDEST, widest);
  }

  private void letters() {
    add(Property.FAMILY, "font-family", family -> family.css());
    add(Property.WEIGHT, "font-weight", weight -> Integer.toString(weight));
    add(Property.TEXT_SIZE, "font-size", size -> size.css());
    add(Property.LEADING, "line-height", PartCss::number);
    add(Property.SPACING, "letter-spacing", spacing -> spacing == 0 ? "0" : number(spacing) + "em");
    if (!whole) {
      add(
          Property.WORD_SPACING,
          "word-spacing",
          spacing -> spacing == 0 ? "0" : number(spacing) + "em");
      add(Property.SLANT, "font-style", Slant::css);
      add(Property.ALIGN, "text-align", WordsAlign::lines);
      add(Property.ALIGN, "align-self", WordsAlign::self);
    }
    add(Property.CASE, "text-transform", letters -> letters.css());
    if (part == TrackParts.BAR) {
      add(List.of(Property.INK), "::before", "background", look -> look.of(Property.INK).css());
    } else {
      add(Property.INK, "color", Ink::css);
    }
  }

  private void box() {
    if (!whole) {
      add(Property.PADDING, "padding", Length::css);
    }
    if (!whole) {
      add(Property.PADDING_ABOVE, "padding-block-start", Length::css);
      add(Property.PADDING_SIDES, "padding-inline", Ends::css);
      add(Property.PADDING_BELOW, "padding-block-end", Length::css);
    } else if (part.has(Property.PADDING_SIDES)) {
      add(
          List.of(Property.PADDING_ABOVE, Property.PADDING_SIDES, Property.PADDING_BELOW),
          "",
          "padding",
          look ->
              sides(
                  look.of(Property.PADDING_ABOVE),
                  look.of(Property.PADDING_SIDES).start(),
                  look.of(Property.PADDING_BELOW)));
    }
    add(Property.PADDING_START, "padding-inline-start", Length::css);
    String sized = where.said().getOrDefault(Property.SIZE, "");
    if (sized.isEmpty()) {
      add(Property.SIZE, "inline-size", Length::css);
      add(Property.SIZE, "block-size", Length::css);
    } else {
      add(Property.SIZE, sized, Length::css);
    }
    if (!whole) {
      add(Property.GAP, part.has(Property.GAP_ACROSS) ? "row-gap" : "gap", Length::css);
      add(Property.GAP_ACROSS, "column-gap", Length::css);
    } else if (part.has(Property.GAP_ACROSS)) {
      add(
          List.of(Property.GAP, Property.GAP_ACROSS),
          "",
          "gap",
          look -> look.of(Property.GAP).css() + " " + look.of(Property.GAP_ACROSS).css());
    } else {
      add(Property.GAP, "gap", Length::css);
    }
    if (!whole) {
      room();
    }
    add(Property.ABOVE, "margin-block-start", Length::css);
    add(Property.BELOW, "margin-block-end", Length::css);
  }

  /** What the sheets that ship need not say, since initially it is nothing. */
  private void room() {
    String margin = where.said().getOrDefault(Property.MARGIN, "margin");
    boolean aside = margin.equals(Where.ASIDE);
    add(Property.MARGIN, aside ? "margin" : margin, each -> each.sides(mirrored).css());
    if (aside) {
      add(Property.MARGIN, Where.ASIDE, each -> sum(each.second(), each.fourth()));
    }
    add(Property.MOST_WIDE, "max-inline-size", PartCss::ofTheRoom);
    String place = where.said().getOrDefault(Property.PLACE, "");
    if (place.isEmpty()) {
      add(Property.PLACE, "margin-inline", WordsAlign::apart);
    } else {
      add(Property.PLACE, place, WordsAlign::self);
    }
    add(Property.LEAST_WIDE, "min-inline-size", PartCss::ofTheRoom);
    add(Property.LEAST_HIGH, "min-block-size", Length::css);
    if (part.has(Property.LAYER)) {
      add(Property.LAYER, "z-index", layer -> layer == 0 ? "auto" : Integer.toString(layer));
      add(Property.LAYER, "position", _ -> "relative");
    }
    add(Property.STROKE, "stroke-width", PartCss::number);
  }

  /** Both as one length; nothing has a unit as well, since it is reckoned with. */
  private static String sum(Length one, Length other) {
    return one.unit() == other.unit()
        ? Css.px(new Length(one.amount() + other.amount(), one.unit()))
        : "calc(" + one.css() + " + " + other.css() + ")";
  }

  /** Never more than there is: what a long word asks for would stand out of it. */
  private static String ofTheRoom(Length width) {
    return width.slope() > 0 ? width.css() : "min(100%," + width.css() + ")";
  }

  private void edges() {
    if (part.has(Property.BORDER_STYLE) && !part.has(Property.BORDER)) {
      ruled();
    } else if (!(whole && where.bare())) {
      if (whole || !part.has(Property.VEIL)) {
        add(Property.GROUND, "background", this::ground);
      } else {
        add(
            List.of(
                Property.GROUND,
                Property.PICTURE,
                Property.PICTURE_FIT,
                Property.PICTURE_FOCUS,
                Property.PICTURE_SIZE,
                Property.VEIL),
            "",
            "background",
            this::pictured);
      }
      add(
          Property.CORNERS,
          where.said().getOrDefault(Property.CORNERS, "border-radius"),
          this::corners);
    }
    borders();
    shadows();
    add(Property.OPACITY, "opacity", PartCss::number);
  }

  /** A line is what lies under it; dashed or dotted, a border in the first colour of that. */
  private void ruled() {
    if (whole) {
      add(Property.GROUND, "background", this::ground);
      return;
    }
    List<Property<?>> of = List.of(Property.GROUND, Property.BORDER_STYLE);
    add(of, "", "background", look -> solid(look) ? ground(look.of(Property.GROUND)) : "none");
    add(
        of,
        "",
        "border-style",
        look -> solid(look) ? "none" : look.of(Property.BORDER_STYLE).css());
    add(of, "", "border-color", look -> look.of(Property.GROUND).first().css());
  }

  private static boolean solid(Look look) {
    return look.of(Property.BORDER_STYLE) == LineStyle.SOLID;
  }

  private void borders() {
    String side = where.said().getOrDefault(Property.BORDER, "border");
    if (!part.has(Property.BORDER)) {
      return;
    }
    if (!whole) {
      add(
          Property.BORDER,
          side + "-width",
          border -> border.sides(mirrored).map(each -> each.isZero() ? Length.px(0) : each).css());
      add(Property.BORDER_STYLE, side + "-style", LineStyle::css);
      add(Property.BORDER_INK, side + "-color", Ink::css);
    } else {
      add(
          List.of(Property.BORDER, Property.BORDER_STYLE, Property.BORDER_INK),
          "",
          side,
          look ->
              look.of(Property.BORDER).css()
                  + " "
                  + look.of(Property.BORDER_STYLE).css()
                  + " "
                  + look.of(Property.BORDER_INK).css());
    }
  }

  /** An edge is drawn as a shadow, so both are said in one; that of a picture lies over it. */
  private void shadows() {
    boolean shaded = part.has(Property.SHADOW) && !whole;
    boolean none =
        !part.has(Property.EDGE) || (whole && part.setting(Property.EDGE).initial().isZero());
    boolean over = where.said().containsKey(Property.EDGE);
    if (shaded && (none || over)) {
      add(Property.SHADOW, "box-shadow", Shadows::css);
    }
    if (none) {
      return;
    }
    if (over) {
      add(
          List.of(Property.EDGE, Property.EDGE_INK),
          "",
          "outline",
          look ->
              Css.px(look.of(Property.EDGE).first())
                  + " solid "
                  + look.of(Property.EDGE_INK).css());
      add(Property.EDGE, "outline-offset", edge -> shift("", edge.first(), true));
      return;
    }
    var of = new ArrayList<Property<?>>(List.of(Property.EDGE, Property.EDGE_INK));
    if (shaded) {
      of.add(Property.SHADOW);
    }
    String inset = part == TrackParts.HOLD ? "" : "inset ";
    add(
        of,
        "",
        "box-shadow",
        look -> {
          Shadows shadows = shaded ? look.of(Property.SHADOW) : Shadows.NONE;
          Around edge = look.of(Property.EDGE);
          // An edge that is none need not be drawn, unless there is nothing else to say.
          if (edge.isZero() && !shadows.all().isEmpty()) {
            return shadows.css();
          }
          String drawn = edge(inset, edge, look.of(Property.EDGE_INK));
          return shadows.all().isEmpty() ? drawn : drawn + "," + shadows.css();
        });
  }

  /**
   * One all around, or one along each side that has any; the start is at the left unless mirrored.
   */
  private String edge(String inset, Around edge, Ink ink) {
    if (edge.alike() || edge.isZero()) {
      return inset + "0 0 0 " + Css.px(edge.first()) + " " + ink.css();
    }
    Around sides = edge.sides(mirrored);
    return Stream.of(
            shift("0 ", sides.first(), false),
            shift("", sides.second(), true) + " 0",
            shift("0 ", sides.third(), true),
            shift("", sides.fourth(), false) + " 0")
        .filter(each -> !each.equals("0 0"))
        .map(each -> inset + each + " 0 0 " + ink.css())
        .collect(Collectors.joining(","));
  }

  private static String shift(String before, Length by, boolean back) {
    return before
        + (by.isZero() ? "0" : Css.px(new Length(back ? -by.amount() : by.amount(), by.unit())));
  }

  private String corners(Around corners) {
    return corners.corners(mirrored).css();
  }

  /** What the sheets that ship need not say, since initially it is nothing. */
  private void motion() {
    if (whole || !part.has(Property.TAKES)) {
      return;
    }
    add(Property.MOVES, "translate", Nudge::css);
    add(Property.GROWS, "scale", PartCss::number);
    add(Property.TURNS, "rotate", degrees -> number(degrees) + "deg");
    add(Property.TILTS, "transform", Tilt::css);
    List<Property<?>> going =
        Stream.<Property<?>>of(
                Property.TAKES,
                Property.PACE,
                Property.WAITS,
                Property.MOVES,
                Property.GROWS,
                Property.TURNS,
                Property.TILTS,
                Property.SHADOW)
            .filter(part::has)
            .toList();
    add(going, "", "transition", PartCss::pace);
    add(going, "", "transition-property", _ -> String.join(",", GOING_OVER));
  }

  private static String pace(Look look) {
    Easing pace = look.of(Property.PACE);
    Duration waits = look.of(Property.WAITS);
    return seconds(look.of(Property.TAKES))
        + (pace.equals(Easings.EASE) ? "" : " " + pace.css())
        + (waits.isZero() ? "" : " " + seconds(waits));
  }

  private static String seconds(Duration time) {
    return number(time.toMillis() / 1000.0) + "s";
  }

  private <T> void add(Property<T> property, String name, Function<T, String> as) {
    if (part.has(property)) {
      add(List.of(property), "", name, look -> as.apply(look.of(property)));
    }
  }

  private void add(List<Property<?>> of, String within, String name, Function<Look, String> value) {
    if (of.stream().allMatch(part::has)) {
      all.add(new Declared(of, within, name, value));
    }
  }

  private String picture(String id, double wide) {
    String path = id.isEmpty() ? "" : files.path(id, wide);
    return path.isEmpty() ? "none" : Css.url(path);
  }

  /** A picture under what lies over it, over the ground; first is what is uppermost. */
  private String pictured(Look look) {
    String ground = ground(look.of(Property.GROUND));
    GroundFit fit = look.of(Property.PICTURE_FIT);
    double wide = wide(fit, look.of(Property.PICTURE_SIZE), look.widest());
    String picture = picture(look.of(Property.PICTURE), wide);
    if (picture.equals("none")) {
      return ground;
    }
    String laid = laid(look) + (isPattern(fit) ? "" : " no-repeat");
    String at = look.of(Property.PICTURE_FOCUS).css();
    return veil(look.of(Property.VEIL)) + picture + " " + at + "/" + laid + "," + ground;
  }

  /** One colour, too, is an image where something lies under it. */
  private static String veil(Ground veil) {
    return switch (veil) {
      case Ground.Plain(Ink.Own(var colour)) when colour.equals(Colour.CLEAR) -> "";
      case Ground.Plain(Ink ink) -> "linear-gradient(" + ink.css() + "," + ink.css() + "),";
      case Ground.Gradient gradient -> gradient.css() + ",";
    };
  }

  private String ground(Ground ground) {
    if (!(ground instanceof Ground.Plain(Ink.Own(var colour)) && colour.equals(Colour.CLEAR))) {
      return ground.css();
    }
    // Over pictures an arrow has something under it all the same.
    return part == TrackParts.ARROW && !whole ? "var(--g-lay,none)" : "none";
  }

  private static String number(double number) {
    String written = Require.number(number);
    return written.replaceFirst("^(-?)0\\.", "$1.");
  }

  /** As CSS writes four sides of which two are alike. */
  private static String sides(Length above, Length sides, Length below) {
    String one = above.css();
    String two = sides.css();
    String three = below.css();
    if (!one.equals(three)) {
      return String.format(Locale.ROOT, "%s %s %s", one, two, three);
    }
    return one.equals(two) ? one : one + " " + two;
  }
}
