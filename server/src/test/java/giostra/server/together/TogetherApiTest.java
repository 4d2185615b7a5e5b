package giostra.server.together;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.page.Edit;
import giostra.core.page.PageSettings;
import giostra.server.bell.Bell;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Several people on one page. */
@ExtendWith(Giostra.class)
class TogetherApiTest {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  /** Server-sent events of a page, as a browser reads them. Source: HTML, 9.2.6. */
  private static final class Listening implements AutoCloseable {
    private final HttpClient client = HttpClient.newHttpClient();
    private final BlockingQueue<Map.Entry<String, JsonNode>> heard = new LinkedBlockingQueue<>();
    private final Thread thread;

    Listening(Api api, String page, String... headers) throws Exception {
      HttpResponse<Stream<String>> answer =
          client.send(
              HttpRequest.newBuilder(URI.create(api.at("/api/pages/" + page + "/events")))
                  .headers(headers)
                  .build(),
              HttpResponse.BodyHandlers.ofLines());
      assertThat(answer.statusCode()).isEqualTo(200);
      assertThat(answer.headers().firstValue("content-type").orElse(""))
          .startsWith("text/event-stream");
      thread = Thread.ofVirtual().start(() -> read(answer.body()));
    }

    private void read(Stream<String> lines) {
      String[] name = {""};
      lines.forEach(line -> {
        if (line.startsWith("event:")) {
          name[0] = line.substring(6).strip();
        } else if (line.startsWith("data:")) {
          heard.add(Map.entry(name[0], JSON.readTree(line.substring(5))));
        }
      });
    }

    /** The next event of a kind, within five seconds. */
    JsonNode next(String kind) throws InterruptedException {
      while (true) {
        Map.Entry<String, JsonNode> each = heard.poll(5, TimeUnit.SECONDS);
        if (each == null) {
          throw new AssertionError("nothing is heard of " + kind);
        }
        if (each.getKey().equals(kind)) {
          return each.getValue();
        }
      }
    }

    /** Whether nothing more is heard for so long. */
    boolean isSilent(int ms) throws InterruptedException {
      Thread.sleep(ms);
      heard.removeIf(each -> each.getKey().equals("missed"));
      return heard.isEmpty();
    }

    @Override
    public void close() {
      client.shutdownNow();
      thread.interrupt();
    }
  }

  private static Edit title(String text) {
    return new Edit.SetValue("page", PageSettings.TITLE.id(), "", text);
  }

  @Test
  void whatOthersChangeIsHeardAndCaughtUpWith(Api api) throws Exception {
    String site = api.copyOfDemo();
    String page = site + "-evenings-at-velluta";
    Api.Member other = api.member(site, "designer");
    try (var here = new Listening(api, page, "Authorization", "Bearer " + Api.SECRET)) {
      assertThat(here.next("here")).isEmpty();
      int revision = api.page(page).path("revision").asInt();
      int siteRevision = api.page(page).path("siteRevision").asInt();
      long before = System.nanoTime();
      Api.Answer edited =
          api.ask(
              other,
              "POST",
              "/api/pages/" + page + "/edits",
              "{\"revision\":%d,\"edits\":[{\"type\":\"SetValue\",\"node\":\"page\",\"setting\":\"title\",\"band\":\"\",\"value\":\"Heard\"}]}"
                  .formatted(revision));
      assertThat(edited.status()).isEqualTo(200);
      JsonNode changed = here.next("changed");
      long ms = (System.nanoTime() - before) / 1_000_000;
      System.out.printf("measured: another's edit is heard after %d ms%n", ms);
      assertThat(changed.path("revision").asInt()).isEqualTo(revision + 1);
      assertThat(changed.path("by").asString()).isEqualTo("A designer");
      JsonNode since =
          api.get("/api/pages/" + page + "/changes?has=" + revision + "." + siteRevision).json();
      assertThat(since.path("page").path("revision").asInt()).isEqualTo(revision + 1);
      assertThat(since.toString()).contains("Heard");
      // A change of the site is heard on each of its pages.
      String second =
          api.post("/api/sites/" + site + "/pages", Map.of("title", "A second"))
              .json()
              .path("id")
              .asString();
      JsonNode band = api.page(page).path("document").path("site").path("bands").get(1);
      api.edit(
          second,
          0,
          new Edit.MoveBreakpoint(band.path("id").asString(), band.path("from").asDouble() + 1));
      JsonNode shared = here.next("changed");
      assertThat(shared.path("ofSite").asBoolean()).isTrue();
      assertThat(shared.path("siteRevision").asInt()).isGreaterThan(siteRevision);
    }
  }

  /** What was refused, or taken back by the database, never happened. */
  @Test
  void whatDidNotHappenIsNotHeard(Api api) throws Exception {
    String site = api.copyOfDemo();
    String page = site + "-evenings-at-velluta";
    try (var here = new Listening(api, page, "Authorization", "Bearer " + Api.SECRET)) {
      assertThat(here.next("here")).isEmpty();
      int revision = api.page(page).path("revision").asInt();
      assertThat(api.edit(page, revision, title("a".repeat(5000))).status()).isEqualTo(422);
      assertThat(api.edit(page, revision, title("Last")).status()).isEqualTo(200);
      JsonNode first = here.next("changed");
      assertThat(first.path("revision").asInt()).isEqualTo(revision + 1);
    }
  }

  @Test
  void eachSeesWhereOthersAre(Api api) throws Exception {
    String site = api.copyOfDemo();
    String page = site + "-evenings-at-velluta";
    Api.Member other = api.member(site, "reviewer");
    String path = "/api/pages/" + page + "/here";
    try (var here = new Listening(api, page, "Authorization", "Bearer " + Api.SECRET)) {
      assertThat(here.next("here")).isEmpty();
      var where = Map.of("window", "w1", "node", "houses", "path", "houses/name/", "gone", false);
      assertThat(api.ask(other, "POST", path, where).status()).isEqualTo(204);
      JsonNode all = here.next("here");
      assertThat(all).hasSize(1);
      assertThat(all.get(0).path("name").asString()).isEqualTo("A reviewer");
      assertThat(all.get(0).path("node").asString()).isEqualTo("houses");
      // Who comes later is told at once.
      try (var later =
          new Listening(api, page, "Authorization", "None", "Cookie", other.cookie())) {
        assertThat(later.next("here")).hasSize(1);
      }
      var gone = Map.of("window", "w1", "node", "", "path", "", "gone", true);
      assertThat(api.ask(other, "POST", path, gone).status()).isEqualTo(204);
      assertThat(here.next("here")).isEmpty();
      assertThat(
              api.ask(
                      other,
                      "POST",
                      path,
                      Map.of("window", "w", "node", "a".repeat(201), "path", "", "gone", false))
                  .status())
          .isEqualTo(422);
    }
  }

  /** Whoever reads nothing of what they are told is let go, and nobody else waits for them. */
  @Test
  void whoReadsNothingHoldsUpNobody(Api api) throws Exception {
    String site = api.copyOfDemo();
    String page = site + "-evenings-at-velluta";
    String other =
        api.post("/api/sites/" + site + "/pages", Map.of("title", "Another"))
            .json()
            .path("id")
            .asString();
    URI at = URI.create(api.at("/"));
    try (var deaf = new Socket()) {
      deaf.setReceiveBufferSize(1024);
      deaf.connect(new InetSocketAddress(at.getHost(), at.getPort()));
      deaf.getOutputStream()
          .write(
              ("GET /api/pages/%s/events HTTP/1.1\r\nHost: %s\r\nAuthorization: Bearer %s\r\n\r\n")
                  .formatted(page, at.getAuthority(), Api.SECRET)
                  .getBytes(StandardCharsets.US_ASCII));
      assertThat(deaf.getInputStream().read()).isEqualTo('H');
      try (var here = new Listening(api, other, "Authorization", "Bearer " + Api.SECRET)) {
        assertThat(here.next("here")).isEmpty();
        // More than what waits for it on the way, here and in the kernel's buffers.
        Bell bell = Giostra.bean(Bell.class);
        for (int i = 0; i < 2000; i++) {
          bell.ring(site, page, "changed", Map.of("text", "n".repeat(7000)));
        }
        var where = Map.of("window", "last", "node", "", "path", "", "gone", false);
        assertThat(api.post("/api/pages/" + other + "/here", where).status()).isEqualTo(204);
        assertThat(here.next("here").toString()).contains("last");
      }
    }
  }

  /** A start that comes right after a stop, again and again: it listens each time. */
  @Test
  void whatIsStartedAgainListens(Api api) throws Exception {
    String site = api.copyOfDemo();
    String page = site + "-evenings-at-velluta";
    Ears ears = Giostra.bean(Ears.class);
    for (int i = 0; i < 20; i++) {
      ears.stop();
      ears.start();
      assertThat(ears.isRunning()).isTrue();
    }
    try (var here = new Listening(api, page, "Authorization", "Bearer " + Api.SECRET)) {
      assertThat(here.next("here")).isEmpty();
      var where = Map.of("window", "once", "node", "", "path", "", "gone", false);
      // What is told before it has come to listen is not heard.
      for (int i = 0; i < 20 && here.isSilent(250); i++) {
        assertThat(api.post("/api/pages/" + page + "/here", where).status()).isEqualTo(204);
      }
      assertThat(here.next("here")).hasSize(1);
    }
  }

  @Test
  void whatNobodyHasIsSaid(Api api) {
    String changes = "/api/pages/" + Api.DEMO + "/changes?has=";
    assertThat(api.get(changes + "1").status()).isEqualTo(422);
    assertThat(api.get(changes + "99999.0").status()).isEqualTo(404);
    assertThat(api.get(changes + "0.99999").status()).isEqualTo(404);
  }
}
