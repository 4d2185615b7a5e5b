package giostra.core.fit;

import giostra.core.value.Require;
import java.util.ArrayList;
import java.util.List;
import java.util.function.DoublePredicate;

/**
 * A width as an exact function of the viewport's width: straight segments that meet end to end.
 *
 * <p>All that a page does to a width (take a padding off, take a share, hold it to a measure) keeps
 * it piecewise linear, so the kinks can be computed rather than sampled.
 *
 * @param segments ascending, without gap or overlap, one at least
 */
public record Piecewise(List<Segment> segments) {

  /** One straight stretch over {@code from <= x < below}. */
  public record Segment(double from, double below, Line line) {
    public Segment {
      Require.above(from, "segment below", below);
    }
  }

  public Piecewise {
    segments = List.copyOf(segments);
    Require.atLeast(1, "segments", segments.size());
    for (int i = 1; i < segments.size(); i++) {
      if (segments.get(i).from() != segments.get(i - 1).below()) {
        throw new IllegalArgumentException("segments do not meet at " + segments.get(i).from());
      }
    }
  }

  /** One line over a range. */
  public static Piecewise over(double from, double below, Line line) {
    return new Piecewise(List.of(new Segment(from, below, line)));
  }

  /** Several functions, one after the other, into one. */
  public static Piecewise joined(List<Piecewise> parts) {
    return new Piecewise(parts.stream().flatMap(part -> part.segments.stream()).toList());
  }

  /** Its value at {@code x}; an IllegalArgumentException outside its range. */
  public double at(double x) {
    for (Segment segment : segments) {
      if (x >= segment.from() && x < segment.below()) {
        return segment.line().at(x);
      }
    }
    throw new IllegalArgumentException("x is " + x + ", outside " + from() + " to " + below());
  }

  /** Where it begins. */
  public double from() {
    return segments.getFirst().from();
  }

  /** Where it ends; not part of it. */
  public double below() {
    return segments.getLast().below();
  }

  /** A straight function of this one: {@code line(this(x))}. */
  public Piecewise through(Line line) {
    return new Piecewise(
        segments.stream().map(s -> new Segment(s.from(), s.below(), line.of(s.line()))).toList());
  }

  /** The lesser of both at each point, with new kinks where they cross. */
  public Piecewise min(Piecewise other) {
    return combine(other, true);
  }

  /** The greater of both at each point. */
  public Piecewise max(Piecewise other) {
    return combine(other, false);
  }

  /** Never less than {@code floor}. */
  public Piecewise atLeast(double floor) {
    return max(over(from(), below(), new Line(0, floor)));
  }

  /** The sum of both. */
  public Piecewise plus(Piecewise other) {
    var sums = new ArrayList<Segment>();
    for (Pair pair : pairs(other)) {
      sums.add(new Segment(pair.from, pair.below, pair.a.plus(pair.b)));
    }
    return merged(sums);
  }

  /** The least value; where a segment is open at its end, its limit counts. */
  public double least() {
    return segments.stream()
        .mapToDouble(s -> Math.min(s.line().at(s.from()), s.line().at(s.below())))
        .min()
        .orElseThrow();
  }

  /** The greatest value, likewise. */
  public double most() {
    return segments.stream()
        .mapToDouble(s -> Math.max(s.line().at(s.from()), s.line().at(s.below())))
        .max()
        .orElseThrow();
  }

  /**
   * The whole widths at which {@code wrong} says so, as ranges with both ends included.
   *
   * @param wrong asked with the value at each whole x
   */
  public List<int[]> ranges(DoublePredicate wrong) {
    var found = new ArrayList<int[]>();
    int[] open = null;
    for (Segment segment : segments) {
      for (int x = (int) Math.ceil(segment.from()); x < segment.below(); x++) {
        if (!wrong.test(segment.line().at(x))) {
          open = null;
        } else if (open == null) {
          open = new int[] {x, x};
          found.add(open);
        } else {
          open[1] = x;
        }
      }
    }
    return found;
  }

  private record Pair(double from, double below, Line a, Line b) {}

  private List<Pair> pairs(Piecewise other) {
    var pairs = new ArrayList<Pair>();
    int i = 0;
    int j = 0;
    double from = Math.max(from(), other.from());
    while (i < segments.size() && j < other.segments.size()) {
      Segment a = segments.get(i);
      Segment b = other.segments.get(j);
      double below = Math.min(a.below(), b.below());
      if (below > from) {
        pairs.add(new Pair(from, below, a.line(), b.line()));
        from = below;
      }
      if (a.below() <= below) {
        i++;
      }
      if (b.below() <= below) {
        j++;
      }
    }
    return pairs;
  }

  private Piecewise combine(Piecewise other, boolean least) {
    var out = new ArrayList<Segment>();
    for (Pair pair : pairs(other)) {
      Line difference = pair.a.minus(pair.b);
      double cross =
          difference.slope() == 0 ? Double.NaN : -difference.constant() / difference.slope();
      boolean inside = cross > pair.from && cross < pair.below;
      double first = inside ? cross : pair.below;
      out.add(new Segment(pair.from, first, chosen(pair, pair.from, first, least)));
      if (inside) {
        out.add(new Segment(cross, pair.below, chosen(pair, cross, pair.below, least)));
      }
    }
    return merged(out);
  }

  private static Line chosen(Pair pair, double from, double below, boolean least) {
    double middle = from + (below - from) / 2;
    return (pair.a.at(middle) <= pair.b.at(middle)) == least ? pair.a : pair.b;
  }

  private static Piecewise merged(List<Segment> parts) {
    var out = new ArrayList<Segment>();
    for (Segment part : parts) {
      Segment last = out.isEmpty() ? null : out.getLast();
      if (last != null && last.line().equals(part.line())) {
        out.set(out.size() - 1, new Segment(last.from(), part.below(), part.line()));
      } else {
        out.add(part);
      }
    }
    return new Piecewise(out);
  }
}
