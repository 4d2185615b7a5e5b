package giostra.server.people;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Who may write in a browser that is in: the bench, and no page, wherever it stands. */
@ExtendWith(Giostra.class)
class OwnOriginTest {
  /** What a browser that is in sends with every request to this host, whoever makes it. */
  private static String cookies = "";

  /** What the bench alone knows. */
  private static String form = "";

  @BeforeAll
  static void comesIn() throws IOException {
    Api api = Giostra.running();
    Map.Entry<String, String> session = api.wayIn();
    String in = session.getKey() + "=" + session.getValue();
    String told = sent(api, "GET", "/api/me", own(api), List.of("Cookie: " + in));
    String own =
        told.lines()
            .filter(line -> line.startsWith("Set-Cookie: giostra-form="))
            .findFirst()
            .orElseThrow()
            .replaceFirst("^Set-Cookie: ([^;]+);.*$", "$1");
    cookies = "Cookie: " + in + "; " + own;
    form = "Giostra-Form: " + told.replaceFirst("(?s).*\"form\":\"([^\"]+)\".*", "$1");
  }

  private static String sent(Api api, String method, String path, String host, List<String> headers)
      throws IOException {
    URI at = URI.create(api.at(path));
    var lines = new ArrayList<String>();
    lines.add(method + " " + at.getPath() + " HTTP/1.1");
    lines.add("Host: " + host);
    lines.addAll(headers);
    lines.add("Content-Length: 0");
    lines.add("Connection: close");
    String asked = String.join("\r\n", lines) + "\r\n\r\n";
    try (Socket socket = new Socket(at.getHost(), at.getPort())) {
      socket.getOutputStream().write(asked.getBytes(StandardCharsets.ISO_8859_1));
      return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  /** What a browser that is in would send, with a body of nothing; the status of the answer. */
  private static int posted(Api api, String path, String host, String... headers)
      throws IOException {
    List<String> all = Stream.concat(Stream.of(cookies), Stream.of(headers)).toList();
    return Integer.parseInt(sent(api, "POST", path, host, all).substring(9, 12));
  }

  private static String own(Api api) {
    URI at = URI.create(api.at("/"));
    return at.getHost() + ":" + at.getPort();
  }

  private static int releases(Api api, String page) {
    return api.get("/api/pages/" + page + "/releases").json().size();
  }

  private static String page(Api api) {
    return api.post("/api/sites/" + api.newSite("Guarded") + "/pages", "{\"title\":\"Guarded\"}")
        .json()
        .path("id")
        .asString();
  }

  @Test
  void aFormOnAnyPagePublishesNothing(Api api) throws IOException {
    String page = page(api);
    String publish = "/api/pages/" + page + "/releases";
    String here = "Origin: http://" + own(api);
    for (String type :
        List.of("application/x-www-form-urlencoded", "multipart/form-data", "text/plain")) {
      assertThat(posted(api, publish, own(api), here, "Content-Type: " + type))
          .as(type)
          .isEqualTo(403);
    }
    // Browsers leave the origin out, or hide it, in a few ways.
    assertThat(posted(api, publish, own(api))).isEqualTo(403);
    assertThat(posted(api, publish, own(api), "Origin: null")).isEqualTo(403);
    // Half a secret, another's, one that was made up.
    assertThat(posted(api, publish, own(api), here, "Giostra-Form: " + "a".repeat(96)))
        .isEqualTo(403);
    assertThat(posted(api, publish, own(api), here, form.substring(0, form.length() - 4)))
        .isEqualTo(403);
    assertThat(releases(api, page)).isZero();
    assertThat(posted(api, publish, own(api), here, form)).isBetween(200, 299);
    assertThat(releases(api, page)).isEqualTo(1);
  }

  @Test
  void anOriginIsOursInAllItsPartsOrNotOurs(Api api) throws IOException {
    String page = page(api);
    String publish = "/api/pages/" + page + "/releases";
    URI at = URI.create(api.at("/"));
    for (String origin :
        List.of(
            "http://" + at.getHost(),
            "https://" + own(api),
            "http://" + at.getHost() + ":" + (at.getPort() + 1),
            api.stage(),
            api.live(),
            "http://localhost:" + at.getPort(),
            "http://127.0.0.1.elsewhere.example:" + at.getPort(),
            "http://elsewhere.example",
            "null",
            "::::",
            "")) {
      assertThat(posted(api, publish, own(api), "Origin: " + origin, form))
          .as(origin)
          .isEqualTo(403);
    }
    // A name that is bound to this machine by somebody else.
    assertThat(posted(api, publish, "elsewhere.example:" + at.getPort(), form)).isEqualTo(403);
    assertThat(releases(api, page)).isZero();
  }

  @Test
  void whoIsRefusedIsToldWhy(Api api) throws IOException {
    Api.Answer answer =
        api.post("/api/pages/" + Api.DEMO + "/undo", null, "Origin", "http://elsewhere.example");
    assertThat(answer.status()).isEqualTo(403);
    assertThat(answer.json().path("detail").asString()).contains("another origin");
    String undo = "/api/pages/" + Api.DEMO + "/undo";
    assertThat(sent(api, "POST", undo, own(api), List.of(cookies))).contains("load it anew");
  }
}
