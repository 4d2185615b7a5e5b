package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.fit.Screen;
import giostra.core.layout.PictureSizes;
import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.piece.carousel.Carousel;
import giostra.core.piece.slider.Slider;
import giostra.core.snag.Rule;
import giostra.core.snag.Snag;
import giostra.core.snag.Snags;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/**
 * Items of tracks that run down, held against Chromium: which of them take more than their share,
 * at the ends of what is said, one px beside them and anywhere.
 */
@ExtendWith({Giostra.class, Chromium.class})
class CutJourney {
  private static final String TEXT =
      "The doors are open from dusk until the last guest has gone, and the paths are lit as far as"
          + " the pond. Bring something warm, and somebody to lean on. ";

  /** By how many px what is in the items of each piece is higher than these, at the most. */
  private static final String HIGHER =
      """
      () => Object.fromEntries([...document.querySelectorAll('.g-piece[data-piece]')].map((piece) => {
        let most = -1e6;
        for (const item of piece.querySelectorAll('.g-item')) {
          if (item.hidden) continue;
          const within = item.firstElementChild;
          const share = item.getBoundingClientRect().height;
          const before = within.getAttribute('style');
          // As high as it is by itself: nothing asks it to fill its item.
          within.style.blockSize = 'auto';
          if (within.matches('.g-slide')) within.style.minBlockSize = '0';
          most = Math.max(most, within.getBoundingClientRect().height - share);
          if (before === null) within.removeAttribute('style'); else within.setAttribute('style', before);
        }
        return [piece.dataset.piece, most];
      }))
      """;

  private static Edit set(String node, String setting, Band band, Object value) {
    return new Edit.SetValue(node, setting, band.id(), value);
  }

  private static Item item(String id, Random random) {
    return new Item(
        id,
        Values.NONE
            .with(
                ItemSettings.HEADING,
                Values.ALL,
                random.nextBoolean() ? "Dusk" : "Four hundred lamps, and one of them is yours")
            .with(ItemSettings.NAME, Values.ALL, "Aurelia of the pond")
            .with(ItemSettings.TEXT, Values.ALL, TEXT.repeat(1 + random.nextInt(3)).strip()));
  }

  private static Document drawn(int count) {
    var random = new Random(20_261_201);
    var sections = new ArrayList<Section>();
    var edits = new ArrayList<Edit>();
    for (int n = 0; n < count; n++) {
      String id = "c-" + n;
      List<Item> items = IntStream.range(0, 4).mapToObj(i -> item(id + "-" + i, random)).toList();
      boolean slider = n % 3 == 0;
      sections.add(
          new Section(
              "s-" + n,
              Values.NONE,
              List.of(
                  slider
                      ? new Slider(id, Values.NONE, items)
                      : new Carousel(id, Values.NONE, items))));
      if (!slider) {
        edits.add(new Edit.SetValue(id, "card", "", n % 3 == 1 ? "quotation" : "picture"));
      }
      edits.add(
          new Edit.SetStyle(
              id,
              StyleKey.parse(
                  slider ? "slider.stand/rest/padding-above" : "carousel.card/rest/border"),
              "desktop",
              random.nextInt(9) + "px"));
      for (Band band : Bands.INITIAL.all()) {
        edits.add(set(id, "axis", band, "down"));
        edits.add(set(id, "arrows", band, List.of("beside", "below", "none").get(n % 3)));
        edits.add(
            set(id, slider ? "height" : "trackHeight", band, 150 + random.nextInt(700) + "px"));
        edits.add(set(id, "gap", band, random.nextInt(30) + "px"));
        if (!slider) {
          edits.add(set(id, "inView", band, 1 + random.nextInt(3)));
          edits.add(set(id, "peek", band, random.nextInt(2) * 20 + "px"));
        }
      }
    }
    var bare =
        new Document(
            new Site(Bands.INITIAL, Values.NONE),
            new giostra.core.page.Page("page", Values.NONE, sections));
    return Edits.apply(bare, edits).document();
  }

  private static List<Snag> cut(Document document, Piece piece) {
    return Snags.of(document, piece, PictureSizes.NONE, 0).stream()
        .filter(snag -> snag.rule() == Rule.CUT_OFF)
        .toList();
  }

  @InTurn(18)
  @Test
  void whatIsSaidToBeCutIsAndNothingElse(Api api, Chromium.Open chromium) {
    Document document = drawn(Runs.of(9, 60));
    Page page = chromium.page(1280, (int) Screen.USUAL_HEIGHT);
    page.navigate(api.publish(api.newPage(document)));
    page.waitForFunction(
        "() => [...document.querySelectorAll('[data-piece]')].every((e) => 'live' in e.dataset)");
    var widths = new TreeSet<Integer>(List.of(320, 390, 767, 768, 1023, 1024, 1280, 1900));
    for (Piece piece : document.pieces()) {
      for (Snag snag : cut(document, piece)) {
        widths.addAll(List.of(snag.from() - 1, snag.from(), snag.to(), snag.to() + 1));
      }
    }
    widths.removeIf(width -> width < Bands.NARROWEST || width > Bands.WIDEST);
    var wrong = new ArrayList<String>();
    int looked = 0;
    int found = 0;
    for (int width : widths) {
      page.setViewportSize(width, (int) Screen.USUAL_HEIGHT);
      JsonNode seen = Js.ask(page, HIGHER, null);
      for (Piece piece : document.pieces()) {
        double by = seen.path(piece.id()).asDouble();
        List<Snag> snags = cut(document, piece);
        boolean said = snags.stream().anyMatch(each -> each.from() <= width && width <= each.to());
        looked++;
        found += said ? 1 : 0;
        // About the px that nobody sees nobody can tell.
        if (said != by > 1 && Math.abs(by - 1) > 0.5) {
          wrong.add("%s at %d px: %.2f px, said %b".formatted(piece.id(), width, by, said));
        }
      }
    }
    System.out.printf(
        "measured: %d looks at items down tracks at %d widths, %d cut, wrong %s%n",
        looked, widths.size(), found, wrong);
    assertThat(found).isBetween(looked / 20, looked * 19 / 20);
    assertThat(wrong).isEmpty();
  }
}
