package giostra.core.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.CharRange;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Rules of one's own hold below a place, load nothing, and are written anew or not at all. */
class OwnCssTest {
  private static String under(String css) {
    return String.join("\n", OwnCss.read(css).under("#g-cards", "cards"));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        ".a { rotate: 1deg; } | #g-cards .a{rotate:1deg}",
        ".a, .b > c { margin: -1px 0 } | #g-cards .a,#g-cards .b>c{margin:-1px 0}",
        ":scope { --x: 1px } | #g-cards{--x:1px}",
        ":scope:hover > .a { scale: 1.02 } | #g-cards:hover>.a{scale:1.02}",
        ":is(html, body) .a { color: red } | #g-cards :is(html,body) .a{color:red}",
        "html { display: none } | #g-cards html{display:none}",
        ".a::before { content: 'url(x)' } | #g-cards .a::before{content:'url(x)'}",
        "@media (min-width: 600px) { .a { color: red } } | @media (min-width:600px){#g-cards .a{color:red}}",
        "@supports (display: grid) { .a { color: red } } | @supports (display:grid){#g-cards .a{color:red}}",
        "@keyframes turn { from, 50% { rotate: 0deg } to { rotate: 1turn } } .a { animation: 2s turn both, return 1s } | @media (prefers-reduced-motion:no-preference){@keyframes turn-cards{from,50%{rotate:0deg}to{rotate:1turn}}}@#g-cards .a{animation:2s turn-cards both,return 1s}",
        "@media (min-width:600px) { @keyframes a { to { scale: 2 } } .b { animation-name: a } } | @media (min-width:600px){@media (prefers-reduced-motion:no-preference){@keyframes a-cards{to{scale:2}}}#g-cards .b{animation-name:a-cards}}",
        ".a { color: red; &:hover { color: blue } } | #g-cards .a{color:red}@#g-cards .a:hover{color:blue}",
        ".a, .b { > i { margin: 0 } + & { top: 0 } } | #g-cards .a>i,#g-cards .b>i{margin:0}@#g-cards .a+:is(.a,.b),#g-cards .b+:is(.a,.b){top:0}",
        ".a { .b { .c & { top: 0 } } left: 0 } | #g-cards .c :is(.a .b){top:0}@#g-cards .a{left:0}",
        "&:hover { top: 0; .a { left: 0 } } | #g-cards:hover{top:0}@#g-cards:hover .a{left:0}",
        ".a { @media (width >= 40em) { top: 0; b { left: 0 } } } | @media (width >= 40em){#g-cards .a{top:0}#g-cards .a b{left:0}}",
        "@container cards (inline-size > 400px) and (not (width < 2rem)) { .a { top: 0 } } | @container cards (inline-size > 400px) and (not (width < 2rem)){#g-cards .a{top:0}}",
        ":scope { container-type: inline-size } /* a } brace */ .a::before { content: '}' } | #g-cards{container-type:inline-size}@#g-cards .a::before{content:'}'}",
        "@media screen and (400px <= width <= 60rem), print and (width<9px) { .a { top: 0 } } | @media screen and (400px <= width <= 60rem),print and (width < 9px){#g-cards .a{top:0}}",
        "@container (min-width: calc(20rem + 1px)) or style(--dark: yes) { .a { top: 0 } } | @container (min-width:calc(20rem + 1px)) or style(--dark:yes){#g-cards .a{top:0}}",
        "@media (aspect-ratio >= 16/9) { .a { top: 0 } } | @media (aspect-ratio >= 16/9){#g-cards .a{top:0}}",
        ".a { &:not(&:last-child) { top: 0 } } | #g-cards .a:not(:is(.a):last-child){top:0}",
        ".a { rotate: 0deg; transition: opacity 0s; margin: 0px } | #g-cards .a{rotate:0deg;transition:opacity 0s;margin:0px}",
        ".a { color: color-mix(in oklch, red 20%, blue) !important } | #g-cards .a{color:color-mix(in oklch,red 20%,blue) !important}",
      })
  void rulesHoldBelowTheirPlace(String css, String written) {
    assertThat(under(css)).isEqualTo(written.replace("}@#", "}\n#"));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        ".a { background: url(http://x.example/y.png) }",
        ".a { background: image-set('http://x.example/y.png' 1x) }",
        ".a { background: URL(//x.example) }",
        ".a { background: u\\72l(//x.example) }",
        ".a { --x: url(//x.example) }",
        ".a { background: src('//x.example') }",
        ".a { width: expression(alert(1)) }",
        "@import '//x.example'; .a { color: red }",
        "@import url(//x.example);",
        "@font-face { font-family: x; src: url(//x.example) }",
        "@namespace x '//x.example';",
        "@keyframes turn { to { background: url(//x.example) } }",
        "@keyframes 'turn' { to { rotate: 1turn } }",
        "@keyframes turn { sometimes { rotate: 1turn } }",
        "@keyframes turn { to { rotate: 1turn }",
        "@page { margin: 0 }",
        "@layer a { .a { color: red } }",
        ":scope + .a { color: red }",
        ":scope ~ .a { color: red }",
        "~ .a { color: red }",
        ".a { color: red } } .b { color: blue }",
        ".a { color: red",
        "@keyframes turn { to { & { rotate: 1turn } } }",
        ".a { @keyframes turn { to { rotate: 1turn } } }",
        ".a { &-b { color: red } }",
        ".a { .b & { color: red } @layer x { color: red } }",
        ":scope { .b & { color: red } }",
        "& + .a { color: red }",
        ".a { :scope + & { color: red } }",
        "@container style(--x: url(//x.example)) { .a { color: red } }",
        "@container (width </style>) { .a { color: red } }",
        ".a { @container (width > 3px)) ( { top: 0 } }",
        ".a { @container (width > 3px] { top: 0 } }",
        "@container { .a { top: 0 } }",
        "@container cards { .a { top: 0 } }",
        "@container (width > ) { .a { top: 0 } }",
        "@container (width > 3px) and { .a { top: 0 } }",
        "@container (width > 3px) and (height > 3px) or (width > 9px) { .a { top: 0 } }",
        "@container and(width > 3px) { .a { top: 0 } }",
        "@container (width > 1.2.3px) { .a { top: 0 } }",
        "@media (width >= calc()) { .a { top: 0 } }",
        "@media (width >= attr(x)) { .a { top: 0 } }",
        "@container (width > 3px; x) { .a { color: red } }",
        "@media (width <script) { .a { color: red } }",
        ".a { color: red; .b { background: url(//x.example) } }",
        ".a { --x: { color: red } }",
        ".a { color: red; /* no end }",
        ".a { content: 'no end }",
        "} body { display: none",
        "</style><script>alert(1)</script>",
        ".a { color: red } <!-- x",
        "color: red",
        ".a",
      })
  void whatReachesOutOrIsNotUnderstoodIsRefused(String css) {
    assertThatThrownBy(() -> OwnCss.read(css)).isInstanceOf(Refused.class);
  }

  @Test
  void aRefusalNamesTheLine() {
    assertThatThrownBy(() -> OwnCss.read(".a { color: red }\n\n.b { background: url(x) }"))
        .hasMessage("CSS is url() in line 3; it must be without it: nothing is loaded from here");
    assertThatThrownBy(() -> OwnCss.read(".a { color: red }\n.b { color: ("))
        .hasMessageContaining("a bracket that is not closed in line 2");
    assertThatThrownBy(() -> OwnCss.read("(".repeat(8_000)))
        .hasMessageContaining("more than 12 brackets in line 1");
    assertThatThrownBy(() ->
            OwnCss.read(".a {\n  color: red;\n  .b {\n    top: 0;\n    left: url(x);\n  }\n}"))
        .hasMessageContaining("url() in line 5");
    String deep = ".a,.b{".repeat(10) + "top:0" + "}".repeat(10);
    assertThatThrownBy(() -> OwnCss.read(deep)).hasMessageContaining("more than 500 selectors");
    // Many rules in a long list are as many times longer when they are written out.
    String list = ",.a".repeat(300).substring(1);
    String many = list + "{" + "b{top:0}".repeat(400) + "}";
    assertThatThrownBy(() -> OwnCss.read(many)).hasMessageContaining("selectors");
    assertThat(OwnCss.read(list + "{b{top:0}}").under("#g-x", "x")).hasSize(1);
    assertThat(OwnCss.read("").under("#g-x", "x")).isEmpty();
  }

  /** Whatever is taken holds below its place alone, and can be taken again. */
  @Property(tries = 2_000)
  void whateverIsTakenStaysInItsPlace(
      @ForAll @StringLength(max = 60) @CharRange(from = ' ', to = '~') String text) {
    try {
      for (String rule : OwnCss.read(".a{" + text + "}").under("#g-x", "x")) {
        assertThat(rule).startsWith("#g-x").doesNotContain("url(");
        assertThat(OwnCss.read(rule).under("#g-x", "x")).isNotEmpty();
      }
    } catch (Refused taken) {
      assertThat(taken).hasMessageContaining("must be");
    }
  }
}
