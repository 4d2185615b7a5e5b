package giostra.core.snag;

import giostra.core.band.Bands;
import giostra.core.page.ConditionSettings;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.page.SiteSettings;
import giostra.core.season.Almanac;
import giostra.core.season.Season;
import giostra.core.snag.Snag.Fix;
import giostra.core.snag.Snag.Rule;
import giostra.core.value.Refused;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/**
 * Seasons that make no sense, and times between the first season and the last at which nobody is on
 * show.
 */
final class Seasons {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ROOT);
  private static final DateTimeFormatter HOUR =
      DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ROOT);

  private Seasons() {}

  static List<Snag> of(Document document, Piece piece) {
    var found = new ArrayList<Snag>();
    backwards(document, piece, piece, found);
    piece.items().forEach(item -> backwards(document, piece, item, found));
    List<Item> items = piece.onShow();
    List<Season> seasons =
        items.stream().map(item -> ConditionSettings.season(item.values())).toList();
    // Who is always on leaves no gap.
    if (!seasons.isEmpty() && seasons.stream().noneMatch(Season::always)) {
      gaps(document, piece, items, seasons, found);
    }
    return found;
  }

  private static void backwards(Document document, Piece piece, Node of, List<Snag> found) {
    try {
      Season.of(
          of.values().get(ConditionSettings.SEASON_BEGINS),
          of.values().get(ConditionSettings.SEASON_ENDS),
          of.values().get(ConditionSettings.SEASON_YEARLY));
    } catch (Refused e) {
      found.add(
          snag(
              document,
              Rule.BACKWARDS,
              piece,
              of == piece ? "" : of.id(),
              e.what()
                  + " is "
                  + e.found()
                  + "; it must be "
                  + e.allowed()
                  + ": it shows always until then",
              List.of(
                  new Fix(
                      "no end",
                      List.of(
                          new Edit.SetValue(
                              of.id(), ConditionSettings.SEASON_ENDS.id(), "", null))))));
    }
  }

  private static void gaps(
      Document document, Piece piece, List<Item> items, List<Season> seasons, List<Snag> found) {
    ZoneId zone = document.site().values().get(SiteSettings.ZONE);
    var almanac = new Almanac(zone, seasons);
    List<Instant> ends =
        seasons.stream()
            .flatMap(season -> season.spans(zone).stream())
            .flatMap(span -> Stream.concat(span.from().stream(), span.until().stream()))
            .sorted()
            .toList();
    Instant from = ends.getFirst();
    Instant until = ends.getLast();
    long most = Duration.ofDays(Almanac.MOST_YEARS * 365L).toSeconds();
    if (from.equals(until) || until.getEpochSecond() - from.getEpochSecond() > most) {
      return;
    }
    for (Almanac.Stretch each : almanac.stretches(from, until)) {
      if (each.on().isEmpty()) {
        List<Integer> after = almanac.on(each.until());
        Item next = items.get(after.isEmpty() ? 0 : after.getFirst());
        found.add(
            snag(
                document,
                Rule.NOBODY,
                piece,
                next.id(),
                "nobody is on show from "
                    + said(each.from(), zone)
                    + " to "
                    + said(each.until(), zone),
                after.isEmpty() || seasons.get(after.getFirst()).yearly()
                    ? List.of()
                    : List.of(
                        new Fix(
                            "let " + Fields.called(next, after.getFirst()) + " take over at once",
                            List.of(
                                new Edit.SetValue(
                                    next.id(),
                                    ConditionSettings.SEASON_BEGINS.id(),
                                    "",
                                    written(each.from(), zone)))))));
        return;
      }
    }
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

  private static Snag snag(
      Document document, Rule rule, Piece piece, String item, String message, List<Fix> fixes) {
    return new Snag(
        rule,
        piece.id(),
        item,
        Bands.NARROWEST,
        Bands.WIDEST,
        document.bands().lead().id(),
        message,
        fixes);
  }
}
