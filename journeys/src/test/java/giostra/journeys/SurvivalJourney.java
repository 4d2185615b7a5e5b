package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.page.Edit;
import giostra.server.testing.Api;
import giostra.server.testing.Postgres;
import giostra.server.testing.Process;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** The packaged application as a process of its own: killed, restarted, its database taken away. */
class SurvivalJourney {
  private static byte[] noise(int width, int height, long seed) throws IOException {
    var image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    var random = new Random(seed);
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        image.setRGB(x, y, random.nextInt());
      }
    }
    var out = new ByteArrayOutputStream();
    ImageIO.write(image, "jpg", out);
    return out.toByteArray();
  }

  private static int[] made(Api api, String site) {
    int made = 0;
    int files = 0;
    for (JsonNode each : api.get("/api/sites/" + site + "/media").json()) {
      made += each.path("filesMade").asInt();
      files += each.path("files").asInt();
    }
    return new int[] {made, files};
  }

  /** Edits sent one after the other until the connection goes; counts those acknowledged. */
  private static Thread burst(Api api, String page, AtomicInteger acknowledged) {
    return Thread.ofVirtual()
        .start(() -> {
          try {
            for (int edit = 0; edit < 100_000; edit++) {
              Edit next = new Edit.SetValue("heading", "text", "", "Edit " + (edit + 1));
              if (api.edit(page, edit, next).status() != 200) {
                return;
              }
              acknowledged.set(edit + 1);
            }
          } catch (UncheckedIOException killed) {
            // The connection goes with the process.
          }
        });
  }

  @Test
  void whatIsAcknowledgedIsThereAfterAKillAndWhatWasCutOffGoesOn(@TempDir Path blobs)
      throws Exception {
    String kept = "--giostra.blobs=" + blobs;
    try (Postgres database = Postgres.start()) {
      var acknowledged = new AtomicInteger();
      String id;
      String site;
      try (Process app = Process.start(database, kept)) {
        Api api = app.api();
        id = api.newPage(Subject.document());
        site = api.newSite("Many pictures");
        for (int i = 0; i < 3; i++) {
          assertThat(api.upload(site, "p" + i + ".jpg", noise(900, 600, i)).status())
              .isEqualTo(200);
        }
        // The same bytes once more cost nothing.
        api.upload(site, "again.jpg", noise(900, 600, 1));
        Thread burst = burst(api, id, acknowledged);
        while (acknowledged.get() < 40 || made(api, site)[0] < 2) {
          Thread.sleep(5);
        }
        app.kill();
        burst.join();
      }
      try (Process again = Process.start(database, kept)) {
        Api api = again.api();
        int[] first = made(api, site);
        int revision = api.page(id).path("revision").asInt();
        System.out.printf(
            "measured: killed after %d acknowledged edits, %d there; %d of %d smaller files%n",
            acknowledged.get(), revision, first[0], first[1]);
        assertThat(revision)
            .isGreaterThanOrEqualTo(acknowledged.get())
            .isLessThanOrEqualTo(acknowledged.get() + 1);
        assertThat(api.get("/api/pages/" + id + "/document").text()).contains("Edit " + revision);
        // Undo survives the restart as well.
        assertThat(api.post("/api/pages/" + id + "/undo", null).status()).isEqualTo(200);
        assertThat(api.get("/api/pages/" + id + "/document").text())
            .contains("Edit " + (revision - 1));

        assertThat(first[1]).as("three pictures on their rungs").isGreaterThanOrEqualTo(18);
        for (int i = 0; i < 600 && made(api, site)[0] < first[1]; i++) {
          Thread.sleep(100);
        }
        assertThat(made(api, site)[0]).isEqualTo(first[1]);

        database.down();
        Edit away = new Edit.SetValue("heading", "text", "", "While away");
        Api.Answer answer = api.edit(id, revision + 1, away);
        assertThat(answer.status()).as("not a fault of what was sent").isEqualTo(503);
        assertThat(answer.header("retry-after")).isNotEmpty();
        database.up();
        Edit back = new Edit.SetValue("heading", "text", "", "Back again");
        assertThat(api.edit(id, revision + 1, back).status()).isEqualTo(200);
      }
    }
  }
}
