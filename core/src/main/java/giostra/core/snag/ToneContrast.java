package giostra.core.snag;

import giostra.core.anatomy.Tone;
import giostra.core.band.Band;
import giostra.core.layout.Resolution;
import giostra.core.look.Part;
import giostra.core.look.Scope;
import giostra.core.page.Document;
import giostra.core.page.Node;
import giostra.core.value.Colour;
import giostra.core.value.ToneColour;
import java.util.ArrayList;
import java.util.List;

/**
 * The least contrast of words with what they stand on in a tone. Source: WCAG 2.2, 1.4.3 "Contrast
 * (Minimum)", 4.5 for text of any size.
 *
 * @param part of the tone
 */
public record ToneContrast(Part part, Band band, double found) {
  /** What it should be. */
  public static final double ASKED = 4.5;

  private static final List<ToneColour> WORDS =
      List.of(ToneColour.INK, ToneColour.QUIET, ToneColour.ACCENT);

  private static final List<ToneColour> GROUNDS = List.of(ToneColour.GROUND, ToneColour.RAISED);

  /** Of all tones in all bands, as a node has them. */
  public static List<ToneContrast> of(Document document, Node node) {
    Scope scope = Resolution.scope(document, node);
    var all = new ArrayList<ToneContrast>();
    List<Tone> made =
        Tone.ALL.stream().filter(each -> document.site().called(each).isPresent()).toList();
    for (Tone tone : made) {
      for (Band band : document.bands().all()) {
        all.add(new ToneContrast(tone.part(), band, worst(tone.in(scope, band))));
      }
    }
    return all;
  }

  private static double worst(Tone tone) {
    Colour white = new Colour(255, 255, 255, 255);
    return WORDS.stream()
        .flatMapToDouble(ink ->
            GROUNDS.stream()
                .mapToDouble(name -> {
                  Colour below = tone.colour(name).over(white);
                  return Colour.contrast(tone.colour(ink).over(below), below);
                }))
        .min()
        .orElseThrow();
  }
}
