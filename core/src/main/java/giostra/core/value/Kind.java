package giostra.core.value;

import java.util.Locale;

/**
 * What a setting's value may be: how it is read, written, and what is allowed. Closed, so that the
 * schema, the sheet and the reader answer for every kind.
 *
 * <p>Raw values are those of JSON: {@link String}, {@link Number} or {@link Boolean}. Text that
 * says the same thing is taken as well, since people type it.
 *
 * @param <T> the type of a value in Java
 */
public sealed interface Kind<T>
    permits WholeKind,
        SizeKind,
        AroundKind,
        EndsKind,
        PickKind,
        ToggleKind,
        WordsKind,
        AddressKind,
        MediaKind,
        LanguageKind,
        ParsedKind,
        AdvanceKind,
        DecimalKind,
        TimeKind,
        ZoneKind,
        WaysKind,
        SeveralKind,
        TallKind,
        IconKind,
        RichKind,
        MarkupKind,
        StylesheetKind,
        CodeKind,
        TokenKind {

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

  /** Its name for machines, as the API says it: {@code size}, {@code captionfile}. */
  default String word() {
    String name = getClass().getSimpleName().toLowerCase(Locale.ROOT);
    return name.substring(0, name.length() - "kind".length());
  }

  /** Whether less is written than can be read: decimals, say. */
  default boolean rounds() {
    return switch (this) {
      case SizeKind _,
          AroundKind _,
          EndsKind _,
          TimeKind _,
          PointKind _,
          PaintKind _,
          HueKind _,
          LettersKind _,
          UnderKind _,
          MovedKind _,
          TiltKind _,
          PaceKind _,
          FramingKind _,
          ShadeKind _,
          TallKind _,
          WaysKind _ ->
          true;
      case WholeKind _,
          PickKind<?> _,
          ToggleKind _,
          WordsKind _,
          AddressKind _,
          MediaKind _,
          LanguageKind _,
          RatioKind _,
          AdvanceKind _,
          DecimalKind _,
          SeveralKind _,
          ZoneKind _,
          IconKind _,
          RichKind _,
          MarkupKind _,
          StylesheetKind _,
          CodeKind _,
          TokenKind _ ->
          false;
    };
  }
}
