package giostra.core.words;

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
public final class Labels {
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
  public static Labels in(String language) {
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
  public String items() {
    return word("items");
  }

  public String carousel() {
    return word("carousel");
  }

  public String card() {
    return word("card");
  }

  public String slide() {
    return word("slide");
  }

  public String previous() {
    return word("previous");
  }

  public String next() {
    return word("next");
  }

  public String choose() {
    return word("choose");
  }

  public String goTo(int place) {
    return said("go-to", Integer.toString(place));
  }

  public String of(int item, int all) {
    return said("of", Integer.toString(item), Integer.toString(all));
  }

  public String search() {
    return word("search");
  }

  public String categories() {
    return word("categories");
  }

  public String all() {
    return word("all");
  }

  public String copyLink() {
    return word("copy-link");
  }

  public String copied() {
    return word("copied");
  }

  /** What the button does that hands a link to the device's own way of sharing. */
  public String share() {
    return word("share");
  }

  /** What the button over a front face does. */
  public String turnOver(String heading) {
    return said("turn-over", heading).strip();
  }

  public String turnBack() {
    return word("turn-back");
  }

  /** What a clip without a name is called. */
  public String clip() {
    return word("clip");
  }

  /** What the button that starts a clip does. */
  public String play(String called) {
    return said("play", called).strip();
  }

  /** The same for a clip of a host. */
  public String playAt(String called, String host) {
    return said("play-at", called, host);
  }

  public String pause() {
    return word("pause");
  }

  public String controls() {
    return word("controls");
  }

  public String place() {
    return word("place");
  }

  public String mute() {
    return word("mute");
  }

  public String unmute() {
    return word("unmute");
  }

  public String volume() {
    return word("volume");
  }

  public String captions() {
    return word("captions");
  }

  public String captionsOff() {
    return word("captions-off");
  }

  public String speed() {
    return word("speed");
  }

  public String window() {
    return word("window");
  }

  public String screen() {
    return word("screen");
  }

  public String screenBack() {
    return word("screen-back");
  }

  public String noClip(String called) {
    return said("no-clip", called);
  }
}
