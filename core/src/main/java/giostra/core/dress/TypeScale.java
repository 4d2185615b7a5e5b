package giostra.core.dress;

import giostra.core.anatomy.Anatomy;
import giostra.core.anatomy.TypeStyles;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Node;
import giostra.core.page.Site;
import giostra.core.value.Length;
import giostra.core.value.Require;
import giostra.core.value.TypeSize;
import giostra.core.value.TypeStyle;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * Sizes of all styles of type out of one: each step is so many times the one below it, so that no
 * two styles are of nearly the same size. On small screens the text and the ratio may be others
 * than on large ones; in between sizes grow evenly.
 *
 * @param small on a screen whose lesser side is at most {@link #FROM}
 * @param large on a screen whose lesser side is at least {@link #TO}
 */
public record TypeScale(Step small, Step large) {
  /** Lesser side of a screen up to which sizes are those of small ones, px. */
  public static final double FROM = 360;

  /** Lesser side of a screen from which on sizes are those of large ones, px. */
  public static final double TO = 800;

  private static final double ROOT = 16;
  private static final double LEAST = 6;
  private static final double MOST = 240;

  /** How many steps above the text; common practice, no source. */
  private static final Map<TypeStyle, Integer> STEPS = steps();

  /**
   * The text of a screen, and by how much a step is larger than the one below it.
   *
   * @param text px
   */
  public record Step(double text, double ratio) {
    public Step {
      Require.within(10, 32, "size of the text (px)", text);
      Require.within(1, 2, "ratio of the scale", ratio);
    }

    private double px(int steps) {
      return Math.clamp(text * Math.pow(ratio, steps), LEAST, MOST);
    }
  }

  private static Map<TypeStyle, Integer> steps() {
    var all = new EnumMap<TypeStyle, Integer>(TypeStyle.class);
    all.put(TypeStyle.TITLE, 4);
    all.put(TypeStyle.HEADING, 3);
    all.put(TypeStyle.SUBHEADING, 1);
    all.put(TypeStyle.TEXT, 0);
    all.put(TypeStyle.SMALL, -1);
    all.put(TypeStyle.KICKER, -1);
    all.put(TypeStyle.FIGURE, 4);
    all.put(TypeStyle.BUTTON, 0);
    return Collections.unmodifiableMap(all);
  }

  /** The size of a style. */
  public TypeSize size(TypeStyle style) {
    int steps = Objects.requireNonNull(STEPS.get(style));
    double least = small.px(steps);
    // No size grows faster than text sizes may.
    double most = Math.min(large.px(steps), least + TypeSize.FASTEST * (TO - FROM) / 100 - 0.01);
    if (most <= least) {
      // What is smaller on larger screens would be read from farther away: it stays as it is.
      return TypeSize.of(rem(least));
    }
    double vmin = rounded((most - least) / (TO - FROM) * 100);
    return vmin == 0
        ? TypeSize.of(rem(most))
        : new TypeSize(rem(least), rem(least - vmin * FROM / 100), vmin, rem(most));
  }

  private static Length rem(double px) {
    return new Length(rounded(px / ROOT), Length.Unit.REM);
  }

  private static double rounded(double value) {
    return Math.round(value * 1000) / 1000.0;
  }

  /**
   * Edits with which a site has it: what the site has said of the size of single parts gives way,
   * since it would hold against the styles.
   */
  public List<Edit> edits(Site site) {
    var edits = new ArrayList<Edit>();
    String lead = site.bands().lead().id();
    for (TypeStyle style : TypeStyle.values()) {
      StyleKey key = size(TypeStyles.part(style));
      site.values().styles().set().getOrDefault(key, Map.of()).keySet().stream()
          .filter(band -> !band.equals(lead))
          .forEach(band -> edits.add(new Edit.SetStyle(Site.ID, key, band, null)));
      edits.add(new Edit.SetStyle(Site.ID, key, lead, size(style).css()));
    }
    edits.addAll(gives(site));
    return edits;
  }

  /** What the site says of the size of single parts, taken back. */
  public static List<Edit> gives(Site site) {
    var edits = new ArrayList<Edit>();
    for (Part part : Anatomy.EVERY) {
      if (part.has(Property.TYPE) && part.has(Property.TEXT_SIZE)) {
        StyleKey key = size(part);
        site.values()
            .styles()
            .set()
            .getOrDefault(key, Map.of())
            .keySet()
            .forEach(band -> edits.add(new Edit.SetStyle(Site.ID, key, band, null)));
      }
    }
    return edits;
  }

  /** What says sizes of its own nearer than the site: the page, sections, pieces, items, looks. */
  public static List<Node> keeps(Document document) {
    return document
        .nodes()
        .filter(node -> !(node instanceof Site))
        .filter(node ->
            node.values().styles().set().keySet().stream()
                .anyMatch(key -> key.property().equals(Property.TEXT_SIZE)))
        .toList();
  }

  private static StyleKey size(Part part) {
    return part.key(Property.TEXT_SIZE, State.REST);
  }
}
