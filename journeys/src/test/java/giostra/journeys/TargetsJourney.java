package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Frame;
import com.microsoft.playwright.Page;
import giostra.core.anatomy.PageParts;
import giostra.core.band.Bands;
import giostra.core.layout.PictureSizes;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.page.TrackSettings;
import giostra.core.piece.carousel.Carousel;
import giostra.core.snag.Rule;
import giostra.core.snag.Snag;
import giostra.core.snag.Snags;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What is pressed, measured in Chromium and looked at by axe (its rule for WCAG 2.2, 2.5.8). */
@ExtendWith({Giostra.class, Chromium.class})
class TargetsJourney {
  /**
   * The height of the highest button of each card, and of the one by itself, the least of them, px.
   */
  private static final String HIGH =
      """
      () => Object.fromEntries(['.g-item', '#g-alone'].map((of) => [of, Math.min(
          ...[...document.querySelectorAll(of)].map((one) => Math.max(
              ...[one, ...one.querySelectorAll('.g-button')].filter((e) => e.matches('.g-button'))
                  .map((e) => e.getBoundingClientRect().height))))]))
      """;

  private static final Map<String, String> NODES = Map.of("cards", ".g-item", "alone", "#g-alone");

  /** Cards with two buttons, and one by itself; their words fit into a line on any screen. */
  private static Document buttons() {
    var items = new ArrayList<Item>();
    for (int i = 1; i <= 3; i++) {
      items.add(
          new Item(
              "card-" + i,
              Values.NONE
                  .with(ItemSettings.HEADING, Values.ALL, "House " + i)
                  .with(ItemSettings.BUTTON, Values.ALL, "Go")
                  .with(ItemSettings.BUTTON_LINK.address(), Values.ALL, "#g-card-" + i)
                  .with(ItemSettings.BUTTON_2, Values.ALL, "Sit")
                  .with(ItemSettings.BUTTON_2_LINK.address(), Values.ALL, "#g-alone")));
    }
    var section =
        new Section(
            "section",
            Values.NONE,
            List.of(
                new Carousel("cards", Values.NONE.with(TrackSettings.IN_VIEW, "phone", 1), items),
                new Block.Button(
                    "alone",
                    Values.NONE
                        .with(BlockSettings.LABEL, Values.ALL, "All")
                        .with(BlockSettings.LINK.address(), Values.ALL, "#g-cards"))));
    return new Document(
        new Site(Bands.INITIAL, Values.NONE),
        new giostra.core.page.Page("page", Values.NONE, List.of(section)));
  }

  private static Edit set(String node, Part part, Property<?> property, String band, Object value) {
    return new Edit.SetStyle(node, part.key(property, State.REST), band, value);
  }

  private static List<Snag> found(Document document) {
    return Snags.of(document, PictureSizes.NONE, 0).stream()
        .filter(each -> each.rule() == Rule.LOW_TARGET)
        .toList();
  }

  /** Letters, leading and padding drawn at random, in two bands, some that grow. */
  private static List<Edit> drawn(Random random) {
    var edits = new ArrayList<Edit>();
    for (String node : List.of("cards", "alone")) {
      for (Part part : List.of(PageParts.BUTTON, PageParts.SECOND_BUTTON)) {
        if (node.equals("alone") && part.equals(PageParts.SECOND_BUTTON)) {
          continue;
        }
        for (String band : List.of("desktop", "phone")) {
          int least = 9 + random.nextInt(5);
          String size =
              random.nextBoolean()
                  ? least + random.nextInt(6) + "px"
                  : "clamp(" + least + "px,4px + " + (1 + random.nextInt(2)) + "vmin,22px)";
          edits.add(set(node, part, Property.TEXT_SIZE, band, size));
          edits.add(set(node, part, Property.LEADING, band, 1 + random.nextInt(8) / 10.0));
          edits.add(
              set(
                  node,
                  part,
                  Property.PADDING_ABOVE,
                  band,
                  random.nextBoolean()
                      ? random.nextInt(7) + "px"
                      : random.nextInt(6) / 10.0 + "em"));
          // No words break, and so no button is higher than a line.
          edits.add(set(node, part, Property.PADDING_SIDES, band, "2px"));
          edits.add(set(node, part, Property.PADDING_BELOW, band, random.nextInt(6) + "px"));
        }
      }
    }
    return edits;
  }

  @InTurn({2, 14})
  @Test
  void buttonsThatAreSaidToBeLowAreAndNoOthers(Api api, Page page) {
    var random = new Random(41);
    int told = 0;
    int looked = 0;
    for (int n = 0; n < Runs.of(5, 60); n++) {
      Document document = Edits.apply(buttons(), drawn(random)).document();
      List<Snag> found = found(document);
      told += found.size();
      var widths = new TreeSet<>(List.of(320, 390, 700, 900, 1280));
      found.forEach(each -> {
        widths.add(Math.max(Bands.NARROWEST, each.extent().widths().from() - 1));
        widths.add(each.extent().widths().from());
        widths.add(each.extent().widths().to());
        widths.add(Math.min(Bands.WIDEST, each.extent().widths().to() + 1));
      });
      Frame frame = Frames.open(page, api, api.publish(api.newPage("velluta", document)));
      JsonNode seen = Frames.swept(frame, HIGH, List.copyOf(widths));
      int at = 0;
      for (int width : widths) {
        JsonNode here = seen.get(at++);
        for (String node : NODES.keySet()) {
          boolean low =
              found.stream()
                  .filter(each -> each.place().node().equals(node))
                  .map(each -> each.extent().widths())
                  .anyMatch(each -> each.from() <= width && width <= each.to());
          looked++;
          // Boxes lie on a grid of 1/64 px.
          assertThat(here.path(NODES.get(node)).asDouble() + 1 / 64.0 < 24)
              .as("%s of page %d at %d px: %s", node, n, width, here)
              .isEqualTo(low);
        }
      }
      for (int way = 0; way < 2; way++) {
        Document mended = document;
        for (Snag each : found) {
          mended = Edits.apply(mended, each.fixes().get(way).edits()).document();
        }
        assertThat(found(mended)).isEmpty();
      }
    }
    System.out.printf("measured: %d low buttons told, looked at %d times%n", told, looked);
    assertThat(told).isGreaterThan(3);
  }

  /** What axe finds too small and too close on pages drawn at random is found by a rule of ours. */
  @InTurn({5, 17})
  @Test
  void whatAxeFindsTooSmallIsFound(Api api, Chromium.Open chromium) {
    var missed = new ArrayList<String>();
    int all = 0;
    int first = Integer.getInteger("giostra.first", 3);
    int pages = Integer.getInteger("giostra.pages", Runs.of(1, 200));
    for (int seed = first; seed < first + pages; seed++) {
      Document document = Wild.document(seed);
      String address = api.publish(api.newPage("velluta", document));
      List<Snag> found = Snags.of(document, PictureSizes.NONE, 0);
      for (int width : new int[] {390, 1280}) {
        Page page = chromium.page(width, 800);
        page.navigate(address);
        page.waitForFunction(
            "() => [...document.querySelectorAll('[data-piece]')].every((e) => 'live' in e.dataset)");
        for (JsonNode piece : Axe.tooSmall(page)) {
          all++;
          boolean told =
              found.stream()
                  .filter(each -> each.rule() == Rule.NO_ROOM || each.rule() == Rule.LOW_TARGET)
                  .filter(each -> each.place().node().equals(piece.asString()))
                  .map(each -> each.extent().widths())
                  .anyMatch(each -> each.from() <= width && width <= each.to());
          if (!told) {
            missed.add(piece.asString() + " of page " + seed + " at " + width + " px");
          }
        }
        page.context().close();
      }
    }
    System.out.printf("measured: axe finds %d too small, not told %s%n", all, missed);
    assertThat(all).isPositive();
    assertThat(missed).isEmpty();
  }
}
