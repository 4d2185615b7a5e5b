package giostra.core.snag;

import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.layout.Resolution;
import giostra.core.look.State;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Piece;
import giostra.core.page.PlayerParts;
import giostra.core.page.PlayerParts.Part;
import giostra.core.page.PlayerParts.Property;
import giostra.core.page.VideoSettings;
import giostra.core.value.Colour;
import giostra.core.value.Ground;
import giostra.core.value.Require;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Contrast of the signs and words of a player with what they stand on, in each state. A clip may
 * show anything, so what shines through is taken as black and as white, and the worse counts; where
 * a part has a picture for a ground nothing is computed. Sources: WCAG 2.2, 1.4.11 "Non-text
 * Contrast" (3 for signs) and 1.4.3 "Contrast (Minimum)" (4.5 for the time).
 */
public record PlayerContrast(Part part, State state, Band band, double found, double asked) {
  private static final List<Colour> ANYTHING =
      List.of(new Colour(0, 0, 0, 255), new Colour(255, 255, 255, 255));
  private static final List<Colour> INKS =
      List.of(Colour.parse("#fffdf6"), Colour.parse("#11201d"));

  /** Of every part in every state and band, as far as it can be computed. */
  public static List<PlayerContrast> of(Document document, Piece.Video player) {
    var all = new ArrayList<PlayerContrast>();
    List<String> controls = player.values().get(VideoSettings.CONTROLS);
    for (Part part : Part.values()) {
      boolean there =
          switch (part) {
            case START_BUTTON -> player.values().get(VideoSettings.START_BUTTON);
            // Nothing is written on the bar itself, and a track is told from its thumb.
            case BAR, TRACK -> false;
            case BAR_BUTTON ->
                !List.of(VideoSettings.SCRUB, VideoSettings.TIME).containsAll(controls);
            case TIME -> controls.contains(VideoSettings.TIME);
          };
      if (there) {
        for (State state : part.states()) {
          for (Band band : document.bands().all()) {
            of(document, player, part, state, band).ifPresent(all::add);
          }
        }
      }
    }
    return all;
  }

  private static Optional<PlayerContrast> of(
      Document document, Piece.Video player, Part part, State state, Band band) {
    List<Colour> below = below(document, player, part, state, band);
    if (below.isEmpty()) {
      return Optional.empty();
    }
    Colour ink = value(document, player, part, state, Property.COLOUR, band);
    double worst = worst(ink, below);
    return Optional.of(new PlayerContrast(part, state, band, worst, part == Part.TIME ? 4.5 : 3));
  }

  private static double worst(Colour ink, List<Colour> below) {
    return below.stream()
        .mapToDouble(each -> Colour.contrast(ink.over(each), each))
        .min()
        .orElseThrow();
  }

  /** What the part may stand on, all solid; nothing where there is a picture. */
  private static List<Colour> below(
      Document document, Piece.Video player, Part part, State state, Band band) {
    List<Colour> under = ANYTHING;
    if (part != Part.START_BUTTON) {
      under = on(document, player, Part.BAR, State.REST, band, under);
    }
    return on(document, player, part, state, band, under);
  }

  private static List<Colour> on(
      Document document,
      Piece.Video player,
      Part part,
      State state,
      Band band,
      List<Colour> under) {
    String picture = value(document, player, part, state, Property.PICTURE, band);
    if (!picture.isEmpty()) {
      return List.of();
    }
    Ground ground = value(document, player, part, state, Property.GROUND, band);
    List<Colour> colours =
        switch (ground) {
          case Ground.Plain(Colour colour) -> List.of(colour);
          // Buttons stand at the end of the bar, where a bar that fades has its last colour.
          case Ground.Gradient gradient ->
              part == Part.BAR
                  ? List.of(gradient.stops().getLast().colour())
                  : gradient.stops().stream().map(Ground.Stop::colour).toList();
        };
    return colours.stream().flatMap(c -> under.stream().map(c::over)).toList();
  }

  private static <T> T value(
      Document document, Piece.Video player, Part part, State state, Property property, Band band) {
    Setting<T> setting = PlayerParts.<T>of(part, state, property).setting();
    return Resolution.value(document, player, setting, band);
  }

  /**
   * What is found of a player: one finding for each part and state, over all bands where it is the
   * same.
   */
  static List<Snag> snags(Document document, Piece.Video player) {
    var found = new ArrayList<Snag>();
    List<PlayerContrast> all = of(document, player);
    for (int i = all.size() - 1; i >= 0; i--) {
      PlayerContrast widest = all.get(i);
      PlayerContrast narrowest = widest;
      // Bands stand narrowest first; as long as it is the same, it is one finding.
      while (i > 0 && all.get(i - 1).isSameAs(widest)) {
        narrowest = all.get(--i);
      }
      if (widest.found() < widest.asked()) {
        found.add(widest.snag(document, player, narrowest.band()));
      }
    }
    return found.reversed();
  }

  private boolean isSameAs(PlayerContrast other) {
    return part == other.part && state == other.state && found == other.found;
  }

  private Snag snag(Document document, Piece.Video player, Band narrowest) {
    Setting<Colour> ink = PlayerParts.<Colour>of(part, state, Property.COLOUR).setting();
    List<Colour> below = below(document, player, part, state, band);
    List<Snag.Fix> fixes =
        INKS.stream()
            .filter(colour -> worst(colour, below) >= asked)
            .map(colour ->
                new Snag.Fix(
                    "Set its colour to " + colour.css(),
                    List.<Edit>of(
                        new Edit.SetValue(player.id(), ink.id(), band.id(), colour.css()))))
            .toList();
    return new Snag(
        Snag.Rule.CONTRAST,
        player.id(),
        "",
        (int) Math.max(Bands.NARROWEST, narrowest.from()),
        band.widest() ? Bands.WIDEST : (int) Math.ceil(band.below()) - 1,
        band.id(),
        String.format(
            Locale.ROOT,
            "%s%s has a contrast of %s at worst; it needs %s (WCAG 2.2, %s)",
            part.label().toLowerCase(Locale.ROOT),
            state == State.REST ? "" : " (" + state.name().toLowerCase(Locale.ROOT) + ")",
            Require.number(Math.floor(found * 100) / 100),
            Require.number(asked),
            part == Part.TIME ? "1.4.3" : "1.4.11"),
        fixes);
  }
}
