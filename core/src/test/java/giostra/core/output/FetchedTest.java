package giostra.core.output;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.fit.Line;
import giostra.core.fit.Piecewise;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Which files of pictures are fetched in which bands; held against Chromium in PictureJourney. */
class FetchedTest {
  private static final List<Band> BANDS = Bands.INITIAL.all();
  private static final Band WIDEST = BANDS.getLast();
  private static final List<Shipped.Rendition> FILES =
      List.of(
          new Shipped.Rendition(320, "a-320"),
          new Shipped.Rendition(640, "a-640"),
          new Shipped.Rendition(1600, "a"));

  private static Fetched in(Line line, Band... bands) {
    var drawn = new HashMap<String, Piecewise>();
    for (Band band : bands) {
      drawn.put(band.id(), Piecewise.over(0, 4000, line));
    }
    return new Fetched(FILES, drawn);
  }

  /** By hand: 320 of 400 px are 0.8, 640 are 1.6, 1 600 are 4. */
  @ParameterizedTest
  @CsvSource({
    "320, 1, a-320",
    "320.4, 1, a-640",
    "400, 1, a-640",
    "400, 1.6, a-640",
    "400, 1.7, a",
    "400, 4.5, a",
    "400, 3, a",
    "5000, 1, a",
    "0, 3, a-320"
  })
  void theFileThatFitsIsTaken(double px, double density, String file) {
    List<Fetched> places = List.of(in(new Line(0, px), WIDEST));
    assertThat(Fetched.at(places, WIDEST, WIDEST.usual(), density)).containsExactly(file);
  }

  @Test
  void aFileIsFetchedOnceAndWhatIsHiddenIsNot() {
    Band narrowest = BANDS.getFirst();
    List<Fetched> places =
        List.of(
            in(new Line(0.25, 0), WIDEST),
            in(new Line(0, 300), WIDEST, narrowest),
            in(new Line(0, 600), narrowest));
    // A quarter of 1 280 px is 320.
    assertThat(Fetched.at(places, WIDEST, 1280, 1)).containsExactly("a-320");
    assertThat(Fetched.at(places, narrowest, 390, 1)).containsExactly("a-320", "a-640");
    assertThat(Fetched.at(List.of(new Fetched(FILES, Map.of())), WIDEST, 1280, 1)).isEmpty();
  }

  /** The widths are common practice, no source. */
  @Test
  void eachBandHasAWidthThatIsCommonThere() {
    assertThat(BANDS.stream().map(Band::usual)).containsExactly(390.0, 820.0, 1280.0);
    assertThat(new Band("a", "A", 0, 320).usual()).isEqualTo(319);
    assertThat(new Band("b", "B", 400, 500.5).usual()).isEqualTo(400);
  }
}
