package giostra.core.snag;

import giostra.core.drive.Pacing;
import giostra.core.layout.TrackLayout;
import giostra.core.page.Tracked;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** One stop of something that moves by itself, in a band, while rules of time look at it. */
record Paced(Tracked piece, Pacing pacing, int stop) {
  /** How a rule of time looks at a stop. */
  @FunctionalInterface
  interface Look {
    Optional<Snag> at(Paced paced);
  }

  /** What is found of all stops in all bands; nothing of what does not move by itself. */
  static List<Snag> each(Looked at, Look look) {
    if (!(at.node() instanceof Tracked piece)) {
      return List.of();
    }
    return TrackLayout.of(at.document(), piece, 0).bands().stream()
        .flatMap(band -> {
          Pacing pacing = Pacing.of(at.document(), piece, band);
          return IntStream.range(0, pacing.movesItself() ? band.stops().count() : 0)
              .mapToObj(stop -> look.at(new Paced(piece, pacing, stop)))
              .flatMap(Optional::stream);
        })
        .toList();
  }

  /** A finding of it, at moments of the first round. */
  Snag snag(Rule rule, Extent.Times times, String message) {
    return Snag.of(rule, piece.id(), Extent.of(pacing.band()).at(times), message)
        .of(pacing.first(stop).id());
  }

  /** When it rests in the first round, in ms. */
  Extent.Times rest() {
    return pacing.firstRound().stream()
        .filter(each -> each.stop() == stop && each.next() == stop)
        .map(each -> new Extent.Times(each.from(), each.to()))
        .findFirst()
        .orElse(new Extent.Times(0, 0));
  }
}
