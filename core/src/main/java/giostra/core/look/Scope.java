package giostra.core.look;

import giostra.core.band.Bands;
import giostra.core.value.Typeface;
import java.util.Comparator;
import java.util.List;

/**
 * Who speaks of how something looks: the layers from the nearest out.
 *
 * @param voices the most specific first; each layer once
 * @param fonts ids of the files that the site's own families are made of, for each of {@link
 *     Typeface#OWN}; empty where it has none
 */
public record Scope(Bands bands, List<Voice> voices, List<List<String>> fonts) {
  /** What one layer says. */
  public record Voice(Layer layer, Styles styles) {}

  /** One on a site without fonts of its own. */
  public Scope(Bands bands, List<Voice> voices) {
    this(bands, voices, List.of());
  }

  public Scope {
    // A layer that says nothing is not asked.
    voices =
        voices.stream()
            .filter(voice -> !voice.styles().set().isEmpty())
            .sorted(Comparator.comparing(Voice::layer))
            .toList();
  }

  /** The files of one of the site's own families; none for one that ships. */
  public List<String> files(Typeface face) {
    int own = Typeface.OWN.indexOf(face);
    return own >= 0 && own < fonts.size() ? fonts.get(own) : List.of();
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
