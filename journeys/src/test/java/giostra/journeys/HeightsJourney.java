package giostra.journeys;

import static java.util.stream.Collectors.counting;
import static java.util.stream.Collectors.groupingBy;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Frame;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ReducedMotion;
import giostra.core.layout.Heights;
import giostra.core.layout.PictureSizes;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.Piece;
import giostra.core.testing.Runs;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
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

  private record Off(String what, double by) {
    /** The part of an item that it is about. */
    String of() {
      return what.substring(0, what.indexOf(" at "));
    }
  }

  /** Pages with a zoom; in a deep run the demo and drawn pages with both. */
  static Stream<Arguments> subjects() {
    return Stream.concat(
        Stream.of(
            Arguments.of("demo", 1.1), Arguments.of("nested", 1.0), Arguments.of("varied-1", 1.0)),
        Runs.deep()
            ? Stream.of(Arguments.of("demo", 1.0), Arguments.of("varied-2", 1.1))
            : Stream.of());
  }

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
    PictureSizes pictures = sizes(api);
    Map<String, Heights> all = new HashMap<>();
    for (Piece piece : document.pieces()) {
      all.put(piece.id(), Heights.of(document, piece, pictures, 0, 800));
    }
    var options =
        new Browser.NewContextOptions()
            .setViewportSize(1980, 860)
            .setDeviceScaleFactor(zoom)
            // What has not come in yet is drawn smaller than it is.
            .setReducedMotion(ReducedMotion.REDUCE);
    Page page = chromium.page(options, true);
    String address = subject.equals("demo") ? api.at(Api.LIVE_DEMO) : api.publish(id);
    Frame frame = Frames.open(page, api, address);
    frame.evaluate(STILL);
    var off = new ArrayList<Off>();
    var shares = new TreeMap<String, int[]>();
    double scrollbar = Frames.scrollbar(frame);
    if (scrollbar > 0) {
      for (Piece piece : document.pieces()) {
        all.put(piece.id(), Heights.of(document, piece, pictures, scrollbar, 800));
      }
    }
    List<Integer> widths = widths(zoom);
    JsonNode wholes = Frames.swept(frame, WHOLE, widths);
    frame.evaluate(PREPARE);
    JsonNode showns = Frames.swept(frame, MEASURE, widths);
    var lost = new TreeSet<String>();
    for (int at = 0; at < widths.size(); at++) {
      int width = widths.get(at);
      for (Map.Entry<String, Heights> piece : all.entrySet()) {
        for (Heights.Reading reading : piece.getValue().at(width)) {
          String key = reading.item() + "/" + reading.part();
          // What does not fit at all is a finding of its own: its columns overlap.
          if (reading.width() < 20) {
            continue;
          }
          JsonNode whole = wholes.get(at).path(key);
          JsonNode real = whole.isMissingNode() ? showns.get(at).path(key) : whole;
          if (real.isMissingNode()) {
            lost.add(key);
            continue;
          }
          double by = Math.abs(real.asDouble() - reading.height());
          int[] share = shares.computeIfAbsent(reading.part().name(), _ -> new int[2]);
          share[1]++;
          if (by <= 1) {
            share[0]++;
          } else {
            off.add(
                new Off(
                    "%s of %s at %d: predicted %.1f in %.1f, shown %.1f"
                        .formatted(
                            key,
                            piece.getKey(),
                            width,
                            reading.height(),
                            reading.width(),
                            real.asDouble()),
                    by));
          }
        }
      }
    }
    int compared = shares.values().stream().mapToInt(s -> s[1]).sum();
    double share = 100.0 * (compared - off.size()) / compared;
    off.sort(Comparator.comparingDouble(Off::by).reversed());
    System.out.printf(
        "heights: %s, zoom %s, scrollbar %.0f: %.2f %% of %d within 1 px; %s; worst %s%n",
        subject,
        zoom,
        scrollbar,
        share,
        compared,
        shares.entrySet().stream()
            .map(e -> "%s %d of %d".formatted(e.getKey(), e.getValue()[0], e.getValue()[1]))
            .toList(),
        worst(off));
    assertThat(compared).isGreaterThan(2000);
    assertThat(lost.stream().collect(groupingBy(key -> pieceOf(document, key), counting())))
        .as("parts that were not found, by piece: %s", lost)
        .isEqualTo(closed(document));
    shares.forEach((part, each) ->
        assertThat(100.0 * each[0] / each[1])
            .as("%s within 1 px (%%), worst %s", part, worst(off))
            .isGreaterThanOrEqualTo(98));
    assertThat(share).as("share within 1 px (%%), worst %s", worst(off)).isGreaterThanOrEqualTo(99);
  }

  private static String pieceOf(Document document, String key) {
    return document.path(key.substring(0, key.indexOf('/'))).stream()
        .filter(Piece.class::isInstance)
        .reduce((_, inner) -> inner)
        .orElseThrow()
        .id();
  }

  /** How many panels are not to be seen: those of tabs within a panel, but for one that is open. */
  private static Map<String, Long> closed(Document document) {
    var all = new TreeMap<String, Long>();
    for (Piece piece : document.pieces()) {
      boolean within = document.path(piece.id()).stream().anyMatch(Item.class::isInstance);
      if (piece instanceof Piece.Tabs && within) {
        all.put(piece.id(), piece.items().size() - 1L);
      }
    }
    return all;
  }

  private static List<Integer> widths(double zoom) {
    return Frames.widths(16).stream().map(wide -> width(wide, zoom)).toList();
  }

  /** The worst of each part of each item, a few of them. */
  private static List<String> worst(List<Off> sorted) {
    Map<String, Long> often =
        sorted.stream().collect(Collectors.groupingBy(Off::of, Collectors.counting()));
    var seen = new HashSet<String>();
    return sorted.stream()
        .filter(off -> seen.add(off.of()))
        .limit(Integer.getInteger("giostra.worst", 4))
        .map(off -> off.what() + " (at " + often.get(off.of()) + " widths)")
        .toList();
  }

  /** Zoomed in, a screen has fewer px; nobody's has fewer than 280. */
  private static int width(int wide, double zoom) {
    return Math.max(280, (int) Math.round(wide / zoom));
  }

  private static PictureSizes sizes(Api api) {
    Map<String, PictureSizes.Size> known = new HashMap<>();
    for (JsonNode each : api.get("/api/sites/velluta/media").json()) {
      known.put(
          each.path("id").asString(),
          new PictureSizes.Size(each.path("width").asInt(), each.path("height").asInt()));
    }
    return id -> Optional.ofNullable(known.get(id));
  }

  /** Nothing in motion. */
  private static final String STILL =
      """
      () => {
        const still = new CSSStyleSheet();
        still.replaceSync('*, ::details-content { transition: none !important; animation: none !important }');
        document.adoptedStyleSheets = [still];
      }
      """;

  /**
   * Everything as high as its own content, panels of outer tabs all rendered; in a panel, tabs show
   * the panel that they open on.
   */
  private static final String PREPARE =
      """
      () => {
        const sheet = new CSSStyleSheet();
        sheet.replaceSync(`
          .g-belt, .g-grid, .g-turn, .g-heads:not([aria-orientation=vertical]) { align-items: start !important }
          .g-card, .g-slide, .g-turn { block-size: auto !important }
          .g-turn { min-block-size: 0 !important }
          .g-panels > .g-tab > .g-panel { display: block !important }
          .g-panel .g-panels > .g-tab:not(.g-now) > .g-panel { display: none !important }
          .g-panel { block-size: auto !important }
          .g-panels > .g-tab { visibility: visible !important }
        `);
        document.adoptedStyleSheets.push(sheet);
      }
      """;

  /** Panels that are open for good and hold whole pieces, as they are without any preparation. */
  private static final String WHOLE =
      """
      () => {
        const heights = {};
        for (const item of document.querySelectorAll('[data-piece^=outer-] > .g-rows > [data-item]')) {
          heights[`${item.dataset.item}/PANEL`] =
              item.querySelector(':scope > .g-panel').getBoundingClientRect().height;
        }
        return heights;
      }
      """;

  /** Heights by item and part; answers are measured open, what they stand in while as it opens. */
  private static final String MEASURE =
      """
      async () => {
        const parts = [
          ['CARD', '.g-card'], ['SLIDE', '.g-slide'], ['FRONT', '.g-front'], ['BACK', '.g-back'],
          ['PANEL', ':scope > .g-panel'], ['HEADING', ':scope > .g-fold-head']];
        const heights = {};
        const measure = (items) => {
          for (const item of items) {
            const found = item.matches('.g-figure') ? [['FIGURE', item]]
                : item.matches('.g-clip') ? [['CLIP', item]]
                : parts.map(([part, selector]) => [part, item.querySelector(selector)]);
            for (const [part, element] of found) {
              const own = element?.closest('[data-item]') === item;
              const height = own ? element.getBoundingClientRect().height : 0;
              if (height > 0) heights[`${item.dataset.item}/${part}`] = height;
            }
          }
        };
        measure(document.querySelectorAll('[data-item]:not(details)'));
        for (const head of document.querySelectorAll('.g-head')) {
          const height = head.getBoundingClientRect().height;
          if (height > 0) heights[`${head.dataset.of}/HEADING`] = height;
        }
        const answers = [...document.querySelectorAll('details[data-item]')];
        const before = answers.map((answer) => [answer.open, answer.name]);
        for (const answer of answers) { answer.name = ''; answer.open = true; }
        // What was closed is laid out with the next frame, which an idle browser may be slow to give.
        await Promise.race([new Promise(requestAnimationFrame), new Promise((r) => setTimeout(r, 300))]);
        measure(answers);
        answers.forEach((answer, i) => { [answer.open, answer.name] = before[i]; });
        return heights;
      }
      """;
}
