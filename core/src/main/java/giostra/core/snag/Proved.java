package giostra.core.snag;

import giostra.core.band.Bands;
import giostra.core.drive.Pacing;
import giostra.core.layout.TrackLayout;
import giostra.core.look.State;
import giostra.core.page.ConditionSettings;
import giostra.core.page.Document;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.page.SiteSettings;
import giostra.core.page.Tracked;
import giostra.core.season.Season;
import giostra.core.value.Setting;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * How far a sweep reaches.
 *
 * @param widths how many widths of the viewport
 * @param states of each part
 * @param roundMs how long the longest round is that something goes by itself, in ms; 0 where
 *     nothing does
 * @param from the first date on which something changes
 * @param until the last
 * @param without what it knows nothing of
 */
public record Proved(
    int widths,
    List<State> states,
    long roundMs,
    Optional<Instant> from,
    Optional<Instant> until,
    List<Without> without) {
  /** What somebody has written of their own, whose effect is not computed. */
  public record Without(Node node, Setting<String> setting) {}

  /** That of the sweep of a page. */
  public static Proved of(Document document) {
    ZoneId zone = document.site().values().get(SiteSettings.ZONE);
    Comparator<Instant> order = Comparator.naturalOrder();
    return new Proved(
        Bands.WIDEST - Bands.NARROWEST + 1,
        // What is disabled need not be read.
        Arrays.stream(State.values()).filter(state -> state != State.DISABLED).toList(),
        document.pieces().stream().mapToLong(piece -> round(document, piece)).max().orElse(0),
        changes(document, zone).min(order),
        changes(document, zone).max(order),
        document.nodes().flatMap(Unproved::of).toList());
  }

  private static long round(Document document, Piece piece) {
    return piece instanceof Tracked track
        ? TrackLayout.of(document, track, 0).bands().stream()
            .map(band -> Pacing.of(document, track, band))
            .filter(Pacing::movesItself)
            .mapToLong(Pacing::round)
            .max()
            .orElse(0)
        : 0;
  }

  /** Moments at which somebody comes or goes; of seasons of each year, those of the first. */
  private static Stream<Instant> changes(Document document, ZoneId zone) {
    return document.nodes().flatMap(node -> ends(node, zone));
  }

  private static Stream<Instant> ends(Node node, ZoneId zone) {
    if (!node.type().settings().contains(ConditionSettings.SEASON_BEGINS)) {
      return Stream.empty();
    }
    Season season = ConditionSettings.season(node.values());
    return season.always()
        ? Stream.empty()
        : season.dates(zone).stream()
            .limit(1)
            .flatMap(span -> Stream.concat(span.from().stream(), span.until().stream()));
  }
}
