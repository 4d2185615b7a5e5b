package giostra.server.page;

import giostra.core.anatomy.Anatomy;
import giostra.core.band.Band;
import giostra.core.format.EditJson;
import giostra.core.layout.Resolution;
import giostra.core.look.Cascade;
import giostra.core.look.Part;
import giostra.core.look.PartId;
import giostra.core.look.Property;
import giostra.core.look.Resolved;
import giostra.core.look.Scope;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Node;
import giostra.core.page.Page;
import giostra.core.page.PartsShown;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.page.SharedLook;
import giostra.core.page.Site;
import giostra.core.snag.NoEffect;
import giostra.core.snag.PlayerContrast;
import giostra.core.snag.ToneContrast;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** What is shown of the parts of a node: which there are, and what holds of each in a state. */
final class PartSheets {
  private PartSheets() {}

  /**
   * A part in a state.
   *
   * @throws Refused when the node's type has no such part, or it no such state
   */
  record Asked(Part part, State state) {
    static Asked of(String part, String state) {
      Part found = Anatomy.part(new PartId(part));
      found.check(
          found.key(
              found.properties().getFirst(), StyleKey.state(state.isEmpty() ? "rest" : state)));
      return new Asked(found, StyleKey.state(state.isEmpty() ? "rest" : state));
    }
  }

  static List<Sheets.Row> rows(
      Document document, Node node, Values here, Asked of, Map<String, NoEffect> notes) {
    node.type().style(of.part().key(of.part().properties().getFirst(), of.state()));
    var seen = new Looked(document, node, here, Resolution.scope(document, node));
    return of.part().properties().stream().map(each -> seen.row(of, each, notes)).toList();
  }

  /** A node whose look is asked for. */
  private record Looked(Document document, Node node, Values here, Scope scope) {
    <T> Sheets.Row row(Asked of, Property<T> property, Map<String, NoEffect> notes) {
      Setting<T> setting = of.part().setting(property);
      StyleKey key = of.part().key(property, of.state());
      return new Sheets.Row(
          key.written(),
          setting.label(),
          setting.kind().allowed(),
          of.part().id().id(),
          StyleKey.word(of.state()),
          property.id(),
          Catalogue.setting(setting),
          document.bands().all().stream()
              .map(band -> cell(of, property, band, notes.get(key.written() + "/" + band.id())))
              .toList());
    }

    private <T> Sheets.Cell cell(
        Asked of, Property<T> property, Band band, @Nullable NoEffect note) {
      Setting<T> setting = of.part().setting(property);
      Resolved<T> resolved = Cascade.resolve(of.part(), property, of.state(), scope, band);
      boolean lent =
          Sheets.lent(here, resolved.origin())
              && !here.styles().speaksOf(of.part().key(property, resolved.origin().state()));
      return new Sheets.Cell(
          band.id(),
          setting.write(resolved.value()),
          lent ? "look" : Sheets.shape(resolved.origin(), node, band, of.state()),
          lent
              ? "from what it is linked to"
              : Sheets.words(document, node, resolved.origin(), band, of.state()),
          resolved.losers().stream()
              .map(l ->
                  setting.write(l.value())
                      + " "
                      + Sheets.words(document, node, l.origin(), band, of.state()))
              .toList(),
          note == null ? null : new Sheets.Note(note.message(), note.cause()));
    }
  }

  /** The parts of a node, with what it departs in. */
  static List<Sheets.PartReply> parts(Document document, Node node) {
    Map<PartId, List<Sheets.ContrastReply>> contrasts = contrasts(document, node);
    List<Part> shown = PartsShown.of(node);
    return SharedLook.of(document, node).stream()
        // What somebody has set is not hidden from them, though it does not show now.
        .filter(look -> shown.contains(look.part()) || look.departures() > 0)
        .map(look -> part(look, node, contrasts))
        .toList();
  }

  private static Sheets.PartReply part(
      SharedLook look, Node node, Map<PartId, List<Sheets.ContrastReply>> contrasts) {
    String id = look.part().id().id();
    // What the site says all share already.
    boolean shares = !(node instanceof Site);
    return new Sheets.PartReply(
        id,
        look.part().id().place(),
        look.part().label(),
        look.part().states().stream().map(StyleKey::word).toList(),
        contrasts.getOrDefault(look.part().id(), List.of()),
        look.departures(),
        EditJson.write(shares ? look.share() : List.of()),
        EditJson.write(shares ? look.take() : List.of()));
  }

  /** The contrasts that are computed of a node's parts. */
  private static Map<PartId, List<Sheets.ContrastReply>> contrasts(Document document, Node node) {
    var all = new HashMap<PartId, List<Sheets.ContrastReply>>();
    if (node instanceof Piece.Video player) {
      for (PlayerContrast each : PlayerContrast.of(document, player)) {
        all.computeIfAbsent(each.part().id(), _ -> new ArrayList<>())
            .add(
                new Sheets.ContrastReply(
                    StyleKey.word(each.state()), each.band().id(), each.found(), each.asked()));
      }
    }
    if (node instanceof Site || node instanceof Page || node instanceof Section) {
      for (ToneContrast each : ToneContrast.of(document, node)) {
        all.computeIfAbsent(each.part().id(), _ -> new ArrayList<>())
            .add(
                new Sheets.ContrastReply(
                    StyleKey.word(State.REST), each.band().id(), each.found(), ToneContrast.ASKED));
      }
    }
    return all;
  }
}
