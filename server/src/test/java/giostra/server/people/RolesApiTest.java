package giostra.server.people;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.format.EditJson;
import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Node;
import giostra.core.page.NodeType;
import giostra.core.page.Page;
import giostra.core.testing.RandomDocuments;
import giostra.core.testing.Runs;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;

/** What each role may do, operation by operation and edit by edit. */
@ExtendWith(Giostra.class)
class RolesApiTest {
  /** Asked by whoever is in, whatever they may do; and by who is not. */
  private static final Set<String> ANYBODY =
      Set.of(
          "get /api/me",
          "put /api/me",
          "put /api/me/password",
          "post /api/keys",
          "get /api/me/sessions",
          "delete /api/me/sessions/{session}",
          "get /api/me/tokens",
          "post /api/me/tokens",
          "delete /api/me/tokens/{token}",
          "get /api/me/passkeys",
          "post /api/me/passkeys",
          "post /api/me/passkeys/asked",
          "delete /api/me/passkeys/{passkey}",
          "post /api/ways-in",
          "post /api/sign-ins/asked",
          "post /api/sign-ins/passkey",
          "post /api/sign-ins",
          "post /api/reviews");

  private static final Set<String> REVIEWERS =
      Set.of(
          "post /api/pages/{id}/trials",
          "post /api/pages/{id}/trace",
          "post /api/pages/{id}/here",
          "post /api/pages/{id}/remarks",
          "delete /api/pages/{id}/remarks/{remark}");

  private static final Set<String> WRITERS =
      Set.of(
          "post /api/pages/{id}/edits",
          "put /api/pages/{id}/remarks/{remark}/done",
          "post /api/pages/{id}/undo",
          "post /api/pages/{id}/redo",
          "post /api/sites/{siteId}/media",
          "post /api/sites/{siteId}/media/address",
          "put /api/sites/{siteId}/media/{id}",
          "post /api/sites/{siteId}/media/{id}/file",
          "post /api/sites/{siteId}/media/{id}/frames",
          "post /api/embeds",
          "post /api/sites/{siteId}/embeds/poster",
          "post /api/pages/{id}/intakes",
          "post /api/pages/{id}/intakes/pasted",
          "post /api/pages/{id}/cells",
          "put /api/intakes/{intake}/mapping",
          "post /api/intakes/{intake}/mends",
          "post /api/intakes/{intake}/run",
          "delete /api/intakes/{intake}",
          "post /api/pages/{id}/refills",
          "post /api/pages/{id}/refills/apply");

  private static final Set<String> DESIGNERS_READ =
      Set.of("get /api/sites/{siteId}/archive.zip", "get /api/pages/{id}/review-links");

  private static final Set<String> OWNERS =
      Set.of(
          "get /api/sites/{siteId}/people",
          "post /api/sites/{siteId}/people",
          "put /api/sites/{siteId}/people/{person}",
          "delete /api/sites/{siteId}/people/{person}",
          "delete /api/pages/{id}",
          "put /api/sites/{siteId}/name",
          "post /api/sites/{siteId}/away",
          "delete /api/sites/{siteId}/away",
          "delete /api/sites/{siteId}");

  /** For owners of the installation. */
  private static final Set<String> ALL =
      Set.of("get /api/people", "delete /api/people/{person}", "post /api/people/{person}/ways-in");

  private static Role needed(String operation) {
    if (ANYBODY.contains(operation)) {
      return Role.NONE;
    }
    if (REVIEWERS.contains(operation)) {
      return Role.REVIEWER;
    }
    if (WRITERS.contains(operation)) {
      return Role.WRITER;
    }
    if (OWNERS.contains(operation)) {
      return Role.OWNER;
    }
    return operation.startsWith("get ") && !DESIGNERS_READ.contains(operation)
        ? Role.REVIEWER
        : Role.DESIGNER;
  }

  private static String address(String path, String site, String page) {
    return path.replace("{siteId}", site)
        .replace("{intake}", INTAKE)
        .replaceFirst("^/api/pages/\\{id}", "/api/pages/" + page)
        .replace("{number}", "1")
        .replaceAll("\\{[^}]+}", "nothing");
  }

  private static final String INTAKE = "the-intake";

  private static String pageOf(Api api, String site) {
    return site + "-evenings-at-velluta";
  }

  /** Every operation of the description, by each role on its site and by a stranger to it. */
  @Test
  void eachOperationAsksForItsRole(Api api) {
    JsonNode paths = api.get("/v3/api-docs").json().path("paths");
    var told = new EnumMap<Role, int[]>(Role.class);
    var wrong = new ArrayList<String>();
    var seen = new TreeSet<String>();
    for (Role role : List.of(Role.NONE, Role.REVIEWER, Role.WRITER, Role.DESIGNER, Role.OWNER)) {
      String site = api.newSite("For a " + role.word());
      String page = api.newPage(site, RandomDocuments.document(3));
      String piece = api.document(page).pieces().getFirst().id();
      String intake =
          api.post(
                  "/api/pages/" + page + "/intakes/pasted",
                  Map.of("piece", piece, "text", "title\nOne\n"))
              .json()
              .path("id")
              .asString();
      assertThat(intake).isNotEmpty();
      Api.Member who =
          role == Role.NONE
              ? api.member(api.newSite("Elsewhere"), "owner")
              : api.member(site, role.word());
      int[] counts = told.computeIfAbsent(role, _ -> new int[2]);
      for (String method : List.of("get", "put", "post", "delete")) {
        for (var path : paths.properties()) {
          String operation = method + " " + path.getKey();
          if (path.getValue().path(method).isMissingNode()
              || !path.getKey().startsWith("/api/")
              || ANYBODY.contains(operation)
              || path.getKey().endsWith("/events")) {
            continue;
          }
          seen.add(operation);
          boolean looked =
              method.equals("get")
                  && needed(operation) == Role.REVIEWER
                  && role.may(Role.WRITER)
                  && !Runs.deep();
          if (looked) {
            continue;
          }
          String type =
              operation.endsWith("/match")
                  ? "image/png"
                  : path
                      .getValue()
                      .path(method)
                      .path("requestBody")
                      .path("content")
                      .propertyNames()
                      .stream()
                      .findFirst()
                      .filter(each -> !each.contains("*"))
                      .orElse("application/json");
          String body = method.equals("get") || method.equals("delete") ? null : "{}";
          int status =
              api.ask(
                      who,
                      method.toUpperCase(Locale.ROOT),
                      address(path.getKey(), site, page).replace(INTAKE, intake),
                      type.startsWith("multipart/") ? type + "; boundary=b" : type,
                      body)
                  .status();
          boolean bound =
              path.getKey().startsWith("/api/pages/{id}")
                  || path.getKey().startsWith("/api/intakes/{intake}")
                  || path.getKey().startsWith("/api/sites/{siteId}");
          // A stranger owns a site of their own, and so may do what is about none.
          Role held = role == Role.NONE && !bound ? Role.OWNER : role;
          boolean refused = ALL.contains(operation) || !held.may(needed(operation));
          int said = bound && role == Role.NONE ? 404 : 403;
          if (refused != (status == said) && !(said == 404 && refused == (status == 404))
              || status >= 500
              || status == 401) {
            wrong.add(role + " " + operation + " got " + status);
          }
          counts[refused ? 1 : 0]++;
        }
      }
    }
    told.forEach((role, counts) ->
        System.out.printf(
            "measured: %s: %d operations allowed, %d refused%n", role, counts[0], counts[1]));
    assertThat(wrong).isEmpty();
    assertThat(seen).hasSizeGreaterThan(120).containsAll(WRITERS).containsAll(OWNERS);
  }

  private static Api.Answer edit(Api api, Api.Member who, String page, Edit... edits) {
    var body = JsonNodeFactory.instance.objectNode();
    body.put("revision", api.page(page).path("revision").asInt());
    body.set("edits", EditJson.write(List.of(edits)));
    return api.ask(who, "POST", "/api/pages/" + page + "/edits", body.toString());
  }

  private static Node first(Document document, NodeType type) {
    return document.nodes().filter(node -> node.type() == type).findFirst().orElseThrow();
  }

  @Test
  void aWriterFillsAndDoesNothingElse(Api api) {
    String site = api.copyOfDemo();
    String page = pageOf(api, site);
    Api.Member writer = api.member(site, "writer");
    Document document = api.document(page);
    Node item = first(document, NodeType.ITEM);
    Node heading = first(document, NodeType.HEADING);
    Node section = first(document, NodeType.SECTION);
    Node piece = document.pieces().getFirst();
    for (Edit each :
        List.of(
            new Edit.SetValue(item.id(), "kicker", "", "Said by a writer"),
            new Edit.SetValue(heading.id(), "text", "", "Another heading"))) {
      assertThat(edit(api, writer, page, each).status()).as(each.toString()).isEqualTo(200);
    }
    var moved = api.document(page).path(item.id());
    Node parent = moved.get(moved.size() - 2);
    assertThat(edit(api, writer, page, new Edit.MoveNode(item.id(), parent.id(), 1)).status())
        .isEqualTo(200);
    assertThat(edit(api, writer, page, new Edit.RemoveNode(item.id())).status()).isEqualTo(200);
    assertThat(api.ask(writer, "POST", "/api/pages/" + page + "/undo", null).status())
        .isEqualTo(200);
    int before = api.page(page).path("revision").asInt();
    Document now = api.document(page);
    Node dressed =
        now.nodes()
            .filter(node -> !node.values().styles().set().isEmpty())
            .findFirst()
            .orElseThrow();
    var said = dressed.values().styles().set().entrySet().iterator().next();
    StyleKey style = said.getKey();
    String band = now.bands().all().get(1).id();
    var empty = new Page("page", now.page().values(), List.of());
    for (Edit each :
        List.of(
            new Edit.SetStyle(
                dressed.id(), style, said.getValue().keySet().iterator().next(), null),
            new Edit.RemoveNode(section.id()),
            new Edit.MoveNode(section.id(), "page", 1),
            new Edit.RemoveNode(piece.id()),
            new Edit.RemoveBand(band),
            new Edit.MoveBreakpoint(band, 123),
            new Edit.AddNode(
                "page", 0, NodeType.SECTION.make("a-new-section", Values.NONE, List.of())),
            new Edit.AddNode(
                item.id(), 0, NodeType.OWN_HTML.make("some-code", Values.NONE, List.of())),
            new Edit.ReplacePage(empty),
            new Edit.Replace(new Document(now.site(), empty)))) {
      Api.Answer refused = edit(api, writer, page, each);
      assertThat(refused.status()).as(each + " " + refused.text()).isEqualTo(403);
      assertThat(refused.text()).contains("A writer fills in");
    }
    assertThat(api.page(page).path("revision").asInt()).isEqualTo(before);
    // What a designer did is not theirs to take back.
    Api.Member designer = api.member(site, "designer");
    assertThat(edit(api, designer, page, new Edit.RemoveNode(section.id())).status())
        .isEqualTo(200);
    Api.Answer undo = api.ask(writer, "POST", "/api/pages/" + page + "/undo", null);
    assertThat(undo.status()).isEqualTo(403);
    assertThat(undo.text()).contains("somebody else's");
    // Who changed what stands in the history.
    JsonNode lines = api.get("/api/pages/" + page + "/revisions").json();
    assertThat(lines.get(0).path("by").asString()).isEqualTo("A designer");
    assertThat(lines.get(1).path("by").asString()).isEqualTo("A writer");
  }

  /** By the way of one page nobody looks at what is of another. */
  @Test
  void whatIsOfAnotherPageIsNotThere(Api api) {
    String page = api.newPage(api.newSite("One"), RandomDocuments.document(3));
    String intake =
        api.post(
                "/api/pages/" + page + "/intakes/pasted",
                Map.of(
                    "piece", api.document(page).pieces().getFirst().id(), "text", "title\nOne\n"))
            .json()
            .path("id")
            .asString();
    String preview = "/preview/?intake=" + intake;
    assertThat(api.get("/api/pages/" + page + preview).status()).isEqualTo(200);
    String site = api.newSite("Another");
    String other = api.newPage(site, RandomDocuments.document(3));
    Api.Member who = api.member(site, "owner");
    assertThat(api.ask(who, "GET", "/api/pages/" + other + preview, null).status()).isEqualTo(404);
    assertThat(api.ask(who, "GET", "/api/intakes/" + intake, null).status()).isEqualTo(404);
  }

  /** An address that is written otherwise is the same address. */
  @Test
  void howAnAddressIsWrittenChangesNothing(Api api) {
    String site = api.newSite("Written");
    String page = api.newPage(site, RandomDocuments.document(3));
    Api.Member reviewer = api.member(site, "reviewer");
    Api.Member stranger = api.member(api.newSite("Elsewhere"), "owner");
    for (String start : List.of("/%61pi", "/ap%69", "/%61%70%69", "//api", "/api/", "/API")) {
      String path = start + "/pages/" + page;
      for (Api.Member who : List.of(reviewer, stranger)) {
        assertThat(api.ask(who, "POST", path + "/away", null).status())
            .as(path)
            .isIn(400, 403, 404);
        assertThat(api.ask(who, "POST", path + "/releases", "{}").status())
            .as(path)
            .isIn(400, 403, 404);
      }
      assertThat(api.ask(stranger, "GET", path, null).status()).as(path).isIn(400, 403, 404);
    }
    assertThat(api.get("/api/pages/" + page + "/releases").json()).isEmpty();
    assertThat(api.page(page).path("id").asString()).isEqualTo(page);
  }

  @Test
  void eachSeesTheirOwnSites(Api api) {
    String mine = api.newSite("Mine alone");
    String other = api.newSite("Somebody else's");
    Api.Member who = api.member(mine, "designer");
    assertThat(api.ask(who, "GET", "/api/sites", null).json()).hasSize(1);
    assertThat(api.ask(who, "GET", "/api/shelf", null).text())
        .contains("Mine alone")
        .doesNotContain("Somebody else's")
        .doesNotContain("velluta");
    assertThat(api.post("/api/sites/" + other + "/away", null).status()).isEqualTo(204);
    assertThat(api.ask(who, "GET", "/api/away", null).text()).doesNotContain("Somebody else's");
    assertThat(api.ask(who, "GET", "/api/pages/" + Api.DEMO, null).status()).isEqualTo(404);
    // What they make is theirs.
    String made =
        api.ask(who, "POST", "/api/sites", Map.of("name", "Made by a designer"))
            .json()
            .path("id")
            .asString();
    assertThat(api.ask(who, "GET", "/api/sites/" + made + "/people", null).text())
        .contains(who.address());
    // A page goes nowhere where they have no part.
    String page =
        api.ask(who, "POST", "/api/sites/" + made + "/pages", Map.of("title", "A page"))
            .json()
            .path("id")
            .asString();
    for (String to : List.of("velluta", other)) {
      assertThat(
              api.ask(who, "POST", "/api/pages/" + page + "/copies", Map.of("site", to)).status())
          .isEqualTo(403);
      assertThat(api.ask(who, "POST", "/api/pages/" + page + "/move", Map.of("site", to)).status())
          .isEqualTo(403);
      assertThat(api.ask(who, "GET", "/api/pages/" + page + "/losses?site=" + to, null).status())
          .isEqualTo(403);
    }
    assertThat(api.ask(who, "POST", "/api/pages/" + page + "/move", Map.of("site", mine)).status())
        .isEqualTo(200);
  }

  @Test
  void aRoleThatIsTakenIsTakenAtOnce(Api api) {
    String site = api.newSite("For a while");
    Api.Member who = api.member(site, "designer");
    String people = "/api/sites/" + site + "/people";
    assertThat(api.ask(who, "GET", people, null).status()).isEqualTo(403);
    String own = people + "/" + who.id();
    assertThat(api.put(own, Map.of("role", "owner")).status()).isEqualTo(204);
    assertThat(api.ask(who, "GET", people, null).status()).isEqualTo(200);
    assertThat(api.put(own, Map.of("role", "king")).text()).contains("one of reviewer");
    assertThat(api.put(people + "/owner", Map.of("role", "writer")).status()).isEqualTo(404);
    assertThat(api.delete(own).status()).isEqualTo(204);
    assertThat(api.ask(who, "GET", people, null).status()).isEqualTo(404);
    assertThat(api.ask(who, "GET", "/api/shelf", null).json().path("sites")).isEmpty();
  }
}
