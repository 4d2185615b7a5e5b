package giostra.core.output;

import com.ibm.icu.text.MessageFormat;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Properties;
import java.util.stream.Collectors;

/**
 * The few words that published pieces say themselves, in the language of the page; English where we
 * do not speak it. They stand in {@code labels/}, a file for each language, as ICU's MessageFormat
 * has them.
 */
final class Labels {
  private static final List<String> SPOKEN = List.of("en", "de", "fr", "it", "es", "ar");

  private static final Map<String, Labels> ALL =
      SPOKEN.stream().collect(Collectors.toUnmodifiableMap(code -> code, Labels::load));

  private final Locale locale;
  private final Properties words;

  private Labels(Locale locale, Properties words) {
    this.locale = locale;
    this.words = words;
  }

  private static Labels load(String code) {
    var words = new Properties();
    String name = "labels/" + code + ".properties";
    try (Reader in =
        new InputStreamReader(
            Objects.requireNonNull(Labels.class.getResourceAsStream(name), name),
            StandardCharsets.UTF_8)) {
      words.load(in);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return new Labels(Locale.forLanguageTag(code), words);
  }

  /** The words for a language tag (BCP 47). */
  static Labels in(String language) {
    String code = Locale.forLanguageTag(language).getLanguage();
    return Objects.requireNonNull(ALL.get(SPOKEN.contains(code) ? code : "en"));
  }

  private String said(String word, Object... more) {
    return new MessageFormat(word(word), locale).format(more);
  }

  private String word(String word) {
    return Objects.requireNonNull(words.getProperty(word), word);
  }

  /** What a piece without a name is called. */
  String items() {
    return word("items");
  }

  String carousel() {
    return word("carousel");
  }

  String card() {
    return word("card");
  }

  String slide() {
    return word("slide");
  }

  String previous() {
    return word("previous");
  }

  String next() {
    return word("next");
  }

  String choose() {
    return word("choose");
  }

  String goTo(int place) {
    return said("go-to", Integer.toString(place));
  }

  String of(int item, int all) {
    return said("of", Integer.toString(item), Integer.toString(all));
  }

  String search() {
    return word("search");
  }

  String categories() {
    return word("categories");
  }

  String all() {
    return word("all");
  }

  String copyLink() {
    return word("copy-link");
  }

  String copied() {
    return word("copied");
  }

  /** What the button over a front face does. */
  String turnOver(String heading) {
    return said("turn-over", heading).strip();
  }

  String turnBack() {
    return word("turn-back");
  }

  /** What a clip without a name is called. */
  String clip() {
    return word("clip");
  }

  /** What the button that starts a clip does. */
  String play(String called) {
    return said("play", called).strip();
  }

  /** The same for a clip of a host. */
  String playAt(String called, String host) {
    return said("play-at", called, host);
  }

  String pause() {
    return word("pause");
  }

  String controls() {
    return word("controls");
  }

  String place() {
    return word("place");
  }

  String mute() {
    return word("mute");
  }

  String unmute() {
    return word("unmute");
  }

  String volume() {
    return word("volume");
  }

  String captions() {
    return word("captions");
  }

  String captionsOff() {
    return word("captions-off");
  }

  String speed() {
    return word("speed");
  }

  String window() {
    return word("window");
  }

  String screen() {
    return word("screen");
  }

  String screenBack() {
    return word("screen-back");
  }

  String noClip(String called) {
    return said("no-clip", called);
  }
}
