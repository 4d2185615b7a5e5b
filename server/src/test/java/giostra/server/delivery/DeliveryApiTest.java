package giostra.server.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Section;
import giostra.core.testing.Demo;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.ResourceLock;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Releases in other places, through the API. */
@ExtendWith(Giostra.class)
@ResourceLock("cantina")
class DeliveryApiTest {
  private static final Duration PATIENCE = Duration.ofSeconds(40);
  private static final HttpClient CLIENT = HttpClient.newHttpClient();

  private record Made(String site, String page) {}

  private static Made page(Api api) {
    Block text =
        new Block.Text(
            "text", Values.NONE.with(BlockSettings.PARAGRAPHS, Values.ALL, "<p>At dusk</p>"));
    Document document = Demo.bare(List.of(new Section("one", Values.NONE, List.of(text))));
    String site = api.newSite("Sent " + System.nanoTime());
    return new Made(site, api.newPage(site, document));
  }

  private static void say(Api api, Made made, String words) {
    int revision = api.page(made.page()).path("revision").asInt();
    var edit =
        new Edit.SetValue(
            "text", BlockSettings.PARAGRAPHS.id(), Values.ALL, "<p>" + words + "</p>");
    assertThat(api.edit(made.page(), revision, edit).status()).isEqualTo(200);
  }

  private static Map<String, Object> asked(Api api, Made made, String sort, String... more) {
    JsonNode tries = api.get("/api/pages/" + made.page() + "/destinations").json().path("tries");
    JsonNode cantina = tries.path(1);
    var body = new HashMap<String, Object>();
    body.put("name", "Place");
    body.put("sort", sort);
    body.put("folder", "club/" + made.site());
    body.put("follows", true);
    boolean web = sort.equals("s3") || sort.equals("webdav");
    for (String each : List.of("account", "secret")) {
      body.put(each, web ? cantina.path(each).asString() : "");
    }
    body.put(
        "address",
        switch (sort) {
          case "s3" -> cantina.path("address").asString();
          case "webdav" -> tries.path(2).path("address").asString();
          case "git" -> made.site() + ".git";
          default -> "sent";
        });
    body.put("place", sort.equals("s3") ? "lamps" : sort.equals("git") ? "pages" : "");
    for (int i = 0; i < more.length; i += 2) {
      body.put(more[i], more[i + 1]);
    }
    return body;
  }

  private static Api.Answer add(Api api, Made made, Map<String, Object> body) {
    return api.post("/api/sites/" + made.site() + "/destinations", body);
  }

  private static JsonNode place(Api api, Made made) {
    return api.get("/api/pages/" + made.page() + "/destinations").json().path("places").path(0);
  }

  private static JsonNode send(Api api, Made made) {
    String id = place(api, made).path("id").asString();
    Api.Answer answer =
        api.post("/api/pages/" + made.page() + "/destinations/" + id + "/deliveries", Map.of());
    assertThat(answer.status()).as(answer.text()).isEqualTo(202);
    return answer.json();
  }

  /** Waits for what a delivery is to be. */
  private static JsonNode until(Api api, Made made, Predicate<JsonNode> done) {
    Instant end = Instant.now().plus(PATIENCE);
    while (true) {
      JsonNode delivery = place(api, made).path("delivery");
      if (done.test(delivery)) {
        return delivery;
      }
      assertThat(Instant.now()).as("still %s", delivery).isBefore(end);
      pause();
    }
  }

  private static void pause() {
    try {
      Thread.sleep(50);
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  private static Predicate<JsonNode> there(int release) {
    return delivery ->
        delivery.path("state").asString().equals("done")
            && delivery.path("there").asInt() == release;
  }

  private static HttpResponse<byte[]> get(String address) {
    try {
      return CLIENT.send(
          HttpRequest.newBuilder(URI.create(address)).build(),
          HttpResponse.BodyHandlers.ofByteArray());
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  private static String cantina(Api api, Made made) {
    return String.valueOf(asked(api, made, "s3").get("address")).replaceAll("/s3$", "");
  }

  private static void mischief(Api api, Made made, int after, String then) {
    get(cantina(api, made) + "/mischief?after=" + after + "&then=" + then);
  }

  private static JsonNode newest(Api api, Made made) {
    return api.get("/api/pages/" + made.page() + "/releases").json().path(0);
  }

  /** A file of what was sent, by its path in the place. */
  private interface There {
    byte[] read(String path) throws IOException;
  }

  private static Path root() {
    return Giostra.folders();
  }

  private static There reader(Api api, Made made, String sort, Path temp) {
    String cantina = cantina(api, made);
    return switch (sort) {
      case "s3" -> path -> get(cantina + "/s3/lamps/" + path).body();
      case "webdav" -> path -> get(cantina + "/dav/" + path).body();
      case "git" -> {
        Path clone = temp.resolve("clone-" + System.nanoTime());
        // Reference: git itself.
        run("git", "clone", "-q", "-b", "pages", root() + "/" + made.site() + ".git", clone + "");
        yield path -> Files.readAllBytes(clone.resolve(path));
      }
      default -> path -> Files.readAllBytes(root().resolve("sent").resolve(path));
    };
  }

  private static void run(String... command) {
    try {
      Process process = new ProcessBuilder(command).inheritIO().start();
      assertThat(process.waitFor(30, TimeUnit.SECONDS)).isTrue();
      assertThat(process.exitValue()).as(String.join(" ", command)).isZero();
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  /** All files of a release are there as they are on the live page. */
  private static void isThere(Api api, Made made, String sort, Path temp) throws IOException {
    JsonNode release = newest(api, made);
    String path = place(api, made).path("path").asString();
    There there = reader(api, made, sort, temp);
    int files = 0;
    for (JsonNode file : release.path("files")) {
      String name = file.path("path").asString();
      byte[] live = api.get(release.path("address").asString() + name).bytes();
      assertThat(there.read(path + name)).as(name).isEqualTo(live);
      files++;
    }
    assertThat(files).isGreaterThan(1);
  }

  @ParameterizedTest
  @ValueSource(strings = {"folder", "s3", "git", "webdav"})
  void aReleaseIsSentWholeAndTheNextOneByItself(String sort, Api api, @TempDir Path temp)
      throws IOException {
    Made made = page(api);
    if (sort.equals("git")) {
      run("git", "init", "-q", "--bare", root() + "/" + made.site() + ".git");
    }
    api.publish(made.page());
    Api.Answer added = add(api, made, asked(api, made, sort));
    assertThat(added.status()).as(added.text()).isEqualTo(201);
    // What was live before is sent when somebody asks for it.
    assertThat(place(api, made).path("delivery").isNull()).isTrue();
    send(api, made);
    JsonNode first = until(api, made, there(1));
    assertThat(first.path("sent").asInt()).isEqualTo(first.path("files").asInt());
    isThere(api, made, sort, temp);
    say(api, made, "At dawn");
    api.publish(made.page());
    until(api, made, there(2));
    isThere(api, made, sort, temp);
    // Back to the first one, by itself too.
    api.post("/api/pages/" + made.page() + "/releases/1/live", Map.of());
    until(api, made, there(1));
    String path = place(api, made).path("path").asString();
    assertThat(new String(reader(api, made, sort, temp).read(path + "index.html"), "UTF-8"))
        .contains("At dusk");
  }

  @ParameterizedTest
  @CsvSource({
    "refuse, s3, 503",
    "refuse, webdav, 503",
    "cut, s3, broke off",
    "cut, webdav, broke off",
    "half, webdav, broke off"
  })
  void whatFailsIsSaidAndTriedAgain(
      String then, String sort, String said, Api api, @TempDir Path temp) throws IOException {
    Made made = page(api);
    api.publish(made.page());
    add(api, made, asked(api, made, sort));
    mischief(api, made, 2, then);
    try {
      send(api, made);
      JsonNode failed = until(api, made, each -> !each.path("problem").asString().isEmpty());
      assertThat(failed.path("problem").asString()).contains(said);
      assertThat(failed.path("state").asString()).isEqualTo("sends");
      assertThat(failed.path("again").isString()).isTrue();
    } finally {
      mischief(api, made, 0, "nothing");
    }
    until(api, made, there(1));
    isThere(api, made, sort, temp);
  }

  @Test
  void whoMayNotWriteIsToldAndNotKeptTrying(Api api) {
    Made made = page(api);
    api.publish(made.page());
    add(api, made, asked(api, made, "webdav", "secret", "wrong"));
    send(api, made);
    JsonNode failed = until(api, made, each -> each.path("state").asString().equals("failed"));
    assertThat(failed.path("problem").asString()).contains("401");
    assertThat(failed.path("there").asInt()).isZero();
  }

  /** A server that was killed in the middle has left its claim; the next one goes on. */
  @Test
  void whatSomebodyWasStoppedAtGoesOn(Api api, @TempDir Path temp)
      throws IOException, SQLException {
    Made made = page(api);
    api.publish(made.page());
    add(api, made, asked(api, made, "s3"));
    String id = place(api, made).path("id").asString();
    try (var database = DriverManager.getConnection(Giostra.database(), "giostra", "");
        var insert =
            database.prepareStatement(
                "insert into delivery (destination_id, page_id, release_number, turn, state,"
                    + " asked_at, due_at, claimed_at, claimed_by) values (?, ?, 1, 1, 'SENDS', now(),"
                    + " now() - interval '1 minute', now() - interval '31 seconds', 'killed')")) {
      insert.setString(1, id);
      insert.setString(2, made.page());
      insert.executeUpdate();
    }
    until(api, made, there(1));
    isThere(api, made, "s3", temp);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "s3|address|http://example.org/s3|GIOSTRA_DELIVERY_HOSTS",
        "s3|address|http://169.254.169.254/|GIOSTRA_DELIVERY_HOSTS",
        "webdav|address|file:///etc|GIOSTRA_DELIVERY_HOSTS",
        "webdav|address|http://a b|GIOSTRA_DELIVERY_HOSTS",
        "git|address|ssh://127.0.0.1/x.git|GIOSTRA_DELIVERY_HOSTS",
        "git|address|../outside.git|slashes between",
        "git|place|-no..branch|branch",
        "s3|place|No Bucket|63",
        "s3|secret||access key",
        "folder|address|../outside|slashes between",
        "folder|address|/etc|",
        "folder|address||beneath the folder",
        "folder|folder|a/../../b|slashes between",
        "folder|sort|ftp|folder, s3, git or webdav",
        "folder|name|  |name",
      })
  void whatIsNoPlaceIsRefused(String sort, String field, String value, String said, Api api) {
    Made made = page(api);
    Map<String, Object> body = asked(api, made, sort, field, value == null ? "" : value);
    Api.Answer answer = add(api, made, body);
    if (said == null) {
      // A slash at its begin is no root: it is beneath the folder that is for it.
      assertThat(answer.status()).isEqualTo(201);
      assertThat(place(api, made).path("address").asString()).isEqualTo("etc");
      return;
    }
    assertThat(answer.status()).as(answer.text()).isEqualTo(422);
    assertThat(answer.text()).contains(said);
    assertThat(place(api, made).isMissingNode()).isTrue();
  }

  /** A path of a hundred thousand slashes is refused for its length, and not gone through. */
  @Test
  void aPathThatIsTooLongIsRefused(Api api) {
    Made made = page(api);
    String path = "/".repeat(100_000) + "x";
    assertThat(add(api, made, asked(api, made, "folder", "address", path)).status()).isEqualTo(422);
    assertThat(place(api, made).isMissingNode()).isTrue();
  }

  @Test
  void aRepositoryThatIsNotThereIsSaid(Api api) {
    Made made = page(api);
    api.publish(made.page());
    add(api, made, asked(api, made, "git"));
    send(api, made);
    JsonNode failed = until(api, made, each -> each.path("state").asString().equals("failed"));
    assertThat(failed.path("problem").asString()).contains(made.site() + ".git");
  }

  /** A link that somebody laid in the folder leads nothing out of it. */
  @Test
  void aLinkLeadsNothingOut(Api api, @TempDir Path outside) throws IOException {
    Made made = page(api);
    api.publish(made.page());
    Files.createDirectories(root());
    Files.createSymbolicLink(root().resolve(made.site()), outside);
    add(api, made, asked(api, made, "folder", "address", made.site()));
    send(api, made);
    JsonNode failed = until(api, made, each -> each.path("state").asString().equals("failed"));
    assertThat(failed.path("problem").asString()).contains("link");
    try (var inside = Files.list(outside)) {
      assertThat(inside).isEmpty();
    }
  }

  @Test
  void aPageWithoutAReleaseIsNotSent(Api api) {
    Made made = page(api);
    add(api, made, asked(api, made, "folder"));
    String id = place(api, made).path("id").asString();
    Api.Answer answer =
        api.post("/api/pages/" + made.page() + "/destinations/" + id + "/deliveries", Map.of());
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.text()).contains("published");
  }

  @Test
  void secretsAreToldToNobody(Api api) {
    Made made = page(api);
    add(api, made, asked(api, made, "webdav", "secret", "nobody-knows-this"));
    assertThat(api.get("/api/pages/" + made.page() + "/destinations").text())
        .doesNotContain("nobody-knows-this");
    Api.Answer archive = api.get("/api/sites/" + made.site() + "/archive.zip");
    assertThat(new String(archive.bytes(), java.nio.charset.StandardCharsets.ISO_8859_1))
        .doesNotContain("nobody-knows-this");
  }

  @Test
  void aPlaceIsForgottenAndWhatIsThereStays(Api api, @TempDir Path temp) throws IOException {
    Made made = page(api);
    api.publish(made.page());
    add(api, made, asked(api, made, "folder"));
    send(api, made);
    until(api, made, there(1));
    String path = place(api, made).path("path").asString();
    String id = place(api, made).path("id").asString();
    String at = "/api/sites/" + made.site() + "/destinations/" + id;
    assertThat(api.put(at + "/follows", Map.of("follows", false)).status()).isEqualTo(204);
    assertThat(place(api, made).path("follows").asBoolean()).isFalse();
    assertThat(api.delete(at).status()).isEqualTo(204);
    assertThat(api.delete(at).status()).isEqualTo(404);
    assertThat(place(api, made).isMissingNode()).isTrue();
    assertThat(reader(api, made, "folder", temp).read(path + "index.html")).isNotEmpty();
  }
}
