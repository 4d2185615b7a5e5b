package giostra.core.band;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** Source: Media Queries 4, "Evaluating Media Features in a Range Context". */
class BandsTest {
  @Test
  void bandsAreHalfOpenSoThatFractionalWidthsFallInOneOfThem() {
    Bands bands = Bands.INITIAL;
    assertThat(bands.at(767.99).id()).isEqualTo("phone");
    assertThat(bands.at(768).id()).isEqualTo("tablet");
    assertThat(bands.at(1023.5).id()).isEqualTo("tablet");
    assertThat(bands.at(1024).id()).isEqualTo("desktop");
  }

  @Test
  void queriesUseTheRangeSyntax() {
    assertThat(Bands.INITIAL.all().stream().map(Band::query))
        .containsExactly("(width < 768px)", "(768px <= width < 1024px)", "(width >= 1024px)");
    assertThat(Bands.INITIAL.minus("phone").minus("tablet").lead().query()).isEqualTo("all");
  }

  @Property
  void everyWidthFallsInExactlyOneBand(@ForAll @DoubleRange(min = 0, max = 4000) double width) {
    assertThat(Bands.INITIAL.all().stream().filter(band -> band.holds(width))).hasSize(1);
  }

  @Test
  void aBreakpointMovesBetweenItsNeighboursOnly() {
    assertThat(Bands.INITIAL.moved("desktop", 960).at(960).id()).isEqualTo("desktop");
    assertThatThrownBy(() -> Bands.INITIAL.moved("desktop", 768))
        .hasMessage("Breakpoint of Desktop is 768 px; it must be 769 to 2560 px");
    assertThatThrownBy(() -> Bands.INITIAL.moved("phone", 300)).hasMessageContaining("narrowest");
  }

  @Test
  void aRemovedBandGivesItsWidthsToTheNarrowerOne() {
    Bands two = Bands.INITIAL.minus("tablet");
    assertThat(two.at(900).id()).isEqualTo("phone");
    assertThat(Bands.INITIAL.minus("phone").at(300).id()).isEqualTo("tablet");
    assertThatThrownBy(() -> two.minus("phone").minus("desktop"))
        .hasMessageContaining("2 or more before one can be removed");
  }

  @Test
  void sevenBandsAreTooMany() {
    Bands six = Bands.INITIAL.plus("a", "A", 400).plus("b", "B", 1300).plus("c", "C", 1800);
    assertThat(six.all()).hasSize(6);
    assertThatThrownBy(() -> six.plus("d", "D", 2000)).hasMessageContaining("1 to 6");
    assertThatThrownBy(() -> six.plus("d", "D", 400)).hasMessageContaining("none stands yet");
  }
}
