package giostra.core.anatomy;

import giostra.core.band.Band;
import giostra.core.look.Cascade;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.look.State;
import giostra.core.value.Family;
import giostra.core.value.PickKind;
import giostra.core.value.Typeface;
import java.util.Optional;

/** The families of texts and of headings, which a site, a page or a section says. */
public final class TypeParts {
  public static final Part FAMILIES =
      Part.of("type.families", "Families")
          .with(Property.TEXT_FACE, new PickKind<>(Typeface.class), Typeface.SOURCE_SANS)
          .with(Property.DISPLAY_FACE, new PickKind<>(Typeface.class), Typeface.FRAUNCES);

  private TypeParts() {}

  /** The family that letters are of, as who speaks of them says it; nothing for that of code. */
  public static Optional<Typeface> typeface(Family family, Scope scope, Band band) {
    return switch (family) {
      case TEXT ->
          Optional.of(Cascade.value(FAMILIES, Property.TEXT_FACE, State.REST, scope, band));
      case DISPLAY ->
          Optional.of(Cascade.value(FAMILIES, Property.DISPLAY_FACE, State.REST, scope, band));
      default -> family.typeface();
    };
  }
}
