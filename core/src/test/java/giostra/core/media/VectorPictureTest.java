package giostra.core.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.value.Refused;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Vector pictures that are taken, and hostile ones that are not. */
class VectorPictureTest {
  private static String svg(String inner) {
    return "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 40 30\">" + inner + "</svg>";
  }

  @Test
  void aDrawingIsTakenWithItsSize() {
    VectorPicture read =
        VectorPicture.read(
            svg(
                "<metadata>mine</metadata><sodipodi:namedview/><style>.a{fill:url(#g)}</style>"
                    + "<defs><linearGradient id=\"g\"/></defs><g id=\"p\"><path d=\"M0 0h9\"/></g>"
                    + "<use href=\"#p\" x=\"4\"/><text x=\"2\">Lamp</text>"));
    assertThat(read.width()).isEqualTo(40);
    assertThat(read.height()).isEqualTo(30);
    assertThat(read.markup())
        .contains("width=\"40\"", "viewBox=\"0 0 40 30\"", "<linearGradient", "<use href=\"#p\"")
        .doesNotContain("metadata", "sodipodi");
  }

  @Test
  void itIsKnownByItsStart() {
    assertThat(VectorPicture.looksLikeOne("<?xml version=\"1.0\"?><!-- us --><svg >")).isTrue();
    assertThat(VectorPicture.looksLikeOne("<html><svg>")).isFalse();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '~',
      value = {
        "<script>alert(1)</script> ~ with <script>",
        "<g onload=\"alert(1)\"/> ~ with onload",
        "<a href=\"javascript:alert(1)\"><path/></a> ~ with <a>",
        "<image href=\"https://elsewhere.example/x.png\"/> ~ with <image>",
        "<foreignObject><p>x</p></foreignObject> ~ with <foreignobject>",
        "<use href=\"https://elsewhere.example/x.svg#a\"/> ~ with href=https://elsewhere",
        "<use xlink:href=\"data:image/svg+xml;base64,AAAA\"/> ~ with xlink:href=data:",
        "<rect fill=\"url(https://elsewhere.example/p)\"/> ~ with fill=url(https",
        "<style>@import 'https://elsewhere.example/a.css'</style> ~ with a style that asks for a file",
        "<style>.a{fill:u\\72l(https://elsewhere.example)}</style> ~ with a style that asks for a file",
        "<rect style=\"fill:url(//elsewhere.example)\"/> ~ with style=fill:url",
        "<rect fill=\"url(#a) url(https://elsewhere.example/p)\"/> ~ with fill=url(#a) url(https",
        "<rect style=\"fill:u/**/rl(//elsewhere.example)\"/> ~ with style=fill:u",
        "<rect style=\"mask:image-set('//elsewhere.example' 1x)\"/> ~ with style=mask",
        "<style>@font-face{src:local(x)}</style> ~ with a style that asks for a file",
        "<meta http-equiv=\"refresh\" content=\"0\"/> ~ with <meta>",
        "<discard begin=\"0\"/> ~ with <discard>",
        "<g><x:script xmlns:x=\"http://www.w3.org/1999/xhtml\"/></g><p/> ~ with <p>",
        "<animate attributeName=\"href\" values=\"javascript:1\"/> ~ with <animate>",
      })
  void whatRunsOrFetchesIsRefusedByName(String inner, String message) {
    assertThatThrownBy(() -> VectorPicture.read(svg(inner.strip())))
        .isInstanceOf(Refused.class)
        .hasMessageContaining(message.strip());
  }

  /** What says nothing about how it looks is left out, and nothing else. */
  @Test
  void whatDoesNotDrawIsLeftOut() {
    String markup =
        VectorPicture.read(
                svg(
                    "<!-- mine --><?php x ?><g data-a=\"b\" ping=\"c\" aria-label=\"Lamp\" nonce=\"d\""
                        + " stroke-width=\"2\"><path d=\"M0 0h9\"/></g>"))
            .markup();
    assertThat(markup)
        .contains("<g aria-label=\"Lamp\" stroke-width=\"2\"><path d=\"M0 0h9\"")
        .doesNotContain("mine", "php", "data-a", "ping", "nonce");
    assertThat(VectorPicture.read(markup).markup()).isEqualTo(markup);
  }

  /** Two million characters that open and never close: looked at anew from each, it took hours. */
  @Test
  void whatNeverClosesIsReadOnce() {
    assertThatThrownBy(() -> VectorPicture.read("<svg " + "<a".repeat(900_000)))
        .isInstanceOf(Refused.class);
  }

  @Test
  void bombsAreRefusedBeforeTheyAreBuilt() {
    String deep = "<g>".repeat(5000) + "</g>".repeat(5000);
    assertThatThrownBy(() -> VectorPicture.read(svg(deep)))
        .hasMessageContaining("nested deeper than 64");
    assertThatThrownBy(() -> VectorPicture.read("<!DOCTYPE svg [<!ENTITY a \"aa\">]>" + svg("&a;")))
        .hasMessageContaining("with <!ENTITY");
    assertThatThrownBy(() -> VectorPicture.read(svg("<path/>".repeat(30_000))))
        .hasMessageContaining("elements");
    assertThatThrownBy(
            () -> VectorPicture.read(svg("<defs>" + "<use href=\"#a\"/>".repeat(60) + "</defs>")))
        .hasMessageContaining("uses of its own parts");
    assertThatThrownBy(() -> VectorPicture.read("<svg xmlns=\"http://www.w3.org/2000/svg\"/>"))
        .hasMessageContaining("without a size");
  }
}
