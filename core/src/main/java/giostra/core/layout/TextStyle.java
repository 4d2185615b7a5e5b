package giostra.core.layout;

import giostra.core.fit.Face;
import giostra.core.fit.Flow;
import giostra.core.fit.LayoutUnit;
import giostra.core.fit.Screen;
import giostra.core.fit.TextFit;
import giostra.core.look.Property;
import giostra.core.value.LetterCase;
import giostra.core.value.TypeSize;
import java.util.List;
import java.util.Locale;
import java.util.function.ToDoubleFunction;

/**
 * How words are set, from what holds of a part; a journey holds each against the browser.
 *
 * @param size font size in px on a screen
 * @param line height of a line as a multiple of the size
 * @param spacing letter spacing as a multiple of the size
 * @param between word spacing as a multiple of the size
 * @param capitals whether it is set in capitals
 */
public record TextStyle(
    Face face,
    ToDoubleFunction<Screen> size,
    double line,
    double spacing,
    double between,
    boolean capitals) {
  /** Texts are measured once at this size, and widths scaled to it. */
  private static final double MEASURED = 16;

  /** The words of a part as they are set, with what somebody has said of it. */
  public static TextStyle of(PartBox part) {
    TypeSize size = part.of(Property.TEXT_SIZE);
    return new TextStyle(
        part.face(),
        screen -> size.px(screen.lesser()),
        part.of(Property.LEADING),
        part.of(Property.SPACING),
        part.of(Property.WORD_SPACING),
        part.of(Property.CASE) == LetterCase.CAPITALS);
  }

  private double drawn(Screen screen) {
    return Face.drawn(size.applyAsDouble(screen));
  }

  /** A text in this style. */
  public Text of(String text, Locale locale) {
    return of(List.of(new TextFit.Run(text, face)), locale);
  }

  /** A text of several faces. */
  public Text of(List<TextFit.Run> runs, Locale locale) {
    List<TextFit.Run> shown =
        capitals
            ? runs.stream()
                .map(run -> new TextFit.Run(run.text().toUpperCase(locale), run.face()))
                .toList()
            : runs;
    return new Text(
        this, TextFit.of(shown, MEASURED, spacing * MEASURED, between * MEASURED, locale));
  }

  /** A measured text: so many lines in a width, each as high as its style says. */
  public record Text(TextStyle style, TextFit fit) implements Flow {
    /** Lines in a width in px. */
    public int lines(double width, Screen screen) {
      double measured = kept(width) * MEASURED / style.drawn(screen);
      int lines = fit.lines(measured);
      screen.seen().accept(new Screen.Fitted(fit, measured, lines));
      return lines;
    }

    /** A width as engines keep it; what is a hair below one of their units is that. */
    private static double kept(double width) {
      return LayoutUnit.kept(width + 1e-6 * LayoutUnit.ONE);
    }

    /** How wide its widest line is in a width, px. */
    public double reach(double width, Screen screen) {
      double drawn = style.drawn(screen);
      return fit.reach(kept(width) * MEASURED / drawn) * drawn / MEASURED;
    }

    /**
     * The same where lines are balanced: as narrow as they can be without one more. Source: CSS
     * Text 4, "text-wrap-style: balance"; that Chromium looks for that width, from measuring.
     */
    public double balanced(double width, Screen screen) {
      double drawn = style.drawn(screen);
      double wide = kept(width) * MEASURED / drawn;
      int lines = fit.lines(wide);
      double narrow = Math.min(wide, fit.least());
      while (wide - narrow > 0.5 * MEASURED / drawn) {
        double middle = (wide + narrow) / 2;
        if (fit.lines(middle) == lines) {
          wide = middle;
        } else {
          narrow = middle;
        }
      }
      return fit.reach(wide) * drawn / MEASURED;
    }

    /** Its width on one line, px. */
    public double natural(Screen screen) {
      return fit.natural() * style.drawn(screen) / MEASURED;
    }

    @Override
    public double height(double width, Screen screen) {
      double line = LayoutUnit.line(style.size().applyAsDouble(screen), style.line());
      return lines(width, screen) * line;
    }
  }
}
