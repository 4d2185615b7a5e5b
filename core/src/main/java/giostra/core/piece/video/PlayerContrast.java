package giostra.core.piece.video;

import static giostra.core.piece.video.VideoParts.BAR;
import static giostra.core.piece.video.VideoParts.BAR_BUTTON;
import static giostra.core.piece.video.VideoParts.START_BUTTON;
import static giostra.core.piece.video.VideoParts.TIME;

import giostra.core.anatomy.Tone;
import giostra.core.band.Band;
import giostra.core.layout.Resolution;
import giostra.core.look.Cascade;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.look.State;
import giostra.core.page.Document;
import giostra.core.snag.Contrasted;
import giostra.core.snag.Snag;
import giostra.core.value.Colour;
import giostra.core.value.Ground;
import giostra.core.value.Ink;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Contrast of the signs and words of a player with what they stand on, in each state. A clip may
 * show anything, so what shines through is taken as black and as white, and the worse counts; where
 * a part has a picture for a ground nothing is computed. Sources: WCAG 2.2, 1.4.11 "Non-text
 * Contrast" (3 for signs) and 1.4.3 "Contrast (Minimum)" (4.5 for the time).
 */
public record PlayerContrast(Part part, State state, Band band, double found, double asked)
    implements Contrasted {
  private static final List<Colour> ANYTHING =
      List.of(new Colour(0, 0, 0, 255), new Colour(255, 255, 255, 255));
  private static final List<Colour> INKS =
      List.of(Colour.parse("#fffdf6"), Colour.parse("#11201d"));

  /** Of every part in every state and band, as far as it can be computed. */
  public static List<PlayerContrast> of(Document document, Video player) {
    var all = new ArrayList<PlayerContrast>();
    List<String> controls = player.values().get(VideoSettings.CONTROLS);
    var there = new ArrayList<Part>();
    if (player.values().get(VideoSettings.START_BUTTON)) {
      there.add(START_BUTTON);
    }
    // Nothing is written on the bar itself, and a track is told from its thumb.
    if (!List.of(VideoSettings.SCRUB, VideoSettings.TIME).containsAll(controls)) {
      there.add(BAR_BUTTON);
    }
    if (controls.contains(VideoSettings.TIME)) {
      there.add(TIME);
    }
    Seen seen = Seen.of(document, player);
    for (Part part : there) {
      for (State state : part.states()) {
        for (Band band : document.bands().all()) {
          of(seen, part, state, band).ifPresent(all::add);
        }
      }
    }
    return all;
  }

  /** Where a player is seen: who speaks of it, and the colours of its tone. */
  private record Seen(Document document, Video player, Scope scope) {
    static Seen of(Document document, Video player) {
      return new Seen(document, player, Resolution.scope(document, player));
    }

    Tone tone(Band band) {
      return Resolution.tone(document, player, band);
    }

    <T> T value(Part part, State state, Property<T> property, Band band) {
      return Cascade.value(part, property, state, scope, band);
    }
  }

  private static Optional<PlayerContrast> of(Seen seen, Part part, State state, Band band) {
    List<Colour> below = below(seen, part, state, band);
    if (below.isEmpty()) {
      return Optional.empty();
    }
    Colour ink = seen.tone(band).colour(seen.value(part, state, Property.INK, band));
    double worst = worst(ink, below);
    return Optional.of(new PlayerContrast(part, state, band, worst, part == TIME ? 4.5 : 3));
  }

  private static double worst(Colour ink, List<Colour> below) {
    return below.stream()
        .mapToDouble(each -> Colour.contrast(ink.over(each), each))
        .min()
        .orElseThrow();
  }

  /** What the part may stand on, all solid; nothing where there is a picture. */
  private static List<Colour> below(Seen seen, Part part, State state, Band band) {
    List<Colour> under = ANYTHING;
    if (part != START_BUTTON) {
      under = on(seen, BAR, State.REST, band, under);
    }
    return on(seen, part, state, band, under);
  }

  private static List<Colour> on(Seen seen, Part part, State state, Band band, List<Colour> under) {
    if (!seen.value(part, state, Property.PICTURE, band).isEmpty()) {
      return List.of();
    }
    Ground ground = seen.value(part, state, Property.GROUND, band);
    List<Ink> inks =
        switch (ground) {
          case Ground.Plain(Ink ink) -> List.of(ink);
          // Buttons stand at the end of the bar, where a bar that fades has its last colour.
          case Ground.Gradient gradient ->
              part == BAR
                  ? List.of(gradient.stops().getLast().ink())
                  : gradient.stops().stream().map(Ground.Stop::ink).toList();
        };
    return inks.stream()
        .map(seen.tone(band)::colour)
        .flatMap(c -> under.stream().map(c::over))
        .toList();
  }

  /**
   * What is found of a player: one finding for each part and state, over all bands where it is the
   * same.
   */
  static List<Snag> snags(Document document, Video player) {
    return Contrasted.low(of(document, player)).stream()
        .map(range -> range.snag(player.id(), "", fixes(range, document, player)))
        .toList();
  }

  private static List<Snag.Fix> fixes(
      Range<PlayerContrast> range, Document document, Video player) {
    PlayerContrast low = range.widest();
    List<Colour> below = below(Seen.of(document, player), low.part, low.state, low.band);
    return INKS.stream()
        .filter(colour -> worst(colour, below) >= low.asked)
        .map(colour -> range.fix(document, player, colour))
        .toList();
  }
}
