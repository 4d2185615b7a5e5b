package giostra.core.layout;

import giostra.core.band.Viewport;
import giostra.core.fit.Stops;
import giostra.core.fit.Track;
import giostra.core.page.Document;
import giostra.core.page.TrackSettings.Marks;
import giostra.core.page.Tracked;
import java.util.List;
import java.util.stream.IntStream;

/**
 * What the engine computes for a track at one viewport. All in CSS px.
 *
 * @param band id of the band
 * @param outer width of the piece
 * @param inner inner size of the track along its axis
 * @param item size of an item along the axis
 * @param gap space between two items
 * @param marks the place marks that really show
 * @param starts first item of each stop
 * @param offsets how far the track is moved at each stop
 * @param shown the items that each stop shows in full
 */
public record TrackReading(
    String piece,
    String band,
    double outer,
    double inner,
    double item,
    double gap,
    boolean loops,
    Marks marks,
    List<Integer> starts,
    List<Double> offsets,
    List<List<Integer>> shown) {

  /**
   * Reads a track.
   *
   * @throws giostra.core.value.Refused naming the band when there is no room for items
   */
  public static TrackReading of(Document document, Tracked piece, Viewport viewport) {
    TrackBand band = TrackLayout.of(document, piece, viewport.scrollbar()).at(viewport.width());
    Track track = band.track(viewport.width());
    Stops stops = band.stops();
    return new TrackReading(
        piece.id(),
        band.band().id(),
        band.outer().at(viewport.width()),
        track.inner(),
        track.item(),
        track.gap(),
        band.loops(),
        band.marksAt(viewport.width()),
        stops.starts(),
        IntStream.range(0, stops.count()).mapToObj(track::offset).toList(),
        IntStream.range(0, stops.count()).mapToObj(stops::shown).toList());
  }
}
