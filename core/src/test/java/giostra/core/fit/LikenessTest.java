package giostra.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.value.Refused;
import java.util.Arrays;
import java.util.function.IntBinaryOperator;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class LikenessTest {
  private static final int WHITE = 0xffffff;
  private static final int INK = 0x1c2b27;

  private static Likeness.Picture picture(int wide, int high, IntBinaryOperator colour) {
    var colours = new int[wide * high];
    Arrays.setAll(colours, at -> colour.applyAsInt(at % wide, at / wide));
    return new Likeness.Picture(wide, high, colours);
  }

  /** A box of ink from a place on, so many px on a side. */
  private static Likeness.Picture box(int x, int y, int side, int ink, int ground) {
    return picture(
        100, 80, (u, v) -> u >= x && u < x + side && v >= y && v < y + side ? ink : ground);
  }

  @Test
  void whatIsTheSameIsAlike() {
    Likeness found = Likeness.of(box(20, 20, 30, INK, WHITE), box(20, 20, 30, INK, WHITE));
    assertThat(found.share()).isEqualTo(1);
    assertThat(found.groundShare()).isEqualTo(1);
    // Two px on either side of the edge of a box of 30: 34 squared less 26 squared.
    assertThat(found.drawn()).isEqualTo(34 * 34 - 26 * 26);
    assertThat(found.drawn() + found.ground()).isEqualTo(100 * 80);
  }

  @Test
  void onePxIsForgivenAndMoreIsNot() {
    Likeness.Picture one = box(20, 20, 30, INK, WHITE);
    assertThat(Likeness.of(one, box(21, 21, 30, INK, WHITE)).share()).isEqualTo(1);
    assertThat(Likeness.of(one, box(23, 20, 30, INK, WHITE)).share()).isBetween(0.3, 0.7);
    // It holds on both sides: what is drawn in the one alone is as wrong as in the other alone.
    Likeness there = Likeness.of(one, box(0, 0, 1, WHITE, WHITE));
    Likeness back = Likeness.of(box(0, 0, 1, WHITE, WHITE), one);
    assertThat(there.share()).isEqualTo(back.share()).isLessThan(0.7);
  }

  @Test
  void anotherGroundIsToldApartFromAnotherDrawing() {
    Likeness ground = Likeness.of(box(20, 20, 30, INK, WHITE), box(20, 20, 30, INK, 0xd0d0d0));
    assertThat(ground.groundShare()).isLessThan(0.2);
    Likeness ink = Likeness.of(box(20, 20, 30, INK, WHITE), box(20, 20, 30, 0xa02020, WHITE));
    assertThat(ink.groundShare()).isBetween(0.85, 0.95);
    assertThat(ink.share()).isLessThan(0.7);
  }

  @Test
  void theLeastAlikeComesFirst() {
    Likeness found = Likeness.of(box(70, 10, 20, INK, WHITE), box(5, 10, 20, INK, WHITE));
    assertThat(found.regions()).extracting(Likeness.Region::x).contains(0, 64);
    assertThat(found.regions()).isSortedAccordingTo((a, b) -> Double.compare(a.share(), b.share()));
    assertThat(found.regions().stream().mapToLong(Likeness.Region::drawn).sum())
        .isEqualTo(found.drawn());
  }

  @Test
  void nothingDrawnIsAlike() {
    Likeness found = Likeness.of(box(0, 0, 0, INK, WHITE), box(0, 0, 0, INK, WHITE));
    assertThat(found.drawn()).isZero();
    assertThat(found.share()).isEqualTo(1);
  }

  @Test
  void picturesOfOtherSizesAreRefused() {
    assertThatThrownBy(() -> Likeness.of(picture(4, 4, (_, _) -> 0), picture(4, 5, (_, _) -> 0)))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("height of a picture");
  }

  /** Whatever they are, it is the same both ways, and never more than all. */
  @Property(tries = 200)
  void itHoldsBothWays(
      @ForAll @IntRange(min = 1, max = 90) int wide,
      @ForAll @IntRange(min = 1, max = 90) int high,
      @ForAll long seed) {
    var random = new java.util.Random(seed);
    Likeness.Picture one = picture(wide, high, (_, _) -> random.nextInt(3) * 0x505050);
    Likeness.Picture other = picture(wide, high, (_, _) -> random.nextInt(3) * 0x505050);
    Likeness there = Likeness.of(one, other);
    Likeness back = Likeness.of(other, one);
    assertThat(there.drawn()).isEqualTo(back.drawn());
    assertThat(there.drawnAlike()).isEqualTo(back.drawnAlike()).isLessThanOrEqualTo(there.drawn());
    assertThat(there.groundAlike()).isEqualTo(back.groundAlike());
    assertThat(there.drawn() + there.ground()).isEqualTo((long) wide * high);
  }
}
