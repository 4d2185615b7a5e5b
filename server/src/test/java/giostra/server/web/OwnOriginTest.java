package giostra.server.web;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Who may write: the bench, and no page, wherever it stands. */
@ExtendWith(Giostra.class)
class OwnOriginTest {
  private static final String BENCH = "Giostra-Writes: 1";

  /** What a browser would send, with a body of nothing; the status of the answer. */
  private static int posted(Api api, String path, String host, String... headers)
      throws IOException {
    URI at = URI.create(api.at(path));
    var lines = new ArrayList<String>();
    lines.add("POST " + at.getPath() + " HTTP/1.1");
    lines.add("Host: " + host);
    lines.addAll(List.of(headers));
    lines.add("Content-Length: 0");
    lines.add("Connection: close");
    String asked = String.join("\r\n", lines) + "\r\n\r\n";
    try (Socket socket = new Socket(at.getHost(), at.getPort())) {
      socket.getOutputStream().write(asked.getBytes(StandardCharsets.ISO_8859_1));
      String answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      return Integer.parseInt(answer.substring(9, 12));
    }
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
  void aFormOnALivePagePublishesNothing(Api api) throws IOException {
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
    assertThat(releases(api, page)).isZero();
    assertThat(posted(api, publish, own(api), here, BENCH)).isBetween(200, 299);
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
            "http://localhost:" + at.getPort(),
            "http://127.0.0.1.elsewhere.example:" + at.getPort(),
            "http://elsewhere.example",
            "null",
            "::::",
            "")) {
      assertThat(posted(api, publish, own(api), "Origin: " + origin, BENCH))
          .as(origin)
          .isEqualTo(403);
    }
    // A name that is bound to this machine by somebody else.
    assertThat(posted(api, publish, "elsewhere.example:" + at.getPort(), BENCH)).isEqualTo(403);
    assertThat(releases(api, page)).isZero();
  }

  @Test
  void whoIsRefusedIsToldWhy(Api api) throws IOException {
    Api.Answer answer =
        api.post("/api/pages/" + Api.DEMO + "/undo", null, "Origin", "http://elsewhere.example");
    assertThat(answer.status()).isEqualTo(403);
    assertThat(answer.json().path("detail").asString()).contains("another origin");
  }
}
