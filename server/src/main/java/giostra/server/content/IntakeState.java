package giostra.server.content;

/** How far a file is on its way into a piece. */
enum IntakeState {
  /** It waits for a designer: for its mapping, for rows to be mended. */
  OPEN,
  /** Its rows become items. */
  RUNNING,
  /** All of it is in. */
  DONE
}
