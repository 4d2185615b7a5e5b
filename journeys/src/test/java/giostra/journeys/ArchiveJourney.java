package giostra.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.FilePayload;
import giostra.core.format.DocumentJson;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.PageSettings;
import giostra.core.page.Section;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import giostra.server.testing.Postgres;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A site taken to another installation through the shelf: there it is what it was. */
@ExtendWith({Giostra.class, Chromium.class})
class ArchiveJourney {
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

  /** A site with one of everything; a deep run takes all of Velluta. */
  private static String site(Api api) {
    if (Runs.deep()) {
      return api.copyOfDemo();
    }
    String site = api.newSite("Archived");
    Document demo = api.document(Api.DEMO);
    for (String kept : List.of("moonflower", "bloom", "bloom-webm", "bloom-en", "bloom-open")) {
      var file = api.get("/api/sites/velluta/media/" + kept + "/file");
      String ending = file.header("content-type").replaceAll(".*/|;.*", "").replace("jpeg", "jpg");
      api.upload(site, kept + "." + ending, file.bytes());
    }
    api.newPage(site, small(demo, "A page with pictures", "plants", "film-bloom"));
    api.newPage(site, small(demo, "A page that links", "words"));
    return site;
  }

  /** The demo with some of its pieces only. */
  private static Document small(Document demo, String title, String... pieces) {
    var page = demo.page();
    List<Section> sections =
        page.sections().stream()
            .filter(section ->
                Document.walk(section).anyMatch(node -> List.of(pieces).contains(node.id())))
            .toList();
    return new Document(
        demo.site(),
        page.holding(sections).with(Values.NONE.with(PageSettings.TITLE, Values.ALL, title)));
  }

  @InTurn(19)
  @Test
  void onAnotherInstallationASiteIsWhatItWas(Api api, Page shelf) {
    String site = site(api);
    String way = "/api/sites/" + site + "/archive.zip";
    List<String> slugs = pages(api, site);
    assertThat(slugs).isNotEmpty();
    byte[] archive = api.get(way).bytes();
    assertThat(api.get(way).bytes()).as("written twice").isEqualTo(archive);
    try (Postgres database = Postgres.start();
        Giostra.Running other =
            Giostra.start(
                database,
                "--giostra.demo=false",
                "--giostra.hosts[0].name=Falena",
                "--giostra.hosts[0].forms[0]=" + api.falena() + "/watch/{id}",
                "--giostra.hosts[0].embed=" + api.falena() + "/embed/{id}?autoplay=1",
                "--giostra.hosts[0].start-parameter=start",
                "--giostra.hosts[0].oembed=" + api.falena() + "/oembed")) {
      Api there = other.api();
      Chromium.letIn(shelf, there);
      shelf.navigate(there.at("/"));
      shelf
          .locator("input[type=file]")
          .setInputFiles(new FilePayload("site.zip", "application/zip", archive));
      // Every picture is decoded on the way in: in a deep run all that Velluta has.
      assertThat(shelf.locator("h2"))
          .hasCount(1, new LocatorAssertions.HasCountOptions().setTimeout(Runs.of(15_000, 90_000)));
      assertThat(hashes(there, site)).isEqualTo(hashes(api, site));
      assertThat(pages(there, site)).isEqualTo(slugs);
      for (String slug : slugs) {
        String page = site + "-" + slug;
        assertThat(DocumentJson.text(there.document(page)))
            .as(page)
            .isEqualTo(DocumentJson.text(api.document(page)));
      }
      assertThat(there.get(way).bytes()).as("the archive of the archive").isEqualTo(archive);
      String first = site + "-" + slugs.getFirst();
      api.publish(first);
      there.publish(first);
      assertThat(live(there, first)).as("live files").isEqualTo(live(api, first));
    }
  }

  private static List<String> pages(Api api, String id) {
    String name =
        api.get("/api/sites")
            .json()
            .valueStream()
            .filter(site -> site.path("id").asString().equals(id))
            .map(site -> site.path("name").asString())
            .findFirst()
            .orElseThrow();
    return api.onShelf(URLEncoder.encode(name, StandardCharsets.UTF_8)).stream()
        .filter(site -> site.path("id").asString().equals(id))
        .flatMap(site -> site.path("pages").valueStream())
        .map(page -> page.path("slug").asString())
        .sorted()
        .toList();
  }
}
