package giostra.server.page;

import giostra.core.anatomy.Tone;
import giostra.core.band.Band;
import giostra.core.band.Viewport;
import giostra.core.fit.Piecewise;
import giostra.core.format.EditJson;
import giostra.core.layout.ItemWidths;
import giostra.core.layout.PictureSizes;
import giostra.core.layout.Resolution;
import giostra.core.look.Layer;
import giostra.core.look.Origin;
import giostra.core.look.Resolved;
import giostra.core.look.State;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Linking;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.snag.Extent;
import giostra.core.snag.Leaves;
import giostra.core.snag.Place;
import giostra.core.snag.Rule;
import giostra.core.snag.Snag;
import giostra.core.snag.Snags;
import giostra.core.value.PickKind;
import giostra.core.value.Refused;
import giostra.core.value.Require;
import giostra.core.value.Setting;
import giostra.core.value.Step;
import giostra.core.value.ToneColour;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/** What Arrange shows of a node: the sheet, and for pieces the plot. All computed in the core. */
final class Sheets {
  private Sheets() {}

  /** A sheet. */
  record Sheet(
      String node,
      String type,
      List<Column> bands,
      List<Row> rows,
      @Nullable Plot plot,
      List<Finding> snags) {}

  /** The tone that a node stands in, with the colours that it has under their names. */
  record ToneReply(String label, List<NamedColour> colours) {
    static ToneReply of(Tone tone) {
      return new ToneReply(
          tone.label(),
          Arrays.stream(ToneColour.values())
              .map(name ->
                  new NamedColour(PickKind.word(name), name.label(), tone.colour(name).css()))
              .toList());
    }
  }

  /** A colour of a tone. */
  record NamedColour(String id, String label, String colour) {}

  /** A column: one band. */
  record Column(String id, String name, double from, @Nullable Double below, boolean lead) {}

  /**
   * A row: one setting.
   *
   * @param setting its id
   * @param of what its values may be
   */
  record Row(
      String setting, String label, String allowed, Bodies.SettingReply of, List<Cell> cells) {}

  /**
   * One value.
   *
   * @param shape of its origin: {@code here}, {@code wider}, {@code look} or {@code site}
   * @param from where it comes from, in words
   * @param losers what would hold if it were taken away, in words
   * @param jump what it makes move, where it takes other room than at rest
   */
  record Cell(
      String band,
      Object value,
      String shape,
      String from,
      List<String> losers,
      @Nullable Note note,
      @Nullable Jump jump) {}

  /** What a value makes move while its part is touched, and the edits after which it does not. */
  record Jump(
      String message, @Schema(implementation = Bodies.EditBody[].class) JsonNode asAtRest) {}

  /** Why a value has no effect, and the setting to look at. */
  record Note(String message, String cause) {}

  /**
   * Item width against viewport width.
   *
   * @param what what is measured, as it begins a sentence
   * @param comfortFrom px
   * @param comfortTo px
   */
  record Plot(
      String what,
      List<Segment> segments,
      double comfortFrom,
      double comfortTo,
      List<Suggested> suggested,
      List<String> hints,
      double most) {}

  /** A straight stretch: both ends in px. */
  record Segment(double fromX, double fromY, double toX, double toY, String band) {}

  /**
   * What is wrong over a range of viewport widths, with ways out.
   *
   * @param key its name, the same as long as it is found there
   * @param rule in lower case, with hyphens
   * @param severity {@code breaks}, {@code hurts}, {@code hint} or {@code note}
   * @param piece id of the piece or of the columns
   * @param item id of the item, empty for the whole piece
   * @param part id of the part, empty where none is meant
   * @param value id of the setting or key of the style that it is about, empty where it is of none
   * @param cause that to look at
   * @param state in which it is so
   * @param times at which it is so, in ms of a round
   * @param dates between which it is so
   */
  record Finding(
      String key,
      String rule,
      String severity,
      String piece,
      String item,
      String part,
      String value,
      String cause,
      int from,
      int to,
      String band,
      String state,
      @Nullable Times times,
      @Nullable Dates dates,
      @Nullable Measured measured,
      String message,
      List<FixReply> fixes) {}

  /** Moments of a round, in ms from its beginning. */
  record Times(long from, long to) {}

  /** From a moment until before another. */
  record Dates(Instant from, Instant to) {}

  /**
   * What was found and what is required.
   *
   * @param unit in lower case
   */
  record Measured(double found, double required, String unit) {}

  /** A way out, as edits. */
  record FixReply(String label, @Schema(implementation = Bodies.EditBody[].class) JsonNode edits) {}

  /** How many to show in a band, and the setting that says so. */
  record Suggested(String band, String setting, int now, int count) {}

  /**
   * The sheet of a node.
   *
   * @param own the page as it is edited
   * @param document the page as it is shown, with what it links to put in
   * @param drives whether of what happens in time, or of the rest
   */
  static Sheet sheet(
      Document own,
      Document document,
      String nodeId,
      PictureSizes pictures,
      double scrollbar,
      boolean drives) {
    Require.within(0, Viewport.WIDEST_SCROLLBAR, "scrollbar (px)", scrollbar);
    Node node = PageService.node(document, nodeId);
    Values here = PageService.node(own, nodeId).values();
    List<Band> bands = document.bands().all();
    Map<String, Snag> notes = notes(document, node);
    var rows = new ArrayList<Row>();
    for (Setting<?> setting : node.type().settings()) {
      if (setting.byBand() && setting.home() == (drives ? Step.DRIVE : Step.ARRANGE)) {
        rows.add(
            new Row(
                setting.id(),
                setting.label(),
                setting.kind().allowed(),
                Catalogue.setting(setting),
                bands.stream().map(b -> cell(document, node, here, setting, b, notes)).toList()));
      }
    }
    Plot plot =
        node instanceof Piece piece && !drives
            ? ItemWidths.of(document, piece, scrollbar)
                .map(widths -> plot(document, widths))
                .orElse(null)
            : null;
    return new Sheet(
        nodeId,
        node.type().word(),
        columns(document),
        rows,
        plot,
        snags(document, node, pictures, scrollbar, drives));
  }

  /** The bands of a document, narrowest first. */
  static List<Column> columns(Document document) {
    return document.bands().all().stream()
        .map(b -> new Column(b.id(), b.name(), b.from(), b.widest() ? null : b.below(), b.widest()))
        .toList();
  }

  /** What is without effect on a node, by setting or style and band. */
  static Map<String, Snag> notes(Document document, Node node) {
    return notes(Rule.NO_EFFECT, document, node);
  }

  /** The first finding of a rule about each value, by its key and band. */
  static Map<String, Snag> notes(Rule rule, Document document, Node node) {
    return Snags.of(rule, document, node, 0).stream()
        .collect(
            Collectors.toMap(
                snag -> snag.place().value() + "/" + snag.band(),
                Function.identity(),
                (first, _) -> first));
  }

  static String word(Enum<?> constant) {
    return constant.name().toLowerCase(Locale.ROOT);
  }

  private static List<Finding> snags(
      Document document, Node node, PictureSizes pictures, double scrollbar, boolean drives) {
    // Notes stand beside the values that they are about.
    return Leaves.counted(document, Snags.of(document, node, pictures, scrollbar)).stream()
        .filter(snag -> snag.rule().inTime() == drives)
        .map(Sheets::finding)
        .toList();
  }

  private static <T> Cell cell(
      Document document,
      Node node,
      Values here,
      Setting<T> setting,
      Band band,
      Map<String, Snag> notes) {
    Resolved<T> resolved = Resolution.of(document, node, setting, band);
    Snag note = notes.get(setting.id() + "/" + band.id());
    return new Cell(
        band.id(),
        setting.write(resolved.value()),
        lent(here, setting, resolved.origin())
            ? "look"
            : shape(resolved.origin(), node, band, State.REST),
        lent(here, setting, resolved.origin())
            ? "from what it is linked to"
            : words(document, node, resolved.origin(), band, State.REST),
        resolved.losers().stream()
            .map(l ->
                setting.write(l.value())
                    + " "
                    + words(document, node, l.origin(), band, State.REST))
            .toList(),
        note == null ? null : note(note),
        null);
  }

  /** Whether a value comes from what the node is linked to, and not from the node. */
  private static boolean lent(Values here, Setting<?> setting, Origin origin) {
    return lent(here, origin) && here.own(setting, origin.band()) == null;
  }

  static boolean lent(Values here, Origin origin) {
    return !here.get(Linking.LINKED_TO).isEmpty()
        && (origin.layer() == Layer.PIECE || origin.layer() == Layer.SECTION);
  }

  static String shape(Origin origin, Node node, Band band, State asked) {
    // What is set for rest and shows in another state is as little set there as a wider band's.
    boolean here = origin.band().equals(band.id()) && origin.state() == asked;
    if (origin.layer() == Resolution.layer(node)) {
      return here ? "here" : "wider";
    }
    return switch (origin.layer()) {
      case INITIAL, SITE -> "site";
      case LOOK, ITEM, PIECE, SECTION, PAGE -> "look";
    };
  }

  static String words(Document document, Node node, Origin origin, Band band, State asked) {
    String state = origin.state() == asked ? "" : ", " + word(origin.state());
    if (origin.layer() == Layer.INITIAL) {
      return "initially" + state;
    }
    String at = document.bands().band(origin.band()).name();
    if (origin.layer() == Resolution.layer(node)) {
      return (origin.band().equals(band.id()) ? "set here" : "from " + at) + state;
    }
    return "from the " + word(origin.layer()) + ", " + at + state;
  }

  private static Plot plot(Document document, ItemWidths widths) {
    var segments = new ArrayList<Segment>();
    double most = 0;
    for (ItemWidths.InBand in : widths.bands()) {
      for (Piecewise.Segment s : in.width().segments()) {
        double a = s.line().at(s.from());
        double b = s.line().at(s.below());
        most = Math.max(most, Math.max(a, b));
        segments.add(new Segment(s.from(), a, s.below(), b, in.band().id()));
      }
    }
    return new Plot(
        widths.what(),
        segments,
        widths.comfortFrom(),
        widths.comfortTo(),
        suggested(widths),
        Snags.of(Rule.CROWDED, document, widths.piece(), 0).stream().map(Snag::message).toList(),
        most);
  }

  static Note note(Snag snag) {
    return new Note(snag.message(), snag.place().cause());
  }

  static Finding finding(Snag snag) {
    Place place = snag.place();
    Extent extent = snag.extent();
    return new Finding(
        snag.key(),
        snag.rule().word(),
        word(snag.rule().severity()),
        place.node(),
        place.item(),
        place.part(),
        place.value(),
        place.cause(),
        snag.from(),
        snag.to(),
        snag.band(),
        PickKind.word(extent.state()),
        extent.times().map(t -> new Times(t.from(), t.to())).orElse(null),
        extent.dates().map(d -> new Dates(d.from(), d.to())).orElse(null),
        snag.measure().map(m -> new Measured(m.found(), m.required(), word(m.unit()))).orElse(null),
        snag.message(),
        snag.fixes().stream()
            .map(f -> new FixReply(f.label(), EditJson.write(f.edits())))
            .toList());
  }

  private static List<Suggested> suggested(ItemWidths widths) {
    return widths.bands().stream()
        .filter(ItemWidths.InBand::counted)
        .map(in ->
            new Suggested(in.band().id(), in.setting().id(), in.count(), widths.suggested(in, 12)))
        .toList();
  }

  /** Edits that take the suggested counts. */
  static JsonNode suggestion(Document document, String pieceId, double scrollbar, int most) {
    ItemWidths widths =
        ItemWidths.of(document, document.piece(pieceId), scrollbar)
            .orElseThrow(() -> new Refused("piece", pieceId, "one whose items stand side by side"));
    List<Edit> edits =
        widths.bands().stream()
            .filter(ItemWidths.InBand::counted)
            .<Edit>map(in ->
                new Edit.SetValue(
                    pieceId,
                    in.setting().id(),
                    in.band().id(),
                    (double) widths.suggested(in, most)))
            .toList();
    return EditJson.write(edits);
  }
}
