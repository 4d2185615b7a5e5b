package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.drive.Pacing;
import giostra.core.drive.Reading;
import giostra.core.layout.TrackBand;
import giostra.core.layout.TrackLayout;
import giostra.core.page.Document;
import giostra.core.page.DriveSettings;
import giostra.core.page.Edit;
import giostra.core.page.Item;
import giostra.core.page.Piece;
import giostra.core.snag.Snag.Fix;
import giostra.core.snag.Snag.Rule;
import giostra.core.tempo.Score;
import giostra.core.value.Kind;
import giostra.core.value.Require;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * What goes before it is read: stops that rest for less than their words take, words that come in
 * later than that.
 */
final class Hasty {
  /** Rests that are offered are whole tenths of a second. */
  private static final long GRAIN = 100;

  private final Piece.Tracked piece;
  private final Pacing pacing;
  private final List<Snag> found;

  private Hasty(Piece.Tracked piece, Pacing pacing, List<Snag> found) {
    this.piece = piece;
    this.pacing = pacing;
    this.found = found;
  }

  static List<Snag> of(Document document, Piece.Tracked piece) {
    var found = new ArrayList<Snag>();
    for (TrackBand band : TrackLayout.of(document, piece, 0).bands()) {
      Pacing pacing = Pacing.of(document, piece, band);
      if (pacing.movesItself()) {
        var hasty = new Hasty(piece, pacing, found);
        for (int stop = 0; stop < band.stops().count(); stop++) {
          hasty.stop(stop);
          hasty.words(stop);
        }
      }
    }
    return found;
  }

  private void stop(int stop) {
    long rests = pacing.rests(stop);
    long reads = pacing.reads(stop);
    if (rests >= reads) {
      return;
    }
    Item item = pacing.first(stop);
    int words = (int) Math.round(reads * Reading.WORDS_A_MINUTE / 60_000);
    add(
        Rule.HASTY,
        item,
        String.format(
            Locale.ROOT, "rests %s; its %d words take %s to read", said(rests), words, said(reads)),
        fixes(item, up(reads)));
  }

  private List<Fix> fixes(Item item, long rest) {
    var fixes = new ArrayList<Fix>();
    if (rest <= Score.MOST_REST) {
      fixes.add(
          new Fix(
              "rest " + said(rest),
              List.of(
                  new Edit.SetValue(item.id(), DriveSettings.OWN_REST.id(), "", seconds(rest)))));
    }
    boolean own = !item.values().get(DriveSettings.OWN_REST).isZero();
    if (!own && !pacing.byReading()) {
      fixes.add(
          new Fix(
              "rest as long as words take",
              List.of(
                  new Edit.SetValue(
                      piece.id(),
                      DriveSettings.RESTS_BY.id(),
                      pacing.band().id(),
                      Kind.Pick.word(DriveSettings.RestsBy.READING)))));
    }
    return fixes;
  }

  /** Words that have not all come in when their slide begins to go. */
  private void words(int stop) {
    if (pacing.wordsCome() == DriveSettings.Entrance.NONE) {
      return;
    }
    Item item = pacing.first(stop);
    long change =
        pacing.taken(item).stream().mapToLong(way -> way.time().toMillis()).max().orElse(0);
    long until =
        Math.round(change * Pacing.WORDS_AFTER) + pacing.wordsUntil(Reading.parts(piece, item));
    if (until > change + pacing.rests(stop)) {
      add(
          Rule.LATE_WORDS,
          item,
          String.format(
              Locale.ROOT,
              "goes after %s; its last words have come in after %s",
              said(change + pacing.rests(stop)),
              said(until)),
          List.of(
              new Fix(
                  "no beat between them",
                  List.of(
                      new Edit.SetValue(
                          piece.id(), DriveSettings.WORDS_BEAT.id(), pacing.band().id(), "0s")))));
    }
  }

  private void add(Rule rule, Item item, String message, List<Fix> fixes) {
    Band band = pacing.band();
    found.add(
        new Snag(
            rule,
            piece.id(),
            item.id(),
            Math.max(Bands.NARROWEST, (int) Math.ceil(band.from())),
            band.widest()
                ? Bands.WIDEST
                : Math.min(Bands.WIDEST, (int) Math.ceil(band.below()) - 1),
            band.id(),
            message,
            fixes));
  }

  private static long up(long ms) {
    return (ms + GRAIN - 1) / GRAIN * GRAIN;
  }

  /** As people read it: to a tenth. */
  private static String said(long ms) {
    return Require.number(Math.round(ms / 100.0) / 10.0) + " s";
  }

  /** As a setting takes it. */
  private static String seconds(long ms) {
    return Kind.Time.seconds(Duration.ofMillis(ms));
  }
}
