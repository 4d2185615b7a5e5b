package giostra.server.shelf;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.PageSettings;
import giostra.core.page.Section;
import giostra.core.testing.RandomDocuments;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/**
 * Whole pages and sites: named, copied, moved, put away, brought back, dropped; and broken ones.
 */
@ExtendWith(Giostra.class)
class ShelfApiTest {
  private static String site(Api api, String name) {
    return api.newSite(name + " " + System.nanoTime());
  }

  private static String page(Api api, String site, String title) {
    return api.post("/api/sites/" + site + "/pages", Map.of("title", title))
        .json()
        .path("id")
        .asString();
  }

  private static Optional<JsonNode> onShelf(Api api, String page) {
    // Only its own site is asked for: every page that is shown is gone through.
    return api.get("/api/sites")
        .json()
        .valueStream()
        .filter(site -> page.startsWith(site.path("id").asString() + "-"))
        .map(site -> URLEncoder.encode(site.path("name").asString(), StandardCharsets.UTF_8))
        .flatMap(name -> api.onShelf(name).stream())
        .flatMap(site -> site.path("pages").valueStream())
        .filter(each -> each.path("id").asString().equals(page))
        .findFirst();
  }

  private static boolean away(Api api, String id) {
    return api.get("/api/away")
        .json()
        .valueStream()
        .anyMatch(each -> each.path("id").asString().equals(id));
  }

  private static void spoil(String sql) throws SQLException {
    try (var connection = DriverManager.getConnection(Giostra.database(), "giostra", "")) {
      connection.createStatement().executeUpdate(sql);
    }
  }

  @Test
  void aPageIsRenamedAndItsOldAddressLeadsToIt(Api api) {
    String site = site(api, "Named");
    String page = page(api, site, "First name");
    String old = "/live/" + site + "/first-name/";
    api.publish(page);
    assertThat(api.get(old).status()).isEqualTo(200);
    String name = "/api/pages/" + page + "/name";
    assertThat(api.put(name, Map.of("title", "Other name", "slug", "other-name")).status())
        .isEqualTo(204);
    assertThat(onShelf(api, page).orElseThrow().path("title").asString()).isEqualTo("Other name");
    assertThat(api.get("/live/" + site + "/other-name/").status()).isEqualTo(200);
    Api.Answer moved = api.get(old);
    assertThat(moved.status()).isEqualTo(301);
    assertThat(moved.header("location")).isEqualTo("/live/" + site + "/other-name/");
    // The title is a change like any other; the address is none.
    api.post("/api/pages/" + page + "/undo", null);
    assertThat(onShelf(api, page).orElseThrow().path("title").asString()).isEqualTo("First name");

    String second = page(api, site, "Second");
    assertThat(api.put(name, Map.of("title", "x", "slug", "second")).text())
        .contains("Address is second, where another page is; it must be free on this site");
    assertThat(api.put(name, Map.of("title", "x", "slug", "No Such")).text())
        .contains("Address is No Such; it must be of lower-case letters")
        .contains("such as no-such");
    // A new page takes the old address, and the way there ends.
    assertThat(page(api, site, "First name")).isNotEqualTo(page);
    assertThat(api.get(old).status()).isEqualTo(404);
    assertThat(second).isNotEmpty();
  }

  /** Answers of fifty pages, and twelve of one site unless something is sought. */
  @Test
  void aShelfOfManyPagesComesInParts(Api api) {
    String mark = Long.toString(System.nanoTime(), 36);
    String many = api.newSite("Many " + mark);
    for (int i = 0; i < 55; i++) {
      page(api, many, "Leaf " + i + " of 100% " + mark);
    }
    List<JsonNode> first = api.onShelf("").stream().filter(ofSite(many)).toList();
    assertThat(pages(first)).containsExactlyElementsOf(titles(54, 42, " of 100% " + mark));
    assertThat(first.getFirst().path("count").asInt()).isEqualTo(55);
    JsonNode answer = api.get("/api/shelf?find=many+" + mark).json();
    assertThat(answer.path("next").asInt()).isEqualTo(50);
    assertThat(pages(List.of(answer.path("sites").get(0)))).hasSize(50);
    assertThat(pages(api.onShelf("MANY+" + mark)))
        .containsExactlyElementsOf(titles(54, -1, " of 100% " + mark));
    // What people type is no pattern.
    assertThat(pages(api.onShelf("leaf+7+of+100%25+" + mark))).hasSize(1);
    assertThat(api.onShelf("l_af+7+of+100%25+" + mark)).isEmpty();
    assertThat(api.onShelf("%25" + mark)).isEmpty();
    assertThat(api.onShelf("%5C" + mark)).isEmpty();
    // By the title that it has now, and by its address.
    String renamed = many + "-leaf-7-of-100-" + mark;
    api.edit(renamed, 0, new Edit.SetValue("page", "title", "", "Frond " + mark));
    assertThat(pages(api.onShelf("frond+" + mark))).containsExactly("Frond " + mark);
    assertThat(pages(api.onShelf("leaf-7-of-100-" + mark))).containsExactly("Frond " + mark);
    assertThat(pages(api.onShelf("leaf+7+of+100%25+" + mark))).isEmpty();
    // It was worked on last.
    assertThat(pages(api.onShelf("many+" + mark))).startsWith("Frond " + mark).hasSize(55);

    assertThat(api.get("/api/shelf?from=-1").text()).contains("from is -1; it must be 0 or more");
    assertThat(api.get("/api/shelf?from=x").status()).isEqualTo(400);
    assertThat(api.get("/api/shelf?find=" + "w".repeat(201)).status()).isEqualTo(422);
    assertThat(api.get("/api/shelf?find=a%07b").status()).isEqualTo(422);
    assertThat(api.get("/api/shelf?from=2147483647").json().path("sites").size()).isZero();
  }

  private static Predicate<JsonNode> ofSite(String id) {
    return site -> site.path("id").asString().equals(id);
  }

  private static List<String> pages(List<JsonNode> sites) {
    return sites.stream()
        .flatMap(site -> site.path("pages").valueStream())
        .map(page -> page.path("title").asString())
        .toList();
  }

  /** Titles from one number down to before another. */
  private static List<String> titles(int from, int to, String end) {
    return IntStream.range(0, from - to).mapToObj(i -> "Leaf " + (from - i) + end).toList();
  }

  /** A shelf is there at once; what is found on each page comes when it is known. */
  @Test
  void whatIsFoundIsCountedWhileTheShelfIsThere(Api api) throws Exception {
    String find = "counted" + System.nanoTime();
    Document demo = api.document(Api.DEMO);
    List<Section> some =
        demo.page().sections().stream()
            .filter(section -> Document.walk(section).anyMatch(node -> node.id().equals("houses")))
            .toList();
    Values named = Values.NONE.with(PageSettings.TITLE, Values.ALL, find);
    String page = api.newPage(new Document(demo.site(), demo.page().holding(some).with(named)));
    assertThat(snags(api, find).isNull()).isTrue();
    int all = settled(api, find);
    JsonNode found = api.get("/api/pages/" + page + "/snags").json().path("snags");
    assertThat(all).isEqualTo(found.size()).isPositive();
    // Left on purpose, it counts no more.
    JsonNode first = found.get(0);
    JsonNode edits =
        api.get(
                "/api/pages/"
                    + page
                    + "/leave?because=so&snag="
                    + URLEncoder.encode(first.path("key").asString(), StandardCharsets.UTF_8))
            .json();
    assertThat(
            api.post("/api/pages/" + page + "/edits", Map.of("revision", 0, "edits", edits))
                .status())
        .isEqualTo(200);
    assertThat(snags(api, find).isNull()).isTrue();
    assertThat(settled(api, find)).isEqualTo(all - 1);
    // What is known stays known.
    assertThat(snags(api, find).asInt()).isEqualTo(all - 1);
    // Another program may find something else.
    spoil(
        "update shelf_count set counted_of = 'before' || counted_of where page_id = '"
            + page
            + "'");
    assertThat(snags(api, find).isNull()).isTrue();
    assertThat(settled(api, find)).isEqualTo(all - 1);
  }

  private static JsonNode snags(Api api, String find) {
    return api.onShelf(find).getFirst().path("pages").get(0).path("snags");
  }

  private static int settled(Api api, String find) throws InterruptedException {
    JsonNode found = snags(api, find);
    for (int i = 0; i < 600 && found.isNull(); i++) {
      Thread.sleep(50);
      found = snags(api, find);
    }
    return found.asInt(-1);
  }

  @Test
  void aSiteIsRenamedOnAllItsPages(Api api) {
    String site = site(api, "Old name");
    String page = api.newPage(site, RandomDocuments.document(3));
    String name = "/api/sites/" + site + "/name";
    assertThat(api.put(name, Map.of("name", "New name")).status()).isEqualTo(204);
    assertThat(api.document(page).site().values().set().get("name")).containsEntry("", "New name");
    assertThat(api.put(name, Map.of("name", " ")).status()).isEqualTo(422);
    assertThat(api.put(name, Map.of("name", "w".repeat(121))).status()).isEqualTo(422);
    assertThat(api.get("/api/shelf").text()).contains("New name");
  }

  @Test
  void aPageIsCopiedWithinItsSite(Api api) {
    String site = site(api, "Copied");
    String page = api.newPage(site, RandomDocuments.document(3));
    Api.Answer copied = api.post("/api/pages/" + page + "/copies", Map.of("title", "A copy"));
    assertThat(copied.status()).isEqualTo(201);
    Document copy = api.document(copied.json().path("id").asString());
    Document own = api.document(page);
    assertThat(copy.page().values().get(PageSettings.TITLE)).isEqualTo("A copy");
    assertThat(copy.page().with(own.page().values())).isEqualTo(own.page());
  }

  @Test
  void aPageMovesToAnotherSiteWithItsMediaAndWithoutBandsThatAreNotThere(Api api) {
    String copy = api.copyOfDemo();
    String page = copy + "-evenings-at-velluta";
    String other = site(api, "Elsewhere");
    page(api, other, "There already");
    api.edit(page, 0, new Edit.AddBand("wide", "Wide", 1800));
    api.edit(
        page,
        api.page(page).path("revision").asInt(),
        new Edit.SetValue("words", "gap", "wide", "44px"));
    var losses = api.get("/api/pages/" + page + "/losses?site=" + other).json().path("bands");
    assertThat(losses.toString()).contains("Wide: words / Gap");
    String live = api.publish(page);
    Api.Answer moved = api.post("/api/pages/" + page + "/move", Map.of("site", other));
    assertThat(moved.status()).as(moved.text()).isEqualTo(200);
    String there = moved.json().path("id").asString();
    assertThat(api.page(there).path("siteId").asString()).isEqualTo(other);
    assertThat(api.page(page).path("title").asString("")).isEqualTo("Not there");
    assertThat(api.get(live).status()).as("its live page goes with it").isEqualTo(404);
    // Every picture that it shows is on the other site.
    String preview = api.get(api.stage() + "/api/pages/" + there + "/preview/").text();
    var pictures = java.util.regex.Pattern.compile("src=\"(media/[^\"]+)\"").matcher(preview);
    int found = 0;
    while (pictures.find()) {
      found++;
      String address = api.stage() + "/api/pages/" + there + "/preview/" + pictures.group(1);
      assertThat(api.get(address).status()).as(address).isEqualTo(200);
    }
    assertThat(found).isGreaterThan(10);
    // It can still be brought back where it was.
    assertThat(api.delete("/api/pages/" + page + "/away").status()).isEqualTo(204);
    assertThat(api.get(live).status()).isEqualTo(200);
  }

  @Test
  void aSiteThatHasAPictureAlreadyKeepsWhatItSaysOfIt(Api api) {
    String copy = api.copyOfDemo();
    String other = site(api, "Has it");
    byte[] bytes = api.get("/api/sites/velluta/media/lamp-walk/file").bytes();
    String known = api.upload(other, "ours.jpg", bytes).json().path("id").asString();
    Map<String, Object> said =
        Map.of(
            "alt", "Our words", "decorative", false, "focus", "10% 90%", "tags", List.of("ours"));
    assertThat(api.put("/api/sites/" + other + "/media/" + known, said).status()).isEqualTo(200);
    page(api, other, "There already");
    String page = copy + "-evenings-at-velluta";
    assertThat(api.post("/api/pages/" + page + "/copies", Map.of("site", other)).status())
        .isEqualTo(201);
    JsonNode all = api.get("/api/sites/" + other + "/media").json();
    assertThat(all.size()).isGreaterThan(5);
    assertThat(all.get(0).path("id").asString()).isEqualTo(known);
    assertThat(all.get(0).path("alt").asString()).isEqualTo("Our words");
    assertThat(all.get(0).path("tags").toString()).isEqualTo("[\"ours\"]");
  }

  @Test
  void whatIsPutAwayComesBackOrIsDropped(Api api) throws SQLException {
    String site = site(api, "Away");
    String page = page(api, site, "Goes");
    String live = api.publish(page);
    assertThat(api.delete("/api/pages/" + page).text())
        .contains("on the shelf; it must be put away before it is dropped");
    assertThat(api.post("/api/pages/" + page + "/away", null).status()).isEqualTo(204);
    assertThat(onShelf(api, page)).isEmpty();
    assertThat(away(api, page)).isTrue();
    assertThat(api.get(live).status()).isEqualTo(404);
    assertThat(api.edit(page, 0, new Edit.SetValue("page", "title", "", "x")).text())
        .contains("put away; it must be brought back before it is changed");
    api.delete("/api/pages/" + page + "/away");
    assertThat(onShelf(api, page)).isPresent();
    assertThat(api.get(live).status()).isEqualTo(200);

    api.post("/api/pages/" + page + "/away", null);
    assertThat(api.delete("/api/pages/" + page).status()).isEqualTo(204);
    assertThat(away(api, page)).isFalse();
    assertThat(api.delete("/api/pages/" + page + "/away").status()).isEqualTo(404);

    String whole = site(api, "Whole");
    String inside = api.newPage(whole, RandomDocuments.document(3));
    api.publish(inside);
    api.upload(whole, "a.vtt", "WEBVTT\n\n00:01.000 --> 00:02.000\nx\n".getBytes());
    api.post("/api/sites/" + whole + "/away", null);
    assertThat(onShelf(api, inside)).isEmpty();
    assertThat(api.get("/api/pages/" + inside).status()).isEqualTo(404);
    api.delete("/api/sites/" + whole + "/away");
    assertThat(onShelf(api, inside)).isPresent();
    assertThat(api.delete("/api/sites/" + whole).status()).isEqualTo(422);
    api.post("/api/sites/" + whole + "/away", null);
    assertThat(api.delete("/api/sites/" + whole).status()).isEqualTo(204);
    assertThat(api.get("/api/sites/" + whole + "/media").json().size()).isZero();
  }

  @Test
  void aSiteIsCopiedWithAllThatIsOnIt(Api api) {
    String copy = api.copyOfDemo();
    assertThat(api.get("/api/sites/" + copy + "/media").json().size())
        .isEqualTo(api.get("/api/sites/velluta/media").json().size());
    String own = api.get(api.stage() + "/api/pages/" + Api.DEMO + "/preview/").text();
    String other =
        api.get(api.stage() + "/api/pages/" + copy + "-evenings-at-velluta/preview/").text();
    assertThat(other.replaceAll("style\\.[0-9a-f]+|<title>[^<]*", ""))
        .isEqualTo(own.replaceAll("style\\.[0-9a-f]+|<title>[^<]*", ""));
  }

  @Test
  void onePageThatIsBrokenTakesNoOtherDown(Api api) throws SQLException {
    String site = site(api, "Broken");
    String fine = page(api, site, "Fine");
    String broken = page(api, site, "Broken");
    String live = api.publish(broken);
    spoil(
        "update revision set document = '{\"id\":\"page\",\"type\":\"nothing\"}' where page_id = '"
            + broken
            + "'");
    // What was in memory is as it was; another number is read anew.
    spoil(
        "insert into revision (page_id, number, change, site_number, kind, version, document,"
            + " edits, inverse, paths, created_at) select page_id, 1, 99, site_number, kind,"
            + " version, document, edits, inverse, paths, created_at from revision"
            + " where page_id = '"
            + broken
            + "'");
    spoil("update page set head = 1 where id = '" + broken + "'");
    JsonNode shown = onShelf(api, broken).orElseThrow();
    assertThat(shown.path("broken").asBoolean()).isTrue();
    assertThat(shown.path("said").asString())
        .contains("This page cannot be read")
        .contains("nothing");
    assertThat(onShelf(api, fine).orElseThrow().path("broken").asBoolean()).isFalse();
    assertThat(api.get(live).status()).as("live from its release alone").isEqualTo(200);
    assertThat(api.get("/api/pages/" + broken + "/bundle.zip").status()).isEqualTo(200);
    assertThat(api.get("/api/pages/" + broken + "/releases").json().size()).isEqualTo(1);
    assertThat(api.get("/api/pages/" + broken).status()).isEqualTo(422);
    assertThat(api.get("/api/sites/" + site + "/library").status()).isEqualTo(200);
    assertThat(api.get("/api/sites/" + site + "/stock").status()).isEqualTo(200);
    assertThat(api.get("/api/sites/" + site + "/archive.zip").status()).isEqualTo(200);
    // The site's own changes go on without it.
    assertThat(api.edit(fine, 0, new Edit.MoveBreakpoint("desktop", 1100)).status()).isEqualTo(200);
    // An older revision brings it back.
    assertThat(api.post("/api/pages/" + broken + "/away", null).status()).isEqualTo(204);
  }
}
