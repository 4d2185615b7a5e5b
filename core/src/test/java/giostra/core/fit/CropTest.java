package giostra.core.fit;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.fit.Crop.Fit;
import giostra.core.value.Aspect;
import giostra.core.value.Focus;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

class CropTest {
  private static final Offset<Double> HAIR = Offset.offset(1e-6);

  /** Worked by hand: CSS Images 3, object-fit: cover. */
  @Test
  void aWidePictureInASquare() {
    var crop = new Crop(600, 600, 1600, 900, Fit.COVER, Focus.CENTER);
    assertThat(crop.scale()).isCloseTo(0.666667, Offset.offset(1e-6));
    assertThat(crop.share()).isCloseTo(0.5625, HAIR);
    assertThat(crop.shown().x()).isCloseTo(350, HAIR);
    assertThat(crop.shown().width()).isCloseTo(900, HAIR);
    assertThat(crop.shown().height()).isCloseTo(900, HAIR);
    assertThat(crop.enlarged(2)).isCloseTo(1.333333, Offset.offset(1e-6));
    var contained = new Crop(600, 600, 1600, 900, Fit.CONTAIN, Focus.CENTER);
    assertThat(contained.scale()).isEqualTo(0.375);
    assertThat(contained.share()).isEqualTo(1);
    assertThat(contained.top()).isEqualTo((600 - 337.5) / 2);
  }

  /** Source: CSS Images 3, object-position: the point at that share of both coincide. */
  @Property
  void theFocalPointAlwaysShows(
      @ForAll @DoubleRange(min = 20, max = 2000) double boxWidth,
      @ForAll @DoubleRange(min = 20, max = 2000) double boxHeight,
      @ForAll @DoubleRange(min = 1, max = 5000) double width,
      @ForAll @DoubleRange(min = 1, max = 5000) double height,
      @ForAll @DoubleRange(min = 0, max = 100) double x,
      @ForAll @DoubleRange(min = 0, max = 100) double y) {
    var crop = new Crop(boxWidth, boxHeight, width, height, Fit.COVER, new Focus(x, y));
    assertThat(crop.left() + width * crop.scale() * x / 100)
        .isCloseTo(boxWidth * x / 100, Offset.offset(1e-6));
    Crop.Part shown = crop.shown();
    assertThat(width * x / 100).isBetween(shown.x() - 1e-6, shown.x() + shown.width() + 1e-6);
    assertThat(height * y / 100).isBetween(shown.y() - 1e-6, shown.y() + shown.height() + 1e-6);
    assertThat(Crop.covering(new Aspect(boxWidth, boxHeight), new Aspect(width, height)) * boxWidth)
        .isCloseTo(width * crop.scale(), Offset.offset(1e-6 * width * crop.scale() + 1e-6));
    double whole =
        width * new Crop(boxWidth, boxHeight, width, height, Fit.CONTAIN, Focus.CENTER).scale();
    assertThat(Crop.within(new Aspect(boxWidth, boxHeight), new Aspect(width, height)) * boxWidth)
        .isCloseTo(whole, Offset.offset(1e-6 * whole + 1e-6));
  }
}
