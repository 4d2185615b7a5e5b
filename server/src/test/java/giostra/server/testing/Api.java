package giostra.server.testing;

import giostra.core.format.DocumentJson;
import giostra.core.format.EditJson;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.JsonNodeFactory;

/** The application as other tools see it: over HTTP. */
public final class Api {
  /** The demo page. */
  public static final String DEMO = "velluta-evenings-at-velluta";

  /** The path of the demo's live page. */
  public static final String LIVE_DEMO = "/live/velluta/evenings-at-velluta/";

  /** What lets the tests in, as the start command's own secret does. */
  public static final String SECRET = "of-this-run-of-the-tests-alone";

  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final JsonNodeFactory MAKE = JsonNodeFactory.instance;
  private final HttpClient client =
      HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(5)).build();
  private final String base;

  /**
   * Talks to a running application.
   *
   * @param base its address, without a slash at the end
   */
  public Api(String base) {
    this.base = base;
  }

  /** An answer: its status, its body as JSON where it is some. */
  public record Answer(int status, JsonNode json, byte[] bytes, HttpResponse<byte[]> raw) {
    /** The body as text. */
    public String text() {
      return new String(bytes, StandardCharsets.UTF_8);
    }

    /** A header, or an empty string. */
    public String header(String name) {
      return raw.headers().firstValue(name).orElse("");
    }
  }

  /**
   * The address of a path: a live page's on the origin of the live pages, others on the bench's.
   */
  public String at(String path) {
    boolean published = path.startsWith("/live/") || path.startsWith("/snippets/");
    return path.startsWith("http") ? path : (published ? live() : base) + path;
  }

  /** Asks as who shows another token, or none where it is empty. */
  public Answer as(String token, String method, String path, @Nullable String body) {
    HttpRequest.Builder request =
        HttpRequest.newBuilder(URI.create(at(path)))
            .header("Content-Type", "application/json")
            .method(method, body == null ? BodyPublishers.noBody() : BodyPublishers.ofString(body));
    return send(request, "Authorization", token.isEmpty() ? "None" : "Bearer " + token);
  }

  /** Lets a browser in: the name and the value of its cookie. */
  public Map.Entry<String, String> wayIn() {
    return wayIn(post("/api/keys", null).json().path("key").asString());
  }

  /** Lets a browser in with a key. */
  public Map.Entry<String, String> wayIn(String key) {
    Answer answer = post("/api/ways-in", Map.of("key", key));
    String cookie = answer.header("set-cookie");
    int is = cookie.indexOf('=');
    return Map.entry(cookie.substring(0, is), cookie.substring(is + 1, cookie.indexOf(';')));
  }

  /** Lets in somebody new who has a part in a site. */
  public Member member(String site, String role) {
    String address = role + System.nanoTime() + "@studio.example";
    Answer invited =
        post(
            "/api/sites/" + site + "/people",
            Map.of("address", address, "name", "A " + role, "role", role));
    String way = invited.json().path("address").asString();
    Member member = in(way.substring(way.indexOf("#key=") + 5));
    return new Member(
        invited.json().path("person").asString(), address, member.cookie, member.form);
  }

  /** A browser that a key lets in. */
  public Member in(String key) {
    Map.Entry<String, String> session = wayIn(key);
    return member(session.getKey() + "=" + session.getValue());
  }

  /** A guest's browser, that the key of a link for review lets in. */
  public Member guest(String key) {
    String cookie = post("/api/reviews", Map.of("key", key)).header("set-cookie");
    return member(cookie.substring(0, cookie.indexOf(';')));
  }

  private Member member(String session) {
    Answer me = get("/api/me", "Authorization", "None", "Cookie", session);
    String form = me.header("set-cookie");
    return new Member(
        me.json().path("id").asString(),
        me.json().path("address").asString(),
        session + "; " + form.substring(0, form.indexOf(';')),
        me.json().path("form").asString());
  }

  /**
   * Somebody's browser.
   *
   * @param form what each request that changes something shows
   */
  public record Member(String id, String address, String cookie, String form) {}

  /** Asks as somebody's browser does, with a JSON body or without any. */
  public Answer ask(Member as, String method, String path, @Nullable Object body) {
    return ask(as, method, path, "application/json", body);
  }

  /** Asks as somebody's browser does, with a body of a type or without any. */
  public Answer ask(Member as, String method, String path, String type, @Nullable Object body) {
    String text =
        body == null ? null : body instanceof String s ? s : JSON.writeValueAsString(body);
    return send(
        HttpRequest.newBuilder(URI.create(at(path)))
            .header("Content-Type", type)
            .method(method, text == null ? BodyPublishers.noBody() : BodyPublishers.ofString(text)),
        "Authorization",
        "None",
        "Cookie",
        as.cookie,
        "Giostra-Form",
        as.form);
  }

  /** The origin of the live pages. */
  public String live() {
    return get("/api/catalogue").json().path("live").asString();
  }

  /** Gets. */
  public Answer get(String path, String... headers) {
    return send(HttpRequest.newBuilder(URI.create(at(path))), headers);
  }

  /** Posts JSON; null posts nothing. */
  public Answer post(String path, @Nullable Object body, String... headers) {
    String text = body == null ? "" : body instanceof String s ? s : JSON.writeValueAsString(body);
    return send(
        HttpRequest.newBuilder(URI.create(at(path)))
            .header("Content-Type", "application/json")
            .POST(BodyPublishers.ofString(text)),
        headers);
  }

  /** Puts JSON. */
  public Answer put(String path, Object body) {
    return send(
        HttpRequest.newBuilder(URI.create(at(path)))
            .header("Content-Type", "application/json")
            .PUT(BodyPublishers.ofString(JSON.writeValueAsString(body))));
  }

  /** Deletes. */
  public Answer delete(String path) {
    return send(HttpRequest.newBuilder(URI.create(at(path))).DELETE());
  }

  /** Asks by whatever method, with a JSON body or without any. */
  public Answer ask(String method, String path, @Nullable String body) {
    return send(
        HttpRequest.newBuilder(URI.create(at(path)))
            .header("Content-Type", "application/json")
            .method(
                method, body == null ? BodyPublishers.noBody() : BodyPublishers.ofString(body)));
  }

  /** Uploads a file to a site. */
  public Answer upload(String site, String name, byte[] bytes) {
    return uploadTo("/api/sites/" + site + "/media", name, bytes);
  }

  /** Sends a file in a form. */
  public Answer uploadTo(String path, String name, byte[] bytes) {
    String boundary = "giostra-boundary-42";
    String head =
        "--%s\r\nContent-Disposition: form-data; name=\"file\"; filename=\"%s\"\r\nContent-Type: application/octet-stream\r\n\r\n"
            .formatted(boundary, name);
    byte[] start = head.getBytes(StandardCharsets.UTF_8);
    byte[] end = ("\r\n--" + boundary + "--\r\n").getBytes(StandardCharsets.UTF_8);
    return send(
        HttpRequest.newBuilder(URI.create(at(path)))
            .header("Content-Type", "multipart/form-data; boundary=" + boundary)
            .POST(BodyPublishers.ofByteArrays(List.of(start, bytes, end))));
  }

  /** Posts bytes of a type. */
  public Answer send(String path, String type, byte[] bytes) {
    return send(
        HttpRequest.newBuilder(URI.create(at(path)))
            .header("Content-Type", type)
            .POST(BodyPublishers.ofByteArray(bytes)));
  }

  /** Makes a site; its id. */
  public String newSite(String name) {
    return post("/api/sites", Map.of("name", name)).json().path("id").asString();
  }

  /** Copies the demo's site, for whoever changes it; the copy's id. */
  public String copyOfDemo() {
    return post("/api/sites/velluta/copies", Map.of("name", "Velluta " + System.nanoTime()))
        .json()
        .path("id")
        .asString();
  }

  /** Makes a page of a document on a site of its own; its id. */
  public String newPage(Document document) {
    return newPage(newSite("Site " + System.nanoTime()), document);
  }

  /** Makes a page of a document; its id. */
  public String newPage(String site, Document document) {
    var body = MAKE.objectNode();
    body.set("document", DocumentJson.write(document));
    Answer answer = post("/api/sites/" + site + "/pages", body.toString());
    if (answer.status() != 201) {
      throw new IllegalStateException(answer.text());
    }
    return answer.json().path("id").asString();
  }

  /** What is found on the shelf, answer by answer: a site of many pages may come in parts. */
  public List<JsonNode> onShelf(String find) {
    var sites = new ArrayList<JsonNode>();
    JsonNode from = MAKE.numberNode(0);
    while (from.isInt()) {
      JsonNode some = get("/api/shelf?find=" + find + "&from=" + from.asInt()).json();
      some.path("sites").forEach(sites::add);
      from = some.path("next");
    }
    return sites;
  }

  /** A page as it stands. */
  public JsonNode page(String id) {
    return get("/api/pages/" + id).json();
  }

  /** The document of a page as it stands. */
  public Document document(String id) {
    return DocumentJson.read(get("/api/pages/" + id + "/document").text());
  }

  /** Edits a page on a revision. */
  public Answer edit(String id, int revision, Edit... edits) {
    var body = MAKE.objectNode().put("revision", revision);
    body.set("edits", EditJson.write(List.of(edits)));
    return post("/api/pages/" + id + "/edits", body.toString());
  }

  /** Edits a page on a revision of it and one of its site. */
  public Answer edit(String id, int revision, int siteRevision, Edit... edits) {
    var body = MAKE.objectNode().put("revision", revision).put("siteRevision", siteRevision);
    body.set("edits", EditJson.write(List.of(edits)));
    return post("/api/pages/" + id + "/edits", body.toString());
  }

  /** Publishes a page; the address of the live page. */
  public String publish(String id) {
    return at(post("/api/pages/" + id + "/releases", null).json().path("address").asString());
  }

  /** The origin of the stage. */
  public String stage() {
    return get("/api/catalogue").json().path("stage").asString();
  }

  /** Takes a picture that stands elsewhere into the library of the demo; its id. */
  public String remotePicture(String address) {
    return post("/api/sites/velluta/media/address", Map.of("address", address))
        .json()
        .path("id")
        .asString();
  }

  /** The origin of the stand-in for a host of clips. */
  public String falena() {
    String address =
        document(DEMO).node("film-moths").values().get(giostra.core.page.ClipSettings.ADDRESS);
    return address.substring(0, address.indexOf("/watch"));
  }

  private Answer send(HttpRequest.Builder request, String... headers) {
    if (headers.length > 0) {
      request.headers(headers);
    }
    if (!List.of(headers).contains("Authorization")) {
      request.header("Authorization", "Bearer " + SECRET);
    }
    try {
      HttpResponse<byte[]> raw =
          client.send(request.timeout(Duration.ofSeconds(90)).build(), BodyHandlers.ofByteArray());
      boolean json = raw.headers().firstValue("content-type").orElse("").contains("json");
      JsonNode body = json ? JSON.readTree(raw.body()) : MAKE.missingNode();
      return new Answer(raw.statusCode(), body, raw.body(), raw);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }
}
