package giostra.server.page;

import giostra.core.format.EditJson;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.piece.accordion.Accordion;
import giostra.core.piece.accordion.Categories;
import giostra.core.value.Refused;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** The categories of an accordion's questions. */
@RestController
class CategoryController {
  private final PageService pages;

  CategoryController(PageService pages) {
    this.pages = pages;
  }

  /**
   * A category.
   *
   * @param questions how many are in it
   */
  record CategoryReply(String name, int questions) {}

  /** What there is to do with a category. */
  enum CategoryChange {
    ADD,
    RENAME,
    MOVE,
    DELETE
  }

  /** All categories of an accordion, in their order. */
  @GetMapping("/api/pages/{id}/categories")
  List<CategoryReply> list(@PathVariable String id, @RequestParam String piece) {
    return Categories.all(accordion(id, piece)).stream()
        .map(each -> new CategoryReply(each.name(), each.questions().size()))
        .toList();
  }

  /**
   * The edits that change a category, as one step.
   *
   * @param to the new name; the place, from 0; or where the questions go, empty for no category
   */
  @GetMapping("/api/pages/{id}/categories/edits")
  @ApiResponse(
      responseCode = "200",
      content = @Content(schema = @Schema(implementation = Bodies.EditBody[].class)))
  JsonNode edits(
      @PathVariable String id,
      @RequestParam String piece,
      @RequestParam CategoryChange change,
      @RequestParam String name,
      @RequestParam(defaultValue = "") String to) {
    Accordion accordion = accordion(id, piece);
    List<Edit> edits =
        switch (change) {
          case ADD -> Categories.added(accordion, name);
          case RENAME -> Categories.renamed(accordion, name, to);
          case MOVE -> Categories.moved(accordion, name, place(to));
          case DELETE -> Categories.deleted(accordion, name, to);
        };
    return EditJson.write(edits);
  }

  private static int place(String to) {
    try {
      return Integer.parseInt(to);
    } catch (NumberFormatException notOne) {
      throw new Refused("Place of a category", to, "a whole number from 0");
    }
  }

  private Accordion accordion(String id, String piece) {
    Document document = pages.head(id).document();
    if (document.piece(piece) instanceof Accordion accordion) {
      return accordion;
    }
    throw new Refused("Piece", piece, "an accordion");
  }
}
