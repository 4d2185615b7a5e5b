package giostra.server.page;

import giostra.core.format.DocumentJson;
import giostra.core.page.MediaUse;
import giostra.core.page.Node;
import giostra.core.page.Renamed;
import giostra.core.page.Section;
import giostra.core.page.Starters;
import giostra.server.media.MediaService;
import giostra.server.web.Gone;
import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** What pieces start with, with its pictures. */
@RestController
class StarterController {
  private static final String PICTURES = "/giostra/starters/";

  private final PageService pages;
  private final MediaService media;

  StarterController(PageService pages, MediaService media) {
    this.pages = pages;
    this.media = media;
  }

  /**
   * A piece to put on a page.
   *
   * @param node with ids to be replaced; its pictures are those of the site
   * @param section values of a section that is made for it
   */
  record ReadyReply(
      @Schema(implementation = Bodies.NodeBody.class) JsonNode node,
      @Schema(implementation = Object.class) JsonNode section) {}

  /**
   * A piece as one starts with it. Its pictures are taken into the site's library, those that are
   * there already but once.
   */
  @PostMapping("/api/sites/{siteId}/starters/{id}")
  ReadyReply take(@PathVariable String siteId, @PathVariable String id) {
    Starters.Starter starter =
        Starters.ALL.stream()
            .filter(each -> each.id().equals(id))
            .findFirst()
            .orElseThrow(() -> new Gone("starter", id));
    List<String> shown = MediaUse.idsIn(starter.node());
    Map<String, String> ids = new HashMap<>();
    for (Starters.Shown picture : Starters.PICTURES) {
      if (shown.contains(picture.id())) {
        String file = picture.id() + ".jpg";
        ids.put(
            picture.id(), media.add(siteId, picture.id(), file, picture.alt(), bytes(file)).id());
      }
    }
    Node node = Renamed.of(starter.node(), ids);
    Section around =
        new Section("section", starter.around(pages.shared(siteId).bands()), List.of());
    return new ReadyReply(DocumentJson.write(node), DocumentJson.write(around).path("values"));
  }

  private static byte[] bytes(String file) {
    try (InputStream in = StarterController.class.getResourceAsStream(PICTURES + file)) {
      if (in == null) {
        throw new IllegalStateException(PICTURES + file + " is missing");
      }
      return in.readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
