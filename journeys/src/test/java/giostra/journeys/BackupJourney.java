package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.testing.InTurn;
import giostra.server.testing.Api;
import giostra.server.testing.Postgres;
import giostra.server.testing.Process;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** All there is goes into one file, and is the same when it comes out of it. */
class BackupJourney {
  private record Said(int status, String text) {}

  private static Said giostra(Postgres database, Path blobs, String... words) throws IOException {
    var command = new ArrayList<String>(List.of(System.getProperty("giostra.root") + "/giostra"));
    command.addAll(List.of(words));
    var builder = new ProcessBuilder(command).redirectErrorStream(true);
    builder
        .environment()
        .putAll(Map.of("GIOSTRA_DB_URL", database.url(), "GIOSTRA_BLOBS", blobs.toString()));
    java.lang.Process process = builder.start();
    String text = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    return new Said(process.onExit().join().exitValue(), text);
  }

  private static final String PAGE = "/api/pages/" + Api.DEMO;

  /** What is asked before and after. */
  private static List<String> all(Api api) {
    var all = new ArrayList<String>();
    for (String path :
        List.of(
            "/api/sites",
            PAGE,
            PAGE + "/document",
            PAGE + "/revisions",
            PAGE + "/remarks",
            "/api/people",
            "/api/sites/velluta/media",
            "/api/sites/velluta/people")) {
      Api.Answer answer = api.get(path);
      assertThat(answer.status()).as(path).isEqualTo(200);
      all.add(path + " " + answer.text());
    }
    String live = api.get(Api.LIVE_DEMO).text();
    all.add(live);
    for (JsonNode file : api.get(PAGE + "/releases").json().get(0).path("files")) {
      Api.Answer answer = api.get(Api.LIVE_DEMO + file.path("path").asString());
      assertThat(answer.status()).isEqualTo(200);
      all.add(file.path("path").asString() + " " + java.util.Arrays.hashCode(answer.bytes()));
    }
    return all;
  }

  /** The database goes: what was asked for before is there, the rest says when to come back. */
  private static void whileItIsAway(Api api, Postgres database) {
    String live = api.at(Api.LIVE_DEMO);
    byte[] page = api.get(live).bytes();
    database.down();
    Api.Answer again = api.get(live);
    assertThat(again.status()).isEqualTo(200);
    assertThat(again.bytes()).isEqualTo(page);
    Api.Answer refused = api.get(PAGE);
    assertThat(refused.status()).isEqualTo(503);
    assertThat(refused.header("retry-after")).isNotEmpty();
    assertThat(refused.text()).contains("The database cannot be reached");
    database.up();
    for (int i = 0; i < 100 && api.get(PAGE).status() != 200; i++) {
      // It comes back by itself.
      java.util.concurrent.locks.LockSupport.parkNanos(200_000_000L);
    }
    assertThat(api.get(PAGE).status()).isEqualTo(200);
  }

  @InTurn(10)
  @Test
  void whatComesBackIsWhatThereWas() throws IOException {
    Path folder = Files.createTempDirectory("giostra-backup");
    Path file = folder.resolve("giostra.tar");
    Path blobs = Files.createDirectory(folder.resolve("blobs"));
    List<String> before;
    try (Postgres database = Postgres.start();
        Process server =
            Process.start(database, "--giostra.demo=true", "--giostra.blobs=" + blobs)) {
      Api api = server.api();
      api.publish(Api.DEMO);
      api.member("velluta", "writer");
      api.post(PAGE + "/remarks", Map.of("node", "houses", "width", 390, "text", "Kept as well"));
      before = all(api);
      Said said = giostra(database, blobs, "backup", file.toString());
      assertThat(said.status()).as(said.text()).isZero();
      // It goes over nothing.
      assertThat(giostra(database, blobs, "backup", file.toString()).text())
          .contains("is there already");
      assertThat(giostra(database, blobs, "restore", file.toString()).text())
          .contains("has something in it");
      whileItIsAway(api, database);
    }
    Path fresh = folder.resolve("fresh");
    try (Postgres database = Postgres.start()) {
      Path cut = folder.resolve("cut.tar");
      Files.write(cut, java.util.Arrays.copyOf(Files.readAllBytes(file), 100_000));
      assertThat(giostra(database, fresh, "restore", cut.toString()).status()).isNotZero();
      Said said = giostra(database, fresh, "restore", file.toString());
      assertThat(said.status()).as(said.text()).isZero();
      try (Process server = Process.start(database, "--giostra.blobs=" + fresh)) {
        assertThat(all(server.api())).isEqualTo(before);
      }
    }
  }
}
