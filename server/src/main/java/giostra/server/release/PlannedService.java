package giostra.server.release;

import giostra.core.page.SiteSettings;
import giostra.core.value.Refused;
import giostra.server.page.PageService;
import giostra.server.web.Gone;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeParseException;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;

/**
 * Publishes pages at a time that was said before: each as it is then. A page has one such time at
 * the most. What could not be published stays, with the reason, until somebody plans it anew or
 * takes it away; where the server itself was at fault it is tried again for a day.
 */
@Service
class PlannedService {
  private static final Logger LOG = LoggerFactory.getLogger(PlannedService.class);

  /** How far ahead one may plan; ours, no source. */
  private static final Duration FARTHEST = Duration.ofDays(731);

  /** Whoever has not published by then has been stopped on the way. */
  private static final Duration STALE = Duration.ofMinutes(10);

  /** After that it is given up. */
  private static final Duration PATIENCE = Duration.ofDays(1);

  private static final int LONGEST_WHY = 400;

  private final PlannedRows rows;
  private final ReleaseService releases;
  private final PageService pages;
  private final Clock clock;

  PlannedService(PlannedRows rows, ReleaseService releases, PageService pages, Clock clock) {
    this.rows = rows;
    this.releases = releases;
    this.pages = pages;
    this.clock = clock;
  }

  /**
   * When a page is published by itself.
   *
   * @param at the instant, as ISO 8601 has it
   * @param local the same on the clocks of the site's zone, without the zone
   * @param failed why it could not be; empty as long as it was not tried
   */
  record Planned(Instant at, String local, String zone, String note, String failed) {}

  /** What is planned of a page. */
  Optional<Planned> of(String pageId) {
    ZoneId zone = zone(pageId);
    return rows.findById(pageId).map(row -> planned(row, zone));
  }

  private static Planned planned(PlannedEntity row, ZoneId zone) {
    return new Planned(
        row.dueAt,
        LocalDateTime.ofInstant(row.dueAt, zone).truncatedTo(ChronoUnit.SECONDS).toString(),
        zone.getId(),
        row.note,
        row.failed);
  }

  /** The zone whose clocks count. */
  ZoneId zone(String pageId) {
    return pages.head(pageId).document().site().values().get(SiteSettings.ZONE);
  }

  /**
   * Plans the next release of a page. An hour that clocks skip is the one after it, of one that
   * they have twice the first counts, as java.time has it.
   *
   * @param local a time on the clocks of the site's zone, such as {@code 2026-12-24T18:00}
   * @throws Refused for what is no such time, has been or is too far ahead
   */
  Planned plan(String pageId, String local, String note) {
    ZoneId zone = zone(pageId);
    Instant now = clock.instant();
    String allowed =
        "a time to come within two years, such as "
            + LocalDateTime.ofInstant(now.plus(Duration.ofDays(1)), zone)
                .truncatedTo(ChronoUnit.HOURS)
            + ", on the clocks of "
            + zone.getId();
    Instant due;
    try {
      due = LocalDateTime.parse(local.strip()).atZone(zone).toInstant();
    } catch (DateTimeParseException e) {
      throw new Refused("Publishing at", local, allowed);
    }
    if (!due.isAfter(now) || due.isAfter(now.plus(FARTHEST))) {
      throw new Refused("Publishing at", local, allowed);
    }
    rows.plan(pageId, due, ReleaseService.NOTE.read("Note", note));
    return of(pageId).orElseThrow();
  }

  /** Nothing is published by itself any more. */
  void drop(String pageId) {
    pages.head(pageId);
    rows.drop(pageId);
  }

  /** Publishes what is due. One that cannot be holds up no other. */
  @Scheduled(fixedDelayString = "${giostra.planned.every:5s}")
  void publishDue() {
    Instant now = clock.instant();
    for (PlannedEntity due : rows.findByDueAtLessThanEqualAndFailedOrderByDueAt(now, "")) {
      if (rows.claim(due.pageId, due.dueAt, now, now.minus(STALE)) == 1) {
        publish(due);
      }
    }
  }

  private void publish(PlannedEntity due) {
    try {
      ReleaseService.Release release = releases.publish(due.pageId, due.note);
      LOG.info("published {} as planned: release {}", due.pageId, release.line().number());
      rows.done(due.pageId, due.dueAt);
    } catch (Gone | Refused e) {
      String why = String.valueOf(e.getMessage());
      rows.failed(due.pageId, due.dueAt, why.substring(0, Math.min(why.length(), LONGEST_WHY)));
    } catch (RuntimeException e) {
      failed(due, e);
    }
  }

  /** What is no fault of the page may pass: it is tried again once its claim is stale. */
  private void failed(PlannedEntity due, RuntimeException why) {
    LOG.warn("cannot publish {} as planned", due.pageId, why);
    if (due.dueAt.plus(PATIENCE).isBefore(clock.instant())) {
      try {
        rows.failed(due.pageId, due.dueAt, "the server could not, for a day; its log says why");
      } catch (RuntimeException e) {
        // The others are published all the same.
        LOG.warn("cannot note that {} was not published", due.pageId, e);
      }
    }
  }
}
