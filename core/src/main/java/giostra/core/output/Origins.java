package giostra.core.output;

import java.net.URI;
import java.util.Set;
import java.util.TreeSet;

/**
 * Other places that a page needs, for its Content-Security-Policy: nothing else is let in.
 *
 * @param frames origins of players that are put in when somebody starts a clip
 * @param media origins of clips that stand elsewhere
 */
public record Origins(Set<String> frames, Set<String> media) {
  /** For files that need nothing from elsewhere. */
  public static final Origins NONE = new Origins(Set.of(), Set.of());

  /** None yet. */
  Origins() {
    this(new TreeSet<>(), new TreeSet<>());
  }

  void frame(String origin) {
    frames.add(origin);
  }

  /** Notes where the file at an address stands; a relative one stands with the page. */
  void media(String address) {
    URI uri = URI.create(address);
    if (uri.getHost() != null) {
      media.add(uri.getScheme() + "://" + uri.getAuthority());
    }
  }
}
