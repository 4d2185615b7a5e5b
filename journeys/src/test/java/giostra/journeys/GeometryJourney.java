package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import giostra.core.band.Viewport;
import giostra.core.layout.TrackLayout;
import giostra.core.layout.TrackReading;
import giostra.core.page.Document;
import giostra.core.piece.carousel.Carousel;
import giostra.core.testing.InTurn;
import giostra.core.testing.RandomDocuments;
import giostra.core.testing.Runs;
import giostra.core.value.Refused;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

/**
 * The engine's figures against Chromium's layout, over the whole range of widths: the demo page and
 * documents drawn at random, scrollbars hidden and shown, two of them at a second density. A deep
 * run draws many more, all at both densities.
 *
 * <p>Reference: the browser itself. A page is laid out in a frame whose width is set; frames have a
 * viewport of their own, and {@link #aFrameIsLaidOutAsAWindowIs} shows that it makes no difference.
 */
@ExtendWith({Giostra.class, Chromium.class})
class GeometryJourney {
  private static final long SEED = Long.getLong("giostra.seed", 20261124L);
  private static final int DOCUMENTS = Runs.of(6, 40);
  private static final Map<Long, String> PUBLISHED = new HashMap<>();

  /** Chromium snaps boxes to 1/64 px; a position is the difference of two such. */
  private static final double MOST = 0.05;

  /** What is measured of a page at a width; positions in reading order, two stops of each track. */
  private static final String MEASURE =
      """
      (document, turn) => {
        const parts = [...document.querySelectorAll('[data-kind=carousel]')].map((piece) => {
          const view = piece.querySelector('.g-view');
          const belt = piece.querySelector('.g-belt');
          const down = getComputedStyle(view).getPropertyValue('--g-flow').trim() === 'y';
          const rtl = getComputedStyle(piece).direction === 'rtl';
          const plan = JSON.parse(piece.dataset.plan);
          const band = plan.bands.find((each) => document.defaultView.matchMedia(each.query).matches);
          return { piece, view, belt, band, items: [...belt.children], places: {},
            start: (box) => down ? box.top : rtl ? -box.right : box.left,
            size: (box) => down ? box.height : box.width };
        });
        const found = parts.map(({ piece, view, items, places, start, size }) => {
          const boxes = items.map((item) => item.getBoundingClientRect());
          return { piece: piece.dataset.piece, outer: piece.getBoundingClientRect().width,
            inner: size(view.getBoundingClientRect()), sizes: boxes.map(size),
            starts: boxes.map(start), places };
        });
        for (const stopOf of [(starts) => turn %% starts.length, (starts) => starts.length - 1]) {
          const kept = parts.map(({ belt, band, items }) => {
            const first = band.starts[stopOf(band.starts)];
            belt.style.setProperty('--g-at', first);
            const round = items[first].style.getPropertyValue('--g-m');
            items[first].style.setProperty('--g-m', 0);
            return () => items[first].style.setProperty('--g-m', round);
          });
          for (const { band, view, items, places, start } of parts) {
            const stop = stopOf(band.starts);
            places[stop] = start(items[band.starts[stop]].getBoundingClientRect())
                - start(view.getBoundingClientRect());
          }
          for (const back of kept) back();
        }
        for (const { belt } of parts) belt.style.setProperty('--g-at', 0);
        return found;
      }
      """
          .replace("%%", "%");

  private static final String SWEEP =
      """
      async ([address, widths]) => {
        const measure = %s;
        const frame = document.createElement('iframe');
        frame.style.cssText = 'position:fixed;inset:0 auto auto 0;height:800px;border:0;width:1280px';
        document.body.replaceChildren(frame);
        await new Promise((done) => { frame.onload = done; frame.src = address; });
        const inside = frame.contentDocument;
        const bands = () => [...inside.querySelectorAll('[data-kind=carousel]')].map((piece) =>
            JSON.parse(piece.dataset.plan).bands.findIndex((band) =>
                frame.contentWindow.matchMedia(band.query).matches)).join();
        await inside.fonts.ready;
        const found = [];
        let last = '';
        for (const [turn, width] of widths.entries()) {
          frame.style.width = width + 'px';
          if (bands() !== last) {
            // The script takes up another band with the next frame, before anything is painted.
            last = bands();
            await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
          }
          found.push({
            width,
            scrollbar: frame.contentWindow.innerWidth - inside.documentElement.clientWidth,
            pieces: measure(inside, turn),
          });
        }
        frame.remove();
        return found;
      }
      """
          .formatted(MEASURE);

  /** One figure that was compared. */
  private record Compared(String what, double engine, double chromium) {
    double off() {
      return Math.abs(engine - chromium);
    }
  }

  static List<Boolean> scrollbars() {
    return Runs.inTurn(List.of(false, true));
  }

  @InTurn({4, 16})
  @ParameterizedTest(name = "scrollbars {0}")
  @MethodSource("scrollbars")
  void theEngineComputesWhatChromiumLaysOut(boolean scrollbars, Api api, Chromium.Open chromium) {
    List<Page> pages =
        Stream.of(1.0, 1.5)
            .map(density ->
                chromium.page(
                    new Browser.NewContextOptions()
                        .setViewportSize(1920, 800)
                        .setDeviceScaleFactor(density),
                    scrollbars))
            .toList();
    pages.forEach(page -> Frames.around(page, api.at(Api.LIVE_DEMO)));
    var sweep = new Sweep();
    List<Page> one = Runs.deep() ? pages : pages.subList(0, 1);
    sweep.run(one, api.document(Api.DEMO), "demo", api.at(Api.LIVE_DEMO));
    for (long seed = SEED; seed < SEED + DOCUMENTS; seed++) {
      Document drawn = RandomDocuments.document(seed);
      String live = PUBLISHED.computeIfAbsent(seed, _ -> api.publish(api.newPage(drawn)));
      sweep.run(seed < SEED + 2 ? pages : one, drawn, "seed " + seed, live);
    }
    Compared worst = sweep.worst();
    System.out.printf(
        "geometry: scrollbars %s, seeds from %d: %d figures, %d tracks without room left out;"
            + " worst %.4f px (%s: engine %.4f, Chromium %.4f)%n",
        scrollbars,
        SEED,
        sweep.compared.size(),
        sweep.refused,
        worst.off(),
        worst.what(),
        worst.engine(),
        worst.chromium());
    assertThat(sweep.compared).hasSizeGreaterThan(Runs.of(75_000, 700_000));
    assertThat(sweep.refused).isLessThan(sweep.compared.size() / 100);
    assertThat(worst.off()).as(worst.toString()).isLessThanOrEqualTo(MOST);
  }

  @InTurn({5, 17})
  @Test
  void aFrameIsLaidOutAsAWindowIs(Api api, Page page) {
    Document demo = api.document(Api.DEMO);
    String live = api.at(Api.LIVE_DEMO);
    for (int width : List.of(280, 390, 767, 768, 1023, 1024, 1440, 1920)) {
      page.setViewportSize(width, 800);
      page.navigate(live);
      var compared = new ArrayList<Compared>();
      JsonNode pieces =
          Js.ask(page, "() => ({scrollbar: 0, pieces: (" + MEASURE + ")(document, 1)})", null);
      compare(demo, width, pieces, "window", compared);
      assertThat(compared).isNotEmpty().allMatch(each -> each.off() <= MOST);
    }
  }

  /** Lays documents out at every width, in all pages at the same time. */
  private static final class Sweep {
    private final List<Compared> compared = new ArrayList<>();
    private int refused;

    void run(List<Page> pages, Document document, String name, String address) {
      List<Integer> widths = IntStream.rangeClosed(280 / 8, 1920 / 8).mapToObj(i -> i * 8).toList();
      for (Page page : pages) {
        page.evaluate(
            "(given) => { window.found = (" + SWEEP + ")(given); }", List.of(address, widths));
      }
      for (Page page : pages) {
        for (JsonNode at : Js.ask(page, "() => window.found", null)) {
          refused += compare(document, at.path("width").asDouble(), at, name, compared);
        }
      }
    }

    Compared worst() {
      return compared.stream().max(Comparator.comparingDouble(Compared::off)).orElseThrow();
    }
  }

  private static int compare(
      Document document, double width, JsonNode at, String name, List<Compared> compared) {
    var viewport = new Viewport(width, 800, at.path("scrollbar").asDouble(), 1);
    int refused = 0;
    for (JsonNode measured : at.path("pieces")) {
      var piece = (Carousel) document.piece(measured.path("piece").asString());
      String place = name + ", " + piece.id() + " at " + width;
      try {
        new Comparison(document, piece, viewport, measured, place, compared).run();
      } catch (Refused noRoom) {
        refused++;
      }
    }
    return refused;
  }

  private record Comparison(
      Document document,
      Carousel piece,
      Viewport viewport,
      JsonNode measured,
      String place,
      List<Compared> compared) {

    void run() {
      TrackReading engine = TrackReading.of(document, piece, viewport);
      say("outer width", engine.outer(), measured.path("outer").asDouble());
      say("inner size", engine.inner(), measured.path("inner").asDouble());
      JsonNode sizes = measured.path("sizes");
      double pitch = engine.item() + engine.gap();
      double round = sizes.size() * pitch;
      for (int i = 0; i < sizes.size(); i++) {
        say("size of item " + i, engine.item(), sizes.get(i).asDouble());
        if (i > 0) {
          JsonNode starts = measured.path("starts");
          double step = starts.get(i).asDouble() - starts.get(i - 1).asDouble();
          // Of two items a round apart, one stands at the other end of the track.
          if (Math.abs(step - pitch) < round / 2) {
            say("gap before item " + i, engine.gap(), step - sizes.get(i - 1).asDouble());
          }
        }
      }
      places(engine, pitch);
    }

    private void places(TrackReading engine, double pitch) {
      // Where nothing moves items stand as "few items" says, not at a stop.
      boolean moves =
          TrackLayout.of(document, piece, viewport.scrollbar()).at(viewport.width()).moves();
      if (!moves) {
        return;
      }
      for (var measuredPlace : measured.path("places").properties()) {
        int stop = Integer.parseInt(measuredPlace.getKey());
        double stands = measuredPlace.getValue().asDouble();
        double wanted = engine.starts().get(stop) * pitch - engine.offsets().get(stop);
        say("place at stop " + stop, wanted, stands);
      }
    }

    private void say(String what, double engine, double chromium) {
      compared.add(new Compared(place + ", " + what, engine, chromium));
    }
  }
}
