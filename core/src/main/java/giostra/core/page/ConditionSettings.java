package giostra.core.page;

import giostra.core.look.Values;
import giostra.core.season.Season;
import giostra.core.season.Times;
import giostra.core.value.Refused;
import giostra.core.value.Setting;
import giostra.core.value.SeveralKind;
import giostra.core.value.Step;
import giostra.core.value.ToggleKind;
import giostra.core.value.TokenKind;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.Month;
import java.time.ZoneId;
import java.util.List;

/**
 * When something shows. Dates are wall-clock times of the site's zone; without script everything
 * shows.
 */
public final class ConditionSettings {
  private static final String WHEN = "\\d{4}-\\d{2}-\\d{2}(T\\d{2}:\\d{2})?";

  public static final Setting<String> SEASON_BEGINS =
      Setting.once(
              "seasonBegins",
              "Season begins",
              new TokenKind(WHEN, "a date such as 2026-12-01, or with a time, 2026-12-01T18:00"),
              "")
          .in(Step.DRIVE);
  public static final Setting<String> SEASON_ENDS =
      Setting.once(
              "seasonEnds",
              "Season ends",
              new TokenKind(WHEN, "a date such as 2026-12-24 (that day included), or with a time"),
              "")
          .in(Step.DRIVE);

  public static final Setting<Boolean> SEASON_YEARLY =
      Setting.once("seasonYearly", "Each year again", new ToggleKind(), false).in(Step.DRIVE);
  public static final Setting<List<String>> SEASON_MONTHS =
      Setting.once(
              "seasonMonths", "In months", new SeveralKind(Times.words(Month.class)), List.of())
          .in(Step.DRIVE);
  public static final Setting<List<String>> SEASON_DAYS =
      Setting.once(
              "seasonDays", "On days", new SeveralKind(Times.words(DayOfWeek.class)), List.of())
          .in(Step.DRIVE);

  /** Those that end no later than they begin end on the next day. */
  public static final Setting<String> SEASON_HOURS =
      Setting.once(
              "seasonHours",
              "At hours",
              new TokenKind(Times.HOURS, "from a time to another, such as 18:00-23:30"),
              "")
          .in(Step.DRIVE);

  public static final Setting<String> SHOW_QUERY =
      Setting.once(
          "showQuery",
          "Shows for address with",
          new TokenKind(
              "[\\w.-]{1,60}(=[\\w.~%+-]{0,120})?",
              "a query parameter such as from=letter, or from"),
          "");

  /** All of them. */
  public static final List<Setting<?>> ALL =
      List.of(
          SEASON_BEGINS,
          SEASON_ENDS,
          SEASON_YEARLY,
          SEASON_MONTHS,
          SEASON_DAYS,
          SEASON_HOURS,
          SHOW_QUERY);

  /** Whether something shows only at times, or for some addresses. */
  public static boolean any(Values values) {
    return !season(values).always() || !values.get(SHOW_QUERY).isEmpty();
  }

  /** Whether anything shows only in seasons. */
  public static boolean seasons(Document document) {
    return document.nodes().anyMatch(node -> !season(node).always());
  }

  /** A document with what is on at a moment, by the clocks of its site's zone. */
  public static Document on(Document document, Instant at) {
    ZoneId zone = document.site().values().get(SiteSettings.ZONE);
    return seasons(document)
        ? document.changedAll(node -> {
          List<Node> there =
              node.children().stream()
                  .<Node>map(child -> child)
                  .filter(child -> season(child).shows(at, zone))
                  .toList();
          return there.size() == node.children().size() ? node : node.holding(there);
        })
        : document;
  }

  private static Season season(Node node) {
    return node.type().settings().contains(SEASON_BEGINS) ? season(node.values()) : Season.ALWAYS;
  }

  /** When something shows; always where its dates make no sense, which a finding tells. */
  public static Season season(Values values) {
    try {
      return typed(values);
    } catch (Refused none) {
      return Season.ALWAYS;
    }
  }

  /**
   * When something shows, as it is typed.
   *
   * @throws Refused where its dates make no sense
   */
  public static Season typed(Values values) {
    return Season.of(
        values.get(SEASON_BEGINS),
        values.get(SEASON_ENDS),
        values.get(SEASON_YEARLY),
        Times.of(values.get(SEASON_MONTHS), values.get(SEASON_DAYS), values.get(SEASON_HOURS)));
  }

  private ConditionSettings() {}
}
