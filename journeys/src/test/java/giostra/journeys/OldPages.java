package giostra.journeys;

import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** Pages of somebody else's, at an origin of their own. */
final class OldPages implements AutoCloseable {
  private record Answer(String html, String policy) {}

  private final Map<String, Answer> pages = new ConcurrentHashMap<>();
  private final HttpServer server;

  OldPages() {
    try {
      server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    server.createContext(
        "/",
        exchange -> {
          Answer answer = pages.get(exchange.getRequestURI().getPath());
          byte[] bytes = (answer == null ? "" : answer.html()).getBytes(StandardCharsets.UTF_8);
          exchange.getResponseHeaders().set("Content-Type", "text/html;charset=utf-8");
          if (answer != null && !answer.policy().isEmpty()) {
            exchange.getResponseHeaders().set("Content-Security-Policy", answer.policy());
          }
          exchange.sendResponseHeaders(
              answer == null ? 404 : 200, bytes.length == 0 ? -1 : bytes.length);
          exchange.getResponseBody().write(bytes);
          exchange.close();
        });
    server.start();
  }

  String origin() {
    return "http://127.0.0.1:" + server.getAddress().getPort();
  }

  /** Puts a page there and says where. */
  String put(String name, String html) {
    return put(name, html, "");
  }

  /** Puts a page there with a Content-Security-Policy, and says where. */
  String put(String name, String html, String policy) {
    pages.put("/" + name, new Answer(html, policy));
    return origin() + "/" + name;
  }

  @Override
  public void close() {
    server.stop(0);
  }
}
