package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import giostra.core.drive.Pacing;
import giostra.core.layout.TrackLayout;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Tracked;
import giostra.core.tempo.Score;
import giostra.core.tempo.Trace;
import giostra.core.tempo.Trace.Phase;
import giostra.core.tempo.Trace.Stretch;
import giostra.core.tempo.Visit;
import giostra.core.tempo.Visit.Act;
import giostra.core.tempo.Visit.Deed;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.core.testing.Scores;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/**
 * The page script against the rule: sliders whose settings of time are drawn at random, under a
 * clock that the journey holds, visited by fingers, keys, a mouse and a page that goes away. What
 * they do and when is what {@link Trace} says.
 */
@ExtendWith({Giostra.class, Chromium.class})
class TempoJourney {
  private static final String CLOCKWORK = Js.file("clockwork.js");

  private static final Deed[] DEEDS = {
    Deed.POINTS,
    Deed.LEAVES,
    Deed.TABS_IN,
    Deed.GOES_AWAY,
    Deed.COMES_BACK,
    Deed.SCROLLS_OFF,
    Deed.SCROLLS_ON,
    Deed.PRESSES_PAUSE,
    Deed.NEXT,
    Deed.PREVIOUS
  };

  private static final long UNTIL = 40_013;

  private static Edit set(String node, String setting, Object value) {
    return new Edit.SetValue(node, setting, "desktop", value);
  }

  private static Document sliders(long seed, List<String> ids) {
    var random = new Random(seed);
    var edits = new ArrayList<Edit>();
    String[] ways = {"move", "fade 0.4s", "push, zoom 0.3s", "cover 1s then fade 0.2s then turn"};
    for (String id : ids) {
      edits.add(set(id, "movesItself", true));
      edits.add(set(id, "rest", (10 + random.nextInt(60)) / 10.0 + "s"));
      edits.add(set(id, "restLeast", "2s"));
      edits.add(set(id, "restsBy", random.nextInt(4) == 0 ? "reading" : "time"));
      edits.add(set(id, "round", List.of("round", "once", "back").get(random.nextInt(3))));
      edits.add(set(id, "afterHand", List.of("again", "later", "stops").get(random.nextInt(3))));
      edits.add(set(id, "heldWhile", random.nextInt(4) == 0 ? "" : "pointer unseen"));
      edits.add(set(id, "startsAfter", random.nextInt(3) == 0 ? "1.5s" : "0s"));
      edits.add(set(id, "endless", random.nextInt(3) == 0));
      edits.add(set(id, "changes", ways[random.nextInt(ways.length)]));
      edits.add(set(id, "arrows", "below"));
      edits.add(set(id, "height", "300px"));
      edits.add(new Edit.SetValue(id + "-2", "ownRest", "", "1.2s"));
    }
    return Edits.apply(Subjects.page("slider", ids), edits).document();
  }

  @InTurn(8)
  @Test
  void whatItDoesAndWhenIsWhatTheTraceSays(Api api, Chromium.Open chromium) {
    int pages = Runs.of(1, 1, 5);
    int compared = 0;
    for (int i = 0; i < pages; i++) {
      compared += compare(20_261_127 + i, Runs.of(8, 60), Runs.of(2, 5), api, chromium);
    }
    System.out.printf("measured: %d states and times of traces, all equal%n", compared);
  }

  /** Sliders drawn at random, each with some visits; how many states and times were compared. */
  private static int compare(long seed, int count, int visits, Api api, Chromium.Open chromium) {
    List<String> ids = IntStream.range(0, count).mapToObj(i -> "t" + i).toList();
    Document document = sliders(seed, ids);
    String address = api.publish(api.newPage("velluta", document));
    Page page =
        chromium.page(new Browser.NewContextOptions().setViewportSize(1280, 900).setHasTouch(true));
    page.navigate(address);
    page.waitForFunction(
        "() => [...document.querySelectorAll('[data-piece]')].every((e) => 'live' in e.dataset)");
    // Room to scroll away from the last one.
    page.evaluate("() => { document.body.style.paddingBlock = '2000px' }");
    var wrong = new ArrayList<String>();
    int compared = 0;
    for (String id : ids) {
      var track = (Tracked) document.piece(id);
      Score score = Pacing.of(document, track, TrackLayout.of(document, track, 0).at(1280)).score();
      for (int i = 0; i < visits; i++) {
        Visit visit = possible(Scores.visit(seed + 31L * i + id.hashCode(), score.stops(), DEEDS));
        List<String> rule = rule(id, Trace.of(score, visit, UNTIL));
        List<String> seen = seen(page, id, visit);
        compared += rule.size();
        if (!seen.equals(rule)) {
          wrong.add(id + " " + visit.acts() + "\n  rule " + rule + "\n  seen " + seen);
        }
      }
    }
    assertThat(wrong).as("seed %d, %d states and times", seed, compared).isEmpty();
    assertThat(compared).isGreaterThan(count * visits * 3);
    page.context().close();
    return compared;
  }

  /** Ms that a slider is left to itself for. */
  private static final int LONG = 600_000;

  /** In real time nobody holds, for as long as a page may stay open at a desk. */
  @Test
  void itKeepsItsTimeForTenMinutes(Api api, Chromium.Open chromium) {
    assumeThat(Runs.soak()).isTrue();
    Document document = api.document(Api.DEMO);
    var track = (Tracked) document.piece("openings");
    Score score = Pacing.of(document, track, TrackLayout.of(document, track, 0).at(1280)).score();
    List<Long> rule =
        Trace.of(score, Visit.none(), LONG).stream()
            .filter(each -> each.phase() == Phase.CHANGES)
            .map(Stretch::from)
            .toList();
    Page page = chromium.page(1280, 900);
    page.addInitScript(
        """
        window.seen = [];
        addEventListener('giostra:change', ({ target }) => {
          if (target.dataset.piece === 'openings') seen.push(performance.now());
        }, true);
        """);
    page.navigate(api.at(Api.LIVE_DEMO));
    page.locator("[data-piece=openings]").scrollIntoViewIfNeeded();
    page.mouse().move(2, 2);
    page.waitForFunction(
        "(n) => seen.length >= n",
        rule.size(),
        new Page.WaitForFunctionOptions().setTimeout(1.2 * LONG).setPollingInterval(1000));
    List<Double> seen =
        Js.ask(page, "() => seen", null).valueStream().map(JsonNode::asDouble).toList();
    double worst = 0;
    double last = 0;
    for (int i = 0; i < rule.size(); i++) {
      // Counted from the first change: when a page is there is its own affair.
      last = seen.get(i) - seen.getFirst() - (rule.get(i) - rule.getFirst());
      worst = Math.max(worst, Math.abs(last));
    }
    System.out.printf(
        "measured: %d changes in %d s, %.0f ms away at the end, %.0f at worst%n",
        rule.size(), LONG / 1000, last, worst);
    assertThat(worst).isLessThan(LONG / 1000.0);
  }

  /**
   * What somebody can do: what is scrolled away is neither pointed at nor pressed, and is scrolled
   * away from under the pointer.
   */
  private static Visit possible(Visit drawn) {
    var acts = new ArrayList<Act>();
    boolean off = false;
    boolean over = false;
    for (Act act : drawn.acts()) {
      if (act.deed() == Deed.POINTS && over) {
        // Whoever is over it comes over it again after leaving alone.
        continue;
      }
      over = !off && act.deed() == Deed.POINTS || over && act.deed() != Deed.LEAVES;
      switch (act.deed()) {
        case SCROLLS_OFF -> {
          acts.add(new Act(act.at(), Deed.LEAVES, 0));
          off = true;
          over = false;
        }
        case SCROLLS_ON -> off = false;
        default -> {}
      }
      boolean free =
          Set.of(Deed.SCROLLS_OFF, Deed.SCROLLS_ON, Deed.GOES_AWAY, Deed.COMES_BACK, Deed.LEAVES)
              .contains(act.deed());
      if (free || !off) {
        acts.add(act);
      }
    }
    return new Visit(acts);
  }

  /** Each stop that is gone to with its time, and how it stands at the end. */
  private static List<String> rule(String id, List<Stretch> stretches) {
    var said = new ArrayList<String>();
    for (Stretch each : stretches) {
      if (each.phase() == Phase.CHANGES) {
        said.add(each.from() + " " + id + "-" + (each.next() + 1));
      }
    }
    Phase last = stretches.getLast().phase();
    boolean stopped = !stretches.getLast().latches().isEmpty() || last == Phase.OVER;
    said.add(stopped ? "stopped" : "goes");
    return said;
  }

  private static List<String> seen(Page page, String id, Visit visit) {
    page.mouse().move(2, 2);
    page.evaluate("() => { document.activeElement?.blur(); window.away?.(false) }");
    Js.ask(page, CLOCKWORK, id);
    for (Act act : visit.acts()) {
      page.evaluate("(ms) => window.clockwork.to(ms)", (double) act.at());
      act(page, id, act.deed());
    }
    page.evaluate("(ms) => window.clockwork.to(ms)", (double) UNTIL);
    JsonNode all =
        Js.ask(
            page,
            """
            (id) => {
              const root = document.querySelector(`[data-piece=${id}]`);
              const said = window.clockwork.log.map(([at, , to]) => `${Math.round(at)} ${to}`);
              const hold = root.querySelector('.g-hold');
              const stopped = hold.hasAttribute('data-pressed');
              const live = root.querySelector('.g-belt').getAttribute('aria-live');
              return [...said, stopped && live === 'polite' ? 'stopped'
                  : !stopped && live === 'off' ? 'goes' : `${stopped} and ${live}`];
            }
            """,
            id);
    return all.valueStream().map(JsonNode::asString).toList();
  }

  private static void act(Page page, String id, Deed deed) {
    String root = "[data-piece=" + id + "]";
    switch (deed) {
      case POINTS -> {
        var box = page.locator(root + " .g-view").boundingBox();
        // What has only just come into place may not be hit at once.
        for (int i = 0; i < 5 && page.querySelector(root + " .g-view:hover") == null; i++) {
          page.mouse().move(box.x + box.width / 2 + i, box.y + box.height / 2);
        }
      }
      case LEAVES -> page.mouse().move(2, 2);
      case TABS_IN -> {
        page.evaluate(
            """
            (id) => {
              const before = document.createElement('button');
              document.querySelector(`[data-piece=${id}]`).before(before);
              before.focus({ preventScroll: true });
            }
            """,
            id);
        page.keyboard().press("Tab");
        page.evaluate(
            "(id) => document.querySelector(`[data-piece=${id}]`).previousSibling.remove()", id);
      }
      case GOES_AWAY, COMES_BACK ->
          page.evaluate(
              """
              (away) => {
                window.away = (hidden) => {
                  Object.defineProperty(document, 'hidden', { value: hidden, configurable: true });
                  document.dispatchEvent(new Event('visibilitychange'));
                };
                window.away(away);
              }
              """,
              deed == Deed.GOES_AWAY);
      case SCROLLS_OFF -> scroll(page, "() => window.scrollTo({ top: 0, behavior: 'instant' })");
      case SCROLLS_ON ->
          scroll(
              page,
              "() => document.querySelector('"
                  + root
                  + "').scrollIntoView({ block: 'center', behavior: 'instant' })");
      case PRESSES_PAUSE -> tap(page, root + " .g-hold");
      case NEXT -> tap(page, root + " .g-next");
      case PREVIOUS -> tap(page, root + " .g-prev");
      default -> throw new IllegalArgumentException(deed.name());
    }
  }

  private static void scroll(Page page, String how) {
    page.evaluate(how);
    page.waitForTimeout(90);
  }

  /** By a finger, which no pointer comes over. */
  private static void tap(Page page, String selector) {
    var box = page.locator(selector).boundingBox();
    page.touchscreen().tap(box.x + box.width / 2, box.y + box.height / 2);
  }
}
