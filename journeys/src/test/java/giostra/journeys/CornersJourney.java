package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import giostra.core.band.Bands;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Item;
import giostra.core.page.PageSettings;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.piece.tabs.Tabs;
import giostra.core.piece.tabs.TabsParts;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import tools.jackson.databind.JsonNode;

/**
 * Corners of parts as Chromium paints them: each pixel of a panel is its ground's or that of what
 * it stands on, by the ellipses of CSS Backgrounds 3, 5.1 and 5.2, which give way to one another by
 * its 5.5 ("Overlapping Curves": all of them by f = min(L / S)). Reference: that standard's rule,
 * written here by itself, and the pixels of Debian's Chromium.
 */
@ExtendWith({Giostra.class, Chromium.class})
class CornersJourney {
  private static final int PANEL = 0xc02020;

  /** Values of four corners, from the one at top and start on around, as people write them. */
  private static List<String> drawn() {
    // Round, one, cut by half, and three that have no room beside one another.
    var all =
        new ArrayList<>(
            List.of(
                "24px", "40px 0 0 0", "50%", "400px", "200px 400px 0 600px", "90% 20px 80% 5%"));
    var random = new Random(20261201);
    for (int n = 0; n < Runs.of(6, 60); n++) {
      all.add(
          random
              .ints(4, 0, 3)
              .mapToObj(kind ->
                  switch (kind) {
                    case 0 -> "0";
                    case 1 -> random.nextInt(1, 300) + "px";
                    default -> random.nextInt(1, 100) + "%";
                  })
              .collect(Collectors.joining(" ")));
    }
    return all;
  }

  @InTurn(20)
  @ParameterizedTest
  @EnumSource(PageSettings.Direction.class)
  void cornersAreTheEllipsesOfTheStandard(PageSettings.Direction direction, Api api, Page page)
      throws IOException {
    List<String> all = drawn();
    var pieces = new ArrayList<Block>();
    for (int n = 0; n < all.size(); n++) {
      pieces.add(new Tabs("tabs-" + n, Values.NONE, List.of(new Item("item-" + n, Values.NONE))));
    }
    String id =
        api.newPage(
            new Document(
                new Site(Bands.INITIAL, Values.NONE),
                new giostra.core.page.Page(
                    "page",
                    Values.NONE
                        .with(PageSettings.TITLE, Values.ALL, "Corners")
                        .with(PageSettings.DIRECTION, Values.ALL, direction),
                    List.of(new Section("s", Values.NONE, List.copyOf(pieces))))));
    var edits = new ArrayList<Edit>();
    edits.add(set(Site.ID, Property.GROUND, "#c02020"));
    edits.add(set(Site.ID, Property.EDGE, "0"));
    for (int n = 0; n < all.size(); n++) {
      edits.add(set("tabs-" + n, Property.CORNERS, all.get(n)));
    }
    Api.Answer answer = api.edit(id, 0, edits.toArray(Edit[]::new));
    assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    page.navigate(api.publish(id));
    Js.rested(page);
    JsonNode boxes =
        Js.ask(
            page,
            """
            () => [...document.querySelectorAll('.g-panel')].map((panel, n) => {
              Object.assign(panel.style, { height: `${90 + 37 * (n % 5)}px`, width: `${140 + 61 * (n % 7)}px`,
                boxSizing: 'border-box', minHeight: '0', border: '0' });
              for (const each of panel.children) each.style.visibility = 'hidden';
              return panel;
            }).map((panel) => {
              const at = panel.getBoundingClientRect();
              return [at.left + scrollX, at.top + scrollY, at.width, at.height];
            })
            """,
            null);
    assertThat(boxes).hasSize(all.size());
    BufferedImage shot =
        ImageIO.read(
            new ByteArrayInputStream(
                page.screenshot(new Page.ScreenshotOptions().setFullPage(true))));
    long pixels = 0;
    var wrong = new ArrayList<String>();
    for (int n = 0; n < all.size(); n++) {
      double[] box = new double[4];
      for (int i = 0; i < 4; i++) {
        box[i] = boxes.path(n).path(i).asDouble();
      }
      double[][] radii = radii(all.get(n), box[2], box[3], direction == PageSettings.Direction.RTL);
      int off = 0;
      for (int y = (int) Math.ceil(box[1]) + 1; y < box[1] + box[3] - 2; y++) {
        for (int x = (int) Math.ceil(box[0]) + 1; x < box[0] + box[2] - 2; x++) {
          double depth = depth(x + .5 - box[0], y + .5 - box[1], box[2], box[3], radii);
          if (Math.abs(depth) < 1) {
            continue;
          }
          pixels++;
          off += (shot.getRGB(x, y) & 0xffffff) == PANEL == depth > 0 ? 0 : 1;
        }
      }
      if (off > 0) {
        wrong.add("%s in %s: %d px".formatted(all.get(n), Arrays.toString(box), off));
      }
    }
    System.out.printf(
        "measured: corners %s: %d boxes, %d pixels, wrong %s%n",
        direction, all.size(), pixels, wrong);
    assertThat(pixels).isGreaterThan(50_000);
    assertThat(wrong).isEmpty();
  }

  private static Edit set(String node, Property property, String value) {
    return new Edit.SetStyle(node, TabsParts.PANEL.key(property, State.REST), "desktop", value);
  }

  /** Both radii of each corner in px, from the top left one on around, after they gave way. */
  private static double[][] radii(String written, double width, double height, boolean rtl) {
    String[] said = written.split(" ");
    double[][] all = new double[4][];
    for (int n = 0; n < 4; n++) {
      // One for all, or one each; the start is at the right where one reads from there.
      String each = said.length == 1 ? said[0] : said[rtl ? n ^ 1 : n];
      double number = Double.parseDouble(each.replaceAll("px|%", ""));
      all[n] =
          each.endsWith("%")
              ? new double[] {number / 100 * width, number / 100 * height}
              : new double[] {number, number};
    }
    double f = 1;
    for (int n = 0; n < 4; n++) {
      boolean across = n % 2 == 0;
      double sum = all[n][across ? 0 : 1] + all[(n + 1) % 4][across ? 0 : 1];
      f = sum > 0 ? Math.min(f, (across ? width : height) / sum) : f;
    }
    for (double[] each : all) {
      each[0] *= f;
      each[1] *= f;
    }
    return all;
  }

  /** About how many px a point lies within the curve of its corner; far within where none is. */
  private static double depth(double x, double y, double width, double height, double[][] radii) {
    double depth = 9;
    for (int n = 0; n < 4; n++) {
      double fromSide = n == 0 || n == 3 ? x : width - x;
      double fromEnd = n < 2 ? y : height - y;
      double a = radii[n][0];
      double b = radii[n][1];
      if (fromSide < a && fromEnd < b) {
        double u = (a - fromSide) / a;
        double v = (b - fromEnd) / b;
        // The ellipse's own figure over its slope: the distance, near it.
        double slope = 2 * Math.hypot(u / a, v / b);
        depth = Math.min(depth, (1 - u * u - v * v) / slope);
      }
    }
    return depth;
  }
}
