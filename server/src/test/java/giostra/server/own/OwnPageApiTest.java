package giostra.server.own;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Pages that somebody brings. */
@ExtendWith(Giostra.class)
class OwnPageApiTest {
  private static final Charset OLD = Charset.forName("windows-1252");
  private static final String HTML =
      "<html>\r\n<head><meta charset=windows-1252><title>Club</title>"
          + "<script>document.body.remove()</script></head>\r\n<BODY bgcolor=white>"
          + "<h1 id=top>\u00c9t\u00e9 \u2013 caf\u00e9</h1><p>One<p>Two</p><div class=news>News</div></BODY></html>";

  private static String all(String page) {
    return "/api/pages/" + page + "/own-pages";
  }

  private static JsonNode bring(Api api, byte[] bytes) {
    Api.Answer answer = api.uploadTo(all(Api.DEMO), "club.htm", bytes);
    assertThat(answer.status()).as(answer.text()).isEqualTo(201);
    return answer.json();
  }

  private static int spot(JsonNode page, String called) {
    return page.path("spots")
        .valueStream()
        .filter(each -> each.path("called").asString().startsWith(called))
        .findFirst()
        .orElseThrow()
        .path("number")
        .asInt();
  }

  private static Map<String, Object> asked(int spot, String side, String node, String form) {
    return Map.of("id", "", "spot", spot, "side", side, "node", node, "form", form);
  }

  private static Api.Answer place(Api api, JsonNode page, List<?> places) {
    return api.post(
        all(Api.DEMO) + "/" + page.path("id").asString() + "/places",
        Map.of("revision", page.path("revision").asInt(), "places", places));
  }

  private static Map<String, Object> kept(JsonNode place) {
    var all = new HashMap<String, Object>();
    for (String each : List.of("id", "side", "node", "form")) {
      all.put(each, place.path(each).asString());
    }
    return all;
  }

  private static byte[] zip(Map<String, byte[]> files) throws IOException {
    var out = new ByteArrayOutputStream();
    try (var zip = new ZipOutputStream(out)) {
      for (Map.Entry<String, byte[]> each : files.entrySet()) {
        zip.putNextEntry(new ZipEntry(each.getKey()));
        zip.write(each.getValue());
        zip.closeEntry();
      }
    }
    return out.toByteArray();
  }

  @Test
  void itIsGivenBackWithWhatIsLiveAndElseByteForByte(Api api) {
    byte[] was = HTML.getBytes(OLD);
    JsonNode page = bring(api, was);
    String at = all(Api.DEMO) + "/" + page.path("id").asString();
    assertThat(page.path("encoding").asString()).isEqualTo("windows-1252");
    assertThat(api.get(at + "/file").bytes()).isEqualTo(was);
    JsonNode placed =
        place(
                api,
                page,
                List.of(
                    asked(
                        spot(page, "h1#top \u201c\u00c9t\u00e9"), "AFTER", "questions", "FOLLOWS"),
                    asked(spot(page, "div.news"), "INSTEAD", "houses", "STAYS")))
            .json();
    assertThat(placed.path("places").path(0).path("called").asString())
        .isEqualTo("h1#top \u201c\u00c9t\u00e9 \u2013 caf\u00e9\u201d");
    String made = new String(api.get(at + "/file").bytes(), OLD);
    String before = HTML.substring(0, HTML.indexOf("<p>One"));
    assertThat(made).startsWith(before + "<script src=\"http");
    assertThat(made)
        .endsWith("</giostra-piece>\n</BODY></html>")
        .contains("<p>One<p>Two</p><script");
    assertThat(made).contains("/live/questions.html\"").contains("integrity=");
    assertThat(made.replaceAll("(?s)<script src=.*?</giostra-piece>\n", ""))
        .isEqualTo(HTML.replace("<div class=news>News</div>", ""));
    // It is in the list, and gone when it was taken away.
    assertThat(api.get(all(Api.DEMO)).text()).contains(page.path("id").asString());
    assertThat(api.delete(at).status()).isEqualTo(204);
    assertThat(api.get(at).status()).isEqualTo(404);
    assertThat(api.delete(at).status()).isEqualTo(404);
  }

  /** What is seen on the bench runs nothing, and says what can be pointed at. */
  @Test
  void whatIsSeenRunsNothing(Api api) throws IOException {
    var files = new LinkedHashMap<String, byte[]>();
    files.put("site/index.html", HTML.getBytes(OLD));
    files.put("site/a/style.css", "p { color: teal }".getBytes(StandardCharsets.UTF_8));
    files.put(
        "site/x.svg", "<svg xmlns='http://www.w3.org/2000/svg'/>".getBytes(StandardCharsets.UTF_8));
    byte[] packed = zip(files);
    Api.Answer brought = api.uploadTo(all(Api.DEMO), "club.zip", packed);
    JsonNode page = brought.json();
    assertThat(page.path("entry").asString()).isEqualTo("site/index.html");
    String seen = all(Api.DEMO) + "/" + page.path("id").asString() + "/seen/";
    place(api, page, List.of(asked(spot(page, "h1"), "AFTER", "questions", "PLAIN")));
    for (String path : List.of("", "site/index.html", "site/a/style.css", "site/x.svg")) {
      Api.Answer answer = api.get(seen + path);
      assertThat(answer.status()).as(path).isEqualTo(200);
      assertThat(answer.header("content-security-policy"))
          .contains("sandbox allow-same-origin;")
          .contains("script-src 'none'")
          .contains("frame-ancestors 'self'");
      assertThat(answer.header("x-content-type-options")).isEqualTo("nosniff");
    }
    assertThat(new String(api.get(seen).bytes(), OLD))
        .contains("data-giostra-at=")
        .contains("data-giostra-place=")
        .contains("<giostra-piece>");
    assertThat(api.get(seen + "nothing.png").status()).isEqualTo(404);
    // The zip comes back with one file changed.
    byte[] given = api.get(all(Api.DEMO) + "/" + page.path("id").asString() + "/file").bytes();
    var out = new LinkedHashMap<String, byte[]>();
    try (var zip = new ZipInputStream(new ByteArrayInputStream(given))) {
      for (ZipEntry each = zip.getNextEntry(); each != null; each = zip.getNextEntry()) {
        out.put(each.getName(), zip.readAllBytes());
      }
    }
    assertThat(out.keySet()).containsExactlyElementsOf(files.keySet());
    assertThat(out.get("site/a/style.css")).isEqualTo(files.get("site/a/style.css"));
    assertThat(new String(out.get("site/index.html"), OLD)).contains("</h1><giostra-piece>");
  }

  @Test
  void whenItHasChangedPlacesAreFoundAgainOrAskedFor(Api api) {
    JsonNode page = bring(api, HTML.getBytes(OLD));
    String at = all(Api.DEMO) + "/" + page.path("id").asString();
    place(
        api,
        page,
        List.of(
            asked(spot(page, "h1"), "AFTER", "questions", "FOLLOWS"),
            asked(spot(page, "div.news"), "LAST", "houses", "PLAIN")));
    String changed =
        HTML.replace("<h1 id=top>", "<p>New</p><h1 id=top>")
            .replace("<div class=news>News</div>", "<div class=other>Other</div>");
    JsonNode anew = api.uploadTo(at + "/file", "club2.html", changed.getBytes(OLD)).json();
    assertThat(anew.path("places").path(0).path("spot").asInt()).isEqualTo(spot(anew, "h1"));
    assertThat(anew.path("places").path(1).path("spot").isNull()).isTrue();
    assertThat(api.get(all(Api.DEMO)).json().path(0).path("lost").asInt()).isEqualTo(1);
    Api.Answer refused = api.get(at + "/file");
    assertThat(refused.status()).isEqualTo(409);
    assertThat(refused.text()).contains("div.news").contains("point at it anew");
    // What nobody ends any more has no room after it, though it is found.
    JsonNode open =
        api.uploadTo(at + "/file", "c.html", HTML.replace("</h1>", "").getBytes(OLD)).json();
    assertThat(open.path("places").path(0).path("spot").isNull()).isTrue();
    anew = api.uploadTo(at + "/file", "club2.html", changed.getBytes(OLD)).json();
    // Pointed at anew it is there again; a file that is none leaves all as it was.
    assertThat(api.uploadTo(at + "/file", "club.txt", new byte[] {1, 2}).status()).isEqualTo(422);
    Map<String, Object> second = kept(anew.path("places").path(1));
    second.put("spot", spot(anew, "div.other"));
    JsonNode pointed = place(api, anew, List.of(kept(anew.path("places").path(0)), second)).json();
    assertThat(pointed.path("places").path(1).path("called").asString()).startsWith("div.other");
    assertThat(new String(api.get(at + "/file").bytes(), OLD))
        .contains("Other<giostra-piece><")
        .contains("<p>New</p><h1 id=top>");
    api.delete(at);
  }

  @ParameterizedTest
  @CsvSource({
    "a.txt, <p>, neither HTML nor a zip",
    "a.html, '', empty",
    "a.zip, PK\u0003\u0004 broken, The zip"
  })
  void whatIsNoPageIsRefused(String name, String text, String said, Api api) {
    Api.Answer answer =
        api.uploadTo(all(Api.DEMO), name, text.getBytes(StandardCharsets.ISO_8859_1));
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.text()).contains(said);
  }

  @Test
  void hostileZipsAndPlacesAreRefused(Api api) throws IOException {
    for (String path : List.of("../a.html", "/etc/a.html", "a/../../b.html", "c:\\a.html")) {
      Api.Answer answer = api.uploadTo(all(Api.DEMO), "a.zip", zip(Map.of(path, new byte[] {'<'})));
      assertThat(answer.status()).as(path).isEqualTo(422);
      assertThat(answer.text()).contains("Path in the zip");
    }
    assertThat(api.uploadTo(all(Api.DEMO), "a.zip", zip(Map.of("a.css", new byte[1]))).text())
        .contains("without a page");
    byte[] bomb = zip(Map.of("index.html", new byte[80 * 1024 * 1024]));
    assertThat(api.uploadTo(all(Api.DEMO), "a.zip", bomb).text()).contains("24 MB");
    assertThat(api.uploadTo(all("nobody"), "a.html", new byte[] {'<'}).status()).isEqualTo(404);

    JsonNode page = bring(api, HTML.getBytes(OLD));
    int h1 = spot(page, "h1");
    assertThat(place(api, page, List.of(asked(h1, "AFTER", "nothing", "PLAIN"))).status())
        .isEqualTo(422);
    assertThat(place(api, page, List.of(asked(9999, "AFTER", "houses", "PLAIN"))).text())
        .contains("element of the page");
    // A paragraph without an end takes what comes: there is another word for it.
    assertThat(
            place(api, page, List.of(asked(spot(page, "p \u201cOne"), "AFTER", "houses", "PLAIN")))
                .text())
        .contains("after at p");
    assertThat(
            place(
                    api,
                    page,
                    List.of(
                        Map.of("id", "other", "side", "AFTER", "node", "houses", "form", "PLAIN")))
                .status())
        .isEqualTo(422);
  }

  /** Of two who tell the places at once one is first, and the other is told what there is. */
  @Test
  void nobodyOverwritesAnother(Api api) throws Exception {
    JsonNode page = bring(api, HTML.getBytes(OLD));
    int h1 = spot(page, "h1");
    var tasks = new ArrayList<Callable<Integer>>();
    for (int i = 0; i < 6; i++) {
      String form = i % 2 == 0 ? "PLAIN" : "FOLLOWS";
      tasks.add(() -> place(api, page, List.of(asked(h1, "AFTER", "houses", form))).status());
    }
    var statuses = new ArrayList<Integer>();
    try (var pool = Executors.newFixedThreadPool(6)) {
      for (Future<Integer> each : pool.invokeAll(tasks)) {
        statuses.add(each.get());
      }
    }
    assertThat(statuses).filteredOn(each -> each == 200).hasSize(1);
    assertThat(statuses).filteredOn(each -> each == 409).hasSize(5);
    assertThat(
            api.get(all(Api.DEMO) + "/" + page.path("id").asString()).json().path("places").size())
        .isEqualTo(1);
  }

  /** What is not live yet is told where it is seen, and not given. */
  @Test
  void whatIsNotLiveIsNotGiven(Api api) {
    String copy = api.newPage(api.copyOfDemo(), api.document(Api.DEMO));
    JsonNode page = api.uploadTo(all(copy), "club.html", HTML.getBytes(OLD)).json();
    String at = all(copy) + "/" + page.path("id").asString();
    api.post(
        at + "/places",
        Map.of(
            "revision",
            page.path("revision").asInt(),
            "places",
            List.of(asked(spot(page, "h1"), "AFTER", "houses", "PLAIN"))));
    assertThat(new String(api.get(at + "/seen/").bytes(), OLD))
        .contains("Nothing of this is live yet");
    assertThat(api.get(at + "/file").status()).isEqualTo(409);
    api.publish(copy);
    assertThat(new String(api.get(at + "/file").bytes(), OLD)).contains("<giostra-piece>");
    // Of another page it is not known.
    assertThat(api.get(all(Api.DEMO) + "/" + page.path("id").asString()).status()).isEqualTo(404);
  }
}
