package giostra.core.page;

import giostra.core.look.Values;
import giostra.core.season.Season;
import giostra.core.value.Refused;
import giostra.core.value.Setting;
import giostra.core.value.Step;
import giostra.core.value.ToggleKind;
import giostra.core.value.TokenKind;
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
      List.of(SEASON_BEGINS, SEASON_ENDS, SEASON_YEARLY, SHOW_QUERY);

  /** Whether something shows only at times, or for some addresses. */
  public static boolean any(Values values) {
    return !season(values).always() || !values.get(SHOW_QUERY).isEmpty();
  }

  /** When something shows; always where its dates make no sense, which a finding tells. */
  public static Season season(Values values) {
    try {
      return Season.of(
          values.get(SEASON_BEGINS), values.get(SEASON_ENDS), values.get(SEASON_YEARLY));
    } catch (Refused none) {
      return Season.ALWAYS;
    }
  }

  private ConditionSettings() {}
}
