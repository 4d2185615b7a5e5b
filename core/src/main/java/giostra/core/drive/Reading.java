package giostra.core.drive;

import com.ibm.icu.text.BreakIterator;
import giostra.core.fit.Shortened;
import giostra.core.page.Document;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.PageSettings;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.page.PinSettings;
import giostra.core.value.RichText;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/**
 * How long it takes to read what stands on an item: 238 words a minute, silently, in English, as
 * the mean of 190 studies. Source: Brysbaert 2019, "How many words do we read per minute?"; the
 * figure is from memory.
 */
public final class Reading {
  /** Words a minute. */
  public static final double WORDS_A_MINUTE = 238;

  private Reading() {}

  /** Ms that so many words take. */
  public static long ms(int words) {
    return Math.round(words / WORDS_A_MINUTE * 60_000);
  }

  /**
   * Words of a text as its language parts them. Source: UAX #29, "Word Boundaries", by ICU; what
   * holds neither letters nor digits is none.
   */
  public static int words(String text, Locale locale) {
    BreakIterator words = BreakIterator.getWordInstance(locale);
    words.setText(text);
    int count = 0;
    while (words.next() != BreakIterator.DONE) {
      if (words.getRuleStatus() >= BreakIterator.WORD_NONE_LIMIT) {
        count++;
      }
    }
    return count;
  }

  /** Words that are seen of an item of a piece. */
  public static int words(Document document, Piece piece, Item item) {
    Locale locale = Locale.forLanguageTag(document.page().values().get(PageSettings.LANGUAGE));
    Stream<String> pinned =
        piece.type().hasPins()
            ? item.pins().stream().map(pin -> pin.values().get(PinSettings.WORDS))
            : Stream.of();
    return Stream.concat(said(piece, item).stream(), pinned)
        .mapToInt(text -> words(text, locale))
        .sum();
  }

  /** How many texts stand on an item of a piece: buttons stand in one row. */
  public static int parts(Piece piece, Item item) {
    return said(piece, item).size();
  }

  private static List<String> said(Piece piece, Item item) {
    List<String> used =
        Fields.used(piece.type(), piece.values()).stream()
            .map(field -> field.setting().id())
            .toList();
    int most = piece.values().get(PieceSettings.SHORTEN);
    var all = new ArrayList<String>();
    for (Setting<String> each : ItemSettings.READ) {
      if (used.contains(each.id())
          && !Fields.off(piece, each.id())
          && piece.type().room().reads(each)) {
        String said = item.values().get(each);
        String text =
            each != ItemSettings.TEXT
                ? said
                : most > 0 ? Shortened.to(said, most) : RichText.words(said);
        if (!text.isBlank()) {
          all.add(text);
        }
      }
    }
    return all;
  }
}
