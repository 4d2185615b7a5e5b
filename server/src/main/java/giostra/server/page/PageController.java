package giostra.server.page;

import giostra.core.format.DocumentJson;
import giostra.core.format.EditJson;
import giostra.core.format.NodeTexts;
import giostra.core.page.Conversion;
import giostra.core.page.Document;
import giostra.core.page.Node;
import giostra.core.page.NodeType;
import giostra.server.host.Ports;
import giostra.server.people.Needs;
import giostra.server.people.Role;
import giostra.server.web.Packed;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.util.function.SingletonSupplier;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

@RestController
class PageController {
  private final PageService pages;
  private final Revisions revisions;
  private final Stage stage;
  private final Ports port;
  private final Texts texts;
  private final Meters meters;

  /** It is the same until the server starts anew. */
  private final SingletonSupplier<Packed> catalogue;

  PageController(
      PageService pages,
      Revisions revisions,
      Stage stage,
      Ports port,
      Texts texts,
      Meters meters,
      JsonMapper mapper) {
    this.pages = pages;
    this.revisions = revisions;
    this.stage = stage;
    this.port = port;
    this.texts = texts;
    this.meters = meters;
    this.catalogue =
        SingletonSupplier.of(
            () -> new Packed(mapper.writeValueAsBytes(Catalogue.reply(port.stage(), port.live()))));
  }

  @Needs(Role.NONE)
  @GetMapping("/api/catalogue")
  @ApiResponse(
      responseCode = "200",
      content = @Content(schema = @Schema(implementation = Bodies.CatalogueReply.class)))
  ResponseEntity<byte[]> catalogue(
      @Parameter(hidden = true)
          @RequestHeader(name = HttpHeaders.ACCEPT_ENCODING, defaultValue = "")
          String encodings) {
    return catalogue
        .obtain()
        .answer(ResponseEntity.ok().contentType(MediaType.APPLICATION_JSON), encodings);
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
    return texts.json(pages.head(id).document());
  }

  /**
   * @param has the revisions of the page and of its site that the asker has, as "12.3": what has
   *     not changed since is left out of the answer
   */
  @Needs(Role.WRITER)
  @PostMapping("/api/pages/{id}/edits")
  Bodies.ChangeReply edit(
      @PathVariable String id,
      @RequestParam(required = false) @Nullable String has,
      @RequestBody Bodies.EditsRequest body) {
    var base = new PageService.Base(body.revision(), body.siteRevision());
    String key = Bodies.key(body.key());
    return reply(meters.edit.record(() -> pages.edit(id, base, key, body.edits())), has);
  }

  /**
   * What has changed since, whoever did it.
   *
   * @param has the revisions of the page and of its site that the asker has, as "12.3"
   */
  @GetMapping("/api/pages/{id}/changes")
  Bodies.ChangeReply changes(@PathVariable String id, @RequestParam String has) {
    return reply(pages.since(id, Bodies.base(has)), has);
  }

  @Needs(Role.WRITER)
  @PostMapping("/api/pages/{id}/undo")
  Bodies.ChangeReply undo(
      @PathVariable String id,
      @RequestParam(required = false) @Nullable String has,
      @RequestBody(required = false) Bodies.@Nullable KeyedRequest body) {
    return reply(pages.undo(id, key(body)), has);
  }

  @Needs(Role.WRITER)
  @PostMapping("/api/pages/{id}/redo")
  Bodies.ChangeReply redo(
      @PathVariable String id,
      @RequestParam(required = false) @Nullable String has,
      @RequestBody(required = false) Bodies.@Nullable KeyedRequest body) {
    return reply(pages.redo(id, key(body)), has);
  }

  private static @Nullable String key(Bodies.@Nullable KeyedRequest body) {
    return body == null ? null : Bodies.key(body.key());
  }

  @GetMapping("/api/pages/{id}/revisions")
  List<HistoryRows.RevisionLine> history(@PathVariable String id) {
    return revisions.history(id);
  }

  /** A page as it was, and in what its site differed then. */
  @GetMapping("/api/pages/{id}/revisions/{number}")
  Bodies.WasReply was(@PathVariable String id, @PathVariable int number) {
    Revisions.Was was = revisions.was(id, number);
    return new Bodies.WasReply(DocumentJson.write(was.document()), was.site(), was.gone());
  }

  @PostMapping("/api/pages/{id}/restore")
  Bodies.ChangeReply restore(@PathVariable String id, @RequestBody Bodies.RestoreRequest body) {
    boolean site = Boolean.TRUE.equals(body.site());
    return reply(revisions.restore(id, body.revision(), site, Bodies.key(body.key())), null);
  }

  /** The values that would go with a band, on all pages of the site. */
  @GetMapping("/api/pages/{id}/bands/{band}/values")
  List<PageService.Going> goingWith(@PathVariable String id, @PathVariable String band) {
    return pages.goingWith(id, band);
  }

  /** What it takes to make a piece one of another kind, and what then does not fit. */
  @GetMapping("/api/pages/{id}/conversion")
  Bodies.ConversionReply conversion(
      @PathVariable String id, @RequestParam String piece, @RequestParam String to) {
    Document document = pages.head(id).document();
    Conversion found = Conversion.of(document, document.piece(piece), NodeType.named(to));
    return new Bodies.ConversionReply(EditJson.write(found.edits()), found.unfit());
  }

  private Bodies.ChangeReply reply(PageService.Change made, @Nullable String has) {
    PageService.Head after = made.after();
    // Others may have come between: what whoever asks has not seen is told as well.
    PageService.Change change =
        has == null || made.was().written().equals(has)
            ? made
            : pages.since(after.id(), Bodies.base(has));
    Document now = after.document();
    boolean known = change.was().written().equals(has) && change.before().site().equals(now.site());
    List<Node> nodes =
        known ? NodeTexts.changes(change.before().page(), now.page()) : List.of(now.page());
    // A page that differs itself is answered with whole.
    boolean whole = nodes.contains(now.page());
    return new Bodies.ChangeReply(
        new Bodies.ChangedPage(
            after.id(),
            after.siteId(),
            after.slug(),
            after.revision(),
            after.siteRevision(),
            after.canUndo(),
            after.canRedo(),
            whole ? texts.json(now) : null,
            whole ? null : nodes.stream().<JsonNode>map(DocumentJson::write).toList()),
        stage.between(change.before(), after));
  }

  private Bodies.PageReply reply(PageService.Head head) {
    return new Bodies.PageReply(
        head.id(),
        head.siteId(),
        head.slug(),
        head.revision(),
        head.siteRevision(),
        head.canUndo(),
        head.canRedo(),
        texts.json(head.document()));
  }
}
