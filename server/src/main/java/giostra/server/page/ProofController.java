package giostra.server.page;

import giostra.core.format.EditJson;
import giostra.core.page.Document;
import giostra.core.snag.Leaves;
import giostra.core.snag.Proved;
import giostra.core.snag.Snag;
import giostra.core.snag.Snags;
import giostra.core.snag.WayOut;
import giostra.server.media.MediaService;
import giostra.server.web.Gone;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** What is found on a page over all widths, states, times and dates, and the ways out of it. */
@RestController
class ProofController {
  private final PageService pages;
  private final MediaService media;
  private final Findings findings;

  ProofController(PageService pages, MediaService media, Findings findings) {
    this.pages = pages;
    this.media = media;
    this.findings = findings;
  }

  /**
   * What is found on the page.
   *
   * @param snags notes among them: values without effect
   * @param left why some of them are left as they are, by their keys
   * @param swept ids of the pieces and columns that were gone through, as they are read
   * @param proved how far it reaches
   */
  record Sweep(
      List<Sheets.Finding> snags,
      Map<String, String> left,
      List<String> swept,
      ProvedReply proved) {}

  /**
   * How far a sweep reaches.
   *
   * @param widths how many of the viewport
   * @param states how many of each part
   * @param roundMs the longest round that something goes by itself, in ms; 0 where nothing does
   * @param from the first moment at which somebody comes or goes
   * @param until the last
   */
  record ProvedReply(
      int widths, int states, long roundMs, @Nullable Instant from, @Nullable Instant until) {}

  /** The whole sweep. */
  @GetMapping("/api/pages/{id}/snags")
  Sweep snags(@PathVariable String id) {
    PageService.Head head = pages.head(id);
    Document document = pages.shown(head);
    Proved proved = Proved.of(document);
    List<Snag> found = findings.of(head);
    var left = new LinkedHashMap<String, String>();
    found.forEach(
        each -> Leaves.reason(document, each).ifPresent(why -> left.put(each.key(), why)));
    return new Sweep(
        found.stream().map(Sheets::finding).toList(),
        left,
        Snags.swept(document).map(node -> node.id()).toList(),
        new ProvedReply(
            proved.widths(),
            proved.states(),
            proved.roundMs(),
            proved.from().orElse(null),
            proved.until().orElse(null)));
  }

  /**
   * A way out that was tried on the whole page.
   *
   * @param changes what it changes, in words
   * @param mends whether nothing of the finding is left
   * @param brings what is found then that was not before
   */
  record WayOutReply(
      String label,
      @Schema(implementation = Bodies.EditBody[].class) JsonNode edits,
      List<String> changes,
      boolean mends,
      List<String> brings) {}

  /** The ways out of a finding, tried; none where it is no longer there. */
  @GetMapping("/api/pages/{id}/ways-out")
  List<WayOutReply> waysOut(@PathVariable String id, @RequestParam String snag) {
    PageService.Head head = pages.head(id);
    List<Snag> found = findings.of(head);
    return found.stream()
        .filter(each -> each.key().equals(snag))
        .findFirst()
        .map(each ->
            WayOut.of(pages.shown(head), each, found, media.sizes(head.siteId()), 0).stream()
                .map(way ->
                    new WayOutReply(
                        way.fix().label(),
                        EditJson.write(way.fix().edits()),
                        way.changes(),
                        way.mends(),
                        way.brings().stream().map(Snag::message).toList()))
                .toList())
        .orElse(List.of());
  }

  /** The edits that leave a finding as it is on purpose; with no reason, no longer. */
  @GetMapping("/api/pages/{id}/leave")
  @ApiResponse(
      responseCode = "200",
      content = @Content(schema = @Schema(implementation = Bodies.EditBody[].class)))
  JsonNode leave(
      @PathVariable String id,
      @RequestParam String snag,
      @RequestParam(defaultValue = "") String because) {
    PageService.Head head = pages.head(id);
    List<Snag> found = findings.of(head);
    Snag left =
        found.stream()
            .filter(each -> each.key().equals(snag))
            .findFirst()
            .orElseThrow(() -> new Gone("finding", snag));
    return EditJson.write(List.of(Leaves.leave(pages.shown(head), found, left, because)));
  }
}
