package giostra.core.snag;

/** How much what is found matters. */
public enum Severity {
  /** A visitor meets it: something cannot be read, reached or seen. */
  FAULT,
  /** It works, but less well than it could. */
  DOUBT,
  /** Of interest to whoever sets the values alone: nothing is wrong with the page. */
  NOTE
}
