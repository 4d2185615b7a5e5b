package giostra.server.host;

import static org.assertj.core.api.Assertions.assertThat;

import com.aayushatharva.brotli4j.decoder.Decoder;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.io.BufferedInputStream;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.GZIPInputStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What visitors are answered, as it goes over the wire. Source: RFC 9110 and 9112. */
@ExtendWith(Giostra.class)
class LiveListenerTest {
  /** An answer as it came. */
  private record Came(int status, Map<String, String> headers, byte[] body) {
    String header(String name) {
      return headers.getOrDefault(name, "");
    }
  }

  /** One connection. */
  private static final class Wire implements AutoCloseable {
    private final Socket socket;
    private final BufferedInputStream in;
    private final String host;

    Wire(Api api) throws IOException {
      URI at = URI.create(api.live());
      host = at.getAuthority();
      socket = new Socket(at.getHost(), at.getPort());
      socket.setSoTimeout(5_000);
      in = new BufferedInputStream(socket.getInputStream());
    }

    void send(String raw) throws IOException {
      socket.getOutputStream().write(raw.getBytes(StandardCharsets.ISO_8859_1));
    }

    String request(String method, String path, String... headers) {
      String more = headers.length == 0 ? "" : String.join("\r\n", headers) + "\r\n";
      return method + " " + path + " HTTP/1.1\r\nHost: " + host + "\r\n" + more + "\r\n";
    }

    Came ask(String method, String path, String... headers) throws IOException {
      send(request(method, path, headers));
      return next(method.equals("HEAD"));
    }

    private @Nullable String line() throws IOException {
      var line = new StringBuilder();
      for (int c = in.read(); c != '\n'; c = in.read()) {
        if (c < 0) {
          return null;
        }
        line.append((char) c);
      }
      return line.toString().strip();
    }

    Came next(boolean head) throws IOException {
      String first = line();
      if (first == null) {
        return new Came(0, Map.of(), new byte[0]);
      }
      int status = Integer.parseInt(first.substring(9, 12));
      var headers = new HashMap<String, String>();
      for (String each = line(); each != null && !each.isEmpty(); each = line()) {
        int colon = each.indexOf(':');
        headers.put(
            each.substring(0, colon).toLowerCase(Locale.ROOT), each.substring(colon + 1).strip());
      }
      byte[] body = new byte[0];
      if (!head && status != 304) {
        if (headers.getOrDefault("transfer-encoding", "").equals("chunked")) {
          body = parts();
        } else {
          body = in.readNBytes(Integer.parseInt(headers.getOrDefault("content-length", "0")));
        }
      }
      return new Came(status, headers, body);
    }

    private byte[] parts() throws IOException {
      var all = new java.io.ByteArrayOutputStream();
      while (true) {
        int length = Integer.parseInt(String.valueOf(line()), 16);
        all.write(in.readNBytes(length));
        line();
        if (length == 0) {
          return all.toByteArray();
        }
      }
    }

    @Override
    public void close() throws IOException {
      socket.close();
    }
  }

  private static String published(Api api) {
    return URI.create(api.publish(api.page(Api.DEMO).path("id").asString())).getPath();
  }

  private static String fileOf(Api api, String page, String kind) {
    Matcher named =
        Pattern.compile("(?:href|src)=\"([^\"]+\\." + kind + ")\"").matcher(api.get(page).text());
    assertThat(named.find()).as(kind).isTrue();
    return page + named.group(1);
  }

  @Test
  void aPageIsTheSameInEachWayOfPackingIt(Api api) throws Exception {
    String page = published(api);
    try (var wire = new Wire(api)) {
      Came plain = wire.ask("GET", page);
      assertThat(plain.status()).isEqualTo(200);
      assertThat(new String(plain.body(), StandardCharsets.UTF_8)).contains("<!DOCTYPE html>");
      assertThat(plain.header("vary")).isEqualToIgnoringCase("Accept-Encoding");
      assertThat(plain.header("date")).matches("[A-Z][a-z]{2}, .* GMT");
      for (String path : List.of(page, fileOf(api, page, "css"))) {
        byte[] bytes = wire.ask("GET", path).body();
        Came gzip = wire.ask("GET", path, "Accept-Encoding: gzip, br;q=0");
        assertThat(gzip.header("content-encoding")).isEqualTo("gzip");
        assertThat(new GZIPInputStream(new ByteArrayInputStream(gzip.body())).readAllBytes())
            .isEqualTo(bytes);
        Came brotli = wire.ask("GET", path, "Accept-Encoding: gzip, deflate, br");
        assertThat(brotli.header("content-encoding")).isEqualTo("br");
        assertThat(Decoder.decompress(brotli.body()).getDecompressedData()).isEqualTo(bytes);
        assertThat(brotli.body().length).isLessThan(gzip.body().length);
        assertThat(
                List.of(
                    gzip.header("etag"),
                    brotli.header("etag"),
                    wire.ask("HEAD", path).header("etag")))
            .doesNotHaveDuplicates();
        assertThat(
                wire.ask(
                        "GET",
                        path,
                        "Accept-Encoding: br",
                        "If-None-Match: " + brotli.header("etag"))
                    .status())
            .isEqualTo(304);
        assertThat(gzip.body().length).isLessThan(bytes.length);
      }
      String tag = plain.header("etag");
      Came known = wire.ask("GET", page, "If-None-Match: " + tag);
      assertThat(known.status()).isEqualTo(304);
      assertThat(known.header("etag")).isEqualTo(tag);
      Came head = wire.ask("HEAD", page);
      assertThat(head.header("content-length")).isEqualTo(String.valueOf(plain.body().length));
      assertThat(wire.ask("GET", page).body()).isEqualTo(plain.body());
    }
  }

  @Test
  void partsOfAFileAreThoseOfIt(Api api) throws Exception {
    String page = published(api);
    String path = fileOf(api, page, "css");
    try (var wire = new Wire(api)) {
      Came whole = wire.ask("GET", path);
      byte[] all = whole.body();
      int n = all.length;
      for (int[] each : new int[][] {{0, 0}, {0, 9}, {7, 7 + 300}, {n - 1, n - 1}, {3, n - 1}}) {
        Came part = wire.ask("GET", path, "Range: bytes=" + each[0] + "-" + each[1]);
        assertThat(part.status()).isEqualTo(206);
        assertThat(part.header("content-range"))
            .isEqualTo("bytes " + each[0] + "-" + each[1] + "/" + n);
        assertThat(part.body()).isEqualTo(Arrays.copyOfRange(all, each[0], each[1] + 1));
      }
      assertThat(wire.ask("GET", path, "Range: bytes=-20").body())
          .isEqualTo(Arrays.copyOfRange(all, n - 20, n));
      assertThat(wire.ask("GET", path, "Range: bytes=5-").body())
          .isEqualTo(Arrays.copyOfRange(all, 5, n));
      assertThat(wire.ask("GET", path, "Range: bytes=5-999999999999").body()).hasSize(n - 5);
      Came beyond = wire.ask("GET", path, "Range: bytes=" + n + "-");
      assertThat(beyond.status()).isEqualTo(416);
      assertThat(beyond.header("content-range")).isEqualTo("bytes */" + n);
      // What was kept is of another release: all of it is sent.
      assertThat(wire.ask("GET", path, "Range: bytes=0-9", "If-Range: \"other\"").status())
          .isEqualTo(200);
      assertThat(
              wire.ask("GET", path, "Range: bytes=0-9", "If-Range: " + whole.header("etag"))
                  .status())
          .isEqualTo(206);
    }
  }

  /** Many requests that come in one piece are answered in their order, prepared or not. */
  @Test
  void requestsInOnePieceAreAnsweredInTheirOrder(Api api) throws Exception {
    String page = published(api);
    String sheet = fileOf(api, page, "css");
    try (var wire = new Wire(api)) {
      byte[] first = wire.ask("GET", page).body();
      byte[] second = wire.ask("GET", sheet).body();
      var all = new StringBuilder();
      for (int i = 0; i < 20; i++) {
        all.append(wire.request("GET", page))
            .append(wire.request("GET", page + "nothing.css"))
            .append(wire.request("GET", sheet));
      }
      wire.send(all.toString());
      for (int i = 0; i < 20; i++) {
        assertThat(wire.next(false).body()).isEqualTo(first);
        assertThat(wire.next(false).status()).isEqualTo(404);
        assertThat(wire.next(false).body()).isEqualTo(second);
      }
    }
  }

  /** What is asked to be told first is not told twice. Source: RFC 9110, 10.1.1. */
  @Test
  void whatIsPassedOnIsAnsweredOnce(Api api) throws Exception {
    String page = published(api);
    try (var wire = new Wire(api)) {
      for (int i = 0; i < 3; i++) {
        assertThat(wire.ask("GET", page + "none.css", "Expect: 100-continue").status())
            .isEqualTo(404);
        assertThat(wire.ask("HEAD", page + "none.css").status()).isEqualTo(404);
        assertThat(wire.ask("GET", "/live/nowhere/nothing").status()).isIn(301, 404);
        assertThat(wire.ask("OPTIONS", "/snippets/scripts/none.js").status()).isLessThan(500);
        assertThat(wire.ask("GET", page).status()).isEqualTo(200);
      }
    }
  }

  @Test
  void whatIsNoRequestIsRefused(Api api) throws Exception {
    String page = published(api);
    String host = "Host: " + URI.create(api.live()).getAuthority() + "\r\n";
    for (String raw :
        List.of(
            "GET " + page + " HTTP/1.1\r\n" + host + "X: " + "a".repeat(40_000) + "\r\n\r\n",
            "GET /live/" + "a".repeat(20_000) + " HTTP/1.1\r\n" + host + "\r\n",
            "GET " + page + " HTTP/1.1\r\n" + host + "Content-Length: 5\r\n\r\nhello",
            "GET "
                + page
                + " HTTP/1.1\r\n"
                + host
                + "Transfer-Encoding: chunked\r\n\r\n5\r\nhello\r\n",
            "GET "
                + page
                + " HTTP/1.1\r\n"
                + host
                + "Content-Length: 4\r\nTransfer-Encoding: chunked\r\n\r\n3\r\nabc\r\n0\r\n\r\n",
            "GET " + page + " HTTP/1.1\r\n" + host + host + "\r\n",
            "GET " + page + " HTTP/1.1\r\n\r\n",
            "\0\1\2\3\r\n\r\n",
            "PUT " + page + " HTTP/1.1\r\n" + host + "Content-Length: 999999999\r\n\r\n")) {
      try (var wire = new Wire(api)) {
        wire.send(raw);
        assertThat(wire.next(false).status()).as(raw).isBetween(400, 499);
      }
    }
    try (var wire = new Wire(api)) {
      assertThat(wire.ask("GET", page).status()).isEqualTo(200);
    }
  }

  /** Those that speak an older version, and those that want no more. */
  @Test
  void aConnectionIsClosedForWhoAsksForThat(Api api) throws Exception {
    String page = published(api);
    for (String path : List.of(page, page + "nothing.css")) {
      for (String raw :
          List.of(
              "GET " + path + " HTTP/1.0\r\nHost: %s\r\n\r\n",
              "GET " + path + " HTTP/1.1\r\nHost: %s\r\nConnection: close\r\n\r\n")) {
        try (var wire = new Wire(api)) {
          wire.send(raw.replace("%s", URI.create(api.live()).getAuthority()));
          Came came = wire.next(false);
          assertThat(came.status()).isEqualTo(path.equals(page) ? 200 : 404);
          assertThat(came.header("connection")).isEqualTo("close");
          assertThat(wire.next(false).status()).isZero();
        }
      }
    }
  }
}
