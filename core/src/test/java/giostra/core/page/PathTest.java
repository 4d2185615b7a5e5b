package giostra.core.page;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.page.Path.OfBand;
import giostra.core.page.Path.OfBands;
import giostra.core.page.Path.OfNode;
import giostra.core.page.Path.OfPage;
import giostra.core.page.Path.OfPlace;
import giostra.core.page.Path.OfUse;
import giostra.core.page.Path.OfValue;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What meets what: worked out by hand, both ways round. */
class PathTest {
  private static final Path GAP = new OfValue("cards", "gap", "tablet");

  private static void meet(Path one, Path other, boolean wanted) {
    assertThat(one.meets(other)).as(one + " and " + other).isEqualTo(wanted);
    assertThat(other.meets(one)).as(other + " and " + one).isEqualTo(wanted);
  }

  @Test
  void onAPage() {
    meet(GAP, GAP, true);
    meet(GAP, new OfValue("cards", "gap", "phone"), false);
    meet(GAP, new OfValue("cards", "peek", "tablet"), false);
    meet(GAP, new OfNode("cards"), true);
    meet(GAP, new OfNode("words"), false);
    meet(GAP, new OfPlace("cards"), false);
    meet(new OfPlace("cards"), new OfNode("cards"), true);
    meet(GAP, new OfPage(), true);
    meet(new OfPlace("cards"), new OfPage(), true);
  }

  @Test
  void withBands() {
    meet(GAP, new OfBand("tablet"), true);
    meet(GAP, new OfBand("phone"), false);
    meet(new OfUse("tablet"), new OfBand("tablet"), true);
    meet(new OfUse("tablet"), new OfUse("tablet"), false);
    meet(new OfBands(), new OfBands(), true);
    meet(new OfBands(), GAP, false);
    meet(new OfBands(), new OfPage(), false);
    meet(new OfBand("tablet"), new OfPage(), true);
    meet(new OfValue(Site.ID, "measure", "tablet"), new OfPage(), false);
  }

  @Test
  void fromOnePageToAnotherOnlyABandReaches() {
    assertThat(new OfBand("tablet").reaches(GAP)).isTrue();
    assertThat(new OfBand("phone").reaches(GAP)).isFalse();
    assertThat(new OfPage().reaches(GAP)).isFalse();
    assertThat(GAP.reaches(GAP)).isFalse();
    assertThat(new OfNode("cards").reaches(GAP)).isFalse();
  }

  @Test
  void theyReadBack() {
    for (Path each :
        List.of(
            GAP,
            new OfValue("page", "title", ""),
            new OfNode("cards"),
            new OfPlace("cards"),
            new OfBand("tablet"),
            new OfUse("tablet"),
            new OfBands(),
            new OfPage())) {
      assertThat(Path.parse(each.written())).isEqualTo(each);
    }
  }
}
