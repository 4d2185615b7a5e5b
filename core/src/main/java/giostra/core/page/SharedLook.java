package giostra.core.page;

import giostra.core.look.Part;
import giostra.core.look.StyleKey;
import giostra.core.look.Styles;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * Between something and the look that it shares with others: an item with those of its piece, a
 * piece with those that wear the same look, all else with the site.
 *
 * @param part the part of it
 * @param with whose look that is
 * @param departures how many values of it the node sets itself
 * @param share edits that give the departures to all; the node then wears the look
 * @param take edits that give the departures up
 */
public record SharedLook(Part part, Node with, int departures, List<Edit> share, List<Edit> take) {
  public SharedLook {
    share = List.copyOf(share);
    take = List.copyOf(take);
  }

  /**
   * What a node departs in, part by part. Given to all, its values look on it as they did before:
   * where one of its values holds in a narrower band, what the site says there goes.
   */
  public static List<SharedLook> of(Document document, Node node) {
    Node with = with(document, node);
    return node.type().parts().stream().map(part -> of(document, node, with, part)).toList();
  }

  /** Whose look a node wears where it does not depart. */
  public static Node with(Document document, Node node) {
    return switch (node) {
      case Item item -> {
        List<Node> way = document.path(item.id());
        yield way.get(way.size() - 2);
      }
      case Piece piece ->
          document.site().wornBy(piece).map(Node.class::cast).orElse(document.site());
      default -> document.site();
    };
  }

  private static SharedLook of(Document document, Node node, Node with, Part part) {
    var share = new ArrayList<Edit>();
    var take = new ArrayList<Edit>();
    Styles own = node.values().styles();
    if (!own.set().isEmpty()) {
      for (StyleKey key : part.keys()) {
        Map<String, Object> said = own.set().getOrDefault(key, Map.of());
        if (!said.isEmpty()) {
          outdone(document, with, key, said).forEach(share::add);
        }
        Setting<?> setting = part.setting(key.property());
        said.forEach((band, value) -> {
          share.add(new Edit.SetStyle(with.id(), key, band, setting.write(value)));
          take.add(new Edit.SetStyle(node.id(), key, band, null));
        });
      }
    }
    share.addAll(take);
    return new SharedLook(part, with, take.size(), share, take);
  }

  /** Takes from what is shared what the node's value of a wider band held against. */
  private static Stream<Edit> outdone(
      Document document, Node with, StyleKey key, Map<String, Object> own) {
    Map<String, Object> shared = with.values().styles().set().getOrDefault(key, Map.of());
    return document.bands().all().stream()
        .filter(band -> shared.containsKey(band.id()) && !own.containsKey(band.id()))
        .filter(band ->
            document.bands().fromThenWider(band).stream()
                .anyMatch(wider -> own.containsKey(wider.id())))
        .map(band -> new Edit.SetStyle(with.id(), key, band.id(), null));
  }
}
