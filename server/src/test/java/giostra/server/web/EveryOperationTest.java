package giostra.server.web;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.testing.InTurn;
import giostra.core.testing.RandomDocuments;
import giostra.core.testing.Runs;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Every operation that the OpenAPI description names, with each field missing, null, of every wrong
 * type, empty, huge and hostile: each is answered with what is wrong, and none breaks the server.
 * Source for the answers: RFC 9457, Problem Details for HTTP APIs.
 */
@ExtendWith(Giostra.class)
class EveryOperationTest {
  private static final JsonNodeFactory MAKE = JsonNodeFactory.instance;
  private static final String HUGE = "w".repeat(100_000);

  /** What nobody means. */
  private static final List<JsonNode> WILD =
      List.of(
          MAKE.nullNode(),
          MAKE.stringNode(""),
          MAKE.stringNode("no\u0000thing"),
          MAKE.stringNode("1.2.3"),
          MAKE.stringNode("linear-gradient(1.2.3deg, #fff, #000)"),
          MAKE.stringNode("<script>alert(1)</script>"),
          MAKE.stringNode("../../../etc/passwd"),
          MAKE.stringNode("\u202E\uD83C\uDF19 ' or 1=1 --"),
          MAKE.stringNode(HUGE),
          MAKE.booleanNode(true),
          MAKE.numberNode(-1),
          MAKE.numberNode(1.5),
          MAKE.numberNode(new java.math.BigInteger("9".repeat(400))),
          MAKE.numberNode(Double.MAX_VALUE),
          MAKE.arrayNode(),
          MAKE.arrayNode().add(MAKE.nullNode()),
          MAKE.objectNode(),
          MAKE.objectNode().set("a", MAKE.arrayNode().add(1)));

  private final List<String> broken = new ArrayList<>();
  private final Map<Integer, Integer> statuses = new TreeMap<>();
  private int requests;
  private int turn;

  @InTurn(6)
  @Test
  void noneOfThemBreaksWhateverIsSent(Api api) {
    JsonNode description = api.get("/v3/api-docs").json();
    int operations = 0;
    for (var path : description.path("paths").properties()) {
      for (var method : path.getValue().properties()) {
        if (path.getKey().endsWith("/events")) {
          // Its answer has no end; see TogetherApiTest.
          continue;
        }
        operations++;
        new Operation(api, description, path.getKey(), method.getKey(), method.getValue()).run();
      }
    }
    int failed =
        statuses.entrySet().stream()
            .filter(each -> each.getKey() >= 500)
            .mapToInt(Map.Entry::getValue)
            .sum();
    System.out.printf(
        "measured: %d operations, %d requests, %d of them 5xx; by status %s%n",
        operations, requests, failed, statuses);
    assertThat(operations).isGreaterThan(60);
    assertThat(requests).isGreaterThan(1500);
    assertThat(broken).isEmpty();
    assertThat(failed).isZero();
    assertThat(api.get("/api/shelf").status()).isEqualTo(200);
  }

  private final class Operation {
    private final Api api;
    private final JsonNode description;
    private final String path;
    private final String method;
    private final JsonNode operation;
    private String site = "";
    private String page = "";

    Operation(Api api, JsonNode description, String path, String method, JsonNode operation) {
      this.api = api;
      this.description = description;
      this.path = path;
      this.method = method;
      this.operation = operation;
    }

    void run() {
      fresh();
      JsonNode content = operation.path("requestBody").path("content");
      JsonNode schema = content.path("application/json").path("schema");
      String usual = address(parameters(null, ""));
      if (!schema.isMissingNode()) {
        JsonNode body = example(schema, 0);
        send(usual, body.toString());
        send(usual, "");
        send(usual, "{");
        send(usual, "[".repeat(5_000));
        send(usual, "null");
        for (JsonNode wild : WILD) {
          send(usual, wild.toString());
        }
        each(body, changed -> send(usual, changed));
      } else if (content.has("multipart/form-data")) {
        forms(usual);
      } else if (!content.isMissingNode()) {
        for (String odd : List.of("", "PK\u0003\u0004", "PK no zip", HUGE)) {
          note(api.send(usual, "application/zip", odd.getBytes(StandardCharsets.UTF_8)), odd);
        }
      } else {
        send(usual, null);
      }
      for (JsonNode parameter : operation.path("parameters")) {
        String name = parameter.path("name").asString();
        String in = parameter.path("in").asString();
        for (String odd :
            List.of(
                "",
                "nobody",
                "-1",
                "1.5",
                "9".repeat(400),
                "a\u0000b",
                "%",
                "<x>",
                "w".repeat(3_000),
                "\uD83C\uDF19")) {
          if (in.equals("query") || !odd.isEmpty()) {
            send(address(parameters(name, odd)), schema.isMissingNode() ? null : "{}");
          }
        }
        if (in.equals("query")) {
          send(address(parameters(name, null)), null);
        }
      }
    }

    /** A site of its own for what may be taken away by it. */
    private void fresh() {
      site = api.newSite("Operations " + System.nanoTime());
      page = api.newPage(site, RandomDocuments.document(3));
    }

    private Map<String, String> parameters(
        @org.jspecify.annotations.Nullable String but,
        @org.jspecify.annotations.Nullable String value) {
      var all = new TreeMap<String, String>();
      for (JsonNode parameter : operation.path("parameters")) {
        String name = parameter.path("name").asString();
        if (name.equals(but)) {
          if (value != null) {
            all.put(name, value);
          }
        } else if (parameter.path("required").asBoolean(false)) {
          all.put(name, usual(name, parameter.path("schema")));
        }
      }
      return all;
    }

    private String usual(String name, JsonNode schema) {
      return switch (name) {
        case "id" -> path.contains("/sites/") ? "nothing" : page;
        case "siteId" -> site;
        case "piece" -> RandomDocuments.document(3).pieces().getFirst().id();
        case "band" -> "desktop";
        case "width" -> "900";
        default ->
            schema.path("enum").isArray()
                ? schema.path("enum").get(0).asString()
                : schema.path("type").asString("").equals("integer") ? "0" : "words";
      };
    }

    private String address(Map<String, String> values) {
      String at = path;
      var query = new StringBuilder();
      for (var each : values.entrySet()) {
        String written =
            URLEncoder.encode(each.getValue(), StandardCharsets.UTF_8).replace("+", "%20");
        if (at.contains("{" + each.getKey() + "}")) {
          at = at.replace("{" + each.getKey() + "}", written);
        } else {
          query
              .append(query.isEmpty() ? '?' : '&')
              .append(each.getKey())
              .append('=')
              .append(written);
        }
      }
      return at.replaceAll("[{][a-zA-Z]+[}]", "nothing") + query;
    }

    /** Each field of a body, at any depth, missing and as what it should not be. */
    private void each(JsonNode body, Consumer<String> send) {
      each(body, body, send, 0);
    }

    private void each(JsonNode whole, JsonNode at, Consumer<String> send, int depth) {
      if (depth > (Runs.deep() ? 6 : 3)) {
        return;
      }
      if (at instanceof ObjectNode object) {
        for (String field : List.copyOf(object.propertyNames())) {
          JsonNode own = object.get(field);
          object.remove(field);
          send.accept(whole.toString());
          // Far inside a third of them, each field another third.
          int step = depth == 0 || Runs.deep() ? 1 : 3;
          for (int i = step == 1 ? 0 : turn++ % step; i < WILD.size(); i += step) {
            object.set(field, WILD.get(i));
            send.accept(whole.toString());
          }
          object.set(field, own);
          each(whole, own, send, depth + 1);
        }
      } else if (at instanceof ArrayNode list && !list.isEmpty()) {
        each(whole, list.get(0), send, depth + 1);
      }
    }

    private JsonNode example(JsonNode schema, int depth) {
      JsonNode whole =
          schema.has("$ref") ? description.at(schema.path("$ref").asString().substring(1)) : schema;
      if (depth > 3) {
        return MAKE.objectNode();
      }
      return switch (whole.path("type").asString("object")) {
        case "string" -> MAKE.stringNode("words");
        case "integer" -> MAKE.numberNode(0);
        case "number" -> MAKE.numberNode(1.5);
        case "boolean" -> MAKE.booleanNode(false);
        case "array" -> MAKE.arrayNode().add(example(whole.path("items"), depth + 1));
        default -> {
          ObjectNode made = MAKE.objectNode();
          whole
              .path("properties")
              .properties()
              .forEach(each -> made.set(each.getKey(), example(each.getValue(), depth + 1)));
          yield made;
        }
      };
    }

    private void forms(String at) {
      byte[] csv = "Heading,Text\nA,B\n".getBytes(StandardCharsets.UTF_8);
      note(api.uploadTo(at, "a.csv", csv), "a file");
      note(api.uploadTo(at, HUGE.substring(0, 4000), csv), "a long name");
      note(api.uploadTo(at, "no\u0000thing.png", csv), "a name with nothing in it");
      note(api.uploadTo(at, "a.vtt", longHours()), "forty hours");
      note(api.uploadTo(at, "a.mp4", brokenBoxes()), "broken boxes");
      note(api.uploadTo(at, "empty", new byte[0]), "empty");
      String type = "multipart/form-data; boundary=cut";
      for (String body :
          List.of(
              "",
              "--cut\r\nContent-Disposition: form-data; name=\"file\"; filename=\"a\"\r\n\r\nab",
              "--cut\r\nContent-Disposition: form-data; name=\"other\"\r\n\r\nab\r\n--cut--\r\n",
              "no form at all")) {
        note(api.send(at, type, body.getBytes(StandardCharsets.UTF_8)), body);
      }
      note(api.send(at, "multipart/form-data", csv), "no boundary");
      note(api.send(at, "text/plain", csv), "no form");
    }

    private void send(String at, @org.jspecify.annotations.Nullable String body) {
      note(api.ask(method.toUpperCase(java.util.Locale.ROOT), at, body), body);
    }

    private void note(Api.Answer answer, @org.jspecify.annotations.Nullable String sent) {
      requests++;
      statuses.merge(answer.status(), 1, Integer::sum);
      String what =
          method
              + " "
              + path
              + ": "
              + answer.status()
              + " to "
              + (sent == null ? "" : sent.substring(0, Math.min(160, sent.length())));
      String text = answer.text();
      if (answer.status() >= 500) {
        broken.add(what);
      } else if (answer.status() >= 400) {
        boolean problem = answer.header("content-type").startsWith("application/problem+json");
        // What Tomcat cannot even read as an address never comes to us.
        if (!problem && answer.status() != 400 && answer.status() != 405) {
          broken.add(what + ": no problem details but " + answer.header("content-type"));
        }
        if (text.length() > 20_000) {
          broken.add(what + ": an echo of " + text.length() + " characters");
        }
        if (text.matches("(?s).*\\b(java|giostra|org|tools)\\.[a-z]+\\.[a-zA-Z.]*[A-Z].*")) {
          broken.add(what + ": names a class: " + text.substring(0, Math.min(300, text.length())));
        }
      }
    }
  }

  private static byte[] longHours() {
    return ("WEBVTT\n\n" + "9".repeat(40) + ":00:01.000 --> " + "9".repeat(40) + ":00:02.000\nx\n")
        .getBytes(StandardCharsets.UTF_8);
  }

  private static byte[] brokenBoxes() {
    var in = java.nio.ByteBuffer.allocate(64);
    in.putInt(16).put("ftypisom".getBytes(StandardCharsets.US_ASCII)).putInt(0);
    in.putInt(24).put("moov".getBytes(StandardCharsets.US_ASCII));
    in.putInt(16).put("mvex".getBytes(StandardCharsets.US_ASCII));
    in.putInt(8).put("mehd".getBytes(StandardCharsets.US_ASCII));
    return in.array();
  }
}
