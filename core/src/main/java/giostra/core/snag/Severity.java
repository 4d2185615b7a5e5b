package giostra.core.snag;

/** How bad what is found is. */
public enum Severity {
  /** A visitor meets it: something cannot be read, reached or seen. */
  BREAKS,
  /** It works, but less well than it could. */
  HURTS,
  /** Worth a look, no more. */
  HINT,
  /** Of a value, for whoever sets it: nothing is wrong with the page. */
  NOTE
}
