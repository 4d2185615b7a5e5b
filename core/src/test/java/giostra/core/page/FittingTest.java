package giostra.core.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.testing.Demo;
import giostra.core.value.Refused;
import org.junit.jupiter.api.Test;

class FittingTest {
  private final Document demo = Demo.document();

  @Test
  void aBlockStandsAloneInTheToneOfItsSection() {
    Section alone = Fitting.of(demo, "opening-title").page().sections().getFirst();
    assertThat(alone.blocks()).extracting(Block::id).containsExactly("opening-title");
    assertThat(alone.values().get(SectionSettings.TONE)).isEqualTo(SectionSettings.Tone.DUSK);
    assertThat(alone.values().get(SectionSettings.GROUND)).isEmpty();
  }

  /** What is found on a section is seen with all that it has, its picture among it. */
  @Test
  void aSectionStandsAloneAsItIs() {
    assertThat(Fitting.of(demo, "opening").page().sections())
        .containsExactly((Section) demo.node("opening"));
  }

  @Test
  void nothingElseStandsAlone() {
    assertThatThrownBy(() -> Fitting.of(demo, "page"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("the id of a block or a section");
  }
}
