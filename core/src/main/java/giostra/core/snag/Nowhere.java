package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.layout.Resolution;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.page.Section;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A link to a place on the page that is not there, or is hidden: who presses it stays where they
 * are. Common practice, no source.
 */
final class Nowhere {
  private Nowhere() {}

  static List<Snag> check(Looked at) {
    if (!(at.node() instanceof Piece) && !(at.node() instanceof Section)) {
      return List.of();
    }
    return Leading.in(at.node()).stream().flatMap(link -> of(at, link)).toList();
  }

  /** In the bands in which the link is there and what it leads to is not. */
  private static Stream<Snag> of(Looked at, Leading link) {
    Optional<Node> place = at.anchors().led(link.name());
    List<Band> all = at.document().bands().all();
    List<Band> without =
        all.stream()
            .filter(band -> at.anchors().there(link.of(), band))
            .filter(band -> place.filter(node -> at.anchors().there(node, band)).isEmpty())
            .toList();
    if (without.size() == all.size()) {
      return Stream.of(found(at, link, place, Extent.always(at.document()), without));
    }
    return without.stream().map(band -> found(at, link, place, Extent.of(band), List.of(band)));
  }

  private static Snag found(
      Looked at, Leading link, Optional<Node> place, Extent extent, List<Band> without) {
    String said =
        place
            .map(node ->
                Said.of(
                    "leads-to-hidden",
                    "place",
                    link.name(),
                    "what",
                    Fields.called(node),
                    "from",
                    extent.widths().from(),
                    "to",
                    extent.widths().to()))
            .orElseGet(() -> Said.of("leads-nowhere", "place", link.name()));
    Optional<Snag.Fix> out =
        place
            .map(node ->
                new Snag.Fix(
                    Said.of("show-place", "what", Fields.called(node)),
                    showing(at.document(), node, without)))
            .or(() -> link.setting().map(setting -> away(link.of(), setting)));
    Snag snag = Snag.of(Rule.NOWHERE, at.node().id(), extent, said);
    Snag of = link.of() == at.node() ? snag : snag.of(link.of().id());
    return link.setting()
        .map(setting -> of.about(setting.id(), setting.id()))
        .orElse(of)
        .withFixes(out.stream().toList());
  }

  private static Snag.Fix away(Node node, Setting<?> link) {
    return Snag.Fix.of(Said.of("no-link"), new Edit.SetValue(node.id(), link.id(), "", null));
  }

  /** Edits after which something, and all it stands in, is there in some bands. */
  private static List<Edit> showing(Document document, Node place, List<Band> bands) {
    var edits = new ArrayList<Edit>();
    for (Node each : document.path(place.id())) {
      if (!(each instanceof Piece) && !(each instanceof Item)) {
        continue;
      }
      boolean piece = each instanceof Piece;
      if (each.values().get(piece ? PieceSettings.HIDDEN : ItemSettings.HIDDEN)) {
        edits.add(new Edit.SetValue(each.id(), PieceSettings.HIDDEN.id(), "", null));
      }
      for (Band band : bands) {
        if (!Resolution.value(
            document, each, piece ? PieceSettings.SHOWN : ItemSettings.SHOWN, band)) {
          edits.add(new Edit.SetValue(each.id(), PieceSettings.SHOWN.id(), band.id(), true));
        }
      }
    }
    return edits;
  }
}
