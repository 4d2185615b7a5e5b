package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import giostra.core.band.Bands;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.PageSettings;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.SectionSettings.Tone;
import giostra.core.page.Site;
import giostra.core.testing.InTurn;
import giostra.core.value.EdgeShape;
import giostra.core.value.EdgeShape.Point;
import giostra.core.value.Length;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import tools.jackson.databind.JsonNode;

/**
 * Edges of sections as Chromium paints them: where the one ground ends and the other begins, column
 * by column. Reference: the pixels of Debian's Chromium.
 */
@ExtendWith({Giostra.class, Chromium.class})
class EdgesJourney {
  private static final int HIGH = 60;

  /** A section between plain ones, each shape twice: as it is and mirrored. */
  private record Edged(String id, EdgeShape shape, boolean mirrored) {}

  private static List<Edged> all() {
    var all = new ArrayList<Edged>();
    for (EdgeShape shape : EdgeShape.values()) {
      all.add(new Edged("is-" + shape.ordinal(), shape, false));
      all.add(new Edged("turned-" + shape.ordinal(), shape, true));
    }
    return all;
  }

  private static Section section(String id, Values values) {
    var words = Values.NONE.with(BlockSettings.HEADING_TEXT, Values.ALL, "Moonflowers");
    return new Section(id, values, List.of(new Block.Heading("heading-" + id, words)));
  }

  private static Document page(PageSettings.Direction direction, boolean edges) {
    var sections = new ArrayList<Section>();
    for (Edged each : all()) {
      sections.add(section("plain-" + each.id(), Values.NONE));
      Values values = Values.NONE.with(SectionSettings.TONE, Values.ALL, Tone.DUSK);
      if (edges) {
        values =
            values
                .with(SectionSettings.EDGE_ABOVE, "desktop", each.shape())
                .with(SectionSettings.EDGE_BELOW, "desktop", each.shape())
                .with(SectionSettings.EDGE_ABOVE_MIRRORED, "desktop", each.mirrored())
                .with(SectionSettings.EDGE_BELOW_MIRRORED, "desktop", each.mirrored())
                .with(SectionSettings.EDGE_ABOVE_HEIGHT, "desktop", Length.px(HIGH))
                .with(SectionSettings.EDGE_BELOW_HEIGHT, "desktop", Length.px(HIGH));
      }
      sections.add(section(each.id(), values));
    }
    // The last one has none below, whatever it says.
    return new Document(
        new Site(Bands.INITIAL, Values.NONE),
        new giostra.core.page.Page(
            "page",
            Values.NONE
                .with(PageSettings.TITLE, Values.ALL, "Edges")
                .with(PageSettings.DIRECTION, Values.ALL, direction),
            List.copyOf(sections)));
  }

  private static BufferedImage shot(Page page) throws IOException {
    byte[] bytes = page.screenshot(new Page.ScreenshotOptions().setFullPage(true));
    return ImageIO.read(new ByteArrayInputStream(bytes));
  }

  private static final String BOXES =
      "() => Object.fromEntries([...document.querySelectorAll('main > section')].map((e) =>"
          + " [e.dataset.section, [e.getBoundingClientRect().top + scrollY, e.getBoundingClientRect().bottom + scrollY]]))";

  /** The highest and the lowest that a profile is within some px of a place. */
  private static double[] around(List<Point> profile, double at, double width) {
    double least = 1;
    double most = 0;
    for (int off = -16; off <= 16; off++) {
      double high = high(profile, Math.clamp((at + off / 10.0) / width, 0, 1));
      least = Math.min(least, high);
      most = Math.max(most, high);
    }
    return new double[] {least, most};
  }

  private static double high(List<Point> profile, double along) {
    for (int i = 1; i < profile.size(); i++) {
      Point from = profile.get(i - 1);
      Point to = profile.get(i);
      if (along <= to.along() && to.along() > from.along()) {
        double share = (along - from.along()) / (to.along() - from.along());
        return from.high() + share * (to.high() - from.high());
      }
    }
    return profile.getLast().high();
  }

  @InTurn(InTurn.EACH_CASE)
  @ParameterizedTest
  @EnumSource(PageSettings.Direction.class)
  void groundsMeetWhereTheShapeSays(
      PageSettings.Direction direction, Api api, Chromium.Open chromium) throws IOException {
    String edged = api.publish(api.newPage(page(direction, true)));
    String plain = api.publish(api.newPage(page(direction, false)));
    int compared = 0;
    for (int width : List.of(390, 1280)) {
      Page page = chromium.page(width, 800);
      page.navigate(plain);
      JsonNode without = Js.ask(page, BOXES, null);
      int high = Js.ask(page, "() => document.documentElement.scrollHeight", null).asInt();
      page.navigate(edged);
      // It takes no room.
      assertThat(Js.ask(page, BOXES, null)).isEqualTo(without);
      assertThat(Js.ask(page, "() => document.documentElement.scrollHeight", null).asInt())
          .isEqualTo(high);
      assertThat(Js.ask(page, "() => document.documentElement.scrollWidth", null).asInt())
          .isEqualTo(width);
      BufferedImage shown = shot(page);
      for (Edged each : all()) {
        boolean last = each.equals(all().getLast());
        compared += column(shown, without.path(each.id()), each, direction, last);
      }
    }
    assertThat(compared).isGreaterThan(3_000);
  }

  /** By how many levels of 255 two colours differ at the most. */
  private static int far(int one, int other) {
    return IntStream.of(0, 8, 16)
        .map(bits -> Math.abs((one >> bits & 0xff) - (other >> bits & 0xff)))
        .max()
        .orElseThrow();
  }

  private static int column(
      BufferedImage shown,
      JsonNode box,
      Edged each,
      PageSettings.Direction direction,
      boolean last) {
    boolean turned = each.mirrored() != (direction == PageSettings.Direction.RTL);
    List<Point> profile =
        each.shape() == EdgeShape.NONE
            ? List.of(new Point(0, 0), new Point(1, 0))
            : turned ? each.shape().mirrored() : each.shape().profile();
    int dusk = 0x11201d;
    int paper = shown.getRGB(1, 1) & 0xffffff;
    int compared = 0;
    for (int x = 4; x < shown.getWidth() - 4; x += 9) {
      double[] high = around(profile, x + .5, shown.getWidth());
      String what = each + " " + direction + " at " + x;
      // Between what it is at least and at most there is neither for sure.
      int above = (int) Math.floor(box.path(0).asDouble() - HIGH * high[1]) - 3;
      int within = (int) Math.ceil(box.path(0).asDouble() - HIGH * high[0]) + 2;
      assertThat(far(shown.getRGB(x, above), paper)).as("over " + what).isLessThanOrEqualTo(1);
      assertThat(far(shown.getRGB(x, within), dusk)).as("in " + what).isLessThanOrEqualTo(1);
      int below = (int) Math.ceil(box.path(1).asDouble() + HIGH * high[1]) + 2;
      int lowest = (int) Math.floor(box.path(1).asDouble() + HIGH * high[0]) - 3;
      if (!last) {
        assertThat(far(shown.getRGB(x, below), paper)).as("under " + what).isLessThanOrEqualTo(1);
        assertThat(far(shown.getRGB(x, lowest), dusk)).as("low in " + what).isLessThanOrEqualTo(1);
      }
      compared += 2;
    }
    return compared;
  }

  /** A picture is cut itself, and so much higher. */
  @InTurn(9)
  @Test
  void aPictureReachesOver(Api api, Chromium.Open chromium) throws IOException {
    Document demo = api.document(Api.DEMO);
    Values pictured =
        Values.NONE
            .with(SectionSettings.GROUND, Values.ALL, "lamp-walk")
            .with(SectionSettings.EDGE_ABOVE, "desktop", EdgeShape.STEPS)
            .with(SectionSettings.EDGE_BELOW, "desktop", EdgeShape.ARCH);
    Document document =
        new Document(
            demo.site(),
            demo.page()
                .holding(
                    List.of(
                        section("before", Values.NONE),
                        section("pictured", pictured),
                        section("after", Values.NONE))));
    Page page = chromium.page(1280, 900);
    page.navigate(api.publish(api.newPage(api.copyOfDemo(), document)));
    page.waitForFunction("() => document.querySelector('.g-ground').complete");
    JsonNode box = Js.ask(page, BOXES, null).path("pictured");
    JsonNode ground =
        Js.ask(
            page,
            "() => { const b = document.querySelector('.g-ground').getBoundingClientRect(); return [b.top + scrollY, b.bottom + scrollY] }",
            null);
    assertThat(ground.path(0).asDouble()).isEqualTo(box.path(0).asDouble() - 48);
    assertThat(ground.path(1).asDouble()).isEqualTo(box.path(1).asDouble() + 48);
    BufferedImage shown = shot(page);
    int paper = shown.getRGB(1, 1);
    int top = box.path(0).asInt();
    int bottom = box.path(1).asInt();
    // The first of five steps is at the foot of the edge, the last at its height.
    assertThat(shown.getRGB(60, top - 6)).isEqualTo(paper);
    assertThat(shown.getRGB(1240, top - 40)).isNotEqualTo(paper);
    assertThat(shown.getRGB(1240, top - 52)).isEqualTo(paper);
    assertThat(shown.getRGB(640, bottom + 40)).isNotEqualTo(paper);
    assertThat(shown.getRGB(640, bottom + 54)).isEqualTo(paper);
    assertThat(shown.getRGB(4, bottom + 30)).isEqualTo(paper);
  }
}
