package giostra.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import giostra.core.page.Edit;
import giostra.core.page.Site;
import giostra.core.testing.InTurn;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import java.util.Map;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Code of one's own: it runs on the live page under its policy, and nowhere else. */
@ExtendWith({Giostra.class, Chromium.class})
class CodeJourney {
  private static final String COUNTS =
      """
      <script>document.documentElement.dataset.ran = 'inline'</script>
      <style>html { --from: head }</style>
      <script src="https://stats.example/named.js"></script>
      """;

  private static Edit set(String node, String setting, String value) {
    return new Edit.SetValue(node, setting, "", value);
  }

  /** Each host answers with a script that says where it came from. */
  private static TreeSet<String> answered(Page page) {
    var asked = new TreeSet<String>();
    page.route(
        "https://*.example/**",
        route -> {
          asked.add(route.request().url());
          route.fulfill(
              new Route.FulfillOptions()
                  .setContentType("text/javascript")
                  .setHeaders(Map.of("access-control-allow-origin", "*"))
                  .setBody("(window.seen ??= []).push('" + route.request().url() + "')"));
        });
    return asked;
  }

  @InTurn({1, 13})
  @Test
  void whatIsNamedIsLetInAndNothingElse(Api api, Page page) {
    String id = api.newPage(api.copyOfDemo(), api.document(Api.DEMO));
    String end =
        """
        <script>
          for (const host of ['own', 'a.below', 'other']) {
            const script = document.createElement('script');
            script.src = `https://${host}.example/late.js`;
            document.body.append(script);
            fetch(`https://${host}.example/told`).catch(() => {});
          }
        </script>
        """;
    api.edit(
        id,
        0,
        set(Site.ID, "headCode", COUNTS),
        set("page", "endCode", end),
        set("page", "codeHosts", "https://own.example https://*.below.example"));
    String address = api.publish(id);
    TreeSet<String> asked = answered(page);
    var refused = new ArrayList<String>();
    page.onConsoleMessage(message -> {
      if (message.text().contains("Content Security Policy")) {
        refused.add(message.text());
      }
    });
    page.navigate(address);
    page.waitForFunction("() => window.seen?.length === 3");
    assertThat(page.evaluate("() => document.documentElement.dataset.ran")).isEqualTo("inline");
    assertThat(
            page.evaluate(
                "() => getComputedStyle(document.documentElement).getPropertyValue('--from')"))
        .isEqualTo("head");
    assertThat(asked)
        .containsExactly(
            "https://a.below.example/late.js",
            "https://a.below.example/told",
            "https://own.example/late.js",
            "https://own.example/told",
            "https://stats.example/named.js");
    page.waitForCondition(() -> refused.size() >= 2);
    assertThat(refused).allMatch(each -> each.contains("https://other.example"));
    // The page is as it was: it lives, and nothing of it is refused.
    page.waitForSelector("[data-piece][data-live]");

    // It may open the bench, and does not reach into it.
    Page bench =
        page.waitForPopup(
            () -> page.evaluate("(bench) => { window.opened = window.open(bench) }", api.at("/")));
    bench.waitForSelector("main");
    assertThat(page.evaluate("() => window.opened.closed")).isEqualTo(true);
    bench.close();

    // A page of the same site that has no code at its end has the site's head alone.
    String policy = api.get(address).header("content-security-policy");
    assertThat(policy)
        .contains("script-src 'self' 'sha256-", "connect-src https://*.below.example");
    String other = api.publish(api.newPage(api.newSite("Plain"), api.document(Api.DEMO)));
    assertThat(api.get(other).header("content-security-policy"))
        .isEqualTo(api.get(Api.LIVE_DEMO).header("content-security-policy"))
        .doesNotContain("sha256", "connect-src");
  }

  @InTurn({6, 18})
  @Test
  void aDesignerPutsCodeIntoThePageAndItIsOffOnTheStage(Api api, Page page) {
    String id = api.newPage(api.copyOfDemo(), api.document(Api.DEMO));
    Bench bench = Bench.open(page, api, id, "fill", "page");
    page.locator(".form-more > summary").click();
    Locator field = page.getByLabel("Code in the head");
    assertThat(page.locator(".form-more")).containsText("It runs for everyone who visits");
    field.fill("<script>document.documentElement.dataset.ran = 'yes'");
    field.blur();
    assertThat(page.locator(".form-more")).containsText("something that is not closed");
    assertThat(field).hasValue("<script>document.documentElement.dataset.ran = 'yes'");
    field.fill("<script>document.documentElement.dataset.ran = 'yes'</script>");
    field.blur();
    bench.saved();
    assertThat(bench.stage().evaluate("() => document.documentElement.dataset.ran ?? 'off'"))
        .isEqualTo("off");
    Page preview = page.context().newPage();
    preview.navigate(api.at("/api/pages/" + id + "/preview/"));
    preview.waitForSelector("[data-live]");
    assertThat(preview.content()).doesNotContain("dataset.ran");
    preview.close();
    bench.step("Prove");
    assertThat(page.locator(".prove-without")).containsText("not proved: code in the head of");
    assertThat(api.get("/api/pages/" + id + "/proof-sheet").text())
        .contains("Not looked at", ": Code in the head");
    assertThat(Axe.within(page, ".prove")).isEmpty();
    page.navigate(api.publish(id));
    page.waitForSelector("[data-live]");
    assertThat(page.evaluate("() => document.documentElement.dataset.ran")).isEqualTo("yes");
    assertThat(Axe.found(page)).isEmpty();
  }
}
