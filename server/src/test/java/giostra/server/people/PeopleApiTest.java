package giostra.server.people;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.net.URI;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Who is let in, and what each may do. */
@ExtendWith(Giostra.class)
class PeopleApiTest {
  /** What anybody may ask: whether the server lives, the bench's own files, published pages. */
  private static final List<String> OPEN =
      List.of(
          "get /",
          "get /icon.svg",
          "get /assets/{file}",
          "get /pages/{id}",
          "get /pages/{id}/{step}",
          "get /sites/{id}/media",
          "get /live/{site}/sitemap.xml",
          "get /live/{site}/{page}",
          "get /live/{site}/{page}/",
          "get /live/{site}/{page}/{path}",
          "get /api/me",
          "post /api/sign-ins/asked",
          "post /api/sign-ins/passkey",
          "post /api/ways-in",
          "post /api/sign-ins",
          "post /api/reviews",
          "get /review");

  private record Operation(String method, String path) {
    String name() {
      return method + " " + path;
    }

    /** With something of the demo in its place, so that it would find what it asks for. */
    String address() {
      String usual =
          path.replace("{siteId}", "velluta")
              .replaceFirst("^/api/pages/\\{id}", "/api/pages/" + Api.DEMO)
              .replace("{number}", "1");
      return usual.replaceAll("\\{[^}]+}", "nothing");
    }
  }

  private static List<Operation> operations(Api api) {
    var all = new ArrayList<Operation>();
    for (var path : api.get("/v3/api-docs").json().path("paths").properties()) {
      for (var method : path.getValue().properties()) {
        all.add(new Operation(method.getKey(), path.getKey()));
      }
    }
    return all;
  }

  private static String token(Api api, boolean changes) {
    JsonNode made =
        api.post("/api/me/tokens", Map.of("name", "For a build", "changes", changes, "days", 3))
            .json();
    return made.path("token").asString();
  }

  /** Every operation of the description, by nobody, by who shows what is none, and by who looks. */
  @Test
  void eachOperationAsksWhoItIs(Api api) {
    String looks = token(api, false);
    int closed = 0;
    int refused = 0;
    for (Operation each : operations(api)) {
      String method = each.method().toUpperCase(java.util.Locale.ROOT);
      String body = method.equals("GET") || method.equals("DELETE") ? null : "{}";
      boolean open = OPEN.contains(each.name());
      if (!open) {
        for (String token : List.of("", "gst_none", "x".repeat(5000), Api.SECRET + "x")) {
          assertThat(api.as(token, method, each.address(), body).status())
              .as("%s by %s", each.name(), token.isEmpty() ? "nobody" : "another")
              .isEqualTo(401);
        }
        closed++;
        if (!method.equals("GET")) {
          assertThat(api.as(looks, method, each.address(), body).status())
              .as("%s by who looks", each.name())
              .isEqualTo(403);
          refused++;
        }
      }
    }
    System.out.printf(
        "measured: %d operations let nobody in who shows nothing; %d of them change something%n",
        closed, refused);
    assertThat(closed).isGreaterThan(100);
    assertThat(refused).isGreaterThan(50);
    assertThat(api.as(looks, "GET", "/api/pages/" + Api.DEMO, null).status()).isEqualTo(200);
  }

  @Test
  void aKeyLetsInOnce(Api api) {
    JsonNode made = api.post("/api/keys", null).json();
    String key = made.path("key").asString();
    assertThat(made.path("address").asString()).isEqualTo(api.at("/#key=" + key));
    Api.Answer in = api.post("/api/ways-in", Map.of("key", key));
    assertThat(in.status()).isEqualTo(204);
    assertThat(in.header("set-cookie"))
        .startsWith("giostra-" + URI.create(api.at("/")).getPort() + "=")
        .contains("HttpOnly", "SameSite=Strict", "Path=/", "Max-Age=2592000");
    for (String other : List.of(key, "", "nothing", key + key)) {
      Api.Answer again = api.post("/api/ways-in", Map.of("key", other));
      assertThat(again.status()).isEqualTo(422);
      assertThat(again.text()).contains("./giostra start").doesNotContain(key);
      assertThat(again.header("set-cookie")).isEmpty();
    }
  }

  private static List<JsonNode> sessions(Api api, String cookie) {
    var all = new ArrayList<JsonNode>();
    api.get("/api/me/sessions", "Authorization", "None", "Cookie", cookie).json().forEach(all::add);
    return all;
  }

  @Test
  void aBrowserThatIsEndedIsOutAtOnce(Api api) {
    Map.Entry<String, String> one = api.wayIn();
    Map.Entry<String, String> other = api.wayIn();
    String first = one.getKey() + "=" + one.getValue();
    String second = other.getKey() + "=" + other.getValue();
    JsonNode own =
        sessions(api, second).stream()
            .filter(each -> each.path("own").asBoolean())
            .findFirst()
            .orElseThrow();
    // What is told of it opens nothing.
    assertThat(other.getValue()).doesNotContain(own.path("id").asString());
    assertThat(sessions(api, first).stream().filter(each -> each.path("own").asBoolean()))
        .hasSize(1);
    assertThat(api.delete("/api/me/sessions/" + own.path("id").asString()).status()).isEqualTo(204);
    assertThat(api.get("/api/shelf", "Authorization", "None", "Cookie", second).status())
        .isEqualTo(401);
    assertThat(api.get("/api/shelf", "Authorization", "None", "Cookie", first).status())
        .isEqualTo(200);
  }

  @Test
  void aTokenIsToldOnceAndEnded(Api api) {
    String token = token(api, true);
    assertThat(token).startsWith("gst_").hasSizeGreaterThan(30);
    assertThat(api.as(token, "POST", "/api/sites", "{\"name\":\"By a build\"}").status())
        .isEqualTo(201);
    Api.Answer all = api.get("/api/me/tokens");
    assertThat(all.text()).doesNotContain(token);
    JsonNode line = all.json().get(all.json().size() - 1);
    assertThat(line.path("usedAt").isNull()).isFalse();
    assertThat(line.path("until").isNull()).isFalse();
    assertThat(api.delete("/api/me/tokens/" + line.path("id").asString()).status()).isEqualTo(204);
    assertThat(api.as(token, "GET", "/api/shelf", null).status()).isEqualTo(401);
    assertThat(api.delete("/api/me/tokens/" + line.path("id").asString()).status()).isEqualTo(404);
  }

  /** What a token made would outlive it. */
  @Test
  void aTokenLetsNobodyElseIn(Api api) {
    String changes = token(api, true);
    String made = "{\"name\":\"Another\",\"changes\":true}";
    for (var each :
        List.of(
            api.as(changes, "POST", "/api/keys", null),
            api.as(changes, "POST", "/api/me/tokens", made),
            api.as(changes, "GET", "/api/me/tokens", null),
            api.as(changes, "GET", "/api/me/sessions", null),
            api.as(changes, "DELETE", "/api/me/sessions/nothing", null))) {
      assertThat(each.status()).isEqualTo(403);
      assertThat(each.text()).contains("A token lets nobody in");
    }
  }

  /** Sixty at once are no more than there may be. */
  @Test
  void tokensThatAreMadeAtOnceAreCounted(Api api) throws InterruptedException {
    int before = api.get("/api/me/tokens").json().size();
    var made = new ConcurrentLinkedQueue<String>();
    try (var many = Executors.newFixedThreadPool(8)) {
      for (int i = 0; i < 60; i++) {
        many.execute(() -> {
          Api.Answer answer =
              api.post("/api/me/tokens", Map.of("name", "At once", "changes", false));
          if (answer.status() == 201) {
            made.add(answer.json().path("id").asString());
          } else {
            assertThat(answer.text()).contains("at most 50");
          }
        });
      }
    }
    assertThat(before + made.size()).isEqualTo(50);
    made.forEach(id -> assertThat(api.delete("/api/me/tokens/" + id).status()).isEqualTo(204));
  }

  @Test
  void whatNoTokenCanBeIsSaid(Api api) {
    assertThat(api.post("/api/me/tokens", "{\"name\":\"\",\"changes\":true}").text())
        .contains("1 to 80 characters");
    assertThat(api.post("/api/me/tokens", Map.of("name", "a".repeat(81), "changes", true)).text())
        .contains("81 characters");
    for (int days : new int[] {0, -1, 99_999}) {
      assertThat(
              api.post("/api/me/tokens", Map.of("name", "a", "changes", true, "days", days)).text())
          .contains("1 to 3660");
    }
  }

  @Test
  void whoAsksIsTold(Api api) {
    assertThat(api.get("/api/me").json().path("in").asBoolean()).isTrue();
    Api.Answer nobody = api.get("/api/me", "Authorization", "None");
    assertThat(nobody.json().path("in").asBoolean()).isFalse();
    assertThat(nobody.json().path("form").asString()).isNotEmpty();
    Api.Answer refused = api.as("gst_none", "GET", "/api/shelf", null);
    assertThat(refused.header("www-authenticate")).contains("invalid_token");
    assertThat(refused.header("cache-control")).contains("no-store");
    assertThat(refused.json().path("detail").asString()).contains("none of this server's");
  }
}
