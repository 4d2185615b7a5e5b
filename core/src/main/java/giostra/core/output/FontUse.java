package giostra.core.output;

import giostra.core.anatomy.TypeParts;
import giostra.core.band.Band;
import giostra.core.fit.Letters;
import giostra.core.layout.Resolution;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.page.Document;
import giostra.core.page.Look;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.value.Family;
import giostra.core.value.Further;
import giostra.core.value.Slant;
import giostra.core.value.Typeface;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Which of the fonts that ship a page needs: files of families that its letters may be of, and of
 * those the slices that one of its characters is in. Source: CSS Fonts 4, "unicode-range".
 *
 * @param families that letters may be of
 * @param characters of all that may be words, each once: of markup, whatever it is. As text, since
 *     one rare character would make a set of bits large
 * @param slanted whether some of them are slanted
 */
record FontUse(Set<Typeface> families, String characters, boolean slanted) {
  /** What browsers slant unless a sheet says otherwise. Source: HTML, "Rendering". */
  private static final Pattern SLANTED = Pattern.compile("<(em|i|cite|dfn|var|address)[ >]");

  /** That of a page: what it and its sections ask for, together. */
  static FontUse of(Document document, List<SectionFiles> sections) {
    FontUse of = together(sections.stream().map(each -> each.gathered().fonts()).toList());
    boolean slanted = of.slanted || slants(document.site()) || slants(document.page());
    var all = new FontUse(of.families, of.characters, slanted);
    all.roles(document, document.page());
    Stream.of(document.site(), document.page()).forEach(all::styles);
    return all;
  }

  /** What some ask for, together. */
  static FontUse together(List<FontUse> some) {
    Set<Typeface> families = EnumSet.noneOf(Typeface.class);
    var characters = new StringBuilder();
    for (FontUse each : some) {
      families.addAll(each.families);
      characters.append(each.characters);
    }
    return new FontUse(families, once(characters), some.stream().anyMatch(FontUse::slanted));
  }

  /** That of some nodes, and of the looks that pieces among them wear. */
  static FontUse of(Document document, List<Node> nodes, String markup) {
    boolean slanted =
        slants(markup)
            || Stream.concat(nodes.stream(), worn(document, nodes)).anyMatch(FontUse::slants);
    var all = new FontUse(EnumSet.noneOf(Typeface.class), once(markup), slanted);
    for (Node each : nodes) {
      if (each instanceof Section && says(each)) {
        all.roles(document, each);
      }
      all.styles(each);
    }
    worn(document, nodes).forEach(all::styles);
    return all;
  }

  private static String once(CharSequence characters) {
    var seen = new BitSet();
    characters.codePoints().forEach(seen::set);
    var once = new StringBuilder();
    seen.stream().forEach(once::appendCodePoint);
    return once.toString();
  }

  /** The looks that pieces among some nodes wear. */
  static Stream<Look> worn(Document document, List<Node> nodes) {
    return nodes.stream()
        .flatMap(node ->
            node instanceof Piece piece ? document.site().wornBy(piece).stream() : Stream.empty())
        .distinct();
  }

  /**
   * Those of some fonts that are needed, in their order; then the site's own; then what draws the
   * characters that one of the families has not, each file asked for those alone.
   *
   * @param own fonts of the site
   * @param language of the page
   */
  List<Shipped.Font> among(List<Shipped.Font> fonts, OwnFaces own, Locale language) {
    Set<String> faces = families.stream().map(Typeface::face).collect(Collectors.toSet());
    var asked = new BitSet();
    characters.codePoints().forEach(asked::set);
    var all = new ArrayList<Shipped.Font>();
    fonts.stream()
        .filter(font -> faces.contains(font.family()))
        .filter(font -> !CodePoints.within(font.unicodeRange(), asked).isEmpty())
        .forEach(all::add);
    families.stream()
        .flatMap(face -> own.of(face).stream())
        .filter(font -> slanted || !font.slanted())
        .forEach(all::add);
    Letters.further(families.stream().map(own::measured).toList(), asked, language)
        .forEach((family, drawn) -> further(fonts, family, drawn).forEach(all::add));
    return all;
  }

  private static Stream<Shipped.Font> further(
      List<Shipped.Font> fonts, Further family, BitSet drawn) {
    return fonts.stream()
        .filter(font -> font.family().equals(family.family()))
        .map(font -> {
          BitSet some = CodePoints.within(font.unicodeRange(), drawn);
          return new Shipped.Font(
              Further.FACE,
              font.path(),
              font.weights(),
              CodePoints.written(some),
              false,
              family.even());
        })
        .filter(font -> !font.unicodeRange().isEmpty());
  }

  private void roles(Document document, Node node) {
    Scope scope = Resolution.scope(document, node);
    for (Band band : document.bands().all()) {
      for (Family role : List.of(Family.TEXT, Family.DISPLAY)) {
        TypeParts.typeface(role, scope, band).ifPresent(families::add);
      }
    }
  }

  private void styles(Node node) {
    node.values()
        .styles()
        .set()
        .forEach((key, byBand) -> {
          if (key.property().equals(Property.FAMILY)) {
            byBand.values().forEach(value -> ((Family) value).typeface().ifPresent(families::add));
          }
        });
  }

  private static boolean slants(String markup) {
    Matcher tag = SLANTED.matcher(markup);
    // Looked for at each tag alone, and not at each character.
    for (int at = markup.indexOf('<'); at >= 0; at = markup.indexOf('<', at + 1)) {
      if (tag.region(at, markup.length()).lookingAt()) {
        return true;
      }
    }
    return false;
  }

  private static boolean slants(Node node) {
    return node.values().styles().set().entrySet().stream()
        .anyMatch(each ->
            each.getKey().property().equals(Property.SLANT)
                && each.getValue().containsValue(Slant.ITALIC));
  }

  private static boolean says(Node section) {
    return section.values().styles().set().keySet().stream()
        .anyMatch(key -> key.part().equals(TypeParts.FAMILIES.id()));
  }
}
