package giostra.core.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Source of what must not be in a picture: SVG 2, "Secure static mode". */
class OwnIconTest {
  private static final String BOX = "<svg viewBox='0 0 24 24'>%s</svg>";

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "<script>alert(1)</script> | <script>",
        "<path d='M0 0' onload='alert(1)'/> | onload",
        "<a href='javascript:alert(1)'><path d='M0 0'/></a> | <a>",
        "<use href='https://elsewhere.example/x.svg#a'/> | <use>",
        "<image href='https://elsewhere.example/x.png'/> | <image>",
        "<path d='M0 0' fill='url(https://elsewhere.example/#a)'/> | fill=url(https",
        "<path d='M0 0' style='background:red'/> | style=background",
        "<foreignObject><p>hello</p></foreignObject> | <foreignObject>",
        "<animate attributeName='x'/> | <animate>",
      })
  void whatRunsOrFetchesIsRefusedByName(String inside, String named) {
    assertThatThrownBy(() -> OwnIcon.clean(BOX.formatted(inside)))
        .isInstanceOf(Refused.class)
        .hasMessageContaining(named);
  }

  @Test
  void entitiesAreRefusedBeforeAnythingIsExpanded() {
    String bomb =
        "<!DOCTYPE svg [<!ENTITY a \"ha\"><!ENTITY b \"&a;&a;&a;\">]>" + BOX.formatted("&b;");
    assertThatThrownBy(() -> OwnIcon.clean(bomb)).hasMessageContaining("<!ENTITY");
  }

  @Test
  void aBarePathGetsABox() {
    assertThat(OwnIcon.clean("M4 4h16v16H4z"))
        .isEqualTo("<svg viewBox=\"0 0 24 24\"><path d=\"M4 4h16v16H4z\" /></svg>");
    assertThatThrownBy(() -> OwnIcon.clean("hello there")).hasMessageContaining("begins with M");
  }

  @Test
  void shapesAndGradientsStay() {
    String svg =
        "<svg xmlns='http://www.w3.org/2000/svg' width='32' height='32'><title>x</title>"
            + "<defs><linearGradient id='a'><stop offset='0' stop-color='#fff'/></linearGradient></defs>"
            + "<circle cx='4' cy='4' r='3' fill='url(#a)'/></svg>";
    String clean = OwnIcon.clean(svg);
    assertThat(clean).startsWith("<svg viewBox=\"0 0 32 32\">").contains("<circle", "url(#a)");
    assertThat(OwnIcon.clean(clean)).isEqualTo(clean);
  }

  @Test
  void whatTheOutermostElementSaysOfPaintIsKeptInAGroup() {
    String lines =
        "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"24\" height=\"24\" viewBox=\"0 0 24 24\""
            + " fill=\"none\" stroke=\"currentColor\" stroke-width=\"2\"><path d=\"M4 20L20 4\"/></svg>";
    String clean = OwnIcon.clean(lines);
    assertThat(clean)
        .isEqualTo(
            "<svg viewBox=\"0 0 24 24\"><g fill=\"none\" stroke=\"currentColor\" stroke-width=\"2\">"
                + "<path d=\"M4 20L20 4\" /></g></svg>");
    assertThat(OwnIcon.clean(clean)).isEqualTo(clean);
  }
}
