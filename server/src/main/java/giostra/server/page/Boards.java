package giostra.server.page;

import giostra.core.anatomy.Anatomy;
import giostra.core.anatomy.Tone;
import giostra.core.band.Band;
import giostra.core.dress.ReadyMove;
import giostra.core.format.EditJson;
import giostra.core.layout.PictureSizes;
import giostra.core.layout.Resolution;
import giostra.core.look.Cascade;
import giostra.core.look.Origin;
import giostra.core.look.Part;
import giostra.core.look.PartId;
import giostra.core.look.Property;
import giostra.core.look.Resolved;
import giostra.core.look.Scope;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.output.Found;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Item;
import giostra.core.page.Look;
import giostra.core.page.Node;
import giostra.core.page.Page;
import giostra.core.page.PartsShown;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.page.Section;
import giostra.core.page.SharedLook;
import giostra.core.page.Site;
import giostra.core.page.SiteSettings;
import giostra.core.snag.Contrasted;
import giostra.core.snag.Judged;
import giostra.core.snag.PartContrast;
import giostra.core.snag.Rule;
import giostra.core.snag.Snag;
import giostra.core.snag.ToneContrast;
import giostra.core.value.Refused;
import giostra.core.value.Setting;
import giostra.core.value.TypeStyle;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/** What Dress shows of a node: its parts, and what holds of one of them in each of its states. */
final class Boards {
  private Boards() {}

  /**
   * A board.
   *
   * @param parts those that the node can show, as they lie in one another
   * @param part id of the one that is told of; empty where the node has none
   * @param groups its properties, those together that are seen together
   * @param with whose look the node wears where it does not depart; none for a site and its looks
   * @param reach how many pieces and blocks, on all pages, have the part as the node says it
   */
  record Board(
      String node,
      String type,
      List<Sheets.Column> bands,
      List<PartReply> parts,
      String part,
      List<BoardGroup> groups,
      Sheets.ToneReply tone,
      @Nullable SharedWith with,
      int reach) {
    Board reaching(int many) {
      return new Board(node, type, bands, parts, part, groups, tone, with, many);
    }
  }

  /**
   * A part that can be dressed, in the states it can be in.
   *
   * @param group what it is found in, in one word
   * @param elements selector of what is it on the page
   * @param current selector of those that are current; empty where it is never that
   * @param departures how many values of it the node sets itself
   * @param share edits that make those the look that others wear too
   * @param take edits that give them up
   * @param moves what it can do while a pointer is over it; empty where it can do nothing
   */
  record PartReply(
      String id,
      String group,
      String label,
      List<String> states,
      String elements,
      String current,
      List<ContrastReply> contrasts,
      int departures,
      @Schema(implementation = Bodies.EditBody[].class) JsonNode share,
      @Schema(implementation = Bodies.EditBody[].class) JsonNode take,
      List<MoveReply> moves) {}

  /** A move that is ready to be tried, with the edits that make it the part's. */
  record MoveReply(
      String name, String told, @Schema(implementation = Bodies.EditBody[].class) JsonNode edits) {}

  /** The worst contrast of a part in a state and a band, and the least that it should be. */
  record ContrastReply(String state, String band, double found, double asked, boolean low) {
    ContrastReply(String state, String band, double found, double asked) {
      this(state, band, found, asked, found < asked);
    }
  }

  /** Properties that are seen together. */
  record BoardGroup(String label, List<BoardRow> rows) {}

  /**
   * A property.
   *
   * @param of what its values may be
   * @param states the part in each of its states
   */
  record BoardRow(String property, String label, Bodies.SettingReply of, List<InState> states) {}

  /**
   * A property in a state.
   *
   * @param key the key of the style as it is written
   * @param cells one for each band, narrowest first
   */
  record InState(String state, String key, List<Sheets.Cell> cells) {}

  /** Whose look is worn: of the site, of a look, of the piece that an item is of. */
  record SharedWith(String node, String type, String name) {}

  /**
   * The board of a node.
   *
   * @param own the page as it is edited
   * @param document the page as it is shown, with what it links to put in
   * @param nodeId whoever says how things look
   * @param ofId what is looked at: the same node, or one that it speaks of as well
   * @param part id of the part that is asked for; empty for the first
   * @throws Refused for a part that the node's type has not
   */
  static Board board(
      Document own,
      Document document,
      PictureSizes pictures,
      String nodeId,
      String ofId,
      String part) {
    Node node = PageService.node(document, nodeId);
    Values here = PageService.node(own, nodeId).values();
    List<PartReply> parts = parts(document, node, PageService.node(document, ofId), pictures);
    String asked = part.isEmpty() && !parts.isEmpty() ? parts.getFirst().id() : part;
    return new Board(
        nodeId,
        node.type().word(),
        Sheets.columns(document),
        parts,
        asked,
        asked.isEmpty()
            ? List.of()
            : groups(
                document,
                node,
                PageService.node(document, ofId),
                here,
                Anatomy.part(new PartId(asked))),
        Sheets.ToneReply.of(Resolution.tone(document, node, document.bands().lead())),
        node instanceof Site || node instanceof Look ? null : with(SharedLook.with(document, node)),
        0);
  }

  private static SharedWith with(Node node) {
    String name =
        switch (node) {
          case Look look -> look.name();
          case Site site -> site.values().get(SiteSettings.NAME);
          case Piece piece -> piece.values().get(PieceSettings.NAME);
          default -> "";
        };
    return new SharedWith(node.id(), node.type().word(), name);
  }

  private static List<BoardGroup> groups(
      Document document, Node node, Node of, Values here, Part part) {
    node.type().style(part.key(part.properties().getFirst(), State.REST));
    Map<String, Snag> notes = Sheets.notes(document, node);
    Map<String, Snag> jumps = Sheets.notes(Rule.JUMP, document, of);
    Scope scope = Resolution.scope(document, node);
    var seen = new Looked(document, node, here, scope, part, notes, jumps);
    return Arrays.stream(Property.Group.values())
        .map(group ->
            new BoardGroup(
                group.label(),
                part.properties().stream()
                    .filter(property -> property.group() == group)
                    .<BoardRow>map(seen::row)
                    .toList()))
        .filter(group -> !group.rows().isEmpty())
        .toList();
  }

  /** A part of a node whose look is asked for. */
  private record Looked(
      Document document,
      Node node,
      Values here,
      Scope scope,
      Part part,
      Map<String, Snag> notes,
      Map<String, Snag> jumps) {
    <T> BoardRow row(Property<T> property) {
      Setting<T> setting = part.setting(property);
      return new BoardRow(
          property.id(),
          setting.label(),
          Catalogue.setting(setting),
          part.states().stream().map(state -> in(state, property)).toList());
    }

    private <T> InState in(State state, Property<T> property) {
      StyleKey key = part.key(property, state);
      return new InState(
          StyleKey.word(state),
          key.written(),
          document.bands().all().stream().map(band -> cell(key, property, band)).toList());
    }

    private <T> Sheets.Cell cell(StyleKey key, Property<T> property, Band band) {
      State state = key.state();
      Snag note = notes.get(key.written() + "/" + band.id());
      Snag jump = jumps.get(key.written() + "/" + band.id());
      Setting<T> setting = part.setting(property);
      Resolved<T> resolved = Cascade.resolve(part, property, state, scope, band);
      boolean lent =
          Sheets.lent(here, resolved.origin())
              && !here.styles().speaksOf(part.key(property, resolved.origin().state()));
      Origin origin = resolved.origin();
      StyleKey found = part.key(property, origin.state());
      Optional<TypeStyle> type =
          Resolution.typeStyle(document, node, origin.layer(), part, found, band);
      String elsewhere =
          lent
              ? "from what it is linked to"
              : type.map(style -> "from the type style “" + style.label() + "”").orElse("");
      return new Sheets.Cell(
          band.id(),
          setting.write(resolved.value()),
          elsewhere.isEmpty() ? Sheets.shape(origin, node, band, state) : "look",
          elsewhere.isEmpty() ? Sheets.words(document, node, origin, band, state) : elsewhere,
          resolved.losers().stream()
              .map(l ->
                  setting.write(l.value())
                      + " "
                      + Sheets.words(document, node, l.origin(), band, state))
              .toList(),
          note == null ? null : Sheets.note(note),
          jump == null ? null : jump(jump, node));
    }
  }

  /** With edits of whoever is asked: what a look makes jump is mended in the look. */
  private static Sheets.Jump jump(Snag snag, Node node) {
    List<Edit> edits =
        snag.fixes().stream()
            .flatMap(fix -> fix.edits().stream())
            .map(edit ->
                edit instanceof Edit.SetStyle(_, StyleKey key, String band, Object value)
                    ? new Edit.SetStyle(node.id(), key, band, value)
                    : edit)
            .toList();
    return new Sheets.Jump(snag.message(), EditJson.write(edits));
  }

  /** The parts of a node, with what it departs in. */
  private static List<PartReply> parts(
      Document document, Node node, Node of, PictureSizes pictures) {
    Map<PartId, List<ContrastReply>> contrasts = contrasts(document, of, pictures);
    List<Part> shown = shown(document, of);
    List<Part> its = of.type().parts();
    // In the order of what is looked at, whoever speaks of it.
    return SharedLook.of(document, node).stream()
        .filter(look -> its.contains(look.part()))
        .sorted(Comparator.comparingInt(look -> its.indexOf(look.part())))
        // What somebody has set is not hidden from them, though it does not show now.
        .filter(look ->
            (shown.contains(look.part()) && label(document, look.part()).isPresent())
                || look.departures() > 0)
        .map(look -> part(document, look, node, contrasts))
        .toList();
  }

  /** What people call a part; nothing of a tone that the site has not made. */
  private static Optional<String> label(Document document, Part part) {
    Optional<Tone> tone = Tone.of(part);
    return tone.isPresent()
        ? tone.flatMap(document.site()::called).map(Tone::label)
        : Optional.of(part.label());
  }

  private static List<Part> shown(Document document, Node node) {
    return node instanceof Item && SharedLook.with(document, node) instanceof Piece piece
        ? PartsShown.ofItem(piece)
        : PartsShown.of(node);
  }

  private static PartReply part(
      Document document, SharedLook look, Node node, Map<PartId, List<ContrastReply>> contrasts) {
    // What the site says all share already, and a look is worn by whoever wears it.
    boolean shares = !(node instanceof Site) && !(node instanceof Look);
    Found found = Found.of(look.part());
    return new PartReply(
        look.part().id().id(),
        look.part().id().place(),
        label(document, look.part()).orElse(look.part().label()),
        look.part().states().stream().map(StyleKey::word).toList(),
        found.elements(),
        found.current(),
        contrasts.getOrDefault(look.part().id(), List.of()),
        look.departures(),
        EditJson.write(shares ? look.share() : List.of()),
        EditJson.write(shares ? look.take() : List.of()),
        ReadyMove.fit(look.part())
            ? Arrays.stream(ReadyMove.values())
                .map(move ->
                    new MoveReply(
                        move.label(),
                        move.told(),
                        EditJson.write(move.edits(document, node, look.part()))))
                .toList()
            : List.of());
  }

  /** The contrasts that are computed of a node's parts. */
  private static Map<PartId, List<ContrastReply>> contrasts(
      Document document, Node node, PictureSizes pictures) {
    var all = new HashMap<PartId, List<ContrastReply>>();
    if (node instanceof Piece piece) {
      for (Contrasted each : Judged.of(piece).contrasts(document, piece)) {
        put(all, each.part(), each.state(), each.band(), each.found(), each.asked());
      }
    }
    if (node instanceof Site || node instanceof Page || node instanceof Section) {
      for (ToneContrast each : ToneContrast.of(document, node)) {
        put(all, each.part(), State.REST, each.band(), each.found(), ToneContrast.ASKED);
      }
    }
    for (PartContrast each : PartContrast.of(document, node, pictures)) {
      put(all, each.part(), each.state(), each.band(), each.found(), each.asked());
    }
    return all;
  }

  private static void put(
      Map<PartId, List<ContrastReply>> all,
      Part part,
      State state,
      Band band,
      double found,
      double asked) {
    all.computeIfAbsent(part.id(), _ -> new ArrayList<>())
        .add(new ContrastReply(StyleKey.word(state), band.id(), found, asked));
  }
}
