package giostra.core.snag;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.layout.PictureSizes;
import giostra.core.layout.SectionEdge;
import giostra.core.layout.SectionEdge.Side;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Page;
import giostra.core.page.PageSettings;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.Site;
import giostra.core.value.EdgeShape;
import giostra.core.value.EdgeShape.Point;
import giostra.core.value.Length;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Edges of sections in a shape, and what they reach over. */
class EdgeOverTest {
  private static Section section(String id) {
    return new Section(id, Values.NONE, List.of());
  }

  private static final Document THREE =
      new Document(
          new Site(Bands.INITIAL, Values.NONE),
          new Page("page", Values.NONE, List.of(section("one"), section("two"), section("three"))));

  private static Document with(Document document, String node, String setting, Object value) {
    String band = setting.equals("direction") ? Values.ALL : "desktop";
    return Edits.apply(document, List.of(new Edit.SetValue(node, setting, band, value))).document();
  }

  private static List<Snag> found(Document document) {
    return Snags.of(document, PictureSizes.NONE, 0).stream()
        .filter(snag -> snag.rule() == Rule.EDGE_OVER)
        .toList();
  }

  /** From one end to the other, as high as the edge at its highest. */
  @ParameterizedTest
  @EnumSource(names = "NONE", mode = EnumSource.Mode.EXCLUDE)
  void aShapeGoesFromEndToEnd(EdgeShape shape) {
    for (List<Point> profile : List.of(shape.profile(), shape.mirrored())) {
      assertThat(profile.getFirst().along()).isZero();
      assertThat(profile.getLast().along()).isEqualTo(1);
      assertThat(profile).isSortedAccordingTo(Comparator.comparingDouble(Point::along));
      assertThat(profile).allMatch(point -> point.high() >= 0 && point.high() <= 1);
      assertThat(profile).anyMatch(point -> point.high() > 1 - 1e-9);
    }
    assertThat(shape.mirrored().getFirst().high()).isEqualTo(shape.profile().getLast().high());
  }

  /** A slope rises where lines go to: to the left in a page right-to-left. */
  @Test
  void anEdgeBeginsWhereLinesDo() {
    Document sloped = with(THREE, "two", "edgeAbove", "slope");
    Document turned = with(sloped, "page", PageSettings.DIRECTION.id(), "rtl");
    Band lead = THREE.bands().lead();
    assertThat(edge(sloped, lead).profile().getFirst().high()).isZero();
    assertThat(edge(turned, lead).profile().getFirst().high()).isEqualTo(1);
    assertThat(edge(with(turned, "two", "edgeAboveMirrored", true), lead))
        .isEqualTo(edge(sloped, lead));
    assertThat(edge(with(sloped, "two", "edgeAboveHeight", "0"), lead).straight()).isTrue();
  }

  private static SectionEdge edge(Document document, Band band) {
    return SectionEdge.of(document, (Section) document.node("two"), Side.ABOVE, band);
  }

  @Test
  void anEdgeOverWhatANeighbourKeepsNotFreeIsFound() {
    Document edged = with(with(THREE, "two", "edgeAbove", "wave"), "two", "edgeBelow", "torn");
    // 48 px over 72.
    assertThat(found(edged)).isEmpty();
    Document near = with(with(edged, "one", "spaceBelow", "20px"), "three", "spaceAbove", "2%");
    List<Snag> found = found(near);
    assertThat(found)
        .extracting(Snag::message)
        .contains(
            "the edge above reaches 48 px over the section before, which keeps 20 px free,"
                + " from 1024 to 2560",
            "the edge below reaches 48 px over the section after, which keeps 20 px free,"
                + " from 1024 to 2560");
    List<Snag> all = Snags.of(near, PictureSizes.NONE, 0);
    for (Snag snag : found) {
      assertThat(snag.piece()).isEqualTo("two");
      List<WayOut> outs = WayOut.of(near, snag, all, PictureSizes.NONE, 0);
      assertThat(outs).hasSize(2).allMatch(WayOut::mends);
    }
    assertThat(found(with(near, "one", "spaceBelow", "48px"))).hasSize(found.size() / 2);
    // The first has nothing above it, the last nothing below it.
    assertThat(found(with(near, "two", "edgeAbove", "none"))).hasSize(found.size() / 2);
    assertThat(found(with(with(THREE, "one", "edgeAbove", "arch"), "three", "edgeBelow", "steps")))
        .isEmpty();
  }

  /** A memory that knows a section knows what stands beside it. */
  @Test
  void aSweepNoticesANeighbour() {
    Edit tone = new Edit.SetValue("two", SectionSettings.TONE.id(), Values.ALL, "dusk");
    Document edged =
        Edits.apply(with(THREE, "two", "edgeBelow", "steps"), List.of(tone)).document();
    var sweep = new Sweep();
    assertThat(sweep.of(edged, PictureSizes.NONE, 0)).isEmpty();
    Document near = with(edged, "three", SectionSettings.SPACE_ABOVE.id(), Length.px(10).css());
    assertThat(sweep.of(near, PictureSizes.NONE, 0))
        .isEqualTo(Snags.of(near, PictureSizes.NONE, 0))
        .isNotEmpty();
    Document moved = Edits.apply(near, List.of(new Edit.MoveNode("three", "page", 0))).document();
    // Now nothing stands below it.
    assertThat(sweep.of(moved, PictureSizes.NONE, 0))
        .isEqualTo(Snags.of(moved, PictureSizes.NONE, 0))
        .isNotEmpty()
        .allMatch(snag -> snag.rule() == Rule.NO_EFFECT);
  }

  private static List<String> idle(Document document, String section) {
    return Snags.of(Rule.NO_EFFECT, document, document.node(section), 0).stream()
        .filter(snag -> snag.extent().widths().band().equals("desktop"))
        .map(snag -> snag.place().value() + ": " + snag.message())
        .toList();
  }

  /** Nobody sees a shape between two grounds that are alike, nor where nothing lies beside it. */
  @Test
  void anEdgeThatNobodySeesIsTold() {
    Document between = with(THREE, "two", "edgeAbove", "wave");
    assertThat(idle(between, "two"))
        .containsExactly(
            "edgeAbove: The section before has the same ground: the shape is not seen.");
    Document below = with(THREE, "two", "edgeBelow", "wave");
    assertThat(idle(below, "two")).singleElement().asString().contains("section after");
    assertThat(idle(with(THREE, "one", "edgeAbove", "arch"), "one"))
        .singleElement()
        .asString()
        .contains("No section stands above");
    assertThat(idle(with(THREE, "three", "edgeBelow", "arch"), "three"))
        .singleElement()
        .asString()
        .contains("No section stands below");
    Edit tone = new Edit.SetValue("two", SectionSettings.TONE.id(), Values.ALL, "dusk");
    assertThat(idle(Edits.apply(between, List.of(tone)).document(), "two")).isEmpty();
    Edit picture = new Edit.SetValue("one", SectionSettings.GROUND.id(), Values.ALL, "some");
    assertThat(idle(Edits.apply(between, List.of(picture)).document(), "two")).isEmpty();
    assertThat(idle(THREE, "two")).isEmpty();
  }
}
