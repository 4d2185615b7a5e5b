package giostra.core.layout;

import giostra.core.fit.Face;
import giostra.core.fit.Flow;
import giostra.core.fit.Screen;
import giostra.core.fit.TextFit;
import java.util.List;
import java.util.Locale;
import java.util.function.ToDoubleFunction;

/**
 * How a kind of text is set, as the compiled sheets have it; a journey holds each against the
 * browser.
 *
 * @param size font size in px on a screen
 * @param line height of a line as a multiple of the size
 * @param spacing letter spacing as a multiple of the size
 * @param capitals whether it is set in capitals
 */
record TextStyle(
    Face face, ToDoubleFunction<Screen> size, double line, double spacing, boolean capitals) {
  private static final String SANS = "Source Sans 3 Variable";
  private static final String SERIF = "Fraunces Variable";

  /** Texts are measured once at this size, and widths scaled to it. */
  private static final double MEASURED = 16;

  static final Face BOLD = Face.of(SANS, 700);

  static final TextStyle BODY = sans(400, 16, 1.6);
  static final TextStyle LEAD = sans(400, 18, 1.6);
  static final TextStyle KICKER = new TextStyle(Face.of(SANS, 650), _ -> 13, 1.6, 0.08, true);
  static final TextStyle SUB = sans(600, 17, 1.6);
  static final TextStyle QUOTATION = sans(400, 17, 1.6);
  static final TextStyle NAME = sans(650, 16, 1.3);
  static final TextStyle ROLE = sans(400, 15, 1.35);
  static final TextStyle BUTTON = sans(600, 16, 1.3);
  static final TextStyle CARD_BUTTON = sans(600, 15.2, 1.3);
  static final TextStyle TAB = sans(600, 16, 1.3);
  static final TextStyle FOLDED_TAB = sans(600, 16, 1.6);
  static final TextStyle QUESTION = sans(600, 17, 1.4);
  static final TextStyle TITLE = sans(400, 16, 1.35);
  static final TextStyle CHIP = sans(400, 15, 1.6);
  static final TextStyle DOT_NAME = sans(400, 15, 1.6);
  static final TextStyle CARD_HEADING = serif(_ -> 1.3 * 16);
  static final TextStyle FACE_HEADING = serif(_ -> 22);
  static final TextStyle COPY_HEADING = serif(_ -> 20);
  static final TextStyle SLIDE_HEADING = serif(screen -> clamp(25.6, 19.2, 1.6, 40, screen));

  /** A heading of a section or of a panel. */
  static TextStyle heading(int level) {
    return switch (level) {
      case 1 -> serif(screen -> clamp(40, 25.6, 4, 68, screen));
      case 2 -> serif(screen -> clamp(28, 22.4, 1.5, 40, screen));
      case 3 -> serif(_ -> 22);
      default -> serif(_ -> 18);
    };
  }

  private static TextStyle sans(int weight, double px, double line) {
    return new TextStyle(Face.of(SANS, weight), _ -> px, line, 0, false);
  }

  private static TextStyle serif(ToDoubleFunction<Screen> size) {
    return new TextStyle(Face.of(SERIF, 500), size, 1.15, -0.01, false);
  }

  /** Grows with the lesser side of the screen: {@code clamp(least, base + share vmin, most)}. */
  private static double clamp(double least, double base, double share, double most, Screen screen) {
    double grown = base + share * screen.lesser() / 100;
    return Math.clamp(grown, least, most);
  }

  /** A text in this style. */
  Text of(String text, Locale locale) {
    return of(List.of(new TextFit.Run(text, face)), locale);
  }

  /** A text of several faces. */
  Text of(List<TextFit.Run> runs, Locale locale) {
    List<TextFit.Run> shown =
        capitals
            ? runs.stream()
                .map(run -> new TextFit.Run(run.text().toUpperCase(locale), run.face()))
                .toList()
            : runs;
    return new Text(this, TextFit.of(shown, MEASURED, spacing * MEASURED, locale));
  }

  /** A measured text: so many lines in a width, each as high as its style says. */
  record Text(TextStyle style, TextFit fit) implements Flow {
    /** Lines in a width in px. */
    int lines(double width, Screen screen) {
      double measured = width * MEASURED / style.size().applyAsDouble(screen);
      int lines = fit.lines(measured);
      screen.seen().accept(new Screen.Fitted(fit, measured, lines));
      return lines;
    }

    /** Its width on one line, px. */
    double natural(Screen screen) {
      return fit.natural() * style.size().applyAsDouble(screen) / MEASURED;
    }

    @Override
    public double height(double width, Screen screen) {
      return lines(width, screen) * style.line() * style.size().applyAsDouble(screen);
    }
  }
}
