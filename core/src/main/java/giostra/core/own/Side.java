package giostra.core.own;

/** Where something is put, seen from an element of a page. */
public enum Side {
  /** Before it, as its neighbour. */
  BEFORE,
  /** In it, before all else. */
  FIRST,
  /** In it, after all else. */
  LAST,
  /** After it, as its neighbour. */
  AFTER,
  /** In its place: it is not on the page any more. */
  INSTEAD
}
