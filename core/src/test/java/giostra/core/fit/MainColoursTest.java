package giostra.core.fit;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.value.Colour;
import giostra.core.value.Oklch;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Main colours of pictures of flat fields, whose shares are known. */
class MainColoursTest {
  private static final int LEAF = 0xff2f6652;
  private static final int CREAM = 0xfffbf7ec;
  private static final int AMBER = 0xffe0ac4c;

  private static boolean near(Colour one, int other) {
    Oklch a = Oklch.of(one);
    Oklch b = Oklch.of(new Colour(other >> 16 & 255, other >> 8 & 255, other & 255, 255));
    return Math.abs(a.lightness() - b.lightness()) < 0.02
        && Math.abs(a.chroma() - b.chroma()) < 0.02;
  }

  @Test
  void theyComeByHowMuchOfThePictureTheyAre() {
    Samples samples = Samples.of(100, 100, (x, y) -> y < 60 ? CREAM : y < 90 ? LEAF : AMBER);
    List<Colour> main = samples.main(6);
    assertThat(main).hasSize(3);
    assertThat(near(main.get(0), CREAM)).isTrue();
    assertThat(near(main.get(1), LEAF)).isTrue();
    assertThat(near(main.get(2), AMBER)).isTrue();
  }

  @Test
  void aLittleNoiseIsNoColourOfItsOwn() {
    Samples samples =
        Samples.of(64, 64, (x, y) -> (x < 32 ? LEAF : CREAM) ^ ((x * 7 + y * 3) % 4) * 0x010101);
    assertThat(samples.main(6)).hasSize(2);
  }

  @Test
  void whatCannotBeSeenHasNone() {
    assertThat(Samples.of(10, 10, (_, _) -> 0x00ff0000).main(4)).isEmpty();
    assertThat(Samples.of(10, 10, (x, _) -> x < 5 ? 0x00ff0000 : LEAF).main(4)).hasSize(1);
  }

  @Test
  void neverMoreThanAreAsked() {
    Samples all = Samples.of(64, 64, (x, y) -> 0xff000000 | x * 4 << 16 | y * 4 << 8 | 0x80);
    assertThat(all.main(5)).hasSize(5);
    assertThat(all.main(5)).isEqualTo(all.main(5));
    assertThat(all.main(1)).hasSize(1);
  }
}
