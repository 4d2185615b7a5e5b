package giostra.core.drive;

import giostra.core.layout.TrackLayout;
import giostra.core.page.ConditionSettings;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.Piece;
import giostra.core.page.SiteSettings;
import giostra.core.page.Tracked;
import giostra.core.season.Almanac;
import giostra.core.season.Season;
import giostra.core.value.Require;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * The calendar of a piece: which of its items are on show when, over some months.
 *
 * @param next the next moment after the first at which somebody comes or goes, if there is one
 */
public record OnShow(
    ZoneId zone,
    Instant from,
    Instant until,
    List<Shown> items,
    List<Stretch> stretches,
    Optional<Instant> next) {
  /** Most months that are looked at at once. */
  public static final int MOST_MONTHS = 36;

  /** An item and its season, with the stretches in which it shows, cut at the calendar's ends. */
  public record Shown(Item item, Season season, List<During> during) {
    public Shown {
      during = List.copyOf(during);
    }
  }

  /** From one moment to another, that one not included. */
  public record During(Instant from, Instant until) {}

  /**
   * A stretch of time in which the same items are on.
   *
   * @param thin whether they are so few that nothing moves, where all of them would
   */
  public record Stretch(Instant from, Instant until, List<Item> on, boolean thin) {
    public Stretch {
      on = List.copyOf(on);
    }
  }

  public OnShow {
    items = List.copyOf(items);
    stretches = List.copyOf(stretches);
  }

  /**
   * Looks at a piece as it is at a viewport width.
   *
   * @throws giostra.core.value.Refused for more than {@link #MOST_MONTHS}, or none
   */
  public static OnShow of(
      Document document, Piece piece, double viewportPx, Instant from, int months) {
    Require.within(1, MOST_MONTHS, "months", months);
    List<Item> items = piece.onShow();
    ZoneId zone = document.site().values().get(SiteSettings.ZONE);
    List<Season> seasons =
        items.stream().map(item -> ConditionSettings.season(item.values())).toList();
    Instant until = from.atZone(zone).plusMonths(months).toInstant();
    var almanac = new Almanac(zone, seasons, from, until);
    int view =
        piece instanceof Tracked track
            ? TrackLayout.of(document, track, 0).at(viewportPx).view()
            : 0;
    return new OnShow(
        zone,
        from,
        until,
        IntStream.range(0, items.size())
            .mapToObj(i ->
                new Shown(items.get(i), seasons.get(i), cut(seasons.get(i), zone, from, until)))
            .toList(),
        almanac.stretches().stream()
            .map(each ->
                new Stretch(
                    each.from(),
                    each.until(),
                    each.on().stream().map(items::get).toList(),
                    each.on().size() <= view && items.size() > view))
            .toList(),
        almanac.next(from));
  }

  private static List<During> cut(Season season, ZoneId zone, Instant from, Instant until) {
    return season.spans(zone, from, until).stream()
        .map(span ->
            new During(
                span.from().filter(from::isBefore).orElse(from),
                span.until().filter(until::isAfter).orElse(until)))
        .filter(each -> each.from().isBefore(each.until()))
        .toList();
  }
}
