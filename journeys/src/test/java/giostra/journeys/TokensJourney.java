package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.FilePayload;
import giostra.core.page.Document;
import giostra.core.testing.InTurn;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Tokens are taken out, changed in another tool, and seen before they change anything. */
@ExtendWith({Giostra.class, Chromium.class})
class TokensJourney {
  private static void choose(Page page, String file) {
    // A dialog that is still closing has the same name as the field.
    PlaywrightAssertions.assertThat(page.locator("dialog")).hasCount(0);
    page.getByLabel("Tokens from a file")
        .setInputFiles(
            new FilePayload(
                "house.tokens.json", "application/json", file.getBytes(StandardCharsets.UTF_8)));
  }

  /** The file as another tool gives it back: the accent of one tone, the ground of another. */
  static String recoloured(String file) {
    return file.replaceFirst(
            "(?s)(\"paper\"\\s*:.*?\"accent\"\\s*:.*?\"\\$value\"\\s*:\\s*)\\{.*?}",
            "$1\"#7a1f5c\"")
        .replaceFirst(
            "(?s)(\"dusk\"\\s*:.*?\"ground\"\\s*:.*?\"\\$value\"\\s*:\\s*)\\{.*?}",
            "$1\"#101c3a\"");
  }

  @InTurn(5)
  @Test
  void twoColoursAreChangedElsewhereAndTakenBack(Api api, Page page) throws Exception {
    Document demo = api.document(Api.DEMO);
    String id = api.newPage(api.copyOfDemo(), demo);
    Bench bench = Bench.open(page, api, id, "ship", demo.page().sections().getFirst().id());
    Download download = page.waitForDownload(() -> page.getByText("Download the tokens").click());
    assertThat(download.suggestedFilename()).endsWith(".tokens.json");
    String file = Files.readString(download.path());
    // As it is, it changes nothing.
    choose(page, file);
    Locator dialog = page.locator("dialog[open]");
    dialog.getByText("Nothing of this site would change.").waitFor();
    assertThat(Axe.found(page, "iframe")).isEmpty();
    dialog.locator("button.btn", new Locator.LocatorOptions().setHasText("Close")).click();
    String changed =
        recoloured(file).replaceFirst("\\{", "{\"not\": {\"ours\": {\"\\$value\": 3}},");
    choose(page, changed);
    dialog.getByText("One token is of nothing that this site has").waitFor();
    assertThat(dialog.locator("tbody tr").count()).isEqualTo(2);
    assertThat(dialog.innerText()).contains("#7a1f5c", "#101c3a");
    // Nothing has changed yet.
    assertThat(api.get("/api/pages/" + id + "/tokens").text()).isEqualTo(file);
    int before = api.page(id).path("siteRevision").asInt();
    dialog.getByText("Take these 2 changes").click();
    bench.saved();
    assertThat(api.page(id).path("siteRevision").asInt()).isGreaterThan(before);
    String now = api.get("/api/pages/" + id + "/tokens").text();
    assertThat(now).contains("#7a1f5c", "#101c3a");
    page.keyboard().press("Control+z");
    bench.saved();
    page.waitForCondition(() -> api.get("/api/pages/" + id + "/tokens").text().equals(file));
    choose(
        page, "{\"tone\": {\"paper\": {\"ink\": {\"$type\": \"color\", \"$value\": \"mauve\"}}}}");
    dialog.getByText("tone.paper.ink: colour is mauve").waitFor();
    dialog.locator("button.btn", new Locator.LocatorOptions().setHasText("Close")).click();
    choose(page, "[1, 2");
    page.getByText("house.tokens.json:").waitFor();
  }
}
