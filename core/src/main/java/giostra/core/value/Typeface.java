package giostra.core.value;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * The families that ship, of different characters; each is one variable file a script. All are
 * open. Beside them those that a site makes of fonts of its own. Each names the faces that stand in
 * where it has not come or has not a character.
 */
public enum Typeface {
  SOURCE_SANS("Source Sans 3 Variable", "Source Sans, plain and clear", Stand.SANS),
  FRAUNCES("Fraunces Variable", "Fraunces, soft old style", Stand.SERIF),
  LITERATA("Literata Variable", "Literata, for reading", Stand.SERIF),
  BITTER("Bitter Variable", "Bitter, slab", Stand.SERIF),
  PLAYFAIR("Playfair Display Variable", "Playfair, high contrast", Stand.SERIF),
  WORK_SANS("Work Sans Variable", "Work Sans, wide and even", Stand.SANS),
  NUNITO("Nunito Variable", "Nunito, round", Stand.SANS),
  OSWALD("Oswald Variable", "Oswald, narrow", Stand.SANS),
  SPACE_GROTESK("Space Grotesk Variable", "Space Grotesk, geometric", Stand.SANS),
  RUBIK("Rubik Variable", "Rubik, square and soft", Stand.SANS),
  CAVEAT("Caveat Variable", "Caveat, by hand", Stand.HAND),
  SOURCE_CODE("Source Code Pro Variable", "Source Code, one width", Stand.CODE),
  OWN_1("Own 1", "Own family 1", Stand.SANS),
  OWN_2("Own 2", "Own family 2", Stand.SANS),
  OWN_3("Own 3", "Own family 3", Stand.SANS),
  OWN_4("Own 4", "Own family 4", Stand.SANS),
  OWN_5("Own 5", "Own family 5", Stand.SANS),
  OWN_6("Own 6", "Own family 6", Stand.SANS);

  /** Those of a site's own fonts, in their order. */
  public static final List<Typeface> OWN = List.of(OWN_1, OWN_2, OWN_3, OWN_4, OWN_5, OWN_6);

  /** Those that ship. */
  public static final List<Typeface> SHIPPED =
      Arrays.stream(values()).filter(each -> !OWN.contains(each)).toList();

  private final String face;
  private final String label;
  private final Stand stand;

  Typeface(String face, String label, Stand stand) {
    this.face = face;
    this.label = label;
    this.stand = stand;
  }

  /** Its name on pages, and in the files that ship. */
  public String face() {
    return face;
  }

  /** What people read, with what it is like. */
  public String label() {
    return label;
  }

  /** Its word in documents. */
  public String word() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** What stands in for it until it has come. */
  public Stand stand() {
    return stand;
  }

  /** The name that this has on pages, drawn as large as the family itself. */
  public String standIn() {
    return face.replace(" Variable", "") + " Until";
  }

  /** As {@code font-family} has it. */
  public String css() {
    String until = stand == Stand.HAND ? "" : "\"" + standIn() + "\",";
    return "\"" + face + "\",\"" + Further.FACE + "\"," + until + stand.fallbacks();
  }

  /** The one of that name in the files that ship. */
  public static Optional<Typeface> of(String face) {
    return Arrays.stream(values()).filter(each -> each.face.equals(face)).findFirst();
  }
}
