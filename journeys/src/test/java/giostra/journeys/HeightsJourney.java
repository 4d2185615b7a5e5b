package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Frame;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ReducedMotion;
import giostra.core.fit.Screen;
import giostra.core.page.Document;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

/**
 * Heights of cards, slides, faces, headings, panels and figures as the engine predicts them against
 * those that Chromium lays out, at every 16th width. Reference: Debian's Chromium, with classic
 * scrollbars, and zoomed to 110 %.
 */
@ExtendWith({Giostra.class, Chromium.class})
class HeightsJourney {
  /** Pieces of a kind on a varied page. */
  private static final int EACH = Runs.of(4, 6);

  /** Pages with a zoom; in a deep run the demo and drawn pages with both. */
  static Stream<Arguments> subjects() {
    return Stream.concat(
        Runs.inTurn(List.of(Arguments.of("demo", 1.1), Arguments.of("varied-1", 1.0))).stream(),
        Runs.deep()
            ? Stream.of(
                Arguments.of("nested", 1.0),
                Arguments.of("demo", 1.0),
                Arguments.of("varied-2", 1.1))
            : Stream.of());
  }

  @InTurn({2, 5})
  @ParameterizedTest(name = "{0} at {1}")
  @MethodSource("subjects")
  void heightsAreThosePredicted(String subject, double zoom, Api api, Chromium.Open chromium) {
    String id =
        subject.equals("demo")
            ? Api.DEMO
            : api.newPage(
                "velluta",
                subject.equals("nested")
                    ? Nested.document("ltr")
                    : Varied.document(subject.charAt(subject.length() - 1), EACH));
    Document document = api.document(id);
    var options =
        new Browser.NewContextOptions()
            .setViewportSize(1980, 860)
            .setDeviceScaleFactor(zoom)
            // What has not come in yet is drawn smaller than it is.
            .setReducedMotion(ReducedMotion.REDUCE);
    Page page = chromium.page(options, true);
    String address = subject.equals("demo") ? api.at(Api.LIVE_DEMO) : api.publish(id);
    Frame frame = Frames.open(page, api, address);
    Heightened seen = Heightened.against(document, Heightened.sizes(api), frame, widths(zoom), 20);
    System.out.printf("heights: %s, zoom %s: %s%n", subject, zoom, seen);
    assertThat(seen.compared()).isGreaterThan(2000);
    assertThat(seen.lost()).as("parts that were not found").isEmpty();
    seen.shares()
        .forEach((part, each) ->
            assertThat(100.0 * each[0] / each[1])
                .as("%s within 1 px (%%), worst %s", part, seen.worst())
                .isGreaterThanOrEqualTo(98));
    assertThat(seen.share())
        .as("share within 1 px (%%), worst %s", seen.worst())
        .isGreaterThanOrEqualTo(99);
  }

  private static List<Integer> widths(double zoom) {
    return Frames.widths(Runs.of(24, 16)).stream().map(wide -> width(wide, zoom)).toList();
  }

  /** Zoomed in, a screen has fewer px; nobody's has fewer than 280. */
  private static int width(int wide, double zoom) {
    return Math.max(280, (int) Math.round(wide / zoom));
  }

  /** How far each section begins from the top of the page, and how high it is, px. */
  private static final String SECTIONS =
      """
      async () => {
        await document.fonts.ready;
        return [...document.querySelectorAll('[data-section]')].map((it) => {
          const { top, height } = it.getBoundingClientRect();
          return { id: it.dataset.section, y: top + scrollY, height };
        });
      }
      """;

  /** Whole pages: the strips of the line-up, to scale, are as the page is. */
  @Test
  void wholePagesAreAsHighAsTheirStrips(Api api, Chromium.Open chromium) {
    var options =
        new Browser.NewContextOptions()
            .setViewportSize(1280, (int) Screen.USUAL_HEIGHT)
            .setReducedMotion(ReducedMotion.REDUCE);
    Page page = chromium.page(options, false);
    page.navigate(api.at(Api.LIVE_DEMO));
    var widths = List.of(320, 390, 600, 768, 1024, 1280, 1600, 1920);
    String asked = String.join("&", widths.stream().map(width -> "at=" + width).toList());
    JsonNode strips = api.get("/api/pages/" + Api.DEMO + "/strips?" + asked).json();
    var off = new ArrayList<Double>();
    double worst = 0;
    for (JsonNode strip : strips) {
      page.setViewportSize(strip.path("width").asInt(), (int) Screen.USUAL_HEIGHT);
      JsonNode seen = Js.ask(page, SECTIONS, null);
      assertThat(seen).hasSameSizeAs(strip.path("sections"));
      for (int i = 0; i < seen.size(); i++) {
        JsonNode said = strip.path("sections").path(i);
        assertThat(said.path("id")).isEqualTo(seen.path(i).path("id"));
        off.add(Math.abs(said.path("height").asDouble() - seen.path(i).path("height").asDouble()));
      }
      JsonNode last = seen.path(seen.size() - 1);
      double high = last.path("y").asDouble() + last.path("height").asDouble();
      worst = Math.max(worst, Math.abs(strip.path("height").asDouble() / high - 1));
    }
    double[] sorted = off.stream().mapToDouble(each -> each).sorted().toArray();
    System.out.printf(
        "measured: %d sections at %d widths, %.1f %% within 1 px, worst %.1f px; pages within %.3f %%%n",
        sorted.length,
        widths.size(),
        100.0 * Arrays.stream(sorted).filter(each -> each <= 1).count() / sorted.length,
        sorted[sorted.length - 1],
        100 * worst);
    assertThat(worst).isLessThan(0.005);
    assertThat(Arrays.stream(sorted).filter(each -> each <= 1).count())
        .isGreaterThanOrEqualTo(sorted.length * 95 / 100);
    assertThat(api.get("/api/pages/" + Api.DEMO + "/strips?at=12").status()).isEqualTo(422);
  }
}
