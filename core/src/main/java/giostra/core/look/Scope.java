package giostra.core.look;

import giostra.core.band.Bands;
import java.util.Comparator;
import java.util.List;

/**
 * Who speaks of how something looks: the layers from the nearest out.
 *
 * @param voices the most specific first; each layer once
 */
public record Scope(Bands bands, List<Voice> voices) {
  /** What one layer says. */
  public record Voice(Layer layer, Styles styles) {}

  public Scope {
    // A layer that says nothing is not asked.
    voices =
        voices.stream()
            .filter(voice -> !voice.styles().set().isEmpty())
            .sorted(Comparator.comparing(Voice::layer))
            .toList();
  }

  /** Whether any layer speaks of it, in some band. */
  public boolean speaksOf(StyleKey key) {
    return voices.stream().anyMatch(voice -> voice.styles().speaksOf(key));
  }

  /** Whether nobody says anything at all. */
  public boolean silent() {
    return voices.isEmpty();
  }
}
