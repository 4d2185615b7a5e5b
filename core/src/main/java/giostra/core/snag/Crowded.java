package giostra.core.snag;

import giostra.core.layout.TrackBand;
import giostra.core.layout.TrackLayout;
import giostra.core.page.CarouselSettings;
import giostra.core.page.CarouselSettings.Card;
import giostra.core.page.Document;
import giostra.core.page.Piece;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A band with more quotations in view than are comfortable to read: a hint, no more. Three on a
 * desktop and one on a phone are the most that is usual; common practice, no source.
 *
 * @param band id of the band
 * @param message what was found and what is usual
 */
public record Crowded(String band, String message) {
  private static final int MOST = 3;
  private static final int MOST_ON_A_PHONE = 1;

  /** Phones are narrower than this, in px. Common practice, no source. */
  private static final double PHONE = 768;

  /** All such bands of a carousel, narrowest first. */
  public static List<Crowded> of(Document document, Piece any) {
    if (!(any instanceof Piece.Carousel piece)
        || piece.values().get(CarouselSettings.CARD) != Card.QUOTATION) {
      return List.of();
    }
    return TrackLayout.of(document, piece, 0).bands().stream()
        .flatMap(band -> found(band).stream())
        .toList();
  }

  private static Optional<Crowded> found(TrackBand in) {
    int most = in.band().below() <= PHONE ? MOST_ON_A_PHONE : MOST;
    if (in.asked() <= most) {
      return Optional.empty();
    }
    String message =
        String.format(
            Locale.ROOT,
            "%s: %d quotations in view are hard to read; %d at the most is usual",
            in.band().name(),
            in.asked(),
            most);
    return Optional.of(new Crowded(in.band().id(), message));
  }
}
