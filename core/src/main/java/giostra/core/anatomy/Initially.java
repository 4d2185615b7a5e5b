package giostra.core.anatomy;

import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.value.Around;
import giostra.core.value.AroundKind;
import giostra.core.value.Colour;
import giostra.core.value.DecimalKind;
import giostra.core.value.Easings;
import giostra.core.value.Ends;
import giostra.core.value.EndsKind;
import giostra.core.value.Family;
import giostra.core.value.Focus;
import giostra.core.value.Ground;
import giostra.core.value.GroundFit;
import giostra.core.value.Ink;
import giostra.core.value.Kind;
import giostra.core.value.Length;
import giostra.core.value.LetterCase;
import giostra.core.value.LettersKind;
import giostra.core.value.LineStyle;
import giostra.core.value.MovedKind;
import giostra.core.value.Nudge;
import giostra.core.value.PaceKind;
import giostra.core.value.PaintKind;
import giostra.core.value.PickKind;
import giostra.core.value.PictureKind;
import giostra.core.value.PointKind;
import giostra.core.value.ShadeKind;
import giostra.core.value.Shadows;
import giostra.core.value.SizeKind;
import giostra.core.value.Slant;
import giostra.core.value.Tilt;
import giostra.core.value.TiltKind;
import giostra.core.value.TimeKind;
import giostra.core.value.ToneColour;
import giostra.core.value.TypeSize;
import giostra.core.value.TypeStyle;
import giostra.core.value.UnderKind;
import giostra.core.value.WholeKind;
import giostra.core.value.WordsAlign;
import java.time.Duration;

/** What may be said of parts, with the ranges that all of them share, in few words. */
public final class Initially {
  private static final SizeKind ROOM = new SizeKind(0, 200, false);
  private static final Kind<Around> ROUND =
      new AroundKind(AroundKind.Of.CORNERS, new SizeKind(0, 999));
  private static final SizeKind LINE = new SizeKind(0, 20, false);
  private static final Kind<Around> LINES = new AroundKind(AroundKind.Of.SIDES, LINE);

  /** A line along one side, or all around alike. */
  public static final Kind<Around> ONE_LINE = new AroundKind(AroundKind.Of.WHOLE, LINE);

  private Initially() {}

  /** So many px. */
  public static Length px(double amount) {
    return Length.px(amount);
  }

  /** So many times the letters of the page. */
  public static Length rem(double amount) {
    return new Length(amount, Length.Unit.REM);
  }

  /** So many times its own letters. */
  public static Length em(double amount) {
    return new Length(amount, Length.Unit.EM);
  }

  /** A colour of its own, whatever the tone. */
  public static Ink own(String colour) {
    return new Ink.Own(Colour.parse(colour));
  }

  /** One colour under it. */
  public static Ground plain(Ink ink) {
    return new Ground.Plain(ink);
  }

  /** One colour under it. */
  public static Ground plain(ToneColour name) {
    return plain(Ink.of(name));
  }

  /** Nothing under it. */
  public static Ground none() {
    return plain(new Ink.Own(Colour.CLEAR));
  }

  /** Words of one size. */
  public static Part words(
      Part part,
      TypeStyle type,
      Family family,
      int weight,
      Length size,
      double leading,
      ToneColour ink) {
    return words(part, type, family, weight, TypeSize.of(size), leading, ink);
  }

  /** Words that are set in a style of type, in the ink of the tone. */
  public static Part words(
      Part part,
      TypeStyle type,
      Family family,
      int weight,
      TypeSize size,
      double leading,
      ToneColour ink) {
    Part typed = part.with(Property.TYPE, new PickKind<>(TypeStyle.class), type);
    return ink(letters(typed, family, weight, size, leading), ink);
  }

  /** Letters, whatever their ink. */
  public static Part letters(Part part, Family family, int weight, TypeSize size, double leading) {
    boolean display = family == Family.DISPLAY;
    return part.with(Property.FAMILY, new PickKind<>(Family.class), family)
        .with(Property.WEIGHT, new WholeKind(100, 900), weight)
        .with(Property.TEXT_SIZE, new LettersKind(6, 240), size)
        .with(Property.LEADING, new DecimalKind(0.8, 3), leading)
        .with(Property.SPACING, new DecimalKind(-0.1, 0.5), display ? -0.01 : 0.0)
        .with(Property.WORD_SPACING, new DecimalKind(-0.2, 1), 0.0)
        .with(Property.SLANT, new PickKind<>(Slant.class), Slant.UPRIGHT)
        .with(Property.CASE, new PickKind<>(LetterCase.class), LetterCase.AS_TYPED);
  }

  /** Words that may begin elsewhere than those around them. */
  public static Part aligned(Part part) {
    return placed(part.with(Property.ALIGN, new PickKind<>(WordsAlign.class), WordsAlign.AROUND));
  }

  /** With nothing kept free around it, unless somebody says so. */
  public static Part kept(Part part) {
    return part.with(Property.MARGIN, new AroundKind(AroundKind.Of.SIDES, ROOM), Around.all(px(0)));
  }

  /** No lower than what it holds, unless somebody says so. */
  public static Part atLeastHigh(Part part) {
    return part.with(Property.LEAST_HIGH, new SizeKind(0, 1200, false), px(0));
  }

  /** What is pressed is high enough for a finger, unless somebody says otherwise. */
  public static Part pressedHigh(Part part) {
    return part.with(Property.LEAST_HIGH, new SizeKind(24, 400, false), px(44));
  }

  /** It keeps nothing free around it and takes all of the width, unless somebody says so. */
  public static Part placed(Part part) {
    return kept(part)
        .with(Property.MOST_WIDE, new SizeKind(20, 4000), Length.percent(100))
        .with(Property.PLACE, new PickKind<>(WordsAlign.class), WordsAlign.AROUND);
  }

  /** No wider than what it holds, unless somebody says so. */
  public static Part atLeastWide(Part part) {
    return part.with(Property.LEAST_WIDE, new SizeKind(0, 600), px(0));
  }

  /**
   * A box beside others, which may be higher than what it holds, lie over its neighbours and be
   * seen through.
   */
  public static Part box(Part part) {
    return opacity(layered(atLeastHigh(part)), 1);
  }

  /** A sign drawn in lines. */
  public static Part drawn(Part part) {
    return part.with(Property.STROKE, new DecimalKind(0.5, 4), 2.0);
  }

  /** It may lie over what is beside it; initially nothing lies over anything. */
  public static Part layered(Part part) {
    return part.with(Property.LAYER, new WholeKind(0, 9), 0);
  }

  /** In a colour of the tone. */
  public static Part ink(Part part, ToneColour ink) {
    return part.with(Property.INK, new PaintKind(), Ink.of(ink));
  }

  /** In the colour of the words around, unless somebody says another. */
  public static Part around(Part part) {
    return part.with(Property.INK, new PaintKind(true), Ink.AROUND);
  }

  /** On a ground. */
  public static Part ground(Part part, Ground ground) {
    return part.with(Property.GROUND, new UnderKind(), ground);
  }

  /** On a ground that may have a picture on it; initially it has none. */
  public static Part pictured(Part part, Ground ground) {
    return laid(ground(part, ground).with(Property.PICTURE, new PictureKind(), ""))
        .with(Property.PICTURE_FOCUS, new PointKind(), Focus.CENTER)
        .with(Property.VEIL, new UnderKind(), none());
  }

  /**
   * Of a picture that fills its box; otherwise it stands in it whole or is laid again and again.
   */
  public static Part laid(Part part) {
    return part.with(Property.PICTURE_FIT, new PickKind<>(GroundFit.class), GroundFit.COVER)
        .with(Property.PICTURE_SIZE, new SizeKind(4, 2000, false), px(160));
  }

  /** With corners, all alike. */
  public static Part corners(Part part, Length corners) {
    return part.with(Property.CORNERS, ROUND, Around.all(corners));
  }

  /** With a border on all sides. */
  public static Part border(Part part, double px, Ink ink) {
    return border(part, LINES, px, ink);
  }

  /** A border that is the same wherever it is. */
  public static Part line(Part part, double px, Ink ink) {
    return border(part, ONE_LINE, px, ink);
  }

  private static Part border(Part part, Kind<Around> kind, double px, Ink ink) {
    return part.with(Property.BORDER, kind, Around.all(px(px)))
        .with(Property.BORDER_STYLE, new PickKind<>(LineStyle.class), LineStyle.SOLID)
        .with(Property.BORDER_INK, new PaintKind(), ink);
  }

  /** It may have an edge, which takes no room; initially it has none. */
  public static Part edged(Part part) {
    return edge(part, 0, Ink.of(ToneColour.LINE));
  }

  /** A picture, which may have an edge all around and throw a shadow. */
  public static Part framed(Part part) {
    return shaded(ring(part, 0, Ink.of(ToneColour.LINE)));
  }

  /** A line, which may be drawn in another way than solid. */
  public static Part ruled(Part part) {
    return part.with(
        Property.BORDER_STYLE, "Line’s style", new PickKind<>(LineStyle.class), LineStyle.SOLID);
  }

  /** With an edge, which takes no room. */
  public static Part edge(Part part, double px, Ink ink) {
    return edge(part, LINES, px, ink);
  }

  /** An edge that goes all around it, outside. */
  public static Part ring(Part part, double px, Ink ink) {
    return edge(part, ONE_LINE, px, ink);
  }

  private static Part edge(Part part, Kind<Around> kind, double px, Ink ink) {
    return part.with(Property.EDGE, kind, Around.all(px(px)))
        .with(Property.EDGE_INK, new PaintKind(), ink);
  }

  /** With padding. */
  public static Part padded(Part part, Length above, Length sides, Length below) {
    return part.with(Property.PADDING_ABOVE, ROOM, above)
        .with(Property.PADDING_SIDES, new EndsKind(ROOM), Ends.both(sides))
        .with(Property.PADDING_BELOW, ROOM, below);
  }

  /** With a distance between what it holds. */
  public static Part gap(Part part, Length gap) {
    return part.with(Property.GAP, ROOM, gap);
  }

  /** With a distance of some kind. */
  public static Part room(Part part, Property<Length> property, Length length) {
    return part.with(property, ROOM, length);
  }

  /** Of a size, within bounds in px. */
  public static Part size(Part part, double px, double least, double most) {
    return size(part, px(px), least, most);
  }

  /** Of a size, within bounds in px. */
  public static Part size(Part part, Length size, double least, double most) {
    return part.with(Property.SIZE, new SizeKind(least, most, false), size);
  }

  /** It may throw a shadow, move and grow; initially it does nothing of that. */
  public static Part lively(Part part) {
    return moving(shaded(part));
  }

  /** It may move, grow, turn and tilt; initially it does nothing of that. */
  public static Part moving(Part part) {
    return part.with(Property.MOVES, new MovedKind(), Nudge.NONE)
        .with(Property.GROWS, new DecimalKind(0.5, 1.6), 1.0)
        .with(Property.TURNS, new DecimalKind(-180, 180), 0.0)
        .with(Property.TILTS, new TiltKind(), Tilt.NONE)
        .with(Property.TAKES, TimeKind.ms(0, 2000), Duration.ofMillis(200))
        .with(Property.PACE, new PaceKind(), Easings.EASE)
        .with(Property.WAITS, TimeKind.ms(0, 2000), Duration.ZERO);
  }

  /** It may throw a shadow; initially it throws none. */
  public static Part shaded(Part part) {
    return part.with(Property.SHADOW, new ShadeKind(), Shadows.NONE);
  }

  /** A sign that may stand on a ground of its own; initially it has none. */
  public static Part grounded(Part part) {
    return edged(corners(room(ground(part, none()), Property.PADDING, px(0)), px(0)));
  }

  public static Part opacity(Part part, double opacity) {
    return part.with(Property.OPACITY, new DecimalKind(0, 1), opacity);
  }
}
