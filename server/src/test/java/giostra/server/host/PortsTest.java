package giostra.server.host;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.server.Settings;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Three origins, each for its own. */
@ExtendWith(Giostra.class)
class PortsTest {
  private static final String BENCH_PAGE = "/pages/" + Api.DEMO;
  private static final List<String> OF_THE_BENCH =
      List.of(
          "/",
          BENCH_PAGE,
          "/api/shelf",
          "/api/pages/" + Api.DEMO,
          "/v3/api-docs",
          "/readyz",
          "/icon.svg");

  /** The head of an answer, as it comes. */
  private static String asked(String origin, String method, String path, String host)
      throws IOException {
    URI at = URI.create(origin);
    String request =
        method
            + " "
            + path
            + " HTTP/1.1\r\nHost: "
            + (host.isEmpty() ? at.getHost() + ":" + at.getPort() : host)
            + "\r\nAuthorization: Bearer "
            + Api.SECRET
            + "\r\nContent-Length: 0\r\nConnection: close\r\n\r\n";
    try (Socket socket = new Socket(at.getHost(), at.getPort())) {
      socket.getOutputStream().write(request.getBytes(StandardCharsets.ISO_8859_1));
      String answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      return answer.substring(0, answer.indexOf("\r\n\r\n"));
    }
  }

  @Test
  void whereLivePagesAreNothingElseIs(Api api) throws IOException {
    for (String path : OF_THE_BENCH) {
      assertThat(api.get(api.live() + path).status()).as(path).isEqualTo(404);
    }
    String publish = "/api/pages/" + Api.DEMO + "/releases";
    assertThat(asked(api.live(), "POST", publish, "")).startsWith("HTTP/1.1 404");
    assertThat(asked(api.live(), "POST", Api.LIVE_DEMO, "")).startsWith("HTTP/1.1 405");
    assertThat(api.get(api.live() + Api.LIVE_DEMO).status()).isEqualTo(200);
  }

  @Test
  void whereTheStageIsOnlyPreviewsAre(Api api) throws IOException {
    for (String path : OF_THE_BENCH) {
      assertThat(api.get(api.stage() + path).status()).as(path).isEqualTo(404);
    }
    assertThat(api.get(api.stage() + Api.LIVE_DEMO).status()).isEqualTo(404);
    String preview = "/api/pages/" + Api.DEMO + "/preview/";
    assertThat(api.get(api.stage() + preview).status()).isEqualTo(200);
    assertThat(asked(api.stage(), "POST", preview, "")).startsWith("HTTP/1.1 404");
  }

  @Test
  void anAddressOnTheBenchLeadsToTheLivePage(Api api) throws IOException {
    String bench = api.at("");
    assertThat(asked(bench, "GET", Api.LIVE_DEMO + "?a=b", ""))
        .startsWith("HTTP/1.1 308")
        .contains("Location: " + api.live() + Api.LIVE_DEMO + "?a=b");
    assertThat(asked(bench, "GET", "/snippets/scripts/piece.js", ""))
        .contains("Location: " + api.live() + "/snippets/scripts/piece.js");
  }

  /** A name that somebody else binds to this machine leads to none of the three. */
  @Test
  void byAnotherNameNobodyAnswers(Api api) throws IOException {
    for (String origin : List.of(api.at(""), api.live(), api.stage())) {
      int port = URI.create(origin).getPort();
      for (String host : List.of("elsewhere.example", "127.0.0.1.elsewhere.example")) {
        for (String path : List.of("/api/pages/" + Api.DEMO + "/preview/", Api.LIVE_DEMO, "/")) {
          assertThat(asked(origin, "GET", path, host + ":" + port))
              .as("%s%s as %s", origin, path, host)
              .startsWith("HTTP/1.1 4");
        }
      }
    }
  }

  /** What is published is asked of nobody: no other address may pass for it. */
  @Test
  void noRoundaboutWayLeadsPastTheGuard(Api api) throws IOException {
    for (String way :
        List.of(
            "/live/../api/shelf",
            "/live/%2e%2e/api/shelf",
            "/live/..%2fapi/shelf",
            "/live/%2E%2E%2Fapi%2Fshelf",
            "/live/x/..;/../api/shelf",
            "/live/;/../api/shelf",
            "/live/..\\api\\shelf",
            "/live//../api/shelf",
            "//api/shelf",
            "/./api/shelf",
            "/assets/../api/shelf",
            "/assets/%2e%2e/api/shelf",
            "/pages/../api/shelf",
            "/pages/x/../../api/shelf",
            "/sites/..;a=b/api/shelf",
            "/snippets/../api/shelf",
            "/api/pages/x/preview/../../../shelf",
            "http://elsewhere.example/api/shelf")) {
      for (String origin : List.of(api.at(""), api.live(), api.stage())) {
        URI at = URI.create(origin);
        String request =
            "GET "
                + way
                + " HTTP/1.1\r\nHost: "
                + at.getHost()
                + ":"
                + at.getPort()
                + "\r\nConnection: close\r\n\r\n";
        try (Socket socket = new Socket(at.getHost(), at.getPort())) {
          socket.getOutputStream().write(request.getBytes(StandardCharsets.ISO_8859_1));
          String answer =
              new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
          assertThat(answer).as("%s%s", origin, way).doesNotContain("\"sites\"");
          assertThat(answer.substring(9, 10)).as("%s%s: %s", origin, way, answer).isIn("3", "4");
        }
      }
    }
  }

  /** The three have one name, since a browser takes another for another place. */
  @Test
  void theBenchHasOneName(Api api) throws IOException {
    int port = URI.create(api.at("")).getPort();
    assertThat(asked(api.at(""), "GET", BENCH_PAGE, "localhost:" + port))
        .startsWith("HTTP/1.1 307")
        .contains("Location: " + api.at("") + BENCH_PAGE);
  }

  @Test
  void peopleGetAPageWhereNoneIsAndProgramsAProblem(Api api) {
    for (String path :
        List.of("/live/velluta/nowhere/", Api.LIVE_DEMO + "nothing.css", "/nowhere")) {
      Api.Answer people = api.get(api.live() + path, "Accept", "text/html,*/*;q=0.8");
      assertThat(people.status()).as(path).isEqualTo(404);
      assertThat(people.header("content-type")).startsWith("text/html");
      assertThat(people.text()).contains("<h1>There is no page here</h1>");
      Api.Answer programs = api.get(api.live() + path, "Accept", "*/*");
      assertThat(programs.status()).isEqualTo(404);
      assertThat(programs.header("content-type")).startsWith("application/problem+json");
      assertThat(programs.json().path("status").asInt()).isEqualTo(404);
    }
  }

  private static Ports ports(String address, String bench, String stage, String live) {
    var settings =
        new Settings(
            Path.of("blobs"),
            new Settings.Shared("", "", "", ""),
            0,
            0,
            new Settings.Origins(bench, stage, live),
            "",
            0,
            0,
            new Settings.Cantina("", ""),
            0,
            new Settings.Mail("", 0, "", "", ""),
            new Settings.Deliveries(Path.of("out"), List.of()),
            false,
            List.of());
    var listener = new LiveListener(settings, address);
    try {
      return new Ports(settings, listener, address);
    } finally {
      listener.destroy();
    }
  }

  @Test
  void beyondThisMachineItHasNamesOrDoesNotStart() {
    for (String address : List.of("0.0.0.0", "192.0.2.7", "::")) {
      assertThatThrownBy(() -> ports(address, "", "", ""))
          .as(address)
          .hasMessageContaining("GIOSTRA_BENCH_ORIGIN");
      assertThatThrownBy(() ->
              ports(
                  address, "http://bench.example", "https://stage.example", "https://live.example"))
          .hasMessageContaining("by https");
    }
    Ports named =
        ports("0.0.0.0", "https://bench.a.example", "https://stage.a.example", "https://b.example");
    assertThat(named.all())
        .containsExactlyInAnyOrder(
            "https://bench.a.example", "https://stage.a.example", "https://b.example");
    assertThat(named.common()).contains("a.example");
    // What they have in common is no domain of theirs.
    assertThatThrownBy(() ->
            ports("0.0.0.0", "https://bench.example", "https://stage.example", "https://c.example"))
        .hasMessageContaining("beneath one domain");
    assertThatThrownBy(() -> ports("127.0.0.1", "https://Bench.example/path", "", ""))
        .hasMessageContaining("is no origin");
  }
}
