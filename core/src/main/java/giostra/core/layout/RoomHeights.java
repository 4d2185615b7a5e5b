package giostra.core.layout;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.fit.Screen;
import giostra.core.page.Document;
import giostra.core.page.Section;
import giostra.core.value.Require;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * How high a page is in rooms of all widths, as straight lines between a few points: a page around
 * can keep so much room before it is there.
 */
public final class RoomHeights {
  /** Rooms that pages have, px. */
  private static final int LEAST = Bands.NARROWEST;

  private static final int MOST = 1440;

  /** Points that a tag may hold before it is no longer a line or two. */
  private static final int POINTS = 48;

  /** How far a line may be from the height, px; more where there would be too many points. */
  private static final double CLOSE = 0.5;

  private RoomHeights() {}

  /** One of them: so high in a room so wide, px. */
  public record Point(int wide, double high) {
    @Override
    public String toString() {
      return wide + " " + Require.number(Math.round(high * 10) / 10.0);
    }
  }

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

  /** As a tag holds them, such as {@code 320 540;480 510}. */
  public static String written(List<Point> points) {
    return points.stream().map(Point::toString).collect(Collectors.joining(";"));
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
