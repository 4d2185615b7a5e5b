package giostra.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Playwright;
import giostra.server.testing.Debian;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** Debian's Chromium, for as long as something is measured in it. */
final class Chromium {
  private Chromium() {}

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
