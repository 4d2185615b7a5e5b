package giostra.server.release;

import giostra.core.cost.Alternative;
import giostra.core.cost.Cost;
import giostra.core.format.EditJson;
import giostra.core.layout.PictureSizes;
import giostra.core.page.ConditionSettings;
import giostra.core.page.Document;
import giostra.core.snag.Severity;
import giostra.core.snag.Since;
import giostra.core.snag.Snag;
import giostra.core.snag.Snags;
import giostra.server.media.MediaService;
import giostra.server.page.Bodies;
import giostra.server.page.Findings;
import giostra.server.page.PageService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** What a page costs with a piece as it is, and in other ways: height, bytes, what is found. */
@RestController
class CostController {
  /** Of what another way brings, so much is said. */
  private static final int MOST_SAID = 8;

  private final PageService pages;
  private final MediaService media;
  private final Findings findings;
  private final Weighing weighing;
  private final Clock clock;

  CostController(
      PageService pages, MediaService media, Findings findings, Weighing weighing, Clock clock) {
    this.clock = clock;
    this.pages = pages;
    this.media = media;
    this.findings = findings;
    this.weighing = weighing;
  }

  /**
   * A way in which a piece could show what is in it.
   *
   * @param id empty for the way in which it stands
   * @param edits what makes it of the page
   * @param unfit what it does not show, in words
   */
  record AlternativeReply(
      String id,
      String label,
      @Schema(implementation = Bodies.EditBody[].class) JsonNode edits,
      List<String> unfit) {}

  /** The ways of a piece, first the one in which it stands. */
  @GetMapping("/api/pages/{id}/alternatives")
  List<AlternativeReply> alternatives(@PathVariable String id, @RequestParam String piece) {
    PageService.Head head = pages.head(id);
    Document shown = pages.shown(head);
    return Alternative.of(shown, shown.piece(piece)).stream()
        // What is followed from elsewhere cannot be changed here.
        .filter(each -> each.possible(head.document()))
        .map(each ->
            new AlternativeReply(
                each.id(), each.label(), EditJson.write(each.edits()), each.unfit()))
        .toList();
  }

  /**
   * What a page costs in one way.
   *
   * @param bands from the narrowest on
   * @param markup bytes on the way, as all of these
   * @param mends how much that is found on the page as it is would be gone
   * @param brings what would be found that is not found now; a part of it where it is much
   * @param more how much more that would be
   */
  record CostReply(
      String way,
      String label,
      List<BandCostReply> bands,
      long markup,
      long styles,
      long scripts,
      long fonts,
      int breaks,
      int hurts,
      int hints,
      int mends,
      List<String> brings,
      int more) {}

  /**
   * In one band.
   *
   * @param width of the viewport that it is told for, px
   * @param piece height of the piece, px
   * @param page height of the page, px
   * @param pictures bytes of those that somebody fetches who sees all of it, on screens of 1, 2 and
   *     3 device px for a px
   * @param all bytes of all that they fetch, on the same screens
   */
  record BandCostReply(
      String band,
      String name,
      int width,
      double piece,
      double page,
      List<Long> pictures,
      List<Long> all) {}

  /**
   * The page with a piece in one of its ways.
   *
   * @param on the moment at which somebody looks, ms since 1970; now without
   */
  @GetMapping("/api/pages/{id}/costs")
  CostReply costs(
      @PathVariable String id,
      @RequestParam String piece,
      @RequestParam(defaultValue = Alternative.AS_IT_IS) String way,
      @RequestParam(required = false) @Nullable Long on) {
    Instant moment = on == null ? clock.instant() : Instant.ofEpochMilli(on);
    PageService.Head head = pages.head(id);
    Document shown = pages.shown(head);
    Alternative alternative = Alternative.named(shown, shown.piece(piece), way);
    Document then = alternative.on(shown);
    PictureSizes pictures = media.sizes(head.siteId());
    List<Snag> before = findings.of(head);
    Since found =
        Since.of(before, alternative.edits().isEmpty() ? before : Snags.of(then, pictures, 0));
    Weighing.Weight weight = weighing.of(head.siteId(), then, moment);
    Document there = ConditionSettings.on(then, moment);
    var bands = new ArrayList<BandCostReply>();
    for (int at = 0; at < weight.bands().size(); at++) {
      Cost cost = Cost.of(there, piece, then.bands().all().get(at), pictures);
      bands.add(
          new BandCostReply(
              cost.band().id(),
              cost.band().name(),
              cost.width(),
              cost.piece(),
              cost.page(),
              weight.bands().get(at).bytes(),
              weight.all(weight.bands().get(at))));
    }
    return new CostReply(
        alternative.id(),
        alternative.label(),
        bands,
        weight.markup(),
        weight.styles(),
        weight.scripts(),
        weight.fonts(),
        found.count(Severity.BREAKS),
        found.count(Severity.HURTS),
        found.count(Severity.HINT),
        found.gone().size(),
        found.come().stream().limit(MOST_SAID).map(Snag::message).toList(),
        Math.max(0, found.come().size() - MOST_SAID));
  }
}
