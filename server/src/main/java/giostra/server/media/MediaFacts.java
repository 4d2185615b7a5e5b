package giostra.server.media;

import giostra.core.fit.FontFile;
import giostra.core.media.Captions;
import giostra.core.media.ClipFacts;
import giostra.core.media.IconSprite;
import giostra.core.media.VectorPicture;
import giostra.core.value.AddressKind;
import giostra.core.value.Refused;
import java.net.URI;
import java.net.URISyntaxException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What the bytes of a file say of it; the name it came with only says what sort of thing somebody
 * took it for.
 *
 * @param type media type
 * @param width as shown, in px; 0 for what has none
 * @param height as shown, in px
 * @param durationMs of a clip, or when the last words of captions end; else 0
 * @param codecs of a clip, with commas
 * @param bytes what is kept: those of vector pictures are cleaned
 * @param font what a font says of itself; of anything else nothing
 */
record MediaFacts(
    String type,
    int width,
    int height,
    long durationMs,
    String codecs,
    byte[] bytes,
    @Nullable FontFile font) {
  private MediaFacts(
      String type, int width, int height, long durationMs, String codecs, byte[] bytes) {
    this(type, width, height, durationMs, codecs, bytes, null);
  }

  /** Bytes of anything but a clip. */
  static final int MOST_BYTES = 20 * 1024 * 1024;

  /** A picture that stands elsewhere is kept as its address. Source: RFC 2483, "text/uri-list". */
  static final String REMOTE = "text/uri-list";

  /** Vector symbols by name. */
  static final String SPRITE = "image/svg+xml;profile=symbols";

  private static final String TAKEN =
      "jpeg, png, webp, gif, svg, mp4, webm, vtt, woff2, woff, ttf or otf";

  /** Endings of file names by the sort of thing they promise. */
  private static final Map<String, Set<String>> SORTS =
      Map.of(
          "a picture",
          Set.of("jpg", "jpeg", "png", "webp", "gif"),
          "a vector picture",
          Set.of("svg"),
          "a clip",
          Set.of("mp4", "m4v", "webm"),
          "captions",
          Set.of("vtt"),
          "a font",
          Set.of("woff2", "woff", "ttf", "otf"),
          "a remote picture",
          Set.of("uri"));

  /** The ending of a file of a type. */
  static String extension(String type) {
    return switch (type) {
      case "image/jpeg" -> "jpg";
      case "image/svg+xml", SPRITE -> "svg";
      case "text/vtt" -> "vtt";
      case REMOTE -> "uri";
      default -> type.substring(type.indexOf('/') + 1);
    };
  }

  /** Whether it is a picture that pages can show. */
  static boolean isPicture(String type) {
    return sort(type).endsWith("picture");
  }

  /** Whether it is a font. Source: RFC 8081. */
  static boolean isFont(String type) {
    return type.startsWith("font/");
  }

  /** What sort of thing a type is, as in {@link #SORTS}. */
  static String sort(String type) {
    return switch (type) {
      case "image/svg+xml" -> "a vector picture";
      case "text/vtt" -> "captions";
      case REMOTE -> "a remote picture";
      case SPRITE -> "icons";
      default -> isFont(type) ? "a font" : type.startsWith("video/") ? "a clip" : "a picture";
    };
  }

  /**
   * Reads them.
   *
   * @throws Refused with the name of the file and what is wrong with it
   */
  static MediaFacts read(String name, byte[] bytes) {
    try {
      MediaFacts facts = facts(bytes);
      String sort = sort(facts.type);
      String ending = name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
      for (var promised : SORTS.entrySet()) {
        boolean vector = ending.equals("svg") && sort.equals("icons");
        if (promised.getValue().contains(ending) && !promised.getKey().equals(sort) && !vector) {
          throw new Refused("it", sort + " (" + facts.type + ")", promised.getKey() + ", as named");
        }
      }
      return facts;
    } catch (Refused e) {
      throw of(name, e);
    }
  }

  /**
   * Reads those of a file that somebody brings: a picture is one that can be drawn, too. What was
   * taken before that was asked comes along with its site all the same.
   *
   * @throws Refused as above
   */
  static MediaFacts brought(String name, byte[] bytes) {
    MediaFacts facts = read(name, bytes);
    if (Pixels.areReadOf(facts.type)) {
      try {
        Pixels.check(bytes);
      } catch (Refused e) {
        throw of(name, e);
      }
    }
    return facts;
  }

  private static Refused of(String name, Refused e) {
    return new Refused("File " + name + ": " + e.what(), e.found(), e.allowed());
  }

  private static MediaFacts facts(byte[] bytes) {
    if (ClipFacts.looksLikeOne(bytes)) {
      ClipFacts clip = ClipFacts.read(bytes);
      return new MediaFacts(
          clip.type(),
          clip.width(),
          clip.height(),
          clip.durationMs(),
          String.join(", ", clip.codecs()),
          bytes);
    }
    if (bytes.length > MOST_BYTES) {
      throw new Refused("it", bytes.length / 1024 / 1024 + " MB large", "20 MB or less");
    }
    if (FontFile.looksLikeOne(bytes)) {
      FontFile font = FontFile.read(bytes);
      return new MediaFacts(font.type(), 0, 0, 0, "", bytes, font);
    }
    int looked = Math.min(bytes.length, 1000);
    String start = new String(bytes, 0, looked, StandardCharsets.UTF_8);
    if (Captions.looksLikeOne(start)) {
      Captions captions = Captions.read(text(bytes));
      return new MediaFacts("text/vtt", 0, 0, captions.endMs(), "", bytes);
    }
    if (start.startsWith("http://") || start.startsWith("https://")) {
      String address = address(text(bytes));
      return new MediaFacts(REMOTE, 0, 0, 0, "", address.getBytes(StandardCharsets.UTF_8));
    }
    if (VectorPicture.looksLikeOne(start) && IconSprite.looksLikeOne(text(bytes))) {
      IconSprite.read(text(bytes));
      return new MediaFacts(SPRITE, 0, 0, 0, "", bytes);
    }
    if (VectorPicture.looksLikeOne(start)) {
      VectorPicture vector = VectorPicture.read(text(bytes));
      return new MediaFacts(
          "image/svg+xml",
          vector.width(),
          vector.height(),
          0,
          "",
          vector.markup().getBytes(StandardCharsets.UTF_8));
    }
    PictureFacts picture = PictureFacts.read(bytes, TAKEN);
    return new MediaFacts(picture.type(), picture.width(), picture.height(), 0, "", bytes);
  }

  /**
   * The address of a picture that stands elsewhere.
   *
   * @throws Refused when it is not a whole one
   */
  static String address(String text) {
    String allowed = "the https or http address of a picture, with a host";
    String address = new AddressKind().read("Address of the picture", text);
    try {
      URI uri = new URI(address);
      if (uri.getHost() == null || uri.getUserInfo() != null) {
        throw new Refused("Address of the picture", address, allowed);
      }
    } catch (URISyntaxException e) {
      throw new Refused("Address of the picture", address, allowed);
    }
    if (!address.matches("(?i)https?://.*")) {
      throw new Refused("Address of the picture", address, allowed);
    }
    return address;
  }

  private static String text(byte[] bytes) {
    try {
      return StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes)).toString();
    } catch (CharacterCodingException e) {
      throw new Refused("it", "no UTF-8", "text in UTF-8");
    }
  }
}
