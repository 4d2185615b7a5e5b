package giostra.server.page;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.format.DocumentJson;
import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.testing.InTurn;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import giostra.server.testing.Postgres;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Set;
import java.util.TreeSet;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/**
 * A database of before sites had versions of their own (schema 8), as it was stored: with pages
 * whose sites had come to differ, and with what could be stored then and not be read back.
 */
class OldDatabaseTest {
  private static final String STORED = "database-8.sql.gz";

  private static void load(Postgres database) throws IOException, SQLException {
    try (InputStream in = new GZIPInputStream(OldDatabaseTest.class.getResourceAsStream(STORED));
        Connection connection = DriverManager.getConnection(database.url(), "giostra", "");
        var statement = connection.createStatement()) {
      statement.execute(new String(in.readAllBytes(), StandardCharsets.UTF_8));
    }
  }

  private static Set<String> pages(Api api) {
    var all = new TreeSet<String>();
    for (JsonNode site : api.onShelf("")) {
      site.path("pages").forEach(page -> all.add(page.path("id").asString()));
    }
    return all;
  }

  @InTurn(11)
  @Test
  void everyRevisionOfItOpensAndGoesOn() throws Exception {
    try (Postgres database = Postgres.start()) {
      load(database);
      try (Giostra.Running running = Giostra.start(database, "--giostra.demo=false")) {
        Api api = running.api();
        assertThat(pages(api))
            .containsExactly(
                "garden-home",
                "garden-visit",
                "poison-deep",
                "poison-fine",
                "poison-" + "t".repeat(40),
                "poison-with-control");
        int opened = 0;
        for (String page : pages(api)) {
          for (JsonNode each : api.get("/api/pages/" + page + "/revisions").json()) {
            int number = each.path("number").asInt();
            Api.Answer was = api.get("/api/pages/" + page + "/revisions/" + number);
            assertThat(was.status()).as(page + " " + number + was.text()).isEqualTo(200);
            assertThat(DocumentJson.read(was.json().path("document"))).isNotNull();
            opened++;
          }
          assertThat(api.get(api.stage() + "/api/pages/" + page + "/preview/").status())
              .as(page)
              .isEqualTo(200);
        }
        System.out.printf("measured: %d revisions of a stored database opened%n", opened);
        assertThat(opened).isGreaterThan(40);
        // Words that had grown over the limit by being cleaned are whole again.
        String words =
            api.document("poison-fine").node("words").values().get(BlockSettings.PARAGRAPHS);
        assertThat(words).hasSize(32_007).contains("\u00A0a");
        // What was cut is said where the page is shown.
        assertThat(api.get("/api/shelf").text()).contains("Title is 260 characters long");
        // Both pages have one site again, the one that the site said itself.
        Document home = api.document("garden-home");
        Document visit = api.document("garden-visit");
        assertThat(visit.site()).isEqualTo(home.site());
        // And both go on from there.
        int revision = api.page("garden-home").path("revision").asInt();
        assertThat(
                api.edit(
                        "garden-home",
                        revision,
                        new Edit.SetValue("cards", "gap", "desktop", "17px"))
                    .status())
            .isEqualTo(200);
        assertThat(api.post("/api/pages/garden-home/undo", null).status()).isEqualTo(200);
        assertThat(api.document("garden-home")).isEqualTo(home);
        assertThat(api.post("/api/pages/garden-home/undo", null).text())
            .as("stacks of before end here; revisions can be restored")
            .contains("Undo is at the first change");
        assertThat(api.post("/api/pages/garden-home/restore", "{\"revision\":3}").status())
            .isEqualTo(200);
        assertThat(api.get("/live/garden/home/").status())
            .as("its bytes lie elsewhere; the page does not matter")
            .isEqualTo(404);
        assertThat(api.get("/api/sites/garden/stock").json().size()).isEqualTo(1);
      }
    }
  }
}
