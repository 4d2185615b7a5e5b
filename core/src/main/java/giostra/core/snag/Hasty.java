package giostra.core.snag;

import giostra.core.drive.Pacing;
import giostra.core.drive.Reading;
import giostra.core.page.DriveSettings;
import giostra.core.page.Edit;
import giostra.core.page.Item;
import giostra.core.tempo.Score;
import giostra.core.value.PickKind;
import giostra.core.value.TimeKind;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Stops that rest for less than their words take to read. */
final class Hasty {
  /** Rests that are offered are whole tenths of a second. */
  private static final long GRAIN = 100;

  private Hasty() {}

  static List<Snag> check(Looked at) {
    return Paced.each(at, Hasty::of);
  }

  private static Optional<Snag> of(Paced at) {
    long rests = at.pacing().rests(at.stop());
    long reads = at.pacing().reads(at.stop());
    if (rests >= reads) {
      return Optional.empty();
    }
    Item item = at.pacing().first(at.stop());
    long words = Math.round(reads * (double) Reading.WORDS_A_MINUTE / 60_000);
    String message =
        Said.of(
            "hasty", "rests", Said.seconds(rests), "words", words, "reads", Said.seconds(reads));
    return Optional.of(
        at.snag(Rule.HASTY, at.rest(), message)
            .measured(rests, reads, Measure.Unit.MS)
            .about(DriveSettings.REST.id(), DriveSettings.RESTS_BY.id())
            .withFixes(fixes(at, item, (reads + GRAIN - 1) / GRAIN * GRAIN)));
  }

  private static List<Snag.Fix> fixes(Paced at, Item item, long rest) {
    Pacing pacing = at.pacing();
    var fixes = new ArrayList<Snag.Fix>();
    if (rest <= Score.MOST_REST) {
      fixes.add(
          Snag.Fix.of(
              Said.of("rest", "time", Said.seconds(rest)),
              new Edit.SetValue(
                  item.id(),
                  DriveSettings.OWN_REST.id(),
                  "",
                  TimeKind.seconds(Duration.ofMillis(rest)))));
    }
    boolean own = !item.values().get(DriveSettings.OWN_REST).isZero();
    if (!own && !pacing.byReading()) {
      fixes.add(
          Snag.Fix.of(
              Said.of("rest-by-reading"),
              new Edit.SetValue(
                  at.piece().id(),
                  DriveSettings.RESTS_BY.id(),
                  pacing.band().id(),
                  PickKind.word(DriveSettings.RestsBy.READING))));
    }
    return fixes;
  }
}
