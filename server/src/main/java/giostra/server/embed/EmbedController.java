package giostra.server.embed;

import giostra.server.media.MediaService;
import giostra.server.people.Needs;
import giostra.server.people.Role;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Clips of hosts. */
@RestController
class EmbedController {
  private final EmbedService embeds;

  EmbedController(EmbedService embeds) {
    this.embeds = embeds;
  }

  /** A share address, or the markup that a host gives for embedding. */
  record ShareAddress(String address) {}

  /** What is known of a share address. */
  @Needs(Role.WRITER)
  @PostMapping("/api/embeds")
  EmbedService.EmbedReply look(@RequestBody ShareAddress share) {
    return embeds.look(share.address());
  }

  /** Takes the picture that its host has of it into the library. */
  @Needs(Role.WRITER)
  @PostMapping("/api/sites/{siteId}/embeds/poster")
  MediaService.Media poster(@PathVariable String siteId, @RequestBody ShareAddress share) {
    return embeds.poster(siteId, share.address());
  }
}
