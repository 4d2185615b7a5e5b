package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.layout.Heights;
import giostra.core.layout.ItemWidths;
import giostra.core.layout.Resolution;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.PanelSettings;
import giostra.core.page.PanelSettings.PanelHeight;
import giostra.core.page.Piece;
import giostra.core.page.TrackSettings;
import giostra.core.snag.Snag.Rule;
import giostra.core.value.Refused;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Findings about texts, from the fonts that ship: words that break where no word ends, headings of
 * tabs that take many rows, panels that cut their content off, characters that no font has.
 */
final class TextSnags {
  private final Document document;
  private final Piece piece;
  private final Heights heights;
  private final List<Snag> found = new ArrayList<>();

  private TextSnags(Document document, Piece piece, Heights heights) {
    this.document = document;
    this.piece = piece;
    this.heights = heights;
  }

  static List<Snag> of(Document document, Piece piece, Heights heights, double scrollbar) {
    var snags = new TextSnags(document, piece, heights);
    snags.brokenWords(scrollbar);
    if (piece instanceof Piece.Tabs) {
      snags.wrappedHeadings();
    }
    if (piece instanceof Piece.Tabs || piece instanceof Piece.Accordion) {
      snags.cutOff();
    }
    snags.noGlyph();
    return snags.found;
  }

  private void add(
      Rule rule, String item, int from, int to, String band, String message, List<Snag.Fix> fixes) {
    found.add(
        new Snag(
            rule,
            piece.id(),
            item,
            from,
            to,
            band,
            message + String.format(Locale.ROOT, " from %d to %d", from, to),
            fixes));
  }

  private void brokenWords(double scrollbar) {
    for (Heights.Broken each : heights.brokenWords()) {
      add(
          Rule.BROKEN_WORD,
          each.item(),
          each.from(),
          each.to(),
          each.band(),
          String.format(
              Locale.ROOT,
              "\u201c%s\u201d breaks within the word (%s)",
              each.word(),
              word(each.part())),
          fewer(each.band(), scrollbar));
    }
  }

  /** One less side by side where a setting says how many, or no neighbour that shows. */
  private List<Snag.Fix> fewer(String band, double scrollbar) {
    return ItemWidths.of(document, piece, scrollbar).stream()
        .flatMap(widths -> widths.bands().stream())
        .filter(in -> in.band().id().equals(band))
        .flatMap(in ->
            Stream.of(
                in.counted() && in.count() > 1
                    ? fix("show " + (in.count() - 1), in.setting().id(), band, in.count() - 1.0)
                    : null,
                in.sides() > 0 ? fix("no peek", TrackSettings.PEEK.id(), band, 0.0) : null))
        .filter(Objects::nonNull)
        .filter(fix -> possible(fix.edits()))
        .toList();
  }

  private Snag.Fix fix(String label, String setting, String band, Object value) {
    return new Snag.Fix(label, List.of(new Edit.SetValue(piece.id(), setting, band, value)));
  }

  private boolean possible(List<Edit> edits) {
    try {
      Edits.apply(document, edits);
      return true;
    } catch (Refused impossible) {
      return false;
    }
  }

  /** More than two rows or lines; two can still be told apart at a glance. Common practice. */
  private void wrappedHeadings() {
    for (Band band : document.bands().all()) {
      for (int[] range : runs(band, width -> heights.headingRows(width) > 2)) {
        add(
            Rule.WRAPPED_HEADINGS,
            "",
            range[0],
            range[1],
            band.id(),
            String.format(
                Locale.ROOT,
                "headings take up to %d rows",
                IntStream.rangeClosed(range[0], range[1])
                    .map(heights::headingRows)
                    .max()
                    .orElseThrow()),
            List.of());
      }
    }
  }

  private void cutOff() {
    for (Band band : document.bands().all()) {
      if (value(PanelSettings.PANEL_HEIGHT, band) != PanelHeight.FIXED) {
        continue;
      }
      double fixed = value(PanelSettings.PANEL_FIXED, band).constantPx();
      for (int[] range : runs(band, width -> !above(fixed, width).isEmpty())) {
        Set<String> items = new LinkedHashSet<>();
        for (int width = range[0]; width <= range[1]; width++) {
          items.addAll(above(fixed, width));
        }
        add(
            Rule.CUT_OFF,
            items.size() == 1 ? items.iterator().next() : "",
            range[0],
            range[1],
            band.id(),
            items.size() == 1
                ? String.format(Locale.ROOT, "a panel holds more than %.0f px and scrolls", fixed)
                : String.format(
                    Locale.ROOT,
                    "%d panels hold more than %.0f px and scroll",
                    items.size(),
                    fixed),
            List.of(
                fix(
                    "as high as their content",
                    PanelSettings.PANEL_HEIGHT.id(),
                    band.id(),
                    "own")));
      }
    }
  }

  /** Items whose panel asks for more than that at a viewport width. */
  private List<String> above(double px, double viewportPx) {
    return heights.at(viewportPx).stream()
        .filter(each -> each.part() == Heights.Part.PANEL && each.height() > px + 1)
        .map(Heights.Reading::item)
        .toList();
  }

  private <T> T value(giostra.core.value.Setting<T> setting, Band band) {
    return Resolution.value(document, piece, setting, band);
  }

  private void noGlyph() {
    Band widest = document.bands().all().getLast();
    for (Map.Entry<String, Set<String>> each : heights.missing().entrySet()) {
      add(
          Rule.NO_GLYPH,
          each.getKey(),
          Bands.NARROWEST,
          Bands.WIDEST,
          widest.id(),
          "no font that ships has " + String.join(" ", each.getValue()),
          List.of());
    }
  }

  private static List<int[]> runs(Band band, java.util.function.IntPredicate wrong) {
    var found = new ArrayList<int[]>();
    for (int width = first(band); width <= last(band); width++) {
      if (wrong.test(width)) {
        extend(found, width);
      }
    }
    return found;
  }

  private static void extend(List<int[]> ranges, int width) {
    if (!ranges.isEmpty() && ranges.getLast()[1] + 1 == width) {
      ranges.getLast()[1] = width;
    } else {
      ranges.add(new int[] {width, width});
    }
  }

  private static int first(Band band) {
    return Math.max(Bands.NARROWEST, (int) Math.ceil(band.from()));
  }

  private static int last(Band band) {
    return band.widest() ? Bands.WIDEST : Math.min(Bands.WIDEST, (int) Math.ceil(band.below()) - 1);
  }

  private static String word(Heights.Part part) {
    return part.name().toLowerCase(Locale.ROOT);
  }
}
