package giostra.server.archive;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What an archive has in it: its first entry, {@code giostra.json}.
 *
 * @param archive version of the form of archives
 * @param documents version of the page documents
 * @param site id that the site had
 */
record Manifest(
    int archive,
    int documents,
    String site,
    String name,
    List<OfPage> pages,
    List<OfMedium> media,
    List<OfStock> stock,
    List<OfSource> sources) {
  static final int VERSION = 1;
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

  /** Something that is kept on the site; the node is part of {@code stock/id.json}. */
  record OfStock(String id, String name, String page, String node) {}

  /** A file with content; its bytes are the entry {@code sources/id}. */
  record OfSource(String id, String name, @Nullable String replacedBy) {}
}
