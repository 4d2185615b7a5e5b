package giostra.core.snag;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.drive.Pacing;
import giostra.core.layout.PictureSizes;
import giostra.core.look.State;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.tempo.Trace;
import giostra.core.testing.Demo;
import giostra.core.value.Refused;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Properties;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Where findings lie, ways out that are tried, what is left on purpose. */
class ProofTest {
  private final Document demo = Demo.document();

  private static Edit set(String node, String setting, String band, Object value) {
    return new Edit.SetValue(node, setting, band, value);
  }

  private Document with(Edit... edits) {
    return Edits.apply(demo, List.of(edits)).document();
  }

  private static List<Snag> found(Document document, Rule rule) {
    return Snags.of(document, PictureSizes.NONE, 0).stream()
        .filter(each -> each.rule() == rule)
        .toList();
  }

  private static List<WayOut> ways(Document document, Snag snag) {
    List<Snag> all = Snags.of(document, PictureSizes.NONE, 0);
    return WayOut.of(document, snag, all, PictureSizes.NONE, 0);
  }

  /** Three walks on a tablet are narrower than 240 up to 811 px: (812 - 2 x 30 - 2 x 16) / 3. */
  @Test
  void aWayOutSaysWhatItChangesAndWhetherItMends() {
    Snag narrow =
        found(demo, Rule.NARROW).stream()
            .filter(each -> each.piece().equals("houses") && each.band().equals("tablet"))
            .findFirst()
            .orElseThrow();
    assertThat(narrow.measure())
        .hasValueSatisfying(measure -> {
          assertThat(measure.found()).isEqualTo((768 - 2 * 30 - 2 * 16) / 3.0);
          assertThat(measure.required()).isEqualTo(240);
        });
    assertThat(ways(demo, narrow))
        .extracting(WayOut::changes)
        .containsExactly(
            List.of("Tablet begins at 812 px, not at 768"),
            List.of("In view in Tablet: 3 becomes 2"));
    assertThat(ways(demo, narrow)).allMatch(WayOut::mends);
  }

  /**
   * Quotations are narrow up to 1043 px, where the post could move to. A tablet's one walk would be
   * seen for as long then, and a picture of 955 px in it drawn wider than it is from 1037 px, which
   * is 955 x 1.02, the section's 2 x 30 and the card's edges, 2 x 1.
   */
  @Test
  void aWayOutThatBringsSomethingNewSaysSo() {
    PictureSizes pictures =
        id -> id.isEmpty() ? Optional.empty() : Optional.of(new PictureSizes.Size(955, 1400));
    Document one =
        with(
            set("houses", "inView", "tablet", 1.0),
            set("words", "comfortFrom", Values.ALL, "300px"));
    List<Snag> before = Snags.of(one, pictures, 0);
    Snag narrow =
        before.stream()
            .filter(each -> each.rule() == Rule.NARROW && each.piece().equals("words"))
            .findFirst()
            .orElseThrow();
    List<WayOut> ways = WayOut.of(one, narrow, before, pictures, 0);
    assertThat(ways).extracting(way -> way.fix().label()).startsWith("move post to 1044");
    assertThat(ways).allMatch(WayOut::mends);
    assertThat(ways.getFirst().brings())
        .isNotEmpty()
        .allMatch(each -> each.rule() == Rule.ENLARGED && each.piece().equals("houses"))
        .allMatch(each -> each.to() == 1043 && each.from() > 1023);
    assertThat(ways.getLast().brings()).as("to show fewer").isEmpty();
  }

  @Test
  void whatIsOfTimeLiesInTheRestOfItsStop() {
    Document hasty =
        with(
            set("openings", "restsBy", "desktop", "time"),
            set("openings", "rest", "desktop", "2s"));
    List<Trace.Stretch> round = Pacing.at(hasty, "openings", 1280).firstRound();
    List<Snag> snags =
        found(hasty, Rule.HASTY).stream().filter(each -> each.band().equals("desktop")).toList();
    assertThat(snags).isNotEmpty();
    for (Snag snag : snags) {
      Extent.Times times = snag.extent().times().orElseThrow();
      assertThat(round)
          .as(snag.message())
          .anyMatch(each -> each.from() == times.from() && each.to() == times.to());
      assertThat(times.to() - times.from()).isEqualTo(2_000);
    }
  }

  @Test
  void whatIsOfDatesLiesBetweenThem() {
    Document gap =
        with(
            new Edit.RemoveNode("in-flower"),
            set("opening-frost", "seasonBegins", Values.ALL, "2027-01-10"),
            set("opening-frost", "seasonEnds", Values.ALL, "2027-02-28"),
            set("opening-orchids", "seasonBegins", Values.ALL, "2027-03-01"),
            set("opening-orchids", "seasonEnds", Values.ALL, "2027-04-01"),
            set("opening-autumn", "seasonBegins", Values.ALL, "2026-10-01"),
            set("opening-autumn", "seasonEnds", Values.ALL, "2027-01-05"));
    assertThat(found(gap, Rule.NOBODY))
        .singleElement()
        .satisfies(snag -> {
          Extent.Dates dates = snag.extent().dates().orElseThrow();
          assertThat(dates.from()).isEqualTo(Instant.parse("2027-01-06T00:00:00Z"));
          assertThat(dates.to()).isEqualTo(Instant.parse("2027-01-10T00:00:00Z"));
        });
    Proved proved = Proved.of(gap);
    assertThat(proved.from()).contains(Instant.parse("2026-10-01T00:00:00Z"));
    // The day on which a season ends is a day of it.
    assertThat(proved.until()).contains(Instant.parse("2027-04-02T00:00:00Z"));
    assertThat(proved.widths()).isEqualTo(2560 - 280 + 1);
    assertThat(proved.states()).hasSize(5).doesNotContain(State.DISABLED);
    assertThat(Proved.of(with(new Edit.RemoveNode("in-flower"))).until()).isEmpty();
  }

  @Test
  void whatIsLeftOnPurposeIsFoundAgainOnceItIsAnother() {
    List<Snag> all = Snags.of(demo, PictureSizes.NONE, 0);
    Snag snag = found(demo, Rule.BROKEN_WORD).getFirst();
    Snag other =
        found(demo, Rule.NARROW).stream()
            .filter(each -> each.piece().equals(snag.piece()))
            .findFirst()
            .orElseThrow();
    Document left =
        Edits.apply(demo, List.of(Leaves.leave(demo, all, snag, " a museum's own frame: Ines ")))
            .document();
    assertThat(Leaves.reason(left, snag)).contains("a museum's own frame: Ines");
    assertThat(Leaves.left(left, other)).isFalse();
    // The same finding, of the page as it is now.
    Snag again = found(left, Rule.BROKEN_WORD).getFirst();
    assertThat(Leaves.left(left, again)).isTrue();
    // A longer word breaks at other widths.
    Document longer =
        Edits.apply(left, List.of(set("house-2", "heading", Values.ALL, "Moonflowerings")))
            .document();
    assertThat(found(longer, Rule.BROKEN_WORD))
        .isNotEmpty()
        .noneMatch(each -> Leaves.left(longer, each));
    // Said of something else, what is no more goes; with no reason it is found again.
    Edit second =
        Leaves.leave(longer, Snags.of(longer, PictureSizes.NONE, 0), other, "the client's wish");
    Document both = Edits.apply(longer, List.of(second)).document();
    assertThat(Leaves.left(both, snag)).isFalse();
    Edit back = Leaves.leave(left, all, snag, "");
    assertThat(Edits.apply(left, List.of(back)).document()).isEqualTo(demo);
  }

  @Test
  void aReasonIsALineOfSoManyCharacters() {
    List<Snag> all = Snags.of(demo, PictureSizes.NONE, 0);
    for (String wrong : List.of("x".repeat(201), "two\nlines")) {
      assertThatThrownBy(() -> Leaves.leave(demo, all, all.getFirst(), wrong))
          .isInstanceOf(Refused.class)
          .hasMessageContaining("at most 200");
    }
  }

  /** A text that nobody says, or one that is said and not there, is a slip. */
  @Test
  void allTextsOfFindingsAreSaid() throws IOException {
    Path root = Path.of(System.getProperty("giostra.root"));
    var texts = new Properties();
    texts.load(
        new java.io.StringReader(
            Files.readString(
                root.resolve("core/src/main/resources/giostra/core/snag/messages.properties"),
                StandardCharsets.UTF_8)));
    String code;
    try (Stream<Path> files = Files.walk(root.resolve("core/src/main/java/giostra/core"))) {
      code =
          files
              .filter(file -> file.toString().endsWith(".java"))
              .map(file -> {
                try {
                  return Files.readString(file);
                } catch (IOException e) {
                  throw new java.io.UncheckedIOException(e);
                }
              })
              .collect(Collectors.joining());
    }
    assertThat(texts.stringPropertyNames())
        .isNotEmpty()
        .allMatch(key -> code.contains('"' + key + '"'));
  }
}
