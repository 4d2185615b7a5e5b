package giostra.server.page;

import giostra.core.dress.Wardrobe;
import giostra.core.format.DocumentJson;
import giostra.core.format.EditJson;
import giostra.core.look.Values;
import giostra.core.page.Look;
import giostra.core.page.LookSettings;
import giostra.core.page.MediaUse;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.page.Renamed;
import giostra.core.page.Section;
import giostra.core.page.Site;
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
import java.util.Optional;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** What pieces start with, with its pictures. */
@RestController
class StarterController {
  private static final String FILES = "/giostra/starters/";

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
   * @param before edits that come before it: the look that it starts in, where the site has it not
   */
  record ReadyReply(
      @Schema(implementation = Bodies.NodeBody.class) JsonNode node,
      @Schema(implementation = Object.class) JsonNode section,
      @Schema(implementation = Bodies.EditBody[].class) JsonNode before) {}

  /**
   * A piece as one starts with it. Its files are taken into the site's library, those that are
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
    for (Starters.Shown each : Starters.FILES) {
      if (shown.contains(each.id())) {
        byte[] bytes = bytes(each.file());
        ids.put(each.id(), media.add(siteId, each.id(), each.file(), each.alt(), bytes).id());
      }
    }
    Site site = pages.shared(siteId);
    Node node = Renamed.of(starter.node(), ids);
    Optional<Look> look =
        node instanceof Piece ? Wardrobe.starting(site, node.type()) : Optional.empty();
    Node dressed =
        look.map(each -> node.with(node.values().with(LookSettings.WORN, Values.ALL, each.id())))
            .orElse(node);
    Section around = new Section("section", starter.around(site.bands()), List.of());
    return new ReadyReply(
        DocumentJson.write(dressed),
        DocumentJson.write(around).path("values"),
        EditJson.write(look.map(each -> Wardrobe.bringing(site, each)).orElse(List.of())));
  }

  private static byte[] bytes(String file) {
    try (InputStream in = StarterController.class.getResourceAsStream(FILES + file)) {
      if (in == null) {
        throw new IllegalStateException(FILES + file + " is missing");
      }
      return in.readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
