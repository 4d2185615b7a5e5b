package giostra.server.page;

import giostra.core.format.DocumentJson;
import giostra.core.format.EditJson;
import giostra.core.page.Conversion;
import giostra.core.page.Document;
import giostra.core.page.Edits;
import giostra.core.page.NodeType;
import giostra.core.page.PageSettings;
import giostra.server.host.StagePort;
import giostra.server.release.ReleaseService;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

@RestController
class PageController {
  private final PageService pages;
  private final Stage stage;
  private final StagePort port;
  private final ReleaseService releases;
  private final Findings findings;

  PageController(
      PageService pages, Stage stage, StagePort port, ReleaseService releases, Findings findings) {
    this.pages = pages;
    this.stage = stage;
    this.port = port;
    this.releases = releases;
    this.findings = findings;
  }

  @GetMapping("/api/shelf")
  Bodies.ShelfReply shelf() {
    return new Bodies.ShelfReply(
        port.stage(),
        pages.sites().stream()
            .map(site ->
                new Bodies.ShelfSite(
                    site.id(),
                    site.name(),
                    pages.pages(site.id()).stream().map(this::onShelf).toList()))
            .toList());
  }

  private Bodies.ShelfPage onShelf(PageService.Head head) {
    Document document = head.document();
    int snags = findings.of(head).size();
    ReleaseService.Line live = releases.live(head.id()).orElse(null);
    return new Bodies.ShelfPage(
        head.id(),
        document.page().values().get(PageSettings.TITLE),
        head.slug(),
        head.revision(),
        document.pieces().size(),
        snags,
        live == null ? null : live.number(),
        live != null && live.revision() < head.revision());
  }

  @GetMapping("/api/catalogue")
  Bodies.CatalogueReply catalogue() {
    return Catalogue.reply(port.stage());
  }

  @PostMapping("/api/sites")
  @ResponseStatus(HttpStatus.CREATED)
  Bodies.ShelfSite addSite(@RequestBody Bodies.NewSite body) {
    var site = pages.addSite(body.name());
    return new Bodies.ShelfSite(site.id(), site.name(), List.of());
  }

  @PostMapping("/api/sites/{siteId}/pages")
  @ResponseStatus(HttpStatus.CREATED)
  Bodies.PageReply addPage(@PathVariable String siteId, @RequestBody Bodies.NewPage body) {
    String title = body.title();
    return reply(pages.addPage(siteId, title == null ? "" : title, body.document()));
  }

  @GetMapping("/api/pages/{id}")
  Bodies.PageReply page(@PathVariable String id) {
    return reply(pages.head(id));
  }

  @GetMapping("/api/pages/{id}/document")
  @ApiResponse(
      responseCode = "200",
      content = @Content(schema = @Schema(implementation = Bodies.DocumentBody.class)))
  JsonNode document(@PathVariable String id) {
    return DocumentJson.write(pages.head(id).document());
  }

  @PostMapping("/api/pages/{id}/edits")
  Bodies.ChangeReply edit(@PathVariable String id, @RequestBody Bodies.EditsRequest body) {
    return reply(pages.edit(id, body.revision(), body.edits()));
  }

  @PostMapping("/api/pages/{id}/undo")
  Bodies.ChangeReply undo(@PathVariable String id) {
    return reply(pages.undo(id));
  }

  @PostMapping("/api/pages/{id}/redo")
  Bodies.ChangeReply redo(@PathVariable String id) {
    return reply(pages.redo(id));
  }

  @GetMapping("/api/pages/{id}/revisions")
  List<RevisionRows.Line> history(@PathVariable String id) {
    return pages.history(id);
  }

  @PostMapping("/api/pages/{id}/restore")
  Bodies.ChangeReply restore(@PathVariable String id, @RequestBody Bodies.RestoreRequest body) {
    return reply(pages.restore(id, body.revision()));
  }

  /** The values that would go with a band. */
  @GetMapping("/api/pages/{id}/bands/{band}/values")
  List<String> goingWith(@PathVariable String id, @PathVariable String band) {
    Document document = pages.head(id).document();
    document.bands().band(band);
    return Edits.goingWith(document, band);
  }

  /** What it takes to make a piece one of another kind, and what then does not fit. */
  @GetMapping("/api/pages/{id}/conversion")
  Bodies.ConversionReply conversion(
      @PathVariable String id, @RequestParam String piece, @RequestParam String to) {
    Document document = pages.head(id).document();
    Conversion found = Conversion.of(document, document.piece(piece), NodeType.named(to));
    return new Bodies.ConversionReply(EditJson.write(found.edits()), found.unfit());
  }

  private Bodies.ChangeReply reply(PageService.Change change) {
    PageService.Head after = change.after();
    return new Bodies.ChangeReply(
        reply(after), stage.between(after.siteId(), change.before(), after.document()));
  }

  private static Bodies.PageReply reply(PageService.Head head) {
    return new Bodies.PageReply(
        head.id(),
        head.siteId(),
        head.slug(),
        head.revision(),
        head.canUndo(),
        head.canRedo(),
        DocumentJson.write(head.document()));
  }
}
