package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.page.Edit;
import giostra.server.testing.Api;
import giostra.server.testing.Postgres;
import giostra.server.testing.Process;
import java.io.UncheckedIOException;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

/** The packaged application as a process of its own: killed, restarted, its database taken away. */
class SurvivalJourney {

  @Test
  void everyAcknowledgedEditIsThereAfterAKill() throws Exception {
    try (Postgres database = Postgres.start()) {
      var acknowledged = new AtomicInteger();
      String id;
      try (Process app = Process.start(database)) {
        Api api = app.api();
        id = api.newPage(Subject.document());
        Thread burst =
            Thread.ofVirtual()
                .start(() -> {
                  try {
                    for (int edit = 0; edit < 100_000; edit++) {
                      var answer =
                          api.edit(
                              id,
                              edit,
                              new Edit.SetValue("heading", "text", "", "Edit " + (edit + 1)));
                      if (answer.status() != 200) {
                        return;
                      }
                      acknowledged.set(edit + 1);
                    }
                  } catch (UncheckedIOException killed) {
                    // The connection goes with the process.
                  }
                });
        while (acknowledged.get() < 40) {
          Thread.sleep(5);
        }
        app.kill();
        burst.join();
      }
      try (Process again = Process.start(database)) {
        Api api = again.api();
        int revision = api.page(id).path("revision").asInt();
        System.out.printf(
            "measured: killed after %d acknowledged edits, %d there%n",
            acknowledged.get(), revision);
        assertThat(revision)
            .isGreaterThanOrEqualTo(acknowledged.get())
            .isLessThanOrEqualTo(acknowledged.get() + 1);
        assertThat(api.get("/api/pages/" + id + "/document").text()).contains("Edit " + revision);
        // Undo survives the restart as well.
        assertThat(api.post("/api/pages/" + id + "/undo", null).status()).isEqualTo(200);
        assertThat(api.get("/api/pages/" + id + "/document").text())
            .contains("Edit " + (revision - 1));

        database.down();
        assertThat(
                api.edit(id, revision + 1, new Edit.SetValue("heading", "text", "", "While away"))
                    .status())
            .isGreaterThanOrEqualTo(500);
        database.up();
        assertThat(
                api.edit(id, revision + 1, new Edit.SetValue("heading", "text", "", "Back again"))
                    .status())
            .isEqualTo(200);
      }
    }
  }
}
