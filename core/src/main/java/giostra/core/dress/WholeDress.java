package giostra.core.dress;

import giostra.core.anatomy.Tone;
import giostra.core.anatomy.TypeParts;
import giostra.core.band.Band;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.StyleKey;
import giostra.core.look.Values;
import giostra.core.page.Edit;
import giostra.core.page.Look;
import giostra.core.page.LookSettings;
import giostra.core.page.Site;
import giostra.core.value.PickKind;
import giostra.core.value.Refused;
import giostra.core.value.ToneColour;
import giostra.core.value.Typeface;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;

/**
 * All that a site wears at once: the colours of its tones, its families, and a look for each kind
 * of piece that has none of its own.
 *
 * @param says what it is like
 * @param tones colours of the paper, leaf and dusk tones, in the order of their names
 * @param manner what the ids of its looks begin with, as {@code look.pebble} does
 */
public record WholeDress(
    String id,
    String name,
    String says,
    Map<Tone, List<String>> tones,
    Typeface text,
    Typeface display,
    String manner) {
  /** Those that ship. All their colours are our own. */
  public static final List<WholeDress> ALL =
      List.of(
          new WholeDress(
              "harbour",
              "Harbour",
              "Cool and exact: fine lines, even letters",
              tones(
                  "#f4f7f9 #ffffff #10222e #4a5d69 #0b5a76 #c9d5dd #a8471a",
                  "#e2ecf0 #f5f9fa #10222e #435660 #0a5069 #b6c9d1 #a8471a",
                  "#0c1c27 #16303f #e9f1f5 #b3c5cf #6cc3df #2f4f61 #f2b27a"),
              Typeface.WORK_SANS,
              Typeface.SPACE_GROTESK,
              "look.trellis"),
          new WholeDress(
              "orchard",
              "Orchard",
              "Warm and round: soft shadows, berry red",
              tones(
                  "#fdf6f1 #ffffff #2c191e #6a4f56 #a92b46 #efd8d0 #2a6b47",
                  "#f6e6df #fdf5f1 #2c191e #614850 #982340 #e3c6bc #24603f",
                  "#2a1219 #40202a #fbe9e4 #dcbfc0 #f59bab #5f3a44 #93d6ad"),
              Typeface.NUNITO,
              Typeface.NUNITO,
              "look.pebble"),
          new WholeDress(
              "press",
              "Press",
              "Black on white: ruled, for reading",
              tones(
                  "#ffffff #f6f6f3 #121212 #535350 #9c1c12 #d8d8d2 #1a4c99",
                  "#f1efe8 #fbfaf6 #121212 #4d4c47 #8f1a10 #cfccc0 #1a4c99",
                  "#131313 #242423 #f6f5f0 #c2c1ba #ff9d8a #494945 #9cc1ff"),
              Typeface.LITERATA,
              Typeface.PLAYFAIR,
              "look.gazette"),
          new WholeDress(
              "market",
              "Night market",
              "Dark and full: rings of light, square letters",
              tones(
                  "#17142b #232040 #f4f0ff #c3bde0 #ffc857 #413b6b #7fe0d0",
                  "#221b3d #30284f #f4f0ff #c9c1e6 #ffd06b #4d4478 #7fe0d0",
                  "#fbf7ff #ffffff #1d1838 #585075 #6a3fb5 #d9d0ee #0d6e62"),
              Typeface.RUBIK,
              Typeface.BITTER,
              "look.lantern"));

  private static Map<Tone, List<String>> tones(String paper, String leaf, String dusk) {
    var all = new LinkedHashMap<Tone, List<String>>();
    all.put(Tone.PAPER, List.of(paper.split(" ")));
    all.put(Tone.LEAF, List.of(leaf.split(" ")));
    all.put(Tone.DUSK, List.of(dusk.split(" ")));
    return all;
  }

  /**
   * The dress of that name.
   *
   * @throws Refused naming those there are
   */
  public static WholeDress named(String id) {
    return ALL.stream()
        .filter(each -> each.id.equals(id))
        .findFirst()
        .orElseThrow(() ->
            new Refused(
                "dress",
                id,
                "one of " + String.join(", ", ALL.stream().map(WholeDress::id).toList())));
  }

  /**
   * What a new site may wear.
   *
   * @param id of a dress that ships; empty for what holds where nobody says anything
   * @param colours of its first tone, by their words
   */
  public record Choice(
      String id,
      String name,
      String says,
      Map<String, String> colours,
      Typeface text,
      Typeface display) {}

  /** All that a new site may wear, first what it has of itself. */
  public static List<Choice> choices() {
    var all = new ArrayList<Choice>();
    all.add(
        new Choice(
            "",
            "Lamplight",
            "Cream, fern and amber",
            words(name -> Tone.PAPER.colour(name).css()),
            Typeface.SOURCE_SANS,
            Typeface.FRAUNCES));
    for (WholeDress each : ALL) {
      List<String> paper = Objects.requireNonNull(each.tones.get(Tone.PAPER));
      Map<String, String> colours = words(name -> paper.get(name.ordinal()));
      all.add(new Choice(each.id, each.name, each.says, colours, each.text, each.display));
    }
    return all;
  }

  private static Map<String, String> words(Function<ToneColour, String> colour) {
    var all = new LinkedHashMap<String, String>();
    for (ToneColour name : ToneColour.values()) {
      all.put(PickKind.word(name), colour.apply(name));
    }
    return all;
  }

  /** The edits with which a site wears it: its own styles beside tones and families stay. */
  public List<Edit> wear(Site site) {
    var edits = new ArrayList<Edit>();
    tones.forEach((tone, colours) -> {
      for (int i = 0; i < ToneColour.values().length; i++) {
        StyleKey key = tone.part().key(Property.of(ToneColour.values()[i]), State.REST);
        say(site, key, colours.get(i), edits);
      }
    });
    say(site, TypeParts.FAMILIES.key(Property.TEXT_FACE, State.REST), PickKind.word(text), edits);
    say(
        site,
        TypeParts.FAMILIES.key(Property.DISPLAY_FACE, State.REST),
        PickKind.word(display),
        edits);
    looks(site, edits);
    return edits;
  }

  /** The same in all bands. */
  private static void say(Site site, StyleKey key, Object value, List<Edit> edits) {
    Band lead = site.bands().lead();
    for (Band band : site.bands().all()) {
      if (!band.equals(lead) && site.values().styles().own(key, band.id()) != null) {
        edits.add(new Edit.SetStyle(Site.ID, key, band.id(), null));
      }
    }
    edits.add(new Edit.SetStyle(Site.ID, key, lead.id(), value));
  }

  private void looks(Site site, List<Edit> edits) {
    int at = site.looks().size();
    for (ShippedLooks.Shipped each : ShippedLooks.all()) {
      if (each.id().startsWith(manner + "-")) {
        Look look = each.look(site.bands().lead().id());
        edits.addAll(Wardrobe.usual(site, look, true));
        if (site.look(each.id()).isEmpty()) {
          Values usual = look.values().with(LookSettings.USUAL, Values.ALL, true);
          edits.add(new Edit.AddNode(Site.ID, at++, look.with(usual)));
        }
      }
    }
  }
}
