package giostra.core.layout;

import giostra.core.anatomy.TypeParts;
import giostra.core.band.Band;
import giostra.core.fit.Face;
import giostra.core.fit.OwnFonts;
import giostra.core.fit.Screen;
import giostra.core.look.Cascade;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.look.State;
import giostra.core.value.Around;
import giostra.core.value.Ends;
import giostra.core.value.Family;
import giostra.core.value.Length;
import giostra.core.value.Slant;
import giostra.core.value.Typeface;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** What holds of a part at rest in a band: what the sheet says of it too. */
public final class PartBox {
  private final Part part;
  private final Scope scope;
  private final Band band;

  /** What was asked before: a sweep asks the same at each of a thousand widths. */
  private final Map<Property<?>, Object> known = new ConcurrentHashMap<>();

  /**
   * What holds of a part.
   *
   * @param scope who speaks of it
   */
  public PartBox(Part part, Scope scope, Band band) {
    this.part = part;
    this.scope = scope;
    this.band = band;
  }

  /** Whose it is. */
  public Part part() {
    return part;
  }

  /** Who speaks of it. */
  public Scope scope() {
    return scope;
  }

  /** Where. */
  public Band band() {
    return band;
  }

  /** What holds of a property. */
  @SuppressWarnings("unchecked") // a property's values are of its type
  public <T> T of(Property<T> property) {
    Object before = known.get(property);
    if (before != null) {
      return (T) before;
    }
    T value =
        scope.silent()
            ? part.setting(property).initial()
            : Cascade.value(part, property, State.REST, scope, band);
    known.put(property, value);
    return value;
  }

  /** A length in px that no letters change. */
  public double px(Property<Length> property) {
    return of(property).constantPx();
  }

  /** A length in px that somebody has said, or another one where the part has none of itself. */
  public double px(Property<Length> property, double unlessSaid) {
    return scope.speaksOf(part.key(property, State.REST)) ? px(property) : unlessSaid;
  }

  /** A length in px; one in em is a multiple of the size of the part's own letters. */
  public double px(Property<Length> property, Screen screen) {
    return px(of(property), screen);
  }

  /** A length of it in px; one in em is a multiple of the size of the part's own letters. */
  double px(Length length, Screen screen) {
    return length.unit() == Length.Unit.EM
        ? length.amount() * of(Property.TEXT_SIZE).px(screen.lesser())
        : length.constantPx();
  }

  /** A length that is a multiple of the size of other letters. */
  public double em(Property<Length> property, double letters) {
    Length length = of(property);
    return length.unit() == Length.Unit.EM ? length.amount() * letters : length.constantPx();
  }

  /** The same as far as somebody has said it, or another one where the part has none of itself. */
  public double sides(double unlessSaid) {
    return scope.speaksOf(part.key(Property.PADDING_SIDES, State.REST)) ? sides() : unlessSaid;
  }

  /** Its padding at both sides, which no letters change, px. */
  public double sides() {
    Ends ends = of(Property.PADDING_SIDES);
    return ends.start().constantPx() + ends.end().constantPx();
  }

  /** Its border, px: above and below, and at both sides. */
  public Around border() {
    return of(Property.BORDER);
  }

  /** The line that it has along one side, px. */
  public double line() {
    return border().first().constantPx();
  }

  /** Its padding above and below, px. */
  public double down(Screen screen) {
    return px(Property.PADDING_ABOVE, screen) + px(Property.PADDING_BELOW, screen);
  }

  /** Its padding at both sides, px. */
  public double across(Screen screen) {
    Ends ends = of(Property.PADDING_SIDES);
    return px(ends.start(), screen) + px(ends.end(), screen);
  }

  /** The face of its letters. */
  public Face face() {
    Face upright = face(of(Property.FAMILY), of(Property.WEIGHT), scope, band);
    return part.has(Property.SLANT) && of(Property.SLANT) == Slant.ITALIC
        ? upright.slanted()
        : upright;
  }

  /** The face that letters of a family and a weight are drawn with. */
  public static Face face(Family family, int weight, Scope scope, Band band) {
    return Face.of(
        TypeParts.typeface(family, scope, band)
            .map(face ->
                Typeface.OWN.contains(face) ? OwnFonts.family(scope.files(face)) : face.face())
            .filter(Face::is)
            // What neither ships nor is the site's own is measured as texts are.
            .orElse(Typeface.SOURCE_SANS.face()),
        weight);
  }

  /** Its words as they are set. */
  public TextStyle words() {
    return TextStyle.of(this);
  }
}
