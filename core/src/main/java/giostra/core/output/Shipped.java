package giostra.core.output;

import giostra.core.fit.FontFile;
import giostra.core.media.ClipHost;
import giostra.core.media.IconSprite;
import giostra.core.room.Rooms;
import giostra.core.value.Focus;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a page needs besides its document; handed in, so that the compiler does no I/O.
 *
 * @param scripts paths of the page scripts, relative to the page, by the name of what each brings
 *     to life: {@code page} for what all kinds share, then one for each kind
 * @param fonts the fonts that ship with the page
 * @param media finds a picture by id
 * @param icons finds an icon by name
 * @param hosts of clips that pages may use
 * @param blank path of the icon of pages that have none; empty for none
 * @param at when the page is published: what is out of season then is hidden until a script says
 *     otherwise, and without one for good; empty hides nothing
 */
public record Shipped(
    Map<String, String> scripts,
    List<Font> fonts,
    Media media,
    IconSet icons,
    List<ClipHost> hosts,
    String blank,
    Optional<Instant> at) {
  /** For a page that is not published. */
  public Shipped(
      Map<String, String> scripts,
      List<Font> fonts,
      Media media,
      IconSet icons,
      List<ClipHost> hosts,
      String blank) {
    this(scripts, fonts, media, icons, hosts, blank, Optional.empty());
  }

  /** The same for a page that is published at a moment. */
  public Shipped at(Instant moment) {
    return new Shipped(scripts, fonts, media, icons, hosts, blank, Optional.of(moment));
  }

  /**
   * The same files where pages find them under another address.
   *
   * @param base what their paths begin with there
   * @param otherScripts what is run there, by name
   * @param there whether a picture, clip or caption file is there, by its path
   */
  Shipped under(String base, Map<String, String> otherScripts, Predicate<String> there) {
    return new Shipped(
        otherScripts,
        fonts.stream()
            .map(font ->
                new Font(
                    font.family(),
                    base + font.path(),
                    font.weights(),
                    font.unicodeRange(),
                    font.slanted(),
                    font.late()))
            .toList(),
        new MediaUnder(base, media, there),
        icons,
        hosts,
        blank,
        at);
  }

  /** The name of the script that all kinds share. */
  public static final String PAGE = "page";

  /** What lends itself to the scripts of kinds, which come after it. */
  private static final List<String> LENT = List.of("autoplay", "changes");

  /** The names of all page scripts. */
  public static final List<String> SCRIPTS =
      Stream.of(
              Stream.of(PAGE, "autoplay", "changes", "entrances"),
              Rooms.words().stream().map(Shipped::scriptOf),
              Stream.of("grounds"))
          .flatMap(Function.identity())
          .distinct()
          .toList();

  /**
   * A font file.
   *
   * @param unicodeRange characters that it is asked for; empty for all
   * @param slanted whether slanted letters are drawn with it
   * @param late whether letters that were drawn by another font meanwhile are drawn anew when it
   *     comes: where those are as wide, nothing moves
   */
  public record Font(
      String family,
      String path,
      String weights,
      String unicodeRange,
      boolean slanted,
      boolean late) {
    /** An upright one that comes in time or not at all. */
    public Font(String family, String path, String weights, String unicodeRange) {
      this(family, path, weights, unicodeRange, false, false);
    }

    /** The media type of its file. Source: RFC 8081. */
    String type() {
      return "font/" + path.substring(path.lastIndexOf('.') + 1);
    }
  }

  /**
   * A picture as it is.
   *
   * @param path relative to the page
   * @param width in px, before any cropping
   * @param height in px
   * @param alt its own text alternative, used where the document gives none
   * @param focus the point of it that stays in view where it is cut
   * @param smaller the same picture in fewer px, narrowest first
   */
  public record Picture(
      String id,
      String path,
      String type,
      int width,
      int height,
      String alt,
      Focus focus,
      List<Rendition> smaller) {
    public Picture {
      smaller = List.copyOf(smaller);
    }

    /** A picture that stands elsewhere: its address is its path, its pixels are unknown. */
    public static Picture remote(String id, String address, String alt, Focus focus) {
      return new Picture(id, address, "", 0, 0, alt, focus, List.of());
    }

    /** Whether it stands elsewhere. */
    public boolean isRemote() {
      return width == 0;
    }
  }

  /** A picture in so many px across. */
  public record Rendition(int width, String path) {}

  /**
   * A clip as it is.
   *
   * @param path relative to the page
   * @param type with its codecs
   * @param width in px; 0 for sound alone
   * @param height in px
   * @param durationMs 0 where it is not known
   */
  public record Clip(String id, String path, String type, int width, int height, long durationMs) {}

  /** A font of the site, by its path relative to the page, with what it says of itself. */
  public record OwnFont(String id, String path, FontFile said) {}

  /** A caption file, by its path relative to the page, with what is in it. */
  public record CaptionFile(String id, String path, String text) {}

  /** Where pictures, clips and captions are looked up. */
  @FunctionalInterface
  public interface Media {
    /** The picture with that id, if there is one. */
    Optional<Picture> find(String id);

    /** The clip with that id, if there is one. */
    default Optional<Clip> clip(String id) {
      return Optional.empty();
    }

    /** The icon sprite with that id, if there is one. */
    default Optional<IconSprite> sprite(String id) {
      return Optional.empty();
    }

    /** The font with that id, if there is one. */
    default Optional<OwnFont> font(String id) {
      return Optional.empty();
    }

    /** The caption file with that id, if there is one. */
    default Optional<CaptionFile> captions(String id) {
      return Optional.empty();
    }
  }

  /** Where icons are looked up. */
  @FunctionalInterface
  public interface IconSet {
    /** What is drawn in a view box of 24 by 24, as SVG elements. */
    Optional<String> find(String name);
  }

  public Shipped {
    scripts = Map.copyOf(scripts);
    fonts = List.copyOf(fonts);
    hosts = List.copyOf(hosts);
  }

  /** Scripts under their plain names, and nothing else: for looking at what a page says alone. */
  public static Shipped scriptsOnly() {
    return new Shipped(
        SCRIPTS.stream().collect(Collectors.toMap(Function.identity(), name -> name + ".js")),
        List.of(),
        _ -> Optional.empty(),
        _ -> Optional.empty(),
        List.of(),
        "");
  }

  /** The scripts of a page that uses such kinds, in the order in which they run; none for none. */
  List<String> scripts(Collection<String> kinds) {
    if (kinds.isEmpty()) {
      return List.of();
    }
    var all = new ArrayList<String>();
    all.add(script(PAGE));
    Stream.concat(
            LENT.stream().filter(kinds::contains),
            kinds.stream().filter(kind -> !LENT.contains(kind)).map(Shipped::scriptOf))
        .distinct()
        .forEach(name -> all.add(script(name)));
    return all;
  }

  /** Kinds may share a script; what is no kind has one of its own name. */
  private static String scriptOf(String kind) {
    return Rooms.words().contains(kind) ? Rooms.of(kind, Written.class).script() : kind;
  }

  private String script(String name) {
    String path = scripts.get(name);
    if (path == null) {
      throw new IllegalStateException("no script for " + name);
    }
    return path;
  }
}
