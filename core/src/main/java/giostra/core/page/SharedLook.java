package giostra.core.page;

import giostra.core.page.PlayerParts.Part;
import giostra.core.page.PlayerParts.Styled;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * Between one player and the look that all players of its site share.
 *
 * @param part the part of the player
 * @param departures how many values of it the piece sets itself
 * @param share edits that give the departures to all players; the piece then wears the look
 * @param take edits that give the departures up
 */
public record SharedLook(Part part, int departures, List<Edit> share, List<Edit> take) {
  public SharedLook {
    share = List.copyOf(share);
    take = List.copyOf(take);
  }

  /**
   * What a player departs in, part by part. Given to all, its values look on it as they did before:
   * where one of its values holds in a narrower band, what the site says there goes.
   */
  public static List<SharedLook> of(Document document, Piece.Video player) {
    var all = new ArrayList<SharedLook>();
    for (Part part : Part.values()) {
      var share = new ArrayList<Edit>();
      var take = new ArrayList<Edit>();
      for (Styled<?> each : PlayerParts.of(part)) {
        Setting<?> setting = each.setting();
        Map<String, Object> own = player.values().set().getOrDefault(setting.id(), Map.of());
        if (!own.isEmpty()) {
          outdone(document, setting, own).forEach(share::add);
        }
        own.forEach((band, value) -> {
          share.add(new Edit.SetValue(Site.ID, setting.id(), band, setting.write(value)));
          take.add(new Edit.SetValue(player.id(), setting.id(), band, null));
        });
      }
      share.addAll(take);
      all.add(new SharedLook(part, take.size(), share, take));
    }
    return all;
  }

  /** Takes from the site what the player's value of a wider band held against. */
  private static Stream<Edit> outdone(
      Document document, Setting<?> setting, Map<String, Object> own) {
    Map<String, Object> site = document.site().values().set().getOrDefault(setting.id(), Map.of());
    return document.bands().all().stream()
        .filter(band -> site.containsKey(band.id()) && !own.containsKey(band.id()))
        .filter(band ->
            document.bands().fromThenWider(band).stream()
                .anyMatch(wider -> own.containsKey(wider.id())))
        .map(band -> new Edit.SetValue(Site.ID, setting.id(), band.id(), null));
  }
}
