package giostra.core.value;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * The shadows of a box, the uppermost first. Source: CSS Backgrounds and Borders 3, "Drop Shadows".
 *
 * @param all none for no shadow
 */
public record Shadows(List<Shadow> all) {
  /** Shadows at the most. */
  public static final int MOST = 4;

  /** How far one may reach, px. */
  public static final double FARTHEST = 100;

  /** Characters of all of them at the most: looking for their commas takes the square of it. */
  private static final int LONGEST = 400;

  /** No shadow. */
  public static final Shadows NONE = new Shadows(List.of());

  private static final String LENGTH = "([+-]?\\d{1,4}(?:\\.\\d{1,3})?)(?:px)?";
  private static final Pattern WRITTEN =
      Pattern.compile(
          "(inset\\s+)?"
              + LENGTH
              + "\\s+"
              + LENGTH
              + "\\s+"
              + LENGTH
              + "(?:\\s+"
              + LENGTH
              + ")?\\s+(#[0-9a-f]{3,8}|rgba?\\([^)]{1,40}\\)|[a-z][a-z-]{0,30})");

  public Shadows {
    Require.within(0, MOST, "shadows", all.size());
    all = List.copyOf(all);
  }

  /**
   * One shadow; lengths in px.
   *
   * @param inner whether it lies within the box
   * @param x to the right
   * @param y down
   */
  public record Shadow(boolean inner, double x, double y, double blur, double spread, Ink ink) {
    public Shadow {
      Require.within(-FARTHEST, FARTHEST, "shadow to the right (px)", x);
      Require.within(-FARTHEST, FARTHEST, "shadow down (px)", y);
      Require.within(0, FARTHEST, "blur of a shadow (px)", blur);
      Require.within(-FARTHEST, FARTHEST, "spread of a shadow (px)", spread);
    }

    private String with(String ink) {
      return (inner ? "inset " : "")
          + px(x)
          + " "
          + px(y)
          + " "
          + px(blur)
          + (spread == 0 ? "" : " " + px(spread))
          + " "
          + ink;
    }

    private static String px(double length) {
      return length == 0 ? "0" : Require.number(length) + "px";
    }
  }

  /**
   * Reads {@code none} or up to four of {@code inset 0 6px 14px 2px #11201d45}, with commas between
   * them; {@code inset}, the last length and the units may be left out.
   *
   * @throws Refused when it is neither
   */
  public static Shadows parse(String text) {
    String written = text.strip().toLowerCase(Locale.ROOT);
    if (written.equals("none")) {
      return NONE;
    }
    if (written.length() > LONGEST) {
      throw new Refused("shadow", written.length() + " characters long", "at most " + LONGEST);
    }
    var all = new ArrayList<Shadow>();
    for (String each : written.split(",(?![^(]*\\))", MOST + 1)) {
      Matcher one = WRITTEN.matcher(each.strip());
      if (!one.matches()) {
        throw new Refused("shadow", each.strip(), "none, or as 0 6px 14px #11201d45");
      }
      all.add(
          new Shadow(
              one.group(1) != null,
              number(one.group(2)),
              number(one.group(3)),
              number(one.group(4)),
              one.group(5) == null ? 0 : number(one.group(5)),
              Ink.parse(one.group(6))));
    }
    return new Shadows(all);
  }

  private static double number(String text) {
    return Double.parseDouble(text) + 0.0;
  }

  /** As CSS has it. */
  public String css() {
    return all.isEmpty()
        ? "none"
        : all.stream().map(each -> each.with(each.ink.css())).collect(Collectors.joining(","));
  }

  /** As documents have it; {@link #parse} reads it back. */
  public String written() {
    return all.isEmpty()
        ? "none"
        : all.stream().map(each -> each.with(each.ink.written())).collect(Collectors.joining(", "));
  }
}
