package giostra.core.snag;

import giostra.core.drive.Pacing;
import giostra.core.page.Block;
import giostra.core.page.DriveSettings;
import giostra.core.page.Edit;
import giostra.core.page.Item;
import giostra.core.page.PinSettings;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Words that have not all come in when their slide begins to go. */
final class LateWords {
  private LateWords() {}

  static List<Snag> check(Looked at) {
    return Paced.each(at, LateWords::of);
  }

  private static Optional<Snag> of(Paced at) {
    Pacing pacing = at.pacing();
    Item item = pacing.first(at.stop());
    long words = pacing.wordsUntil(item);
    long pins = pacing.pinsUntil(item);
    long in = Math.max(words, pins);
    long goes = pacing.change(item) + pacing.rests(at.stop());
    if (in <= goes) {
      return Optional.empty();
    }
    if (pins > words) {
      return Optional.of(
          at.snag(
                  Rule.LATE_WORDS,
                  new Extent.Times(at.rest().to(), at.rest().to() + in - goes),
                  Said.of("late-pin", "goes", Said.seconds(goes), "in", Said.seconds(in)))
              .measured(in, goes, Measure.Unit.MS)
              .about(PinSettings.COMES_AFTER.id(), PinSettings.COMES_TAKES.id())
              .withFixes(List.of(sooner(item, goes))));
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

  /** Each comes in at once, and takes no longer than there is time. */
  private static Snag.Fix sooner(Item item, long goes) {
    return new Snag.Fix(
        Said.of("pins-at-once"),
        item.pins().stream()
            .filter(Block.Pin::comes)
            .flatMap(pin -> {
              long takes = Math.min(goes, pin.values().get(PinSettings.COMES_TAKES).toMillis());
              return Stream.<Edit>of(
                  new Edit.SetValue(pin.id(), PinSettings.COMES_AFTER.id(), "", "0ms"),
                  new Edit.SetValue(pin.id(), PinSettings.COMES_TAKES.id(), "", takes + "ms"));
            })
            .toList());
  }
}
