package giostra.server.library;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
class LibraryController {
  private final LibraryService library;

  LibraryController(LibraryService library) {
    this.library = library;
  }

  /** The media of a site with the places that use them, newest first. */
  @GetMapping("/api/sites/{siteId}/library")
  List<LibraryService.LibraryItem> list(@PathVariable String siteId) {
    return library.of(siteId);
  }

  @DeleteMapping("/api/sites/{siteId}/media/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void delete(@PathVariable String siteId, @PathVariable String id) {
    library.delete(siteId, id);
  }
}
