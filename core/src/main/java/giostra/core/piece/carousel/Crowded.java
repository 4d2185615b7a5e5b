package giostra.core.piece.carousel;

import giostra.core.layout.TrackBand;
import giostra.core.layout.TrackLayout;
import giostra.core.page.TrackSettings;
import giostra.core.piece.carousel.CarouselSettings.Card;
import giostra.core.snag.Extent;
import giostra.core.snag.Looked;
import giostra.core.snag.Measure;
import giostra.core.snag.Rule;
import giostra.core.snag.Said;
import giostra.core.snag.Snag;
import java.util.List;
import java.util.Optional;

/**
 * A band with more quotations in view than are comfortable to read: a hint, no more. Three on a
 * desktop and one on a phone are the most that is usual; common practice, no source.
 */
final class Crowded {
  private static final int MOST = 3;
  private static final int MOST_ON_A_PHONE = 1;

  /** Phones are narrower than this, in px. Common practice, no source. */
  private static final double PHONE = 768;

  private Crowded() {}

  /** All such bands of a carousel, narrowest first. */
  static List<Snag> of(Carousel piece, Looked at) {
    if (piece.values().get(CarouselSettings.CARD) != Card.QUOTATION) {
      return List.of();
    }
    return TrackLayout.of(at.document(), piece, 0).bands().stream()
        .flatMap(band -> found(piece, band).stream())
        .toList();
  }

  private static Optional<Snag> found(Carousel piece, TrackBand in) {
    int most = in.band().below() <= PHONE ? MOST_ON_A_PHONE : MOST;
    if (in.asked() <= most) {
      return Optional.empty();
    }
    return Optional.of(
        Snag.of(
                Rule.CROWDED,
                piece.id(),
                Extent.of(in.band()),
                Said.of("crowded", "band", in.band().name(), "n", in.asked(), "most", most))
            .measured(in.asked(), most, Measure.Unit.ITEMS)
            .about(TrackSettings.IN_VIEW.id(), TrackSettings.IN_VIEW.id()));
  }
}
