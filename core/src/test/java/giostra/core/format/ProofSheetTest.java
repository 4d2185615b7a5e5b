package giostra.core.format;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.snag.Leaves;
import giostra.core.snag.Snag;
import giostra.core.snag.Snags;
import giostra.core.testing.Demo;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jsoup.parser.ParseErrorList;
import org.jsoup.parser.Parser;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Isolated;

/** Reference library: jsoup, for what the sheet says to whoever reads it. */
// One test sets the language of the whole machine.
@Isolated
class ProofSheetTest {
  private static final Instant AT = Instant.parse("2026-11-29T10:00:00Z");

  private static List<Snag> found(Document document) {
    return Snags.of(document, _ -> Optional.empty(), 0);
  }

  private static org.jsoup.nodes.Document sheet(
      Document document, Optional<ProofSheet.Release> release) {
    String html = ProofSheet.html(document, found(document), release, AT);
    Parser parser = Parser.htmlParser().setTrackErrors(50);
    var read = parser.parseInput(html, "");
    ParseErrorList errors = parser.getErrors();
    assertThat(errors).isEmpty();
    return read;
  }

  @Test
  void itTellsAllThatIsFoundAndNoMore() {
    Document demo =
        Edits.apply(
                Demo.document(), List.of(new Edit.SetValue("page", "title", "", "Evenings <b>&")))
            .document();
    List<Snag> open = Leaves.counted(demo, found(demo));
    assertThat(open).isNotEmpty();
    var sheet = sheet(demo, Optional.empty());
    assertThat(sheet.select("table tbody tr")).hasSize(open.size());
    for (Snag each : open) {
      assertThat(sheet.text()).contains(each.message());
    }
    assertThat(sheet.select("h1").text()).isEqualTo("Evenings <b>&");
    assertThat(sheet.select("h1 b")).isEmpty();
    assertThat(sheet.select("script, img, link")).isEmpty();
    // 280 to 2560 px, each of them: core.band.Bands.
    assertThat(sheet.select("dd").eachText().getFirst()).startsWith("2,281, each px");
  }

  @Test
  void whatIsLeftStandsWithItsReasonAndIsNotCounted() {
    Document demo = Demo.document();
    List<Snag> open = Leaves.counted(demo, found(demo));
    Edit leave = Leaves.leave(demo, found(demo), open.getFirst(), "the client <wants> it");
    Document left = Edits.apply(demo, List.of(leave)).document();
    var sheet = sheet(left, Optional.empty());
    assertThat(sheet.select("h2:contains(on purpose) + table").text())
        .contains(open.getFirst().message())
        .contains("the client <wants> it");
    assertThat(sheet.select("h2:contains(was found) + table tbody tr")).hasSize(open.size() - 1);
  }

  @Test
  void itSaysWhichFilesItSpeaksOfWhateverTheLocale() {
    var release =
        new ProofSheet.Release(
            3, AT, List.of(new ProofSheet.File("index.html", 70_123, "ab".repeat(32))), true);
    Locale before = Locale.getDefault();
    try {
      Locale.setDefault(Locale.forLanguageTag("ar-EG-u-nu-arab"));
      var sheet = sheet(Demo.document(), Optional.of(release));
      assertThat(sheet.text()).contains("Release 3 of 29 November 2026, 10:00");
      assertThat(sheet.select("h2:contains(Files) ~ table tr").eachText().getLast())
          .isEqualTo("index.html 70,123 " + "ab".repeat(32));
      assertThat(sheet.text()).contains("holds for these files");
      var other = new ProofSheet.Release(3, AT, release.files(), false);
      assertThat(sheet(Demo.document(), Optional.of(other)).text())
          .contains("What is said here is of today’s")
          .doesNotContain("holds for these files");
      assertThat(sheet.select(".strip .on").attr("style")).matches("left:[\\d.]+%;width:[\\d.]+%");
    } finally {
      Locale.setDefault(before);
    }
  }
}
