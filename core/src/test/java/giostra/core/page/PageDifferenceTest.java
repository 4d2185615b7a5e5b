package giostra.core.page;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.page.PageDifference.How;
import giostra.core.testing.Demo;
import java.util.List;
import org.junit.jupiter.api.Test;

class PageDifferenceTest {
  private static final Document DEMO = Demo.document();

  private static List<PageDifference> after(Edit... edits) {
    return PageDifference.between(DEMO, Edits.apply(DEMO, List.of(edits)).document());
  }

  @Test
  void whatIsTheSameDiffersInNothing() {
    assertThat(PageDifference.between(DEMO, DEMO)).isEmpty();
  }

  @Test
  void valuesAreToldWithWhatTheyWere() {
    var gap = new Edit.SetValue("words", "gap", "phone", "7px");
    assertThat(after(gap)).hasSize(1);
    PageDifference one = after(gap).getFirst();
    assertThat(one.node()).isEqualTo("words");
    assertThat(one.how()).isEqualTo(How.CHANGED);
    assertThat(one.what()).isEqualTo("Gap");
    assertThat(one.band()).isEqualTo("Phone");
    assertThat(one.now()).isEqualTo("7px");
    var heading = new Edit.SetValue("opening-frost", "heading", "", "Ice");
    assertThat(after(heading).getFirst().name()).endsWith(", Frost");
    assertThat(after(heading).getFirst().then()).isNotEmpty();
    var site = new Edit.SetValue("site", "zone", "", "Asia/Kathmandu");
    assertThat(after(site)).hasSize(1).allMatch(each -> each.node().isEmpty());
  }

  /**
   * Of what is put elsewhere the fewest are told: one that goes to the front moves none of the
   * others.
   */
  @Test
  void whatIsMovedIsToldAlone() {
    Piece openings = DEMO.piece("openings");
    String last = openings.items().getLast().id();
    List<PageDifference> moved = after(new Edit.MoveNode(last, "openings", 0));
    assertThat(moved).hasSize(1);
    assertThat(moved.getFirst().how()).isEqualTo(How.MOVED);
    assertThat(moved.getFirst().node()).isEqualTo(last);
    Section first = DEMO.page().sections().getFirst();
    List<PageDifference> down = after(new Edit.MoveNode(first.id(), "page", 2));
    assertThat(down).extracting(PageDifference::node).containsExactly(first.id());
  }

  @Test
  void whatGoesIsToldOnceWithoutWhatIsInIt() {
    List<PageDifference> gone = after(new Edit.RemoveNode("openings"));
    assertThat(gone).hasSize(1);
    assertThat(gone.getFirst().how()).isEqualTo(How.GONE);
    Document without = Edits.apply(DEMO, List.of(new Edit.RemoveNode("openings"))).document();
    List<PageDifference> back = PageDifference.between(without, DEMO);
    assertThat(back).extracting(PageDifference::how).containsExactly(How.ADDED);
  }
}
