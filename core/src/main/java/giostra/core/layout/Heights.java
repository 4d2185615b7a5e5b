package giostra.core.layout;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.fit.Flow;
import giostra.core.fit.Piecewise;
import giostra.core.fit.Screen;
import giostra.core.fit.TextFit;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.Piece;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntPredicate;

/**
 * How high what a piece holds is, at each width of the viewport: cards, slides, faces, panels,
 * headings, figures, each as high as its own content asks. What stands in a row together is as high
 * as the highest of these.
 *
 * <p>From the fonts that ship; a page whose fonts did not come in time is set in others. Blocks of
 * own HTML count nothing, since anything may be in them.
 */
public final class Heights {
  /** What of an item is high. */
  public enum Part {
    CARD,
    SLIDE,
    FRONT,
    BACK,
    HEADING,
    PANEL,
    CLIP,
    FIGURE
  }

  /**
   * One part of one item.
   *
   * @param width the room that it has, px
   * @param height px
   */
  public record Reading(String item, Part part, double width, double height) {}

  /**
   * One part of one item in one band.
   *
   * @param room that it has against the viewport's width, px
   */
  public record Measured(Item item, Part part, Flow flow, Piecewise room) {}

  /** A piece in one band. */
  private record InBand(Band band, Piecewise outer, List<Measured> parts, HeadRowCount rows) {}

  private final double screenHeight;
  private final List<InBand> bands;

  private Heights(double screenHeight, List<InBand> bands) {
    this.screenHeight = screenHeight;
    this.bands = bands;
  }

  /**
   * Measures the texts of a piece.
   *
   * @param scrollbar width of a classic scrollbar in px
   * @param screenHeight height of the viewport in px
   */
  public static Heights of(
      Document document,
      Piece piece,
      PictureSizes pictures,
      double scrollbar,
      double screenHeight) {
    List<InBand> bands =
        document.bands().all().stream()
            .map(band -> in(document, piece, pictures, band, scrollbar))
            .toList();
    return new Heights(screenHeight, bands);
  }

  private static InBand in(
      Document document, Piece piece, PictureSizes pictures, Band band, double scrollbar) {
    var blocks = new BlockFlows(document, band, pictures, scrollbar);
    Piecewise outer = Containers.outer(document, piece, band, scrollbar);
    LaidOut<Piece> room = LaidOut.of(piece);
    return new InBand(
        band, outer, room.measured(piece, blocks, outer), room.headingRows(piece, blocks));
  }

  /** Each part of each item that shows at a viewport width in px. */
  public List<Reading> at(double viewportPx) {
    var screen = new Screen(viewportPx, screenHeight);
    return at(bands, viewportPx).parts().stream()
        .map(each -> {
          double width = each.room().at(viewportPx);
          return new Reading(
              each.item().id(), each.part(), width, each.flow().height(width, screen));
        })
        .toList();
  }

  /**
   * A text that breaks within a word.
   *
   * @param word the widest of the words of a text that breaks at all of these widths
   * @param from first viewport width, px
   * @param to last viewport width, px
   */
  public record Broken(String item, Part part, String word, String band, int from, int to) {}

  /**
   * All such texts, each with the whole viewport widths at which it does, from 280 to 2560 px. What
   * room a text has grows with its item's, so a range is found by halving.
   */
  public List<Broken> brokenWords() {
    var found = new ArrayList<Broken>();
    for (InBand in : bands) {
      for (Measured each : in.parts()) {
        for (int[] range : ranges(each.room(), width -> !tooWide(each, width).isEmpty())) {
          // What has no room at the last of the widths has none at any of them.
          String word = tooWide(each, range[1]).getFirst().widest();
          found.add(
              new Broken(each.item().id(), each.part(), word, in.band().id(), range[0], range[1]));
        }
      }
    }
    return found;
  }

  /** Whether there is something to break: one letter stands out, and does not. */
  private static boolean breaks(String word) {
    return word.codePointCount(0, word.length()) > 1;
  }

  private List<TextFit> tooWide(Measured each, double viewportPx) {
    var found = new ArrayList<TextFit>();
    double room = each.room().at(viewportPx);
    each.flow()
        .height(
            room,
            new Screen(
                viewportPx,
                screenHeight,
                fitted -> {
                  if (fitted.text().least() > fitted.width() + 1 / 64.0
                      && breaks(fitted.text().widest())) {
                    found.add(fitted.text());
                  }
                }));
    return found;
  }

  /**
   * Something that is wider than its room and cannot give way.
   *
   * @param needs the least that it takes where there is least room, px
   * @param room what there is there, px
   * @param from first viewport width, px
   * @param to last viewport width, px
   */
  public record Tight(
      String item, Part part, double needs, double room, String band, int from, int to) {}

  /** All such things, each with the whole viewport widths at which it is, from 280 to 2560 px. */
  public List<Tight> tight() {
    var found = new ArrayList<Tight>();
    for (InBand in : bands) {
      for (Measured each : in.parts()) {
        for (int[] range : ranges(each.room(), width -> tight(each, width).isPresent())) {
          Screen.Tight worst = tight(each, range[0]).or(() -> tight(each, range[1])).orElseThrow();
          found.add(
              new Tight(
                  each.item().id(),
                  each.part(),
                  worst.needs(),
                  worst.room(),
                  in.band().id(),
                  range[0],
                  range[1]));
        }
      }
    }
    return found;
  }

  /** What lacks most there. */
  private Optional<Screen.Tight> tight(Measured each, double viewportPx) {
    var found = new ArrayList<Screen.Tight>();
    double room = each.room().at(viewportPx);
    if (room < 1) {
      found.add(new Screen.Tight(1, room));
    }
    each.flow().height(room, new Screen(viewportPx, screenHeight, _ -> {}, found::add));
    return found.stream().max(Comparator.comparingDouble(tight -> tight.needs() - tight.room()));
  }

  /**
   * A text that takes another number of lines in a room that is wider or narrower by a thousandth,
   * while its room stays the same over many widths.
   *
   * @param words that it begins with
   * @param lines that it takes by our measure
   * @param from first viewport width, px
   * @param to last viewport width, px
   */
  public record Close(
      String item, Part part, String words, int lines, String band, int from, int to) {}

  /** Widths, in px, over which a room has to stay the same. */
  private static final int STAYS = 48;

  /**
   * All such texts: systems whose letters are rounded otherwise may set them in another number of
   * lines, and do so at all these widths. Where a room grows with the page every text comes close
   * to breaking somewhere, and is past it one pixel on.
   */
  public List<Close> close() {
    var found = new ArrayList<Close>();
    for (InBand in : bands) {
      for (Measured each : in.parts()) {
        for (Piecewise.Segment segment : each.room().segments()) {
          close(
              each,
              in.band().id(),
              (int) Math.ceil(segment.from()),
              (int) Math.ceil(segment.below()) - 1,
              found);
        }
      }
    }
    return found;
  }

  private void close(Measured each, String band, int from, int to, List<Close> found) {
    List<Screen.Fitted> before = List.of();
    int at = from;
    for (int width = from;
        width <= to;
        width = width == to ? to + 1 : Math.min(width + STAYS, to)) {
      List<Screen.Fitted> now = fitted(each, width);
      for (int i = 0; now.size() == before.size() && i < now.size(); i++) {
        Screen.Fitted text = now.get(i);
        if (width - at >= STAYS
            && text.width() == before.get(i).width()
            && isClose(text)
            && !isOwnWidth(each, text)) {
          add(found, each, band, text, at, width);
        }
      }
      before = now;
      at = width;
    }
  }

  private List<Screen.Fitted> fitted(Measured each, double viewportPx) {
    var all = new ArrayList<Screen.Fitted>();
    each.flow().height(each.room().at(viewportPx), new Screen(viewportPx, screenHeight, all::add));
    return all;
  }

  /** In what browsers lay boxes out, px. Found by measuring in Chromium. */
  private static final double STEP = 1 / 64.0;

  /** A heading that is as wide as its words: its box is made of them, on any system. */
  private static boolean isOwnWidth(Measured each, Screen.Fitted fitted) {
    return each.part() == Part.HEADING
        && Math.abs(fitted.text().natural() - fitted.width()) <= STEP;
  }

  private static boolean isClose(Screen.Fitted fitted) {
    // What breaks within a word is told anyway.
    return fitted.text().least() <= fitted.width()
        && (fitted.text().lines(fitted.width() * 0.999) != fitted.lines()
            || fitted.text().lines(fitted.width() * 1.001) != fitted.lines());
  }

  private static void add(
      List<Close> found, Measured each, String band, Screen.Fitted text, int from, int to) {
    String words = text.text().begins();
    Close last = found.isEmpty() ? null : found.getLast();
    boolean on =
        last != null
            && last.item().equals(each.item().id())
            && last.part() == each.part()
            && last.words().equals(words)
            && last.band().equals(band)
            && last.to() == from;
    int since = on && last != null ? last.from() : from;
    if (on) {
      found.removeLast();
    }
    found.add(new Close(each.item().id(), each.part(), words, text.lines(), band, since, to));
  }

  private static List<int[]> ranges(Piecewise room, IntPredicate wrong) {
    var found = new ArrayList<int[]>();
    for (Piecewise.Segment segment : room.segments()) {
      int from = (int) Math.ceil(segment.from());
      int to = (int) Math.ceil(segment.below()) - 1;
      if (from > to) {
        continue;
      }
      boolean first = wrong.test(from);
      boolean last = wrong.test(to);
      if (first != last) {
        int low = from;
        int high = to;
        while (high - low > 1) {
          int middle = (low + high) / 2;
          if (wrong.test(middle) == first) {
            low = middle;
          } else {
            high = middle;
          }
        }
        from = first ? from : high;
        to = first ? low : to;
      }
      if (first || last) {
        if (!found.isEmpty() && found.getLast()[1] + 1 == from) {
          found.getLast()[1] = to;
        } else {
          found.add(new int[] {from, to});
        }
      }
    }
    return found;
  }

  /** Characters that no font has that ships, by the item that has them. */
  public Map<String, Set<String>> missing() {
    var found = new LinkedHashMap<String, Set<String>>();
    InBand widest = bands.getLast();
    double width = Math.max(widest.band().from(), Bands.NARROWEST);
    for (Measured each : widest.parts()) {
      var screen =
          new Screen(
              width,
              screenHeight,
              fitted ->
                  fitted
                      .text()
                      .missing()
                      .forEach(character ->
                          found
                              .computeIfAbsent(each.item().id(), _ -> new LinkedHashSet<>())
                              .add(character)));
      each.flow().height(each.room().at(width), screen);
    }
    return found;
  }

  /**
   * A line of a plot: the highest or the lowest of all items, at whole viewport widths.
   *
   * @param points viewport width and height in px, where the line bends; straight in between
   */
  public record Series(Part part, boolean highest, List<double[]> points) {}

  /** The highest of each part against the viewport's width, and the lowest where that differs. */
  public List<Series> series() {
    var highest = new EnumMap<Part, List<double[]>>(Part.class);
    var lowest = new EnumMap<Part, List<double[]>>(Part.class);
    for (int width = Bands.NARROWEST; width <= Bands.WIDEST; width++) {
      var most = new EnumMap<Part, Double>(Part.class);
      var least = new EnumMap<Part, Double>(Part.class);
      for (Reading reading : at(width)) {
        most.merge(reading.part(), reading.height(), Math::max);
        least.merge(reading.part(), reading.height(), Math::min);
      }
      double x = width;
      most.forEach((part, y) -> add(highest, part, x, y));
      least.forEach((part, y) -> add(lowest, part, x, y));
    }
    var all = new ArrayList<Series>();
    highest.forEach((part, points) -> {
      all.add(new Series(part, true, points));
      List<double[]> low = Objects.requireNonNull(lowest.get(part));
      if (!Arrays.deepEquals(points.toArray(), low.toArray())) {
        all.add(new Series(part, false, low));
      }
    });
    return all;
  }

  /** Adds a point, and drops the one before where it lies on the way. */
  private static void add(Map<Part, List<double[]>> lines, Part part, double x, double y) {
    List<double[]> line = lines.computeIfAbsent(part, _ -> new ArrayList<>());
    int size = line.size();
    if (size > 1) {
      double[] a = line.get(size - 2);
      double[] b = line.get(size - 1);
      double slope = (b[1] - a[1]) / (b[0] - a[0]);
      if (x - b[0] == 1 && Math.abs(y - b[1] - slope) < 0.01) {
        line.removeLast();
      }
    }
    line.add(new double[] {x, Math.round(y * 100) / 100.0});
  }

  /**
   * How many rows the headings of tabs take at a viewport width in px, or lines the one that has
   * most; 1 for other kinds.
   */
  public int headingRows(double viewportPx) {
    InBand in = at(bands, viewportPx);
    return in.rows().in(in.outer().at(viewportPx), new Screen(viewportPx, screenHeight));
  }

  private static InBand at(List<InBand> bands, double viewportPx) {
    return bands.stream().filter(in -> in.band().holds(viewportPx)).findFirst().orElseThrow();
  }
}
