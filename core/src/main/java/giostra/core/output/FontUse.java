package giostra.core.output;

import giostra.core.anatomy.TypeParts;
import giostra.core.band.Band;
import giostra.core.layout.Resolution;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.page.Document;
import giostra.core.page.Look;
import giostra.core.page.Node;
import giostra.core.page.Section;
import giostra.core.value.Family;
import giostra.core.value.Typeface;
import java.util.BitSet;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Which of the fonts that ship a page needs: files of families that its letters may be of, and of
 * those the slices that one of its characters is in. Source: CSS Fonts 4, "unicode-range".
 */
final class FontUse {
  private FontUse() {}

  /**
   * The fonts, in the order in which they ship.
   *
   * @param texts all that may be words on the page
   */
  static List<Shipped.Font> of(Document document, List<Shipped.Font> fonts, Stream<String> texts) {
    Set<String> families = new HashSet<>();
    families(document).forEach(each -> families.add(each.face()));
    var characters = new BitSet();
    texts.forEach(text -> text.codePoints().forEach(characters::set));
    return fonts.stream()
        .filter(font -> families.contains(font.family()))
        .filter(font -> asked(font, characters))
        .toList();
  }

  private static Set<Typeface> families(Document document) {
    var all = EnumSet.noneOf(Typeface.class);
    Stream<Node> holders =
        Stream.concat(Stream.of(document.page()), document.page().sections().stream());
    holders.forEach(node -> {
      if (!(node instanceof Section) || says(node)) {
        Scope scope = Resolution.scope(document, node);
        for (Band band : document.bands().all()) {
          for (Family role : List.of(Family.TEXT, Family.DISPLAY)) {
            TypeParts.typeface(role, scope, band).ifPresent(all::add);
          }
        }
      }
    });
    Set<Look> worn =
        document.pieces().stream()
            .flatMap(piece -> document.site().wornBy(piece).stream())
            .collect(Collectors.toSet());
    document
        .nodes()
        .filter(node -> !(node instanceof Look look) || worn.contains(look))
        .forEach(node ->
            node.values()
                .styles()
                .set()
                .forEach((key, byBand) -> {
                  if (key.property().equals(Property.FAMILY)) {
                    byBand
                        .values()
                        .forEach(value -> ((Family) value).typeface().ifPresent(all::add));
                  }
                }));
    return all;
  }

  private static boolean says(Node section) {
    return section.values().styles().set().keySet().stream()
        .anyMatch(key -> key.part().equals(TypeParts.FAMILIES.id()));
  }

  private static boolean asked(Shipped.Font font, BitSet characters) {
    for (String range : font.unicodeRange().split(",")) {
      String[] ends = range.strip().substring(2).split("-");
      int from = Integer.parseInt(ends[0], 16);
      int to = ends.length > 1 ? Integer.parseInt(ends[1], 16) : from;
      int next = characters.nextSetBit(from);
      if (next >= 0 && next <= to) {
        return true;
      }
    }
    return false;
  }
}
