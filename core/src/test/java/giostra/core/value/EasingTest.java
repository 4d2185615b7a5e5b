package giostra.core.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import giostra.core.page.CounterSettings.Curve;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Source: CSS Easing Functions 2, "Cubic Bézier easing functions"; the values are worked out from
 * the curve's equation by hand in docs/engine.md.
 */
class EasingTest {
  @ParameterizedTest
  @CsvSource({
    "EASE, 0.25, 0.408511", "EASE, 0.5, 0.802403", "EASE, 0.75, 0.960459",
    "EASE_IN, 0.5, 0.315357", "EASE_OUT, 0.5, 0.684643", "EASE_IN_OUT, 0.5, 0.5",
    "LINEAR, 0.3, 0.3"
  })
  void aCurveReachesTheWorkedValue(Curve curve, double share, double progress) {
    assertThat(curve.easing().at(share)).isCloseTo(progress, within(1e-6));
  }

  @ParameterizedTest
  @CsvSource({"EASE", "EASE_IN", "EASE_OUT", "EASE_IN_OUT", "LINEAR", "OVERSHOOT"})
  void everyCurveBeginsAtNothingAndEndsAtAll(Curve curve) {
    assertThat(curve.easing().at(0)).isZero();
    assertThat(curve.easing().at(1)).isEqualTo(1);
    assertThat(curve.easing().at(7)).isEqualTo(1);
  }

  @Property
  void easeInMirrorsEaseOut(@ForAll @DoubleRange(min = 0, max = 1) double share) {
    assertThat(Easing.EASE_IN.at(share)).isCloseTo(1 - Easing.EASE_OUT.at(1 - share), within(1e-9));
  }
}
