package giostra.core.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import giostra.core.band.Viewport;
import giostra.core.fit.Piecewise;
import giostra.core.fit.Stops;
import giostra.core.fit.Track;
import giostra.core.page.Document;
import giostra.core.page.Piece;
import giostra.core.piece.carousel.Carousel;
import giostra.core.testing.RandomDocuments;
import giostra.core.value.Refused;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What holds for every carousel of every document: segments, readings, stops and anchors agree. */
class TrackLayoutTest {

  @Property(tries = 300)
  void segmentsAgreeWithTheReadingAtEveryWidth(
      @ForAll @LongRange(min = 0, max = 100_000) long seed,
      @ForAll @DoubleRange(min = 280, max = 2560) double width,
      @ForAll @IntRange(min = 0, max = 20) int scrollbar) {
    Document document = RandomDocuments.document(seed);
    for (Piece piece : document.pieces()) {
      var carousel = (Carousel) piece;
      TrackLayout layout = TrackLayout.of(document, carousel, scrollbar);
      TrackBand band = layout.at(width);
      Piecewise.Segment segment =
          band.item().segments().stream()
              .filter(s -> width >= s.from() && width < s.below())
              .findFirst()
              .orElseThrow();
      try {
        TrackReading reading =
            TrackReading.of(document, carousel, new Viewport(width, 800, scrollbar, 1));
        assertThat(segment.line().at(width)).isCloseTo(reading.item(), within(1e-6));
        assertThat(layout.itemWidth().from()).isEqualTo(280);
      } catch (Refused noRoom) {
        assertThat(segment.line().at(width)).isLessThanOrEqualTo(1e-6);
      }
    }
  }

  /** Without a gap two items in view and one off it fill the track to the hair: 2 x w / 2 = w. */
  @ParameterizedTest
  @ValueSource(doubles = {280, 285.86, 333.3, 767.999})
  void anEndlessTrackIsOneAtEveryWidthOfItsBand(double width) {
    Document document = RandomDocuments.document(668);
    for (Piece piece : document.pieces()) {
      var viewport = new Viewport(width, 800, 1, 1);
      try {
        TrackReading reading = TrackReading.of(document, (Carousel) piece, viewport);
        assertThat(reading.offsets()).hasSameSizeAs(reading.starts());
      } catch (Refused noRoom) {
        assertThat(noRoom).hasMessageContaining("must be");
      }
    }
  }

  @Property(tries = 300)
  void itemsNeverOverlapAndEveryStopShowsWhatItSays(
      @ForAll @LongRange(min = 0, max = 100_000) long seed,
      @ForAll @DoubleRange(min = 280, max = 2560) double width) {
    Document document = RandomDocuments.document(seed);
    for (Piece piece : document.pieces()) {
      TrackBand band = TrackLayout.of(document, (Carousel) piece, 0).at(width);
      Track track;
      try {
        track = band.track(width);
      } catch (Refused noRoom) {
        continue;
      }
      Stops stops = band.stops();
      assertThat(track.pitch()).isGreaterThanOrEqualTo(track.item());
      assertThat(track.loops()).isEqualTo(band.loops());
      for (int stop = 0; stop < stops.count() && track.peek() <= track.item(); stop++) {
        for (int shown : stops.shown(stop)) {
          double start = shown * track.pitch() - track.offset(stop);
          double turned = start < -1e-6 && track.loops() ? start + track.round() : start;
          assertThat(turned).isGreaterThanOrEqualTo(-1e-6);
          assertThat(turned + track.item()).isLessThanOrEqualTo(track.inner() + 1e-6);
        }
      }
      if (!track.loops() && track.moves() && track.peek() <= track.item()) {
        double end = track.length() - track.offset(stops.count() - 1);
        assertThat(end).as("no blank end").isGreaterThanOrEqualTo(track.inner() - 1e-6);
      }
    }
  }

  @Property
  void theAnchorIsInViewAtTheStopThatKeepsIt(
      @ForAll @IntRange(min = 1, max = 30) int items,
      @ForAll @IntRange(min = 1, max = 6) int view,
      @ForAll @IntRange(min = 1, max = 6) int stride,
      @ForAll @IntRange(min = 0, max = 29) int anchor) {
    int item = anchor % items;
    Stops stops = Stops.ending(items, view, Math.min(stride, view));
    assertThat(stops.shown(stops.keeping(item))).contains(item);
  }
}
