package giostra.core.anatomy;

import giostra.core.band.Band;
import giostra.core.look.Cascade;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.look.State;
import giostra.core.value.Colour;
import giostra.core.value.HueKind;
import giostra.core.value.Ink;
import giostra.core.value.Require;
import giostra.core.value.ToneColour;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A named set of colours that what stands in it takes its own from.
 *
 * @param id its name on pages and in documents
 * @param label what people read
 * @param colours one for each name
 */
public record Tone(String id, String label, Map<ToneColour, Colour> colours) {
  public static final Tone PAPER =
      of(
          "paper", "Paper", "#fbf7ec", "#fffdf6", "#1c2b27", "#56635c", "#8a5a14", "#ddd2b8",
          "#9a4a12");
  public static final Tone LEAF =
      of(
          "leaf", "Leaf", "#e6ede2", "#f7faf3", "#1c2b27", "#4b5a51", "#2f6652", "#c3d0bd",
          "#9a4a12");
  public static final Tone DUSK =
      of(
          "dusk", "Dusk", "#11201d", "#1b302b", "#f2ead8", "#b9c2b4", "#e0ac4c", "#35504a",
          "#f0c261");

  /** Over a picture that is darkened. */
  public static final Tone PICTURE =
      of(
          "picture",
          "Over a picture",
          "#11201d",
          "#1b302b",
          "#fff8e8",
          "#efe6d0",
          "#f0c261",
          "#35504a",
          "#f0c261");

  /** Those that a site makes for itself; each is there once it has a name. */
  public static final List<Tone> OWN =
      IntStream.rangeClosed(1, 6)
          .mapToObj(at -> new Tone("own-" + at, "Own tone " + at, PAPER.colours))
          .toList();

  /** All that there can be. */
  public static final List<Tone> ALL =
      Stream.concat(Stream.of(PAPER, LEAF, DUSK, PICTURE), OWN.stream()).toList();

  private static final Map<String, Part> PARTS =
      ALL.stream().collect(Collectors.toUnmodifiableMap(Tone::id, tone -> part(tone)));

  public Tone {
    Require.within(
        ToneColour.values().length,
        ToneColour.values().length,
        "colours of a tone",
        colours.size());
    colours = Collections.unmodifiableMap(new EnumMap<>(colours));
  }

  private static Tone of(String id, String label, String... colours) {
    var all = new EnumMap<ToneColour, Colour>(ToneColour.class);
    var names =
        List.of(
            ToneColour.GROUND,
            ToneColour.RAISED,
            ToneColour.INK,
            ToneColour.QUIET,
            ToneColour.ACCENT,
            ToneColour.LINE,
            ToneColour.RING);
    for (int i = 0; i < names.size(); i++) {
      all.put(names.get(i), Colour.parse(colours[i]));
    }
    return new Tone(id, label, all);
  }

  /** What can be said of it. */
  public Part part() {
    return Objects.requireNonNull(PARTS.get(id));
  }

  /** All that can be said of them. */
  static List<Part> parts() {
    return ALL.stream().map(each -> each.part()).toList();
  }

  /** The tone that a part is. */
  public static Optional<Tone> of(Part part) {
    return ALL.stream().filter(each -> each.part().equals(part)).findFirst();
  }

  /** Whether a part is a tone. */
  public static boolean is(Part part) {
    return PARTS.containsValue(part);
  }

  private static Part part(Tone tone) {
    Part part = Part.of("tone." + tone.id(), tone.label());
    for (ToneColour name : ToneColour.values()) {
      part = part.with(Property.of(name), name.label(), new HueKind(), tone.colour(name));
    }
    return part;
  }

  /** It as it is in a band where somebody has said something of it. */
  public Tone in(Scope scope, Band band) {
    if (scope.silent()) {
      return this;
    }
    var all = new EnumMap<ToneColour, Colour>(ToneColour.class);
    for (ToneColour name : ToneColour.values()) {
      all.put(name, Cascade.value(part(), Property.of(name), State.REST, scope, band));
    }
    return new Tone(id, label, all);
  }

  /** One of its colours. */
  public Colour colour(ToneColour name) {
    return Objects.requireNonNull(colours.get(name));
  }

  /** The colour that an ink is in it. */
  public Colour colour(Ink ink) {
    return switch (ink) {
      case Ink.Named named -> named.of(colour(named.name()));
      case Ink.Own(var colour) -> colour;
      // Words have the tone's own, unless somebody says what else.
      case Ink.Around() -> colour(ToneColour.INK);
    };
  }
}
