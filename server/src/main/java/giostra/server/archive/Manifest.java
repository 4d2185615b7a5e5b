package giostra.server.archive;

import giostra.core.value.Refused;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What an archive has in it: its first entry, {@code giostra.json}.
 *
 * @param archive version of the form of archives
 * @param documents version of the page documents and of what is kept
 * @param site id that the site had
 * @param left what could not be read, and is not in it
 */
record Manifest(
    int archive,
    int documents,
    String site,
    String name,
    List<OfPage> pages,
    List<OfMedium> media,
    List<OfStock> stock,
    List<OfSource> sources,
    List<Left> left) {
  /** Version 2: what is kept names its home by the page's slug, which is in the archive. */
  static final int VERSION = 2;

  static final String ENTRY = "giostra.json";

  /** A page; its document is the entry {@code pages/slug.json}. */
  record OfPage(String slug) {}

  /** A picture, clip or caption file; its bytes are the entry {@code media/file}. */
  record OfMedium(
      String id,
      String file,
      String hash,
      String name,
      String alt,
      boolean decorative,
      String focus,
      List<String> tags) {}

  /**
   * Something that is kept on the site; the node is part of {@code stock/id.json}.
   *
   * @param page slug of the page where it is edited; empty where that is gone
   */
  record OfStock(String id, String name, String page, String node) {}

  /** A file with content; its bytes are the entry {@code sources/id}. */
  record OfSource(String id, String name, @Nullable String replacedBy) {}

  /** A page that could not be read. */
  record Left(String page, String why) {}

  /**
   * Refuses what names something twice, or something that is not there.
   *
   * @throws Refused with the place in the list
   */
  void check() {
    once("pages", pages.stream().map(OfPage::slug).toList());
    once("media", media.stream().map(OfMedium::id).toList());
    once("stock", stock.stream().map(OfStock::id).toList());
    once("sources", sources.stream().map(OfSource::id).toList());
    Set<String> known = new HashSet<>(sources.stream().map(OfSource::id).toList());
    for (OfSource each : sources) {
      if (each.replacedBy() != null && !known.contains(each.replacedBy())) {
        throw new Refused("replacedBy", each.replacedBy(), "the id of a source in the archive")
            .at(ENTRY + " / sources / " + each.id());
      }
    }
    Set<String> slugs = new HashSet<>(pages.stream().map(OfPage::slug).toList());
    for (OfStock each : stock) {
      if (!each.page().isEmpty() && !slugs.contains(each.page())) {
        throw new Refused("page", each.page(), "the slug of a page in the archive")
            .at(ENTRY + " / stock / " + each.id());
      }
    }
  }

  private static void once(String list, List<String> ids) {
    var seen = new HashSet<String>();
    for (String id : ids) {
      if (!seen.add(id)) {
        throw new Refused("what is listed", id + ", twice", "listed once").at(ENTRY + " / " + list);
      }
    }
  }
}
