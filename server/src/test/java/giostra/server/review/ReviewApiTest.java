package giostra.server.review;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.page.Edit;
import giostra.core.page.PageSettings;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Links for review, and remarks. */
@ExtendWith(Giostra.class)
class ReviewApiTest {
  private static Api.Member guest(Api api, String page, Map<String, ?> link) {
    Api.Answer made = api.post("/api/pages/" + page + "/review-links", link);
    assertThat(made.status()).as(made.text()).isEqualTo(201);
    String address = made.json().path("address").asString();
    assertThat(address).startsWith(api.at("/review#key="));
    return api.guest(address.substring(address.indexOf("#key=") + 5));
  }

  private static Map<String, Object> remark(String name, String node, int width, String text) {
    return Map.of("name", name, "node", node, "width", width, "text", text);
  }

  @Test
  void aGuestSeesOnePageAndRemarks(Api api) {
    String site = api.copyOfDemo();
    String page = site + "-evenings-at-velluta";
    Api.Member guest = guest(api, page, Map.of("name", "The club", "days", 7));
    JsonNode seen = api.ask(guest, "GET", "/api/pages/" + page + "/review", null).json();
    assertThat(seen.path("title").asString()).isEqualTo("Evenings at Velluta");
    assertThat(seen.path("name").asString()).isEqualTo("The club");
    assertThat(seen.path("spots").size()).isGreaterThan(20);
    String remarks = "/api/pages/" + page + "/remarks";
    assertThat(
            api.ask(guest, "POST", remarks, remark("Ada", "houses", 390, "Too small\nfor me."))
                .status())
        .isEqualTo(204);
    // What the team says among itself is not for guests.
    assertThat(api.post(remarks, remark("", "page", 1280, "Not for the club")).status())
        .isEqualTo(204);
    JsonNode theirs = api.ask(guest, "GET", remarks, null).json();
    assertThat(theirs).hasSize(1);
    assertThat(theirs.get(0).path("author").asString()).isEqualTo("Ada");
    JsonNode all = api.get(remarks).json();
    assertThat(all).hasSize(2);
    long id = all.get(0).path("id").asLong();
    assertThat(all.get(0).path("width").asInt()).isEqualTo(390);
    assertThat(all.get(1).path("author").asString()).isEqualTo("This machine");
    // It is ticked off, and opened again.
    assertThat(api.put(remarks + "/" + id + "/done", Map.of("done", true)).status()).isEqualTo(204);
    assertThat(api.get(remarks).json().get(0).path("doneBy").asString()).isEqualTo("This machine");
    assertThat(api.put(remarks + "/" + id + "/done", Map.of("done", false)).status())
        .isEqualTo(204);
    assertThat(api.get(remarks).json().get(0).path("doneAt").isNull()).isTrue();
    // Nothing else is theirs.
    for (String path :
        List.of(
            "/api/pages/" + page,
            "/api/pages/" + page + "/document",
            "/api/pages/" + page + "/revisions",
            "/api/pages/" + page + "/events",
            "/api/pages/" + page + "/review-links",
            "/api/shelf",
            "/api/sites",
            "/api/sites/" + site + "/media",
            "/api/me/tokens",
            "/v3/api-docs")) {
      assertThat(api.ask(guest, "GET", path, null).status()).as(path).isIn(403, 404);
    }
    for (String path :
        List.of(
            "/api/pages/" + Api.DEMO + "/review",
            "/api/pages/" + Api.DEMO + "/remarks",
            "/api/pages/" + Api.DEMO + "/preview/")) {
      assertThat(api.ask(guest, "GET", path, null).status()).as(path).isEqualTo(404);
    }
    assertThat(api.ask(guest, "PUT", remarks + "/" + id + "/done", Map.of("done", true)).status())
        .isEqualTo(403);
    assertThat(api.ask(guest, "DELETE", remarks + "/" + id, null).status()).isEqualTo(403);
    assertThat(
            api.ask(guest, "POST", "/api/pages/" + page + "/edits", "{\"revision\":0,\"edits\":[]}")
                .status())
        .isEqualTo(403);
    assertThat(api.ask(guest, "POST", "/api/keys", null).status()).isEqualTo(403);
  }

  @Test
  void aLinkToAReleaseShowsThatAndNothingElse(Api api) {
    String site = api.copyOfDemo();
    String page = site + "-evenings-at-velluta";
    api.publish(page);
    var link = new HashMap<String, Object>(Map.of("name", "First", "days", 1, "release", 1));
    Api.Member guest = guest(api, page, link);
    assertThat(
            api.edit(
                    page,
                    api.page(page).path("revision").asInt(),
                    new Edit.SetValue("page", PageSettings.TITLE.id(), "", "Not released"))
                .status())
        .isEqualTo(200);
    for (String query : List.of("", "?revision=1", "?stress=long-words", "?only=houses")) {
      Api.Answer seen = api.ask(guest, "GET", "/api/pages/" + page + "/preview/" + query, null);
      assertThat(seen.status()).as(query).isEqualTo(200);
      assertThat(seen.text())
          .as(query)
          .contains("<title>Evenings at Velluta")
          .doesNotContain("Not released");
    }
    link.put("release", 9);
    assertThat(api.post("/api/pages/" + page + "/review-links", link).status()).isEqualTo(404);
  }

  @Test
  void aLinkThatIsEndedLetsNobodyIn(Api api) {
    String site = api.copyOfDemo();
    String page = site + "-evenings-at-velluta";
    Api.Member guest = guest(api, page, Map.of("name", "The club", "days", 7));
    String path = "/api/pages/" + page + "/review";
    assertThat(api.ask(guest, "GET", path, null).status()).isEqualTo(200);
    // Put away, it is gone for guests as well.
    assertThat(api.post("/api/pages/" + page + "/away", null).status()).isEqualTo(204);
    assertThat(api.ask(guest, "GET", path, null).status()).isEqualTo(401);
    assertThat(api.delete("/api/pages/" + page + "/away").status()).isEqualTo(204);
    assertThat(api.ask(guest, "GET", path, null).status()).isEqualTo(200);
    String links = "/api/pages/" + page + "/review-links";
    JsonNode all = api.get(links).json();
    assertThat(all).hasSize(1);
    assertThat(all.toString()).doesNotContain("key");
    assertThat(api.delete(links + "/" + all.get(0).path("id").asString()).status()).isEqualTo(204);
    assertThat(api.ask(guest, "GET", path, null).status()).isEqualTo(401);
    for (String key : List.of("", "nothing", all.get(0).path("id").asString())) {
      assertThat(api.post("/api/reviews", Map.of("key", key)).status()).isEqualTo(422);
    }
  }

  @Test
  void whatNoRemarkCanBeIsSaid(Api api) {
    String site = api.copyOfDemo();
    String page = site + "-evenings-at-velluta";
    Api.Member guest = guest(api, page, Map.of("name", "The club", "days", 7));
    String remarks = "/api/pages/" + page + "/remarks";
    for (var each :
        Map.of(
                "/name", remark(" ", "houses", 390, "x"),
                "/node", remark("Ada", "nothing-there", 390, "x"),
                "/width", remark("Ada", "houses", 3, "x"),
                "/text", remark("Ada", "houses", 390, "a".repeat(4001)))
            .entrySet()) {
      Api.Answer answer = api.ask(guest, "POST", remarks, each.getValue());
      assertThat(answer.status()).isEqualTo(422);
      assertThat(answer.json().path("faults").get(0).path("where").asString())
          .isEqualTo(each.getKey());
    }
    for (int days : new int[] {0, 366}) {
      assertThat(
              api.post("/api/pages/" + page + "/review-links", Map.of("name", "a", "days", days))
                  .text())
          .contains("1 to 365");
    }
  }
}
