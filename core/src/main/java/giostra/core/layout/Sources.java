package giostra.core.layout;

import giostra.core.fit.Line;
import giostra.core.fit.Piecewise;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToIntFunction;

/**
 * The files of a picture that a browser chooses between in some place, narrowest first. Source:
 * HTML, "Images: srcset and sizes attributes".
 *
 * @param width of one of them, px
 */
public record Sources<T>(List<T> files, ToIntFunction<T> width) {
  /** No screen in use has more device px for a CSS px that an eye would notice. Practice. */
  private static final int DENSEST = 3;

  public Sources {
    files = List.copyOf(files);
  }

  /**
   * Those that are worth being chosen.
   *
   * @param smaller made of the picture, narrowest first
   * @param own the picture itself
   * @param drawn how wide it is drawn, band by band
   */
  public static <T> Sources<T> of(
      List<T> smaller, T own, ToIntFunction<T> width, List<Piecewise> drawn) {
    double most = drawn.stream().mapToDouble(Piecewise::most).max().orElse(0) * DENSEST;
    double least = drawn.stream().mapToDouble(Piecewise::least).min().orElse(0);
    var some = new ArrayList<T>();
    for (T each : smaller) {
      if (width.applyAsInt(each) >= least) {
        some.add(each);
      }
      if (width.applyAsInt(each) >= most) {
        break;
      }
    }
    if (some.isEmpty() || width.applyAsInt(some.getLast()) < most) {
      some.add(own);
    }
    return new Sources<>(some, width);
  }

  /**
   * Which is taken, as Chromium does: the first that is dense enough, or else the widest. Source:
   * HTML, "Select an image source from a source set", which leaves it to the browser.
   *
   * @param drawn how wide the place is, by the viewport's width
   * @param viewport px
   * @param density device px for a px
   */
  public T taken(Piecewise drawn, double viewport, double density) {
    double said = said(drawn, viewport);
    return files.stream()
        .filter(each -> width.applyAsInt(each) / said >= density)
        .findFirst()
        .orElse(files.getLast());
  }

  private static double said(Piecewise drawn, double viewport) {
    return drawn.segments().stream()
        .filter(each -> viewport >= each.from() && viewport < each.below())
        .findFirst()
        .map(each -> told(each.line()))
        .map(line -> Math.max(line.at(viewport), 1))
        .orElse(1.0);
  }

  /** How wide a browser is told that it is: what does not depend on the viewport in whole px. */
  public static Line told(Line line) {
    return Math.abs(line.slope()) < 1e-9
        ? new Line(0, Math.max(0, Math.ceil(line.constant())))
        : line;
  }
}
