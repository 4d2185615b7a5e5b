package giostra.server.falena;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import giostra.server.Settings;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetSocketAddress;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;

/**
 * The host: pages at {@code /watch/id}, {@code /watch?clip=id} and {@code /w/id}, players at {@code
 * /embed/id}, pictures, clips, and an endpoint for oEmbed. Clips named like a {@link Mischief} do
 * what that says; {@code private} asks for a permission that nobody has.
 */
@Component
class Falena implements DisposableBean {
  private final HttpServer server;
  private final String origin;

  Falena(Settings settings) throws IOException {
    server = HttpServer.create(new InetSocketAddress("127.0.0.1", settings.falenaPort()), 0);
    origin = "http://127.0.0.1:" + server.getAddress().getPort();
    server.setExecutor(Executors.newVirtualThreadPerTaskExecutor());
    server.createContext(
        "/",
        exchange -> {
          try (exchange) {
            answer(new Answer(exchange));
          }
        });
    server.start();
  }

  @Override
  public void destroy() {
    server.stop(0);
  }

  /** One request and what is said to it. */
  private record Answer(HttpExchange exchange) {
    String path() {
      return exchange.getRequestURI().getPath();
    }

    Map<String, String> query() {
      var query = new HashMap<String, String>();
      String text = exchange.getRequestURI().getRawQuery();
      for (String pair : text == null ? new String[0] : text.split("&")) {
        String[] parts = pair.split("=", 2);
        query.put(
            parts[0], parts.length > 1 ? URLDecoder.decode(parts[1], StandardCharsets.UTF_8) : "");
      }
      return query;
    }

    void header(String name, String value) {
      exchange.getResponseHeaders().set(name, value);
    }

    void say(int status, String type, String text) throws IOException {
      bytes(status, type, text.getBytes(StandardCharsets.UTF_8));
    }

    void bytes(int status, String type, byte[] bytes) throws IOException {
      header("Content-Type", type);
      header("X-Content-Type-Options", "nosniff");
      exchange.sendResponseHeaders(status, bytes.length == 0 ? -1 : bytes.length);
      exchange.getResponseBody().write(bytes);
    }

    void to(String address) throws IOException {
      header("Location", address);
      exchange.sendResponseHeaders(302, -1);
    }

    void missing() throws IOException {
      say(404, "text/plain;charset=utf-8", "Falena has nothing there.");
    }
  }

  private void answer(Answer to) throws IOException {
    String[] parts = to.path().substring(1).split("/");
    String last = parts.length > 1 ? parts[1] : to.query().getOrDefault("clip", "");
    switch (parts[0]) {
      case "" -> to.say(200, "text/html;charset=utf-8", Pages.index());
      case "watch" -> watch(to, last);
      case "w" -> to.to("/watch/" + last);
      case "embed" -> embed(to, last);
      case "thumbs" -> picture(to, last.replace(".jpg", ""));
      case "clips" -> clip(to, last);
      case "oembed" -> oembed(to);
      default -> to.missing();
    }
  }

  private void watch(Answer to, String id) throws IOException {
    Optional<Clip> clip = Clip.find(id);
    if (clip.isEmpty()) {
      to.missing();
      return;
    }
    to.say(200, "text/html;charset=utf-8", Pages.watch(origin, clip.get()));
  }

  private void embed(Answer to, String id) throws IOException {
    if (id.equals(word(Mischief.SCENE))) {
      to.say(200, "text/html;charset=utf-8", Pages.scene());
      return;
    }
    Optional<Clip> clip = Clip.find(id);
    if (clip.isEmpty()) {
      to.missing();
      return;
    }
    boolean starts = "1".equals(to.query().get("autoplay"));
    String at = to.query().getOrDefault("start", "0").replaceAll("[^0-9.]", "");
    to.say(200, "text/html;charset=utf-8", Pages.player(clip.get(), starts, at));
  }

  private void picture(Answer to, String id) throws IOException {
    if (id.equals(word(Mischief.ASTRAY))) {
      to.to("http://127.0.0.1:1/private");
    } else if (Clip.find(id).isEmpty()) {
      to.missing();
    } else {
      to.bytes(200, "image/jpeg", load(id + ".jpg"));
    }
  }

  private static final Pattern RANGE = Pattern.compile("bytes=(\\d+)-(\\d*)");

  /** The file of a clip, in part where that is asked. Source: RFC 9110, 14 "Range Requests". */
  private void clip(Answer to, String file) throws IOException {
    if (Clip.find(file.replace(".webm", "")).isEmpty()) {
      to.missing();
      return;
    }
    byte[] whole = load(file);
    to.header("Accept-Ranges", "bytes");
    String asked = to.exchange.getRequestHeaders().getFirst("Range");
    Matcher range = RANGE.matcher(asked == null ? "" : asked);
    if (!range.matches() || Integer.parseInt(range.group(1)) >= whole.length) {
      to.bytes(200, "video/webm", whole);
      return;
    }
    int from = Integer.parseInt(range.group(1));
    int end =
        range.group(2).isEmpty()
            ? whole.length
            : Math.min(whole.length, Integer.parseInt(range.group(2)) + 1);
    to.header(
        "Content-Range", String.format(Locale.ROOT, "bytes %d-%d/%d", from, end - 1, whole.length));
    to.bytes(206, "video/webm", java.util.Arrays.copyOfRange(whole, from, end));
  }

  private static byte[] load(String file) throws IOException {
    try (InputStream in = Falena.class.getResourceAsStream("/giostra/falena/" + file)) {
      if (in == null) {
        throw new IOException(file + " is missing");
      }
      return in.readAllBytes();
    }
  }

  // --- oEmbed ----------------------------------------------------------------------------------

  private static final Pattern OWN =
      Pattern.compile("http://127\\.0\\.0\\.1:\\d+/(?:watch|w|embed)(?:/|\\?clip=)([a-z]+).*");

  /** Source: oEmbed, 2.2 "Consumer Request" to 2.3.5 "Errors". */
  private void oembed(Answer to) throws IOException {
    Map<String, String> query = to.query();
    String format = query.getOrDefault("format", "json");
    Matcher own = OWN.matcher(query.getOrDefault("url", ""));
    String id = own.matches() ? own.group(1) : "";
    if (!format.equals("json") && !format.equals("xml")) {
      to.say(501, "text/plain;charset=utf-8", "Not in that format: json or xml.");
    } else if (id.equals("private")) {
      to.say(401, "text/plain;charset=utf-8", "This clip is private.");
    } else if (mischief(id).isPresent()) {
      misbehave(to, mischief(id).get(), format);
    } else if (Clip.find(id).isEmpty()) {
      to.say(404, "text/plain;charset=utf-8", "Falena has no such clip.");
    } else {
      var reply =
          new OEmbed(
              origin,
              Clip.find(id).get(),
              whole(query.get("maxwidth")),
              whole(query.get("maxheight")));
      boolean json = format.equals("json");
      to.say(
          200,
          (json ? "application/json" : "text/xml") + ";charset=utf-8",
          json ? reply.json() : reply.xml());
    }
  }

  private static int whole(@org.jspecify.annotations.Nullable String text) {
    return text != null && text.matches("\\d{1,5}") ? Integer.parseInt(text) : Integer.MAX_VALUE;
  }

  private static String word(Mischief each) {
    return each.name().toLowerCase(Locale.ROOT);
  }

  private static Optional<Mischief> mischief(String id) {
    return java.util.Arrays.stream(Mischief.values())
        .filter(each -> word(each).equals(id))
        .findFirst();
  }

  private void misbehave(Answer to, Mischief how, String format) throws IOException {
    Clip clip = new Clip(word(how), "Trouble", "Nobody", 6);
    OEmbed reply = new OEmbed(origin, clip, Integer.MAX_VALUE, Integer.MAX_VALUE);
    String json = "application/json;charset=utf-8";
    switch (how) {
      case SLOW -> {
        try {
          Thread.sleep(20_000);
        } catch (InterruptedException e) {
          Thread.currentThread().interrupt();
        }
        to.say(200, json, reply.json());
      }
      case FAILING -> to.say(500, "text/plain", "Falena is out of order.");
      case GARBLED -> to.say(200, json, "{\"type\": \"video\", \"version\": ");
      case SCRIPTED ->
          to.say(
              200, json, reply.json().replace("</iframe>", "</iframe><script>alert(1)</script>"));
      case ELSEWHERE ->
          to.say(
              200, json, reply.json().replace(origin + "/embed", "http://elsewhere.example/embed"));
      case ASTRAY -> to.say(200, json, reply.json());
      case BLOATED -> {
        if (format.equals("json")) {
          to.say(501, "text/plain", "Falena knows XML only.");
        } else {
          to.say(
              200,
              "text/xml;charset=utf-8",
              reply
                  .xml()
                  .replace(
                      "<oembed>",
                      "<!DOCTYPE oembed [<!ENTITY a \"aaaaaaaa\"><!ENTITY b \"&a;&a;&a;&a;\">]><oembed>")
                  .replace("<title>Trouble", "<title>Trouble &b;&b;"));
        }
      }
      case STILL ->
          to.say(
              200,
              json,
              reply
                  .json()
                  .replace(
                      "\"type\":\"video\"",
                      "\"type\":\"photo\",\"url\":\"" + origin + "/thumbs/moths.jpg\""));
      case SCENE ->
          to.say(200, json, reply.json().replace("\"type\":\"video\"", "\"type\":\"rich\""));
      case ENDLESS -> {
        to.header("Content-Type", json);
        to.exchange.sendResponseHeaders(200, 0);
        byte[] some = " ".repeat(65_536).getBytes(StandardCharsets.UTF_8);
        for (int i = 0; i < 4096; i++) {
          to.exchange.getResponseBody().write(some);
        }
      }
    }
  }
}
