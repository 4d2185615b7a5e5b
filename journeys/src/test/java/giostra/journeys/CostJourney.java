package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import giostra.core.fit.Screen;
import giostra.core.page.Document;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/**
 * What one content costs in two ways: told beforehand, held against the page that is then
 * published: its heights in Chromium, its bytes as they are served.
 */
@ExtendWith({Giostra.class, Chromium.class})
class CostJourney {
  private static final String HEIGHTS =
      """
      (id) => [document.querySelector(`[data-piece="${id}"]`).getBoundingClientRect().height,
          document.documentElement.getBoundingClientRect().height]
      """;

  private static String query(String text) {
    return URLEncoder.encode(text, StandardCharsets.UTF_8);
  }

  private static JsonNode cost(Api api, String id, String piece, String way) {
    return api.get("/api/pages/" + id + "/costs?piece=" + query(piece) + "&way=" + query(way))
        .json();
  }

  private static long packed(JsonNode release, String type) {
    return StreamSupport.stream(release.path("files").spliterator(), false)
        .filter(file -> file.path("type").asString().startsWith(type))
        .mapToLong(file -> file.path("gzip").asLong())
        .sum();
  }

  @InTurn(9)
  @Test
  void whatIsToldIsWhatComesOfIt(Api api, Chromium.Open chromium) {
    var all = new ArrayList<Map.Entry<String, String>>();
    List<String> pieces = List.of("houses", "words", "plants", "four-houses");
    for (String piece : pieces.subList(0, Runs.of(1, pieces.size()))) {
      String id = api.newPage(api.copyOfDemo(), api.document(Api.DEMO));
      JsonNode ways = api.get("/api/pages/" + id + "/alternatives?piece=" + piece).json();
      assertThat(ways.size()).as(piece).isGreaterThan(4);
      List<String> ids = ways.valueStream().map(each -> each.path("id").asString()).toList();
      // The way in which it stands, and others all along the list.
      int step = Runs.deep() ? 1 : ids.size() / 2;
      for (int at = 0; at < ids.size(); at += step) {
        all.add(Map.entry(piece, ids.get(at)));
      }
    }
    int looked = 0;
    double worst = 0;
    for (Map.Entry<String, String> each : all) {
      String piece = each.getKey();
      String id = api.newPage(api.copyOfDemo(), api.document(Api.DEMO));
      JsonNode told = cost(api, id, piece, each.getValue());
      JsonNode way =
          api.get("/api/pages/" + id + "/alternatives?piece=" + piece)
              .json()
              .valueStream()
              .filter(one -> one.path("id").asString().equals(each.getValue()))
              .findFirst()
              .orElseThrow();
      if (!way.path("edits").isEmpty()) {
        Api.Answer answer =
            api.post(
                "/api/pages/" + id + "/edits",
                Map.of(
                    "revision", 0, "key", "cost-" + System.nanoTime(), "edits", way.path("edits")));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
      }
      String address = api.publish(id);
      JsonNode release = api.get("/api/pages/" + id + "/releases").json().path(0);
      assertThat(told.path("markup").asLong()).isCloseTo(packed(release, "text/html"), within(8L));
      assertThat(told.path("styles").asLong()).isEqualTo(packed(release, "text/css"));
      assertThat(told.path("fonts").asLong()).isCloseTo(packed(release, "font/"), within(2_000L));
      for (int band = 0; band < told.path("bands").size(); band++) {
        JsonNode here = told.path("bands").path(band);
        assertThat(here.path("pictures"))
            .as("%s of %s", each, here)
            .isEqualTo(release.path("bands").path(band).path("bytes"));
        int width = here.path("width").asInt();
        Page page = chromium.page(width, (int) Screen.USUAL_HEIGHT);
        page.navigate(address);
        page.waitForFunction(
            "() => [...document.querySelectorAll('[data-piece]')].every((e) => 'live' in e.dataset)");
        Js.rested(page);
        JsonNode high = Js.ask(page, HEIGHTS, piece);
        page.context().close();
        looked++;
        double off = Math.abs(high.path(0).asDouble() - here.path("piece").asDouble());
        worst = Math.max(worst, off);
        assertThat(off).as("%s at %d px: %s, told %s", each, width, high, here).isLessThan(1);
        assertThat(high.path(1).asDouble())
            .as("the page with %s at %d px", each, width)
            .isCloseTo(here.path("page").asDouble(), within(2.0));
      }
    }
    System.out.printf(
        "measured: costs of %d ways at %d widths as published, worst %.2f px%n",
        all.size(), looked, worst);
  }

  @InTurn(7)
  @Test
  void twoWaysAreComparedAndOneIsTaken(Api api, Page page) {
    String id = api.newPage(api.copyOfDemo(), api.document(Api.DEMO));
    Document before = api.document(id);
    Bench bench = Bench.open(page, api, id, "prove", "houses");
    page.getByText("What it costs…").focus();
    page.keyboard().press("Enter");
    PlaywrightAssertions.assertThat(page.locator(".costs-figures tbody tr")).hasCount(9);
    assertThat(Axe.within(page, "dialog[open]")).isEmpty();
    // The piece that is worked on, as it is and in another way.
    PlaywrightAssertions.assertThat(page.locator(".costs-head select")).hasValue("houses");
    page.locator(".costs-way select").nth(1).selectOption("inView=2");
    PlaywrightAssertions.assertThat(page.locator(".costs-figures thead"))
        .containsText("2 in view on Desktop");
    JsonNode told = cost(api, id, "houses", "inView=2");
    String high =
        String.valueOf(Math.round(told.path("bands").path(2).path("piece").asDouble())) + " px";
    PlaywrightAssertions.assertThat(page.locator(".costs-figures tbody tr").nth(6))
        .containsText(high);
    page.getByText("Take it").focus();
    page.keyboard().press("Enter");
    bench.saved();
    PlaywrightAssertions.assertThat(page.locator("dialog[open]")).hasCount(0);
    assertThat(api.document(id)).isNotEqualTo(before);
    bench.button("Undo").click();
    bench.saved();
    assertThat(api.document(id)).isEqualTo(before);
  }
}
