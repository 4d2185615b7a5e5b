package giostra.core.snag;

import giostra.core.drive.Pacing;
import giostra.core.drive.Reading;
import giostra.core.page.DriveSettings;
import giostra.core.page.Edit;
import java.util.List;
import java.util.Optional;

/** Words that have not all come in when their slide begins to go. */
final class LateWords {
  private LateWords() {}

  static List<Snag> check(Looked at) {
    return Paced.each(at, LateWords::of);
  }

  private static Optional<Snag> of(Paced at) {
    Pacing pacing = at.pacing();
    if (pacing.wordsCome() == DriveSettings.Entrance.NONE) {
      return Optional.empty();
    }
    long change = at.change();
    long in =
        Math.round(change * Pacing.WORDS_AFTER)
            + pacing.wordsUntil(Reading.parts(at.piece(), pacing.first(at.stop())));
    long goes = change + pacing.rests(at.stop());
    if (in <= goes) {
      return Optional.empty();
    }
    return Optional.of(
        at.snag(
                Rule.LATE_WORDS,
                new Extent.Times(at.rest().to(), at.rest().to() + in - goes),
                Said.of("late-words", "goes", Said.seconds(goes), "in", Said.seconds(in)))
            .measured(in, goes, Measure.Unit.MS)
            .about(DriveSettings.WORDS_BEAT.id(), DriveSettings.WORDS_BEAT.id())
            .withFixes(
                List.of(
                    Snag.Fix.of(
                        Said.of("no-beat"),
                        new Edit.SetValue(
                            at.piece().id(),
                            DriveSettings.WORDS_BEAT.id(),
                            pacing.band().id(),
                            "0s")))));
  }
}
