package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.ReducedMotion;
import giostra.core.look.Values;
import giostra.core.page.ClipSettings;
import giostra.core.page.ClipSettings.From;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.PageSettings;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.piece.accordion.Accordion;
import giostra.core.piece.slider.Slider;
import giostra.core.piece.video.Video;
import giostra.core.piece.video.VideoSettings;
import giostra.core.testing.InTurn;
import giostra.core.value.Length;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;

/** Clips played on live pages: by mouse, keyboard and touch, from files and from a host. */
@ExtendWith({Giostra.class, Chromium.class})
class VideoJourney {
  private static final Values OWN =
      Values.NONE
          .with(ClipSettings.CLIP, Values.ALL, "bloom")
          .with(ItemSettings.PICTURE, Values.ALL, "bloom-open")
          .with(ItemSettings.HEADING, Values.ALL, "A bloom")
          .with(ClipSettings.CAPTIONS.get(0).file(), Values.ALL, "bloom-en")
          .with(ClipSettings.CAPTIONS.get(1).file(), Values.ALL, "bloom-de")
          .with(ClipSettings.CAPTIONS.get(1).language(), Values.ALL, "de");

  private static String page(Api api, Values piece, Values... items) {
    var all = new ArrayList<Item>();
    for (int i = 0; i < items.length; i++) {
      all.add(new Item("clip-" + i, items[i]));
    }
    Values titled = Values.NONE.with(PageSettings.TITLE, Values.ALL, "Films");
    var section = new Section("one", Values.NONE, List.of(new Video("film", piece, all)));
    return api.newPage(
        "velluta",
        new Document(
            api.document(Api.DEMO).site(),
            new giostra.core.page.Page("page", titled, List.of(section))));
  }

  private static Values hosted(Api api, String clip) {
    return Values.NONE
        .with(ClipSettings.FROM, Values.ALL, From.HOST)
        .with(ClipSettings.ADDRESS, Values.ALL, api.falena() + "/watch/" + clip)
        .with(ItemSettings.HEADING, Values.ALL, "At the host");
  }

  private static void open(Page page, String address) {
    page.navigate(address);
    page.waitForSelector("[data-piece][data-live]");
  }

  private static Object video(Page page, String expression) {
    return page.evaluate(
        "() => { const v = document.querySelector('video'); return " + expression + " }");
  }

  private static void plays(Page page) {
    page.waitForFunction(
        "() => { const v = document.querySelector('video'); return !v.paused && v.currentTime > 0.2 }");
  }

  private static void rests(Page page) {
    page.waitForFunction("() => document.querySelector('video').paused");
  }

  @Test
  void aClipIsPlayedAndSteeredWithTheMouse(Api api, Page page) {
    open(page, api.publish(page(api, Values.NONE, OWN)));
    assertThat(page.locator(".g-controls").isVisible()).isFalse();
    assertThat(video(page, "v.preload + v.currentTime")).isEqualTo("none0");
    page.locator(".g-start").click();
    plays(page);
    assertThat(page.locator(".g-start").isVisible()).isFalse();
    PlaywrightAssertions.assertThat(page.locator(".g-play")).hasAttribute("aria-label", "Pause");
    // The words of the second second.
    page.waitForFunction("() => document.querySelector('video').textTracks[0].activeCues?.length");
    assertThat(video(page, "v.textTracks[0].activeCues[0].text"))
        .isEqualTo("At ten past nine the bud gives way.");

    page.locator(".g-captions").selectOption("1");
    page.waitForFunction("() => document.querySelector('video').textTracks[1].activeCues?.length");
    assertThat(video(page, "v.textTracks[0].mode + ' ' + v.textTracks[1].activeCues[0].text"))
        .isEqualTo("disabled Um zehn nach neun gibt die Knospe nach.");
    page.locator(".g-speed").selectOption("2");
    assertThat(video(page, "v.playbackRate")).isEqualTo(2);
    page.locator(".g-mute").click();
    assertThat(video(page, "v.muted")).isEqualTo(true);
    // The browser tells of it a little later.
    PlaywrightAssertions.assertThat(page.locator(".g-mute")).hasAttribute("aria-label", "Sound on");
    page.locator(".g-play").click();
    rests(page);

    Locator scrub = page.locator(".g-scrub > input");
    scrub.hover();
    PlaywrightAssertions.assertThat(page.locator(".g-scrub > output"))
        .hasText(java.util.regex.Pattern.compile("0:0[34]"));
    scrub.fill("6");
    assertThat((Double) video(page, "v.currentTime + 0.0001")).isBetween(5.9, 6.1);
    PlaywrightAssertions.assertThat(page.locator(".g-time")).hasText("0:06 / 0:08");
    page.locator(".g-screen").click();
    page.waitForFunction("() => document.fullscreenElement?.matches('.g-place')");
    page.locator(".g-screen").click();
    page.waitForFunction("() => !document.fullscreenElement");
  }

  @Test
  void aClipIsPlayedByKeyboardAlone(Api api, Page page) {
    open(page, api.publish(page(api, Values.NONE, OWN)));
    page.keyboard().press("Tab");
    assertThat(page.evaluate("() => document.activeElement.className")).isEqualTo("g-start");
    page.keyboard().press("Enter");
    plays(page);
    assertThat(page.evaluate("() => document.activeElement.className"))
        .as("the focus goes on to the bar")
        .isEqualTo("g-play");
    page.keyboard().press("Space");
    rests(page);
    page.keyboard().press("Tab");
    double before = ((Number) video(page, "v.currentTime")).doubleValue();
    for (int i = 0; i < 10; i++) {
      page.keyboard().press("ArrowRight");
    }
    double after = ((Number) video(page, "v.currentTime")).doubleValue();
    assertThat(after).isBetween(before + 0.5, before + 1.5);
    PlaywrightAssertions.assertThat(page.locator(".g-scrub > input"))
        .hasAttribute("aria-valuetext", java.util.regex.Pattern.compile(".* / 0:08"));
  }

  @Test
  void aTapStartsAndPauses(Api api, Chromium.Open chromium) {
    Page page =
        chromium.page(
            new Browser.NewContextOptions()
                .setViewportSize(390, 800)
                .setHasTouch(true)
                .setIsMobile(true));
    open(page, api.publish(page(api, Values.NONE, OWN)));
    page.locator(".g-start").tap();
    plays(page);
    page.locator("video").tap();
    rests(page);
  }

  @Test
  void aHostIsAskedForNothingBeforeItsClipIsStarted(Api api, Page page) {
    var asked = new ArrayList<String>();
    var refused = new ArrayList<String>();
    page.onRequest(request -> asked.add(request.url()));
    page.onConsoleMessage(message -> {
      if (message.text().contains("Content Security Policy")) {
        refused.add(message.text());
      }
    });
    open(page, api.publish(page(api, Values.NONE, OWN, hosted(api, "moths"))));
    page.waitForTimeout(500);
    page.locator("a.g-start").hover();
    assertThat(asked).noneMatch(url -> url.startsWith(api.falena()));
    assertThat(asked).allMatch(url -> url.startsWith(api.live()));

    page.locator("a.g-start").click();
    page.waitForSelector("iframe");
    page.frameLocator("iframe").locator("video").waitFor();
    assertThat(asked).anyMatch(url -> url.startsWith(api.falena() + "/embed/moths?autoplay=1"));
    page.frames()
        .getLast()
        .waitForFunction("() => document.querySelector('video').currentTime > 0.2");
    // What plays here stops what plays there, and the other way round.
    page.locator("button.g-start").click();
    plays(page);
    assertThat(page.locator("iframe").count()).isZero();
    page.locator("a.g-start").click();
    rests(page);
    assertThat(refused).isEmpty();
  }

  @Test
  void aFileElsewhereIsPlayedUnderThePolicyOfThePage(Api api, Page page) {
    Values elsewhere =
        Values.NONE
            .with(ClipSettings.FROM, Values.ALL, From.ADDRESS)
            .with(ClipSettings.ADDRESS, Values.ALL, api.falena() + "/clips/rain.webm");
    String address = api.publish(page(api, Values.NONE, elsewhere));
    assertThat(api.get(address).header("content-security-policy"))
        .contains("media-src 'self' " + api.falena());
    open(page, address);
    page.locator(".g-start").click();
    plays(page);
  }

  @Test
  void itStartsByItselfInViewWithoutSoundAndNotWhereLessMotionIsAsked(
      Api api, Chromium.Open chromium) {
    String address =
        api.publish(page(api, Values.NONE.with(VideoSettings.AUTOPLAY, Values.ALL, true), OWN));
    Page page = chromium.page(1280, 800);
    open(page, address);
    plays(page);
    assertThat(video(page, "v.muted")).isEqualTo(true);
    Page calm = chromium.calm(1280, 800);
    open(calm, address);
    calm.waitForTimeout(900);
    assertThat(video(calm, "v.paused && v.currentTime === 0")).isEqualTo(true);
  }

  @Test
  void onlyItsStretchIsPlayed(Api api, Page page) {
    Values part =
        OWN.with(ClipSettings.START, Values.ALL, 2.0).with(ClipSettings.END, Values.ALL, 3.0);
    open(page, api.publish(page(api, Values.NONE, part)));
    page.locator(".g-start").click();
    plays(page);
    rests(page);
    assertThat(((Number) video(page, "v.currentTime")).doubleValue()).isBetween(2.9, 3.5);
  }

  /** Source: oEmbed, 2.3.4.4 "The rich type": whatever a host has to show, in an answer. */
  @Test
  void anAnswerHoldsWhatAHostHasToShow(Api api, Page page) {
    var plan = new Video("plan", Values.NONE, List.of(new Item("plan-1", hosted(api, "scene"))));
    var answer =
        new Item(
            "where",
            Values.NONE.with(ItemSettings.HEADING, Values.ALL, "Where is the water hall?"),
            List.of(plan));
    var questions = new Accordion("questions", Values.NONE, List.of(answer));
    var asked = new ArrayList<String>();
    page.onRequest(request -> asked.add(request.url()));
    open(
        page,
        api.publish(
            api.newPage(
                "velluta",
                new Document(
                    api.document(Api.DEMO).site(),
                    new giostra.core.page.Page(
                        "page",
                        Values.NONE,
                        List.of(new Section("one", Values.NONE, List.of(questions))))))));
    page.locator("summary").click();
    page.locator("a.g-start").waitFor();
    assertThat(asked).noneMatch(url -> url.startsWith(api.falena()));
    page.locator("a.g-start").press("Enter");
    page.frameLocator("iframe").getByText("Water hall").click();
    assertThat(asked).contains(api.falena() + "/embed/scene?autoplay=1");
  }

  @Test
  void withoutScriptTheBrowserHasTheControlsAndTheHostALink(Api api, Chromium.Open chromium) {
    Page page =
        chromium.page(
            new Browser.NewContextOptions().setViewportSize(1280, 800).setJavaScriptEnabled(false));
    page.navigate(api.publish(page(api, Values.NONE, OWN, hosted(api, "moths"))));
    assertThat(page.locator("video[controls]").count()).isEqualTo(1);
    assertThat(page.locator("button.g-start").isVisible()).isFalse();
    assertThat(page.locator(".g-controls").isVisible()).isFalse();
    page.locator("a.g-start").click();
    page.waitForURL(api.falena() + "/watch/moths");
  }

  @Test
  void theBundleFromDiskPlaysWithItsWords(Api api, Page page, @TempDir Path folder)
      throws IOException {
    String id = page(api, Values.NONE, OWN);
    api.publish(id);
    byte[] bundle = api.get("/api/pages/" + id + "/bundle.zip").bytes();
    try (var zip = new ZipInputStream(new ByteArrayInputStream(bundle))) {
      for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
        Path file = folder.resolve(entry.getName());
        Files.createDirectories(file.getParent());
        Files.write(file, zip.readAllBytes());
      }
    }
    open(page, folder.resolve("index.html").toUri().toString());
    page.locator(".g-start").click();
    plays(page);
    page.waitForFunction("() => document.querySelector('video').textTracks[0].activeCues?.length");
    assertThat(video(page, "v.textTracks[0].activeCues[0].text"))
        .isEqualTo("At ten past nine the bud gives way.");
  }

  @InTurn(12)
  @Test
  void thePosterIsTheFrameThatWasPicked(Api api, Page page, @TempDir Path folder)
      throws IOException, InterruptedException {
    String id = page(api, Values.NONE, OWN);
    Bench bench = Bench.open(page, api, id, "fill", "clip-0");
    bench.button("This item: A bloom").click();
    bench.button("Poster from a frame").click();
    Locator scrubber = page.getByLabel("Place in the clip, in seconds");
    PlaywrightAssertions.assertThat(scrubber).isEnabled();
    scrubber.fill("4");
    bench.button("Take this frame").click();
    PlaywrightAssertions.assertThat(page.locator("dialog[open]")).hasCount(0);
    bench.saved();
    String poster =
        api.document(id).piece("film").items().getFirst().values().get(ItemSettings.PICTURE);
    assertThat(poster).startsWith("bloom-at-4");
    BufferedImage taken =
        Objects.requireNonNull(
            ImageIO.read(
                new ByteArrayInputStream(
                    api.get("/api/sites/velluta/media/" + poster + "/file").bytes())));
    assertThat(taken.getWidth()).isEqualTo(960);

    // The same frame, and another one, as the reference decoder has them.
    Path clip = folder.resolve("bloom.mp4");
    Files.write(clip, api.get("/api/sites/velluta/media/bloom/file").bytes());
    assertThat(apart(taken, frame(clip, "4.0"))).isLessThan(6);
    assertThat(apart(taken, frame(clip, "2.5"))).isGreaterThan(8);
  }

  private static BufferedImage frame(Path clip, String at)
      throws IOException, InterruptedException {
    Path out = clip.resolveSibling("frame-" + at + ".png");
    Process process =
        new ProcessBuilder(
                "ffmpeg",
                "-v",
                "error",
                "-i",
                clip.toString(),
                "-ss",
                at,
                "-frames:v",
                "1",
                out.toString())
            .start();
    assertThat(process.waitFor()).isZero();
    return Objects.requireNonNull(ImageIO.read(out.toFile()));
  }

  /** How far two pictures are apart, as the mean over all pixels and channels, of 255. */
  private static double apart(BufferedImage one, BufferedImage other) {
    double sum = 0;
    for (int y = 0; y < one.getHeight(); y += 3) {
      for (int x = 0; x < one.getWidth(); x += 3) {
        for (int shift = 0; shift <= 16; shift += 8) {
          sum += Math.abs((one.getRGB(x, y) >> shift & 255) - (other.getRGB(x, y) >> shift & 255));
        }
      }
    }
    return sum / (3.0 * (one.getWidth() / 3) * (one.getHeight() / 3));
  }

  /** Slides with a clip under their words, the second slide without. */
  private static String slides(Api api) {
    Values lit =
        Values.NONE
            .with(ItemSettings.PICTURE, Values.ALL, "lamp-walk")
            .with(ItemSettings.GROUND_CLIP, Values.ALL, "rain")
            .with(ItemSettings.GROUND_CLIP_2, Values.ALL, "rain-webm")
            .with(ItemSettings.HEADING, Values.ALL, "Lamps");
    Values still = Values.NONE.with(ItemSettings.HEADING, Values.ALL, "Nothing moves");
    var slider =
        new Slider("slides", Values.NONE, List.of(new Item("lit", lit), new Item("dark", still)));
    var page =
        new giostra.core.page.Page(
            "page",
            Values.NONE.with(PageSettings.TITLE, Values.ALL, "Slides"),
            List.of(
                new Section(
                    "one",
                    Values.NONE.with(SectionSettings.SPACE_BELOW, "desktop", Length.px(600)),
                    List.of(slider))));
    return api.publish(api.newPage("velluta", new Document(api.document(Api.DEMO).site(), page)));
  }

  private static final String MOVES = "() => !document.querySelector('.g-moving').paused";
  private static final String RESTS = "() => document.querySelector('.g-moving').paused";

  /** Source: WCAG 2.2, 2.2.2 "Pause, Stop, Hide": there is a way to pause what moves by itself. */
  @Test
  void aMovingGroundPlaysInViewAndCanBePaused(Api api, Page page) {
    open(page, slides(api));
    page.waitForFunction(MOVES);
    page.waitForFunction(
        "() => getComputedStyle(document.querySelector('.g-moving')).opacity === '1'");
    assertThat(video(page, "v.muted + ' ' + v.loop + ' ' + v.playsInline + ' ' + v.ariaHidden"))
        .isEqualTo("true true true true");
    Locator hold = page.locator(".g-hold");
    assertThat(hold.getAttribute("aria-label")).isEqualTo("Pause");
    assertThat(hold.boundingBox().width).isGreaterThanOrEqualTo(44);
    hold.focus();
    page.keyboard().press("Enter");
    page.waitForFunction(RESTS);
    assertThat(hold.getAttribute("aria-label")).isEqualTo("Play");
    hold.click();
    page.waitForFunction(MOVES);
    // On the next slide it is out of view, and so it is further down the page.
    page.locator(".g-next").click();
    page.waitForFunction(RESTS);
    page.locator(".g-prev").click();
    page.waitForFunction(MOVES);
    page.setViewportSize(1280, 400);
    page.evaluate("() => window.scrollTo(0, document.documentElement.scrollHeight)");
    page.waitForFunction(RESTS);
  }

  @Test
  void aMovingGroundLeavesItsPictureForThoseWhoAskForLess(Api api, Chromium.Open chromium) {
    String address = slides(api);
    Page calm =
        chromium.page(new Browser.NewContextOptions().setReducedMotion(ReducedMotion.REDUCE));
    open(calm, address);
    calm.waitForTimeout(600);
    assertThat(video(calm, "v.paused + ' ' + v.currentTime + ' ' + getComputedStyle(v).display"))
        .isEqualTo("true 0 none");
    assertThat(calm.locator(".g-hold").isVisible()).isFalse();
    Page plain = chromium.page(new Browser.NewContextOptions().setJavaScriptEnabled(false));
    plain.navigate(address);
    assertThat(plain.locator(".g-hold").isVisible()).isFalse();
    assertThat(plain.locator(".g-moving").evaluate("v => getComputedStyle(v).opacity"))
        .isEqualTo("0");
    assertThat(plain.locator(".g-shot > img").isVisible()).isTrue();
  }

  @Test
  void aPictureElsewhereIsLetInByThePolicyAndItsPlaceIsKept(Api api, Page page) {
    String far = api.falena() + "/thumbs/moths.jpg";
    String remote = api.remotePicture(far);
    Values values = hosted(api, "moths").with(ItemSettings.PICTURE, Values.ALL, remote);
    var asked = new ArrayList<String>();
    var said = new ArrayList<String>();
    page.onRequest(request -> asked.add(request.url()));
    page.onConsoleMessage(message -> said.add(message.text()));
    open(page, api.publish(page(api, Values.NONE, values)));
    page.waitForFunction(
        "() => { const i = document.querySelector('.g-place img'); return i && i.complete }");
    assertThat(asked).contains(far);
    assertThat(said).noneMatch(text -> text.contains("Content Security Policy"));
    assertThat(page.locator(".g-place img").getAttribute("width")).isNull();
    // Nothing of the place hangs on the picture: 16 to 9 is what is kept for a hosted clip.
    var box = page.locator(".g-place").boundingBox();
    assertThat(box.height / box.width).isBetween(0.562, 0.563);
  }
}
