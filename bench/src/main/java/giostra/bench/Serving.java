package giostra.bench;

import giostra.server.testing.Api;
import java.io.BufferedInputStream;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;

/** Live pages beside the same files from nginx, and while many send slowly. */
final class Serving {
  private static final int CLIENTS = 8;
  private static final int ROUNDS = 3;
  private static final long ROUND_NS = 3_000_000_000L;
  private static final int SLOW = 400;

  private Serving() {}

  /** One connection that is kept, as browsers keep theirs. */
  private static final class Kept implements AutoCloseable {
    private final URI address;
    private final byte[] request;
    private Socket socket;
    private InputStream in;

    Kept(URI address, String encoding) throws IOException {
      this.address = address;
      socket = opened();
      in = new BufferedInputStream(socket.getInputStream(), 1 << 16);
      request =
          ("GET "
                  + address.getRawPath()
                  + " HTTP/1.1\r\nHost: "
                  + address.getAuthority()
                  + "\r\nAccept-Encoding: "
                  + encoding
                  + "\r\n\r\n")
              .getBytes(StandardCharsets.US_ASCII);
    }

    private Socket opened() throws IOException {
      var made = new Socket(address.getHost(), address.getPort());
      made.setTcpNoDelay(true);
      made.setSoTimeout(60_000);
      return made;
    }

    private String line() throws IOException {
      var line = new StringBuilder();
      for (int c = in.read(); c != '\n'; c = in.read()) {
        if (c < 0) {
          throw new IOException("closed");
        }
        line.append((char) c);
      }
      return line.toString().strip();
    }

    /** Asks once; bytes of the body. */
    long ask() throws IOException {
      socket.getOutputStream().write(request);
      String status = line();
      long length = 0;
      boolean chunked = false;
      boolean closes = false;
      for (String header = line(); !header.isEmpty(); header = line()) {
        String small = header.toLowerCase(Locale.ROOT);
        if (small.startsWith("content-length:")) {
          length = Long.parseLong(small.substring(15).strip());
        }
        chunked |= small.equals("transfer-encoding: chunked");
        closes |= small.equals("connection: close");
      }
      if (!status.contains(" 200")) {
        throw new IOException(status);
      }
      long all = chunked ? 0 : length;
      if (!chunked) {
        in.skipNBytes(length);
      } else {
        all = parts();
      }
      if (closes) {
        socket.close();
        socket = opened();
        in = new BufferedInputStream(socket.getInputStream(), 1 << 16);
      }
      return all;
    }

    private long parts() throws IOException {
      long all = 0;
      for (long part = Long.parseLong(line(), 16); part > 0; part = Long.parseLong(line(), 16)) {
        in.skipNBytes(part);
        line();
        all += part;
      }
      line();
      return all;
    }

    @Override
    public void close() throws IOException {
      socket.close();
    }
  }

  /** Requests per second. */
  private static double rate(URI address, String encoding) throws InterruptedException {
    long end = System.nanoTime() + ROUND_NS;
    long all = 0;
    try (var clients = Executors.newFixedThreadPool(CLIENTS)) {
      var each = new ArrayList<Future<Long>>();
      for (int i = 0; i < CLIENTS; i++) {
        each.add(
            clients.submit(() -> {
              long done = 0;
              try (var kept = new Kept(address, encoding)) {
                while (System.nanoTime() < end) {
                  // Nobody compares what is refused.
                  if (kept.ask() == 0) {
                    throw new IOException("nothing came");
                  }
                  done++;
                }
              }
              return done;
            }));
      }
      for (Future<Long> one : each) {
        all += one.get();
      }
    } catch (ExecutionException e) {
      throw new IllegalStateException(address.toString(), e);
    }
    return all / (ROUND_NS / 1e9);
  }

  /** Prints how live pages stand beside the same files from nginx. */
  static void compare(Api api) throws IOException, InterruptedException {
    api.publish(Api.DEMO);
    byte[] bundle = api.get("/api/pages/" + Api.DEMO + "/bundle.zip").bytes();
    Path folder = Files.createTempDirectory("giostra-bench");
    Path root = folder.resolve("page");
    String sheet = "";
    String picture = "";
    try (var zip = new ZipInputStream(new ByteArrayInputStream(bundle))) {
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        Path file = root.resolve(entry.getName());
        Files.createDirectories(file.getParent());
        Files.write(file, zip.readAllBytes());
        sheet = entry.getName().endsWith(".css") ? entry.getName() : sheet;
        boolean small = Files.size(file) < 100_000;
        picture = entry.getName().endsWith(".jpg") && small ? entry.getName() : picture;
      }
    }
    int port;
    try (var free = new ServerSocket(0)) {
      port = free.getLocalPort();
    }
    Files.writeString(
        folder.resolve("nginx.conf"),
        String.format(
            Locale.ROOT,
            """
            daemon off; worker_processes 2; pid %1$s/pid; error_log stderr; %4$s
            events { worker_connections 1024; }
            http {
              access_log off; sendfile on; keepalive_requests 1000000;
              client_body_temp_path %1$s; proxy_temp_path %1$s; fastcgi_temp_path %1$s;
              uwsgi_temp_path %1$s; scgi_temp_path %1$s;
              server { listen 127.0.0.1:%2$d; root %3$s; include %3$s/for-nginx.conf; }
            }
            """,
            folder,
            port,
            root,
            System.getProperty("user.name").equals("root") ? "user root;" : ""));
    java.lang.Process nginx =
        new ProcessBuilder(
                "/usr/sbin/nginx",
                "-p",
                folder.toString(),
                "-c",
                folder.resolve("nginx.conf").toString())
            .redirectErrorStream(true)
            .redirectOutput(folder.resolve("said").toFile())
            .start();
    try {
      Thread.sleep(1000);
      String live = api.at(Api.LIVE_DEMO);
      for (String path : List.of("", sheet, picture)) {
        // Before anything is compared, all that runs is compiled.
        rate(URI.create(live + path), "identity");
        rate(URI.create(live + path), "gzip");
      }
      for (String path : List.of("", sheet, picture)) {
        for (String encoding : List.of("identity", "gzip")) {
          var ours = new ArrayList<Double>();
          var theirs = new ArrayList<Double>();
          rate(URI.create(live + path), encoding);
          for (int round = 0; round < ROUNDS; round++) {
            ours.add(rate(URI.create(live + path), encoding));
            theirs.add(rate(URI.create("http://127.0.0.1:" + port + "/" + path), encoding));
          }
          double one = Growth.share(ours, 0.5);
          double other = Growth.share(theirs, 0.5);
          System.out.printf(
              "live %s, %s: %.0f requests a second, nginx %.0f, ratio %.2f (budget 0.8)%n",
              path.isEmpty() ? "page" : path, encoding, one, other, one / other);
        }
      }
    } finally {
      nginx.destroy();
    }
  }

  /** Prints what visitors and the bench notice of many who send slowly. */
  static void slow(Api api) throws IOException, InterruptedException {
    URI bench = URI.create(api.at("/"));
    System.out.printf("before: %s%n", medians(api));
    var sockets = new ArrayList<Socket>();
    try {
      for (int i = 0; i < 2 * SLOW; i++) {
        Socket socket = new Socket(bench.getHost(), bench.getPort());
        sockets.add(socket);
        String head = "POST /api/archives HTTP/1.1\r\nHost: " + bench.getAuthority() + "\r\n";
        // Half of them never come to the end of their head.
        String rest =
            i % 2 == 0
                ? ""
                : "Authorization: Bearer "
                    + Api.SECRET
                    + "\r\nContent-Type: application/zip\r\nContent-Length: 1000000\r\n\r\nPK";
        socket.getOutputStream().write((head + rest).getBytes(StandardCharsets.US_ASCII));
      }
      System.out.printf("%d heads and %d bodies come slowly: %s%n", SLOW, SLOW, medians(api));
    } finally {
      for (Socket socket : sockets) {
        socket.close();
      }
    }
    System.out.printf("after: %s%n", medians(api));
  }

  private static String medians(Api api) {
    var live = new ArrayList<Double>();
    var shelf = new ArrayList<Double>();
    for (int i = 0; i < 60; i++) {
      long since = System.nanoTime();
      api.get(Api.LIVE_DEMO);
      live.add((System.nanoTime() - since) / 1e6);
      since = System.nanoTime();
      api.get("/api/shelf");
      shelf.add((System.nanoTime() - since) / 1e6);
    }
    return String.format(
        Locale.ROOT,
        "live page %.1f ms, shelf %.1f ms (medians of 60)",
        Growth.share(live, 0.5),
        Growth.share(shelf, 0.5));
  }
}
