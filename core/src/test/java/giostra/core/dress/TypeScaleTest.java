package giostra.core.dress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import giostra.core.anatomy.PageParts;
import giostra.core.anatomy.TypeStyles;
import giostra.core.layout.Resolution;
import giostra.core.look.Cascade;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Site;
import giostra.core.testing.Demo;
import giostra.core.value.Refused;
import giostra.core.value.TypeSize;
import giostra.core.value.TypeStyle;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class TypeScaleTest {
  private static TypeScale scale(double text, double ratio, double larger, double by) {
    return new TypeScale(new TypeScale.Step(text, ratio), new TypeScale.Step(larger, by));
  }

  /** By hand: 16 x 1.25 = 20, x 1.25 = 25, x 1.25 = 31.25, x 1.25 = 39.0625; 16 / 1.25 = 12.8. */
  @Test
  void aStepIsSoManyTimesTheOneBelowIt() {
    TypeScale even = scale(16, 1.25, 16, 1.25);
    assertThat(even.size(TypeStyle.TEXT).css()).isEqualTo("1rem");
    assertThat(even.size(TypeStyle.SUBHEADING).css()).isEqualTo("1.25rem");
    assertThat(even.size(TypeStyle.HEADING).px(0)).isCloseTo(31.25, within(0.01));
    assertThat(even.size(TypeStyle.TITLE).px(9999)).isCloseTo(39.0625, within(0.01));
    assertThat(even.size(TypeStyle.SMALL).css()).isEqualTo("0.8rem");
  }

  /**
   * By hand: 16 x 1.2^4 = 33.1776 up to 360 px, 18 x 1.333^4 = 56.832 from 800 on, half between.
   */
  @Test
  void sizesGrowEvenlyFromSmallScreensToLargeOnes() {
    TypeSize title = scale(16, 1.2, 18, 1.333).size(TypeStyle.TITLE);
    assertThat(title.px(280)).isCloseTo(33.1776, within(0.02));
    assertThat(title.px(TypeScale.FROM)).isCloseTo(33.1776, within(0.02));
    assertThat(title.px(580)).isCloseTo((33.1776 + 56.832) / 2, within(0.03));
    assertThat(title.px(TypeScale.TO)).isCloseTo(56.832, within(0.02));
    assertThat(title.px(2560)).isCloseTo(56.832, within(0.02));
    assertThat(TypeSize.parse(title.css())).as("reads back").isEqualTo(title);
  }

  @net.jqwik.api.Property(tries = 300)
  void stylesKeepTheirOrderAndReadBackWhateverTheScale(
      @ForAll @DoubleRange(min = 10, max = 32) double text,
      @ForAll @DoubleRange(min = 1, max = 2) double ratio,
      @ForAll @DoubleRange(min = 10, max = 32) double larger,
      @ForAll @DoubleRange(min = 1, max = 2) double by) {
    TypeScale scale = scale(text, ratio, larger, by);
    for (TypeStyle style : TypeStyle.values()) {
      TypeSize size = scale.size(style);
      assertThat(TypeSize.parse(size.css())).isEqualTo(size);
      TypeStyles.part(style).setting(Property.TEXT_SIZE).read(size.css());
    }
    for (double screen : new double[] {280, 500, 800}) {
      double before = 0;
      for (TypeStyle style :
          List.of(TypeStyle.TEXT, TypeStyle.SUBHEADING, TypeStyle.HEADING, TypeStyle.TITLE)) {
        double px = scale.size(style).px(screen);
        assertThat(px).isGreaterThanOrEqualTo(before - 0.05);
        before = px;
      }
    }
  }

  @Test
  void whatASiteSaysOfSinglePartsGivesWayAndWhatIsNearerStays() {
    Document demo = Demo.document();
    var own = PageParts.HEADING_2.key(Property.TEXT_SIZE, State.REST);
    var small = TypeStyles.part(TypeStyle.TITLE).key(Property.TEXT_SIZE, State.REST);
    Document said =
        Edits.apply(
                demo,
                List.of(
                    new Edit.SetStyle(Site.ID, own, "tablet", "51px"),
                    new Edit.SetStyle(Site.ID, small, "phone", "52px"),
                    new Edit.SetStyle("page", own, "phone", "53px")))
            .document();
    int keeps = TypeScale.keeps(demo).size();
    assertThat(TypeScale.keeps(said)).hasSize(keeps + (keeps(demo, "page") ? 0 : 1));
    TypeScale scale = scale(16, 1.25, 16, 1.25);
    Document laid = Edits.apply(said, scale.edits(said.site())).document();
    assertThat(TypeScale.gives(laid.site())).isEmpty();
    var scope = Resolution.scope(laid, laid.page());
    assertThat(
            Cascade.value(
                    PageParts.HEADING_2,
                    Property.TEXT_SIZE,
                    State.REST,
                    scope,
                    laid.bands().band("tablet"))
                .css())
        .isEqualTo("1.953rem");
    assertThat(
            Cascade.value(
                    PageParts.HEADING_2,
                    Property.TEXT_SIZE,
                    State.REST,
                    scope,
                    laid.bands().band("phone"))
                .css())
        .isEqualTo("53px");
    assertThat(laid.site().values().styles().own(small, "phone")).isNull();
  }

  private static boolean keeps(Document document, String node) {
    return TypeScale.keeps(document).stream().anyMatch(each -> each.id().equals(node));
  }

  @Test
  void whatIsNoScaleIsRefused() {
    assertThatThrownBy(() -> scale(16, 3, 16, 1.2))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("ratio of the scale")
        .hasMessageContaining("3");
    assertThatThrownBy(() -> scale(4, 1.2, 16, 1.2))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("size of the text");
    assertThatThrownBy(() -> scale(16, Double.NaN, 16, 1.2)).isInstanceOf(Refused.class);
  }
}
