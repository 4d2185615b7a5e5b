package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.look.State;
import giostra.core.page.Document;
import java.time.Instant;
import java.util.Optional;

/**
 * When something that is found is so: at which viewport widths, and where it is not always, at
 * which moments of a round, in which state, on which dates.
 *
 * @param widths of the viewport
 * @param times of a round, where it is of those
 * @param state of the part
 * @param dates between which it is so, where it is of those
 */
public record Extent(Widths widths, Optional<Times> times, State state, Optional<Dates> dates) {
  /**
   * Whole viewport widths.
   *
   * @param from the first, in px
   * @param to the last, in px
   * @param band id of the band that they lie in; the widest where they lie in several
   */
  public record Widths(int from, int to, String band) {}

  /**
   * Moments of one round.
   *
   * @param from ms after its beginning
   * @param to ms after its beginning, not before {@code from}
   */
  public record Times(long from, long to) {}

  /** From a moment, until before another. */
  public record Dates(Instant from, Instant to) {}

  /** At some widths of a band. */
  public static Extent of(int from, int to, Band band) {
    return new Extent(
        new Widths(from, to, band.id()), Optional.empty(), State.REST, Optional.empty());
  }

  /** In the whole of a band. */
  public static Extent of(Band band) {
    return of(first(band), last(band), band);
  }

  /** At every width. */
  public static Extent always(Document document) {
    return of(Bands.NARROWEST, Bands.WIDEST, document.bands().lead());
  }

  /** The same at some times of a round. */
  public Extent at(Times times) {
    return new Extent(widths, Optional.of(times), state, dates);
  }

  /** The same in a state. */
  public Extent in(State state) {
    return new Extent(widths, times, state, dates);
  }

  /** The same between two moments. */
  public Extent between(Instant from, Instant to) {
    return new Extent(widths, times, state, Optional.of(new Dates(from, to)));
  }

  /** The first whole viewport width of a band, in px. */
  public static int first(Band band) {
    return Math.max(Bands.NARROWEST, (int) Math.ceil(band.from()));
  }

  /** The last whole viewport width of a band, in px. */
  public static int last(Band band) {
    return band.widest() ? Bands.WIDEST : Math.min(Bands.WIDEST, (int) Math.ceil(band.below()) - 1);
  }
}
