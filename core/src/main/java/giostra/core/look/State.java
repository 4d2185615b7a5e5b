package giostra.core.look;

/** A state of a part, in the order in which states are asked. */
public enum State {
  DISABLED,
  PRESSED,
  HOVER,
  FOCUS,
  CURRENT,
  REST
}
