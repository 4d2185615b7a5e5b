package giostra.core.anatomy;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.band.Band;
import giostra.core.layout.Resolution;
import giostra.core.look.Cascade;
import giostra.core.look.Layer;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Site;
import giostra.core.piece.carousel.CarouselParts;
import giostra.core.testing.Demo;
import giostra.core.value.TypeStyle;
import java.util.List;
import org.junit.jupiter.api.Test;

class TypeStylesTest {
  private static final Part HEADING = CarouselParts.CARD_HEADING;

  private static Document demo(Edit... edits) {
    return Edits.apply(Demo.document(), List.of(edits)).document();
  }

  private static Edit says(String node, StyleKey key, String band, Object value) {
    return new Edit.SetStyle(node, key, band, value);
  }

  private static StyleKey style(TypeStyle style, Property<?> property) {
    return TypeStyles.part(style).key(property, State.REST);
  }

  private static StyleKey own(Property<?> property) {
    return HEADING.key(property, State.REST);
  }

  private static int weight(Document document, String node, String band) {
    return Cascade.value(
        HEADING,
        Property.WEIGHT,
        State.REST,
        Resolution.scope(document, document.node(node)),
        document.bands().band(band));
  }

  @Test
  void whatASiteSaysOfAStyleHoldsForAllPartsOfIt() {
    Document document =
        demo(says(Site.ID, style(TypeStyle.SUBHEADING, Property.WEIGHT), "desktop", 333));
    assertThat(weight(document, "houses", "phone")).isEqualTo(333);
    assertThat(weight(demo(), "houses", "phone")).isEqualTo(500);
  }

  @Test
  void whatIsSaidOfThePartItselfGoesBefore() {
    Edit styled = says(Site.ID, style(TypeStyle.SUBHEADING, Property.WEIGHT), "desktop", 333);
    Document bySite = demo(styled, says(Site.ID, own(Property.WEIGHT), "tablet", 444));
    assertThat(weight(bySite, "houses", "desktop")).isEqualTo(333);
    assertThat(weight(bySite, "houses", "tablet")).isEqualTo(444);
    assertThat(weight(bySite, "houses", "phone")).isEqualTo(444);
    Document byPiece = demo(styled, says("houses", own(Property.WEIGHT), "desktop", 444));
    assertThat(weight(byPiece, "houses", "phone")).isEqualTo(444);
  }

  @Test
  void whoeverSetsAPartInAnotherStyleSaysAllOfIt() {
    Document document =
        demo(
            says("houses", own(Property.TYPE), "tablet", "title"),
            says("houses", own(Property.WEIGHT), "desktop", 444),
            says(Site.ID, style(TypeStyle.TITLE, Property.WEIGHT), "phone", 222));
    assertThat(weight(document, "houses", "desktop")).isEqualTo(444);
    assertThat(weight(document, "houses", "tablet"))
        .as("of the style, as it is initially")
        .isEqualTo(TypeStyles.part(TypeStyle.TITLE).setting(Property.WEIGHT).initial());
    assertThat(weight(document, "houses", "phone")).isEqualTo(222);
  }

  @Test
  void itIsToldByWhichStyleSomethingIsSaid() {
    Document document =
        demo(
            says(Site.ID, style(TypeStyle.SUBHEADING, Property.WEIGHT), "desktop", 333),
            says("words", own(Property.TYPE), "desktop", "small"));
    assertThat(by(document, "houses", Layer.SITE, Property.WEIGHT)).contains(TypeStyle.SUBHEADING);
    assertThat(by(document, "words", Layer.PIECE, Property.WEIGHT)).contains(TypeStyle.SMALL);
    assertThat(by(document, "words", Layer.PIECE, Property.INK)).isEmpty();
    assertThat(by(document, "houses", Layer.SITE, Property.LEADING)).isEmpty();
  }

  private static java.util.Optional<TypeStyle> by(
      Document document, String node, Layer layer, Property<?> property) {
    Band lead = document.bands().lead();
    return Resolution.typeStyle(document, document.node(node), layer, HEADING, own(property), lead);
  }

  @Test
  void aPartIsSetInAnotherStyleInAStateAlone() {
    Part tab = giostra.core.piece.tabs.TabsParts.TAB;
    Document document =
        demo(says("four-houses", tab.key(Property.TYPE, State.CURRENT), "desktop", "kicker"));
    for (State state : List.of(State.REST, State.CURRENT)) {
      int weight =
          Cascade.value(
              tab,
              Property.WEIGHT,
              state,
              Resolution.scope(document, document.node("four-houses")),
              document.bands().lead());
      assertThat(weight).isEqualTo(state == State.REST ? 600 : 650);
    }
  }

  @Test
  void eachStyleHasPartsThatAreSetInIt() {
    for (TypeStyle style : TypeStyle.values()) {
      assertThat(TypeStyles.setIn(style)).as(style.label()).isNotEmpty();
      assertThat(TypeStyles.part(style).properties()).isEqualTo(TypeStyles.LETTERS);
    }
  }
}
