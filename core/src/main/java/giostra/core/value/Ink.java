package giostra.core.value;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The colour of something: one of its tone's, so that it follows the tone, one of its own, or that
 * of what is around it.
 */
public sealed interface Ink {
  /** As CSS has it. */
  String css();

  /** As documents have it; {@link #parse} reads it back. */
  String written();

  /**
   * One of the tone's, or a step of it.
   *
   * @param step how much deeper, or where it is less than nothing lighter, {@value #MOST_STEPS} at
   *     the most; each a tenth of the way to black or white in OKLab
   * @param percent how solid it is, 1 to 100
   */
  record Named(ToneColour name, int step, int percent) implements Ink {
    public Named {
      Require.within(-MOST_STEPS, MOST_STEPS, "steps of a colour of the tone", step);
      Require.within(1, 100, "solidity of a colour of the tone (%)", percent);
    }

    /** Source: CSS Color 5, "color-mix()". */
    @Override
    public String css() {
      String mixed = "var(" + name.variable() + ")";
      if (step != 0) {
        String toward = step > 0 ? "#000" : "#fff";
        mixed = "color-mix(in oklab," + mixed + "," + toward + " " + 10 * Math.abs(step) + "%)";
      }
      return percent == 100 ? mixed : "color-mix(in srgb," + mixed + " " + percent + "%,#0000)";
    }

    @Override
    public String written() {
      String way = step > 0 ? "-deeper-" : "-lighter-";
      return PickKind.word(name)
          + (step == 0 ? "" : way + Math.abs(step))
          + (percent == 100 ? "" : "/" + percent + "%");
    }

    /** What it is where its name stands for a colour. */
    public Colour of(Colour named) {
      Colour mixed = named;
      if (step != 0) {
        mixed = Oklch.mixed(named, step > 0 ? Oklch.BLACK : Oklch.WHITE, Math.abs(step) / 10.0);
      }
      int alpha = (int) Math.round(mixed.alpha() * percent / 100.0);
      return new Colour(mixed.red(), mixed.green(), mixed.blue(), alpha);
    }
  }

  /** One that no tone changes. */
  record Own(Colour colour) implements Ink {
    @Override
    public String css() {
      return colour.css();
    }

    @Override
    public String written() {
      return colour.css();
    }
  }

  /** Whatever the words around have. */
  record Around() implements Ink {
    @Override
    public String css() {
      return "currentColor";
    }

    @Override
    public String written() {
      return "around";
    }
  }

  /** Steps that a colour of the tone has to either side. */
  int MOST_STEPS = 6;

  /** That of what is around. */
  Ink AROUND = new Around();

  /** A colour of the tone as it is written, with a step and how solid it is. */
  Pattern NAMED =
      Pattern.compile(
          "("
              + Stream.of(ToneColour.values()).map(PickKind::word).collect(Collectors.joining("|"))
              + ")(?:[ -](deeper|lighter)(?:[ -](\\d))?)?(?: ?/ ?(\\d{1,3})%)?");

  /** One of the tone's. */
  static Ink of(ToneColour name) {
    return new Named(name, 0, 100);
  }

  /**
   * Reads a colour, or the name of one of the tone such as {@code accent}, {@code accent-deeper-2},
   * {@code ink/75%}.
   *
   * @throws Refused when it is neither
   */
  static Ink parse(String text) {
    String word = text.strip().toLowerCase(Locale.ROOT);
    Matcher named = NAMED.matcher(word);
    if (!named.matches()) {
      return new Own(Colour.parse(text));
    }
    int steps =
        named.group(2) == null ? 0 : named.group(3) == null ? 1 : Integer.parseInt(named.group(3));
    return new Named(
        named(named.group(1)),
        "lighter".equals(named.group(2)) ? -steps : steps,
        named.group(4) == null ? 100 : Integer.parseInt(named.group(4)));
  }

  private static ToneColour named(String word) {
    return Stream.of(ToneColour.values())
        .filter(each -> PickKind.word(each).equals(word))
        .findFirst()
        .orElseThrow();
  }
}
