package giostra.server.people;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Invitations, passwords, and ways in that were lost. */
@ExtendWith(Giostra.class)
class InvitationApiTest {
  private static final String GOOD = "eleven lamps over water";

  private static JsonNode invite(Api api, String site, String address, String name) {
    return api.post(
            "/api/sites/" + site + "/people",
            Map.of("address", address, "name", name, "role", "writer"))
        .json();
  }

  private static String key(JsonNode invited) {
    String address = invited.path("address").asString();
    return address.substring(address.indexOf("#key=") + 5);
  }

  private static Api.Answer signIn(Api api, String address, String password) {
    return api.post("/api/sign-ins", Map.of("address", address, "password", password));
  }

  @Test
  void whoIsInvitedComesInAndChoosesAPassword(Api api) {
    String site = api.newSite("House of échoes <b>");
    String address = "ines" + System.nanoTime() + "@studio.example";
    JsonNode invited = invite(api, site, " " + address.toUpperCase(java.util.Locale.ROOT), "Inès");
    assertThat(invited.path("mailed").asBoolean()).isTrue();
    // The mailbox that ships has the message, with the way in.
    String box = api.get(invited.path("mailbox").asString()).text();
    assertThat(box)
        .contains(address, invited.path("address").asString(), "House of échoes &lt;b&gt;")
        .doesNotContain("<b>");
    Api.Member ines = api.in(key(invited));
    assertThat(ines.address()).isEqualTo(address);
    JsonNode me = api.ask(ines, "GET", "/api/me", null).json();
    assertThat(me.path("roles").path(site).asString()).isEqualTo("writer");
    assertThat(me.path("password").asBoolean()).isFalse();
    assertThat(signIn(api, address, "").status()).isEqualTo(422);
    for (String weak :
        List.of("short", "aaaaaaaaaaaaaaaa", "password12345", "x" + address, "a".repeat(900))) {
      assertThat(
              api.ask(ines, "PUT", "/api/me/password", Map.of("password", weak, "before", ""))
                  .status())
          .as(weak)
          .isEqualTo(422);
    }
    assertThat(
            api.ask(ines, "PUT", "/api/me/password", Map.of("password", GOOD, "before", ""))
                .status())
        .isEqualTo(204);
    assertThat(signIn(api, address, GOOD + "x").status()).isEqualTo(422);
    Api.Answer in = signIn(api, address, GOOD);
    assertThat(in.status()).isEqualTo(204);
    assertThat(in.header("set-cookie")).contains("HttpOnly", "SameSite=Strict");
    // Another needs the one that there was.
    assertThat(
            api.ask(
                    ines,
                    "PUT",
                    "/api/me/password",
                    Map.of("password", "another long one", "before", "wrong"))
                .status())
        .isEqualTo(422);
    assertThat(
            api.ask(
                    ines,
                    "PUT",
                    "/api/me/password",
                    Map.of("password", "another long one", "before", GOOD))
                .status())
        .isEqualTo(204);
    assertThat(signIn(api, address, GOOD).status()).isEqualTo(422);
    assertThat(signIn(api, address, "another long one").status()).isEqualTo(204);
  }

  @Test
  void aLostWayInIsRestoredAndWhoIsEndedIsOut(Api api) {
    String site = api.newSite("Restored");
    String address = "lost" + System.nanoTime() + "@studio.example";
    JsonNode invited = invite(api, site, address, "Lost");
    Api.Member before = api.in(key(invited));
    String person = "/api/people/" + before.id();
    JsonNode again = api.post(person + "/ways-in", null).json();
    assertThat(api.ask(before, "GET", "/api/shelf", null).status()).isEqualTo(401);
    Api.Member after = api.in(key(again));
    assertThat(api.ask(after, "GET", "/api/shelf", null).status()).isEqualTo(200);
    String token =
        api.ask(after, "POST", "/api/me/tokens", Map.of("name", "a", "changes", true))
            .json()
            .path("token")
            .asString();
    assertThat(api.as(token, "GET", "/api/shelf", null).status()).isEqualTo(200);
    assertThat(api.delete(person).status()).isEqualTo(204);
    assertThat(api.ask(after, "GET", "/api/shelf", null).status()).isEqualTo(401);
    assertThat(api.as(token, "GET", "/api/shelf", null).status()).isEqualTo(401);
    assertThat(api.get("/api/people").text()).doesNotContain(address);
    assertThat(api.delete("/api/people/owner").status()).isEqualTo(403);
    // The address is free for somebody else.
    assertThat(invite(api, site, address, "Another").path("person").asString())
        .isNotEqualTo(before.id());
  }

  /** Whoever owns a site alone learns no way in of somebody who was known before. */
  @Test
  void anOwnerOfASiteComesInAsNobodyElse(Api api) {
    String site = api.newSite("One");
    Api.Member known = api.member(site, "writer");
    Api.Member owner = api.member(api.newSite("Two"), "owner");
    JsonNode sites = api.ask(owner, "GET", "/api/sites", null).json();
    String theirs = sites.get(0).path("id").asString();
    JsonNode invited =
        api.ask(
                owner,
                "POST",
                "/api/sites/" + theirs + "/people",
                Map.of("address", known.address(), "name", "x", "role", "reviewer"))
            .json();
    assertThat(invited.path("person").asString()).isEqualTo(known.id());
    assertThat(invited.path("address").asString()).isEmpty();
    assertThat(invited.path("mailbox").asString()).isEmpty();
    assertThat(api.ask(known, "GET", "/api/sites", null).json()).hasSize(2);
    // Nor of somebody new, who may be given more later.
    JsonNode fresh =
        api.ask(
                owner,
                "POST",
                "/api/sites/" + theirs + "/people",
                Map.of(
                    "address",
                    "new" + System.nanoTime() + "@studio.example",
                    "name",
                    "New",
                    "role",
                    "writer"))
            .json();
    assertThat(fresh.path("mailed").asBoolean()).isTrue();
    assertThat(fresh.path("address").asString()).isEmpty();
  }

  @Test
  void failuresSlowTheNextOneWhoeverTries(Api api) {
    for (String address : List.of("nobody" + System.nanoTime() + "@studio.example")) {
      int refused = 0;
      Api.Answer last = signIn(api, address, "wrong");
      while (last.status() == 422 && refused < 20) {
        assertThat(last.text()).doesNotContain("password is wrong").doesNotContain("unknown");
        last = signIn(api, address, "wrong");
        refused++;
      }
      assertThat(refused).isBetween(4, 6);
      assertThat(last.status()).isEqualTo(429);
      assertThat(Integer.parseInt(last.header("retry-after"))).isBetween(1, 3);
      assertThat(last.text()).contains("tried too often");
    }
  }

  /** Sixteen at once are no way around it. */
  @Test
  void manyAtOnceAreCounted(Api api) {
    String address = "many" + System.nanoTime() + "@studio.example";
    var got = new ConcurrentLinkedQueue<Integer>();
    try (var many = Executors.newFixedThreadPool(8)) {
      for (int i = 0; i < 16; i++) {
        many.execute(() -> got.add(signIn(api, address, "wrong").status()));
      }
    }
    assertThat(got).allMatch(status -> status == 422 || status == 429);
    // Five are free; in the time that they take one or two more may have waited enough.
    assertThat(got.stream().filter(status -> status == 422).count()).isBetween(5L, 8L);
  }

  @Test
  void whatCannotBeAnAddressIsSaid(Api api) {
    String site = api.newSite("Addresses");
    for (String address :
        List.of(
            "",
            "a",
            "@b",
            "a@",
            "a b@c.example",
            "a@b.example\r\nBcc: c@d.example",
            "a@b.example,c@d.example",
            "Ada <a@b.example>",
            "a".repeat(300) + "@b.example")) {
      Api.Answer answer =
          api.post(
              "/api/sites/" + site + "/people",
              Map.of("address", address, "name", "A", "role", "writer"));
      assertThat(answer.status()).as(address).isEqualTo(422);
      assertThat(answer.json().path("faults").get(0).path("where").asString())
          .isEqualTo("/address");
    }
    for (String name : List.of("", " ", "a".repeat(81), "a\nb")) {
      assertThat(
              api.post(
                      "/api/sites/" + site + "/people",
                      Map.of("address", "a@b.example", "name", name, "role", "writer"))
                  .status())
          .isEqualTo(422);
    }
  }
}
