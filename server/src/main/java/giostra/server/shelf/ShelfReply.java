package giostra.server.shelf;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** All sites that are there, with their pages, and the origin of the stage. */
@Schema(name = "ShelfReply")
record ShelfReply(String stage, List<ShelfSite> sites) {

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

  /** A site on the shelf; {@code said} is what is wrong with it, empty when nothing is. */
  @Schema(name = "ShelfSite")
  record ShelfSite(String id, String name, List<ShelfPage> pages, String said) {}
}
