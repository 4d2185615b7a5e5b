package giostra.server.page;

import giostra.core.band.Bands;
import giostra.core.band.Viewport;
import giostra.core.fit.Screen;
import giostra.core.layout.GridReading;
import giostra.core.layout.Heights;
import giostra.core.layout.PictureSizes;
import giostra.core.layout.TrackReading;
import giostra.core.page.Document;
import giostra.core.page.Gridded;
import giostra.core.page.Piece;
import giostra.core.page.Tracked;
import giostra.core.piece.tabs.Tabs;
import giostra.core.piece.tabs.TabsReading;
import giostra.core.value.Refused;
import giostra.core.value.Require;
import giostra.server.media.MediaService;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
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

  ReadingController(PageService pages, MediaService media) {
    this.pages = pages;
    this.media = media;
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
