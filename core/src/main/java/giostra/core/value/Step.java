package giostra.core.value;

/** The steps of the workbench in which something is set: each setting has its home in one. */
public enum Step {
  /** What is there. */
  FILL,
  /** How many, how wide, where. */
  ARRANGE,
  /** How it looks. */
  DRESS,
  /** What happens when. */
  DRIVE
}
