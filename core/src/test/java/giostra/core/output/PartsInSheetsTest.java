package giostra.core.output;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.anatomy.Anatomy;
import giostra.core.anatomy.Tone;
import giostra.core.look.Part;
import giostra.core.look.State;
import giostra.core.value.Colour;
import giostra.core.value.ToneColour;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.FieldSource;

/** Sizes, colours and faces stand in the anatomy; the sheets that ship say where they belong. */
class PartsInSheetsTest {
  /**
   * All that ship, wherever they lie: the shared ones, and those of the kinds beside their rooms.
   */
  static final List<Path> SHEETS = sheets();

  private static List<Path> sheets() {
    Path resources = Path.of(System.getProperty("giostra.root"), "core/src/main/resources");
    try (Stream<Path> files = Files.walk(resources)) {
      return files.filter(file -> file.toString().endsWith(".css")).sorted().toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static final Pattern DECLARED = Pattern.compile("(--?)?([a-z-]+):([^;{}]+)[;}]");
  private static final Pattern COLOUR =
      Pattern.compile("#[0-9a-f]{3,8}\\b|\\b(?:rgb|hsl|oklch)a?\\(|\\b(?:white|black|red|gold)\\b");
  private static final Pattern LENGTH =
      Pattern.compile("(?<![\\w-])-?(?:\\d*\\.)?\\d+(?:px|r?em)\\b");

  /** Properties whose values are a matter of looks. */
  private static final Pattern LOOKS =
      Pattern.compile(
          "(?:padding|gap|row-gap|column-gap|font|font-size|font-family|font-weight|line-height"
              + "|letter-spacing|border(?!-radius: inherit).*|margin-block-(?:start|end))");

  private static String raw(Path sheet) throws IOException {
    return Files.readString(sheet);
  }

  @ParameterizedTest
  @FieldSource("SHEETS")
  void aSheetHoldsNoColourAndNoSizeOfItsOwn(Path sheet) throws IOException {
    String css = Stylesheet.squeezed(raw(sheet).replaceAll("@\\{[^}]*}", "named"));
    var wrong = new ArrayList<String>();
    Matcher each = DECLARED.matcher(css);
    while (each.find()) {
      String value = each.group(3);
      if (COLOUR.matcher(value).find()) {
        wrong.add(each.group());
      }
      if (each.group(1) == null
          && LOOKS.matcher(each.group(2)).matches()
          // What centres something is a matter of where it is, not of looks.
          && !value.contains("-1px")
          && !each.group().startsWith("line-height:48px")
          && !value.contains("calc(")
          && LENGTH.matcher(value).find()) {
        wrong.add(each.group());
      }
    }
    assertThat(wrong).isEmpty();
  }

  @ParameterizedTest
  @FieldSource("SHEETS")
  void allThatASheetNamesIsThere(Path sheet) throws IOException {
    assertThat(Filled.of(raw(sheet))).doesNotContain("@{");
  }

  @Test
  void everyPartIsFoundSomewhereInEachOfItsStates() {
    for (Part part : Anatomy.EVERY) {
      for (State state : part.states()) {
        assertThat(Where.of(part).in("#g-x", false, "", "", state, false, ""))
            .as("%s, %s", part, state)
            .matches("#g-x \\S.*");
      }
      long apart =
          part.states().stream()
              .map(state -> Where.of(part).in("#g-x", false, "", "", state, false, ""))
              .distinct()
              .count();
      assertThat(apart)
          .as("states of %s that are told apart", part)
          .isEqualTo(part.states().size());
    }
  }

  @Test
  void placesAreOfPartsThatThereAre() {
    assertThat(Where.names())
        .containsExactlyInAnyOrderElementsOf(
            Anatomy.EVERY.stream().map(part -> part.id().id()).toList());
  }

  /** Source: WCAG 2.2, 1.4.3 "Contrast (Minimum)": 4.5 for text. */
  @Test
  void inEachToneThatShipsTextCanBeRead() {
    for (Tone tone : Tone.ALL) {
      for (ToneColour ink : List.of(ToneColour.INK, ToneColour.QUIET, ToneColour.ACCENT)) {
        for (ToneColour under : List.of(ToneColour.GROUND, ToneColour.RAISED)) {
          assertThat(Colour.contrast(tone.colour(ink), tone.colour(under)))
              .as("%s on %s in %s", ink, under, tone.label())
              .isGreaterThanOrEqualTo(4.5);
        }
      }
    }
  }
}
