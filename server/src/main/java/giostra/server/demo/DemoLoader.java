package giostra.server.demo;

import giostra.core.format.DocumentJson;
import giostra.server.Settings;
import giostra.server.content.IntakeService;
import giostra.server.media.MediaService;
import giostra.server.page.PageService;
import giostra.server.release.ReleaseService;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/** Puts the demo site Velluta, all of it invented, into an empty database. */
@Component
class DemoLoader {
  private static final Logger LOG = LoggerFactory.getLogger(DemoLoader.class);
  private static final String ROOT = "/giostra/demo/";

  private final Settings settings;
  private final PageService pages;
  private final MediaService media;
  private final ReleaseService releases;
  private final IntakeService intakes;

  DemoLoader(
      Settings settings,
      PageService pages,
      MediaService media,
      ReleaseService releases,
      IntakeService intakes) {
    this.intakes = intakes;
    this.settings = settings;
    this.pages = pages;
    this.media = media;
    this.releases = releases;
  }

  @EventListener(ApplicationReadyEvent.class)
  void load() throws IOException {
    if (!settings.demo() || !pages.sites().isEmpty()) {
      return;
    }
    String site = pages.addSite("Velluta").id();
    for (JsonNode picture : DocumentJson.parse(text("media.json"))) {
      String file = picture.path("file").asString();
      String alt = picture.path("alt").asString();
      MediaService.Media added = media.add(site, "", file, alt, bytes("media/" + file));
      if (picture.path("decorative").asBoolean(false)) {
        media.say(
            site, added.id(), new MediaService.Said("", true, added.focus(), List.of("visitors")));
      }
    }
    String falena = "http://127.0.0.1:" + settings.falenaPort();
    String document = text("evenings.json").replace("{falena}", falena);
    PageService.Head page = pages.addPage(site, "", DocumentJson.parse(document));
    intakes.fill(
        page.id(),
        "night-questions",
        "night-questions.csv",
        bytes("night-questions.csv"),
        "Question");
    releases.publish(page.id());
    LOG.info("The demo site Velluta is there, with the page {}.", page.id());
  }

  private static String text(String name) throws IOException {
    return new String(bytes(name), java.nio.charset.StandardCharsets.UTF_8);
  }

  private static byte[] bytes(String name) throws IOException {
    try (InputStream in = DemoLoader.class.getResourceAsStream(ROOT + name)) {
      if (in == null) {
        throw new IllegalStateException(ROOT + name + " is missing");
      }
      return in.readAllBytes();
    }
  }
}
