package giostra.core.layout;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.fit.Screen;
import giostra.core.page.Document;
import giostra.core.page.Section;
import giostra.core.value.Require;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * How high a page is in rooms of all widths, as straight lines between a few points: a page around
 * can keep so much room before it is there.
 */
public final class RoomHeights {
  /** Rooms that pages have, px. */
  private static final int LEAST = Bands.NARROWEST;

  private static final int MOST = 1440;

  /** More points would make a snippet long. */
  private static final int POINTS = 40;

  /** How far a line may be from the height, px; more where there would be too many points. */
  private static final double CLOSE = 0.5;

  private RoomHeights() {}

  /** One of them: so high in a room so wide, px. */
  public record Point(int wide, double high) {}

  /** The points, the narrowest first. */
  public static List<Point> of(Document document, PictureSizes pictures) {
    List<Point> all =
        document.bands().all().stream()
            .flatMap(band -> in(band, document, pictures).stream())
            .sorted((one, other) -> Integer.compare(one.wide(), other.wide()))
            .toList();
    double close = CLOSE;
    List<Point> some = straight(all, close);
    while (some.size() > POINTS) {
      close *= 2;
      some = straight(all, close);
    }
    return some;
  }

  /**
   * The points as rules for an element in a container that is the room: so high at the least.
   * Source: CSS Containment 3; CSS Values 4, "Container Query Length Units".
   */
  public static String css(List<Point> points, String element) {
    var css = new StringBuilder();
    for (int i = 0; i < points.size(); i++) {
      Point from = points.get(i);
      Point to = points.get(Math.min(i + 1, points.size() - 1));
      String rule = element + "{min-height:" + height(from, to) + "}";
      css.append(i == 0 ? rule : "@container (width >= " + from.wide() + "px){" + rule + "}");
    }
    return css.toString();
  }

  private static String height(Point from, Point to) {
    double rise = to.high() - from.high();
    String high = Require.number(Math.round(from.high() * 10) / 10.0) + "px";
    if (Math.abs(rise) < CLOSE || to.wide() == from.wide()) {
      return high;
    }
    String slope = Require.number(rise / (to.wide() - from.wide()));
    return "calc(" + high + " + (100cqi - " + from.wide() + "px)*" + slope + ")";
  }

  private static List<Point> in(Band band, Document document, PictureSizes pictures) {
    List<SectionFlow> flows =
        document.page().sections().stream()
            .map((Section section) -> new SectionFlow(document, section, band, pictures, 0))
            .toList();
    return IntStream.rangeClosed(LEAST, MOST)
        .filter(band::holds)
        .mapToObj(wide -> {
          var screen = new Screen(wide, Screen.USUAL_HEIGHT);
          return new Point(
              wide, flows.stream().mapToDouble(flow -> flow.height(wide, screen)).sum());
        })
        .toList();
  }

  private static List<Point> straight(List<Point> all, double close) {
    var some = new ArrayList<Point>();
    int from = 0;
    while (from < all.size()) {
      some.add(all.get(from));
      int to = from + 1;
      while (to + 1 < all.size() && near(all.subList(from, to + 2), close)) {
        to++;
      }
      from = to;
    }
    return List.copyOf(some);
  }

  private static boolean near(List<Point> run, double close) {
    Point first = run.getFirst();
    Point last = run.getLast();
    double slope = (last.high() - first.high()) / (last.wide() - first.wide());
    return run.stream()
        .allMatch(each ->
            Math.abs(first.high() + slope * (each.wide() - first.wide()) - each.high()) <= close);
  }
}
