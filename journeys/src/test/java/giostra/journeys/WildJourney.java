package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Frame;
import giostra.core.layout.Containers;
import giostra.core.layout.GridBand;
import giostra.core.layout.PictureSizes;
import giostra.core.layout.TrackLayout;
import giostra.core.page.Document;
import giostra.core.page.Gridded;
import giostra.core.page.Item;
import giostra.core.page.Piece;
import giostra.core.page.Tracked;
import giostra.core.snag.Rule;
import giostra.core.snag.Snag;
import giostra.core.snag.Sweep;
import giostra.core.testing.InTurn;
import giostra.core.testing.Runs;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/**
 * Pages drawn without mercy, as the engine has them against Chromium: widths of pieces and of what
 * is in them, heights, and whether the page scrolls sideways. A page is drawn from its number:
 * {@code -Dgiostra.first} and {@code -Dgiostra.pages} say which.
 */
@ExtendWith({Giostra.class, Chromium.class})
class WildJourney {
  private static final int FIRST = Integer.getInteger("giostra.first", 1);
  private static final int PAGES = Integer.getInteger("giostra.pages", Runs.of(1, 70));

  /** What has less room, px, is found to have none, and its overflow is no promise of ours. */
  private static final double LEAST = 24;

  /** The width of each piece and of its first item, 0 of what does not show; those of the page. */
  private static final String WIDTHS =
      """
      () => {
        const seen = {};
        const width = (element) => element?.checkVisibility({ visibilityProperty: true })
            ? element.getBoundingClientRect().width : 0;
        for (const piece of document.querySelectorAll('[data-piece]')) {
          const item = [...piece.querySelectorAll('.g-item, .g-box, .g-figure, .g-clip')]
              .find((each) => each.closest('[data-piece]') === piece);
          seen[piece.dataset.piece] = [width(piece), width(item)];
        }
        seen[''] = [document.documentElement.scrollWidth, document.documentElement.clientWidth];
        return seen;
      }
      """;

  /** What sticks out of the page: those of which nothing that they hold does so. */
  private static final String STICKS =
      """
      () => {
        const { left, right } = document.body.getBoundingClientRect();
        const out = (e) => {
          const box = e.getBoundingClientRect();
          return box.width > 1 && e.checkVisibility() && (box.left < left - 1 || box.right > right + 1);
        };
        return [...document.querySelectorAll('body *')]
            .filter((e) => out(e) && ![...e.children].some(out) && !e.closest('.g-view'))
            .map((e) => `${e.tagName} in ${e.parentElement.className}, ${e.getBoundingClientRect().width.toFixed()} of ${e.closest('[data-piece]')?.getBoundingClientRect().width.toFixed()} px, of ${e.closest('[data-piece]')?.dataset.piece}`)
            .slice(0, 3).join();
      }
      """;

  private final List<String> off = new ArrayList<>();
  private final List<String> unknown = new ArrayList<>();
  private int compared;
  private int sideways;
  private long high;
  private double highEqual;
  private int broken;
  private int brokenEqual;

  @InTurn(18)
  @Test
  void whatIsShownIsWhatWasComputed(Api api, Chromium.Open chromium) {
    PictureSizes pictures = Heightened.sizes(api);
    Wild.each(
        api,
        chromium,
        FIRST,
        PAGES,
        (seed, document, frame) -> compare(seed, document, pictures, frame));
    double widths = 100.0 * (compared - off.size()) / compared;
    // A word that breaks is told apart, and counts all the same.
    double heights = 100.0 * (highEqual + brokenEqual) / (high + broken);
    System.out.printf(
        "wild: %d pages from %d: widths %.3f %% of %d; heights %.3f %% of %d,"
            + " of these %d of %d where a word breaks; sideways at %d widths,"
            + " %d of them not foretold; %s %s%n",
        PAGES,
        FIRST,
        widths,
        compared,
        heights,
        high + broken,
        brokenEqual,
        broken,
        sideways,
        unknown.size(),
        unknown,
        off.stream().limit(5).toList());
    assertThat(widths).as("widths (%%), off: %s", off).isGreaterThanOrEqualTo(99.9);
    assertThat(heights).as("heights within 1 px (%%)").isGreaterThanOrEqualTo(99.5);
    assertThat(unknown).as("scrolls sideways, and no finding says so").isEmpty();
  }

  private void compare(long seed, Document document, PictureSizes pictures, Frame frame) {
    List<Integer> widths = Frames.widths(Runs.of(120, 64));
    double scrollbar = Frames.scrollbar(frame);
    JsonNode all = Frames.swept(frame, WIDTHS, widths);
    List<Snag> tight =
        new Sweep()
            .of(document, pictures, scrollbar).stream()
                .filter(snag -> snag.rule() == Rule.NO_ROOM)
                .toList();
    for (int at = 0; at < widths.size(); at++) {
      int width = widths.get(at);
      JsonNode whole = all.get(at).path("");
      if (whole.get(0).asDouble() > whole.get(1).asDouble()) {
        sideways++;
        if (tight.stream().noneMatch(snag -> snag.from() <= width && width <= snag.to())) {
          JsonNode out = Frames.swept(frame, STICKS, List.of(width)).get(0);
          unknown.add("%d at %d: %s".formatted(seed, width, out.asString()));
        }
      }
      for (Piece piece : document.pieces()) {
        JsonNode seen = all.get(at).path(piece.id());
        String what = "%d: %s at %d".formatted(seed, piece.id(), width);
        double hair = hair(document, piece);
        equal(what, outer(document, piece, width, scrollbar), seen.get(0).asDouble(), hair);
        equal(
            what + ", item", item(document, piece, width, scrollbar), seen.get(1).asDouble(), hair);
      }
    }
    Heightened heights = Heightened.promised(document, pictures, frame, widths, 60);
    high += heights.compared();
    highEqual += heights.compared() * heights.share() / 100;
    brokenEqual += heights.broken()[0];
    broken += heights.broken()[1];
    System.out.printf("wild: %d: %s%n", seed, heights);
  }

  /** Engines cut lengths to 64ths of a px, in each box again. */
  private static double hair(Document document, Piece piece) {
    long levels = document.path(piece.id()).stream().filter(Item.class::isInstance).count();
    // Rows keep theirs a hair narrower, so that rounding sends none to the next row.
    return .05 + levels / 64.0 + (piece instanceof Tracked ? 0 : .02);
  }

  private void equal(String what, OptionalDouble computed, double shown, double hair) {
    if (computed.isEmpty() || shown == 0) {
      return;
    }
    compared++;
    if (Math.abs(computed.getAsDouble() - shown) > hair) {
      off.add("%s: computed %.3f, shown %.3f".formatted(what, computed.getAsDouble(), shown));
    }
  }

  private static OptionalDouble outer(
      Document document, Piece piece, double width, double scrollbar) {
    return document.bands().all().stream()
        .filter(band -> band.holds(width))
        .mapToDouble(band -> Containers.outer(document, piece, band, scrollbar).at(width))
        .filter(px -> px > LEAST)
        .findFirst();
  }

  private static OptionalDouble item(
      Document document, Piece piece, double width, double scrollbar) {
    return switch (piece) {
      case Tracked track ->
          OptionalDouble.of(TrackLayout.of(document, track, scrollbar).itemWidth().at(width))
              .stream()
              .filter(px -> px > LEAST)
              .findFirst();
      case Gridded rows ->
          GridBand.of(document, rows, scrollbar).stream()
              .filter(b -> b.band().holds(width))
              .mapToDouble(b -> b.item().at(width))
              .filter(px -> px > LEAST)
              .findFirst();
      default -> OptionalDouble.empty();
    };
  }
}
