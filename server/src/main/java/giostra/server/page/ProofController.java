package giostra.server.page;

import giostra.core.format.EditJson;
import giostra.core.page.Document;
import giostra.core.snag.Leaves;
import giostra.core.snag.Proved;
import giostra.core.snag.Snag;
import giostra.core.snag.Snags;
import giostra.core.snag.Stress;
import giostra.core.snag.WayOut;
import giostra.core.value.Refused;
import giostra.server.media.MediaService;
import giostra.server.web.Gone;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.time.Instant;
import java.util.Arrays;
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
  Sweep snags(@PathVariable String id, @RequestParam(defaultValue = "") String stress) {
    PageService.Head head = pages.head(id);
    Document document = stressed(pages.shown(head), stress);
    Proved proved = Proved.of(document);
    List<Snag> found = found(head, document, stress);
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
   * @param at which of those of the finding, from 0
   * @param changes what it changes, in words
   * @param mends whether nothing of the finding is left
   * @param brings what is found then that was not before
   */
  record WayOutReply(
      int at,
      String label,
      @Schema(implementation = Bodies.EditBody[].class) JsonNode edits,
      List<String> changes,
      boolean mends,
      List<String> brings) {}

  /** The ways out of a finding, tried; none where it is no longer there. */
  @GetMapping("/api/pages/{id}/ways-out")
  List<WayOutReply> waysOut(
      @PathVariable String id,
      @RequestParam String snag,
      @RequestParam(defaultValue = "") String stress) {
    PageService.Head head = pages.head(id);
    Document own = pages.shown(head);
    Document document = stressed(own, stress);
    List<Snag> found = found(head, document, stress);
    return found.stream()
        .filter(each -> each.key().equals(snag))
        .findFirst()
        .map(each ->
            WayOut.of(document, each, found, media.sizes(head.siteId()), 0).stream()
                // What is there under stress alone cannot be changed.
                .filter(way -> WayOut.possible(own, way.fix()))
                .map(way ->
                    new WayOutReply(
                        each.fixes().indexOf(way.fix()),
                        way.fix().label(),
                        EditJson.write(way.fix().edits()),
                        way.changes(),
                        way.mends(),
                        way.brings().stream().map(Snag::message).toList()))
                .toList())
        .orElse(List.of());
  }

  /**
   * A page as life changes it.
   *
   * @param stress the word of what it is put to; empty for the page as it is
   */
  static Document stressed(Document document, String stress) {
    return stress.isEmpty() ? document : stress(stress).of(document);
  }

  private static Stress stress(String word) {
    return Arrays.stream(Stress.values())
        .filter(each -> Sheets.word(each).equals(word))
        .findFirst()
        .orElseThrow(() ->
            new Refused(
                "stress",
                word,
                "one of "
                    + String.join(
                        ", ", Arrays.stream(Stress.values()).map(Sheets::word).toList())));
  }

  private List<Snag> found(PageService.Head head, Document document, String stress) {
    return stress.isEmpty() ? findings.of(head) : Snags.of(document, media.sizes(head.siteId()), 0);
  }

  /** What a page can be put to. */
  record StressReply(String id, String label) {}

  @GetMapping("/api/stresses")
  List<StressReply> stresses() {
    return Arrays.stream(Stress.values())
        .map(each -> new StressReply(Sheets.word(each), each.label()))
        .toList();
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
