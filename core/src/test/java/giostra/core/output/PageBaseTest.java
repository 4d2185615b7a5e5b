package giostra.core.output;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.anatomy.TypeParts;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.page.Starters;
import giostra.core.testing.Demo;
import giostra.core.value.Further;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Fonts and fixed rules are taken over from edit to edit, and follow each that is of them. */
class PageBaseTest {
  private static final String LATIN = "U+0000-00FF";
  private static final String CYRILLIC = "U+0400-04FF";
  private static final Shipped SHIPPED = shipped(_ -> Optional.empty());

  private static Shipped shipped(Shipped.Media media) {
    Shipped bare = Shipped.scriptsOnly();
    var fonts = new ArrayList<Shipped.Font>();
    for (String family : List.of("Source Sans 3", "Fraunces", "Bitter")) {
      for (String range : List.of(LATIN, CYRILLIC)) {
        String path = "fonts/" + family + range + ".woff2";
        fonts.add(new Shipped.Font(family + " Variable", path, "200 900", range));
      }
    }
    fonts.add(
        new Shipped.Font(Further.JAPANESE.family(), "fonts/kanji.woff2", "100 900", "U+3000-9FFF"));
    return new Shipped(bare.scripts(), fonts, media, bare.icons(), bare.hosts(), bare.blank());
  }

  private Document document = withHeading();
  private Compiled compiled = Compiler.compile(document, SHIPPED);

  private static Document withHeading() {
    Document demo = Demo.document();
    var sections = new ArrayList<>(demo.page().sections());
    var heading =
        new Block.Heading(
            "sign", Values.NONE.with(BlockSettings.HEADING_TEXT, Values.ALL, "A sign"));
    sections.add(new Section("signs", Values.NONE, List.of(heading)));
    return new Document(demo.site(), demo.page().holding(sections));
  }

  /** Whether fonts and fixed rules were taken over; what comes of it is as if made anew. */
  private boolean takesOver(Shipped shipped, Edit... edits) {
    document = Edits.apply(document, List.of(edits)).document();
    PageBase before = compiled.base();
    compiled = Compiler.compile(document, shipped, compiled);
    Compiled anew = Compiler.compile(document, shipped);
    assertThat(compiled.html()).isEqualTo(anew.html());
    assertThat(compiled.css()).isEqualTo(anew.css());
    assertThat(compiled.cssPath()).isEqualTo(anew.cssPath());
    assertThat(compiled.fonts()).isEqualTo(anew.fonts());
    assertThat(compiled.missing()).isEqualTo(anew.missing());
    return compiled.base() == before;
  }

  private static Edit says(String words) {
    return new Edit.SetValue("sign", BlockSettings.HEADING_TEXT.id(), Values.ALL, words);
  }

  private Edit face(String node, String family) {
    return new Edit.SetStyle(
        node,
        TypeParts.FAMILIES.key(Property.DISPLAY_FACE, State.REST),
        document.bands().lead().id(),
        family);
  }

  private Stream<String> asked(String part) {
    return compiled.fonts().stream().filter(path -> path.contains(part));
  }

  @Test
  void whatTouchesNoFontAndNoKindTakesThemOver() {
    assertThat(takesOver(SHIPPED, says("No signs"))).isTrue();
    assertThat(takesOver(SHIPPED, new Edit.SetValue("page", "title", Values.ALL, "Evenings")))
        .isTrue();
    assertThat(takesOver(SHIPPED, new Edit.RemoveNode("sign"))).isTrue();
  }

  @Test
  void aCharacterThatWasNotThereAsksForItsFile() {
    assertThat(asked(CYRILLIC)).isEmpty();
    assertThat(takesOver(SHIPPED, says("\u0417\u043d\u0430\u043a"))).isFalse();
    assertThat(asked(CYRILLIC)).isNotEmpty();
    assertThat(takesOver(SHIPPED, says("\u706f"))).isFalse();
    assertThat(asked(CYRILLIC)).isEmpty();
    // Ideographs are drawn as the page's language has them; no Chinese is among these fonts.
    assertThat(asked("kanji")).isEmpty();
    assertThat(takesOver(SHIPPED, new Edit.SetValue("page", "language", Values.ALL, "ja")))
        .isFalse();
    assertThat(asked("kanji")).hasSize(1);
  }

  @Test
  void aFamilyThatIsSaidComes() {
    assertThat(asked("Bitter")).isEmpty();
    assertThat(takesOver(SHIPPED, face("signs", "bitter"))).isFalse();
    assertThat(asked("Bitter")).hasSize(1);
    assertThat(takesOver(SHIPPED, face("page", "bitter"))).isFalse();
    assertThat(asked("Fraunces")).isEmpty();
  }

  @Test
  void aFamilyOfTheSiteIsSoughtWhenItsFilesAreSaid() {
    assertThat(takesOver(SHIPPED, face(Site.ID, "own-1"))).isFalse();
    assertThat(takesOver(SHIPPED, new Edit.SetValue(Site.ID, "font1", Values.ALL, "ours")))
        .isFalse();
    assertThat(compiled.missing()).contains("ours");
    // What ships with it is another from here on: the same media would have it.
    assertThat(takesOver(shipped(_ -> Optional.empty()))).isFalse();
    assertThat(compiled.missing()).contains("ours");
  }

  @Test
  void aKindThatComesBringsItsRulesOnce() {
    Document bare = new Document(document.site(), document.page().holding(List.of()));
    document = bare;
    compiled = Compiler.compile(bare, SHIPPED);
    String was = compiled.sheet().fixed().text();
    int added = 0;
    for (Starters.Starter each : Starters.ALL) {
      var section = new Section("s-" + added, Values.NONE, List.of());
      if (each.node() instanceof Piece piece && document.find(piece.id()).isEmpty()) {
        takesOver(
            SHIPPED,
            new Edit.AddNode("page", 0, section.holding(List.of(piece.holding(List.of())))));
        added++;
      }
    }
    assertThat(added).isEqualTo(7);
    assertThat(compiled.sheet().fixed().text()).hasSizeGreaterThan(was.length());
    int again = added;
    assertThat(
            document.page().sections().stream()
                .allMatch(each -> takesOver(SHIPPED, new Edit.MoveNode(each.id(), "page", again))))
        .isTrue();
  }
}
