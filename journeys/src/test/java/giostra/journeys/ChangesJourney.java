package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ScreenshotAnimations;
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
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.core.value.Change;
import giostra.core.value.Change.Manner;
import giostra.core.value.PickKind;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * How one slide gives way to the next, by pixels: each manner begins at the one and ends at the
 * other, whichever way it goes and one reads; and what is drawn at a time is what a page shows that
 * was left to itself until then.
 */
@ExtendWith({Giostra.class, Chromium.class})
class ChangesJourney {
  private static final String CLOCKWORK = Js.file("clockwork.js");

  /** Of 255, by which a pixel may differ, and of all pixels those that may differ by more. */
  private static final int NEAR = 8;

  private static final double FEW = 0.001;

  /** From a stop to another: on, back, and over the join. */
  private static final int[][] WAYS = {{0, 1}, {1, 0}, {4, 0}};

  /** What has no side is the same whichever way one reads or goes; of those that have, some. */
  private static int[][] ways(Manner manner, String direction) {
    if (Runs.deep()) {
      return WAYS;
    }
    if (direction.equals("rtl")) {
      return manner == Manner.PUSH ? new int[][] {WAYS[0]} : new int[0][];
    }
    return manner.sided()
        ? new int[][] {WAYS[0], WAYS[1]}
        : manner == Manner.MOVE ? WAYS : new int[][] {WAYS[0]};
  }

  private static Document slider(String direction, Edit... more) {
    var edits =
        new ArrayList<Edit>(
            List.of(
                new Edit.SetValue("a", "height", "desktop", "240px"),
                new Edit.SetValue("a", "endless", "desktop", true),
                new Edit.SetValue("a", "arrows", "desktop", "none"),
                new Edit.SetValue("a", "marks", "desktop", "none"),
                new Edit.SetValue("a-2", "ground", "", "dusk"),
                new Edit.SetValue("a-2", "picture", "", ""),
                new Edit.SetValue("a-5", "picture", "", "water-hall"),
                new Edit.SetValue("page", "direction", "", direction)));
    edits.addAll(List.of(more));
    return Edits.apply(Subjects.page("slider", List.of("a")), edits).document();
  }

  private static Page open(Api api, Chromium.Open chromium, Document document) {
    Page page = chromium.page(900, 600);
    page.navigate(api.publish(api.newPage("velluta", document)));
    page.waitForSelector("[data-piece=a][data-live]");
    // A second time, with fonts and pictures at hand.
    page.evaluate(
        "() => Promise.all([...document.images].map((i) => { i.loading = 'eager'; return i.decode().catch(() => {}) }))");
    page.reload();
    page.waitForSelector("[data-piece=a][data-live]");
    page.evaluate(
        "() => Promise.all([...document.images].map((i) => { i.loading = 'eager'; return i.decode().catch(() => {}) }))");
    return page;
  }

  private static void show(Page page, Map<String, ?> at) {
    page.evaluate("(at) => document.querySelector('[data-piece=a]').giostra.show(at)", at);
  }

  private static byte[] shot(Page page) {
    Locator view = page.locator("[data-piece=a] .g-view");
    return view.screenshot(
        new Locator.ScreenshotOptions().setAnimations(ScreenshotAnimations.ALLOW));
  }

  /** The share of pixels that differ by more than a trace. */
  private static double different(byte[] left, byte[] right) {
    return different(picture(left), picture(right));
  }

  private static BufferedImage picture(byte[] png) {
    try {
      return ImageIO.read(new ByteArrayInputStream(png));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static double different(BufferedImage a, BufferedImage b) {
    assertThat(a.getWidth()).isEqualTo(b.getWidth());
    assertThat(a.getHeight()).isEqualTo(b.getHeight());
    int wrong = 0;
    var one = new int[a.getWidth()];
    var other = new int[a.getWidth()];
    for (int y = 0; y < a.getHeight(); y++) {
      a.getRGB(0, y, one.length, 1, one, 0, one.length);
      b.getRGB(0, y, one.length, 1, other, 0, one.length);
      for (int x = 0; x < one.length; x++) {
        boolean far = false;
        for (int shift = 0; shift <= 16; shift += 8) {
          far |= Math.abs((one[x] >> shift & 255) - (other[x] >> shift & 255)) > NEAR;
        }
        wrong += far ? 1 : 0;
      }
    }
    return (double) wrong / (a.getWidth() * a.getHeight());
  }

  @InTurn(22)
  @Test
  void everyMannerBeginsAtTheOneAndEndsAtTheOther(Api api, Chromium.Open chromium) {
    var wrong = new ArrayList<String>();
    for (String direction : List.of("ltr", "rtl")) {
      Page page =
          open(
              api,
              chromium,
              slider(direction, new Edit.SetValue("a", "changes", "desktop", "fade")));
      List<BufferedImage> still = new ArrayList<>();
      for (int stop = 0; stop < 5; stop++) {
        show(page, Map.of("stop", stop));
        still.add(picture(shot(page)));
      }
      assertThat(different(still.get(0), still.get(1))).isGreaterThan(0.05);
      for (Manner manner : Manner.values()) {
        // What has no side is the same in both directions.
        if (!Runs.deep() && direction.equals("rtl") && !manner.sided() && manner != Manner.MOVE) {
          continue;
        }
        Change change = Change.of(manner);
        for (int[] way : ways(manner, direction)) {
          boolean back = way[1] < way[0] && way[0] == 1;
          for (double share : new double[] {0, 0.5, 1}) {
            show(
                page,
                Map.of(
                    "stop",
                    way[0],
                    "next",
                    way[1],
                    "back",
                    back,
                    "share",
                    share,
                    "way",
                    List.of(
                        PickKind.word(manner),
                        "end",
                        (double) change.time().toMillis(),
                        change.easing().css())));
            String where = manner + " " + direction + " " + Arrays.toString(way) + " at " + share;
            BufferedImage seen = picture(shot(page));
            double begins = different(seen, still.get(way[0]));
            double ends = different(seen, still.get(way[1]));
            boolean cut = manner == Manner.CUT;
            if (share == 0 && !cut && begins > FEW) {
              wrong.add(where + " differs from the one by " + begins);
            }
            if ((share == 1 || cut) && ends > FEW) {
              wrong.add(where + " differs from the other by " + ends);
            }
            if (share == 0.5 && !cut && Math.min(begins, ends) < 0.01) {
              wrong.add(where + " is no change: " + begins + ", " + ends);
            }
          }
        }
      }
      // Nothing is left of it when time is let go.
      page.evaluate("() => document.querySelector('[data-piece=a]').giostra.show(undefined)");
      assertThat(
              page.evaluate(
                  """
                  () => [document.getAnimations().length,
                      ...[...document.querySelectorAll('.g-item')].map((i) => i.style.zIndex
                          + i.style.mixBlendMode)].join('')
                  """))
          .isEqualTo("0");
    }
    assertThat(wrong).isEmpty();
  }

  /** Backwards as forwards, mid-change too, with words that come in one after another. */
  @InTurn(11)
  @Test
  void whatIsDrawnAtATimeIsWhatAPageShowsThatWasLeftToItself(Api api, Chromium.Open chromium) {
    Document document =
        slider(
            "ltr",
            new Edit.SetValue("a", "movesItself", "desktop", true),
            new Edit.SetValue("a", "rest", "desktop", "2s"),
            new Edit.SetValue("a", "changes", "desktop", "push 1s, zoom, fade 0.8s linear"),
            new Edit.SetValue("a", "wordsCome", "desktop", "rise"),
            new Edit.SetValue("a", "wordsBeat", "desktop", "0.3s"));
    var track = (Tracked) document.piece("a");
    Score score = Pacing.of(document, track, TrackLayout.of(document, track, 0).at(900)).score();
    long[] times = {400, 2304, 2704, 3104, 3600, 5248, 5600, 8144, 12_896, 17_344};
    int count = Runs.of(6, times.length);
    List<Stretch> trace = Trace.of(score, Visit.none(), 20_000);
    Page left = open(api, chromium, document);
    Js.ask(left, CLOCKWORK, "a");
    var shots = new ArrayList<byte[]>();
    for (int i = 0; i < count; i++) {
      left.evaluate("(ms) => window.clockwork.to(ms)", (double) times[i]);
      shots.add(shot(left));
    }
    Page drawn = open(api, chromium, document);
    var wrong = new ArrayList<String>();
    for (int i = count - 1; i >= 0; i--) {
      long ms = times[i];
      Stretch at = trace.stream().filter(each -> ms < each.to()).findFirst().orElseThrow();
      if (at.phase() == Phase.CHANGES) {
        show(
            drawn,
            Map.of(
                "stop",
                at.stop(),
                "next",
                at.next(),
                "way",
                at.way(),
                "back",
                at.back(),
                "share",
                (double) (ms - at.from()) / (at.to() - at.from())));
      } else {
        show(
            drawn,
            at.came() > 0
                ? Map.of("stop", at.stop(), "since", (double) (ms - at.came()))
                : Map.of("stop", at.stop()));
      }
      double far = different(shot(drawn), shots.get(i));
      if (far > 0.004) {
        wrong.add(ms + " ms, " + at.phase() + ": " + far);
      }
    }
    assertThat(wrong).isEmpty();
  }
}
