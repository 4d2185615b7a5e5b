package giostra.core.value;

/**
 * Families that ship for the characters that one of {@link Typeface} has not: of other scripts, and
 * signs. On a page they are one face, which every family names after its own, so that all systems
 * draw the same letters; of their files a page is sent those that its words ask for.
 */
public enum Further {
  MANY("Noto Sans Variable"),
  ARABIC("Noto Sans Arabic Variable"),
  HEBREW("Noto Sans Hebrew Variable"),
  THAI("Noto Sans Thai Variable"),
  JAPANESE("Noto Sans JP Variable", true),
  CHINESE("Noto Sans SC Variable", true),
  TRADITIONAL_CHINESE("Noto Sans TC Variable", true),
  KOREAN("Noto Sans KR Variable", true),
  SIGNS("Noto Sans Symbols Variable");

  /** The name of the one face that they are on pages. */
  public static final String FACE = "Further Letters";

  private final String family;
  private final boolean even;

  Further(String family) {
    this(family, false);
  }

  Further(String family, boolean even) {
    this.family = family;
    this.even = even;
  }

  /** Its name in the files that ship. */
  public String family() {
    return family;
  }

  /**
   * Whether its characters are about as wide in the fonts of every system, as ideographs are. It
   * has so many files that they cannot all be there at first.
   */
  public boolean even() {
    return even;
  }
}
