package giostra.server.icon;

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

  @GetMapping("/api/icons")
  IconSet.Found icons(
      @RequestParam(defaultValue = "") String words, @RequestParam(defaultValue = "1") int page) {
    return icons.page(words, page);
  }
}
