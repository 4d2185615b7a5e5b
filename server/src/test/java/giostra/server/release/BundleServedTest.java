package giostra.server.release;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;

/**
 * A bundle behind a web server of somebody else's, with the rules that lie in it: each file comes
 * as the live page's does. Reference: nginx, of Debian's packages.
 */
@ExtendWith(Giostra.class)
class BundleServedTest {
  private static final List<String> AS_LIVE =
      List.of("content-type", "cache-control", "referrer-policy", "x-content-type-options");

  private static int free() throws IOException {
    try (var socket = new ServerSocket(0)) {
      return socket.getLocalPort();
    }
  }

  /** Unpacks it, and serves the folder for as long as it is open. */
  private record Served(Process server, Api api) implements AutoCloseable {
    static Served of(Map<String, byte[]> bundle, Path folder) throws Exception {
      Path root = folder.resolve("page");
      for (var each : bundle.entrySet()) {
        Path file = root.resolve(each.getKey());
        Files.createDirectories(file.getParent());
        Files.write(file, each.getValue());
      }
      int port = free();
      String user = System.getProperty("user.name").equals("root") ? "user root;" : "";
      Path settings = folder.resolve("nginx.conf");
      Files.writeString(
          settings,
          """
          daemon off; %s
          pid %s/pid; error_log stderr;
          events {}
          http {
            access_log off;
            client_body_temp_path %s; proxy_temp_path %s; fastcgi_temp_path %s;
            uwsgi_temp_path %s; scgi_temp_path %s;
            server { listen 127.0.0.1:%s; root %s; include %s/for-nginx.conf; }
          }
          """
              .replaceFirst("%s", user)
              .replaceFirst("127.0.0.1:%s", "127.0.0.1:" + port)
              .replaceFirst("root %s", "root " + root)
              .replaceFirst("include %s", "include " + root)
              .replace("%s", folder.toString()));
      Process server =
          new ProcessBuilder("/usr/sbin/nginx", "-p", folder.toString(), "-c", settings.toString())
              .redirectErrorStream(true)
              .redirectOutput(folder.resolve("said").toFile())
              .start();
      var api = new Api("http://127.0.0.1:" + port);
      for (int i = 0; i < 200; i++) {
        try {
          api.get("/");
          return new Served(server, api);
        } catch (java.io.UncheckedIOException notYet) {
          assertThat(server.isAlive()).as(Files.readString(folder.resolve("said"))).isTrue();
          Thread.sleep(50);
        }
      }
      throw new IllegalStateException(Files.readString(folder.resolve("said")));
    }

    @Override
    public void close() throws Exception {
      server.destroy();
      server.waitFor(10, TimeUnit.SECONDS);
    }
  }

  @Test
  void eachFileComesAsTheLivePagesDoes(Api live, @TempDir Path folder) throws Exception {
    Map<String, byte[]> bundle =
        LiveApiTest.unzipped(live.get("/api/pages/" + Api.DEMO + "/bundle.zip").bytes());
    try (Served served = Served.of(bundle, folder)) {
      for (String path : bundle.keySet()) {
        Api.Answer here = served.api.get("/" + path);
        if (path.equals(ServingRules.APACHE) || path.equals(ServingRules.NGINX)) {
          assertThat(here.status()).as("nobody's business: %s", path).isEqualTo(404);
          continue;
        }
        Api.Answer there = live.get(Api.LIVE_DEMO + path);
        assertThat(here.bytes()).as(path).isEqualTo(there.bytes());
        for (String header : AS_LIVE) {
          assertThat(here.header(header).replace("; ", ";"))
              .as("%s of %s", header, path)
              .isEqualToIgnoringCase(there.header(header).replace("; ", ";"));
        }
      }
      Api.Answer page = served.api.get("/");
      assertThat(page.bytes()).isEqualTo(bundle.get("index.html"));
      assertThat(page.header("content-security-policy"))
          .isEqualTo(live.get(Api.LIVE_DEMO).header("content-security-policy"));
      Api.Answer packed = served.api.get("/", "Accept-Encoding", "gzip");
      assertThat(packed.header("content-encoding")).isEqualTo("gzip");
      assertThat(served.api.get("/", "If-None-Match", page.header("etag")).status())
          .as("it is asked for each time, and need not come")
          .isEqualTo(304);
    }
  }

  /** What is not published yet can be taken along as well. */
  @Test
  void aPageThatIsNotLiveHasRulesToo(Api api) throws Exception {
    String id = api.newPage(api.document(Api.DEMO));
    Map<String, byte[]> bundle =
        LiveApiTest.unzipped(api.get("/api/pages/" + id + "/bundle.zip").bytes());
    assertThat(new String(bundle.get(ServingRules.APACHE), java.nio.charset.StandardCharsets.UTF_8))
        .contains("default-src 'none'", "AddType font/woff2 .woff2", "immutable");
  }
}
