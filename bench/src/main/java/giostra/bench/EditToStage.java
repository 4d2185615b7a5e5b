package giostra.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import giostra.server.testing.Api;
import giostra.server.testing.Postgres;
import giostra.server.testing.Process;
import java.util.ArrayList;
import java.util.List;

/** From the key that takes a value to the stage that shows it, in ms, in Chromium. */
final class EditToStage {
  private static final int EDITS = 50;

  private EditToStage() {}

  /** Times of 50 edits after five to warm up, ascending, on a page of 60 pieces. */
  static List<Double> measure() {
    try (Postgres database = Postgres.start();
        Process app = Process.start(database)) {
      return Chromium.in(browser -> measure(app.api(), browser));
    }
  }

  private static List<Double> measure(Api api, Browser browser) {
    String id = api.newPage(LargePage.document());
    Page page = Chromium.page(browser, api);
    page.navigate(api.at("/pages/" + id + "/arrange?at=carousel-3"));
    String cell = "[data-path='carousel-3/gap/desktop']";
    page.waitForSelector(cell);
    page.waitForTimeout(2000);
    page.evaluate(
        """
        () => addEventListener('message', (event) => {
          if (event.data.type === 'swapped') window.swapped = performance.now();
        })
        """);
    var times = new ArrayList<Double>();
    for (int edit = 0; edit < EDITS + 5; edit++) {
      page.focus(cell);
      page.keyboard().press("F2");
      page.fill(cell + " input", (edit % 40) + "px");
      page.evaluate(
          """
          () => { window.swapped = 0; addEventListener('keydown',
              () => { window.pressed = performance.now(); }, { capture: true, once: true }) }
          """);
      page.keyboard().press("Enter");
      page.waitForFunction("() => window.swapped > 0");
      double ms = ((Number) page.evaluate("() => window.swapped - window.pressed")).doubleValue();
      if (edit >= 5) {
        times.add(ms);
      }
    }
    return times.stream().sorted().toList();
  }
}
