package giostra.core.output;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.page.Document;
import giostra.core.testing.RandomDocuments;
import giostra.core.testing.Runs;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.TreeSet;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.select.Selector;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A published sheet has what its page needs, and less than all that there is. */
class TrimmedTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          .g-a{gap:1px}.g-b{gap:1px}                  | .g-a{gap:1px}
          .g-b,.g-a>p,.g-a .g-b{gap:1px}              | .g-a>p{gap:1px}
          p,.g-b{gap:1px}                             | p{gap:1px}
          .g-a:is(.g-b,.g-c) p{gap:1px}               | .g-a:is(.g-b,.g-c) p{gap:1px}
          .g-a:not(.g-b:is(.g-c,p)){gap:1px}          | .g-a:not(.g-b:is(.g-c,p)){gap:1px}
          .g-a:has(>.g-b,>p){gap:1px}                 | .g-a:has(>.g-b,>p){gap:1px}
          .g-a:NOT(.g-b),.g-a:nth-child(2 of .g-b,p){gap:1px} | .g-a:NOT(.g-b),.g-a:nth-child(2 of .g-b,p){gap:1px}
          .g-b:IS(p),.g-b:has(p){gap:1px}             |
          .g-b:is(p,a){gap:1px}                       |
          .other,.g-ab{gap:1px}                       | .other{gap:1px}
          .g-b[title="(,"],.g-\\b,.g-b{gap:1px}       | .g-b[title="(,"],.g-\\b,.g-b{gap:1px}
          :is(#g#g,.g-look-a) .g-b>p{gap:1px}         |
          .g-b[data-x=a],[data-x=b]{gap:1px}          | [data-x=b]{gap:1px}
          [data-x="a,.g-b"]{gap:1px}.g-now{gap:1px}   | [data-x="a,.g-b"]{gap:1px}.g-now{gap:1px}
          @media (width < 9px){.g-b{gap:1px}}         |
          @supports (gap:1px){@media print{.g-b{gap:1px}.g-a{gap:1px}}} | @supports (gap:1px){@media print{.g-a{gap:1px}}}
          @font-face{src:url("x")}@keyframes g-b{to{gap:1px}}  | @font-face{src:url("x")}@keyframes g-b{to{gap:1px}}
          """)
  void whatMeetsNothingGoes(String css, String then) {
    String html = "<p class='g-a g-b2'>.g-b</p>";
    assertThat(Trimmed.of(css, html)).isEqualTo(then == null ? "" : then.strip());
  }

  /** Reference: jsoup's own selectors, where they know what is asked. */
  @Test
  void noRuleGoesThatMeetsSomething() {
    int gone = 0;
    for (long seed = 0; seed < Runs.of(20, 300); seed++) {
      Document document = RandomDocuments.document(seed);
      Compiled compiled = Compiler.compile(document, Shipped.scriptsOnly());
      String kept = compiled.published().css();
      var page = Jsoup.parse(compiled.html());
      for (String head : heads(compiled.css())) {
        if (heads(kept).contains(head)) {
          continue;
        }
        gone++;
        for (String each : head.split(",(?![^(]*\\))")) {
          String plain = each.replaceAll("::?(before|after|hover|active|focus-visible|marker)", "");
          try {
            if (!kept.contains(each)) {
              assertThat(page.select(plain)).as("seed %d: %s", seed, each).isEmpty();
            }
          } catch (Selector.SelectorParseException e) {
            // What jsoup does not know: the browser's, in StageJourney.
            assertThat(each).contains(":");
          }
        }
      }
    }
    System.out.printf("measured: %d rules without use left out%n", gone);
    assertThat(gone).isPositive();
  }

  private static HashSet<String> heads(String css) {
    var all = new HashSet<String>();
    Pattern.compile("(?:^|[{}])([^{}@]+)\\{")
        .matcher(css)
        .results()
        .forEach(r -> all.add(r.group(1)));
    return all;
  }

  /** What scripts give is known here: read off the page scripts themselves. */
  @Test
  void whatScriptsGiveIsKnown() throws IOException {
    Path scripts = Path.of(System.getProperty("giostra.root"), "runtime", "src");
    var given = new TreeSet<String>();
    Pattern gives =
        Pattern.compile(
            "(?:className = |classList\\.(?:add|toggle|replace)\\(|class=\\\\?[\"'])[\"']?(g-[-\\w]+)");
    try (var files = Files.list(scripts)) {
      for (Path each : files.filter(file -> file.toString().endsWith(".ts")).toList()) {
        gives.matcher(Files.readString(each)).results().forEach(r -> given.add(r.group(1)));
      }
    }
    assertThat(given).containsExactlyInAnyOrderElementsOf(Trimmed.GIVEN);
  }

  /** Two pages with the same rules of their own may need other ones of ours. */
  @Test
  void aSheetIsNamedByWhatIsInIt() {
    var names = new TreeSet<String>();
    var sheets = new HashSet<String>();
    for (long seed = 0; seed < 20; seed++) {
      Compiled.Published page =
          Compiler.compile(RandomDocuments.document(seed), Shipped.scriptsOnly()).published();
      names.add(page.cssPath());
      sheets.add(page.css());
      assertThat(page.html()).contains("href=\"" + page.cssPath() + "\"");
    }
    assertThat(names).hasSameSizeAs(sheets);
    assertThat(List.copyOf(names)).allMatch(each -> each.matches("style\\.[0-9a-f]{12}\\.css"));
  }
}
