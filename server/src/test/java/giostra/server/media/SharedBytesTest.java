package giostra.server.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.page.Edit;
import giostra.core.page.PageSettings;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import giostra.server.testing.Postgres;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Two servers on one database, whose bytes are in a store of objects that both reach. */
class SharedBytesTest {
  private static Giostra.Running start(Postgres database, int cantina, int own, Path folder) {
    return Giostra.start(
        database,
        "--giostra.demo=false",
        "--giostra.cantina-port=" + own,
        "--giostra.blobs=" + folder,
        "--giostra.shared.address=http://127.0.0.1:" + cantina + "/s3",
        "--giostra.shared.bucket=bytes",
        "--giostra.shared.account=lantern",
        "--giostra.shared.secret=eight-dark-lamps");
  }

  private static void mischief(int cantina, String what) throws Exception {
    HttpClient.newHttpClient()
        .send(
            HttpRequest.newBuilder(
                    URI.create("http://127.0.0.1:" + cantina + "/mischief?after=0&then=" + what))
                .POST(HttpRequest.BodyPublishers.noBody())
                .build(),
            HttpResponse.BodyHandlers.discarding());
  }

  private static List<Path> files(Path folder) throws Exception {
    try (Stream<Path> all = Files.walk(folder)) {
      return all.filter(Files::isRegularFile).toList();
    }
  }

  @Test
  void whatOneKeepsTheOtherHas() throws Exception {
    int cantina = Postgres.freePort();
    Path first = Files.createTempDirectory("giostra-first");
    Path second = Files.createTempDirectory("giostra-second");
    byte[] old = {1, 2, 3, 4};
    String hash = new FolderBlobStore(first).put(old);
    try (Postgres database = Postgres.start();
        Giostra.Running one = start(database, cantina, cantina, first)) {
      Api here = one.api();
      String site = here.newSite("Shared");
      String page =
          here.post("/api/sites/" + site + "/pages", Map.of("title", "Both"))
              .json()
              .path("id")
              .asString();
      byte[] picture = MediaApiTest.picture("jpeg", 900, 600);
      Api.Answer added = here.upload(site, "lamp.jpg", picture);
      assertThat(added.status()).isEqualTo(200);
      String file = "/api/sites/" + site + "/media/" + added.json().path("id").asString() + "/file";
      String live = URI.create(here.publish(page)).getPath();
      byte[] published = here.get(live).bytes();
      try (Giostra.Running two = start(database, cantina, Postgres.freePort(), second)) {
        Api there = two.api();
        assertThat(there.get(file).bytes()).isEqualTo(here.get(file).bytes());
        assertThat(there.get(live).bytes()).isEqualTo(published);
        assertThat(files(second)).isNotEmpty();
        // What one had before there was a store, the other has when it was asked for.
        assertThat(one.app().getBean(BlobStore.class).get(hash)).isEqualTo(old);
        assertThat(two.app().getBean(BlobStore.class).get(hash)).isEqualTo(old);
        // Published by one, the other sends it at once, and nothing older any more.
        int revision = here.page(page).path("revision").asInt();
        here.edit(
            page,
            revision,
            new Edit.SetValue("page", PageSettings.TITLE.id(), "", "Published anew"));
        here.publish(page);
        long until = System.nanoTime() + Duration.ofSeconds(10).toNanos();
        while (!there.get(live).text().contains("Published anew")) {
          assertThat(System.nanoTime()).isLessThan(until);
          Thread.sleep(20);
        }
        // The store is away: nothing new is kept, nothing is changed, what is live goes on.
        mischief(cantina, "cut");
        Api.Answer refused = here.upload(site, "other.jpg", MediaApiTest.picture("jpeg", 700, 500));
        assertThat(refused.status()).isEqualTo(503);
        assertThat(refused.header("retry-after")).isEqualTo("10");
        assertThat(refused.text()).contains("store of files cannot be reached");
        assertThat(here.get("/api/sites/" + site + "/media").json().toString())
            .contains("lamp.jpg")
            .doesNotContain("other.jpg");
        assertThat(there.get(live).status()).isEqualTo(200);
        mischief(cantina, "nothing");
        assertThat(here.upload(site, "other.jpg", MediaApiTest.picture("jpeg", 700, 500)).status())
            .isEqualTo(200);
      }
      // What was beside it may go at any time: it comes from the store again.
      for (Path each : files(first)) {
        Files.delete(each);
      }
      assertThat(here.get(file).status()).isEqualTo(200);
      assertThat(here.get(live).text()).contains("Published anew");
    }
  }

  /** What comes from the store and is not what it should be is not taken for it. */
  @Test
  void whatIsNotWhatItIsCalledIsNotKept() throws Exception {
    Path folder = Files.createTempDirectory("giostra-bytes");
    var store = new FolderBlobStore(folder);
    String hash = store.put(new byte[] {1, 2, 3});
    assertThat(store.get(hash)).containsExactly(1, 2, 3);
    String other = "0".repeat(64);
    assertThatThrownBy(() -> store.take(other, new ByteArrayInputStream(new byte[] {4})))
        .isInstanceOf(IOException.class)
        .hasMessageContaining("and not " + other);
    assertThat(store.has(other)).isFalse();
    assertThat(files(folder)).hasSize(1);
  }

  /** What a killed server left half written is swept, what is being written is not. */
  @Test
  void whatIsHalfWrittenIsSweptWhenItIsOld() throws Exception {
    Path folder = Files.createTempDirectory("giostra-bytes");
    Path inside = Files.createDirectories(folder.resolve("ab"));
    Path old = Files.createFile(inside.resolve("part123.tmp"));
    Path young = Files.createFile(inside.resolve("part456.tmp"));
    Files.setLastModifiedTime(old, FileTime.from(Instant.now().minus(2, ChronoUnit.HOURS)));
    new FolderBlobStore(folder).close();
    assertThat(old).doesNotExist();
    assertThat(young).exists();
  }
}
