package giostra.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.ElementHandle;
import com.microsoft.playwright.Frame;
import com.microsoft.playwright.Page;
import giostra.server.testing.Api;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * From a colour that is drawn in the picker to the stage's next picture that has it, in ms, in
 * Chromium: of one piece, of all cards there are, of a tone that all is in.
 */
final class Drawing {
  private static final int COLOURS = 60;

  /** What is drawn, and on what; with the most that it may take. */
  private record Drawn(String what, String node, String key, int budget) {}

  private static final List<Drawn> ALL =
      List.of(
          new Drawn("a piece's own colour", "piece-1", "carousel.card/rest/ground", 50),
          new Drawn("the colour of all cards", "site", "carousel.card/rest/ground", 150),
          new Drawn("a tone's colour", "site", "tone.paper/rest/tone-raised", 150));

  private Drawing() {}

  /** Prints it, for pages of 60 and of 500 pieces. */
  static void measure(Api api) {
    Chromium.in(browser -> {
      for (int pieces : new int[] {60, 500}) {
        String id = api.newPage(LargePage.mixed(pieces));
        for (Drawn each : ALL) {
          List<Double> times = times(api, browser, id, each);
          System.out.printf(
              "%d pieces, %s drawn: median %.0f ms, 95 %% in %.0f (budget %d), the first %.0f%n",
              pieces,
              each.what,
              Growth.share(times.subList(1, times.size()), 0.5),
              Growth.share(times.subList(1, times.size()), 0.95),
              each.budget,
              times.getFirst());
        }
      }
      return browser;
    });
  }

  private static List<Double> times(Api api, Browser browser, String id, Drawn drawn) {
    try (Page page = Chromium.page(browser, api)) {
      page.navigate(api.at("/pages/" + id + "/dress?at=" + drawn.node + "&setting=" + drawn.key));
      String cell =
          String.format(Locale.ROOT, "[data-path='%s/%s/desktop']", drawn.node, drawn.key);
      page.waitForSelector(cell);
      ElementHandle within = page.waitForSelector("iframe");
      Frame stage = within.contentFrame();
      stage.waitForSelector("[data-piece]");
      // A picture of the stage has been drawn when a task comes after its next frame.
      stage.evaluate(
          """
          () => addEventListener('message', ({ data }) => {
            if (data.type === 'swap' || data.type === 'redraw') requestAnimationFrame(() => setTimeout(() =>
              parent.postMessage({ type: 'painted' }, '*')));
          })
          """);
      page.evaluate(
          """
          () => addEventListener('message', ({ data }) => {
            if (data.type === 'painted') window.painted = performance.now();
          })
          """);
      page.focus(cell);
      page.keyboard().press("Space");
      page.waitForSelector("dialog[open] input[type=color]");
      var times = new ArrayList<Double>();
      for (int n = 0; n < COLOURS; n++) {
        page.evaluate(
            """
            (hex) => {
              const field = document.querySelector('dialog[open] input[type=color]');
              Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set
                  .call(field, hex);
              window.painted = 0;
              window.drawn = performance.now();
              field.dispatchEvent(new Event('input', { bubbles: true }));
            }
            """,
            String.format(Locale.ROOT, "#%02x%02x%02x", 20 + n * 3, 200 - n * 2, 90 + n));
        page.waitForFunction("() => window.painted > 0");
        times.add(((Number) page.evaluate("() => window.painted - window.drawn")).doubleValue());
      }
      return times;
    }
  }
}
