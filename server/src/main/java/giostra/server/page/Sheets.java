package giostra.server.page;

import giostra.core.band.Band;
import giostra.core.band.Require;
import giostra.core.band.Setting;
import giostra.core.band.Viewport;
import giostra.core.fit.Piecewise;
import giostra.core.format.EditJson;
import giostra.core.layout.CarouselBand;
import giostra.core.layout.CarouselLayout;
import giostra.core.layout.Resolution;
import giostra.core.look.Layer;
import giostra.core.look.Origin;
import giostra.core.look.Resolved;
import giostra.core.page.CarouselSettings;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.page.Site;
import giostra.core.snag.Crowded;
import giostra.core.snag.Narrow;
import giostra.core.snag.NoEffect;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/**
 * What Arrange shows of a node: the sheet, and for a carousel the plot. All computed in the core.
 */
final class Sheets {
  private Sheets() {}

  /** The sheet of a node. */
  record Sheet(String node, String type, List<Column> bands, List<Row> rows, @Nullable Plot plot) {}

  /** A column: one band. */
  record Column(String id, String name, double from, @Nullable Double below, boolean lead) {}

  /** A row: one setting. */
  record Row(String setting, String label, String allowed, List<Cell> cells) {}

  /**
   * One value.
   *
   * @param shape of its origin: {@code here}, {@code wider}, {@code look} or {@code site}
   * @param from where it comes from, in words
   * @param losers what would hold if it were taken away, in words
   */
  record Cell(
      String band,
      Object value,
      String shape,
      String from,
      List<String> losers,
      @Nullable Note note) {}

  /** Why a value has no effect, and the setting to look at. */
  record Note(String message, String cause) {}

  /**
   * Item width against viewport width.
   *
   * @param comfortFrom px
   * @param comfortTo px
   */
  record Plot(
      List<Segment> segments,
      double comfortFrom,
      double comfortTo,
      List<Bad> bad,
      List<Suggested> suggested,
      List<String> hints,
      double most) {}

  /** A straight stretch: both ends in px. */
  record Segment(double fromX, double fromY, double toX, double toY, String band) {}

  /** A range that is too narrow, with ways out. */
  record Bad(int from, int to, String band, String message, List<FixReply> fixes) {}

  /** A way out, as edits. */
  record FixReply(String label, @Schema(implementation = Bodies.EditBody[].class) JsonNode edits) {}

  /** How many to show in a band. */
  record Suggested(String band, int now, int count) {}

  static Sheet sheet(Document document, String nodeId, double scrollbar) {
    Require.within(0, Viewport.WIDEST_SCROLLBAR, "scrollbar (px)", scrollbar);
    Node node = PageService.node(document, nodeId);
    List<Band> bands = document.bands().all();
    Map<String, NoEffect> notes =
        node instanceof Piece.Carousel carousel
            ? NoEffect.of(document, carousel).stream()
                .collect(
                    Collectors.toMap(
                        n -> n.setting() + "/" + n.band(), Function.identity(), (a, _) -> a))
            : Map.of();
    var rows = new ArrayList<Row>();
    for (Setting<?> setting : node.type().settings()) {
      if (setting.byBand()) {
        rows.add(
            new Row(
                setting.id(),
                setting.label(),
                setting.kind().allowed(),
                bands.stream().map(b -> cell(document, node, setting, b, notes)).toList()));
      }
    }
    Plot plot =
        node instanceof Piece.Carousel carousel ? plot(document, carousel, scrollbar) : null;
    return new Sheet(
        nodeId,
        node.type().word(),
        bands.stream()
            .map(b ->
                new Column(b.id(), b.name(), b.from(), b.widest() ? null : b.below(), b.widest()))
            .toList(),
        rows,
        plot);
  }

  private static <T> Cell cell(
      Document document, Node node, Setting<T> setting, Band band, Map<String, NoEffect> notes) {
    Resolved<T> resolved = Resolution.of(document, node, setting, band);
    NoEffect note = notes.get(setting.id() + "/" + band.id());
    return new Cell(
        band.id(),
        setting.write(resolved.value()),
        shape(resolved.origin(), node, band),
        words(document, node, resolved.origin(), band),
        resolved.losers().stream()
            .map(l -> setting.write(l.value()) + " " + words(document, node, l.origin(), band))
            .toList(),
        note == null ? null : new Note(note.message(), note.cause()));
  }

  private static String shape(Origin origin, Node node, Band band) {
    String own = origin.band().equals(band.id()) ? "here" : "wider";
    return switch (origin.layer()) {
      case INITIAL -> "site";
      case SITE -> node instanceof Site ? own : "site";
      case LOOK -> "look";
      case ITEM, PIECE, SECTION, PAGE -> own;
    };
  }

  private static String words(Document document, Node node, Origin origin, Band band) {
    if (origin.layer() == Layer.INITIAL) {
      return "initially";
    }
    String at = document.bands().band(origin.band()).name();
    boolean own = origin.layer() != Layer.SITE || node.id().equals("site");
    if (own) {
      return origin.band().equals(band.id()) ? "set here" : "from " + at;
    }
    return "from the site, " + at;
  }

  private static Plot plot(Document document, Piece.Carousel piece, double scrollbar) {
    CarouselLayout layout = CarouselLayout.of(document, piece, scrollbar);
    double least = piece.values().get(CarouselSettings.COMFORT_FROM).constantPx();
    var segments = new ArrayList<Segment>();
    double most = 0;
    for (CarouselBand band : layout.bands()) {
      for (Piecewise.Segment s : band.itemWidth().segments()) {
        double a = s.line().at(s.from());
        double b = s.line().at(s.below());
        most = Math.max(most, Math.max(a, b));
        segments.add(new Segment(s.from(), a, s.below(), b, band.band().id()));
      }
    }
    var suggested =
        layout.bands().stream()
            .map(b ->
                new Suggested(b.band().id(), b.asked(), CarouselLayout.suggested(b, least, 12)))
            .toList();
    return new Plot(
        segments,
        least,
        piece.values().get(CarouselSettings.COMFORT_TO).constantPx(),
        Narrow.of(document, piece, scrollbar).stream()
            .map(n ->
                new Bad(
                    n.from(),
                    n.to(),
                    n.band(),
                    n.message(),
                    n.fixes().stream()
                        .map(f -> new FixReply(f.label(), EditJson.write(f.edits())))
                        .toList()))
            .toList(),
        suggested,
        Crowded.of(document, piece).stream().map(Crowded::message).toList(),
        most);
  }

  /** Edits that take the suggested counts. */
  static JsonNode suggestion(Document document, String pieceId, double scrollbar, int most) {
    if (!(document.piece(pieceId) instanceof Piece.Carousel carousel)) {
      throw new giostra.core.band.Refused("piece", pieceId, "a carousel");
    }
    double least = carousel.values().get(CarouselSettings.COMFORT_FROM).constantPx();
    List<Edit> edits =
        CarouselLayout.of(document, carousel, scrollbar).bands().stream()
            .<Edit>map(b ->
                new Edit.SetValue(
                    pieceId,
                    CarouselSettings.IN_VIEW.id(),
                    b.band().id(),
                    (double) CarouselLayout.suggested(b, least, most)))
            .toList();
    return EditJson.write(edits);
  }
}
