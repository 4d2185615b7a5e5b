package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import giostra.server.testing.Postgres;
import giostra.server.testing.Process;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicIntegerArray;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
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

  @InTurn(4)
  @Test
  void whatIsAcknowledgedIsThereAfterAKillAndWhatWasCutOffGoesOn(@TempDir Path blobs)
      throws Exception {
    String kept = "--giostra.blobs=" + blobs;
    try (Postgres database = Postgres.start()) {
      var acknowledged = new AtomicInteger();
      String id;
      String site;
      String live;
      try (Process app = Process.start(database, kept)) {
        Api api = app.api();
        id = api.newPage(Subject.document());
        live = URI.create(api.publish(id)).getPath();
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
      // It need not start cold once more.
      try (Giostra.Running again = Giostra.start(database, kept, "--giostra.demo=false")) {
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

        // However soon it is asked: what was in use a moment ago is not taken to be alive still.
        String visited = api.live() + live;
        for (int round = 0; round < 4; round++) {
          made(api, site);
          database.down();
          // Nobody has asked for it since this server was started, nor since it lost the database.
          assertThat(api.get(visited).status()).as("live page").isEqualTo(200);
          Edit away = new Edit.SetValue("heading", "text", "", "While away");
          Api.Answer answer = api.edit(id, revision + 1 + round, away);
          assertThat(answer.status()).as("not a fault of what was sent").isEqualTo(503);
          assertThat(answer.header("retry-after")).isNotEmpty();
          database.up();
          Edit back = new Edit.SetValue("heading", "text", "", "Back again " + round);
          assertThat(api.edit(id, revision + 1 + round, back).status()).isEqualTo(200);
          bounced(database, api);
          assertThat(api.get("/api/pages/" + id).status()).isEqualTo(200);
        }
      }
    }
  }

  /**
   * What lies in a folder, by path; while somebody writes there, of one moment of it or another.
   */
  private static Map<String, byte[]> lies(Path folder) throws IOException {
    var all = new HashMap<String, byte[]>();
    if (!Files.exists(folder)) {
      return all;
    }
    for (int tries = 1; ; tries++) {
      all.clear();
      try (Stream<Path> files = Files.walk(folder)) {
        for (Path each : files.filter(Files::isRegularFile).toList()) {
          all.put(folder.relativize(each).toString(), Files.readAllBytes(each));
        }
        return all;
      } catch (NoSuchFileException | UncheckedIOException gone) {
        // It was there when it was listed: looked at once more.
        assertThat(tries).as("the folder is never still: %s", gone).isLessThan(1_000);
      }
    }
  }

  /** Whether all of a release is there as it is. */
  private static boolean whole(Map<String, byte[]> there, Map<String, byte[]> release) {
    return release.entrySet().stream()
        .allMatch(each -> Arrays.equals(each.getValue(), there.get(each.getKey())));
  }

  /** The server is killed while it sends a release to a folder: visitors have a whole one. */
  @InTurn(8)
  @Test
  void whatIsSentIsWholeHoweverOftenItsSenderIsKilled(@TempDir Path temp) throws Exception {
    int kills = Runs.of(1, 20);
    String kept = "--giostra.blobs=" + temp.resolve("blobs");
    String sent = "--giostra.deliveries.folders=" + temp.resolve("sent");
    Path place = temp.resolve("none");
    var random = new Random(20_261_201);
    var releases = new ArrayList<Map<String, byte[]>>();
    int old = 0;
    String site = "";
    String page = "";
    String live = "";
    try (Postgres database = Postgres.start()) {
      for (int round = 0; round <= kills; round++) {
        List<String> files = new ArrayList<>();
        try (Process app = Process.start(database, kept, sent)) {
          Api api = app.api();
          if (round == 0) {
            site = api.newSite("Sent");
            page = api.newPage(site, Subject.document());
            Map<String, Object> folder =
                Map.of(
                    "name", "Club", "sort", "folder", "address", "club", "place", "", "folder", "",
                    "account", "", "secret", "", "follows", true);
            Api.Answer added = api.post("/api/sites/" + site + "/destinations", folder);
            assertThat(added.status()).as(added.text()).isEqualTo(201);
            JsonNode places = api.get("/api/pages/" + page + "/destinations").json().path("places");
            place = temp.resolve("sent/club").resolve(places.path(0).path("path").asString());
          }
          String picture =
              api.upload(site, round + ".jpg", noise(500, 300, round)).json().path("id").asString();
          int revision = api.page(page).path("revision").asInt();
          Edit words = new Edit.SetValue("heading", "text", "", "Round " + round);
          Edit other = new Edit.SetValue("picture", BlockSettings.SOURCE.id(), "", picture);
          assertThat(api.edit(page, revision, words, other).status()).isEqualTo(200);
          Set<String> before = lies(place).keySet();
          JsonNode made = api.post("/api/pages/" + page + "/releases", null).json();
          made.path("files").forEach(each -> files.add(each.path("path").asString()));
          // Each server has live pages on a port of its own.
          live = URI.create(made.path("address").asString()).getPath();
          if (round < kills) {
            // In the middle of it: something has come that was not there.
            for (int i = 0; i < 2_000 && before.containsAll(lies(place).keySet()); i++) {
              Thread.sleep(2);
            }
            Thread.sleep(random.nextInt(40));
            app.kill();
          } else {
            releases.add(released(api, live, files));
            for (int i = 0; i < 900 && !whole(lies(place), releases.getLast()); i++) {
              Thread.sleep(100);
            }
            assertThat(whole(lies(place), releases.getLast())).as("at last").isTrue();
          }
        }
        Map<String, byte[]> there = lies(place);
        if (round < kills) {
          // What it was is asked of another server, and the sending goes on beside it.
          try (Giostra.Running again =
              Giostra.start(database, kept, sent, "--giostra.demo=false")) {
            releases.add(released(again.api(), live, files));
            if (round == 0) {
              for (int i = 0; i < 900 && !whole(lies(place), releases.getLast()); i++) {
                Thread.sleep(100);
              }
              assertThat(whole(lies(place), releases.getLast())).as("goes on").isTrue();
            }
          }
        }
        if (there.containsKey("index.html")) {
          List<Map<String, byte[]>> which =
              releases.stream()
                  .filter(each -> Arrays.equals(each.get("index.html"), there.get("index.html")))
                  .toList();
          assertThat(which).as("round %d: a page of one of them", round).isNotEmpty();
          assertThat(which).as("round %d: whole", round).allMatch(each -> whole(there, each));
          old += whole(there, releases.getLast()) ? 0 : 1;
        }
      }
    }
    System.out.printf(
        "measured: %d kills while a release was sent, a whole one each time, %d times an older%n",
        kills, old);
  }

  private static Map<String, byte[]> released(Api api, String live, List<String> files) {
    var all = new HashMap<String, byte[]>();
    for (String path : files) {
      Api.Answer file = api.get(live + path);
      assertThat(file.status()).as(path).isEqualTo(200);
      all.put(path, file.bytes());
    }
    return all;
  }

  /** All that the pool holds is used, and the database is another one a moment later. */
  private static void bounced(Postgres database, Api api) throws InterruptedException {
    try (var pool = Executors.newVirtualThreadPerTaskExecutor()) {
      for (int i = 0; i < 10; i++) {
        pool.submit(() -> api.get("/api/sites"));
      }
    }
    database.down();
    database.up();
  }

  /** A client that goes on after whatever became of the server: the same again, with its key. */
  private static int client(
      int me, int round, Supplier<Api> server, String page, Set<String> told, AtomicBoolean stop)
      throws InterruptedException {
    int made = 0;
    for (int i = 0; !stop.get(); i++) {
      String id = "c" + me + "-" + round + "-" + i;
      String edit =
          """
          {"revision":%d,"key":"key-of-%s","edits":[{"type":"AddNode","parent":"section","index":0,
            "content":{"id":"%s","type":"text","values":{}}}]}
          """;
      boolean done = false;
      while (!done && !stop.get()) {
        try {
          Api api = server.get();
          int base = api.page(page).path("revision").asInt();
          Api.Answer answer =
              api.post("/api/pages/" + page + "/edits", edit.formatted(base, id, id));
          done = answer.status() == 200;
          if (done) {
            told.add(page + " " + id);
            made++;
          }
        } catch (RuntimeException away) {
          Thread.sleep(20);
        }
      }
    }
    return made;
  }

  /** Clients on two pages of one site; the server killed, and the database stopped, in between. */
  @Test
  @EnabledIfSystemProperty(named = "giostra.soak", matches = "true")
  void clientsThatGoOnOverTwentyKillsLoseNothing(@TempDir Path blobs) throws Exception {
    String kept = "--giostra.blobs=" + blobs;
    int kills = 20;
    Set<String> told = ConcurrentHashMap.newKeySet();
    try (Postgres database = Postgres.start()) {
      List<String> pages = new ArrayList<>();
      for (int round = 0; round < kills; round++) {
        try (Process app = Process.start(database, kept)) {
          Api api = app.api();
          if (pages.isEmpty()) {
            String site = api.newSite("Killed");
            pages.add(api.newPage(site, Subject.document()));
            pages.add(api.newPage(site, Subject.document()));
          }
          whole(api, pages, told);
          int before = told.size();
          var stop = new AtomicBoolean();
          int of = round;
          try (var pool = Executors.newVirtualThreadPerTaskExecutor()) {
            for (int me = 0; me < 8; me++) {
              int client = me;
              pool.submit(() -> client(client, of, () -> api, pages.get(client % 2), told, stop));
            }
            acknowledged(told, before + EACH);
            if (round % 5 == 4) {
              database.down();
              Thread.sleep(500);
              database.up();
              acknowledged(told, before + 2 * EACH);
            }
            app.kill();
            stop.set(true);
          }
        }
      }
      try (Process app = Process.start(database, kept)) {
        whole(app.api(), pages, told);
      }
    }
    System.out.printf(
        "measured: %d kills, %d stops of the database, %d acknowledged edits, all there%n",
        kills, kills / 5, told.size());
    assertThat(told).hasSizeGreaterThanOrEqualTo(kills * EACH);
  }

  /** Edits that are acknowledged between two kills at the least. */
  private static final int EACH = 25;

  /** Waits until so many are, on however slow a machine. */
  private static void acknowledged(Set<String> told, int wanted) throws InterruptedException {
    for (int i = 0; i < 1200 && told.size() < wanted; i++) {
      Thread.sleep(50);
    }
    assertThat(told).hasSizeGreaterThanOrEqualTo(wanted);
  }

  private static void whole(Api api, List<String> pages, Set<String> told) {
    for (String page : pages) {
      Document document = api.document(page);
      assertThat(told.stream().filter(each -> each.startsWith(page + " ")).toList())
          .allMatch(each -> document.find(each.substring(page.length() + 1)).isPresent());
      int head = api.page(page).path("revision").asInt();
      long texts =
          document
              .nodes()
              .filter(node -> node.id().startsWith("c") && node.id().contains("-"))
              .count();
      assertThat(texts).as("each edit once, numbers without gaps").isEqualTo(head);
    }
  }

  /** Two servers on one database; one is killed while people edit, and they go on by the other. */
  @InTurn(20)
  @Test
  void ofTwoServersOneMayBeKilled(@TempDir Path blobs) throws Exception {
    int editors = Runs.of(12, 50);
    int seconds = Runs.of(8, 30);
    String kept = "--giostra.blobs=" + blobs;
    var acknowledged = new AtomicIntegerArray(editors);
    var refused = new AtomicInteger();
    var longest = new AtomicLong();
    try (Postgres database = Postgres.start();
        Process one = Process.start(database, kept);
        Process two = Process.start(database, kept)) {
      List<String> pages =
          IntStream.range(0, editors).mapToObj(_ -> one.api().newPage(Subject.document())).toList();
      long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(seconds);
      try (var threads = Executors.newVirtualThreadPerTaskExecutor()) {
        for (int i = 0; i < editors; i++) {
          int editor = i;
          threads.submit(() -> {
            Api api = (editor % 2 == 0 ? one : two).api();
            String page = pages.get(editor);
            int edit = 0;
            long since = System.nanoTime();
            while (System.nanoTime() < end) {
              try {
                Edit next = new Edit.SetValue("heading", "text", "", "Edit " + (edit + 1));
                int status = api.edit(page, edit, next).status();
                if (status == 200) {
                  acknowledged.set(editor, ++edit);
                  longest.accumulateAndGet(System.nanoTime() - since, Math::max);
                  Thread.sleep(1000);
                  since = System.nanoTime();
                } else {
                  refused.incrementAndGet();
                }
              } catch (UncheckedIOException killed) {
                // A server before both would send it there. What was done and not said is found.
                api = two.api();
                edit = api.page(page).path("revision").asInt();
              }
            }
            return edit;
          });
        }
        Thread.sleep(seconds * 500L);
        one.kill();
      }
      for (int i = 0; i < editors; i++) {
        int said = acknowledged.get(i);
        assertThat(said).isGreaterThan(1);
        assertThat(two.api().page(pages.get(i)).path("revision").asInt()).isEqualTo(said);
        assertThat(two.api().get("/api/pages/" + pages.get(i) + "/document").text())
            .contains("\"Edit " + said + "\"");
      }
      assertThat(refused).hasValue(0);
      System.out.printf(
          "measured: one of two servers killed under %d editors: each acknowledged edit is there,"
              + " longest time without an answer %d ms%n",
          editors, TimeUnit.NANOSECONDS.toMillis(longest.get()));
    }
  }
}
