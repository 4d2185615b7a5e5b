package giostra.core.layout;

import giostra.core.fit.Screen;

/** How many rows headings take in a width in px, or lines the one that has most. */
@FunctionalInterface
public interface HeadRowCount {
  /** Those that are not to be seen as such. */
  HeadRowCount ONE = (_, _) -> 1;

  /** So many. */
  int in(double width, Screen screen);
}
