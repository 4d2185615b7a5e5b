package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Frame;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ReducedMotion;
import giostra.core.fit.Screen;
import giostra.core.look.StyleKey;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Node;
import giostra.core.page.Site;
import giostra.core.snag.Stress;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.core.value.Kind;
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
import org.junit.jupiter.params.provider.EnumSource;
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

  @InTurn({7, 19})
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

  /**
   * The demo as readers may have it: at twice the size, or with the distances that they set. Every
   * part is as high as the engine says, at every width; and where their own sheet is laid over the
   * page as it is, it scrolls sideways nowhere where the sweep does not say so. Sources: WCAG 2.2,
   * 1.4.4 "Resize Text", 1.4.12 "Text Spacing" (its values, as its sheet of tests has them).
   */
  @InTurn({2, 14})
  @ParameterizedTest
  @EnumSource(names = {"LARGE", "SPACED"})
  void readersMaySetTheirOwn(Stress stress, Api api, Chromium.Open chromium) {
    String id = api.newPage(api.copyOfDemo(), api.document(Api.DEMO));
    Document was = api.document(id);
    Document document = stress.of(was);
    List<Edit> edits = styles(was, document);
    for (int from = 0; from < edits.size(); from += AT_ONCE) {
      JsonNode head = api.page(id);
      Edit[] some =
          edits.subList(from, Math.min(edits.size(), from + AT_ONCE)).toArray(Edit[]::new);
      assertThat(
              api.edit(id, head.path("revision").asInt(), head.path("siteRevision").asInt(), some)
                  .status())
          .isEqualTo(200);
    }
    assertThat(api.document(id)).isEqualTo(document);
    var options =
        new Browser.NewContextOptions()
            .setViewportSize(1980, 860)
            .setReducedMotion(ReducedMotion.REDUCE);
    Page page = chromium.page(options, true);
    Frame frame = Frames.open(page, api, api.publish(id));
    Heightened seen =
        Heightened.promised(
            document, Heightened.sizes(api), frame, Frames.widths(Runs.of(48, 16)), 20);
    System.out.printf("heights: demo, %s: %s%n", stress.label(), seen);
    assertThat(seen.compared()).isGreaterThan(1000);
    assertThat(seen.lost()).as("parts that were not found").isEmpty();
    assertThat(seen.share())
        .as("share within 1 px (%%), worst %s", seen.worst())
        .isGreaterThanOrEqualTo(99);
    if (stress == Stress.SPACED) {
      Frame own = Frames.open(page, api, api.at(Api.LIVE_DEMO));
      JsonNode sideways = Frames.swept(own, READERS, Frames.widths(Runs.of(48, 16)));
      List<JsonNode> told =
          api.get("/api/pages/" + Api.DEMO + "/snags?stress=spaced")
              .json()
              .path("snags")
              .valueStream()
              .filter(each -> each.path("rule").asString().equals("no-room"))
              .toList();
      for (int i = 0; i < sideways.size(); i++) {
        int width = Frames.widths(Runs.of(48, 16)).get(i);
        boolean known =
            told.stream()
                .anyMatch(
                    each -> each.path("from").asInt() <= width && width <= each.path("to").asInt());
        assertThat(sideways.get(i).asInt() <= 0 || known)
            .as("sideways by %s px at %s px, known to the sweep", sideways.get(i), width)
            .isTrue();
      }
    }
  }

  private static final int AT_ONCE = 100;

  /** By how many px the page scrolls sideways with the sheet of a reader laid over it. */
  private static final String READERS =
      """
      async () => {
        if (!document.adoptedStyleSheets.some((each) => each.reader)) {
          const sheet = new CSSStyleSheet();
          sheet.replaceSync('* { line-height: 1.5 !important; letter-spacing: .12em !important;'
            + ' word-spacing: .16em !important } p { margin-block-end: 2em !important }');
          sheet.reader = true;
          document.adoptedStyleSheets.push(sheet);
        }
        return document.documentElement.scrollWidth - document.documentElement.clientWidth;
      }
      """;

  /** What makes the looks of one those of the other. */
  private static List<Edit> styles(Document from, Document to) {
    var edits = new ArrayList<Edit>();
    Stream.concat(Stream.of(to.site()), Stream.concat(to.site().looks().stream(), to.nodes()))
        .map(Node.class::cast)
        .distinct()
        .forEach(node -> {
          Node was = node instanceof Site ? from.site() : from.node(node.id());
          node.values()
              .styles()
              .set()
              .forEach((key, byBand) ->
                  byBand.forEach((band, value) -> {
                    if (!value.equals(was.values().styles().own(key, band))) {
                      edits.add(new Edit.SetStyle(node.id(), key, band, written(node, key, value)));
                    }
                  }));
        });
    return edits;
  }

  @SuppressWarnings("unchecked") // A value is of the kind of its property: it was read so.
  private static Object written(Node node, StyleKey key, Object value) {
    return ((Kind<Object>) node.type().style(key).kind()).write(value);
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
