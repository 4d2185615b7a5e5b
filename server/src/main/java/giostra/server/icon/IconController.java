package giostra.server.icon;

import giostra.core.media.IconSprite;
import giostra.core.output.Compiler;
import java.util.LinkedHashMap;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The icons to choose among, a page at a time. */
@RestController
class IconController {
  private final IconSet icons;

  IconController(IconSet icons) {
    this.icons = icons;
  }

  /** A sprite to begin one's own with: the icons that pieces show of themselves. */
  @GetMapping(path = "/api/icons/starter.svg", produces = "image/svg+xml")
  ResponseEntity<String> starter() {
    var drawings = new LinkedHashMap<String, String>();
    Compiler.ownIcons().forEach(name -> icons.find(name).ifPresent(d -> drawings.put(name, d)));
    return ResponseEntity.ok()
        .header("Content-Disposition", "attachment; filename=\"icons.svg\"")
        .body(IconSprite.starter(drawings));
  }

  @GetMapping("/api/icons")
  IconSet.Found icons(
      @RequestParam(defaultValue = "") String words, @RequestParam(defaultValue = "1") int page) {
    return icons.page(words, page);
  }
}
