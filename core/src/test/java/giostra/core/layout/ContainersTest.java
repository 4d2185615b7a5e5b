package giostra.core.layout;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.band.Band;
import giostra.core.format.DocumentJson;
import giostra.core.look.StyleKey;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.SectionSettings.Extent;
import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Room in panels and columns, worked out by hand from CSS Grid 2 and CSS Box Model 4. */
class ContainersTest {
  private static Document page(String tabs) {
    return DocumentJson.read(
        """
        {"giostra":1,"site":{"bands":[{"id":"phone","from":0},{"id":"tablet","from":768},{"id":"desktop","from":1024}],
        "values":{"measure":{"desktop":"1120px"},"padding":{"desktop":"40px","phone":"20px"}}},
        "page":{"id":"page","type":"page","values":{},"children":[{"id":"s","type":"section","values":{},"children":[
          {"id":"t","type":"tabs","values":{%s},"children":[{"id":"i","type":"item","values":{},"children":[
            {"id":"c","type":"columns","values":{"ratio":{"desktop":"1:1","phone":"stack"},"gap":{"desktop":"32px"}},"children":[
              {"id":"a","type":"column","values":{},"children":[{"id":"x","type":"text","values":{}}]},
              {"id":"b","type":"column","values":{},"children":[]}]}]}]}]}]}}
        """
            .formatted(tabs));
  }

  private static double room(Document document, double width) {
    Band band =
        document.bands().all().stream().filter(b -> b.holds(width)).findFirst().orElseThrow();
    return Containers.room(document, "x", Extent.MEASURE, band, 0).at(width);
  }

  @ParameterizedTest
  // 1120 less two paddings of 20 is 1080; two columns share it less their gap.
  @CsvSource({"1280, 524", "800, 324", "390, 310"})
  void aColumnInAPanelHasItsShareOfThePanel(double width, double room) {
    assertThat(room(page(""), width)).isEqualTo(room);
  }

  @ParameterizedTest
  // 1048 between two columns of 2:1: the one that is seen second has a third of it.
  @CsvSource({"1 2, 698.667", "2 1, 349.333"})
  void sharesAreThoseOfPlacesAsTheyAreSeen(String order, double room) {
    Document columns =
        Edits.apply(
                page(""),
                List.of(
                    new Edit.SetValue("c", "ratio", "desktop", "2:1"),
                    new Edit.SetValue("c", "order", "desktop", order)))
            .document();
    assertThat(room(columns, 1280)).isCloseTo(room, Offset.offset(0.001));
  }

  @ParameterizedTest
  // Headings of 220 at the side, 24 away: (1120 - 220 - 24 - 40 - 32) / 2 at 1280.
  @CsvSource({"1280, 402", "800, 202", "390, 310"})
  void headingsAtTheSideTakeTheirWidthAndDistance(double width, double room) {
    String side =
        "\"headsSide\":{\"desktop\":\"start\",\"phone\":\"above\"},\"headsWidth\":{\"desktop\":\"220px\"}";
    assertThat(room(page(side), width)).isEqualTo(room);
  }

  @ParameterizedTest
  // An item's own padding of 4 and 60 px counts, not the 20 of the others: (1120 - 64 - 32) / 2.
  @CsvSource({"1280, 512", "390, 286"})
  void anItemsOwnPaddingNarrowsWhatStandsInItsPanel(double width, double room) {
    Document own =
        Edits.apply(
                page(""),
                List.of(
                    new Edit.SetStyle(
                        "i",
                        StyleKey.parse("tabs.panel/rest/padding-sides"),
                        "desktop",
                        "4px 60px")))
            .document();
    assertThat(room(own, width)).isEqualTo(room);
  }

  @ParameterizedTest
  @CsvSource({"1280, 524", "390, 310"})
  void foldedTabsHaveNoHeadingsAtTheSide(double width, double room) {
    String folded = "\"form\":{\"desktop\":\"accordion\"},\"headsSide\":{\"desktop\":\"start\"}";
    assertThat(room(page(folded), width)).isEqualTo(room);
  }
}
