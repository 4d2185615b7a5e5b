package giostra.core.fit;

import static org.assertj.core.api.Assertions.assertThat;

import giostra.core.value.Further;
import giostra.core.value.Typeface;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LettersTest {
  private static final Shaper SHAPER = HarfBuzz.shipped();

  private static Map<Further, BitSet> further(String text, String language, Typeface... typefaces) {
    List<String> own = Arrays.stream(typefaces).map(Typeface::face).toList();
    var characters = new BitSet();
    text.codePoints().forEach(characters::set);
    return Letters.further(own, characters, Locale.forLanguageTag(language));
  }

  /** Han unification: one code point, written in other ways. Source: Unicode 16, 18.1. */
  @ParameterizedTest
  @CsvSource({
    "ja, 直, JAPANESE",
    "zh, 直, CHINESE",
    "zh-CN, 直, CHINESE",
    "zh-Hans-TW, 直, CHINESE",
    "zh-TW, 直, TRADITIONAL_CHINESE",
    "zh-Hant, 直, TRADITIONAL_CHINESE",
    "zh-HK, 直, TRADITIONAL_CHINESE",
    "ko, 直, KOREAN",
    "en, 直, CHINESE",
    "en, 直す, JAPANESE",
    "ko, 꽃, KOREAN",
    "en, 꽃, KOREAN",
    "ja, א, HEBREW",
    "th, ดอก, THAI",
    "en, زهر, ARABIC",
    "en, ★, CHINESE",
    "ja, ★, JAPANESE",
    "en, 🜁, SIGNS"
  })
  void ideographsAreThoseOfThePagesLanguage(String language, String text, Further expected) {
    Map<Further, BitSet> found = further(text, language, Typeface.OSWALD);
    assertThat(found).containsOnlyKeys(expected);
    assertThat(found.getOrDefault(expected, new BitSet()).cardinality())
        .isEqualTo(text.codePoints().count());
  }

  @Test
  void whatEachFamilyHasIsNotAskedFor() {
    assertThat(
            further(
                "Evenings – “at” Velluta, 1,234 €",
                "en",
                Typeface.SHIPPED.toArray(Typeface[]::new)))
        .isEmpty();
    // One of two has Greek: the other's is drawn by what stands in.
    assertThat(further("Ω", "el", Typeface.SOURCE_SANS)).isEmpty();
    assertThat(further("Ω", "el", Typeface.SOURCE_SANS, Typeface.CAVEAT))
        .containsOnlyKeys(Further.MANY);
    // Nothing that ships draws it.
    assertThat(further("🎠", "en", Typeface.BITTER)).isEmpty();
  }

  /** The engine need not know the language of a page: a character is as wide in each. */
  @Test
  void aCharacterIsAsWideWhicheverDrawsIt() {
    List<Further> east =
        List.of(Further.JAPANESE, Further.CHINESE, Further.TRADITIONAL_CHINESE, Further.KOREAN);
    var off = new ArrayList<String>();
    int several = 0;
    for (int c :
        IntStream.concat(
                IntStream.rangeClosed(0x2010, 0x33ff),
                IntStream.concat(
                    IntStream.iterate(0x3400, i -> i <= 0x9fff, i -> i + 7),
                    IntStream.rangeClosed(0xff00, 0xffef)))
            .toArray()) {
      var widths = new EnumMap<Further, Double>(Further.class);
      String text = Character.toString(c);
      if (SHAPER.has(Further.MANY.family(), c)) {
        continue; // Asked first, whatever the language.
      }
      for (Further each : east) {
        if (SHAPER.has(each.family(), c)) {
          widths.put(each, SHAPER.width(text, each.family(), 400, Shaper.Manner.RUNNING));
        }
      }
      several += widths.size() > 1 ? 1 : 0;
      if (widths.values().stream().distinct().count() > 1) {
        off.add("U+%x %s %s".formatted(c, text, widths));
      }
    }
    assertThat(several).isGreaterThan(2_900);
    assertThat(off).isEmpty();
  }
}
