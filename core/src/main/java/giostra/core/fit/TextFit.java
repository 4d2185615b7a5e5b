package giostra.core.fit;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.ibm.icu.text.BreakIterator;
import com.ibm.icu.util.ULocale;
import giostra.core.value.Require;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * One text in one face: measured once, then broken into lines by addition.
 *
 * <p>Lines break where the Unicode line breaking algorithm lets them (UAX #14, as ICU has it for
 * the locale), spaces at the end of a line hang (CSS Text 3, "White Space Processing"), and a
 * stretch that is wider than the line breaks anywhere ({@code overflow-wrap: break-word}). A line
 * feed ends a line. No hyphens are added ({@code hyphens: manual}); a soft hyphen that a line
 * breaks at is drawn.
 *
 * <p>A width that lies where an earlier answer still holds is looked up: breaking at one width
 * tells between which widths every line stays as it is.
 */
public final class TextFit {
  /** Browsers keep widths in 1/64 px. Source: CSS Box Model's used values as Chromium has them. */
  private static final double HAIR = 1 / 64.0;

  /** How far the spaces at the end of a line and a soft hyphen go. */
  private static final Pattern TAIL = Pattern.compile("[ \\u00ad]+$");

  private static final Pattern WHITE = Pattern.compile("[ \\t\\r\\f]+");

  /** Characters of the texts that are remembered, together. */
  private static final long MOST = 400_000;

  /** What a text is told by. */
  private record Asked(
      List<Run> runs, double sizePx, double spacingPx, double wordsPx, Locale locale) {
    int length() {
      return 1 + runs.stream().mapToInt(run -> run.text().length()).sum();
    }
  }

  /** What is on a page is asked again for each rule, each band and each edit. */
  private static final Cache<Asked, TextFit> MEASURED =
      Caffeine.newBuilder()
          .maximumWeight(MOST)
          .weigher((Asked asked, TextFit _) -> asked.length())
          .build();

  private final List<Stretch> stretches = new ArrayList<>();
  private final double sizePx;
  private final double spacingPx;
  private final double wordsPx;

  /** Counts by the least width that they hold from; each until its own limit. */
  private final TreeMap<Double, Held> known = new TreeMap<>();

  /** A part of a text in one face: emphasis and the like. */
  public record Run(String text, Face face) {}

  /**
   * What stands between two places where a line may break.
   *
   * @param full its width, px
   * @param bare its width without the spaces at its end, px: what has to fit at the end of a line
   * @param ends whether a line ends after it whatever comes
   */
  private record Stretch(List<Run> runs, double full, double bare, boolean ends) {}

  /** So many lines in every width below {@code below}. */
  private record Held(int lines, double below) {}

  private TextFit(double sizePx, double spacingPx, double wordsPx) {
    this.sizePx = sizePx;
    this.spacingPx = spacingPx;
    this.wordsPx = wordsPx;
  }

  /**
   * Measures a text.
   *
   * @param sizePx font size in px, above 0
   * @param spacingPx letter spacing in px
   */
  public static TextFit of(String text, Face face, double sizePx, double spacingPx, Locale locale) {
    return of(List.of(new Run(text, face)), sizePx, spacingPx, 0, locale);
  }

  /**
   * Measures a text whose parts are in several faces of one size.
   *
   * @param wordsPx word spacing in px
   */
  public static TextFit of(
      List<Run> runs, double sizePx, double spacingPx, double wordsPx, Locale locale) {
    Require.above(0, "font size (px)", sizePx);
    // Fonts of a site's own come and go.
    if (runs.stream().anyMatch(run -> OwnFonts.is(run.face().family()))) {
      return measured(runs, sizePx, spacingPx, wordsPx, locale);
    }
    return MEASURED.get(
        new Asked(List.copyOf(runs), sizePx, spacingPx, wordsPx, locale),
        asked -> measured(asked.runs, sizePx, spacingPx, wordsPx, locale));
  }

  private static TextFit measured(
      List<Run> runs, double sizePx, double spacingPx, double wordsPx, Locale locale) {
    var fit = new TextFit(sizePx, spacingPx, wordsPx);
    List<Run> shown = collapsed(runs);
    var all = new StringBuilder();
    shown.forEach(run -> all.append(run.text()));
    String text = all.toString();
    BreakIterator breaks = BreakIterator.getLineInstance(ULocale.forLocale(locale));
    breaks.setText(text);
    int from = 0;
    for (int to = breaks.next(); to != BreakIterator.DONE; to = breaks.next()) {
      for (int at = from + 1; at < to; at++) {
        if (afterSpace(text, at)) {
          fit.add(between(shown, from, at));
          from = at;
        }
      }
      if (breaksAt(text, to)) {
        fit.add(between(shown, from, to));
        from = to;
      }
    }
    return fit;
  }

  /**
   * Chromium, seen, breaks after any space, also where UAX #14 keeps punctuation with the word
   * before it, as in French.
   */
  private static boolean afterSpace(String text, int at) {
    return at < text.length() && text.charAt(at - 1) == ' ' && text.charAt(at) != ' ';
  }

  /** White space collapses across runs, but for line feeds that were meant. */
  private static List<Run> collapsed(List<Run> runs) {
    var all = new ArrayList<Run>();
    boolean spaced = true;
    for (Run run : runs) {
      String text = WHITE.matcher(run.text()).replaceAll(" ");
      text = spaced ? text.stripLeading() : text;
      if (!text.isEmpty()) {
        spaced = text.endsWith(" ") || text.endsWith("\n");
        all.add(new Run(text, run.face()));
      }
    }
    while (!all.isEmpty() && all.getLast().text().stripTrailing().isEmpty()) {
      all.removeLast();
    }
    if (!all.isEmpty()) {
      Run last = all.removeLast();
      all.add(new Run(last.text().stripTrailing(), last.face()));
    }
    return all;
  }

  private static List<Run> between(List<Run> runs, int from, int to) {
    var all = new ArrayList<Run>();
    int at = 0;
    for (Run run : runs) {
      int end = at + run.text().length();
      if (end > from && at < to) {
        String part = run.text().substring(Math.max(0, from - at), Math.min(end, to) - at);
        all.add(new Run(part, run.face()));
      }
      at = end;
    }
    return all;
  }

  /** UAX #14 lets a line break after a slash; Chromium, seen, does not before ASCII characters. */
  private static boolean breaksAt(String text, int at) {
    return at == text.length() || text.charAt(at - 1) != '/' || text.charAt(at) > '\u007f';
  }

  private void add(List<Run> runs) {
    Run last = runs.getLast();
    boolean ends = last.text().endsWith("\n");
    String shown = last.text().replace("\n", "");
    String bare = TAIL.matcher(shown).replaceAll("");
    boolean soft = shown.endsWith("\u00ad");
    double before = 0;
    for (Run run : runs.subList(0, runs.size() - 1)) {
      before += width(run.text(), run.face());
    }
    stretches.add(
        new Stretch(
            runs,
            before + width(soft ? bare : shown, last.face()),
            before + width(soft ? bare + "-" : bare, last.face()),
            ends));
  }

  private double width(CharSequence text, Face face) {
    return face.width(text, sizePx, spacingPx, wordsPx);
  }

  /** Width of the text on one line, in px: as wide as it would like to be. */
  public double natural() {
    double widest = 0;
    double line = 0;
    for (Stretch each : stretches) {
      widest = Math.max(widest, line + each.bare());
      line = each.ends() ? 0 : line + each.full();
    }
    return widest;
  }

  /** Width of its widest line in a width in px, where none of its words breaks. */
  public double reach(double widthPx) {
    double widest = 0;
    double at = 0;
    for (Stretch each : stretches) {
      if (at > 0 && at + each.bare() > widthPx + HAIR) {
        at = 0;
      }
      widest = Math.max(widest, at + each.bare());
      at = each.ends() ? 0 : at + each.full();
    }
    return Math.min(widest, widthPx);
  }

  /** Width of its widest stretch in px: a line that is narrower breaks within a word. */
  public double least() {
    return stretches.stream().mapToDouble(Stretch::bare).max().orElse(0);
  }

  /** Its widest stretch: what breaks first. */
  public String widest() {
    return stretches.stream()
        .max(Comparator.comparingDouble(Stretch::bare))
        .map(each -> each.runs().stream().map(Run::text).collect(Collectors.joining()).strip())
        .orElse("");
  }

  /** Its first words: enough to know it by. */
  public String begins() {
    String all =
        stretches.stream()
            .limit(5)
            .flatMap(each -> each.runs().stream())
            .map(Run::text)
            .collect(Collectors.joining())
            .strip();
    return stretches.size() > 5 ? all + " …" : all;
  }

  /** Characters that the faces it is set in do not have, each once. */
  public List<String> missing() {
    return stretches.stream()
        .flatMap(each -> each.runs().stream())
        .flatMap(run -> run.face().missing(run.text()).stream())
        .distinct()
        .toList();
  }

  /** How many lines it takes in a width in px; none when there is no text. */
  public int lines(double widthPx) {
    // Several may ask at once.
    synchronized (known) {
      Map.Entry<Double, Held> near = known.floorEntry(widthPx);
      return near != null && widthPx < near.getValue().below()
          ? near.getValue().lines()
          : broken(widthPx);
    }
  }

  private int broken(double widthPx) {
    if (stretches.isEmpty()) {
      return 0;
    }
    int lines = 1;
    double at = 0;
    double needed = 0;
    double below = Double.POSITIVE_INFINITY;
    boolean within = false;
    for (Stretch each : stretches) {
      if (at > 0 && at + each.bare() > widthPx + HAIR) {
        below = Math.min(below, at + each.bare());
        lines++;
        at = 0;
      }
      if (each.bare() > widthPx + HAIR) {
        double[] parts = anywhere(each, widthPx);
        lines += (int) parts[0];
        at = parts[1];
        within = true;
      } else {
        needed = Math.max(needed, at + each.bare());
        at += each.full();
      }
      if (each.ends()) {
        lines++;
        at = 0;
      }
    }
    if (!within) {
      known.put(needed - HAIR, new Held(lines, below - HAIR));
    }
    return lines;
  }

  /** Breaks a stretch anywhere: lines more than one, and how far the last of them reaches, px. */
  private double[] anywhere(Stretch stretch, double widthPx) {
    int more = 0;
    double before = 0;
    double reach = 0;
    for (Run run : stretch.runs()) {
      var line = new StringBuilder();
      for (int c : run.text().codePoints().toArray()) {
        line.appendCodePoint(c);
        reach = before + width(line, run.face());
        boolean first = before == 0 && line.length() == Character.charCount(c);
        if (!first && !Character.isWhitespace(c) && reach > widthPx + HAIR) {
          more++;
          before = 0;
          line.setLength(0);
          line.appendCodePoint(c);
          reach = width(line, run.face());
        }
      }
      before = reach;
    }
    return new double[] {more, reach};
  }
}
