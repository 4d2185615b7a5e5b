package giostra.core.value;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * An easing function: progress of the effect at a share of the time. Source: CSS Easing Functions
 * 2, "Cubic Bézier easing functions", "Step easing functions" and "The linear easing function"; a
 * spring is ours and is written as a {@code linear()} of its closed form.
 */
public sealed interface Easing {
  /** What is allowed, in words that complete "it must be". */
  String ALLOWED =
      "linear, ease, ease-in, ease-out, ease-in-out, cubic-bezier(x1,y1,x2,y2), steps(n,jump-end),"
          + " linear(0,0.2 30%,1) or spring(0.1 to 1)";

  /** Most characters of one that is read: what is written of the longest is less. */
  int MOST_WRITTEN = 1000;

  /** Most steps, and most points of a {@code linear()}. */
  int MOST_STEPS = 40;

  /** Even progress. */
  record Linear() implements Easing {}

  /**
   * A cubic curve from (0, 0) to (1, 1) with two control points.
   *
   * @param x1 0 to 1
   * @param x2 0 to 1
   */
  record Bezier(double x1, double y1, double x2, double y2) implements Easing {
    public Bezier {
      Require.within(0, 1, "x1", x1);
      Require.within(0, 1, "x2", x2);
      Require.within(-10, 10, "y1", y1);
      Require.within(-10, 10, "y2", y2);
      // As with points: -0.0 is written as 0.
      x1 += 0.0;
      y1 += 0.0;
      x2 += 0.0;
      y2 += 0.0;
    }
  }

  /** Where the jumps of steps lie. */
  enum Jump {
    START,
    END,
    NONE,
    BOTH
  }

  /** So many even steps. */
  record Steps(int count, Jump jump) implements Easing {
    public Steps {
      Require.within(jump == Jump.NONE ? 2 : 1, MOST_STEPS, "steps", count);
    }
  }

  /** A point of a {@code linear()}: progress at a share of the time. */
  record Point(double share, double progress) {
    public Point {
      // As it is written: a share that comes of percent is otherwise not quite the one it came of.
      share = Math.round(share * 1e6) / 1e6;
      // Nothing has no sign: what is a little below it is written without one.
      progress += 0.0;
    }
  }

  /** Straight from point to point, the shares ascending. */
  record Points(List<Point> points) implements Easing {
    public Points {
      points = List.copyOf(points);
      Require.within(2, MOST_STEPS, "points", points.size());
    }
  }

  /**
   * A spring that starts at rest and is within a thousandth of its end when the time is over.
   *
   * @param damping share of what is critical, 0.1 (swings long) to 1 (does not swing)
   */
  record Spring(double damping) implements Easing {
    /** What is left when the time is over. */
    private static final double LEFT = 1e-3;

    public Spring {
      if (damping == 0) {
        throw new Refused("Spring", "0", "from 0.1 to 1: without damping it never settles");
      }
      Require.within(.1, 1, "Spring", damping);
    }

    /** Undamped angular frequency, per whole time. */
    double frequency() {
      if (damping < 1) {
        return -Math.log(LEFT * Math.sqrt(1 - damping * damping)) / damping;
      }
      double low = 1;
      double high = 40;
      for (int i = 0; i < 60; i++) {
        double w = (low + high) / 2;
        if ((1 + w) * Math.exp(-w) > LEFT) {
          low = w;
        } else {
          high = w;
        }
      }
      return high;
    }

    /** The closed form of a damped oscillator that starts at rest, 1 away from its end. */
    double progress(double t) {
      double w = frequency();
      if (damping == 1) {
        return 1 - (1 + w * t) * Math.exp(-w * t);
      }
      double root = Math.sqrt(1 - damping * damping);
      double wd = w * root;
      return 1
          - Math.exp(-damping * w * t) * (Math.cos(wd * t) + damping / root * Math.sin(wd * t));
    }

    /** As straight stretches, close enough that nobody sees a bend: {@link #MOST_STEPS} points. */
    Points points() {
      int last = MOST_STEPS - 1;
      return new Points(
          IntStream.rangeClosed(0, last)
              .mapToObj(i ->
                  new Point((double) i / last, i == last ? 1 : round(progress((double) i / last))))
              .toList());
    }

    private static double round(double number) {
      return Math.round(number * 1e4) / 1e4;
    }
  }

  /**
   * The easing function that a text stands for, as CSS writes it.
   *
   * @throws Refused when it is none
   */
  static Easing parse(String what, String text) {
    String written = text.strip().toLowerCase(Locale.ROOT);
    Easing named = Easings.NAMED.get(written);
    if (named != null) {
      return named;
    }
    int open = written.indexOf('(');
    if (open < 0 || !written.endsWith(")") || written.length() > MOST_WRITTEN) {
      throw new Refused(what, text, ALLOWED);
    }
    List<String> args =
        Arrays.stream(written.substring(open + 1, written.length() - 1).split(",", -1))
            .map(String::strip)
            .toList();
    try {
      return switch (written.substring(0, open)) {
        case "cubic-bezier" -> {
          if (args.size() != 4) {
            throw new Refused(what, text, ALLOWED);
          }
          yield new Bezier(
              number(args.get(0)), number(args.get(1)), number(args.get(2)), number(args.get(3)));
        }
        case "steps" ->
            new Steps(
                Integer.parseInt(args.getFirst()), jump(args.size() > 1 ? args.get(1) : "end"));
        case "linear" -> points(args);
        case "spring" -> new Spring(number(args.getFirst()));
        default -> throw new Refused(what, text, ALLOWED);
      };
    } catch (NumberFormatException e) {
      throw new Refused(what, text, ALLOWED);
    } catch (Refused e) {
      throw new Refused(
          what,
          text,
          e.what().equals(what) ? e.allowed() : "one whose " + e.what() + " is " + e.allowed());
    }
  }

  private static double number(String text) {
    double number = Double.parseDouble(text);
    if (!Double.isFinite(number) || !Character.isDigit(text.charAt(text.length() - 1))) {
      throw new NumberFormatException(text);
    }
    return number;
  }

  private static Jump jump(String word) {
    return switch (word) {
      case "jump-start", "start" -> Jump.START;
      case "jump-end", "end" -> Jump.END;
      case "jump-none" -> Jump.NONE;
      case "jump-both" -> Jump.BOTH;
      default -> throw new NumberFormatException(word);
    };
  }

  /** Source: CSS Easing Functions 2, "create a linear easing function". */
  private static Points points(List<String> args) {
    Require.within(2, MOST_STEPS, "points", args.size());
    var shares = new ArrayList<Optional<Double>>();
    var progress = new ArrayList<Double>();
    double largest = Double.NEGATIVE_INFINITY;
    for (String arg : args) {
      String[] parts = arg.split("\\s+");
      double value = number(parts[0]);
      for (int i = 1; i < Math.max(2, parts.length); i++) {
        progress.add(value);
        if (i >= parts.length) {
          shares.add(Optional.empty());
          continue;
        }
        if (!parts[i].endsWith("%") || parts.length > 3) {
          throw new NumberFormatException(arg);
        }
        double share = number(parts[i].substring(0, parts[i].length() - 1)) / 100;
        largest = Math.max(largest, share);
        shares.add(Optional.of(largest));
      }
    }
    int last = shares.size() - 1;
    if (shares.getFirst().isEmpty()) {
      shares.set(0, Optional.of(0.0));
      largest = Math.max(largest, 0);
    }
    if (shares.getLast().isEmpty()) {
      shares.set(last, Optional.of(Math.max(largest, 1)));
    }
    var all = new ArrayList<Point>();
    for (int i = 0; i <= last; i++) {
      int before = i;
      while (shares.get(before).isEmpty()) {
        before--;
      }
      int after = i;
      while (shares.get(after).isEmpty()) {
        after++;
      }
      double from = shares.get(before).orElseThrow();
      double to = shares.get(after).orElseThrow();
      double share = before == after ? from : from + (to - from) * (i - before) / (after - before);
      all.add(new Point(share, progress.get(i)));
    }
    return new Points(all);
  }

  /**
   * Progress at a share of the time, 0 at 0 and 1 at 1, but for steps that jump at once; between
   * them it may leave 0 to 1.
   *
   * @param share held to 0 to 1
   */
  default double at(double share) {
    double x = Math.clamp(share, 0, 1);
    return switch (this) {
      case Linear _ -> x;
      case Bezier b -> x == 0 || x == 1 ? x : cubic(b.y1, b.y2, parameter(b, x));
      case Steps(int count, Jump jump) -> {
        double step = Math.floor(x * count) + (jump == Jump.START || jump == Jump.BOTH ? 1 : 0);
        int jumps = count + (jump == Jump.NONE ? -1 : jump == Jump.BOTH ? 1 : 0);
        yield Math.min(step, jumps) / jumps;
      }
      case Points(var points) -> between(points, x);
      case Spring spring -> between(spring.points().points(), x);
    };
  }

  private static double between(List<Point> points, double x) {
    int at = 0;
    while (at + 2 < points.size() && points.get(at + 1).share() <= x) {
      at++;
    }
    Point a = points.get(at);
    Point b = points.get(at + 1);
    return a.share() == b.share()
        ? b.progress()
        : a.progress() + (b.progress() - a.progress()) * (x - a.share()) / (b.share() - a.share());
  }

  /** As people write it, which {@link #parse} reads. */
  default String written() {
    if (this instanceof Spring(double damping)) {
      return "spring(" + Require.number(damping) + ")";
    }
    return Easings.NAMED.entrySet().stream()
        .filter(each -> each.getValue().equals(this))
        .map(Map.Entry::getKey)
        .findFirst()
        .orElseGet(this::css);
  }

  /** As style sheets and animations take it. */
  default String css() {
    return switch (this) {
      case Linear _ -> "linear";
      case Bezier(var x1, var y1, var x2, var y2) ->
          "cubic-bezier("
              + Require.number(x1)
              + ","
              + Require.number(y1)
              + ","
              + Require.number(x2)
              + ","
              + Require.number(y2)
              + ")";
      case Steps(int count, Jump jump) ->
          "steps(" + count + ",jump-" + jump.name().toLowerCase(Locale.ROOT) + ")";
      case Points(var points) ->
          points.stream()
              .map(each ->
                  Require.number(each.progress())
                      + " "
                      + Require.number(Math.round(each.share() * 1e6) / 1e4)
                      + "%")
              .collect(Collectors.joining(",", "linear(", ")"));
      case Spring spring -> spring.points().css();
    };
  }

  private static double cubic(double one, double two, double t) {
    double left = 1 - t;
    return 3 * left * left * t * one + 3 * left * t * t * two + t * t * t;
  }

  /** Where on the curve x is reached; x grows with it, so halving finds the place. */
  private static double parameter(Bezier b, double x) {
    double low = 0;
    double high = 1;
    for (int i = 0; i < 60; i++) {
      double middle = (low + high) / 2;
      if (cubic(b.x1, b.x2, middle) < x) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return (low + high) / 2;
  }
}
