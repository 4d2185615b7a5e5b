package giostra.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import giostra.core.format.DocumentJson;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import giostra.server.testing.Postgres;
import giostra.server.testing.Process;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A site taken to another installation through the shelf: there it is what it was. */
@ExtendWith({Giostra.class, Chromium.class})
class ArchiveJourney {
  private static final String DEMO = "/api/sites/velluta/archive.zip";

  private static Map<String, String> hashes(Api api, String site) {
    var all = new TreeMap<String, String>();
    for (JsonNode each : api.get("/api/sites/" + site + "/media").json()) {
      all.put(each.path("id").asString(), each.path("hash").asString());
    }
    return all;
  }

  private static Map<String, String> live(Api api, String page) {
    var all = new TreeMap<String, String>();
    JsonNode release = api.get("/api/pages/" + page + "/releases").json().get(0);
    String address = release.path("address").asString();
    for (JsonNode file : release.path("files")) {
      String path = file.path("path").asString();
      byte[] bytes = api.get(address + path).bytes();
      all.put(path, giostra.core.output.Hash.full(bytes));
    }
    return all;
  }

  @Test
  void onAnotherInstallationASiteIsWhatItWas(Api api, Page shelf) {
    byte[] archive = api.get(DEMO).bytes();
    assertThat(api.get(DEMO).bytes()).as("written twice").isEqualTo(archive);
    api.publish(Api.DEMO);
    try (Postgres database = Postgres.start();
        Process other =
            Process.start(
                database,
                "--giostra.hosts[0].name=Falena",
                "--giostra.hosts[0].forms[0]=" + api.falena() + "/watch/{id}",
                "--giostra.hosts[0].embed=" + api.falena() + "/embed/{id}?autoplay=1",
                "--giostra.hosts[0].start-parameter=start",
                "--giostra.hosts[0].oembed=" + api.falena() + "/oembed")) {
      Api there = other.api();
      shelf.navigate(there.at("/"));
      shelf
          .locator("input[type=file]")
          .setInputFiles(new FilePayload("velluta.zip", "application/zip", archive));
      assertThat(shelf.locator("h2")).hasText(new String[] {"Velluta"});
      assertThat(hashes(there, "velluta")).isEqualTo(hashes(api, "velluta"));
      for (String slug : pages(api)) {
        String page = "velluta-" + slug;
        assertThat(DocumentJson.text(there.document(page)))
            .as(page)
            .isEqualTo(DocumentJson.text(api.document(page)));
      }
      assertThat(there.get(DEMO).bytes()).as("the archive of the archive").isEqualTo(archive);
      there.publish(Api.DEMO);
      assertThat(live(there, Api.DEMO)).as("live files").isEqualTo(live(api, Api.DEMO));
    }
  }

  private static List<String> pages(Api api) {
    for (JsonNode site : api.get("/api/shelf").json().path("sites")) {
      if (site.path("id").asString().equals("velluta")) {
        return site.path("pages").valueStream().map(p -> p.path("slug").asString()).toList();
      }
    }
    return List.of();
  }
}
