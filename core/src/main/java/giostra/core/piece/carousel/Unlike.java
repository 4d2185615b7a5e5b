package giostra.core.piece.carousel;

import giostra.core.layout.TrackBand;
import giostra.core.layout.TrackLayout;
import giostra.core.page.Edit;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.PieceSettings;
import giostra.core.page.TrackSettings;
import giostra.core.piece.carousel.CarouselSettings.Card;
import giostra.core.snag.Extent;
import giostra.core.snag.Looked;
import giostra.core.snag.Measure;
import giostra.core.snag.Rule;
import giostra.core.snag.Said;
import giostra.core.snag.Snag;
import giostra.core.value.RichText;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Quotations in view together of which one says many times what another does: the short one stands
 * in a card that is nearly empty. A hint, no more; that it is four times and eight lines is ours,
 * no source.
 */
final class Unlike {
  private static final double TIMES = 4;

  /** About eight lines of a card, in characters. */
  private static final int MORE = 240;

  /** Fewer words are hardly a quotation any more. */
  private static final int LEAST_WORDS = 12;

  /** Two that are in view together. */
  private record Pair(Item longer, int most, int least) {}

  private Unlike() {}

  static List<Snag> of(Carousel piece, Looked at) {
    if (piece.values().get(CarouselSettings.CARD) != Card.QUOTATION) {
      return List.of();
    }
    return TrackLayout.of(at.document(), piece, at.scrollbar()).bands().stream()
        .flatMap(track -> worst(piece, track).map(pair -> snag(piece, track, pair)).stream())
        .toList();
  }

  /** The most unlike of those that any stop shows; in rows, of each row. */
  private static Optional<Pair> worst(Carousel piece, TrackBand track) {
    List<Item> items = track.on().stream().map(piece.onShow()::get).toList();
    List<Integer> lengths = items.stream().map(item -> said(piece, item).length()).toList();
    int together = Math.min(track.view(), items.size());
    Pair worst = null;
    double times = TIMES;
    int step = track.all() ? together : 1;
    for (int from = 0; from < items.size(); from += step) {
      int[] places = together(from, together, items.size(), track);
      if (places.length < 2) {
        continue;
      }
      int most = places[0];
      int least = places[0];
      for (int place : places) {
        most = lengths.get(place) > lengths.get(most) ? place : most;
        least = lengths.get(place) < lengths.get(least) ? place : least;
      }
      int shorter = Math.max(1, lengths.get(least));
      double now = (double) lengths.get(most) / shorter;
      if (now >= times && lengths.get(most) - shorter >= MORE) {
        times = now;
        worst = new Pair(items.get(most), lengths.get(most), shorter);
      }
    }
    return Optional.ofNullable(worst);
  }

  /** Which are in view from one on; going round, the first again after the last. */
  private static int[] together(int from, int count, int items, TrackBand track) {
    return IntStream.range(from, from + count)
        .filter(at -> at < items || track.loops())
        .map(at -> at % items)
        .toArray();
  }

  private static String said(Carousel piece, Item item) {
    String text = RichText.words(Fields.shown(piece, item, ItemSettings.TEXT));
    int most = piece.values().get(PieceSettings.SHORTEN);
    return most == 0 ? text : String.join(" ", Stream.of(text.split("\\s+")).limit(most).toList());
  }

  private static Snag snag(Carousel piece, TrackBand track, Pair pair) {
    var ways = new ArrayList<Snag.Fix>();
    int words = said(piece, pair.longer).split("\\s+").length;
    // As long as the short one may be for both to be at peace.
    int fewer = (int) Math.floor(words * (TIMES * pair.least - 1) / pair.most);
    int enough = Math.max(LEAST_WORDS, Math.max(fewer, words * MORE / pair.most));
    if (enough < words) {
      ways.add(
          Snag.Fix.of(
              Said.of("shorten-texts", "n", enough),
              new Edit.SetValue(piece.id(), PieceSettings.SHORTEN.id(), "", enough)));
    }
    if (!track.all()) {
      ways.add(
          Snag.Fix.of(
              Said.of("show", "n", 1),
              new Edit.SetValue(piece.id(), TrackSettings.IN_VIEW.id(), track.band().id(), 1)));
    }
    return Snag.of(
            Rule.UNLIKE,
            piece.id(),
            Extent.of(track.band()),
            Said.of("unlike", "band", track.band().name(), "most", pair.most, "least", pair.least))
        .of(pair.longer.id())
        .measured(Math.round(10.0 * pair.most / pair.least) / 10.0, TIMES, Measure.Unit.TIMES)
        .about(TrackSettings.IN_VIEW.id(), PieceSettings.SHORTEN.id())
        .withFixes(ways);
  }
}
