package giostra.server.content;

import giostra.core.format.EditJson;
import giostra.core.format.content.Csv;
import giostra.core.format.content.Filled;
import giostra.core.format.content.JsonRows;
import giostra.core.format.content.Pasted;
import giostra.core.format.content.Table;
import giostra.core.value.Refused;
import giostra.server.page.Bodies;
import giostra.server.page.PageService;
import giostra.server.page.Previews;
import giostra.server.people.Needs;
import giostra.server.people.Role;
import giostra.server.web.Gone;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import tools.jackson.databind.JsonNode;

/** Items of pieces in files, out and in. */
@RestController
class ContentController {
  private final IntakeService intakes;
  private final RefillService refills;
  private final Sources sources;
  private final PageService pages;
  private final Previews previews;

  ContentController(
      IntakeService intakes,
      RefillService refills,
      Sources sources,
      PageService pages,
      Previews previews) {
    this.intakes = intakes;
    this.refills = refills;
    this.sources = sources;
    this.pages = pages;
    this.previews = previews;
  }

  /** Text that was pasted: markup with questions, JSON, or rows of a spreadsheet. */
  record PastedText(String piece, String text) {}

  /**
   * Cells that were copied from a spreadsheet.
   *
   * @param columns ids of the fields that the table shows, in its order
   * @param row place of the first item that is filled, from 0
   * @param column place of the first column that is filled, from 0
   */
  record CellsRequest(String piece, String text, List<String> columns, int row, int column) {}

  /**
   * Edits that put cells where they belong.
   *
   * @param rows how many items are filled
   * @param added how many are added
   * @param left cells that have no place, each with the reason
   */
  record CellsReply(
      @Schema(implementation = Bodies.EditBody[].class) JsonNode edits,
      int rows,
      int added,
      List<String> left) {}

  /**
   * How rows are taken.
   *
   * @param replace whether they stand for the items that the piece has
   * @param key column by which the piece follows the file; null for not at all
   */
  record RunRequest(boolean replace, @Nullable String key) {}

  /** Which newer file fills a piece, and ids of items that stay although their rows are gone. */
  record RefillRequest(String piece, String source, Set<String> keep) {}

  /** The items of a piece as a file. */
  @GetMapping("/api/pages/{id}/content.{form}")
  ResponseEntity<byte[]> file(
      @PathVariable String id, @PathVariable String form, @RequestParam String piece) {
    Filled.Written items = Filled.written(pages.head(id).document().piece(piece));
    String text =
        switch (form) {
          case "csv" -> Csv.write(items.head(), items.rows());
          case "json" -> JsonRows.write(items.head(), items.rows());
          default -> throw new Refused("Form of the file", form, "csv or json");
        };
    return download(piece + "." + form, form.equals("csv") ? "text/csv" : "application/json", text);
  }

  @Needs(Role.WRITER)
  @PostMapping(path = "/api/pages/{id}/intakes", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  IntakeReply upload(
      @PathVariable String id, @RequestParam String piece, @RequestPart("file") MultipartFile file)
      throws IOException {
    return intakes.add(id, piece, name(file), file.getBytes());
  }

  @Needs(Role.WRITER)
  @PostMapping("/api/pages/{id}/intakes/pasted")
  @ResponseStatus(HttpStatus.CREATED)
  IntakeReply paste(@PathVariable String id, @RequestBody PastedText pasted) {
    byte[] bytes = pasted.text().getBytes(StandardCharsets.UTF_8);
    return intakes.add(id, pasted.piece(), "what was pasted", bytes);
  }

  /** Where pasted cells go; nothing is changed. */
  @Needs(Role.WRITER)
  @PostMapping("/api/pages/{id}/cells")
  CellsReply cells(@PathVariable String id, @RequestBody CellsRequest request) {
    PageService.Head head = pages.head(id);
    Pasted found =
        Pasted.of(
            request.text(),
            head.document().piece(request.piece()),
            request.columns(),
            request.row(),
            request.column(),
            sources.media(head.siteId()),
            () -> Sources.id("item"));
    return new CellsReply(EditJson.write(found.edits()), found.rows(), found.added(), found.left());
  }

  /** What a piece waits for: one file, or none. */
  @GetMapping("/api/pages/{id}/intakes")
  List<IntakeReply> open(@PathVariable String id, @RequestParam String piece) {
    return intakes.open(id, piece);
  }

  @GetMapping("/api/intakes/{intake}")
  IntakeReply get(@PathVariable String intake) {
    return intakes.get(intake);
  }

  @Needs(Role.WRITER)
  @PutMapping("/api/intakes/{intake}/mapping")
  IntakeReply map(@PathVariable String intake, @RequestBody List<String> fields) {
    return intakes.map(intake, fields);
  }

  @Needs(Role.WRITER)
  @PostMapping("/api/intakes/{intake}/mends")
  IntakeReply mend(@PathVariable String intake, @RequestBody List<Table.Mend> mends) {
    return intakes.mend(intake, mends);
  }

  @Needs(Role.WRITER)
  @PostMapping("/api/intakes/{intake}/run")
  IntakeReply run(@PathVariable String intake, @RequestBody RunRequest how) {
    return intakes.run(intake, how.replace(), how.key());
  }

  @Needs(Role.WRITER)
  @DeleteMapping("/api/intakes/{intake}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void drop(@PathVariable String intake) {
    intakes.drop(intake);
  }

  /** The rows that could not be read, as a file. */
  @GetMapping("/api/intakes/{intake}/rest.csv")
  ResponseEntity<byte[]> rest(@PathVariable String intake) {
    return download("rows-to-mend.csv", "text/csv", intakes.rest(intake));
  }

  /** The page with the first rows of a file in it. */
  @GetMapping(path = "/api/pages/{id}/preview/", params = "intake")
  ResponseEntity<byte[]> preview(@PathVariable String id, @RequestParam String intake) {
    PageService.Head head = pages.head(id);
    return previews.page(
        head.siteId(), intakes.previewed(id, intake, head.document()), Set.of(), null);
  }

  @GetMapping("/api/pages/{id}/feed")
  Sources.FeedReply feed(@PathVariable String id, @RequestParam String piece) {
    Sources.FeedReply feed = sources.feed(id, piece);
    if (feed == null) {
      throw new Gone("file that fills piece", piece);
    }
    return feed;
  }

  @Needs(Role.WRITER)
  @PostMapping(path = "/api/pages/{id}/refills", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
  RefillService.RefillReply refill(
      @PathVariable String id, @RequestParam String piece, @RequestPart("file") MultipartFile file)
      throws IOException {
    return refills.look(id, piece, name(file), file.getBytes());
  }

  @Needs(Role.WRITER)
  @PostMapping("/api/pages/{id}/refills/apply")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void apply(@PathVariable String id, @RequestBody RefillRequest how) {
    refills.apply(id, how.piece(), how.source(), how.keep());
  }

  private static String name(MultipartFile file) {
    String name = file.getOriginalFilename();
    return name == null || name.isBlank() ? "file" : name;
  }

  private static ResponseEntity<byte[]> download(String name, String type, String text) {
    return ResponseEntity.ok()
        .contentType(new MediaType(MediaType.parseMediaType(type), StandardCharsets.UTF_8))
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename(name).build().toString())
        .header("X-Content-Type-Options", "nosniff")
        .body(text.getBytes(StandardCharsets.UTF_8));
  }
}
