package giostra.server.page;

import giostra.core.band.Bands;
import giostra.core.band.Viewport;
import giostra.core.fit.Screen;
import giostra.core.layout.GridReading;
import giostra.core.layout.Heights;
import giostra.core.layout.PageStrip;
import giostra.core.layout.PictureSizes;
import giostra.core.layout.Resolution;
import giostra.core.layout.TrackReading;
import giostra.core.page.ConditionSettings;
import giostra.core.page.Document;
import giostra.core.page.Fields;
import giostra.core.page.Gridded;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.page.Tracked;
import giostra.core.piece.tabs.Tabs;
import giostra.core.piece.tabs.TabsReading;
import giostra.core.value.Refused;
import giostra.core.value.Require;
import giostra.core.value.ToneColour;
import giostra.server.media.MediaService;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** What the engine computes of a page: figures at a viewport, sheets, plots, findings. */
@RestController
class ReadingController {
  private final PageService pages;
  private final MediaService media;
  private final Clock clock;

  ReadingController(PageService pages, MediaService media, Clock clock) {
    this.pages = pages;
    this.media = media;
    this.clock = clock;
  }

  /**
   * Everything at one viewport; lengths in CSS px.
   *
   * @param tracks of sliders and carousels
   * @param grids of flip boxes and counters
   * @param tabs of tabs
   * @param heights of the parts of all items
   * @param noRoom pieces that cannot be laid out at this width, each with the reason
   */
  record Readings(
      List<TrackReading> tracks,
      List<GridReading> grids,
      List<TabsReading> tabs,
      List<HeightReading> heights,
      List<NoRoom> noRoom) {
    Readings() {
      this(
          new ArrayList<>(),
          new ArrayList<>(),
          new ArrayList<>(),
          new ArrayList<>(),
          new ArrayList<>());
    }
  }

  /** A piece that has no room for what it is set to show. */
  record NoRoom(String piece, String why) {}

  /** A part of an item. */
  record HeightReading(String piece, String item, String part, double width, double height) {}

  /** Everything the engine computes at one viewport. */
  @GetMapping("/api/pages/{id}/readings")
  Readings readings(
      @PathVariable String id,
      @RequestParam double width,
      @RequestParam(defaultValue = "" + Screen.USUAL_HEIGHT) double height,
      @RequestParam(defaultValue = "0") double scrollbar,
      @RequestParam(defaultValue = "1") double density) {
    Require.within(Bands.NARROWEST, Bands.WIDEST, "width", width);
    var viewport = new Viewport(width, height, scrollbar, density);
    PageService.Head head = pages.head(id);
    Document document = pages.shown(head);
    PictureSizes pictures = media.sizes(head.siteId());
    var all = new Readings();
    for (Piece piece : document.pieces()) {
      Heights heights = Heights.of(document, piece, pictures, scrollbar, height);
      try {
        heights.at(width).stream()
            .map(
                h -> new HeightReading(piece.id(), h.item(), word(h.part()), h.width(), h.height()))
            .forEach(all.heights()::add);
        switch (piece) {
          case Tracked track -> all.tracks().add(TrackReading.of(document, track, viewport));
          case Gridded rows -> all.grids().add(GridReading.of(document, rows, viewport));
          case Tabs tabs -> all.tabs().add(TabsReading.of(document, tabs, heights, viewport));
          default -> {}
        }
      } catch (Refused noRoom) {
        // One piece without room takes no other's figures along.
        all.noRoom().add(new NoRoom(piece.id(), String.valueOf(noRoom.getMessage())));
      }
    }
    return all;
  }

  private static String word(Enum<?> constant) {
    return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** The sheet of a node: its settings, of what happens in time or of the rest. */
  @GetMapping("/api/pages/{id}/sheet")
  Sheets.Sheet sheet(
      @PathVariable String id,
      @RequestParam String node,
      @RequestParam(defaultValue = "0") double scrollbar,
      @RequestParam(defaultValue = "false") boolean drives) {
    PageService.Head head = pages.head(id);
    return Sheets.sheet(
        head.document(), pages.shown(head), node, media.sizes(head.siteId()), scrollbar, drives);
  }

  /**
   * A line of the plot of heights.
   *
   * @param part what is high, in lower case
   * @param highest whether it is the highest of all items, or else the lowest
   * @param points viewport width and height in px, where the line bends
   */
  record SeriesReply(String part, boolean highest, List<double[]> points) {}

  /** Heights of what a piece holds against the viewport's width. */
  @GetMapping("/api/pages/{id}/heights")
  List<SeriesReply> heights(
      @PathVariable String id,
      @RequestParam String piece,
      @RequestParam(defaultValue = "0") double scrollbar) {
    PageService.Head head = pages.head(id);
    Document document = pages.shown(head);
    return Heights.of(
            document,
            document.piece(piece),
            media.sizes(head.siteId()),
            scrollbar,
            Screen.USUAL_HEIGHT)
        .series()
        .stream()
        .map(line -> new SeriesReply(word(line.part()), line.highest(), line.points()))
        .toList();
  }

  /**
   * A whole page at one width.
   *
   * @param width of the viewport, px
   * @param band id of the band that it lies in
   * @param height of the page, px
   */
  record StripReply(int width, String band, double height, List<SectionStrip> sections) {}

  /**
   * A section of it.
   *
   * @param y px from the top of the page
   * @param ground its colour, as CSS has it
   */
  record SectionStrip(
      String id, String name, double y, double height, String ground, List<BlockStrip> blocks) {}

  /**
   * A block of that.
   *
   * @param y px from the top of the page
   * @param holds ids of all that is in it
   */
  record BlockStrip(
      String id, String kind, String name, double y, double height, List<String> holds) {}

  /** Widths that are looked at at once. */
  private static final int MOST_STRIPS = 12;

  /**
   * The whole page at several widths, each as high as it is there.
   *
   * @param on the moment at which somebody looks, ms since 1970; now without
   */
  @GetMapping("/api/pages/{id}/strips")
  List<StripReply> strips(
      @PathVariable String id,
      @RequestParam List<Integer> at,
      @RequestParam(required = false) @Nullable Long on) {
    if (at.isEmpty() || at.size() > MOST_STRIPS) {
      throw new Refused("widths", at.size() + " of them", "1 to " + MOST_STRIPS);
    }
    at.forEach(width -> Require.within(Bands.NARROWEST, Bands.WIDEST, "width", width));
    PageService.Head head = pages.head(id);
    Document document =
        ConditionSettings.on(
            pages.shown(head), on == null ? clock.instant() : Instant.ofEpochMilli(on));
    PictureSizes pictures = media.sizes(head.siteId());
    return at.stream()
        .map(width -> strip(document, PageStrip.of(document, pictures, width, 0)))
        .toList();
  }

  private static StripReply strip(Document document, PageStrip strip) {
    return new StripReply(
        strip.width(),
        strip.band().id(),
        strip.height(),
        strip.sections().stream()
            .map(each ->
                new SectionStrip(
                    each.section().id(),
                    Fields.called(each.section()),
                    each.y(),
                    each.height(),
                    Resolution.tone(document, each.section(), strip.band())
                        .colour(ToneColour.GROUND)
                        .css(),
                    each.blocks().stream()
                        .map(block ->
                            new BlockStrip(
                                block.block().id(),
                                block.block().type().word(),
                                Fields.called(block.block()),
                                each.y() + block.y(),
                                block.height(),
                                Document.walk(block.block()).map(Node::id).toList()))
                        .toList()))
            .toList());
  }

  /** Edits that set the suggested counts of a piece in every band. */
  @GetMapping("/api/pages/{id}/suggestion")
  @ApiResponse(
      responseCode = "200",
      content = @Content(schema = @Schema(implementation = Bodies.EditBody[].class)))
  JsonNode suggestion(
      @PathVariable String id,
      @RequestParam String piece,
      @RequestParam(defaultValue = "0") double scrollbar,
      @RequestParam(defaultValue = "12") int most) {
    return Sheets.suggestion(pages.shown(pages.head(id)), piece, scrollbar, most);
  }
}
