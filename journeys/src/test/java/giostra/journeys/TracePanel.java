package giostra.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.FileChooser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.FilePayload;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Where the page is held against a picture, as somebody in front of it uses it. */
record TracePanel(Bench bench) {
  private static final Pattern ALIKE = Pattern.compile("([\\d.]+) % alike, ground ([\\d.]+) %");

  /** Opens it, with a picture that is uploaded. */
  static TracePanel open(Bench bench, String name, byte[] png) {
    bench.button("Trace").click();
    var panel = new TracePanel(bench);
    panel.picture().click();
    FileChooser chooser =
        bench.page().waitForFileChooser(() -> bench.page().getByText("Upload a picture").click());
    chooser.setFiles(new FilePayload(name, "image/png", png));
    assertThat(panel.picture()).containsText(name);
    return panel;
  }

  private Locator picture() {
    return bench.page().locator(".trace-picture");
  }

  /** What it tells. */
  Locator told() {
    return bench.page().locator(".trace-told");
  }

  /** A number of px. */
  Locator px(String label) {
    return bench
        .page()
        .locator(".trace")
        .getByLabel(label, new Locator.GetByLabelOptions().setExact(true));
  }

  void set(String label, long px) {
    px(label).fill(String.valueOf(px));
    px(label).press("Enter");
  }

  /** How much of what is drawn, and of the ground, is alike, percent. */
  double[] compared() {
    bench.saved();
    bench.button("Compare").click();
    assertThat(bench.button("Compare")).isEnabled();
    assertThat(told()).containsText("alike");
    Matcher found = ALIKE.matcher(told().innerText());
    if (!found.find()) {
      throw new AssertionError(told().innerText());
    }
    return new double[] {Double.parseDouble(found.group(1)), Double.parseDouble(found.group(2))};
  }
}
