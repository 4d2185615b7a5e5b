package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ReducedMotion;
import giostra.core.band.Bands;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.PageSettings;
import giostra.core.page.PageSettings.Direction;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.Site;
import giostra.core.page.TrackSettings;
import giostra.core.page.TrackSettings.Arrows;
import giostra.core.piece.carousel.Carousel;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.core.value.Length;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.BiConsumer;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Isolated;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

/**
 * Fingers on a published carousel, frame by frame: the track never runs ahead of the finger, never
 * jumps, leaves the page's own scrolling alone, and comes to rest at the right stop. Each sequence
 * in both writing directions, with an end and endless; in a deep run all four ways.
 *
 * <p>The carousel is 350 px wide on a phone of 390: one card in view, 338 wide, 12 apart, so a
 * pitch is 350.
 *
 * <p>Fingers have a beat: nothing else may run beside them.
 */
@Isolated
@ExtendWith({Giostra.class, Chromium.class})
class GestureJourney {
  private static final double PITCH = 350;
  private static final int ITEMS = 6;

  /**
   * Stiffness of the spring that a track comes to rest with, per ms, as in the page script. A
   * critically damped spring that is let go at rest is never faster than stiffness x distance / e.
   */
  private static final double STIFFNESS = 0.0145;

  /** Notes, with each frame, where the first item stands and how far the page is scrolled. */
  private static final String WATCH =
      """
      () => {
        const piece = document.querySelector('[data-kind=carousel]');
        const view = piece.querySelector('.g-view');
        const items = [...piece.querySelectorAll('.g-item')];
        window.frames_ = [];
        window.changes = [];
        piece.addEventListener('giostra:change', (event) => window.changes.push(event.detail));
        const sign = document.documentElement.dir === 'rtl' ? -1 : 1;
        let x = null, down = false;
        addEventListener('pointermove', (event) => { if (event.isPrimary) x = event.clientX; }, true);
        addEventListener('pointerdown', (event) => { x = event.clientX; down = view.contains(event.target); }, true);
        for (const end of ['pointerup', 'pointercancel']) {
          addEventListener(end, () => { down = false; }, true);
        }
        let last = null;
        const frame = (now) => {
          const left = view.getBoundingClientRect();
          const at = items.map((item) => (item.getBoundingClientRect().left - left.left) * sign);
          const near = at.map((place, index) => ({ place, index }))
              .filter(({ place }) => place > -700 && place < 700);
          // How far what can be seen has moved since the last frame; none of it may jump.
          const moved = last === null ? [] : near
              .filter(({ index }) => Math.abs(last[index]) < 340)
              .map(({ place, index }) => place - last[index]);
          window.frames_.push({ now, moved, finger: x, down, scroll: scrollY });
          last = at;
          requestAnimationFrame(frame);
        };
        requestAnimationFrame(frame);
      }
      """;

  private static final String STOP =
      "() => Number(document.querySelector('.g-belt').style.getPropertyValue('--g-at'))";

  /** Where the item of the stop stands, from the start of the view: 0 when it is at rest there. */
  private static final String STANDS =
      """
      () => {
        const view = document.querySelector('.g-view').getBoundingClientRect();
        const at = Number(document.querySelector('.g-belt').style.getPropertyValue('--g-at'));
        const item = document.querySelectorAll('.g-item')[at].getBoundingClientRect();
        return document.documentElement.dir === 'rtl' ? view.right - item.right : item.left - view.left;
      }
      """;

  /**
   * One sequence.
   *
   * @param forward what the fingers do; the sign turns a movement towards the end into one to the
   *     left, or to the right where the page runs right to left
   * @param steps stops that it moves on, by itself, from the middle of the track
   * @param scrolls whether the page scrolls with it
   */
  private record Sequence(
      String name, BiConsumer<Finger, Integer> forward, int steps, boolean scrolls) {}

  /** A button at an end is marked as disabled; people press it all the same. */
  private static final Locator.TapOptions AT_ONCE = new Locator.TapOptions().setForce(true);

  private static Finger at(Finger finger) {
    return finger.down(195, 300);
  }

  private static final List<Sequence> SEQUENCES =
      List.of(
          new Sequence(
              "slow, past half", (f, s) -> at(f).by(-s * 220, 0, 22, 16).rest(120).up(), 1, false),
          new Sequence(
              "slow, short of half",
              (f, s) -> at(f).by(-s * 120, 0, 12, 16).rest(120).up(),
              0,
              false),
          new Sequence("flick", (f, s) -> at(f).by(-s * 160, 0, 3, 0).up(), 1, false),
          new Sequence("flick backwards", (f, s) -> at(f).by(s * 160, 0, 3, 0).up(), -1, false),
          new Sequence(
              "reversed",
              (f, s) -> at(f).by(-s * 240, 0, 12, 16).by(s * 200, 0, 12, 16).rest(120).up(),
              0,
              false),
          new Sequence(
              "reversed with a flick",
              (f, s) -> at(f).by(-s * 150, 0, 10, 16).by(s * 100, 0, 4, 4).up(),
              0,
              false),
          new Sequence(
              "diagonal, mostly across",
              (f, s) -> at(f).by(-s * 220, 60, 22, 16).rest(120).up(),
              1,
              false),
          new Sequence(
              "diagonal, mostly down", (f, s) -> at(f).by(-s * 40, -160, 16, 16).up(), 0, true),
          new Sequence("straight down", (f, s) -> at(f).by(0, -180, 16, 16).up(), 0, true),
          new Sequence(
              "two fingers",
              (f, s) -> at(f).second(300, 320).apart(300, 320, 30, 8).up(),
              0,
              false),
          new Sequence(
              "second finger in mid-drag",
              (f, s) -> at(f).by(-s * 60, 0, 6, 16).second(300, 340).rest(60).up(),
              0,
              false),
          new Sequence("tap", (f, s) -> at(f).rest(30).up(), 0, false),
          new Sequence("trembling tap", (f, s) -> at(f).by(-s * 4, 2, 2, 16).up(), 0, false),
          new Sequence(
              "grabbed in mid-change and held",
              (f, s) -> at(f).by(-s * 160, 0, 3, 0).up().rest(220).down(195, 300).rest(200).up(),
              1,
              false),
          new Sequence(
              "flick, grabbed, flicked on",
              (f, s) ->
                  at(f)
                      .by(-s * 160, 0, 3, 0)
                      .up()
                      .rest(90)
                      .down(195, 300)
                      .by(-s * 160, 0, 3, 0)
                      .up(),
              2,
              false),
          new Sequence(
              "across, then out of the view",
              (f, s) -> at(f).by(-s * 80, 0, 8, 16).by(-s * 130, -220, 13, 16).rest(120).up(),
              1,
              false));

  static Stream<Arguments> everySequence() {
    return Stream.of(Direction.values())
        .flatMap(direction ->
            Stream.of(false, true)
                .flatMap(endless ->
                    SEQUENCES.stream()
                        .filter(each -> Runs.deep() || paired(each, direction, endless))
                        .filter(Runs.inTurn(SEQUENCES)::contains)
                        .map(each -> Arguments.of(each.name, direction, endless, each))));
  }

  /** Each sequence in both directions, with an end and endless; a deep run crosses the two. */
  private static boolean paired(Sequence sequence, Direction direction, boolean endless) {
    boolean even = SEQUENCES.indexOf(sequence) % 2 == 0;
    return endless == ((direction == Direction.RTL) == even);
  }

  @ParameterizedTest(name = "{0}, {1}, endless {2}")
  @MethodSource("everySequence")
  void theTrackFollowsTheFinger(
      String name,
      Direction direction,
      boolean endless,
      Sequence sequence,
      Api api,
      Chromium.Open chromium) {
    Page page = again(api, chromium, direction, endless);
    int sign = direction == Direction.RTL ? -1 : 1;
    int from = goToTheMiddle(page);
    // Two frames on, nothing is noted of how it came there.
    page.evaluate(
        """
        () => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(() => {
          window.frames_.length = 0;
          window.changes.length = 0;
          done();
        })))
        """);
    sequence.forward.accept(new Finger(page), sign);
    settled(page);
    assertThat(Js.number(page, STOP, null)).as("the stop").isEqualTo(from + sequence.steps);
    assertThat(Js.number(page, STANDS, null)).as("at rest").isBetween(-0.1, 0.1);
    List<JsonNode> frames = frames(page);
    if (sequence.scrolls) {
      assertThat(frames.getLast().path("scroll").asDouble()).as("scrolled").isGreaterThan(90);
    } else {
      assertThat(frames)
          .allMatch(frame ->
              frame.path("scroll").asDouble() == frames.getFirst().path("scroll").asDouble());
    }
    noJumps(frames, 2 * PITCH);
  }

  static Stream<Arguments> everyKindOfTrack() {
    return Stream.of(Direction.values())
        .flatMap(
            direction -> Stream.of(false, true).map(endless -> Arguments.of(direction, endless)));
  }

  @InTurn(InTurn.EACH_CASE)
  @ParameterizedTest(name = "{0}, endless {1}")
  @MethodSource("everyKindOfTrack")
  void rapidArrowsAddUp(Direction direction, boolean endless, Api api, Chromium.Open chromium) {
    Page page = open(api, chromium, direction, endless);
    for (int press = 0; press < 3; press++) {
      page.locator(".g-next").tap(AT_ONCE);
    }
    settled(page);
    assertThat(Js.number(page, STOP, null)).isEqualTo(3);
    for (int press = 0; press < 4; press++) {
      page.locator(".g-prev").tap(AT_ONCE);
    }
    settled(page);
    assertThat(Js.number(page, STOP, null)).isEqualTo(endless ? ITEMS - 1 : 0);
    assertThat(Js.number(page, STANDS, null)).isBetween(-0.1, 0.1);
    noJumps(frames(page), 4 * PITCH);
  }

  @InTurn(InTurn.EACH_CASE)
  @ParameterizedTest(name = "{0}, endless {1}")
  @MethodSource("everyKindOfTrack")
  void aTrackWithAnEndGivesWayBeyondItAndComesBackAnEndlessOneGoesRound(
      Direction direction, boolean endless, Api api, Chromium.Open chromium) {
    Page page = open(api, chromium, direction, endless);
    int sign = direction == Direction.RTL ? -1 : 1;
    at(new Finger(page)).by(sign * 220, 0, 22, 16).rest(120).up();
    settled(page);
    assertThat(Js.number(page, STOP, null)).isEqualTo(endless ? ITEMS - 1 : 0);
    assertThat(Js.number(page, STANDS, null)).isBetween(-0.1, 0.1);
    noJumps(frames(page), 2 * PITCH);
  }

  /**
   * No visible item moves further in a frame than the finger did, or than the spring may.
   *
   * @param furthest px that the track may be let go from where it comes to rest
   */
  private static void noJumps(List<JsonNode> frames, double furthest) {
    double speed = 0;
    double finger = Double.NaN;
    double lag = 0;
    double before = frames.getFirst().path("now").asDouble();
    double waited = 0;
    for (JsonNode frame : frames) {
      double now = frame.path("now").asDouble();
      double x = frame.path("finger").asDouble(Double.NaN);
      double byFinger = Double.isNaN(finger) || Double.isNaN(x) ? 0 : Math.abs(x - finger);
      finger = x;
      // What is noted in a frame was drawn by the one before: of the two the longer counts.
      double ms = Math.max(17, Math.max(waited, now - before));
      waited = now - before;
      before = now;
      // A touch may be told in the frame before the one that draws it.
      double reach = byFinger + lag;
      lag = byFinger;
      speed = Math.max(speed * 0.99, byFinger / ms);
      double spring = (speed + STIFFNESS * furthest / Math.E) * ms;
      double most = (frame.path("down").asBoolean() ? Math.max(reach, 0) : spring) + 9;
      for (JsonNode moved : frame.path("moved")) {
        assertThat(Math.abs(moved.asDouble()))
            .as("moved in one frame; finger " + reach + ", down " + frame.path("down"))
            .isLessThanOrEqualTo(most);
      }
    }
  }

  private static List<JsonNode> frames(Page page) {
    var frames = new ArrayList<JsonNode>();
    Js.ask(page, "() => window.frames_", null).forEach(frames::add);
    assertThat(frames).hasSizeGreaterThan(10);
    return frames;
  }

  /** Waits until the track has been at rest for a while. */
  private static void settled(Page page) {
    page.waitForTimeout(60);
    page.waitForFunction(
        """
        () => {
          const still = window.frames_.slice(-12);
          return still.length === 12 && !document.querySelector('.g-belt').style.transform
              && still.every(({ moved, down }) => !down && moved.every((by) => Math.abs(by) < 0.01));
        }
        """);
  }

  private static int goToTheMiddle(Page page) {
    // Without motion it is there at once.
    page.emulateMedia(new Page.EmulateMediaOptions().setReducedMotion(ReducedMotion.REDUCE));
    page.evaluate("() => document.querySelectorAll('.g-dot')[2].click()");
    page.waitForFunction(
        "() => document.querySelector('.g-belt').style.getPropertyValue('--g-at') === '2'"
            + " && !document.querySelector('.g-belt').style.transform");
    page.emulateMedia(new Page.EmulateMediaOptions().setReducedMotion(ReducedMotion.NO_PREFERENCE));
    assertThat(Js.number(page, STOP, null)).isEqualTo(2);
    return 2;
  }

  private static final Map<String, String> PUBLISHED = new ConcurrentHashMap<>();

  private static Page phone(Chromium.Open chromium) {
    return chromium.kept(
        "phone",
        new Browser.NewContextOptions()
            .setViewportSize(390, 700)
            .setHasTouch(true)
            .setIsMobile(true)
            .setDeviceScaleFactor(2));
  }

  private static String address(Api api, Direction direction, boolean endless) {
    return PUBLISHED.computeIfAbsent(
        direction + " " + endless, _ -> api.publish(api.newPage(document(direction, endless))));
  }

  /** The page as the sequence before left it, if it is the same, neither scrolled nor zoomed. */
  private static Page again(Api api, Chromium.Open chromium, Direction direction, boolean endless) {
    Page page = phone(chromium);
    boolean fit =
        page.url().equals(address(api, direction, endless))
            && Boolean.TRUE.equals(
                page.evaluate(
                    "() => scrollY === 0 && visualViewport.scale === 1 && 'frames_' in window"));
    return fit ? page : open(api, chromium, direction, endless);
  }

  private static Page open(Api api, Chromium.Open chromium, Direction direction, boolean endless) {
    Page page = phone(chromium);
    page.navigate(address(api, direction, endless));
    page.waitForSelector("[data-live]");
    page.evaluate(WATCH);
    page.waitForTimeout(100);
    return page;
  }

  private static Document document(Direction direction, boolean endless) {
    Values values =
        Values.NONE
            .with(TrackSettings.IN_VIEW, "desktop", 1)
            .with(TrackSettings.GAP, "desktop", Length.px(12))
            .with(TrackSettings.ENDLESS, "desktop", endless)
            .with(TrackSettings.ARROWS, "desktop", Arrows.BELOW);
    // A track of 338: the room of 350 less what pads the section is what the card is wide.
    List<Item> items =
        IntStream.range(0, ITEMS)
            .mapToObj(i ->
                new Item(
                    "item-" + i,
                    Values.NONE
                        .with(ItemSettings.HEADING, Values.ALL, "Card " + i)
                        .with(ItemSettings.TEXT, Values.ALL, "Some words on it. ".repeat(14))))
            .toList();
    Values padding = Values.NONE.with(SectionSettings.PADDING, "desktop", Length.px(26));
    Values page =
        Values.NONE
            .with(PageSettings.TITLE, Values.ALL, "Gestures")
            .with(PageSettings.DIRECTION, Values.ALL, direction);
    Values high = Values.NONE.with(SectionSettings.SPACE_BELOW, "desktop", Length.px(600));
    return new Document(
        new Site(Bands.INITIAL, Values.NONE),
        new giostra.core.page.Page(
            "page",
            page,
            List.of(
                new Section("first", padding, List.of(new Carousel("cards", values, items))),
                new Section("second", high, List.of()))));
  }
}
