package giostra.core.snag;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.layout.PictureSizes;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.testing.Demo;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Items of tracks that run down; that they are cut is CutJourney's, by Chromium. */
class CutItemsTest {
  private static Document down(String node, String height, Edit... more) {
    var edits = new ArrayList<Edit>(List.of(more));
    for (String band : List.of("phone", "tablet", "desktop")) {
      edits.add(new Edit.SetValue(node, "axis", band, "down"));
      edits.add(
          new Edit.SetValue(
              node, node.equals("openings") ? "height" : "trackHeight", band, height));
    }
    return Edits.apply(Demo.document(), edits).document();
  }

  private static List<Snag> found(Document document, String node) {
    return Snags.of(document, document.node(node), PictureSizes.NONE, 0).stream()
        .filter(snag -> snag.rule() == Rule.CUT_OFF)
        .toList();
  }

  @Test
  void quotationsThatAreHigherThanTheirShareAreCut() {
    assertThat(found(Demo.document(), "words")).isEmpty();
    assertThat(found(down("words", "1600px"), "words")).isEmpty();
    List<Snag> low = found(down("words", "200px"), "words");
    assertThat(low).isNotEmpty().allMatch(each -> each.measure().orElseThrow().found() > 1);
  }

  /** The first way out is as high as it takes, and one px less is not. */
  @Test
  void theHeightThatIsOfferedIsTheLeastThatDoes() {
    for (String node : List.of("words", "openings")) {
      Document low = down(node, "150px");
      for (Snag snag : found(low, node)) {
        Edit.SetValue higher = (Edit.SetValue) snag.fixes().getFirst().edits().getFirst();
        assertThat(found(Edits.apply(low, List.of(higher)).document(), node))
            .as(snag.message())
            .noneMatch(each -> each.band().equals(snag.band()));
        int px = Integer.parseInt(String.valueOf(higher.value()).replace("px", ""));
        Edit lower = new Edit.SetValue(node, higher.setting(), higher.band(), px - 4 + "px");
        assertThat(found(Edits.apply(low, List.of(lower)).document(), node))
            .as(snag.message())
            .anyMatch(each -> each.band().equals(snag.band()));
      }
    }
  }

  /** A slider whose height is a share of the screen has one of its own where it runs down. */
  @Test
  void aHeightThatIsNoNumberIsNotWhatIsMeasured() {
    assertThat(found(down("openings", "95svh"), "openings"))
        .allMatch(each -> each.measure().orElseThrow().required() == 480);
  }
}
