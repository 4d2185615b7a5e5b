package giostra.core.fit;

import giostra.core.value.Aspect;
import java.util.ArrayList;
import java.util.List;

/**
 * Content as it flows: how high it is in a width. All lengths are CSS px. What these know is what
 * the compiled sheets make of blocks, flex rows and grids; there are no floats and no columns of
 * text.
 */
@FunctionalInterface
public interface Flow {
  /** Nothing at all. */
  Flow NONE = (_, _) -> 0;

  /** The height in px in a width in px; the screen counts where sizes are shares of it. */
  double height(double width, Screen screen);

  /** Something with a distance above it, unless it comes first. */
  record Spaced(double above, Flow flow) {}

  /** Something that stands in a row as wide as it likes, and how high it is. */
  record Box(double width, double height) {}

  /** So high whatever the width. */
  static Flow fixed(double px) {
    return (_, _) -> px;
  }

  /** A picture that fills the width. */
  static Flow ratio(Aspect aspect) {
    return (width, _) -> width * aspect.high() / aspect.wide();
  }

  /** One under the other. */
  static Flow stack(List<Spaced> parts) {
    return (width, screen) -> {
      double height = 0;
      boolean first = true;
      for (Spaced part : parts) {
        height += (first ? 0 : part.above()) + part.flow().height(width, screen);
        first = false;
      }
      return height;
    };
  }

  /** One under the other, with the same distance between any two. */
  static Flow stack(List<Flow> parts, double gap) {
    return stack(parts.stream().map(part -> new Spaced(gap, part)).toList());
  }

  /** Side by side, each in its own share of the width: as high as the highest. */
  static Flow beside(List<Flow> parts, List<Line> shares) {
    return (width, screen) -> {
      double most = 0;
      for (int i = 0; i < parts.size(); i++) {
        double share = Math.max(0, shares.get(i).at(width));
        most = Math.max(most, parts.get(i).height(share, screen));
      }
      return most;
    };
  }

  /** All in one cell: as high as the highest. */
  static Flow tallest(List<Flow> parts) {
    return beside(parts, parts.stream().map(_ -> Line.SAME).toList());
  }

  /** In rows of equal columns, each row as high as its highest. */
  static Flow rows(List<Flow> parts, int columns, Line gap, boolean allEqual) {
    Line column = new Grid(parts.size(), columns).column(gap);
    return (width, screen) -> {
      double inside = Math.max(0, column.at(width));
      double sum = 0;
      double most = 0;
      int rows = 0;
      for (int from = 0; from < parts.size(); from += columns) {
        double row = 0;
        for (Flow part : parts.subList(from, Math.min(from + columns, parts.size()))) {
          row = Math.max(row, part.height(inside, screen));
        }
        sum += row;
        most = Math.max(most, row);
        rows++;
      }
      double between = Math.max(0, rows - 1) * gap.at(width);
      return (allEqual ? most * rows : sum) + between;
    };
  }

  /** In a row that wraps, each as wide as it likes. */
  static Flow wrapping(List<Box> boxes, double across, double down) {
    return (width, _) -> {
      double height = 0;
      int from = 0;
      for (int below : rowEnds(boxes.stream().map(Box::width).toList(), across, width)) {
        double row = boxes.subList(from, below).stream().mapToDouble(Box::height).max().orElse(0);
        height += row + (from > 0 ? down : 0);
        from = below;
      }
      return height;
    };
  }

  /**
   * Where the rows of what wraps end, as the index after the last of each: a row takes as many as
   * fit, and at least one. Source: CSS Flexbox 1, 9.3 "Main Size Determination".
   *
   * @param across distance between two in a row, px
   */
  static List<Integer> rowEnds(List<Double> widths, double across, double room) {
    var ends = new ArrayList<Integer>();
    double at = 0;
    for (int i = 0; i < widths.size(); i++) {
      if (i > 0 && at + across + widths.get(i) > room + 1 / 64.0) {
        ends.add(i);
        at = widths.get(i);
      } else {
        at += (i > 0 ? across : 0) + widths.get(i);
      }
    }
    if (!widths.isEmpty()) {
      ends.add(widths.size());
    }
    return ends;
  }

  /** Within a width of its own, and with so much above and below it. */
  default Flow within(Line inner, double more) {
    return (width, screen) -> {
      double left = inner.at(width);
      // What is taken around it cannot give way.
      screen.fits(width - left, width);
      return height(Math.max(0, left), screen) + more;
    };
  }

  /** With the same padding on all sides. */
  default Flow padded(double px) {
    return within(new Line(1, -2 * px), 2 * px);
  }

  /** No wider than a line of the width allows. */
  default Flow narrowed(Line most) {
    return (width, screen) -> height(Math.min(width, most.at(width)), screen);
  }

  /** At least as high as another. */
  default Flow atLeast(Flow least) {
    return (width, screen) -> Math.max(least.height(width, screen), height(width, screen));
  }
}
