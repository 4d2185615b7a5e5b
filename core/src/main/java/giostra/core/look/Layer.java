package giostra.core.look;

/** Who may set a value, most specific first. */
public enum Layer {
  ITEM,
  PIECE,
  SECTION,
  PAGE,
  LOOK,
  SITE,
  /** Nobody has set it: Giostra's own initial value. */
  INITIAL
}
