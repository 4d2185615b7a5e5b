package giostra.server.page;

import giostra.core.format.EditJson;
import giostra.core.page.Fields;
import giostra.core.snag.Leaves;
import giostra.core.snag.Proved;
import giostra.core.snag.Snag;
import giostra.core.snag.Snags;
import giostra.core.snag.Stress;
import giostra.core.snag.WayOut;
import giostra.core.value.PickKind;
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
   * @param snags what a visitor could meet; what is without effect stands beside its value
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
   * @param states of each part
   * @param roundMs the longest round that something goes by itself, in ms; 0 where nothing does
   * @param from the first moment at which somebody comes or goes
   * @param until the last
   * @param without what it knows nothing of
   */
  record ProvedReply(
      int widths,
      List<String> states,
      long roundMs,
      @Nullable Instant from,
      @Nullable Instant until,
      List<WithoutReply> without) {}

  /**
   * What somebody has written of their own, whose effect is not computed.
   *
   * @param node its id
   * @param called what the node is called
   * @param label of the setting
   */
  record WithoutReply(String node, String called, String setting, String label) {}

  /** The whole sweep. */
  @GetMapping("/api/pages/{id}/snags")
  Sweep snags(@PathVariable String id, @RequestParam(defaultValue = "") String stress) {
    Findings.Swept swept = findings.swept(pages.head(id), stress);
    List<Snag> met = swept.found().stream().filter(Snag::met).toList();
    var left = new LinkedHashMap<String, String>();
    met.forEach(
        each -> Leaves.reason(swept.document(), each).ifPresent(why -> left.put(each.key(), why)));
    Proved proved = Proved.of(swept.document());
    return new Sweep(
        met.stream().map(Sheets::finding).toList(),
        left,
        Snags.swept(swept.document()).map(node -> node.id()).toList(),
        new ProvedReply(
            proved.widths(),
            proved.states().stream().map(PickKind::word).toList(),
            proved.roundMs(),
            proved.from().orElse(null),
            proved.until().orElse(null),
            proved.without().stream()
                .map(each ->
                    new WithoutReply(
                        each.node().id(),
                        Fields.called(each.node()),
                        each.setting().id(),
                        each.setting().label()))
                .toList()));
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
    Findings.Swept swept = findings.swept(head, stress);
    return swept
        .named(snag)
        .map(each ->
            WayOut.of(swept.document(), each, swept.found(), media.sizes(head.siteId()), 0).stream()
                // What is there under stress alone cannot be changed.
                .filter(way -> way.fix().possible(swept.own()))
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

  /** What a page can be put to. */
  record StressReply(String id, String label) {}

  @GetMapping("/api/stresses")
  List<StressReply> stresses() {
    return Arrays.stream(Stress.values())
        .map(each -> new StressReply(each.word(), each.label()))
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
    Findings.Swept swept = findings.swept(pages.head(id), "");
    Snag left = swept.named(snag).orElseThrow(() -> new Gone("finding", snag));
    return EditJson.write(List.of(Leaves.leave(swept.document(), swept.found(), left, because)));
  }
}
