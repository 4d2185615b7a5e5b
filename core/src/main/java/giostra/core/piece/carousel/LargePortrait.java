package giostra.core.piece.carousel;

import giostra.core.fit.Screen;
import giostra.core.layout.BlockFlows;
import giostra.core.layout.TrackBand;
import giostra.core.layout.TrackLayout;
import giostra.core.page.Edit;
import giostra.core.page.Item;
import giostra.core.piece.carousel.CarouselSettings.Card;
import giostra.core.snag.Extent;
import giostra.core.snag.Looked;
import giostra.core.snag.Measure;
import giostra.core.snag.Rule;
import giostra.core.snag.Runs;
import giostra.core.snag.Said;
import giostra.core.snag.Snag;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A portrait that is higher than twice the words it belongs to: what is said is beside a picture
 * then, and not the other way round. One that is no larger than two lines with a name is never too
 * large. A hint, no more; that it is twice, and the px, are ours, no source.
 */
final class LargePortrait {
  private static final double TIMES = 2;

  /** A usual portrait, px high: no words are too few for it. */
  private static final double USUAL = 96;

  /** A portrait and the words of its quotation, px high. */
  private record Large(Item item, double face, double words, double wide) {
    double times() {
      return face / words;
    }
  }

  /** A quotation in its card, whose border takes px. */
  private record Framed(Item item, QuotationFlow flow, double border) {}

  private final Carousel piece;
  private final TrackBand track;
  private final List<Framed> cards;

  private LargePortrait(Looked at, Carousel piece, TrackBand track) {
    this.piece = piece;
    this.track = track;
    var blocks = new BlockFlows(at.document(), track.band(), at.pictures(), at.scrollbar());
    this.cards =
        blocks.shown(piece).stream()
            .map(item ->
                new Framed(
                    item,
                    new QuotationFlow(blocks, piece, item),
                    blocks.part(item, CarouselParts.CARD).border().across()))
            .toList();
  }

  static List<Snag> of(Carousel piece, Looked at) {
    if (piece.values().get(CarouselSettings.CARD) != Card.QUOTATION) {
      return List.of();
    }
    return TrackLayout.of(at.document(), piece, at.scrollbar()).bands().stream()
        .flatMap(track -> new LargePortrait(at, piece, track).found().stream())
        .toList();
  }

  private List<Snag> found() {
    return Runs.worst(track.band(), this::large, Comparator.comparingDouble(Large::times)).stream()
        .map(run -> {
          Large most = run.worst();
          String setting = CarouselSettings.PICTURE_WIDTH.id();
          // As high as the words that it is largest beside, if that is not less than usual.
          double high = Math.max(USUAL, most.words);
          int enough = (int) Math.max(24, Math.floor(most.wide * high / most.face));
          String said =
              Said.of(
                  "large-portrait",
                  "px",
                  Math.round(most.face),
                  "words",
                  Math.round(most.words),
                  "from",
                  run.from(),
                  "to",
                  run.to());
          return Snag.of(
                  Rule.LARGE_PORTRAIT,
                  piece.id(),
                  Extent.of(run.from(), run.to(), track.band()),
                  said)
              .of(most.item.id())
              .of(CarouselParts.PORTRAIT)
              .about(setting, setting)
              .measured(Math.round(10 * most.times()) / 10.0, TIMES, Measure.Unit.TIMES)
              .withFixes(
                  List.of(
                      Snag.Fix.of(
                          Said.of("portrait-width", "px", enough),
                          new Edit.SetValue(
                              piece.id(), setting, track.band().id(), enough + "px"))));
        })
        .toList();
  }

  private Optional<Large> large(int width) {
    double wide = track.itemWidth().at(width);
    // Where there is no room at all, another rule says so.
    if (!(wide > 0)) {
      return Optional.empty();
    }
    var screen = new Screen(width, Screen.USUAL_HEIGHT);
    return cards.stream()
        .flatMap(card ->
            card.flow.portrait(wide - card.border, screen).stream()
                .map(faced -> new Large(card.item, faced.high(), faced.words(), faced.wide())))
        .filter(each -> each.words > 0 && each.face > USUAL && each.times() > TIMES)
        .max(Comparator.comparingDouble(Large::times));
  }
}
