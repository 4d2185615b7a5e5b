package giostra.server.page;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.format.DocumentJson;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.Column;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Look;
import giostra.core.page.LookSettings;
import giostra.core.page.Site;
import giostra.core.piece.carousel.CarouselParts;
import giostra.core.testing.InTurn;
import giostra.core.testing.RandomDocuments;
import giostra.core.testing.Runs;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.net.URI;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.stream.IntStream;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/**
 * One history for a site and its pages: nothing that is acknowledged is lost, by whatever comes.
 */
@ExtendWith(Giostra.class)
class HistoryApiTest {
  /** Two pages with the same ids on one site of the bands phone, tablet, desktop. */
  private record Two(String site, String one, String other) {
    static Two made(Api api) {
      String site = api.newSite("Two " + System.nanoTime());
      return new Two(site, api.newPage(site, document()), api.newPage(site, document()));
    }
  }

  /** The first document that is drawn with the usual bands. */
  private static Document document() {
    return IntStream.range(0, 100)
        .mapToObj(RandomDocuments::document)
        .filter(each -> DocumentJson.ids(each.bands()).equals(Set.of("phone", "tablet", "desktop")))
        .findFirst()
        .orElseThrow();
  }

  private static String carousel() {
    return document().pieces().getFirst().id();
  }

  private static Edit set(String setting, String band, Object value) {
    return new Edit.SetValue(carousel(), setting, band, value);
  }

  private static String raw(Api api, String page, String setting, String band) {
    JsonNode whole = api.get("/api/pages/" + page + "/document").json();
    return whole.findParents("id").stream()
        .filter(node -> node.path("id").asString("").equals(carousel()))
        .map(node -> node.path("values").path(setting).path(band).asString(""))
        .findFirst()
        .orElse("");
  }

  private static <T> List<T> atOnce(List<Callable<T>> all) throws Exception {
    try (var pool = Executors.newVirtualThreadPerTaskExecutor()) {
      var results = new ArrayList<T>();
      for (var each : pool.invokeAll(all)) {
        results.add(each.get());
      }
      return results;
    }
  }

  private static int revision(Api.Answer answer) {
    return answer.json().path("page").path("revision").asInt();
  }

  @InTurn({6, 18})
  @Test
  void editsThatAreAcknowledgedWhileAPageIsPublishedStay(Api api) throws Exception {
    String page = api.newPage(api.newSite("Published " + System.nanoTime()), document());
    int edits = 30;
    List<Api.Answer> answers =
        atOnce(
            List.of(
                () -> {
                  Api.Answer last = null;
                  for (int i = 0; i < 4; i++) {
                    last = api.post("/api/pages/" + page + "/releases", null);
                    assertThat(last.status()).isEqualTo(201);
                  }
                  return last;
                },
                () -> {
                  Api.Answer last = null;
                  for (int i = 0; i < edits; i++) {
                    last = api.edit(page, i, set("gap", "desktop", (i + 1) + "px"));
                    assertThat(last.status()).as(last.text()).isEqualTo(200);
                  }
                  return last;
                }));
    assertThat(revision(answers.getLast())).isEqualTo(edits);
    assertThat(raw(api, page, "gap", "desktop")).isEqualTo(edits + "px");
    assertThat(numbers(api, page)).isEqualTo(IntStream.rangeClosed(0, edits).boxed().toList());
  }

  private static List<Integer> numbers(Api api, String page) {
    return api.get("/api/pages/" + page + "/revisions")
        .json()
        .valueStream()
        .map(each -> each.path("number").asInt())
        .sorted()
        .toList();
  }

  @Test
  void twoClientsAtOnceBothKeepTheirs(Api api) throws Exception {
    String page = api.newPage(api.newSite("Twins " + System.nanoTime()), document());
    int rounds = Runs.of(40, 200, 2000);
    int head = 0;
    for (int round = 0; round < rounds; round++) {
      int base = head;
      int of = round;
      List<Callable<Api.Answer>> both =
          List.of(
              () -> api.edit(page, base, set("gap", "desktop", (of % 90 + 1) + "px")),
              () -> api.edit(page, base, set("peek", "desktop", (of % 70 + 2) + "px")));
      List<Api.Answer> answers = atOnce(both);
      assertThat(answers).allMatch(each -> each.status() == 200);
      assertThat(answers.stream().map(HistoryApiTest::revision).toList())
          .containsExactlyInAnyOrder(base + 1, base + 2);
      assertThat(raw(api, page, "gap", "desktop")).isEqualTo((of % 90 + 1) + "px");
      assertThat(raw(api, page, "peek", "desktop")).isEqualTo((of % 70 + 2) + "px");
      head += 2;
    }
    System.out.printf("measured: two clients, %d rounds, %d revisions%n", rounds, head);
  }

  @Test
  void eightUndosFromTwoWindowsTakeEightChangesBack(Api api) throws Exception {
    String page = api.newPage(api.newSite("Undone " + System.nanoTime()), document());
    for (int i = 0; i < 10; i++) {
      api.edit(page, i, set("gap", "desktop", (i + 1) + "px"));
    }
    List<Callable<Integer>> undos = new ArrayList<>();
    for (int i = 0; i < 8; i++) {
      undos.add(() -> api.post("/api/pages/" + page + "/undo", null).status());
    }
    assertThat(atOnce(undos)).containsOnly(200);
    assertThat(raw(api, page, "gap", "desktop")).isEqualTo("2px");
    assertThat(numbers(api, page)).isEqualTo(IntStream.rangeClosed(0, 18).boxed().toList());
  }

  /** A look is the site's: what is done to it is undone from any page, on all that wear it. */
  @Test
  void anEditOfALookIsUndoneOnAllPagesThatWearIt(Api api) {
    String site = api.newSite("Worn " + System.nanoTime());
    List<String> pages =
        IntStream.range(0, 3).mapToObj(n -> api.newPage(site, document())).toList();
    String kind = document().pieces().getFirst().type().word();
    assertThat(
            api.edit(
                    pages.getFirst(),
                    0,
                    new Edit.AddNode(
                        Site.ID,
                        0,
                        new Look(
                            "look.shared",
                            Values.NONE
                                .with(LookSettings.NAME, Values.ALL, "Shared")
                                .with(
                                    LookSettings.OF,
                                    Values.ALL,
                                    LookSettings.Of.valueOf(kind.toUpperCase(Locale.ROOT))))))
                .status())
        .isEqualTo(200);
    for (String page : pages) {
      int revision = api.page(page).path("revision").asInt();
      assertThat(
              api.edit(
                      page,
                      revision,
                      new Edit.SetValue(carousel(), LookSettings.WORN.id(), "", "look.shared"))
                  .status())
          .isEqualTo(200);
    }
    var ink = CarouselParts.CARD_HEADING.key(Property.INK, State.REST);
    var seen = new ArrayList<Boolean>();
    assertThat(
            api.edit(
                    pages.get(1),
                    api.page(pages.get(1)).path("revision").asInt(),
                    new Edit.SetStyle("look.shared", ink, "desktop", "#123456"))
                .status())
        .isEqualTo(200);
    for (String page : pages) {
      seen.add(sheet(api, page).contains("#123456"));
    }
    assertThat(seen).containsExactly(true, true, true);
    assertThat(api.post("/api/pages/" + pages.get(1) + "/undo", null).status()).isEqualTo(200);
    for (String page : pages) {
      assertThat(api.document(page).site().look("look.shared").orElseThrow().values().styles())
          .isEqualTo(Values.NONE.styles());
      assertThat(api.document(page).node(carousel()).values().get(LookSettings.WORN))
          .isEqualTo("look.shared");
    }
  }

  /** The sheet of a page as it is on the stage. */
  private static String sheet(Api api, String page) {
    String at = api.stage() + "/api/pages/" + page + "/preview/";
    String link = Jsoup.parse(api.get(at).text()).select("link[rel=stylesheet]").attr("href");
    return api.get(URI.create(at).resolve(link).toString()).text();
  }

  @Test
  void whatIsSentTwiceHappensOnce(Api api) {
    String page = api.newPage(api.newSite("Once " + System.nanoTime()), document());
    String edit = "/api/pages/" + page + "/edits";
    var change =
        Map.of(
            "revision",
            0,
            "key",
            "key-of-an-edit",
            "edits",
            List.of(
                Map.of(
                    "type",
                    "AddNode",
                    "parent",
                    "page",
                    "index",
                    9,
                    "content",
                    Map.of("id", "new-one", "type", "section", "values", Map.of()))));
    assertThat(api.post(edit, change).status()).isEqualTo(200);
    // The answer was lost: the same again is no second section, and no conflict.
    Api.Answer again = api.post(edit, change);
    assertThat(again.status()).isEqualTo(200);
    assertThat(revision(again)).isEqualTo(1);
    for (String way : List.of("undo", "redo", "undo")) {
      var body = Map.of("key", "key-" + way + "-" + System.nanoTime());
      int first = revision(api.post("/api/pages/" + page + "/" + way, body));
      assertThat(revision(api.post("/api/pages/" + page + "/" + way, body))).isEqualTo(first);
    }
    assertThat(api.post(edit, Map.of("revision", 0, "key", "no key!", "edits", List.of())).text())
        .contains("key is no key!; it must be of 8 to 80 letters, digits and hyphens");
  }

  @Test
  void aPageOfOneSiteIsNeverTakenByAnother(Api api) {
    long mark = System.nanoTime();
    String garden = api.newSite("Garden " + mark);
    String shop = api.newSite("Garden " + mark + " shop");
    // Both would be garden-…-shop-home.
    String first = titled(api, garden, "Shop home");
    String second = titled(api, shop, "Home");
    assertThat(second).isNotEqualTo(first);
    assertThat(api.page(first).path("siteId").asString()).isEqualTo(garden);
    assertThat(api.page(second).path("siteId").asString()).isEqualTo(shop);
    assertThat(api.get("/api/pages/" + first + "/document").text()).contains("Shop home");
  }

  private static String titled(Api api, String site, String title) {
    return api.post("/api/sites/" + site + "/pages", Map.of("title", title))
        .json()
        .path("id")
        .asString();
  }

  @Test
  void everySiteThatTakesTheSameFileInHasItsOwn(Api api) {
    byte[] vtt = "WEBVTT\n\n00:01.000 --> 00:02.000\nHello\n".getBytes();
    for (int i = 0; i < 6; i++) {
      String site = api.newSite("Same file " + System.nanoTime());
      assertThat(api.upload(site, "words.vtt", vtt).json().path("id").asString())
          .isEqualTo("words");
      assertThat(api.get("/api/sites/" + site + "/media").json().size()).isEqualTo(1);
    }
  }

  @Test
  void manyAtOncePublishAndUploadAndEachIsTaken(Api api) throws Exception {
    String site = api.newSite("Six " + System.nanoTime());
    String page = api.newPage(site, document());
    List<Callable<Integer>> all = new ArrayList<>();
    for (int i = 0; i < 6; i++) {
      byte[] vtt = ("WEBVTT\n\n00:01.000 --> 00:02.000\nNumber " + i + "\n").getBytes();
      all.add(() -> api.post("/api/pages/" + page + "/releases", null).status());
      all.add(() -> api.upload(site, "words.vtt", vtt).status());
      all.add(() ->
          api.upload(site, "same.vtt", "WEBVTT\n\n00:01.000 --> 00:02.000\nx\n".getBytes())
              .status());
    }
    assertThat(atOnce(all)).allMatch(status -> status == 200 || status == 201);
    assertThat(
            api.get("/api/pages/" + page + "/releases")
                .json()
                .valueStream()
                .map(each -> each.path("line").path("number").asInt())
                .toList())
        .containsExactly(6, 5, 4, 3, 2, 1);
    assertThat(api.get("/api/sites/" + site + "/media").json().size()).isEqualTo(7);
  }

  @Test
  void aBandThatIsRemovedAndComesBackHasItsValuesOnAllPages(Api api) {
    Two two = Two.made(api);
    api.edit(two.other, 0, set("gap", "tablet", "21px"));
    Document one = api.document(two.one);
    Document other = api.document(two.other);
    JsonNode going = api.get("/api/pages/" + two.one + "/bands/tablet/values").json();
    assertThat(going.toString()).as("what goes is said before").contains(carousel() + " / Gap");
    assertThat(api.edit(two.one, 0, new Edit.RemoveBand("tablet")).status()).isEqualTo(200);
    assertThat(DocumentJson.ids(api.document(two.other).bands())).doesNotContain("tablet");
    assertThat(raw(api, two.other, "gap", "tablet")).isEmpty();
    // From the other page there is nothing of this to take back.
    assertThat(api.post("/api/pages/" + two.one + "/undo", null).status()).isEqualTo(200);
    assertThat(api.document(two.one)).isEqualTo(one);
    assertThat(api.document(two.other)).isEqualTo(other);
  }

  @Test
  void whatElsewhereHasChangedSinceIsNotTakenBack(Api api) {
    Two two = Two.made(api);
    double from = api.document(two.one).bands().band("desktop").from();
    api.edit(two.one, 0, new Edit.MoveBreakpoint("desktop", from + 10));
    api.edit(two.other, 0, new Edit.MoveBreakpoint("desktop", from + 20));
    Document before = api.document(two.one);
    Api.Answer undo = api.post("/api/pages/" + two.one + "/undo", null);
    assertThat(undo.status()).isEqualTo(409);
    assertThat(undo.text()).contains("the bands has changed since from elsewhere");
    assertThat(api.document(two.one)).isEqualTo(before);
    // Taken back there, it is as if it had never been.
    assertThat(api.post("/api/pages/" + two.other + "/undo", null).status()).isEqualTo(200);
    assertThat(api.post("/api/pages/" + two.one + "/undo", null).status()).isEqualTo(200);
    assertThat(api.document(two.other).bands().band("desktop").from()).isEqualTo(from);
  }

  @Test
  void aBandIsNotRemovedOverAValueThatNobodyHasSeen(Api api) {
    Two two = Two.made(api);
    api.edit(two.one, 0, set("gap", "tablet", "31px"));
    Api.Answer removed = api.edit(two.one, 0, new Edit.RemoveBand("tablet"));
    assertThat(removed.status()).isEqualTo(409);
    assertThat(removed.text()).contains("gap / tablet was changed in another window");
    assertThat(raw(api, two.one, "gap", "tablet")).isEqualTo("31px");
  }

  @Test
  void aPageIsRestoredWithItsSiteOrWithoutIt(Api api) {
    Two two = Two.made(api);
    Document then = api.document(two.one);
    api.edit(two.one, 0, set("gap", "desktop", "3px"));
    api.edit(two.one, 1, new Edit.RemoveBand("tablet"));
    int now = api.page(two.one).path("revision").asInt();
    JsonNode was = api.get("/api/pages/" + two.one + "/revisions/0").json();
    assertThat(was.path("site").get(0).path("what").asString()).isEqualTo("Bands");
    assertThat(was.path("site").get(0).path("then").asString()).contains("Tablet from");
    assertThat(was.path("site").get(0).path("now").asString()).doesNotContain("Tablet from");
    assertThat(DocumentJson.read(was.path("document"))).isEqualTo(then);
    Document other = api.document(two.other);

    api.post("/api/pages/" + two.one + "/restore", Map.of("revision", 0));
    Document page = api.document(two.one);
    assertThat(page.bands()).as("the site stays").isEqualTo(other.bands());
    assertThat(api.document(two.other)).isEqualTo(other);
    assertThat(raw(api, two.one, "gap", "desktop")).isEqualTo(String.valueOf(gap(then, "desktop")));

    api.post("/api/pages/" + two.one + "/restore", Map.of("revision", 0, "site", true));
    assertThat(api.document(two.one)).isEqualTo(then);
    assertThat(api.document(two.other).bands()).isEqualTo(then.bands());
    assertThat(api.post("/api/pages/" + two.one + "/undo", null).status()).isEqualTo(200);
    assertThat(api.document(two.one)).isEqualTo(page);
    assertThat(api.document(two.other)).isEqualTo(other);
    assertThat(now).isGreaterThan(1);
  }

  private static Object gap(Document document, String band) {
    return DocumentJson.write(document.node(carousel()))
        .path("values")
        .path("gap")
        .path(band)
        .asString("");
  }

  /** A change that was acknowledged: a section's new text, at a revision of a page. */
  private record Told(String page, int revision, String node) {}

  /** Many clients, on two pages of one site, with all else that can be done to it among them. */
  @InTurn(20)
  @Test
  void whatManyClientsAreToldIsThere(Api api) throws Exception {
    Two two = Two.made(api);
    int clients = Runs.of(8, 20, 20);
    int edits = Runs.of(20, 60, 500);
    Set<Told> told = ConcurrentHashMap.newKeySet();
    var statuses = new ConcurrentHashMap<String, Integer>();
    List<Callable<Integer>> all = new ArrayList<>();
    for (int client = 0; client < clients; client++) {
      int me = client;
      String page = me % 2 == 0 ? two.one : two.other;
      all.add(() -> {
        var random = new Random(me);
        for (int i = 0; i < edits; i++) {
          String id = "c" + me + "-" + i;
          JsonNode head = api.page(page);
          int base = head.path("revision").asInt();
          int chance = random.nextInt(100);
          String what =
              chance < 74
                  ? "edit"
                  : chance < 82
                      ? "undo"
                      : chance < 86
                          ? "redo"
                          : chance < 88
                              ? "restore"
                              : chance < 91 ? "publish" : chance < 94 ? "import" : "site";
          Api.Answer answer =
              switch (what) {
                case "edit" ->
                    api.edit(
                        page,
                        base,
                        head.path("siteRevision").asInt(),
                        new Edit.AddNode(sectionOf(), 0, new Block.Text(id, Values.NONE)));
                case "undo", "redo" -> api.post("/api/pages/" + page + "/" + what, null);
                case "restore" ->
                    api.post(
                        "/api/pages/" + page + "/restore",
                        Map.of("revision", Math.max(0, base - 3), "site", random.nextBoolean()));
                case "publish" -> api.post("/api/pages/" + page + "/releases", null);
                case "import" ->
                    api.post("/api/sites/" + two.site + "/pages", Map.of("title", "Page " + id));
                default ->
                    api.edit(
                        page,
                        base,
                        head.path("siteRevision").asInt(),
                        new Edit.MoveBreakpoint("desktop", 900 + random.nextInt(300)));
              };
          statuses.merge(what + " " + answer.status(), 1, Integer::sum);
          // Overtaken, or with nothing to take back: told so, and nothing is changed.
          assertThat(answer.status()).as(what + answer.text()).isIn(200, 201, 409, 422);
          if (what.equals("edit")) {
            assertThat(answer.status()).as(answer.text()).isNotEqualTo(422);
          }
          if (what.equals("edit") && answer.status() == 200) {
            assertThat(told.add(new Told(page, revision(answer), id))).isTrue();
          }
        }
        return 0;
      });
    }
    atOnce(all);
    // Each of them is in the revision that it was told, and each revision has a number of its own.
    assertThat(told.stream().map(each -> each.page + " " + each.revision).distinct().count())
        .isEqualTo(told.size());
    for (Told each : told) {
      String was = api.get("/api/pages/" + each.page + "/revisions/" + each.revision).text();
      assertThat(was).as(each.toString()).contains("\"" + each.node + "\"");
    }
    assertThat(gaps("select count(*), max(number) from revision where page_id = '" + two.one + "'"))
        .isZero();
    assertThat(
            gaps("select count(*), max(number) from revision where page_id = '" + two.other + "'"))
        .isZero();
    assertThat(
            gaps(
                "select count(*), max(number) from site_revision where site_id = '"
                    + two.site
                    + "'"))
        .isZero();
    assertThat(gaps("select count(*), max(number) from change where site_id = '" + two.site + "'"))
        .isZero();
    assertThat(api.document(two.one).site()).isEqualTo(api.document(two.other).site());
    System.out.printf(
        "measured: %d clients x %d acts: %d edits acknowledged, all there; %s%n",
        clients, edits, told.size(), new java.util.TreeMap<>(statuses));
  }

  /** Numbers that are missing from 0 to the largest. */
  private static int gaps(String sql) throws SQLException {
    try (var connection = DriverManager.getConnection(Giostra.database(), "giostra", "");
        var found = connection.createStatement().executeQuery(sql)) {
      found.next();
      return found.getInt(2) + 1 - found.getInt(1);
    }
  }

  private static String sectionOf() {
    return document().page().sections().getFirst().id();
  }

  @Test
  void whatCannotBeReadBackIsRefusedAndChangesNothing(Api api) {
    String site = api.newSite("Refused " + System.nanoTime());
    String pages = "/api/sites/" + site + "/pages";
    assertThat(api.post(pages, Map.of("title", "T".repeat(201))).text())
        .contains("Title is 201 characters long");
    assertThat(api.post(pages, Map.of("title", "With\u0001control")).text())
        .contains("Title is holding a control character");
    String page = api.newPage(site, document());
    Document before = api.document(page);
    String section = sectionOf();
    // Cleaned it is longer than it was: each sign becomes four or five characters.
    String grows = "<p>" + "&lt;<".repeat(7_000) + "</p>";
    Edit text = new Edit.AddNode(section, 0, new Block.Text("grown", Values.NONE));
    assertThat(api.edit(page, 0, text, new Edit.SetValue("grown", "text", "", grows)).status())
        .isEqualTo(422);
    // Half a pair, as JSON can write it.
    String half =
        """
        {"revision":0,"edits":[{"type":"SetValue","node":"page","setting":"title","band":"",
          "value":"half \\ud83c a flower"}]}
        """;
    assertThat(api.post("/api/pages/" + page + "/edits", half).text())
        .contains("Title is holding half a character");
    assertThat(
            api.edit(page, 0, text, new Edit.SetValue("grown", "text", "", "no\u0000thing"))
                .status())
        .isEqualTo(422);
    var deep = new ArrayList<Edit>();
    String parent = section;
    for (int i = 0; i < 16; i++) {
      deep.add(
          new Edit.AddNode(
              parent,
              0,
              new Block.Columns(
                  "cs-" + i, Values.NONE, List.of(new Column("c-" + i, Values.NONE, List.of())))));
      parent = "c-" + i;
    }
    assertThat(api.edit(page, 0, deep.toArray(Edit[]::new)).text())
        .contains("depth is 25; it must be at most 24");
    assertThat(api.document(page)).isEqualTo(before);
    assertThat(api.page(page).path("revision").asInt()).isZero();
    assertThat(api.get("/api/shelf").status()).isEqualTo(200);
  }

  /** While a newer program takes over, what it has written is left to it. */
  @Test
  void whatANewerProgramHasWrittenIsLeftToIt(Api api) throws SQLException {
    String page = api.newPage(document());
    String other = api.newPage(document());
    Edit text = new Edit.SetValue("page", "title", "", "Another title");
    assertThat(api.edit(page, 0, text).status()).isEqualTo(200);
    String was = "/api/pages/" + page + "/revisions/0";
    assertThat(api.get(was).status()).isEqualTo(200);
    written(page, DocumentJson.VERSION + 1);
    Api.Answer answer = api.get(was);
    assertThat(answer.status()).isEqualTo(503);
    assertThat(answer.header("retry-after")).isEqualTo("2");
    assertThat(answer.text()).contains("A newer Giostra").contains("Nothing was changed");
    assertThat(api.get("/api/pages/" + other + "/revisions/0").status()).isEqualTo(200);
    assertThat(api.get("/api/shelf").status()).isEqualTo(200);
    written(page, DocumentJson.VERSION);
    assertThat(api.get(was).status()).isEqualTo(200);
  }

  private static void written(String page, int version) throws SQLException {
    try (var connection = DriverManager.getConnection(Giostra.database(), "giostra", "");
        var update =
            connection.prepareStatement("update revision set version = ? where page_id = ?")) {
      update.setInt(1, version);
      update.setString(2, page);
      assertThat(update.executeUpdate()).isPositive();
    }
  }
}
