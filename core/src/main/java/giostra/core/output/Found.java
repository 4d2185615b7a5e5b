package giostra.core.output;

import giostra.core.look.Part;

/**
 * Where a part is found in published markup, for whoever shows it apart.
 *
 * @param elements selector of all elements that are it, or that have it before or after them
 * @param current selector of those of them that are current; empty where it is never that
 */
public record Found(String elements, String current) {
  /** Of a part. */
  public static Found of(Part part) {
    Where where = Where.of(part);
    return new Found(where.elements(), where.currentElements());
  }
}
