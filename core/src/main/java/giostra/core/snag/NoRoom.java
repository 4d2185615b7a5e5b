package giostra.core.snag;

import giostra.core.anatomy.TrackParts;
import giostra.core.band.Band;
import giostra.core.layout.Heights;
import giostra.core.layout.Resolution;
import giostra.core.layout.TrackLayout;
import giostra.core.layout.TrackRoom;
import giostra.core.look.Cascade;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.page.Edit;
import giostra.core.page.Piece;
import giostra.core.page.TrackSettings.Arrows;
import giostra.core.page.Tracked;
import giostra.core.value.PickKind;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/**
 * What is wider than its room and cannot break or shrink: numbers, padding, arrows beside a track.
 * It covers what stands beside it, and at the edge of a page the page scrolls sideways.
 */
final class NoRoom {
  private final Looked at;
  private final Piece piece;

  private NoRoom(Looked at, Piece piece) {
    this.at = at;
    this.piece = piece;
  }

  static List<Snag> check(Looked at) {
    return at.piece().map(piece -> new NoRoom(at, piece).found()).orElse(List.of());
  }

  private List<Snag> found() {
    var found = new ArrayList<Snag>();
    List<Heights.Tight> tight = at.heights(piece).tight();
    for (Band band : at.document().bands().all()) {
      for (Heights.Part part : Heights.Part.values()) {
        List<Heights.Tight> all =
            tight.stream()
                .filter(each -> each.band().equals(band.id()) && each.part() == part)
                .toList();
        together(all).forEach(some -> found.add(snag(band, part, some)));
      }
      if (piece instanceof Tracked track) {
        arrows(track, band, found);
      }
    }
    return found;
  }

  /** Those whose widths meet: it is the same space that they lack. */
  private static List<List<Heights.Tight>> together(List<Heights.Tight> all) {
    var groups = new ArrayList<List<Heights.Tight>>();
    int to = 0;
    for (Heights.Tight each :
        all.stream().sorted(Comparator.comparingInt(Heights.Tight::from)).toList()) {
      if (groups.isEmpty() || each.from() > to + 1) {
        groups.add(new ArrayList<>());
      }
      groups.getLast().add(each);
      to = Math.max(to, each.to());
    }
    return groups;
  }

  private Snag snag(Band band, Heights.Part part, List<Heights.Tight> all) {
    int from = all.stream().mapToInt(Heights.Tight::from).min().orElseThrow();
    int to = all.stream().mapToInt(Heights.Tight::to).max().orElseThrow();
    Heights.Tight worst =
        all.stream()
            .max(Comparator.comparingDouble(each -> each.needs() - each.room()))
            .orElseThrow();
    boolean alone = all.stream().map(Heights.Tight::item).distinct().count() == 1;
    return snag(band, part.name().toLowerCase(Locale.ROOT), worst.needs(), worst.room(), from, to)
        .of(alone ? worst.item() : "")
        .withFixes(BrokenWords.fewer(at, piece, band.id()));
  }

  private Snag snag(Band band, String part, double needs, double room, int from, int to) {
    String message =
        Said.of(
            "no-room",
            "part",
            part,
            "needs",
            Math.ceil(needs),
            "room",
            Math.floor(Math.max(0, room)),
            "from",
            from,
            "to",
            to);
    return Snag.of(Rule.NO_ROOM, piece.id(), Extent.of(from, to, band), message)
        .measured(Math.max(0, room), needs, Measure.Unit.PX);
  }

  /** Two arrows that need more than there is, whether the track stands between them or not. */
  private void arrows(Tracked track, Band band, List<Snag> found) {
    TrackLayout.of(at.document(), track, at.scrollbar()).bands().stream()
        .filter(in -> in.band().equals(band) && in.moves() && in.arrows() != Arrows.NONE)
        .forEach(in -> {
          double beside = in.arrows() == Arrows.BESIDE ? in.arrowDistance().constantPx() : 0;
          double taken = 2 * (in.arrowSize().constantPx() + beside);
          double sign =
              Cascade.value(
                      TrackParts.ARROW_ICON,
                      Property.SIZE,
                      State.REST,
                      Resolution.scope(at.document(), track),
                      band)
                  .constantPx();
          if (sign > in.arrowSize().constantPx()) {
            found.add(
                snag(
                    band,
                    "arrows",
                    sign,
                    in.arrowSize().constantPx(),
                    Extent.first(band),
                    Extent.last(band)));
          }
          for (int[] range : in.outer().ranges(width -> width < taken)) {
            Snag snag = snag(band, "arrows", taken, in.outer().at(range[0]), range[0], range[1]);
            found.add(beside > 0 ? snag.withFixes(List.of(below(track, band))) : snag);
          }
        });
  }

  private static Snag.Fix below(Tracked track, Band band) {
    Setting<Arrows> arrows = TrackRoom.of(track).arrows();
    return Snag.Fix.of(
        Said.of("arrows-below"),
        new Edit.SetValue(track.id(), arrows.id(), band.id(), PickKind.word(Arrows.BELOW)));
  }
}
