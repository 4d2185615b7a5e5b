package giostra.core.fit;

import giostra.core.value.Further;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** Which of the families that ship draws the characters of a page. */
public final class Letters {
  private static final Shaper SHAPER = HarfBuzz.shipped();

  /** Where Chinese is written in full. Common practice, no source. */
  private static final Set<String> FULL = Set.of("TW", "HK", "MO");

  private Letters() {}

  /**
   * Which further families draw which of some characters, where one of the page's own has them not;
   * each character is of one. Ideographs are those of the page's language: what is Japanese for a
   * reader in Osaka is a misprint in Suzhou.
   *
   * @param own families of the page, as {@link Face} names them
   * @param characters code points
   * @param language of the page
   */
  public static Map<Further, BitSet> further(
      Collection<String> own, BitSet characters, Locale language) {
    List<Further> order = order(language, characters);
    var all = new EnumMap<Further, BitSet>(Further.class);
    characters.stream()
        .filter(c -> own.stream().anyMatch(each -> !SHAPER.has(each, c)))
        .forEach(c ->
            order.stream()
                .filter(each -> SHAPER.has(each.family(), c))
                .findFirst()
                .ifPresent(each -> all.computeIfAbsent(each, _ -> new BitSet()).set(c)));
    return all;
  }

  private static List<Further> order(Locale language, BitSet characters) {
    var order = new ArrayList<>(List.of(Further.values()));
    Further first = of(language, characters);
    order.remove(first);
    order.add(order.indexOf(Further.THAI) + 1, first);
    return order;
  }

  private static Further of(Locale language, BitSet characters) {
    return switch (language.getLanguage()) {
      case "ja" -> Further.JAPANESE;
      case "ko" -> Further.KOREAN;
      case "zh" ->
          "Hant".equals(language.getScript())
                  || (language.getScript().isEmpty() && FULL.contains(language.getCountry()))
              ? Further.TRADITIONAL_CHINESE
              : Further.CHINESE;
      // A page in another language that has kana quotes Japanese.
      default -> characters.stream().anyMatch(Letters::kana) ? Further.JAPANESE : Further.CHINESE;
    };
  }

  private static boolean kana(int codePoint) {
    var script = Character.UnicodeScript.of(codePoint);
    return script == Character.UnicodeScript.HIRAGANA || script == Character.UnicodeScript.KATAKANA;
  }
}
