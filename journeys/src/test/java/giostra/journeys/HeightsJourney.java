package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Frame;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ReducedMotion;
import giostra.core.page.Document;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Heights of cards, slides, faces, headings, panels and figures as the engine predicts them against
 * those that Chromium lays out, at every 16th width. Reference: Debian's Chromium, with classic
 * scrollbars, and zoomed to 110 %.
 */
@ExtendWith({Giostra.class, Chromium.class})
class HeightsJourney {
  /** Pieces of a kind on a varied page. */
  private static final int EACH = Runs.of(4, 6);

  /** Pages with a zoom; in a deep run the demo and drawn pages with both. */
  static Stream<Arguments> subjects() {
    return Stream.concat(
        Runs.inTurn(List.of(Arguments.of("demo", 1.1), Arguments.of("varied-1", 1.0))).stream(),
        Runs.deep()
            ? Stream.of(
                Arguments.of("nested", 1.0),
                Arguments.of("demo", 1.0),
                Arguments.of("varied-2", 1.1))
            : Stream.of());
  }

  @InTurn(1)
  @ParameterizedTest(name = "{0} at {1}")
  @MethodSource("subjects")
  void heightsAreThosePredicted(String subject, double zoom, Api api, Chromium.Open chromium) {
    String id =
        subject.equals("demo")
            ? Api.DEMO
            : api.newPage(
                "velluta",
                subject.equals("nested")
                    ? Nested.document("ltr")
                    : Varied.document(subject.charAt(subject.length() - 1), EACH));
    Document document = api.document(id);
    var options =
        new Browser.NewContextOptions()
            .setViewportSize(1980, 860)
            .setDeviceScaleFactor(zoom)
            // What has not come in yet is drawn smaller than it is.
            .setReducedMotion(ReducedMotion.REDUCE);
    Page page = chromium.page(options, true);
    String address = subject.equals("demo") ? api.at(Api.LIVE_DEMO) : api.publish(id);
    Frame frame = Frames.open(page, api, address);
    Heightened seen = Heightened.against(document, Heightened.sizes(api), frame, widths(zoom), 20);
    System.out.printf("heights: %s, zoom %s: %s%n", subject, zoom, seen);
    assertThat(seen.compared()).isGreaterThan(2000);
    assertThat(seen.lost()).as("parts that were not found").isEmpty();
    seen.shares()
        .forEach((part, each) ->
            assertThat(100.0 * each[0] / each[1])
                .as("%s within 1 px (%%), worst %s", part, seen.worst())
                .isGreaterThanOrEqualTo(98));
    assertThat(seen.share())
        .as("share within 1 px (%%), worst %s", seen.worst())
        .isGreaterThanOrEqualTo(99);
  }

  private static List<Integer> widths(double zoom) {
    return Frames.widths(Runs.of(24, 16)).stream().map(wide -> width(wide, zoom)).toList();
  }

  /** Zoomed in, a screen has fewer px; nobody's has fewer than 280. */
  private static int width(int wide, double zoom) {
    return Math.max(280, (int) Math.round(wide / zoom));
  }
}
