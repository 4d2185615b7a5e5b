package giostra.server.release;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.page.Edit;
import giostra.core.page.PageSettings;
import giostra.core.page.SiteSettings;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/**
 * Pages that are published at a time. Source: java.time's rules of a zone, "gaps" and "overlaps":
 * an hour that is skipped is the one after it, of one that comes twice the first counts.
 */
@ExtendWith(Giostra.class)
class PlannedApiTest {
  private static final ZoneId ROME = ZoneId.of("Europe/Rome");

  private static String page(Api api) {
    String id = api.newPage(api.copyOfDemo(), api.document(Api.DEMO));
    JsonNode page = api.page(id);
    assertThat(
            api.edit(
                    id,
                    page.path("revision").asInt(),
                    page.path("siteRevision").asInt(),
                    new Edit.SetValue("site", SiteSettings.ZONE.id(), "", ROME.getId()))
                .status())
        .isEqualTo(200);
    return id;
  }

  private static Api.Answer plan(Api api, String id, String local, String note) {
    return api.put("/api/pages/" + id + "/planned", Map.of("local", local, "note", note));
  }

  private static JsonNode planned(Api api, String id) {
    return api.get("/api/pages/" + id + "/planned").json();
  }

  @Test
  void aPageIsPublishedWhenItIsTimeAsItIsThen(Api api) throws InterruptedException {
    String id = page(api);
    String away = page(api);
    assertThat(planned(api, id).path("planned").isNull()).isTrue();
    assertThat(planned(api, id).path("zone").asString()).isEqualTo("Europe/Rome");
    String soon = LocalDateTime.now(ROME).plusSeconds(8).truncatedTo(ChronoUnit.SECONDS).toString();
    Api.Answer made = plan(api, id, soon, "The frost opening");
    assertThat(made.status()).as(made.text()).isEqualTo(200);
    JsonNode reply = planned(api, id).path("planned");
    assertThat(Instant.parse(reply.path("at").asString()))
        .isEqualTo(LocalDateTime.parse(soon).atZone(ROME).toInstant());
    // What is edited after it was planned is published as well.
    JsonNode page = api.page(id);
    api.edit(
        id,
        page.path("revision").asInt(),
        page.path("siteRevision").asInt(),
        new Edit.SetValue("page", PageSettings.TITLE.id(), "", "Edited since"));
    assertThat(api.get("/api/pages/" + id + "/releases").json()).isEmpty();
    // One that is put away by then cannot be published, and holds up nobody.
    String sooner = LocalDateTime.parse(soon).minusSeconds(1).toString();
    assertThat(plan(api, away, sooner, "").status()).isEqualTo(200);
    assertThat(api.post("/api/pages/" + away + "/away", null).status()).isBetween(200, 204);
    JsonNode releases = waited(api, id);
    JsonNode line = releases.get(0).path("line");
    assertThat(line.path("live").asBoolean()).isTrue();
    assertThat(line.path("note").asString()).isEqualTo("The frost opening");
    assertThat(api.get(releases.get(0).path("address").asString()).text())
        .contains("<title>Edited since</title>");
    assertThat(planned(api, id).path("planned").isNull()).isTrue();
    assertThat(api.delete("/api/pages/" + away + "/away").status()).isBetween(200, 204);
    assertThat(planned(api, away).path("planned").path("failed").asString())
        .startsWith("There is no page");
    assertThat(api.get("/api/pages/" + away + "/releases").json()).isEmpty();
  }

  private static JsonNode waited(Api api, String id) throws InterruptedException {
    for (int i = 0; i < 300; i++) {
      JsonNode releases = api.get("/api/pages/" + id + "/releases").json();
      if (!releases.isEmpty() && planned(api, id).path("planned").isNull()) {
        return releases;
      }
      Thread.sleep(Duration.ofMillis(100));
    }
    throw new AssertionError("nothing was published: " + planned(api, id));
  }

  @Test
  void whatIsNoTimeToComeIsRefusedWithTheReason(Api api) {
    String id = page(api);
    for (String local :
        new String[] {"tomorrow", "", "2020-01-01T09:00", "2099-01-01T09:00", "2026-13-01T09:00"}) {
      Api.Answer answer = plan(api, id, local, "");
      assertThat(answer.status()).as(local).isEqualTo(422);
      assertThat(answer.text()).contains("a time to come within two years", "Europe/Rome");
    }
    assertThat(plan(api, id, "2099-01-01T09:00", "x".repeat(301)).status()).isEqualTo(422);
    assertThat(api.put("/api/pages/" + id + "/planned", Map.of("note", "")).status())
        .isEqualTo(422);
    assertThat(planned(api, id).path("planned").isNull()).isTrue();
    assertThat(api.put("/api/pages/none/planned", Map.of("local", "", "note", "")).status())
        .isEqualTo(404);
  }

  /**
   * Clocks go forward from 2 to 3 on the last Sunday of March: half past two is half past three.
   */
  @Test
  void anHourThatClocksSkipIsTheNextAndAPlanGivesWayToTheOneAfterIt(Api api) {
    String id = page(api);
    int year = LocalDateTime.now(ROME).getYear() + 1;
    LocalDateTime sunday = LocalDateTime.of(year, 3, 31, 2, 30);
    while (sunday.getDayOfWeek() != DayOfWeek.SUNDAY) {
      sunday = sunday.minusDays(1);
    }
    plan(api, id, sunday.toString(), "first");
    assertThat(planned(api, id).path("planned").path("local").asString()).endsWith("T03:30");
    plan(api, id, sunday.plusDays(1).toString(), "second");
    assertThat(planned(api, id).path("planned").path("note").asString()).isEqualTo("second");
    assertThat(api.delete("/api/pages/" + id + "/planned").status()).isEqualTo(204);
    assertThat(planned(api, id).path("planned").isNull()).isTrue();
  }

  @Test
  void aReleaseIsSpokenOfAndKeepsIt(Api api) {
    String id = page(api);
    api.publish(id);
    String note = "/api/pages/" + id + "/releases/1/note";
    assertThat(
            api.put(note, Map.of("note", "Prices of the season"))
                .json()
                .path("line")
                .path("note")
                .asString())
        .isEqualTo("Prices of the season");
    api.publish(id);
    JsonNode releases = api.get("/api/pages/" + id + "/releases").json();
    assertThat(releases.get(1).path("line").path("note").asString())
        .isEqualTo("Prices of the season");
    assertThat(api.put(note, Map.of("note", "x".repeat(301))).status()).isEqualTo(422);
    assertThat(api.put("/api/pages/" + id + "/releases/9/note", Map.of("note", "")).status())
        .isEqualTo(404);
  }
}
