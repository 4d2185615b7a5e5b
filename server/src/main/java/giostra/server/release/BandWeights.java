package giostra.server.release;

import giostra.core.band.Band;
import giostra.core.output.Fetched;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.stream.LongStream;

/** What the pictures of a page weigh, band by band. */
final class BandWeights {
  /** Device px for a px: of most desks, of most tablets, of most phones. Practice, no source. */
  private static final List<Integer> DENSITIES = List.of(1, 2, 3);

  private BandWeights() {}

  /**
   * What somebody fetches who sees all of it.
   *
   * @param bands from the narrowest on
   * @param places where pictures are drawn
   * @param sizes bytes by path
   */
  static List<ReleaseBandEntity> of(
      List<Band> bands, Collection<Fetched> places, Map<String, Long> sizes) {
    var all = new ArrayList<ReleaseBandEntity>();
    for (Band band : bands) {
      var entity = new ReleaseBandEntity();
      entity.place = all.size();
      entity.name = band.name();
      entity.width = (int) band.usual();
      entity.bytes =
          DENSITIES.stream()
              .mapToLong(density ->
                  Fetched.at(places, band, band.usual(), density).stream()
                      .mapToLong(path -> sizes.getOrDefault(path, 0L))
                      .sum())
              .toArray();
      all.add(entity);
    }
    return all;
  }

  static ReleaseService.BandLine line(ReleaseBandEntity entity) {
    return new ReleaseService.BandLine(
        entity.name, entity.width, LongStream.of(entity.bytes).boxed().toList());
  }
}
