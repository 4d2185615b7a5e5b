package giostra.core.output;

import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Other places that a page needs, for its Content-Security-Policy: nothing else is let in.
 *
 * @param frames origins of players that are put in when somebody starts a clip
 * @param media origins of clips that stand elsewhere
 * @param images origins of pictures that stand elsewhere
 */
public record Origins(Set<String> frames, Set<String> media, Set<String> images) {
  /** Scheme, host and port; nothing in it can end an entry of the policy. */
  private static final Pattern ORIGIN =
      Pattern.compile("https?://[a-z0-9.-]+(:\\d+)?(?=[/?#]|$)", Pattern.CASE_INSENSITIVE);

  /** For files that need nothing from elsewhere. */
  public static final Origins NONE = new Origins(Set.of(), Set.of(), Set.of());

  /** None yet. */
  Origins() {
    this(new TreeSet<>(), new TreeSet<>(), new TreeSet<>());
  }

  void addAll(Origins others) {
    frames.addAll(others.frames);
    media.addAll(others.media);
    images.addAll(others.images);
  }

  public void frame(String origin) {
    frames.add(origin);
  }

  /** Notes where the clip at an address stands. */
  public void media(String address) {
    note(address, media);
  }

  /** Notes where the picture at an address stands. */
  void image(String address) {
    note(address, images);
  }

  /** What stands with the page has a relative address, and no origin of its own. */
  private static void note(String address, Set<String> origins) {
    Matcher origin = ORIGIN.matcher(address);
    if (origin.lookingAt()) {
      origins.add(origin.group().toLowerCase(Locale.ROOT));
    }
  }
}
