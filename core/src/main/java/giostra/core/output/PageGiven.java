package giostra.core.output;

import giostra.core.look.Styles;
import giostra.core.page.Document;
import giostra.core.page.PageSettings;
import giostra.core.page.Site;

/**
 * What all that is written of a page depends on.
 *
 * @param styles what the page says of how parts look
 */
record PageGiven(Site site, Styles styles, String language, PageSettings.Direction direction) {

  static PageGiven of(Document document) {
    return new PageGiven(
        document.site(),
        document.page().values().styles(),
        document.page().values().get(PageSettings.LANGUAGE),
        document.page().values().get(PageSettings.DIRECTION));
  }

  /** Whether what was written for the other holds for this. */
  boolean same(PageGiven other) {
    return this == other
        || (language.equals(other.language)
            && direction == other.direction
            && (styles == other.styles || styles.equals(other.styles))
            && (site == other.site || site.equals(other.site)));
  }
}
