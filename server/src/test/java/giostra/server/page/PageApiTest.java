package giostra.server.page;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.format.DocumentJson;
import giostra.core.format.EditJson;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.testing.RandomDocuments;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Pages and edits over HTTP. Source for problems: RFC 9457, Problem Details for HTTP APIs. */
@ExtendWith(Giostra.class)
class PageApiTest {
  private static final long SEED = 11;

  private static String carousel() {
    return RandomDocuments.document(SEED).pieces().getFirst().id();
  }

  private static String made(Api api) {
    return api.newPage(RandomDocuments.document(SEED));
  }

  private static Edit set(String setting, String band, Object value) {
    return new Edit.SetValue(carousel(), setting, band, value);
  }

  @Test
  void aDocumentComesBackAsItWasSent(Api api) {
    for (long seed = 0; seed < 12; seed++) {
      Document sent = RandomDocuments.document(seed);
      assertThat(api.document(api.newPage(sent))).isEqualTo(sent);
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          gap    | desktop | -4    | Gap    | -4px | a length from 0 to 400 px
          inView | desktop | 0     | In view | 0    | a whole number from 1 to 12
          inView | desktop | three | In view | three | a whole number from 1 to 12
          gap    | desktop | 4vw   | Gap    | 4vw  | a length from 0 to 400 px
          marks  | desktop | stars | Place marks | stars | one of dots, tally, bar, thumbnails, names, none
          """)
  void whatCannotBeIsRefusedWithFieldValueAndRange(
      String setting,
      String band,
      String value,
      String what,
      String found,
      String allowed,
      Api api) {
    String id = made(api);
    Object typed = value.matches("-?\\d+") ? (Object) Double.valueOf(value) : value;
    Api.Answer answer = api.edit(id, 0, set(setting, band, typed));
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.header("content-type")).isEqualTo("application/problem+json");
    var fault = answer.json().path("faults").get(0);
    assertThat(fault.path("what").asString()).isEqualTo(what);
    assertThat(fault.path("found").asString()).isEqualTo(found);
    assertThat(fault.path("allowed").asString()).startsWith(allowed);
    assertThat(fault.path("where").asString()).contains(carousel(), setting, band);
    assertThat(api.page(id).path("revision").asInt()).isZero();
  }

  @Test
  void anUnknownPieceIsRefusedWithThoseThereAre(Api api) {
    Api.Answer answer = api.get("/api/pages/" + made(api) + "/suggestion?piece=nobody");
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.text()).contains("piece is nobody; it must be one of " + carousel());
  }

  @Test
  void aDocumentThatBreaksTheSchemaIsRefusedWithEveryFaultAndItsPlace(Api api) {
    String site = api.newSite("Faults");
    Api.Answer answer =
        api.post(
            "/api/sites/" + site + "/pages",
            """
            {"document":{"giostra":1,"site":{"bands":[{"id":"all","name":"All","from":0}],"values":{}},
             "page":{"id":"p","type":"page","values":{"title":7,"language":"english!"},
              "children":[{"id":"s","type":"sektion","values":{}}]}}}
            """);
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.json().path("faults").size()).isEqualTo(3);
    assertThat(answer.text())
        .contains("/page/values/title")
        .contains("/page/values/language")
        .contains("/page/children/0");
  }

  @Test
  void whatIsNotJsonIsRefused(Api api) {
    Api.Answer answer = api.post("/api/pages/" + made(api) + "/edits", "{\"revision\":0,");
    assertThat(answer.status()).isEqualTo(400);
    assertThat(answer.json().path("title").asString()).isEqualTo("Not JSON");
  }

  /** A node of a page as it is answered with, in the place of the one with its id. */
  private static void put(ObjectNode parent, JsonNode node) {
    var children = (ArrayNode) parent.path("children");
    for (int i = 0; i < children.size(); i++) {
      if (children.get(i).path("id").equals(node.path("id"))) {
        children.set(i, node);
      } else if (children.get(i).path("children").isArray()) {
        put((ObjectNode) children.get(i), node);
      }
    }
  }

  /** Whoever says what they have is told what is different, and comes to the same. */
  @Test
  void anAnswerHasWhatChangedForWhoeverHasTheRest(Api api) {
    String id = api.newPage(api.copyOfDemo(), api.document(Api.DEMO));
    var mine = (ObjectNode) api.get("/api/pages/" + id + "/document").json();
    JsonNode head = api.page(id);
    List<List<Edit>> changes =
        List.of(
            List.of(new Edit.SetValue("words", "gap", "desktop", "21px")),
            List.of(
                new Edit.SetValue("house-2", "heading", "", "Another"),
                new Edit.SetValue("words-3", "text", "", "Shorter.")),
            List.of(new Edit.RemoveNode("house-4")),
            List.of(new Edit.MoveNode("idea-picture", "visit-right", 0)),
            List.of(new Edit.SetValue("page", "title", "", "Other evenings")),
            List.of(new Edit.SetValue("site", "measure", "desktop", "900px")),
            List.of(new Edit.RemoveNode("films-section")),
            List.of(new Edit.SetValue("words", "gap", "desktop", "21px")));
    int small = 0;
    for (int turn = 0; turn < changes.size() + 3; turn++) {
      String has =
          "?has=" + head.path("revision").asInt() + "." + head.path("siteRevision").asInt();
      JsonNode page =
          (turn < changes.size()
                  ? api.post(
                      "/api/pages/" + id + "/edits" + has,
                      Map.of(
                          "revision",
                          head.path("revision").asInt(),
                          "siteRevision",
                          head.path("siteRevision").asInt(),
                          "edits",
                          EditJson.write(changes.get(turn))))
                  : api.post("/api/pages/" + id + (turn % 2 == 0 ? "/undo" : "/redo") + has, null))
              .json()
              .path("page");
      assertThat(page.path("document").isObject()).isNotEqualTo(page.path("nodes").isArray());
      if (page.path("nodes").isArray()) {
        small++;
        page.path("nodes").forEach(node -> put((ObjectNode) mine.path("page"), node));
      } else {
        mine.setAll((ObjectNode) page.path("document"));
      }
      assertThat(mine)
          .as("after change %d", turn)
          .isEqualTo(api.get("/api/pages/" + id + "/document").json());
      head = page;
    }
    assertThat(small).isBetween(4, 8);
    // Who has something older gets it all.
    assertThat(
            api.post("/api/pages/" + id + "/undo?has=0.0", null)
                .json()
                .path("page")
                .path("document")
                .isObject())
        .isTrue();
  }

  @Test
  void anEditOnAnOldRevisionIsPutOnTopWhereItTouchesSomethingElse(Api api) {
    String id = made(api);
    assertThat(api.edit(id, 0, set("gap", "desktop", "31px")).status()).isEqualTo(200);
    Api.Answer second = api.edit(id, 0, set("inView", "desktop", 2.0));
    assertThat(second.status()).isEqualTo(200);
    assertThat(second.json().path("page").path("revision").asInt()).isEqualTo(2);
    assertThat(second.text()).contains("31px");
  }

  @Test
  void twoEditsOfTheSameValueConflictAndTheNewerDocumentComesAlong(Api api) {
    String id = made(api);
    api.edit(id, 0, set("gap", "desktop", "31px"));
    Api.Answer second = api.edit(id, 0, set("gap", "desktop", "17px"));
    assertThat(second.status()).isEqualTo(409);
    assertThat(second.json().path("revision").asInt()).isEqualTo(1);
    assertThat(DocumentJson.read(second.json().path("document"))).isEqualTo(api.document(id));
    assertThat(api.get("/api/pages/" + id + "/document").text()).contains("31px");
  }

  @Test
  void undoAndRedoGoAllTheWayAndRevisionsAreOnlyEverAppended(Api api) {
    String id = made(api);
    Document first = api.document(id);
    for (int edit = 0; edit < 5; edit++) {
      api.edit(id, edit, set("gap", "desktop", (edit + 1) + "px"));
    }
    Document last = api.document(id);
    for (int back = 0; back < 5; back++) {
      assertThat(api.post("/api/pages/" + id + "/undo", null).status()).isEqualTo(200);
    }
    assertThat(api.document(id)).isEqualTo(first);
    assertThat(api.post("/api/pages/" + id + "/undo", null).status()).isEqualTo(422);
    for (int again = 0; again < 5; again++) {
      api.post("/api/pages/" + id + "/redo", null);
    }
    assertThat(api.document(id)).isEqualTo(last);
    assertThat(api.get("/api/pages/" + id + "/revisions").json().size()).isEqualTo(16);
    api.post("/api/pages/" + id + "/restore", "{\"revision\":0}");
    assertThat(api.document(id)).isEqualTo(first);
  }

  @Test
  void aBreakpointMovesOnAllPagesOfTheSite(Api api) {
    String site = api.newSite("Shared");
    String one = api.newPage(site, RandomDocuments.document(SEED));
    String two = api.newPage(site, RandomDocuments.document(SEED));
    String band = api.document(one).bands().lead().id();
    double from = api.document(one).bands().lead().from() + 8;
    assertThat(api.edit(one, 0, new Edit.MoveBreakpoint(band, from)).status()).isEqualTo(200);
    assertThat(api.document(two).bands().lead().from()).isEqualTo(from);
  }

  @Test
  void readingsAreTheEnginesFigures(Api api) {
    var all = api.get("/api/pages/" + Api.DEMO + "/readings?width=1280").json();
    var reading =
        all.path("tracks")
            .valueStream()
            .filter(each -> each.path("piece").asString().equals("words"))
            .findFirst()
            .orElseThrow();
    // (1120 - 2 x 32) / 3
    assertThat(reading.path("item").asDouble()).isEqualTo(352);
    assertThat(reading.path("starts").toString()).isEqualTo("[0,1,2,3,4]");
    var figures = all.path("grids").path(0);
    assertThat(figures.path("columns").asInt() * figures.path("item").asDouble())
        .as("boxes and gaps fill the measure")
        .isEqualTo(1120 - (figures.path("columns").asInt() - 1) * figures.path("gap").asDouble());
    assertThat(all.path("tabs").path(0).path("folds").asBoolean()).isFalse();
    assertThat(all.path("heights").size()).isGreaterThan(40);
    assertThat(api.get("/api/pages/" + Api.DEMO + "/readings?width=12").status()).isEqualTo(422);
  }

  @Test
  void aPieceWithoutRoomTakesNoOthersFiguresAlong(Api api) {
    String page = api.newPage(api.document(Api.DEMO));
    var before = api.get("/api/pages/" + page + "/readings?width=320").json();
    assertThat(before.path("noRoom")).isEmpty();
    assertThat(
            api.edit(
                    page,
                    0,
                    new Edit.SetValue("words", "inView", "phone", 12),
                    new Edit.SetValue("words", "gap", "phone", "120px"))
                .status())
        .isEqualTo(200);
    var after = api.get("/api/pages/" + page + "/readings?width=320").json();
    assertThat(after.path("noRoom")).hasSize(1);
    assertThat(after.path("noRoom").path(0).path("piece").asString()).isEqualTo("words");
    assertThat(after.path("noRoom").path(0).path("why").asString()).contains("Phone");
    assertThat(after.path("tracks")).hasSize(before.path("tracks").size() - 1);
    assertThat(after.path("grids")).isEqualTo(before.path("grids"));
    assertThat(
            api.edit(
                    page,
                    1,
                    new Edit.SetValue("words", "heights", "desktop", "own"),
                    new Edit.SetValue("words", "heights", "phone", "own"))
                .status())
        .isEqualTo(200);
    for (String whole : List.of("snags", "check", "strips?at=320&at=1280", "proof-sheet")) {
      Api.Answer answer = api.get("/api/pages/" + page + "/" + whole);
      assertThat(answer.status()).as(whole + ": " + answer.text()).isEqualTo(200);
    }
  }

  @Test
  void categoriesAreChangedByEditsThatTheServerWorksOut(Api api) {
    String page = api.newPage(api.document(Api.DEMO));
    String categories = "/api/pages/" + page + "/categories";
    var before = api.get(categories + "?piece=questions").json();
    assertThat(before.valueStream().map(each -> each.path("name").asString()))
        .containsExactly("Tickets", "Getting here", "Access");
    var edits =
        api.get(categories + "/edits?piece=questions&change=DELETE&name=Access&to=Tickets").json();
    assertThat(api.post("/api/pages/" + page + "/edits", Map.of("revision", 0, "edits", edits)))
        .extracting(Api.Answer::status)
        .isEqualTo(200);
    var after = api.get(categories + "?piece=questions").json();
    assertThat(after.path(0).path("questions").asInt())
        .isEqualTo(
            before.path(0).path("questions").asInt() + before.path(2).path("questions").asInt());
    String refusal = categories + "/edits?piece=questions&change=";
    assertThat(api.get(refusal + "RENAME&name=Nothing&to=Else").text())
        .contains("must be one of Tickets, Getting here");
    assertThat(api.get(refusal + "MOVE&name=Tickets&to=top").text())
        .contains("is top; it must be a whole number");
    assertThat(api.get(refusal + "SWAP&name=Tickets").status()).isEqualTo(400);
    assertThat(api.get(categories + "?piece=houses").text())
        .contains("is houses; it must be an accordion");
  }

  @Test
  void theDescriptionInDocsIsTheOneThatIsServed(Api api) throws java.io.IOException {
    var file =
        java.nio.file.Path.of(System.getProperty("giostra.root"), "docs/formats/openapi.json");
    var served = api.get("/v3/api-docs").json();
    assertThat(DocumentJson.parse(java.nio.file.Files.readString(file))).isEqualTo(served);
  }

  @Test
  void theStageAnswersPreviewsAlone(Api api) {
    assertThat(List.of(api.get(api.stage() + "/api/shelf").status())).containsExactly(404);
  }
}
