package giostra.core.output;

import giostra.core.layout.Outline;
import giostra.core.look.Styles;
import giostra.core.media.IconSprite;
import giostra.core.page.PageSettings;
import giostra.core.page.Section;
import giostra.core.page.Site;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/**
 * What is written of one section. It depends on nothing but what its {@link Given} says and on what
 * ships with the page, so it is written again only when that changes.
 *
 * @param frame its markup without its blocks: what stands before, between and after them
 * @param blocks markup of its blocks, by id, in order
 * @param css rules by band
 * @param hover rules by band for what a pointer that can hover is over
 * @param within rules that depend on the width of a piece
 * @param kinds of its pieces
 * @param parts that have rules of their own
 * @param mostItems on one of its tracks
 * @param icons that it shows, by name
 * @param pictures paths of the media files that it asks for
 * @param missing ids of media that it asks for and that are not there
 * @param fonts that its words need
 * @param worn ids of the looks that its pieces wear
 * @param sheet the hash of all its rules
 * @param length characters of its markup and its rules
 */
record SectionFiles(
    Given given,
    List<String> frame,
    Map<String, String> blocks,
    Map<String, List<String>> css,
    Map<String, List<String>> hover,
    List<String> within,
    Set<String> kinds,
    Set<String> parts,
    int mostItems,
    Map<String, IconSprite.Symbol> icons,
    Set<String> pictures,
    Set<String> missing,
    Origins origins,
    FontUse fonts,
    Set<String> worn,
    String sheet,
    int length) {

  /** Its rules one after the other, each said to be of its band. */
  static String rules(
      Map<String, List<String>> css, Map<String, List<String>> hover, List<String> within) {
    var all = new StringBuilder();
    for (Map<String, List<String>> each : List.of(css, hover)) {
      new TreeMap<>(each)
          .forEach((band, rules) -> {
            all.append(band).append('{');
            rules.forEach(all::append);
            all.append('}');
          });
    }
    within.forEach(all::append);
    return all.toString();
  }

  /**
   * All that a section's files depend on, besides what ships with the page.
   *
   * @param section told by itself, not by what is in it: nodes that nobody changed stay the same
   * @param page what the page says of how parts look
   * @param levels of the headings of its pieces, which follow from the headings before them
   */
  record Given(
      Section section,
      Site site,
      Styles page,
      String language,
      PageSettings.Direction direction,
      Outline.Part levels) {

    /** Whether what was written for the other holds for this. */
    boolean same(Given other) {
      return section == other.section
          && levels.same(other.levels)
          && language.equals(other.language)
          && direction == other.direction
          && page.equals(other.page)
          && site.equals(other.site);
    }
  }

  /** Its markup. */
  void html(StringBuilder out) {
    int at = 0;
    for (String block : blocks.values()) {
      out.append(frame.get(at++)).append(block);
    }
    out.append(frame.get(at));
  }
}
