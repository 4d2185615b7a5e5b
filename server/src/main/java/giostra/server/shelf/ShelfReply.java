package giostra.server.shelf;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Sites that are there, with some of their pages.
 *
 * @param stage the origin of the stage
 * @param next from where there are more; null when these are the last
 */
@Schema(name = "ShelfReply")
record ShelfReply(String stage, List<ShelfSite> sites, @Nullable Integer next) {

  /**
   * A page on the shelf.
   *
   * @param snags how many are found on it; nothing while it is gone through
   * @param said what is wrong with it; empty when nothing is
   * @param broken whether it cannot be opened
   */
  @Schema(name = "ShelfPage")
  record ShelfPage(
      String id,
      String title,
      String slug,
      int revision,
      int pieces,
      @Nullable Integer snags,
      @Nullable Integer liveNumber,
      boolean newerThanLive,
      String said,
      boolean broken) {}

  /**
   * A site on the shelf.
   *
   * @param count how many pages it has
   * @param pages those of them that this answer shows
   */
  @Schema(name = "ShelfSite")
  record ShelfSite(String id, String name, int count, List<ShelfPage> pages) {}
}
