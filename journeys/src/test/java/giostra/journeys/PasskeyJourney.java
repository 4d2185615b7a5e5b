package giostra.journeys;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import giostra.core.testing.InTurn;
import giostra.server.testing.Api;
import giostra.server.testing.Postgres;
import giostra.server.testing.Process;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * Somebody makes a passkey and comes back by it. The device is Chromium's own, which follows W3C
 * WebAuthn without us ("virtual authenticators", 11.2).
 */
@ExtendWith(Chromium.class)
class PasskeyJourney {
  private static JsonObject device() {
    var options = new JsonObject();
    options.addProperty("protocol", "ctap2");
    options.addProperty("transport", "internal");
    options.addProperty("hasResidentKey", true);
    options.addProperty("hasUserVerification", true);
    options.addProperty("isUserVerified", true);
    options.addProperty("automaticPresenceSimulation", true);
    var all = new JsonObject();
    all.add("options", options);
    return all;
  }

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
  }

  private static Locator section(Page page) {
    return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Passkeys"));
  }

  @InTurn({4, 16})
  @Test
  void aDeviceLetsItsOwnerIn(Chromium.Open chromium) {
    try (Postgres database = Postgres.start();
        Process server = Process.startNamed(database)) {
      Api api = server.api();
      String way = api.post("/api/keys", null).json().path("address").asString();
      String home = way.substring(0, way.indexOf('#'));
      assertThat(home).startsWith("http://localhost:");
      Page page = chromium.page(1280, 800);
      page.context().clearCookies();
      CDPSession browser = page.context().newCDPSession(page);
      browser.send("WebAuthn.enable");
      String device =
          browser
              .send("WebAuthn.addVirtualAuthenticator", device())
              .get("authenticatorId")
              .getAsString();
      page.navigate(way);

      // A device that does not make sure who holds it makes none, and says so.
      button(page, "Who is in").click();
      Locator passkeys = section(page);
      var unsure = new JsonObject();
      unsure.addProperty("authenticatorId", device);
      unsure.addProperty("isUserVerified", false);
      browser.send("WebAuthn.setUserVerified", unsure);
      passkeys.getByLabel("What you call it").fill("The telephone");
      passkeys.getByText("Make a passkey").press("Enter");
      assertThat(passkeys.getByRole(AriaRole.ALERT)).containsText("Nothing was changed");
      assertThat(passkeys.getByRole(AriaRole.LISTITEM)).hasCount(0);

      unsure.addProperty("isUserVerified", true);
      browser.send("WebAuthn.setUserVerified", unsure);
      passkeys.getByText("Make a passkey").press("Enter");
      assertThat(passkeys.getByRole(AriaRole.STATUS)).containsText("It is kept");
      assertThat(passkeys.getByRole(AriaRole.LISTITEM)).containsText("The telephone");
      assertThat(passkeys.getByRole(AriaRole.LISTITEM)).containsText("not used yet");
      assertThat(Axe.within(page, "dialog[open]")).isEmpty();
      passkeys.getByText("Make a passkey").press("Enter");
      assertThat(passkeys.getByRole(AriaRole.ALERT))
          .containsText("This device has a passkey of yours already");

      // From another window, by the keyboard.
      page.context().clearCookies();
      for (ColorScheme scheme : new ColorScheme[] {ColorScheme.DARK, ColorScheme.LIGHT}) {
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(scheme));
        page.navigate(home);
        assertThat(button(page, "Sign in with a passkey")).isVisible();
        assertThat(Axe.found(page)).isEmpty();
      }
      button(page, "Sign in with a passkey").press("Enter");
      button(page, "Who is in").click();
      assertThat(section(page).getByRole(AriaRole.LISTITEM)).containsText("last used");

      // Ended it lets nobody in.
      section(page)
          .getByRole(
              AriaRole.BUTTON,
              new Locator.GetByRoleOptions().setName("End the passkey The telephone"))
          .press("Enter");
      assertThat(section(page).getByRole(AriaRole.LISTITEM)).hasCount(0);
      page.context().clearCookies();
      page.navigate(home);
      button(page, "Sign in with a passkey").click();
      assertThat(page.getByRole(AriaRole.ALERT)).containsText("has not been ended since");
      assertThat(button(page, "Who is in")).hasCount(0);
    }
  }
}
