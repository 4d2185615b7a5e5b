package giostra.core.snag;

import giostra.core.page.ConditionSettings;
import giostra.core.page.Edit;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.Piece;
import giostra.core.page.SiteSettings;
import giostra.core.season.Almanac;
import giostra.core.season.Season;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** Times between the first season and the last at which none of the items is on show. */
final class Nobody {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ROOT);
  private static final DateTimeFormatter HOUR =
      DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ROOT);

  /** Times that come again are looked at for a year and a little, from some day on. */
  private static final Duration ROUND = Duration.ofDays(400);

  private static final Instant SOME = Instant.parse("2027-01-01T00:00:00Z");

  private Nobody() {}

  static List<Snag> check(Looked at) {
    return at.piece().map(piece -> of(at, piece)).orElse(List.of());
  }

  private static List<Snag> of(Looked at, Piece piece) {
    List<Item> items = piece.onShow();
    List<Season> seasons =
        items.stream().map(item -> ConditionSettings.season(item.values())).toList();
    // Who is always on leaves no gap.
    return seasons.isEmpty() || seasons.stream().anyMatch(Season::always)
        ? List.of()
        : gap(at, piece, items, seasons);
  }

  private static List<Snag> gap(Looked at, Piece piece, List<Item> items, List<Season> seasons) {
    ZoneId zone = at.document().site().values().get(SiteSettings.ZONE);
    List<Instant> ends =
        seasons.stream()
            .flatMap(season -> season.dates(zone).stream())
            .flatMap(span -> Stream.concat(span.from().stream(), span.until().stream()))
            .sorted()
            .toList();
    boolean again = seasons.stream().anyMatch(season -> !season.times().any());
    if (ends.isEmpty() && !again) {
      return List.of();
    }
    Instant from = ends.isEmpty() ? SOME : ends.getFirst();
    Instant last = again ? roundFrom(from, seasons, zone) : ends.getLast();
    Instant most = from.plus(Duration.ofDays(Almanac.MOST_YEARS * 365L));
    Instant until = last.isBefore(most) ? last : most;
    if (from.equals(until)) {
      return List.of();
    }
    var almanac = new Almanac(zone, seasons, from, until);
    Comparator<Almanac.Stretch> longest =
        Comparator.comparing(each -> Duration.between(each.from(), each.until()));
    List<Almanac.Stretch> gaps =
        almanac.stretches().stream().filter(each -> each.on().isEmpty()).toList();
    // Of times that come again the longest says most, of dates the first.
    Optional<Almanac.Stretch> told = again ? gaps.stream().max(longest) : gaps.stream().findFirst();
    return told.map(gap -> List.of(snag(at, piece, items, seasons, almanac, gap)))
        .orElse(List.of());
  }

  /** Once round, or until the last season is over: after it there is no gap, only an end. */
  private static Instant roundFrom(Instant from, List<Season> seasons, ZoneId zone) {
    Instant round = from.plus(ROUND);
    return seasons.stream()
        .map(season -> {
          List<Season.Span> dates = season.dates(zone);
          return dates.isEmpty() ? from : dates.getLast().until().orElse(round);
        })
        .max(Comparator.naturalOrder())
        .filter(round::isAfter)
        .orElse(round);
  }

  private static Snag snag(
      Looked at,
      Piece piece,
      List<Item> items,
      List<Season> seasons,
      Almanac almanac,
      Almanac.Stretch each) {
    ZoneId zone = at.document().site().values().get(SiteSettings.ZONE);
    List<Integer> after = almanac.on(each.until());
    int next = after.isEmpty() ? 0 : after.getFirst();
    var fixes = new ArrayList<Snag.Fix>();
    if (!after.isEmpty() && moves(seasons.get(next))) {
      fixes.add(atOnce(items.get(next), next, written(each.from(), zone)));
    }
    almanac.on(each.from().minusMillis(1)).stream()
        .filter(last -> seasons.get(last).times().any() && seasons.get(last).ends().isPresent())
        .findFirst()
        .ifPresent(last -> fixes.add(longer(items.get(last), last, seasons.get(last), each, zone)));
    return Snag.of(
            Rule.NOBODY,
            piece.id(),
            Extent.always(at.document()).between(each.from(), each.until()),
            Said.of("nobody", "from", said(each.from(), zone), "to", said(each.until(), zone)))
        .of(items.get(next).id())
        .withFixes(fixes);
  }

  /** Whether it may begin earlier: of a day that not each year has, none would come in others. */
  private static boolean moves(Season season) {
    return !season.yearly() && season.times().any();
  }

  private static Snag.Fix atOnce(Item item, int place, String from) {
    return Snag.Fix.of(
        Said.of("take-over", "item", Fields.called(item, place)),
        new Edit.SetValue(item.id(), ConditionSettings.SEASON_BEGINS.id(), "", from));
  }

  /** Who is on before stays until the next comes; each year, where it does so each year. */
  private static Snag.Fix longer(
      Item item, int place, Season season, Almanac.Stretch gap, ZoneId zone) {
    LocalDateTime end = gap.until().atZone(zone).toLocalDateTime();
    if (season.yearly()) {
      LocalDateTime ends = season.ends().orElseThrow();
      LocalDateTime then = end.withYear(ends.getYear());
      end = then.isBefore(ends) ? then.plusYears(1) : then;
    }
    boolean midnight = end.toLocalTime().toSecondOfDay() == 0;
    return Snag.Fix.of(
        Said.of("stay-on", "item", Fields.called(item, place)),
        new Edit.SetValue(
            item.id(),
            ConditionSettings.SEASON_ENDS.id(),
            "",
            midnight
                ? end.toLocalDate().minusDays(1).toString()
                : end.withSecond(0).withNano(0).toString()));
  }

  /** As a season is written: a date where it is the first moment of one. */
  private static String written(Instant at, ZoneId zone) {
    var local = at.atZone(zone).toLocalDateTime();
    return local.toLocalTime().toSecondOfDay() == 0
        ? local.toLocalDate().toString()
        : local.withSecond(0).withNano(0).toString();
  }

  private static String said(Instant at, ZoneId zone) {
    var local = at.atZone(zone);
    return (local.toLocalTime().toSecondOfDay() == 0 ? DAY : HOUR).format(local);
  }
}
