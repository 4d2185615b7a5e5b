package giostra.core.output;

import giostra.core.layout.Outline;
import giostra.core.page.Section;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What is written of one section. It depends on nothing but what its {@link Given} says and on what
 * ships with the page, so it is put together again only when that changes.
 *
 * @param opens its markup before its blocks
 * @param closes its markup after them
 * @param blocks in order
 * @param gathered what goes with it and its blocks
 * @param sheet the hash of all its rules
 * @param length characters of its markup and its rules
 */
record SectionFiles(
    Given given,
    String opens,
    String closes,
    List<BlockFiles> blocks,
    Gathered gathered,
    String sheet,
    int length) {

  /**
   * All that a section's files depend on, besides what ships with the page.
   *
   * @param section told by itself, not by what is in it: nodes that nobody changed stay the same
   * @param page what every section of the page depends on
   * @param levels of the headings of its pieces, which follow from the headings before them
   * @param first whether nothing stands above it
   * @param after how many sections come after it
   */
  record Given(Section section, PageGiven page, Outline.Part levels, boolean first, int after) {

    /** Whether what was written for the other holds for this. */
    boolean same(Given other) {
      return section == other.section
          && first == other.first
          && after == other.after
          && levels.same(other.levels)
          && page.same(other.page);
    }
  }

  /** Markup of its blocks by id, in order. */
  Map<String, String> markup() {
    var all = new LinkedHashMap<String, String>();
    blocks.forEach(each -> all.put(each.given().block().id(), each.html()));
    return all;
  }

  /** Whether something of it shows only at times or for some addresses, as {@link Writing} says. */
  boolean conditional() {
    return opens.contains(Writing.SHOWS)
        || blocks.stream().anyMatch(each -> each.html().contains(Writing.SHOWS));
  }

  /** Its markup. */
  void html(StringBuilder out) {
    out.append(opens);
    blocks.forEach(each -> out.append(each.html()));
    out.append(closes);
  }
}
