package giostra.core.output;

import giostra.core.media.IconSprite;
import giostra.core.page.Look;
import giostra.core.page.Node;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * What goes with some markup: its rules, and what it asks for.
 *
 * @param css rules by band
 * @param hover rules by band for what a pointer that can hover is over
 * @param within rules that depend on the width of a piece
 * @param kinds of its pieces
 * @param parts that have rules of their own
 * @param mostItems on one of its tracks
 * @param icons that it shows, by name
 * @param pictures paths of the media files that it asks for
 * @param fetched where pictures are drawn
 * @param missing ids of media that it asks for and that are not there
 * @param fonts that its words need
 * @param worn ids of the looks that its pieces wear
 */
record Gathered(
    Map<String, List<String>> css,
    Map<String, List<String>> hover,
    List<String> within,
    Set<String> kinds,
    Set<String> parts,
    int mostItems,
    Map<String, IconSprite.Symbol> icons,
    Set<String> pictures,
    List<Fetched> fetched,
    Set<String> missing,
    Origins origins,
    FontUse fonts,
    Set<String> worn) {

  /** What was gathered while some nodes were written. */
  static Gathered of(Writing writing, List<Node> nodes, String markup) {
    return new Gathered(
        writing.css.byBand(),
        writing.hoverCss.byBand(),
        List.copyOf(writing.within),
        writing.kinds,
        writing.parts,
        writing.mostItems,
        writing.icons.used(),
        writing.pictures.files,
        writing.pictures.fetched,
        writing.pictures.missing,
        writing.origins,
        FontUse.of(writing.document, nodes, markup),
        FontUse.worn(writing.document, nodes).map(Look::id).collect(Collectors.toSet()));
  }

  /** All of some together, in their order. */
  static Gathered together(List<Gathered> some) {
    var all =
        new Gathered(
            new LinkedHashMap<>(),
            new LinkedHashMap<>(),
            new ArrayList<>(),
            new TreeSet<>(),
            new TreeSet<>(),
            some.stream().mapToInt(Gathered::mostItems).max().orElse(0),
            new TreeMap<>(),
            new LinkedHashSet<>(),
            new ArrayList<>(),
            new LinkedHashSet<>(),
            new Origins(),
            FontUse.together(some.stream().map(Gathered::fonts).toList()),
            new HashSet<>());
    some.forEach(all::add);
    return all;
  }

  private void add(Gathered one) {
    add(css, one.css);
    add(hover, one.hover);
    within.addAll(one.within);
    kinds.addAll(one.kinds);
    parts.addAll(one.parts);
    icons.putAll(one.icons);
    pictures.addAll(one.pictures);
    fetched.addAll(one.fetched);
    missing.addAll(one.missing);
    origins.addAll(one.origins);
    worn.addAll(one.worn);
  }

  private static void add(Map<String, List<String>> all, Map<String, List<String>> one) {
    one.forEach((band, rules) -> all.computeIfAbsent(band, _ -> new ArrayList<>()).addAll(rules));
  }

  /** Its rules one after the other, each said to be of its band. */
  String rules() {
    var all = new StringBuilder();
    for (Map<String, List<String>> each : List.of(css, hover)) {
      new TreeMap<>(each)
          .forEach((band, rules) -> {
            all.append(band).append('{');
            rules.forEach(all::append);
            all.append('}');
          });
    }
    within.forEach(all::append);
    return all.toString();
  }
}
