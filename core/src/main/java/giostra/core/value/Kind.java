package giostra.core.value;

import java.time.Duration;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a setting's value may be: how it is read, written, and what is allowed. Closed, so that the
 * schema, the sheet and the reader answer for every kind.
 *
 * <p>Raw values are those of JSON: {@link String}, {@link Number} or {@link Boolean}. Text that
 * says the same thing is taken as well, since people type it.
 *
 * @param <T> the type of a value in Java
 */
public sealed interface Kind<T> {

  /**
   * The value that {@code raw} stands for.
   *
   * @throws Refused with {@code what} when it is none, or out of range
   */
  T read(String what, Object raw);

  /** The value as JSON has it; {@link #read} takes it back. */
  Object write(T value);

  /** What is allowed, in words that complete "it must be". */
  String allowed();

  /** Whether less is written than can be read: decimals, say. */
  default boolean rounds() {
    return switch (this) {
      case Size _,
          Time _,
          Point _,
          Paint _,
          Hue _,
          Letters _,
          Under _,
          Moved _,
          Shade _,
          Tall _,
          Ways _ ->
          true;
      case Whole _,
          Pick<?> _,
          Toggle _,
          Words _,
          Address _,
          OfMedia _,
          Language _,
          Ratio _,
          Advance _,
          Decimal _,
          Several _,
          Zone _,
          Icon _,
          Rich _,
          Markup _,
          Token _ ->
          false;
    };
  }

  /**
   * Text that is cleaned, then measured: cleaning may make it longer, since some characters are
   * written as references. Cleaned again it stays the same, or it is not taken.
   */
  private static String cleaned(
      String what, Object raw, int most, UnaryOperator<String> clean, Kind<?> kind) {
    // What is far too long is not parsed at all.
    String text = new Words(most * 2, true).read(what, raw);
    for (int tries = 0; tries < 4; tries++) {
      String now = clean.apply(text);
      if (now.equals(text)) {
        if (now.length() > most) {
          throw new Refused(
              what,
              String.format(Locale.ROOT, "%d characters long, cleaned", now.length()),
              kind.allowed());
        }
        return new Words(most, true).read(what, now);
      }
      text = now;
    }
    throw new Refused(what, "markup that reads differently each time", kind.allowed());
  }

  /** A whole number, both ends allowed. */
  record Whole(int least, int most) implements Kind<Integer> {
    @Override
    public Integer read(String what, Object raw) {
      double number;
      try {
        number =
            raw instanceof Number n ? n.doubleValue() : Double.parseDouble(raw.toString().strip());
      } catch (NumberFormatException e) {
        throw new Refused(what, raw.toString(), allowed());
      }
      if (number != Math.rint(number) || number < least || number > most) {
        throw new Refused(what, Require.number(number), allowed());
      }
      return (int) number;
    }

    @Override
    public Object write(Integer value) {
      return value;
    }

    @Override
    public String allowed() {
      return String.format(Locale.ROOT, "a whole number from %d to %d", least, most);
    }
  }

  /**
   * A length. The range is in px and checked for px, rem and em; a percentage may be from 0 to 100.
   *
   * @param percent whether there is a container that percentages could be of
   */
  record Size(double least, double most, boolean percent) implements Kind<Length> {
    /** A length that may be a percentage. */
    public Size(double least, double most) {
      this(least, most, true);
    }

    @Override
    public Length read(String what, Object raw) {
      Length length;
      try {
        length =
            raw instanceof Number n ? Length.px(n.doubleValue()) : Length.parse(raw.toString());
      } catch (Refused e) {
        throw new Refused(what, e.found(), allowed());
      }
      boolean share = length.unit() == Length.Unit.PERCENT;
      double low = share ? 0 : least;
      double high = share ? 100 : most;
      double found = share ? length.amount() : length.constantPx();
      if ((share && !percent) || !(found >= low && found <= high)) {
        throw new Refused(what, length.css(), allowed());
      }
      return length;
    }

    @Override
    public Object write(Length value) {
      return value.css();
    }

    @Override
    public String allowed() {
      String range =
          String.format(
              Locale.ROOT,
              "a length from %s to %s px (px, rem, em)",
              Require.number(least),
              Require.number(most));
      return percent ? range + ", or a percentage up to 100" : range;
    }
  }

  /** One of a closed set of words: the constants of an enum in lower case with hyphens. */
  record Pick<E extends Enum<E>>(Class<E> type) implements Kind<E> {
    @Override
    public E read(String what, Object raw) {
      String word = raw.toString().strip().toLowerCase(Locale.ROOT).replace(' ', '-');
      for (E each : type.getEnumConstants()) {
        if (word(each).equals(word)) {
          return each;
        }
      }
      throw new Refused(what, raw.toString(), allowed());
    }

    @Override
    public Object write(E value) {
      return word(value);
    }

    /** All words, in the order in which they are declared. */
    public List<String> words() {
      return Arrays.stream(type.getEnumConstants()).map(Pick::word).toList();
    }

    @Override
    public String allowed() {
      return words().stream().collect(Collectors.joining(", ", "one of ", ""));
    }

    /** The word of a constant: {@code AT_END} is {@code at-end}. */
    public static String word(Enum<?> value) {
      return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
  }

  /** On or off. */
  record Toggle() implements Kind<Boolean> {
    private static final Set<String> ON = Set.of("on", "yes", "true", "1");
    private static final Set<String> OFF = Set.of("off", "no", "false", "0");

    @Override
    public Boolean read(String what, Object raw) {
      String word = raw.toString().strip().toLowerCase(Locale.ROOT);
      if (!ON.contains(word) && !OFF.contains(word)) {
        throw new Refused(what, raw.toString(), allowed());
      }
      return ON.contains(word);
    }

    @Override
    public Object write(Boolean value) {
      return value;
    }

    @Override
    public String allowed() {
      return "on or off";
    }
  }

  /**
   * Text. A blank one is as good as none.
   *
   * @param most characters at the most
   * @param lines whether it may have line breaks
   */
  record Words(int most, boolean lines) implements Kind<String> {
    @Override
    public String read(String what, Object raw) {
      if (!(raw instanceof String text)) {
        throw new Refused(what, raw.toString(), allowed());
      }
      if (text.length() > most) {
        throw new Refused(
            what, String.format(Locale.ROOT, "%d characters long", text.length()), allowed());
      }
      Require.text(what, text, allowed());
      return lines ? text : text.replace('\n', ' ');
    }

    @Override
    public Object write(String value) {
      return value;
    }

    @Override
    public String allowed() {
      return String.format(Locale.ROOT, "text of at most %d characters", most);
    }
  }

  /** Where a link leads: http, https, mailto, tel, a path, or a place on the page. Nothing else. */
  record Address() implements Kind<String> {
    private static final String SCHEME = "(?i)(https?://|mailto:|tel:)\\S+";

    @Override
    public String read(String what, Object raw) {
      String text = raw.toString().strip();
      boolean relative = text.matches("[^\\s:]*") || text.matches("[/#?]\\S*");
      if (text.length() > 2000 || !(text.matches(SCHEME) || relative)) {
        throw new Refused(what, text, allowed());
      }
      return text;
    }

    @Override
    public Object write(String value) {
      return value;
    }

    @Override
    public String allowed() {
      return "an address (https, http, mailto, tel), a path or #place, without spaces";
    }
  }

  /** Something of the site's media, by its id. Whether it exists is for whoever keeps them. */
  sealed interface OfMedia extends Kind<String> permits Picture, Clip, CaptionFile, Sprite {
    @Override
    default String read(String what, Object raw) {
      String id = raw.toString().strip();
      if (!id.matches("[a-z0-9-]{0,80}")) {
        throw new Refused(what, id, allowed());
      }
      return id;
    }

    @Override
    default Object write(String value) {
      return value;
    }
  }

  /** A picture of the site. */
  record Picture() implements OfMedia {
    @Override
    public String allowed() {
      return "the id of a picture of this site";
    }
  }

  /** A clip of the site. */
  record Clip() implements OfMedia {
    @Override
    public String allowed() {
      return "the id of a clip of this site";
    }
  }

  /** An icon sprite of the site. */
  record Sprite() implements OfMedia {
    @Override
    public String allowed() {
      return "the id of an icon sprite of this site";
    }
  }

  /** A caption file of the site. */
  record CaptionFile() implements OfMedia {
    @Override
    public String allowed() {
      return "the id of a caption file of this site";
    }
  }

  /** A language tag per BCP 47 (its shape; whether anybody speaks it is not asked). */
  record Language() implements Kind<String> {
    @Override
    public String read(String what, Object raw) {
      String tag = raw.toString().strip();
      if (!tag.matches("[A-Za-z]{2,3}(-[A-Za-z0-9]{2,8})*")) {
        throw new Refused(what, tag, allowed());
      }
      return tag;
    }

    @Override
    public Object write(String value) {
      return value;
    }

    @Override
    public String allowed() {
      return "a language tag such as en or de-AT (BCP 47)";
    }
  }

  /** What a parser of its own reads; what it refuses is refused with what is allowed. */
  sealed interface Parsed<T> extends Kind<T> {
    /**
     * The value that a text stands for.
     *
     * @throws Refused when it is none
     */
    T parse(String text);

    @Override
    default T read(String what, Object raw) {
      try {
        return parse(raw.toString());
      } catch (Refused e) {
        throw new Refused(what, raw.toString(), allowed());
      }
    }
  }

  /** Shares of columns, such as {@code 2:1}, or {@code stack} for one under the other. */
  record Ratio() implements Parsed<Shares> {
    @Override
    public Shares parse(String text) {
      return Shares.parse(text);
    }

    @Override
    public Object write(Shares value) {
      return value.written();
    }

    @Override
    public String allowed() {
      return "shares such as 1:1 or 2:1 (each 1 to 12), or stack";
    }
  }

  /** How many items one move advances: a whole number from 1 to 12, or {@code view}. */
  record Advance() implements Kind<Stride> {
    private static final Whole NUMBER = new Whole(1, 12);

    @Override
    public Stride read(String what, Object raw) {
      if (raw.toString().strip().toLowerCase(Locale.ROOT).matches("(a )?view")) {
        return Stride.VIEW;
      }
      try {
        return new Stride(NUMBER.read(what, raw));
      } catch (Refused e) {
        throw new Refused(what, e.found(), allowed());
      }
    }

    @Override
    public Object write(Stride value) {
      return value.equals(Stride.VIEW) ? "view" : (Object) value.items();
    }

    @Override
    public String allowed() {
      return NUMBER.allowed() + ", or view";
    }
  }

  /** A number, both ends allowed. */
  record Decimal(double least, double most) implements Kind<Double> {
    @Override
    public Double read(String what, Object raw) {
      double number;
      try {
        number =
            raw instanceof Number n
                ? n.doubleValue()
                : Double.parseDouble(raw.toString().strip().replace(',', '.'));
      } catch (NumberFormatException e) {
        throw new Refused(what, raw.toString(), allowed());
      }
      if (!(number >= least && number <= most)) {
        throw new Refused(what, Require.number(number), allowed());
      }
      return number;
    }

    @Override
    public Object write(Double value) {
      return value;
    }

    @Override
    public String allowed() {
      return String.format(
          Locale.ROOT, "a number from %s to %s", Require.number(least), Require.number(most));
    }
  }

  /**
   * A span of time; read as seconds where no unit is given, since seconds say more than ms.
   *
   * @param none whether 0 is allowed besides, which stands for none of its own
   */
  record Time(Duration least, Duration most, boolean none) implements Kind<Duration> {
    private static final Pattern WRITTEN =
        Pattern.compile("(\\d{1,9}(?:[.,]\\d{1,9})?)\\s*(ms|s)?");

    /** A span between two in ms, both allowed. */
    public static Time ms(long least, long most) {
      return new Time(Duration.ofMillis(least), Duration.ofMillis(most), false);
    }

    /** The same, or 0 for none of its own. */
    public static Time ownMs(long least, long most) {
      return new Time(Duration.ofMillis(least), Duration.ofMillis(most), true);
    }

    @Override
    public Duration read(String what, Object raw) {
      var match = WRITTEN.matcher(raw.toString().strip().toLowerCase(Locale.ROOT));
      if (!match.matches()) {
        throw new Refused(what, raw.toString(), allowed());
      }
      double amount = Double.parseDouble(match.group(1).replace(',', '.'));
      double ms = "ms".equals(match.group(2)) ? amount : amount * 1000;
      boolean nothing = none && ms == 0;
      if (!nothing && !(ms >= least.toMillis() && ms <= most.toMillis())) {
        throw new Refused(what, raw.toString(), allowed());
      }
      return Duration.ofMillis(Math.round(ms));
    }

    @Override
    public Object write(Duration value) {
      return seconds(value);
    }

    @Override
    public String allowed() {
      String span =
          String.format(Locale.ROOT, "a time from %s to %s", seconds(least), seconds(most));
      return none ? span + ", or 0 for none of its own" : span;
    }

    /** As people and CSS write it: {@code 1.5s}. */
    public static String seconds(Duration value) {
      return Require.number(value.toMillis() / 1000.0) + "s";
    }
  }

  /** A time zone by its name in the IANA database. */
  record Zone() implements Kind<ZoneId> {
    @Override
    public ZoneId read(String what, Object raw) {
      String name = raw.toString().strip();
      if (!ZoneId.getAvailableZoneIds().contains(name)) {
        throw new Refused(what, name, allowed());
      }
      return ZoneId.of(name);
    }

    @Override
    public Object write(ZoneId value) {
      return value.getId();
    }

    @Override
    public String allowed() {
      return "a zone by its IANA name, such as Europe/Lisbon or UTC";
    }
  }

  /**
   * Ways in which what was shown gives way to what comes.
   *
   * @param none whether there may be none of its own
   */
  record Ways(boolean none) implements Kind<Changes> {
    @Override
    public Changes read(String what, Object raw) {
      return Changes.parse(what, raw.toString(), none);
    }

    @Override
    public Object write(Changes value) {
      return value.written();
    }

    @Override
    public String allowed() {
      return Change.ALLOWED + (none ? "; or nothing, for those of the piece" : "");
    }
  }

  /** Any of a closed set of words, or none; written with spaces between, in the set's order. */
  record Several(List<String> words) implements Kind<List<String>> {
    public Several {
      words = List.copyOf(words);
    }

    @Override
    public List<String> read(String what, Object raw) {
      String text = raw.toString().strip();
      Set<String> found =
          text.isEmpty() ? Set.of() : Set.copyOf(Arrays.asList(text.split("[\\s,]+")));
      for (String word : found) {
        if (!words.contains(word)) {
          throw new Refused(what, word, allowed());
        }
      }
      return words.stream().filter(found::contains).toList();
    }

    @Override
    public Object write(List<String> value) {
      return String.join(" ", value);
    }

    @Override
    public String allowed() {
      return "any of " + String.join(", ", words) + ", or none";
    }
  }

  /** A point of a picture, as two percentages from its left and top edge. */
  record Point() implements Parsed<Focus> {
    @Override
    public Focus parse(String text) {
      return Focus.parse(text);
    }

    @Override
    public Object write(Focus value) {
      return value.css();
    }

    @Override
    public String allowed() {
      return "two percentages from the left and the top, such as 50% 30%";
    }
  }

  /** A colour: see {@link Ink}. */
  record Paint() implements Parsed<Ink> {
    @Override
    public Ink parse(String text) {
      return Ink.parse(text);
    }

    @Override
    public Object write(Ink value) {
      return value.written();
    }

    @Override
    public String allowed() {
      return "a colour such as #1c2b27, #1c2b27cc or rgb(28 43 39 / 80%), or one of the tone: "
          + Arrays.stream(ToneColour.values()).map(Pick::word).collect(Collectors.joining(", "));
    }
  }

  /** A colour of its own: see {@link Colour}. */
  record Hue() implements Parsed<Colour> {
    @Override
    public Colour parse(String text) {
      return Colour.parse(text);
    }

    @Override
    public Object write(Colour value) {
      return value.css();
    }

    @Override
    public String allowed() {
      return "a colour such as #1c2b27 or rgb(28 43 39 / 80%)";
    }
  }

  /**
   * The size of letters, which may grow with the screen: see {@link TypeSize}.
   *
   * @param em whether it may be a multiple of the letters that it stands among, which only some
   *     parts know
   */
  record Letters(double least, double most, boolean em) implements Parsed<TypeSize> {
    /** A size that is no multiple of another. */
    public Letters(double least, double most) {
      this(least, most, false);
    }

    @Override
    public TypeSize parse(String text) {
      TypeSize size = TypeSize.parse(text);
      boolean shares =
          Stream.of(size.least(), size.base(), size.most())
              .anyMatch(each -> each.unit() == Length.Unit.EM);
      if (shares && !em) {
        throw new Refused("text size", text, "px or rem");
      }
      Require.within(least, most, "least text size (px)", size.least().constantPx());
      Require.within(least, most, "greatest text size (px)", size.most().constantPx());
      Require.within(-most, most, "text size (px)", size.base().constantPx());
      return size;
    }

    @Override
    public Object write(TypeSize value) {
      return value.css();
    }

    @Override
    public String allowed() {
      return String.format(
          Locale.ROOT,
          "a length from %s to %s px (px, rem%s), or one that grows with the screen such as"
              + " clamp(28px, 22px + 1.5vmin, 40px)",
          Require.number(least),
          Require.number(most),
          em ? ", em" : "");
    }
  }

  /** A colour or a gradient: see {@link Ground}. */
  record Under() implements Parsed<Ground> {
    @Override
    public Ground parse(String text) {
      return Ground.parse(text);
    }

    @Override
    public Object write(Ground value) {
      return value.written();
    }

    @Override
    public String allowed() {
      return "a colour, or a gradient such as linear-gradient(180deg, #0a1412, #2b6b5a 60%) of 2 to 6 colours";
    }
  }

  /** How far something is moved: see {@link Nudge}. */
  record Moved() implements Parsed<Nudge> {
    @Override
    public Nudge parse(String text) {
      return Nudge.parse(text);
    }

    @Override
    public Object write(Nudge value) {
      return value.css();
    }

    @Override
    public String allowed() {
      return "two numbers of px from -20 to 20, to the right and down, such as 0.4px -1.2px";
    }
  }

  /** Shadows of a box: see {@link Shadows}. */
  record Shade() implements Parsed<Shadows> {
    @Override
    public Shadows parse(String text) {
      return Shadows.parse(text);
    }

    @Override
    public Object write(Shadows value) {
      return value.written();
    }

    @Override
    public String allowed() {
      return "none, or up to 4 shadows, such as 0 6px 14px #11201d45, inner ones with inset first";
    }
  }

  /** How high something is: see {@link Height}. */
  record Tall(double leastPx, double mostPx) implements Kind<Height> {
    @Override
    public Height read(String what, Object raw) {
      Height height;
      try {
        height = Height.parse(raw.toString());
      } catch (Refused e) {
        throw new Refused(what, raw.toString(), allowed());
      }
      if (height instanceof Height.Fixed(var px)
          && !(px.constantPx() >= leastPx && px.constantPx() <= mostPx)) {
        throw new Refused(what, raw.toString(), allowed());
      }
      return height;
    }

    @Override
    public Object write(Height value) {
      return value.written();
    }

    @Override
    public String allowed() {
      return String.format(
          Locale.ROOT,
          "auto, a length from %s to %s px, a ratio such as 16:9, or a share of the screen's height such as 60svh",
          Require.number(leastPx),
          Require.number(mostPx));
    }
  }

  /** An icon: the name of one of the set, or a vector picture of one's own as clean SVG markup. */
  record Icon() implements Kind<String> {
    @Override
    public String read(String what, Object raw) {
      String text = raw.toString().strip();
      if (text.matches("[a-z0-9-]{0,60}")) {
        return text;
      }
      try {
        return OwnIcon.clean(text);
      } catch (Refused e) {
        throw new Refused(what, e.found(), e.allowed());
      }
    }

    @Override
    public Object write(String value) {
      return value;
    }

    @Override
    public String allowed() {
      return "the name of an icon, or SVG markup or path data of your own";
    }
  }

  /** Long text: plain, with blank lines between paragraphs, or clean HTML. */
  record Rich(int most) implements Kind<String> {
    @Override
    public String read(String what, Object raw) {
      return cleaned(what, raw, most, t -> RichText.isMarkup(t) ? RichText.clean(t) : t, this);
    }

    @Override
    public Object write(String value) {
      return value;
    }

    @Override
    public String allowed() {
      return String.format(Locale.ROOT, "text of at most %d characters", most);
    }
  }

  /** Markup of one's own, cleaned by a wider list that includes form fields. */
  record Markup(int most) implements Kind<String> {
    @Override
    public String read(String what, Object raw) {
      return cleaned(what, raw, most, RichText::cleanOwn, this);
    }

    @Override
    public Object write(String value) {
      return value;
    }

    @Override
    public String allowed() {
      return String.format(Locale.ROOT, "HTML of at most %d characters", most);
    }
  }

  /** A short text that must match a pattern; empty is none. */
  record Token(String pattern, String means) implements Kind<String> {
    @Override
    public String read(String what, Object raw) {
      String text = raw.toString().strip();
      if (!text.isEmpty() && !text.matches(pattern)) {
        throw new Refused(what, text, allowed());
      }
      return text;
    }

    @Override
    public Object write(String value) {
      return value;
    }

    @Override
    public String allowed() {
      return means;
    }
  }
}
