package giostra.server.page;

import giostra.core.band.Bands;
import giostra.core.drive.OnShow;
import giostra.core.drive.Pacing;
import giostra.core.format.EditJson;
import giostra.core.format.SeasonFile;
import giostra.core.format.SeasonsRead;
import giostra.core.page.Document;
import giostra.core.page.DriveSettings;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.Piece;
import giostra.core.season.Times;
import giostra.core.tempo.Trace;
import giostra.core.tempo.Visit;
import giostra.core.tempo.Visit.Act;
import giostra.core.tempo.Visit.Deed;
import giostra.core.value.Change;
import giostra.core.value.Changes;
import giostra.core.value.PickKind;
import giostra.core.value.Require;
import giostra.server.people.Needs;
import giostra.server.people.Role;
import giostra.server.web.Limited;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.servlet.http.HttpServletRequest;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** What happens in time: a round of a piece, and what it does while somebody is there. */
@RestController
class DriveController {
  /** The last moment that a calendar may begin with: the year 2191, in ms since 1970. */
  private static final double LATEST = 7e12;

  private static final String CALENDAR = "text/calendar";

  /** Of a calendar file: its longest text in the longest characters. */
  private static final long MOST_BYTES = 4 * 1024 * 1024;

  private final PageService pages;
  private final Clock clock;

  DriveController(PageService pages, Clock clock) {
    this.pages = pages;
    this.clock = clock;
  }

  /**
   * A round of a piece at one width; times in ms.
   *
   * @param on whether it moves by itself there
   * @param moves whether there is anywhere to go
   * @param overlaps whether neighbouring stops show the same items, so that the track moves
   * @param round how long the first round takes
   * @param set what it does until the end of it when nobody is there
   * @param ready each manner of changing as it is where nobody says more
   */
  record CycleReply(
      String piece,
      String band,
      boolean on,
      boolean moves,
      boolean overlaps,
      long round,
      List<StopReply> stops,
      List<StretchReply> set,
      List<WayReply> ready) {}

  /**
   * A stop.
   *
   * @param item id of the first item that it shows, whose ways it comes in by
   * @param reads how long it takes to read what it shows
   * @param ways as they are set
   * @param comings what comes in after it
   */
  record StopReply(
      String item,
      String name,
      long rests,
      long reads,
      boolean ownRest,
      boolean ownWays,
      List<WayReply> ways,
      List<ComingReply> comings) {}

  /**
   * What comes in after its slide.
   *
   * @param name of the pin; empty for the words of the slide
   * @param from ms from when the slide begins to come in
   * @param until it is there
   */
  record ComingReply(String name, long from, long until) {}

  /**
   * A way of changing.
   *
   * @param easing as CSS has it
   * @param curve the same as it is typed
   * @param written all of it as it is typed
   * @param sided whether it comes from a side
   */
  record WayReply(
      String manner,
      String from,
      long ms,
      String easing,
      String curve,
      String written,
      boolean sided) {
    static WayReply of(Change way) {
      return new WayReply(
          PickKind.word(way.manner()),
          PickKind.word(way.from()),
          way.time().toMillis(),
          way.easing().css(),
          way.easing().written(),
          way.written(),
          way.manner().sided());
    }
  }

  /**
   * A stretch of time.
   *
   * @param phase waits, rests, held, changes, stopped or over
   * @param next the stop that comes in, in a change
   * @param way which of the ways of that stop
   * @param left of the rest, at its end
   * @param passed for which the stop that shows, or goes, had been there at its beginning, what it
   *     was held left out
   * @param came when what shows began to come in
   */
  record StretchReply(
      long from,
      long to,
      String phase,
      int stop,
      int next,
      int way,
      boolean back,
      List<String> reasons,
      List<String> latches,
      long left,
      long passed,
      long came) {
    static StretchReply of(Trace.Stretch s) {
      return new StretchReply(
          s.from(),
          s.to(),
          PickKind.word(s.phase()),
          s.stop(),
          s.next(),
          s.way(),
          s.back(),
          s.reasons().stream().sorted().map(PickKind::word).toList(),
          s.latches().stream().sorted().map(PickKind::word).toList(),
          s.left(),
          s.passed(),
          s.came());
    }
  }

  /** The round of a piece at a viewport width. */
  @GetMapping("/api/pages/{id}/cycle")
  CycleReply cycle(
      @PathVariable String id, @RequestParam String piece, @RequestParam double width) {
    Pacing pacing = Pacing.at(pages.shown(pages.head(id)), piece, width);
    int stops = pacing.score().stops();
    return new CycleReply(
        piece,
        pacing.band().id(),
        pacing.movesItself(),
        stops > 1,
        pacing.overlaps(),
        pacing.round(),
        IntStream.range(0, stops).mapToObj(stop -> stop(pacing, stop)).toList(),
        stretches(pacing.firstRound()),
        Arrays.stream(Change.Manner.values())
            .map(manner -> WayReply.of(Change.of(manner)))
            .toList());
  }

  private static StopReply stop(Pacing pacing, int stop) {
    Item item = pacing.first(stop);
    Changes ways = pacing.ways(item);
    return new StopReply(
        item.id(),
        Fields.called(item, pacing.items().indexOf(item)),
        pacing.rests(stop),
        pacing.reads(stop),
        !item.values().get(DriveSettings.OWN_REST).isZero(),
        !item.values().get(DriveSettings.OWN_CHANGES).ways().isEmpty(),
        ways.ways().stream().map(WayReply::of).toList(),
        pacing.comings(item).stream()
            .map(each -> new ComingReply(name(item, each), each.from(), each.until()))
            .toList());
  }

  private static String name(Item item, Pacing.Coming each) {
    return item.pins().stream()
        .filter(pin -> pin.id().equals(each.of()))
        .map(Fields::called)
        .findFirst()
        .orElse("");
  }

  private static List<StretchReply> stretches(List<Trace.Stretch> all) {
    return all.stream().map(StretchReply::of).toList();
  }

  /**
   * The calendar of a piece; times in ms since 1970.
   *
   * @param zone the site's
   * @param next the next moment at which somebody comes or goes, if there is one
   */
  record CalendarReply(
      String piece,
      String zone,
      long from,
      long until,
      List<ShownReply> items,
      List<OnReply> stretches,
      @Nullable Long next) {}

  /**
   * An item and when it shows.
   *
   * @param always whether it has no season
   * @param again whether it shows at some times within its dates
   * @param spans from and until, cut at the ends of the calendar
   */
  record ShownReply(
      String item,
      String name,
      boolean always,
      boolean yearly,
      boolean again,
      List<long[]> spans) {}

  /**
   * A stretch of time in which the same ones are on.
   *
   * @param on ids of the items
   * @param thin whether they are so few that nothing moves, where more would
   */
  record OnReply(long from, long until, List<String> on, boolean thin) {}

  /** Seasons of a piece as a calendar file, for other programs. */
  @GetMapping(value = "/api/pages/{id}/seasons.ics", produces = CALENDAR + ";charset=UTF-8")
  @ApiResponse(
      responseCode = "200",
      content = @Content(schema = @Schema(type = "string", format = "binary")))
  ResponseEntity<byte[]> seasons(@PathVariable String id, @RequestParam String piece) {
    PageService.Head head = pages.head(id);
    Document document = pages.shown(head);
    String file = SeasonFile.write(document, document.piece(piece), clock.instant());
    return ResponseEntity.ok()
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename(head.slug() + "-" + piece + ".ics")
                .build()
                .toString())
        .body(file.getBytes(StandardCharsets.UTF_8));
  }

  /** A season as it is typed; empty for what is open. */
  record TypedReply(
      String begins,
      String ends,
      boolean yearly,
      List<String> months,
      List<String> days,
      String hours) {
    static TypedReply of(SeasonsRead.Typed typed) {
      Times times = typed.times();
      return new TypedReply(
          typed.begins(),
          typed.ends(),
          typed.yearly(),
          Times.words(times.months()),
          Times.words(times.days()),
          times.hours().map(Times.Hours::written).orElse(""));
    }
  }

  /** What would become of an item's season. */
  record SeasonChangeReply(String item, String name, TypedReply before, TypedReply after) {}

  /**
   * What a calendar file would change.
   *
   * @param strangers summaries of events that are no item's
   * @param refused what cannot be taken, with the reason
   * @param edits that take all of it
   */
  record SeasonsReply(
      List<SeasonChangeReply> changes,
      List<String> strangers,
      List<String> refused,
      @Schema(implementation = Bodies.EditBody[].class) JsonNode edits) {}

  /** Reads a calendar file for a piece; nothing changes by it. */
  @PostMapping(value = "/api/pages/{id}/seasons", consumes = CALENDAR)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      content = @Content(schema = @Schema(type = "string", format = "binary")))
  SeasonsReply seasons(
      @PathVariable String id, @RequestParam String piece, HttpServletRequest request)
      throws IOException {
    var bytes = new ByteArrayOutputStream();
    Limited.copy(request.getInputStream(), bytes, MOST_BYTES, "Calendar file");
    // What it is in where it does not say. Source: RFC 5545, 3.1.4 "Character Set".
    String file = bytes.toString(StandardCharsets.UTF_8);
    Document document = pages.head(id).document();
    SeasonsRead read = SeasonsRead.of(document, document.piece(piece), file);
    return new SeasonsReply(
        read.changes().stream()
            .map(each ->
                new SeasonChangeReply(
                    each.item(),
                    each.name(),
                    TypedReply.of(each.before()),
                    TypedReply.of(each.after())))
            .toList(),
        read.strangers(),
        read.refused(),
        EditJson.write(read.edits()));
  }

  /** Who is on show when, over some months. */
  @GetMapping("/api/pages/{id}/calendar")
  CalendarReply calendar(
      @PathVariable String id,
      @RequestParam String piece,
      @RequestParam double width,
      @RequestParam long from,
      @RequestParam(defaultValue = "12") int months) {
    Require.within(0, LATEST, "from (ms since 1970)", from);
    Require.within(Bands.NARROWEST, Bands.WIDEST, "width", width);
    Document document = pages.shown(pages.head(id));
    Piece of = document.piece(piece);
    OnShow shown = OnShow.of(document, of, width, Instant.ofEpochMilli(from), months);
    List<Item> items = of.onShow();
    return new CalendarReply(
        piece,
        shown.zone().getId(),
        from,
        shown.until().toEpochMilli(),
        shown.items().stream()
            .map(each ->
                new ShownReply(
                    each.item().id(),
                    Fields.called(each.item(), items.indexOf(each.item())),
                    each.season().always(),
                    each.season().yearly(),
                    !each.season().times().any(),
                    each.during().stream()
                        .map(span ->
                            new long[] {span.from().toEpochMilli(), span.until().toEpochMilli()})
                        .toList()))
            .toList(),
        shown.stretches().stream()
            .map(each ->
                new OnReply(
                    each.from().toEpochMilli(),
                    each.until().toEpochMilli(),
                    each.on().stream().map(Item::id).toList(),
                    each.thin()))
            .toList(),
        shown.next().map(Instant::toEpochMilli).orElse(null));
  }

  /**
   * A visit.
   *
   * @param until ms
   */
  record TraceBody(String piece, double width, long until, List<ActBody> acts) {}

  /**
   * Something that a visitor does.
   *
   * @param at ms after the piece was seen first
   * @param deed points, leaves, tabs-in, goes-away, comes-back, scrolls-off, scrolls-on,
   *     presses-pause, next, previous, goes-to, grabs, lets-go, starts-clip, clip-ends, clicks-in
   *     or clicks-out
   * @param stop where it leads to, for goes-to and lets-go
   */
  record ActBody(long at, String deed, int stop) {}

  /** What a piece does while somebody is there. */
  @Needs(Role.REVIEWER)
  @PostMapping("/api/pages/{id}/trace")
  List<StretchReply> trace(@PathVariable String id, @RequestBody TraceBody body) {
    Pacing pacing = Pacing.at(pages.shown(pages.head(id)), body.piece(), body.width());
    PickKind<Deed> deeds = new PickKind<>(Deed.class);
    Require.within(0, Visit.MOST, "acts", body.acts().size());
    var visit =
        new Visit(
            body.acts().stream()
                .map(act -> new Act(act.at(), deeds.read("deed", act.deed()), act.stop()))
                .toList());
    return stretches(pacing.trace(visit, body.until()));
  }
}
