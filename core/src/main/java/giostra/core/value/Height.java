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
   * A share of the height of the screen with all bars of the browser shown. Source: CSS Values and
   * Units 4, "The small viewport-percentage units".
   */
  record Screen(double percent) implements Height {
    public Screen {
      Require.within(1, 100, "share of the screen's height (%)", percent);
    }
  }

  /** As its content. */
  Height AUTO = new Auto();

  /**
   * Reads {@code auto}, {@code 480px}, {@code 16:9}, {@code 60svh} or {@code 60%}, the last two the
   * same.
   *
   * @throws Refused when it is none of these
   */
  static Height parse(String text) {
    String word = text.strip().toLowerCase(Locale.ROOT);
    if (word.equals("auto")) {
      return AUTO;
    }
    var ratio = Pattern.compile("(\\d+(?:\\.\\d+)?)\\s*[:/]\\s*(\\d+(?:\\.\\d+)?)").matcher(word);
    if (ratio.matches()) {
      return new Ratio(Double.parseDouble(ratio.group(1)), Double.parseDouble(ratio.group(2)));
    }
    var screen = Pattern.compile("(\\d+(?:\\.\\d+)?)\\s*(svh|vh|%)").matcher(word);
    if (screen.matches()) {
      return new Screen(Double.parseDouble(screen.group(1)));
    }
    return new Fixed(Length.parse(word));
  }

  /** As it is written; {@link #parse} reads it back. */
  default String written() {
    return switch (this) {
      case Auto _ -> "auto";
      case Fixed(var length) -> length.css();
      case Ratio(var wide, var high) -> Require.number(wide) + ":" + Require.number(high);
      case Screen(var percent) -> Require.number(percent) + "svh";
    };
  }

  /** The height in px of something so wide on a screen so high; 0 where its content decides. */
  default double px(double widthPx, double screenPx) {
    return switch (this) {
      case Auto _ -> 0;
      case Fixed(var length) -> length.constantPx();
      case Ratio(var wide, var high) -> widthPx * high / wide;
      case Screen(var percent) -> screenPx * percent / 100;
    };
  }
}
