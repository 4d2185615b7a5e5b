package giostra.server.cantina;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import giostra.server.Settings;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.URI;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;

/**
 * The place: a store of objects beneath {@code /s3/bucket/}, a server that takes files beneath
 * {@code /dav/}; anybody may read both. Told to {@code POST /mischief?after=3&then=refuse}, it
 * takes three more writes and no other until it is told {@code then=nothing}: it refuses, forbids,
 * cuts the line, or keeps half of what it gets.
 */
@Component
class Cantina implements DisposableBean {
  private static final int MOST_BODY = 64 << 20;

  private final HttpServer server;
  private final Shelved shelved = new Shelved();
  private final Settings.Cantina who;
  private final AtomicInteger left = new AtomicInteger();
  private volatile String mischief = "nothing";

  Cantina(Settings settings) throws IOException {
    who = settings.cantina();
    server = HttpServer.create(new InetSocketAddress("127.0.0.1", settings.cantinaPort()), 0);
    server.setExecutor(Executors.newVirtualThreadPerTaskExecutor());
    server.createContext(
        "/",
        exchange -> {
          try (exchange) {
            answer(exchange);
          }
        });
    server.start();
  }

  @Override
  public void destroy() {
    server.stop(0);
  }

  private void answer(HttpExchange to) throws IOException {
    String path =
        URLDecoder.decode(
            to.getRequestURI().getRawPath().replace("+", "%2B"), StandardCharsets.UTF_8);
    if (path.equals("/mischief")) {
      mischief(to);
    } else if (path.startsWith("/s3/")) {
      store(to, path);
    } else if (path.startsWith("/dav/")) {
      dav(to, path);
    } else {
      say(to, 200, "Cantina keeps files: /s3/bucket/ and /dav/.");
    }
  }

  private void mischief(HttpExchange to) throws IOException {
    var query = new HashMap<String, String>();
    for (String each : String.valueOf(to.getRequestURI().getRawQuery()).split("&")) {
      String[] parts = each.split("=", 2);
      query.put(parts[0], parts.length > 1 ? parts[1] : "");
    }
    left.set(Integer.parseInt(query.getOrDefault("after", "0")));
    mischief = query.getOrDefault("then", "nothing");
    say(to, 200, mischief);
  }

  /** Whether a write goes as it should; else it has been answered, badly. */
  private boolean goes(HttpExchange to, String path, byte[] body) throws IOException {
    if (mischief.equals("nothing") || left.getAndDecrement() > 0) {
      return true;
    }
    switch (mischief) {
      case "forbid" -> say(to, 403, "No.");
      case "cut" -> to.close();
      case "half" -> {
        shelved.put(path, new Shelved.Kept(Arrays.copyOf(body, body.length / 2), "text/plain", ""));
        to.close();
      }
      default -> say(to, 503, "Not now.");
    }
    return false;
  }

  private static Map<String, String> headers(HttpExchange to) {
    var headers = new HashMap<String, String>();
    to.getRequestHeaders()
        .forEach(
            (name, values) -> headers.put(name.toLowerCase(Locale.ROOT), String.join(",", values)));
    return headers;
  }

  // --- a store of objects ---

  private void store(HttpExchange to, String path) throws IOException {
    String method = to.getRequestMethod();
    if (method.equals("GET") || method.equals("HEAD")) {
      give(to, path, "<Error><Code>NoSuchKey</Code></Error>");
      return;
    }
    URI uri = to.getRequestURI();
    var signed =
        new Signed(
            method,
            uri.getRawPath(),
            uri.getRawQuery() == null ? "" : uri.getRawQuery(),
            headers(to));
    byte[] body = to.getRequestBody().readNBytes(MOST_BODY + 1);
    String told = headers(to).getOrDefault("x-amz-content-sha256", "");
    boolean whole =
        told.equals("UNSIGNED-PAYLOAD") || told.equals(HexFormat.of().formatHex(Signed.hash(body)));
    if (!signed.isBy(who.account(), who.secret()) || !whole) {
      say(to, 403, "<Error><Code>SignatureDoesNotMatch</Code></Error>");
      return;
    }
    if (!goes(to, path, body)) {
      return;
    }
    switch (method) {
      case "PUT" -> keep(to, path, body, 200);
      case "DELETE" -> {
        shelved.remove(path);
        to.sendResponseHeaders(204, -1);
      }
      default -> say(to, 501, "<Error><Code>NotImplemented</Code></Error>");
    }
  }

  private void keep(HttpExchange to, String path, byte[] body, int status) throws IOException {
    if (body.length > MOST_BODY || !shelved.hasRoom(body.length)) {
      say(to, 507, "There is no room left.");
      return;
    }
    Map<String, String> headers = headers(to);
    shelved.put(
        path,
        new Shelved.Kept(
            body,
            headers.getOrDefault("content-type", "application/octet-stream"),
            headers.getOrDefault("cache-control", "")));
    to.getResponseHeaders()
        .set("ETag", '"' + HexFormat.of().formatHex(Signed.hash(body), 0, 16) + '"');
    to.sendResponseHeaders(status, -1);
  }

  private void give(HttpExchange to, String path, String missing) throws IOException {
    Optional<Shelved.Kept> kept = shelved.find(path.endsWith("/") ? path + "index.html" : path);
    if (kept.isEmpty()) {
      say(to, 404, missing);
      return;
    }
    byte[] bytes = kept.get().bytes();
    to.getResponseHeaders().set("Content-Type", kept.get().type());
    to.getResponseHeaders().set("X-Content-Type-Options", "nosniff");
    to.getResponseHeaders()
        .set("Cache-Control", kept.get().caching().isEmpty() ? "no-cache" : kept.get().caching());
    if (to.getRequestMethod().equals("HEAD")) {
      to.getResponseHeaders().set("Content-Length", Integer.toString(bytes.length));
      to.sendResponseHeaders(200, -1);
    } else {
      to.sendResponseHeaders(200, bytes.length == 0 ? -1 : bytes.length);
      to.getResponseBody().write(bytes);
    }
  }

  // --- a server that takes files; source: RFC 4918 ---

  private void dav(HttpExchange to, String path) throws IOException {
    String method = to.getRequestMethod();
    if (method.equals("GET") || method.equals("HEAD")) {
      give(to, path, "There is nothing there.");
      return;
    }
    byte[] body = to.getRequestBody().readNBytes(MOST_BODY + 1);
    byte[] both = (who.account() + ":" + who.secret()).getBytes(StandardCharsets.UTF_8);
    if (!("Basic " + Base64.getEncoder().encodeToString(both))
        .equals(headers(to).get("authorization"))) {
      to.getResponseHeaders().set("WWW-Authenticate", "Basic realm=\"Cantina\"");
      say(to, 401, "Who is it?");
      return;
    }
    if (!method.equals("MKCOL") && !goes(to, path, body)) {
      return;
    }
    switch (method) {
      case "MKCOL" -> makeFolder(to, path.endsWith("/") ? path : path + "/");
      case "PUT" -> {
        if (shelved.isFolder(parent(path))) {
          keep(to, path, body, shelved.find(path).isPresent() ? 204 : 201);
        } else {
          say(to, 409, "There is no such collection.");
        }
      }
      case "MOVE" -> move(to, path);
      case "DELETE" -> to.sendResponseHeaders(shelved.remove(path) ? 204 : 404, -1);
      default -> say(to, 405, "Not that.");
    }
  }

  private static String parent(String path) {
    return path.substring(0, path.lastIndexOf('/', path.length() - 2) + 1);
  }

  private void makeFolder(HttpExchange to, String folder) throws IOException {
    if (shelved.isFolder(folder)) {
      say(to, 405, "There is one.");
    } else if (!shelved.isFolder(parent(folder))) {
      say(to, 409, "There is nothing that it could be in.");
    } else {
      shelved.make(folder);
      to.sendResponseHeaders(201, -1);
    }
  }

  private void move(HttpExchange to, String path) throws IOException {
    String there = headers(to).getOrDefault("destination", "");
    String target = URI.create(there).getPath();
    boolean over = shelved.find(target).isPresent();
    if (over && "F".equals(headers(to).get("overwrite"))) {
      say(to, 412, "There is one.");
    } else if (!target.startsWith("/dav/") || !shelved.isFolder(parent(target))) {
      say(to, 409, "There is no such collection.");
    } else if (shelved.move(path, target)) {
      to.sendResponseHeaders(over ? 204 : 201, -1);
    } else {
      say(to, 404, "There is nothing there.");
    }
  }

  private static void say(HttpExchange to, int status, String text) throws IOException {
    byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
    to.getResponseHeaders()
        .set("Content-Type", text.startsWith("<") ? "application/xml" : "text/plain;charset=utf-8");
    to.getResponseHeaders().set("X-Content-Type-Options", "nosniff");
    if (to.getRequestMethod().equals("HEAD")) {
      to.sendResponseHeaders(status, -1);
    } else {
      to.sendResponseHeaders(status, bytes.length);
      to.getResponseBody().write(bytes);
    }
  }
}
