package giostra.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Frame;
import com.microsoft.playwright.Page;
import giostra.core.band.Viewport;
import giostra.core.layout.GridBand;
import giostra.core.layout.TrackReading;
import giostra.core.page.Document;
import giostra.core.page.Gridded;
import giostra.core.page.Piece;
import giostra.core.page.Tracked;
import giostra.core.testing.InTurn;
import giostra.server.testing.Api;
import giostra.server.testing.Giostra;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/**
 * Widths of items as the engine has them against the boxes that Chromium lays out, for pieces in
 * panels and columns, three levels deep, and for the grids of flip boxes and counters.
 */
@ExtendWith({Giostra.class, Chromium.class})
class NestedGeometryJourney {
  private static final double HAIR = 1 / 64.0 + .03;

  @InTurn(InTurn.EACH_CASE)
  @ParameterizedTest
  @ValueSource(strings = {"ltr", "rtl"})
  void itemsAreAsWideAsComputed(String direction, Api api, Chromium.Open chromium) {
    Document document = Nested.document(direction);
    String id = api.newPage(document);
    String address = api.publish(id);
    // Its site has the document's own bands and widths.
    Document there = api.document(id);
    Page page = chromium.page(new Browser.NewContextOptions().setViewportSize(1980, 860), true);
    Frame frame = Frames.open(page, api, address);
    double scrollbar = Frames.scrollbar(frame);
    var off = new ArrayList<String>();
    int compared = 0;
    List<Integer> widths = Frames.widths(40);
    JsonNode all = Frames.swept(frame, SHOWN, widths);
    for (int at = 0; at < widths.size(); at++) {
      for (Piece piece : there.pieces()) {
        Optional<Double> computed = computed(there, piece, widths.get(at), scrollbar);
        double shown = all.get(at).path(piece.id()).asDouble();
        if (computed.isPresent() && shown > 0) {
          compared++;
          if (Math.abs(computed.get() - shown) > HAIR) {
            off.add(
                "%s at %d: computed %.3f, shown %.3f"
                    .formatted(piece.id(), widths.get(at), computed.get(), shown));
          }
        }
      }
    }
    assertThat(compared).as("widths compared").isGreaterThan(350);
    assertThat(off).isEmpty();
  }

  /** Width of the first item that shows, by piece; 0 where none does. */
  private static final String SHOWN =
      """
      () => Object.fromEntries([...document.querySelectorAll('[data-piece]')].map((piece) => {
        const item = piece.querySelector('.g-item, .g-box, .g-figure');
        const own = item && item.closest('[data-piece]') === piece
            && item.checkVisibility({ visibilityProperty: true });
        return [piece.dataset.piece, own ? item.getBoundingClientRect().width : 0];
      }))
      """;

  private static Optional<Double> computed(
      Document document, Piece piece, double width, double scrollbar) {
    return switch (piece) {
      case Tracked track -> {
        try {
          yield Optional.of(
              TrackReading.of(document, track, new Viewport(width, 800, scrollbar, 1)).item());
        } catch (giostra.core.value.Refused noRoom) {
          yield Optional.empty();
        }
      }
      case Gridded rows ->
          GridBand.of(document, rows, scrollbar).stream()
              .filter(b -> b.band().holds(width))
              .map(b -> b.item().at(width))
              .findFirst()
              // A column that its gaps leave no room for.
              .filter(item -> item > 1);
      default -> Optional.empty();
    };
  }
}
