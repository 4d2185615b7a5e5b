package giostra.core.output;

import giostra.core.anatomy.TypeStyles;
import giostra.core.look.Part;
import giostra.core.value.TypeStyle;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Where a part is found in published markup, for whoever shows it apart.
 *
 * @param elements selector of all elements that are it, or that have it before or after them
 * @param current selector of those of them that are current; empty where it is never that
 */
public record Found(String elements, String current) {
  /** Of a part; a style of type is found on all that is set in it. */
  public static Found of(Part part) {
    Optional<TypeStyle> style = TypeStyles.of(part);
    if (style.isPresent()) {
      return new Found(
          TypeStyles.setIn(style.get()).stream()
              .map(each -> Where.of(each).elements())
              .collect(Collectors.joining(",")),
          "");
    }
    Where where = Where.of(part);
    return new Found(where.elements(), where.currentElements());
  }
}
