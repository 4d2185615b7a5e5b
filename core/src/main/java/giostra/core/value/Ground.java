package giostra.core.value;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** What lies under something: one colour, or a gradient of some. */
public sealed interface Ground {
  /** Colours of a gradient at the most. */
  int MOST_STOPS = 6;

  /** As CSS has it. */
  String css();

  /** As documents have it; {@link #parse} reads it back. */
  String written();

  /** Its colour, or the first of them. */
  default Ink first() {
    return switch (this) {
      case Plain(Ink ink) -> ink;
      case Gradient gradient -> gradient.stops().getFirst().ink();
    };
  }

  /** One colour. */
  record Plain(Ink ink) implements Ground {
    @Override
    public String css() {
      return ink.css();
    }

    @Override
    public String written() {
      return ink.written();
    }
  }

  /** Which way the colours of a gradient follow each other. */
  sealed interface Course {
    /** As CSS begins the gradient, up to its first colour. */
    String css();
  }

  /**
   * Along a line.
   *
   * @param angle degrees, 0 up, 90 to the right
   */
  record Line(double angle) implements Course {
    public Line {
      Require.within(0, 360, "angle of the gradient (deg)", angle);
    }

    @Override
    public String css() {
      return "linear-gradient(" + Require.number(angle) + "deg,";
    }
  }

  /**
   * From a point outwards to the farthest corner. Source: CSS Images 3, "Radial Gradients".
   *
   * @param circle whether it is as wide as high, whatever the box is
   * @param x percent of the box, from the left
   * @param y percent of the box, from above
   */
  record Round(boolean circle, double x, double y) implements Course {
    public Round {
      Require.within(0, 100, "middle of the gradient, from the left (%)", x);
      Require.within(0, 100, "middle of the gradient, from above (%)", y);
    }

    @Override
    public String css() {
      return String.format(
          Locale.ROOT,
          "radial-gradient(%sat %s%% %s%%,",
          circle ? "circle " : "",
          Require.number(x),
          Require.number(y));
    }
  }

  /**
   * From one colour to others.
   *
   * @param stops two at the least
   */
  record Gradient(Course course, List<Stop> stops) implements Ground {
    public Gradient {
      Require.within(2, MOST_STOPS, "colours of the gradient", stops.size());
      stops = List.copyOf(stops);
    }

    /** Where the first begins at 0 and the last ends at 100 % they need not say so. */
    @Override
    public String css() {
      return written(stop ->
          stop.ink().css()
              + ((stop == stops.getFirst() && stop.at() == 0)
                      || (stop == stops.getLast() && stop.at() == 100)
                  ? ""
                  : " " + Require.number(stop.at()) + "%"));
    }

    @Override
    public String written() {
      return written(stop -> stop.ink().written() + " " + Require.number(stop.at()) + "%");
    }

    private String written(Function<Stop, String> as) {
      return course.css() + stops.stream().map(as).collect(Collectors.joining(",")) + ")";
    }
  }

  /**
   * A colour of a gradient.
   *
   * @param at percent of the way, 0 to 100
   */
  record Stop(Ink ink, double at) {
    public Stop {
      Require.within(0, 100, "place of a colour (%)", at);
    }
  }

  /**
   * Reads a colour, or a gradient such as {@code linear-gradient(180deg, #0000, #0a1412 45%)} or
   * {@code radial-gradient(circle at 30% 20%, accent, ground)}. Where colours have no place they
   * stand evenly between their neighbours. Source: CSS Images 3, "Gradients" and "Color Stop
   * 'Fixup'".
   *
   * @throws Refused when it is neither
   */
  static Ground parse(String text) {
    String written = text.strip().toLowerCase(Locale.ROOT);
    if (!written.startsWith("linear-gradient") && !written.startsWith("radial-gradient")) {
      return new Plain(Ink.parse(text));
    }
    Matcher line = Written.LINE.matcher(written);
    Matcher round = Written.ROUND.matcher(written);
    if (line.matches()) {
      return gradient(new Line(number(line.group(1), 180)), line.group(2));
    }
    if (round.matches()) {
      boolean circle = "circle".equals(round.group(1));
      return gradient(
          new Round(circle, number(round.group(2), 50), number(round.group(3), 50)),
          round.group(4));
    }
    throw refused(text);
  }

  private static double number(@Nullable String written, double unlessWritten) {
    return written == null ? unlessWritten : Double.parseDouble(written);
  }

  private static Gradient gradient(Course course, String written) {
    String[] parts = written.split(",(?![^(]*\\))");
    var colours = new ArrayList<Ink>();
    var at = new double[parts.length];
    for (int i = 0; i < parts.length; i++) {
      Matcher stop = Written.STOP.matcher(parts[i].strip());
      if (!stop.matches()) {
        throw refused(parts[i]);
      }
      colours.add(Ink.parse(stop.group(1)));
      at[i] = stop.group(2) == null ? Double.NaN : Double.parseDouble(stop.group(2));
    }
    placed(at);
    var stops = new ArrayList<Stop>();
    for (int i = 0; i < parts.length; i++) {
      stops.add(new Stop(colours.get(i), at[i]));
    }
    return new Gradient(course, stops);
  }

  private static Refused refused(String text) {
    return new Refused(
        "ground",
        text.strip(),
        "a colour, one of the tone such as accent, linear-gradient(180deg, #0a1412, #2b6b5a 60%) or"
            + " radial-gradient(at 50% 0%, #0a1412, #2b6b5a 60%)");
  }

  private static void placed(double[] at) {
    int last = at.length - 1;
    at[0] = Double.isNaN(at[0]) ? 0 : at[0];
    at[last] = Double.isNaN(at[last]) ? 100 : at[last];
    for (int i = 1; i < last; i++) {
      if (Double.isNaN(at[i])) {
        int next = i;
        while (Double.isNaN(at[next])) {
          next++;
        }
        at[i] = at[i - 1] + (at[next] - at[i - 1]) / (next - i + 1);
      }
    }
    // None stands before the one ahead of it.
    for (int i = 1; i <= last; i++) {
      at[i] = Math.max(at[i], at[i - 1]);
    }
  }

  /** How gradients are written. */
  final class Written {
    private static final String NUMBER = "(\\d{0,9}\\.?\\d{1,9})";
    private static final Pattern LINE =
        Pattern.compile("linear-gradient\\(\\s*(?:" + NUMBER + "deg\\s*,)?(.{1,400})\\)");
    private static final Pattern ROUND =
        Pattern.compile(
            "radial-gradient\\(\\s*(?:(circle\\b|ellipse\\b)?\\s{0,9}(?:at\\s+"
                + NUMBER
                + "%\\s+"
                + NUMBER
                + "%)?\\s{0,9},)?(.{1,400})\\)");
    private static final Pattern STOP =
        Pattern.compile(
            "(#[0-9a-f]+|rgba?\\([^)]*\\)|[a-z]+(?:[- ][a-z]+(?:[- ]\\d)?)?(?: ?/ ?\\d{1,3}%)?)(?:\\s+(\\d{0,9}\\.?\\d{1,9})%)?");

    private Written() {}
  }
}
