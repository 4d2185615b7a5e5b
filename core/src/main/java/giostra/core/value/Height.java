package giostra.core.value;

import java.util.Locale;
import java.util.regex.Pattern;

/** How high something is: as its content, fixed, by its width, or by the screen. */
public sealed interface Height {
  /** As high as its content. */
  record Auto() implements Height {}

  /** So many px, rem or em. */
  record Fixed(Length length) implements Height {}

  /** So wide to so high. */
  record Ratio(double wide, double high) implements Height {
    public Ratio {
      Require.within(0.1, 100, "ratio", wide);
      Require.within(0.1, 100, "ratio", high);
    }
  }

  /**
   * Which height of the screen counts. Source: CSS Values and Units 4, "The Large, Small, and
   * Dynamic Viewport Sizes".
   */
  enum Of {
    /** With all bars of the browser shown. */
    SMALL("svh"),
    /** With all of them away. */
    LARGE("lvh"),
    /** As they are now: they show when one comes. */
    DYNAMIC("dvh");

    private final String unit;

    Of(String unit) {
      this.unit = unit;
    }

    /** As written in CSS. */
    public String unit() {
      return unit;
    }
  }

  /** A share of the height of the screen. */
  record Screen(double percent, Of of) implements Height {
    public Screen {
      Require.within(1, 100, "share of the screen's height (%)", percent);
    }

    /** With all bars shown. */
    public Screen(double percent) {
      this(percent, Of.SMALL);
    }
  }

  /**
   * Reads {@code auto}, {@code 480px}, {@code 16:9}, {@code 60svh}, {@code 60lvh}, {@code 60dvh},
   * and {@code 60%} or {@code 60vh} for the first of these.
   *
   * @throws Refused when it is none of these
   */
  static Height parse(String text) {
    String word = text.strip().toLowerCase(Locale.ROOT);
    if (word.equals("auto")) {
      return new Auto();
    }
    var ratio = Pattern.compile("(\\d+(?:\\.\\d+)?)\\s*[:/]\\s*(\\d+(?:\\.\\d+)?)").matcher(word);
    if (ratio.matches()) {
      return new Ratio(Double.parseDouble(ratio.group(1)), Double.parseDouble(ratio.group(2)));
    }
    var screen = Pattern.compile("(\\d+(?:\\.\\d+)?)\\s*(svh|lvh|dvh|vh|%)").matcher(word);
    if (screen.matches()) {
      Of of =
          switch (screen.group(2)) {
            case "lvh" -> Of.LARGE;
            case "dvh" -> Of.DYNAMIC;
            default -> Of.SMALL;
          };
      return new Screen(Double.parseDouble(screen.group(1)), of);
    }
    return new Fixed(Length.parse(word));
  }

  /** As it is written; {@link #parse} reads it back. */
  default String written() {
    return switch (this) {
      case Auto _ -> "auto";
      case Fixed(var length) -> length.css();
      case Ratio(var wide, var high) -> Require.number(wide) + ":" + Require.number(high);
      case Screen(var percent, var of) -> Require.number(percent) + of.unit();
    };
  }

  /**
   * The height in px of something so wide, as one comes; 0 where its content decides.
   *
   * @param screenPx of the screen with all bars of the browser shown
   * @param largePx of the screen with all of them away
   */
  default double px(double widthPx, double screenPx, double largePx) {
    return switch (this) {
      case Auto _ -> 0;
      case Fixed(var length) -> length.constantPx();
      case Ratio(var wide, var high) -> widthPx * high / wide;
      case Screen(var percent, var of) -> (of == Of.LARGE ? largePx : screenPx) * percent / 100;
    };
  }
}
