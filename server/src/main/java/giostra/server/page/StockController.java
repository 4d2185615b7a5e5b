package giostra.server.page;

import giostra.core.format.EditJson;
import giostra.core.page.Linking;
import giostra.core.page.PageSettings;
import giostra.core.value.Refused;
import giostra.server.stock.StockService;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** What is kept on a site, and where it is used. */
@RestController
class StockController {
  private final PageService pages;
  private final StockService stock;

  StockController(PageService pages, StockService stock) {
    this.pages = pages;
    this.stock = stock;
  }

  /** A page that links to something, by its title. */
  record Use(String page, String title) {}

  /**
   * Something that is kept.
   *
   * @param homePage the page where it is edited; none when it was deleted there
   * @param node as it is now
   */
  record KeptReply(
      String id,
      String name,
      @Nullable String homePage,
      String homeNode,
      @Schema(implementation = Bodies.NodeBody.class) JsonNode node,
      List<Use> uses) {}

  record KeepRequest(String node, String name) {}

  @GetMapping("/api/sites/{siteId}/stock")
  List<KeptReply> list(@PathVariable String siteId) {
    List<PageService.Head> all = pages.pages(siteId);
    return stock.of(siteId).stream().map(kept -> reply(kept, all)).toList();
  }

  private static KeptReply reply(StockService.Kept kept, List<PageService.Head> all) {
    boolean home =
        all.stream()
            .anyMatch(head ->
                head.id().equals(kept.homePage())
                    && head.document().find(kept.homeNode()).isPresent());
    return new KeptReply(
        kept.id(),
        kept.name(),
        home ? kept.homePage() : null,
        kept.homeNode(),
        kept.node(),
        all.stream()
            .filter(head -> Linking.used(head.document()).contains(kept.id()))
            .map(
                head -> new Use(head.id(), head.document().page().values().get(PageSettings.TITLE)))
            .toList());
  }

  /** Keeps a piece or section of a page. */
  @PostMapping("/api/pages/{id}/stock")
  @ResponseStatus(HttpStatus.CREATED)
  KeptReply keep(@PathVariable String id, @RequestBody KeepRequest body) {
    StockService.Kept kept = pages.keep(id, body.node(), body.name());
    return reply(kept, pages.pages(pages.place(id).siteId()));
  }

  /** The edits that make of a linked node one that has its own content. */
  @GetMapping("/api/pages/{id}/stock/copy")
  @ApiResponse(
      responseCode = "200",
      content = @Content(schema = @Schema(implementation = Bodies.EditBody[].class)))
  JsonNode copy(@PathVariable String id, @RequestParam String node) {
    PageService.Head head = pages.head(id);
    return EditJson.write(stock.separated(head.siteId(), head.document(), node));
  }

  /**
   * Keeps it no longer.
   *
   * @throws Refused naming the pages that link to it
   */
  @DeleteMapping("/api/sites/{siteId}/stock/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void drop(@PathVariable String siteId, @PathVariable String id) {
    pages.dropKept(siteId, id);
  }
}
