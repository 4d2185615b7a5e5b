package giostra.core.output;

import giostra.core.anatomy.Anatomy;
import giostra.core.anatomy.Tone;
import giostra.core.look.Part;
import giostra.core.look.PartId;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.value.Around;
import giostra.core.value.Ink;
import giostra.core.value.Length;
import giostra.core.value.PickKind;
import giostra.core.value.ToneColour;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Fills a sheet that ships with what the anatomy says: such sheets hold structure only, and where a
 * size, a colour or a face belongs they name the part.
 *
 * <ul>
 *   <li>{@code @{tabs.panel}}: all that holds of it at rest, {@code @{tabs.heading:hover}} what is
 *       other in a state;
 *   <li>{@code @{tabs.heading|padding ink}}: only these properties, {@code font} for all letters;
 *   <li>{@code @{tabs.divider=size}}: a value by itself;
 *   <li>{@code @{dusk}}, {@code @{dusk|ink line}}, {@code @{dusk.ink}}: the same of a tone.
 * </ul>
 */
final class Filled {
  private static final Pattern NAMED =
      Pattern.compile("@\\{([a-z-]+)(?:\\.([a-z0-9-]+))?(?::([a-z]+))?(?:([|=])([a-z -]+))?}");

  private Filled() {}

  /**
   * The sheet with all names replaced.
   *
   * @throws giostra.core.value.Refused for a name that there is not
   */
  static String of(String css) {
    return NAMED.matcher(css).replaceAll(found -> Matcher.quoteReplacement(said(found)));
  }

  private static String said(java.util.regex.MatchResult found) {
    String first = found.group(1);
    String second = found.group(2);
    List<String> asked =
        found.group(5) == null ? List.of() : Arrays.asList(found.group(5).strip().split(" "));
    if (second == null) {
      return tone(first, asked);
    }
    for (Tone tone : Tone.ALL) {
      if (tone.id().equals(first)) {
        return tone.colour(colour(second)).css();
      }
    }
    Part part = Anatomy.part(new PartId(first + "." + second));
    return "=".equals(found.group(4))
        ? value(part, asked.getFirst())
        : declarations(
            part, found.group(3) == null ? State.REST : StyleKey.state(found.group(3)), asked);
  }

  private static String tone(String id, List<String> asked) {
    Tone tone = Tone.ALL.stream().filter(each -> each.id().equals(id)).findFirst().orElseThrow();
    return Arrays.stream(ToneColour.values())
        .filter(name -> asked.isEmpty() || asked.contains(PickKind.word(name)))
        .map(name -> name.variable() + ":" + tone.colour(name).css())
        .collect(Collectors.joining(";"));
  }

  private static ToneColour colour(String word) {
    return ((Ink.Named) Ink.parse(word)).name();
  }

  private static String value(Part part, String property) {
    Object value = part.setting(Property.named(property)).initial();
    return switch (value) {
      case Length length -> length.css();
      case Around around -> around.css();
      case Ink ink -> ink.css();
      default -> throw new IllegalArgumentException(part + " " + property);
    };
  }

  private static String declarations(Part part, State state, List<String> asked) {
    PartCss.Look look = initially(part, state);
    String all =
        PartCss.whole(part).stream()
            .filter(each -> each.within().isEmpty())
            .filter(each ->
                each.of().stream()
                    .anyMatch(of -> state == State.REST || part.initially(of, state) != null))
            .filter(each -> asked.isEmpty() || each.of().stream().anyMatch(of -> among(of, asked)))
            .map(each -> each.name() + ":" + each.value().apply(look))
            .collect(Collectors.joining(";"));
    return asked.contains("font") ? font(look) + (all.isEmpty() ? "" : ";" + all) : all;
  }

  private static boolean among(Property<?> property, List<String> asked) {
    return asked.contains(property.id())
        || (property.id().startsWith("padding-") && asked.contains("padding"))
        || (property.id().startsWith("border-") && asked.contains("border"));
  }

  /** Source: CSS Fonts 4, "Shorthand font property". */
  private static String font(PartCss.Look look) {
    return String.format(
        Locale.ROOT,
        "font:%d %s/%s %s",
        look.of(Property.WEIGHT),
        look.of(Property.TEXT_SIZE).css(),
        giostra.core.value.Require.number(look.of(Property.LEADING)),
        look.of(Property.FAMILY).css());
  }

  private static PartCss.Look initially(Part part, State state) {
    return new PartCss.Look() {
      @Override
      public <T> T of(Property<T> property) {
        T own = part.initially(property, state);
        return own == null ? Objects.requireNonNull(part.initially(property, State.REST)) : own;
      }

      @Override
      public double widest() {
        return Double.POSITIVE_INFINITY;
      }
    };
  }
}
