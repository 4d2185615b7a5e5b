package giostra.journeys;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.Cookie;
import com.microsoft.playwright.options.ReducedMotion;
import com.microsoft.playwright.options.SameSiteAttribute;
import giostra.server.testing.Api;
import giostra.server.testing.Debian;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import tools.jackson.databind.JsonNode;

/**
 * Debian's Chromium, headless. A test takes a {@link Page} of 1280 x 800, or the whole of it to
 * open others; what it opened is closed after it, and an error that a page threw fails it.
 */
public final class Chromium implements ParameterResolver, AfterEachCallback, AfterAllCallback {
  private static final ExtensionContext.Namespace NAMESPACE =
      ExtensionContext.Namespace.create(Chromium.class);

  /** For so long what is to come is waited for, in ms. */
  private static final double PATIENCE = 45_000;

  private static final List<String> FLAGS =
      List.of(
          "--no-sandbox",
          "--disable-gpu",
          // As with windows: the shell alone would round letters to whole px.
          "--font-render-hinting=none",
          "--disable-background-networking",
          "--disable-component-update",
          "--disable-sync",
          "--no-first-run");

  /** What lets windows in where the tests' own application runs. */
  private static final class Own {
    private static final Map.Entry<String, String> COOKIE = Giostra.running().wayIn();

    private Own() {}
  }

  /** Lets the window of a page in where another application runs. */
  static void letIn(Page page, Api api) {
    letIn(page.context(), api, api.wayIn());
  }

  /** Makes a window somebody else's. */
  static void letIn(Page page, Api api, Api.Member as) {
    page.context().clearCookies();
    String session = as.cookie().split(";", 2)[0];
    int is = session.indexOf('=');
    letIn(page.context(), api, Map.entry(session.substring(0, is), session.substring(is + 1)));
  }

  private static void letIn(BrowserContext window, Api api, Map.Entry<String, String> cookie) {
    window.addCookies(
        List.of(
            new Cookie(cookie.getKey(), cookie.getValue())
                .setUrl(api.at(""))
                .setHttpOnly(true)
                .setSameSite(SameSiteAttribute.STRICT)));
  }

  /** The browser of a thread, and what the test that runs there has opened. */
  static final class Open implements AutoCloseable {
    private final Playwright playwright =
        Playwright.create(
            new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    private final Map<Boolean, Browser> browsers = new HashMap<>();
    private final Map<String, Page> kept = new HashMap<>();
    private final List<BrowserContext> contexts = new ArrayList<>();
    private final List<String> errors = new ArrayList<>();

    Open() {
      PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE);
    }

    private Browser browser(boolean scrollbars) {
      return browsers.computeIfAbsent(
          scrollbars,
          shown -> {
            var options =
                new BrowserType.LaunchOptions().setExecutablePath(Debian.CHROMIUM).setArgs(FLAGS);
            return playwright
                .chromium()
                .launch(
                    shown ? options.setIgnoreDefaultArgs(List.of("--hide-scrollbars")) : options);
          });
    }

    /** A window, of somebody who is in where the application runs. */
    private BrowserContext context(Browser.NewContextOptions options, boolean scrollbars) {
      BrowserContext made = browser(scrollbars).newContext(options);
      made.setDefaultTimeout(PATIENCE);
      if (Giostra.isRunning()) {
        letIn(made, Giostra.running(), Own.COOKIE);
      }
      return made;
    }

    /** A page of a window of its own. */
    Page page(Browser.NewContextOptions options) {
      return page(options, false);
    }

    /** A page of a window of its own, with classic scrollbars or with none. */
    Page page(Browser.NewContextOptions options, boolean scrollbars) {
      BrowserContext context = context(options, scrollbars);
      contexts.add(context);
      return watched(context.newPage());
    }

    Page watched(Page page) {
      page.onPageError(errors::add);
      return page;
    }

    /**
     * A page that stays open from one test to the next, for journeys of many short ways.
     *
     * @param name the same name gives the same page
     */
    Page kept(String name) {
      return kept(name, new Browser.NewContextOptions().setViewportSize(1280, 800));
    }

    /** As {@link #kept(String)}, of a window with options of its own. */
    Page kept(String name, Browser.NewContextOptions options) {
      return kept.computeIfAbsent(
          name,
          _ -> {
            return watched(context(options, false).newPage());
          });
    }

    /** A page of that size. */
    Page page(int width, int height) {
      return page(new Browser.NewContextOptions().setViewportSize(width, height));
    }

    /** A page of that size for somebody who has asked for less motion. */
    Page calm(int width, int height) {
      return page(
          new Browser.NewContextOptions()
              .setViewportSize(width, height)
              .setReducedMotion(ReducedMotion.REDUCE));
    }

    /** After a journey the pages that stayed open do nothing any more. */
    private void rest() {
      kept.values().forEach(page -> page.navigate("about:blank"));
      errors.clear();
    }

    /** What a journey left in the middle is in nobody's way: pages that stay open begin anew. */
    private void forget() {
      kept.values().forEach(page -> page.context().close());
      kept.clear();
    }

    private void finish() {
      contexts.forEach(BrowserContext::close);
      contexts.clear();
      List<String> all = List.copyOf(errors);
      errors.clear();
      if (!all.isEmpty()) {
        throw new AssertionError("errors on the page: " + all);
      }
    }

    @Override
    public void close() {
      playwright.close();
    }
  }

  /** Playwright is bound to the thread that made it. */
  private static Open open(ExtensionContext context) {
    return context
        .getRoot()
        .getStore(NAMESPACE)
        .getOrComputeIfAbsent(
            "open on " + Thread.currentThread().threadId(), _ -> new Open(), Open.class);
  }

  @Override
  public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
    Class<?> type = parameter.getParameter().getType();
    return type == Page.class || type == Open.class;
  }

  @Override
  public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
    Open open = open(context);
    return parameter.getParameter().getType() == Open.class ? open : open.page(1280, 800);
  }

  @Override
  public void afterEach(ExtensionContext context) {
    if (context.getExecutionException().isPresent()) {
      open(context).forget();
    }
    open(context).finish();
  }

  @Override
  public void afterAll(ExtensionContext context) {
    open(context).rest();
    Demo.asItWas(context.getRequiredTestClass().getSimpleName());
  }

  /** All journeys share the demo, and it has been published: whoever changes it takes a copy. */
  private static final class Demo {
    private static final String BEFORE = revisions();

    private static String revisions() {
      JsonNode page = Giostra.running().page(Api.DEMO);
      return page.path("revision") + ", of its site " + page.path("siteRevision");
    }

    static void asItWas(String journey) {
      if (!revisions().equals(BEFORE)) {
        throw new AssertionError(
            "The demo was changed while %s ran: revision %s, which was %s"
                .formatted(journey, revisions(), BEFORE));
      }
    }
  }
}
