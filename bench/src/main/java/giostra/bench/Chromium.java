package giostra.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.Cookie;
import giostra.server.testing.Api;
import giostra.server.testing.Debian;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** Debian's Chromium, for as long as something is measured in it. */
final class Chromium {
  private Chromium() {}

  /** A window of somebody who is in where an application runs. */
  static Page page(Browser browser, Api api) {
    Page page = browser.newPage(new Browser.NewPageOptions().setViewportSize(1280, 800));
    Map.Entry<String, String> cookie = api.wayIn();
    page.context()
        .addCookies(List.of(new Cookie(cookie.getKey(), cookie.getValue()).setUrl(api.at(""))));
    return page;
  }

  /** What comes of measuring in a browser, which is closed after that. */
  static <T> T in(Function<Browser, T> measured) {
    try (Playwright playwright =
            Playwright.create(
                new Playwright.CreateOptions()
                    .setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        Browser browser =
            playwright
                .chromium()
                .launch(
                    new BrowserType.LaunchOptions()
                        .setExecutablePath(Debian.CHROMIUM)
                        .setArgs(List.of("--no-sandbox", "--disable-gpu")))) {
      return measured.apply(browser);
    }
  }
}
