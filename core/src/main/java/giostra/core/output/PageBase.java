package giostra.core.output;

import giostra.core.value.Typeface;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.SortedSet;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What hardly an edit changes of a page: its fonts, and the rules that all pages with such pieces
 * have.
 *
 * @param missing ids of fonts that it asks for and that are not there
 */
record PageBase(Given given, List<Shipped.Font> fonts, Set<String> missing, Sheet.Fixed fixed) {
  /**
   * All that it depends on, besides what ships with the page.
   *
   * @param kinds of its pieces
   * @param parts that have rules of their own
   */
  record Given(PageGiven page, FontUse use, SortedSet<String> kinds, SortedSet<String> parts) {
    private boolean same(Given other) {
      return page.same(other.page)
          && use.equals(other.use)
          && kinds.equals(other.kinds)
          && parts.equals(other.parts);
    }
  }

  /**
   * That of a page.
   *
   * @param before taken over where nothing has changed for it; of a page with which the same ships
   */
  static PageBase of(Given given, Shipped shipped, @Nullable PageBase before) {
    if (before != null && before.given.same(given)) {
      return before;
    }
    var missing = new LinkedHashSet<String>();
    var own = new OwnFaces(given.page.site(), shipped.media(), missing);
    Locale language = Locale.forLanguageTag(given.page.language());
    List<Shipped.Font> fonts = given.use.among(shipped.fonts(), own, language);
    String rules = rules(given, fonts, own);
    return new PageBase(
        given, fonts, missing, Sheet.Fixed.of(rules, before == null ? null : before.fixed));
  }

  private static String rules(Given given, List<Shipped.Font> fonts, OwnFaces own) {
    Stream<Typeface> families =
        fonts.stream()
            .map(Shipped.Font::family)
            .distinct()
            .flatMap(family -> Typeface.of(family).stream());
    var rules =
        new StringBuilder(Stylesheet.faces(fonts))
            .append(Stylesheet.standIns(families, own))
            .append(Stylesheet.base());
    given.kinds.forEach(kind -> rules.append(Stylesheet.of(kind, given.kinds)));
    given.parts.forEach(part -> rules.append(Stylesheet.part(part)));
    return rules.toString();
  }
}
