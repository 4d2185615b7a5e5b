package giostra.core.output;

import giostra.core.band.Band;
import giostra.core.fit.Piecewise;
import giostra.core.layout.Sources;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A place on a page in which a picture is drawn, and the files of it that a browser chooses
 * between.
 *
 * @param files narrowest first; their widths in px
 * @param drawn how wide it is drawn, by the ids of the bands in which it is there: px by the
 *     viewport's width
 */
public record Fetched(List<Shipped.Rendition> files, Map<String, Piecewise> drawn) {
  public Fetched {
    files = List.copyOf(files);
    drawn = Map.copyOf(drawn);
  }

  /**
   * Paths of the files that are fetched for some places by whoever sees all of them: no more than
   * that, since of a picture that is there in a larger file already a browser fetches no other.
   *
   * @param width of the viewport in px, within the band
   * @param density device px for a px
   */
  public static Set<String> at(
      Collection<Fetched> places, Band band, double width, double density) {
    var paths = new LinkedHashSet<String>();
    for (Fetched each : places) {
      Piecewise drawn = each.drawn.get(band.id());
      if (drawn != null) {
        paths.add(
            new Sources<>(each.files, Shipped.Rendition::width)
                .taken(drawn, width, density)
                .path());
      }
    }
    return paths;
  }
}
