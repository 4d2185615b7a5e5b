package giostra.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/**
 * Widths as exact functions: what is computed piece by piece is what is computed point by point.
 */
class PiecewiseTest {
  private static Piecewise line(double slope, double constant) {
    return Piecewise.over(280, 2560, new Line(slope, constant));
  }

  @Test
  void aMeasureOf1120BesidePaddingsOf40BendsAt1200() {
    Piecewise content = line(1, -80).min(line(0, 1120));
    assertThat(content.segments()).hasSize(2);
    assertThat(content.segments().getFirst().below()).isCloseTo(1200, within(1e-9));
    assertThat(content.at(1199)).isCloseTo(1119, within(1e-9));
    assertThat(content.at(1300)).isCloseTo(1120, within(1e-9));
  }

  @Property
  void theLesserAndTheGreaterAreThoseAtEachPoint(
      @ForAll @DoubleRange(min = -2, max = 2) double a,
      @ForAll @DoubleRange(min = -900, max = 900) double b,
      @ForAll @DoubleRange(min = -2, max = 2) double c,
      @ForAll @DoubleRange(min = -900, max = 900) double d,
      @ForAll @DoubleRange(min = 280, max = 2559.9) double x) {
    Piecewise one = line(a, b);
    Piecewise other = line(c, d);
    double here = a * x + b;
    double there = c * x + d;
    assertThat(one.min(other).at(x)).isCloseTo(Math.min(here, there), within(1e-6));
    assertThat(one.max(other).at(x)).isCloseTo(Math.max(here, there), within(1e-6));
    assertThat(one.plus(other).at(x)).isCloseTo(here + there, within(1e-6));
    assertThat(one.atLeast(0).at(x)).isCloseTo(Math.max(0, here), within(1e-6));
  }

  @Test
  void rangesHaveBothEndsAndJoinAcrossSegments() {
    Piecewise tent = line(1, 0).min(line(-1, 2000));
    assertThat(tent.ranges(width -> width < 300)).hasSize(2);
    assertThat(tent.ranges(width -> width < 300).getFirst()).containsExactly(280, 299);
    assertThat(tent.ranges(width -> width < 300).getLast()).containsExactly(1701, 2559);
    assertThat(tent.ranges(width -> width >= 300)).hasSize(1);
  }

  @Test
  void outsideOfItsRangeItHasNoValue() {
    assertThatThrownBy(() -> line(1, 0).at(2560)).hasMessageContaining("outside 280.0 to 2560.0");
  }
}
