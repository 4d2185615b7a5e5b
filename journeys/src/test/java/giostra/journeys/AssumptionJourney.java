package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ReducedMotion;
import giostra.core.output.Assumption;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Piece;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Each assumed preview shows what the release shows where the browser truly meets the condition.
 */
@ExtendWith({Giostra.class, Chromium.class})
class AssumptionJourney {
  private static final String LOOK = Js.file("fingerprint.js");

  static List<Assumption> assumptions() {
    return Runs.inTurn(List.of(Assumption.values()));
  }

  @InTurn({3, 15})
  @ParameterizedTest
  @MethodSource("assumptions")
  void theAssumedPreviewIsTheReleaseUnderTrueEmulation(
      Assumption assumption, Api api, Chromium.Open chromium) {
    Document demo = api.document(Api.DEMO);
    String id = api.newPage("velluta", demo);
    String preview = api.stage() + "/api/pages/" + id + "/preview/?assume=" + assumption.word();
    String truth = id;
    var options = new Browser.NewContextOptions().setViewportSize(1280, 900);
    switch (assumption) {
      case TOUCH -> options.setHasTouch(true).setIsMobile(true);
      case REDUCED_MOTION -> options.setReducedMotion(ReducedMotion.REDUCE);
      case NO_SCRIPT -> options.setJavaScriptEnabled(false);
      case RTL ->
          truth =
              api.newPage(
                  "velluta",
                  Edits.apply(demo, List.of(new Edit.SetValue("page", "direction", "", "rtl")))
                      .document());
    }
    String address = api.publish(truth);
    var assumed = looks(chromium.page(1280, 900), preview, demo, assumption);
    var real = looks(chromium.page(options), address, demo, assumption);
    assertThat(assumed).hasSameSizeAs(real);
    for (int i = 0; i < real.size(); i++) {
      assertThat(assumed.get(i)).isEqualTo(real.get(i));
    }
  }

  private static List<String> looks(
      Page page, String address, Document demo, Assumption assumption) {
    page.navigate(address);
    page.waitForTimeout(500);
    // A second time, with the fonts at hand: one that comes late is left out (font-display).
    page.reload();
    if (assumption != Assumption.NO_SCRIPT) {
      page.waitForFunction(
          "() => [...document.querySelectorAll('[data-piece]')].every((e) => 'live' in e.dataset)");
    }
    var all = new ArrayList<String>();
    if (assumption == Assumption.TOUCH) {
      // A mouse that comes by changes nothing where there is no hover.
      page.locator("[data-piece=films] .g-start").first().hover();
      page.waitForTimeout(300);
      all.add(String.valueOf(page.evaluate(LOOK, "films")));
      page.locator("#g-plant-fern[data-item]").hover();
    }
    page.waitForTimeout(700);
    for (Piece piece : demo.pieces()) {
      all.addAll(List.of(String.valueOf(page.evaluate(LOOK, piece.id())).split("\n")));
    }
    return all;
  }
}
