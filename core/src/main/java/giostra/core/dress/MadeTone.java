package giostra.core.dress;

import static java.util.stream.Collectors.joining;

import giostra.core.anatomy.Tone;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.Site;
import giostra.core.page.SiteSettings;
import giostra.core.value.Colour;
import giostra.core.value.Oklch;
import giostra.core.value.PickKind;
import giostra.core.value.Refused;
import giostra.core.value.Setting;
import giostra.core.value.ToneColour;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;

/**
 * A tone made of one colour: grounds with a breath of its hue, inks that can be read on them, the
 * colour itself as accent, lighter or darker by as little as will do. Words have a contrast of at
 * least 4.5 on both grounds, and so has the ring, by construction (WCAG 2.2, 1.4.3 and 1.4.11).
 * Lightness and colourfulness are those of OKLCH (CSS Color 4); how much of them is ours.
 */
public final class MadeTone {
  /** What words should have, and what those should that are read at length. */
  private static final double ASKED = 4.5;

  private static final double AT_LENGTH = 9;

  private static final double RING_ASKED = 3;

  /** Of a light tone and a dark one: lightness, and the most colourfulness. */
  private enum Kind {
    LIGHT(0.965, 0.985, 0.27, 0.46, 0.86, 0.02),
    DARK(0.23, 0.29, 0.95, 0.8, 0.42, 0.04);

    private final double ground;
    private final double raised;
    private final double ink;
    private final double quiet;
    private final double line;
    private final double colourful;

    Kind(double ground, double raised, double ink, double quiet, double line, double colourful) {
      this.ground = ground;
      this.raised = raised;
      this.ink = ink;
      this.quiet = quiet;
      this.line = line;
      this.colourful = colourful;
    }
  }

  private final Kind kind;
  private final Oklch seed;
  private final List<Colour> grounds;

  private MadeTone(Colour seed, boolean dark) {
    this.kind = dark ? Kind.DARK : Kind.LIGHT;
    this.seed = Oklch.of(seed);
    this.grounds = List.of(grey(kind.ground, 1), grey(kind.raised, 0.7));
  }

  /**
   * The colours of a tone.
   *
   * @param seed what it is made of, whatever its alpha
   * @param dark whether words are light on a dark ground
   */
  public static Map<ToneColour, Colour> of(Colour seed, boolean dark) {
    return new MadeTone(seed, dark).all();
  }

  /**
   * Edits with which a site has the tone, under a name.
   *
   * @throws Refused when the site has as many of its own as it can have, or one of that name
   */
  public static List<Edit> edits(Site site, String name, Colour seed, boolean dark) {
    String called = SiteSettings.TONES.getFirst().read(name).strip();
    if (called.isEmpty()) {
      throw new Refused("Name of the tone", name, "some characters");
    }
    if (Tone.ALL.stream()
        .flatMap(each -> site.called(each).stream())
        .anyMatch(each -> each.label().equalsIgnoreCase(called))) {
      throw new Refused("Name of the tone", called, "one that no other tone has");
    }
    Tone free =
        Tone.OWN.stream()
            .filter(each -> site.called(each).isEmpty())
            .findFirst()
            .orElseThrow(() ->
                new Refused(
                    "Tones of the site",
                    Tone.OWN.size() + " of its own",
                    "at most " + Tone.OWN.size() + "; take one away first"));
    var edits = new ArrayList<Edit>();
    Setting<String> named = SiteSettings.TONES.get(Tone.OWN.indexOf(free));
    edits.add(new Edit.SetValue(Site.ID, named.id(), Values.ALL, called));
    of(seed, dark)
        .forEach((colour, as) ->
            edits.add(
                new Edit.SetStyle(
                    Site.ID,
                    free.part().key(Property.of(colour), State.REST),
                    site.bands().lead().id(),
                    as.css())));
    return edits;
  }

  /**
   * How well its words can be read.
   *
   * @param asked the least that it should be. Source: WCAG 2.2, 1.4.3 and, for the ring, 1.4.11
   */
  public record Contrast(ToneColour words, ToneColour on, double found, double asked) {}

  /** The contrasts of the words and the ring of a tone with its grounds. */
  public static List<Contrast> contrasts(Map<ToneColour, Colour> made) {
    return Stream.of(ToneColour.INK, ToneColour.QUIET, ToneColour.ACCENT, ToneColour.RING)
        .flatMap(words ->
            Stream.of(ToneColour.GROUND, ToneColour.RAISED)
                .map(on ->
                    new Contrast(
                        words,
                        on,
                        Colour.contrast(
                            Objects.requireNonNull(made.get(words)),
                            Objects.requireNonNull(made.get(on))),
                        words == ToneColour.RING ? RING_ASKED : ASKED)))
        .toList();
  }

  /**
   * Edits that take one of a site's own tones away. Sections of the page that wear it wear the
   * first again; those of other pages look as if they did.
   *
   * @throws Refused for a tone that is none of the site's own
   */
  public static List<Edit> away(Document document, String id) {
    Tone tone =
        Tone.OWN.stream()
            .filter(each -> each.id().equals(id))
            .findFirst()
            .orElseThrow(() ->
                new Refused(
                    "tone",
                    id,
                    "one of " + Tone.OWN.stream().map(Tone::id).collect(joining(", "))));
    var edits = new ArrayList<Edit>();
    Setting<String> named = SiteSettings.TONES.get(Tone.OWN.indexOf(tone));
    edits.add(new Edit.SetValue(Site.ID, named.id(), Values.ALL, null));
    document
        .site()
        .values()
        .styles()
        .set()
        .forEach((key, byBand) -> {
          if (key.part().equals(tone.part().id())) {
            byBand.keySet().forEach(band -> edits.add(new Edit.SetStyle(Site.ID, key, band, null)));
          }
        });
    document
        .nodes()
        .filter(Section.class::isInstance)
        .filter(each -> PickKind.word(each.values().get(SectionSettings.TONE)).equals(id))
        .forEach(each ->
            edits.add(new Edit.SetValue(each.id(), SectionSettings.TONE.id(), Values.ALL, null)));
    return edits;
  }

  private Map<ToneColour, Colour> all() {
    var all = new EnumMap<ToneColour, Colour>(ToneColour.class);
    all.put(ToneColour.GROUND, grounds.getFirst());
    all.put(ToneColour.RAISED, grounds.getLast());
    all.put(ToneColour.INK, readable(new Oklch(kind.ink, breath(1.4), seed.hue()), AT_LENGTH));
    all.put(ToneColour.QUIET, readable(new Oklch(kind.quiet, breath(1.4), seed.hue()), ASKED));
    all.put(ToneColour.ACCENT, readable(seed, ASKED));
    all.put(ToneColour.LINE, grey(kind.line, 1.2));
    // Another hue than the accent's, so that what has the focus is not taken for what is chosen.
    all.put(ToneColour.RING, readable(new Oklch(seed.lightness(), 0.13, turned(60)), ASKED));
    return Collections.unmodifiableMap(all);
  }

  private double turned(double degrees) {
    return (seed.hue() + degrees) % 360;
  }

  /** A little of the colourfulness, as much as a ground may have, so many times. */
  private double breath(double times) {
    return Math.min(seed.chroma() / 3, kind.colourful) * times;
  }

  private Colour grey(double lightness, double times) {
    return new Oklch(lightness, breath(times), seed.hue()).colour(255);
  }

  /** The nearest in lightness, away from the grounds, that has that contrast on both. */
  private Colour readable(Oklch from, double asked) {
    int way = kind == Kind.DARK ? 1 : -1;
    Colour tried = from.colour(255);
    for (int step = 0; worst(tried) < asked && step < 1000; step++) {
      tried = from.at(from.lightness() + way * step / 1000.0).colour(255);
    }
    return tried;
  }

  private double worst(Colour words) {
    return grounds.stream().mapToDouble(under -> Colour.contrast(words, under)).min().orElseThrow();
  }
}
