package giostra.core.fit;

import giostra.core.value.Colour;
import giostra.core.value.Oklch;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** The main colours of a picture: k-means in OKLab, always begun alike. */
final class MainColours {
  private static final int ROUNDS = 12;

  /** What is nearer than that in OKLab is one colour to see. */
  private static final double APART = 0.06;

  /** Cells that are looked at: enough to tell what most of a picture is. */
  private static final int LOOKED_AT = 4096;

  private final double[][] points;
  private final List<double[]> centres = new ArrayList<>();
  private final int[] nearest;

  private MainColours(double[][] points) {
    this.points = points;
    this.nearest = new int[points.length];
  }

  /**
   * Those of cells.
   *
   * @param cells as 0xAARRGGBB
   */
  static List<Colour> of(int[] cells, int most) {
    int step = Math.max(1, cells.length / LOOKED_AT);
    double[][] points =
        IntStream.iterate(0, at -> at < cells.length, at -> at + step)
            .map(at -> cells[at])
            .filter(cell -> cell >>> 24 > 127)
            .mapToObj(MainColours::point)
            .toArray(double[][]::new);
    return points.length == 0 ? List.of() : new MainColours(points).parted(most);
  }

  private static double[] point(int cell) {
    Oklch seen = Oklch.of(new Colour(cell >> 16 & 255, cell >> 8 & 255, cell & 255, 255));
    double hue = Math.toRadians(seen.hue());
    return new double[] {
      seen.lightness(), seen.chroma() * Math.cos(hue), seen.chroma() * Math.sin(hue)
    };
  }

  private static Colour colour(double[] point) {
    double hue = Math.toDegrees(Math.atan2(point[2], point[1]));
    return new Oklch(point[0], Math.hypot(point[1], point[2]), hue < 0 ? hue + 360 : hue)
        .colour(255);
  }

  private static double distance(double[] one, double[] other) {
    double light = one[0] - other[0];
    double a = one[1] - other[1];
    double b = one[2] - other[2];
    return Math.sqrt(light * light + a * a + b * b);
  }

  private List<Colour> parted(int most) {
    begin(most);
    for (int round = 0; round < ROUNDS; round++) {
      assign();
      move();
    }
    assign();
    var counts = new int[centres.size()];
    Arrays.stream(nearest).forEach(at -> counts[at]++);
    return IntStream.range(0, centres.size())
        .boxed()
        .filter(at -> counts[at] > 0)
        .sorted(Comparator.comparingInt((Integer at) -> -counts[at]))
        .map(at -> colour(centres.get(at)))
        .toList();
  }

  /** From the first, always to the farthest from all there are, until those are too near. */
  private void begin(int most) {
    centres.add(points[0].clone());
    while (centres.size() < most) {
      double[] farthest = points[0];
      double far = 0;
      for (double[] point : points) {
        double here = centres.stream().mapToDouble(at -> distance(at, point)).min().orElse(0);
        if (here > far) {
          far = here;
          farthest = point;
        }
      }
      if (far < APART) {
        return;
      }
      centres.add(farthest.clone());
    }
  }

  private void assign() {
    for (int at = 0; at < points.length; at++) {
      for (int centre = 0; centre < centres.size(); centre++) {
        if (distance(points[at], centres.get(centre))
            < distance(points[at], centres.get(nearest[at]))) {
          nearest[at] = centre;
        }
      }
    }
  }

  private void move() {
    for (int centre = 0; centre < centres.size(); centre++) {
      var sum = new double[3];
      int count = 0;
      for (int at = 0; at < points.length; at++) {
        if (nearest[at] == centre) {
          count++;
          for (int axis = 0; axis < 3; axis++) {
            sum[axis] += points[at][axis];
          }
        }
      }
      if (count > 0) {
        int of = count;
        centres.set(centre, Arrays.stream(sum).map(axis -> axis / of).toArray());
      }
    }
  }
}
