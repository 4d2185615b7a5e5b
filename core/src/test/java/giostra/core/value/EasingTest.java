package giostra.core.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import giostra.core.piece.counters.CounterSettings.Curve;
import giostra.core.value.Change.Manner;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

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
    assertThat(Easings.EASE_IN.at(share))
        .isCloseTo(1 - Easings.EASE_OUT.at(1 - share), within(1e-9));
  }

  /** Source: CSS Easing Functions 2, "Step easing functions": the figures of its definition. */
  @ParameterizedTest
  @CsvSource({
    "'steps(3,jump-start)', 0.1, 0.333333",
    "'steps(3,jump-end)', 0.34, 0.333333",
    "'steps(3,jump-none)', 0.4, 0.5",
    "'steps(3,jump-both)', 0.1, 0.25",
    "step-start, 0.0, 1",
    "step-end, 0.99, 0"
  })
  void stepsJumpWhereTheyAreTo(String css, double share, double progress) {
    assertThat(Easing.parse("Curve", css).at(share)).isCloseTo(progress, within(1e-5));
  }

  /**
   * Source: CSS Easing Functions 2, "The linear easing function": inputs that are left out are
   * spread evenly, an input that is less than one before it counts as that one.
   */
  @ParameterizedTest
  @CsvSource({
    "'linear(0,0.5,1)', 0.25, 0.25", "'linear(0,0.25 75%,1)', 0.75, 0.25",
    "'linear(0,0.4 20% 60%,1)', 0.4, 0.4", "'linear(0,0.4 20% 60%,1)', 0.8, 0.7",
    "'linear(0,1 50%,0.5 30%,1)', 0.75, 0.75"
  })
  void linearGoesFromPointToPoint(String css, double share, double progress) {
    assertThat(Easing.parse("Curve", css).at(share)).isCloseTo(progress, within(1e-9));
  }

  /**
   * Source: the closed form of a damped oscillator, as any textbook of mechanics has it, put into
   * its equation of motion: x'' = -2 d w x' - w^2 (x - 1), by differences.
   */
  @ParameterizedTest
  @CsvSource({"0.1", "0.25", "0.5", "0.8", "1"})
  void aSpringObeysItsEquationAndSettles(double damping) {
    var spring = new Easing.Spring(damping);
    double w = spring.frequency();
    double h = 1e-4;
    for (double t = 0.05; t < 0.95; t += 0.05) {
      double x = spring.progress(t);
      double speed = (spring.progress(t + h) - spring.progress(t - h)) / (2 * h);
      double pull = (spring.progress(t + h) - 2 * x + spring.progress(t - h)) / (h * h);
      assertThat(pull).isCloseTo(-2 * damping * w * speed - w * w * (x - 1), within(w * w * 2e-3));
    }
    assertThat(spring.progress(1)).isCloseTo(1, within(1.1e-3));
    assertThat(spring.at(1)).isEqualTo(1);
    assertThat(spring.at(0)).isZero();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "spring(0)|Spring is from 0.1 to 1: without damping it never settles",
        "spring(3)|Spring is 0.1 to 1",
        "cubic-bezier(2,0,0,1)|x1 is 0 to 1",
        "steps(1,jump-none)|steps is 2 to 40",
        "wobble(1)|linear, ease",
        "linear(0)|points is 2 to 40",
        "cubic-bezier(0,0,1)|linear, ease",
        "cubic-bezier(0,NaN,1,1)|linear, ease",
        "ease-out()|linear, ease"
      })
  void whatIsNoneIsRefusedWithWhatIsAllowed(String css, String allowed) {
    assertThatThrownBy(() -> Easing.parse("Curve", css))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("Curve is " + css)
        .hasMessageContaining(allowed);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "fade|fade",
        "push from start 0.8s ease-out|push from start 0.8s ease-out",
        "PUSH  from END 800ms|push 0.8s",
        "wipe from top cubic-bezier(0.1, 0.2, 0.3, 1)|wipe from top cubic-bezier(0.1,0.2,0.3,1)",
        "fade, zoom 1s|fade, zoom 1s",
        "fade then cut then turn spring(0.5)|fade, cut, turn spring(0.5)"
      })
  void waysAreReadAndWrittenAlike(String typed, String written) {
    var kind = new WaysKind(false);
    assertThat(kind.write(kind.read("Changes by", typed))).isEqualTo(written);
    assertThat(kind.write(kind.read("Changes by", written))).isEqualTo(written);
  }

  /** A number that is nothing once it is rounded has no sign to lose. */
  @Test
  void nothingReadsBackWhicheverSideItCameFrom() {
    var setting = Setting.once("changes", "Changes by", new WaysKind(false), Changes.NONE);
    for (String curve :
        List.of("linear(0,-0.00003,1)", "cubic-bezier(-0,-0.00001,0.00001,-0.00004)")) {
      Changes once = setting.read("fade 1s " + curve);
      assertThat(setting.read(setting.write(once))).as(curve).isEqualTo(once);
    }
  }

  /** What is taken reads back, the longest that there is too. */
  @Property
  void whatIsTakenReadsBack(@ForAll Random random) {
    var setting = Setting.once("changes", "Changes by", new WaysKind(false), Changes.NONE);
    String[] curves = {"", "spring(0.37)", "steps(7,jump-both)", points(random), bezier(random)};
    var typed = new ArrayList<String>();
    for (int i = 0; i < 1 + random.nextInt(Changes.MOST); i++) {
      Manner manner = Manner.values()[random.nextInt(Manner.values().length)];
      String side = manner.sided() ? " from top" : "";
      String rest = " " + (100 + random.nextInt(4900)) + "ms ";
      boolean cut = manner == Manner.CUT;
      typed.add(
          PickKind.word(manner) + side + (cut ? "" : rest + curves[random.nextInt(curves.length)]));
    }
    Changes once = setting.read(String.join(", ", typed));
    assertThat(setting.read(setting.write(once))).isEqualTo(once);
  }

  private static String points(Random random) {
    return random
        .doubles(Easing.MOST_STEPS, -9, 9)
        .mapToObj(each -> String.format(Locale.ROOT, "%.9f", each))
        .collect(Collectors.joining(",", "linear(", ")"));
  }

  private static String bezier(Random random) {
    return String.format(
        Locale.ROOT,
        "cubic-bezier(%.7f,%.7f,%.7f,%.7f)",
        random.nextDouble(),
        random.nextDouble(-10, 10),
        random.nextDouble(),
        random.nextDouble(-10, 10));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "fly",
        "fade from start",
        "cut 1s",
        "push from left",
        "fade 0.05s",
        "fade 9s",
        "fade,",
        "push from start 1s spring(0)",
        "fade,fade,fade,fade,fade,fade,fade"
      })
  void waysThatAreNoneAreRefused(String typed) {
    assertThatThrownBy(() -> new WaysKind(false).read("Changes by", typed))
        .isInstanceOf(Refused.class)
        .hasMessageStartingWith("Changes by is");
  }
}
