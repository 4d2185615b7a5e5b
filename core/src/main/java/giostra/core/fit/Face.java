package giostra.core.fit;

import giostra.core.value.Family;
import giostra.core.value.Refused;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * One of the faces that ship with a page, at one weight: how wide its characters are, and what two
 * of them take more or less beside each other (kerning, ligatures). Lengths are in thousandths of
 * the font size, as HarfBuzz shapes them; {@code runtime/metrics.mjs} writes them down.
 *
 * <p>Words are measured by addition, so a width costs microseconds. What three letters make
 * together (a ligature of three) is taken as two pairs.
 */
public final class Face {
  private static final Map<String, Face> ALL = load();

  private final String family;
  private final int weight;
  private final Map<Integer, Double> advances = new HashMap<>();
  private final Map<Long, Double> pairs = new HashMap<>();

  private Face(String family, int weight) {
    this.family = family;
    this.weight = weight;
  }

  /**
   * The face of a family at a weight.
   *
   * @throws Refused naming the faces there are
   */
  public static Face of(String family, int weight) {
    Face face = ALL.get(key(family, weight));
    if (face == null) {
      throw new Refused(
          "face",
          key(family, weight),
          "one of " + String.join(", ", ALL.keySet().stream().sorted().toList()));
    }
    return face;
  }

  /** The face of a family at the nearest weight that is known; of the text's where none is. */
  public static Face near(String family, int weight) {
    return ALL.values().stream()
        .filter(face -> face.family.equals(family))
        .min(Comparator.comparingInt(face -> Math.abs(face.weight - weight)))
        .orElseGet(() -> near(Family.TEXT.face(), weight));
  }

  /** The name of its family in the files that ship. */
  public String family() {
    return family;
  }

  /** Whether it has a character. */
  public boolean has(int codePoint) {
    return advances.containsKey(codePoint);
  }

  /**
   * Characters of a text that it does not have, each once; those that nothing is drawn for aside.
   */
  public List<String> missing(String text) {
    return text.codePoints()
        .filter(c -> !Character.isWhitespace(c) && !has(c) && !unseen(c))
        .distinct()
        .mapToObj(Character::toString)
        .toList();
  }

  /** Joiners, marks of direction, selectors of a variant. */
  private static boolean unseen(int codePoint) {
    return Character.getType(codePoint) == Character.FORMAT
        || (codePoint >= 0xfe00 && codePoint <= 0xfe0f);
  }

  /**
   * The width of a run of text in px, on one line.
   *
   * @param sizePx font size in px
   * @param spacingPx letter spacing in px, added after each character
   */
  public double width(CharSequence text, double sizePx, double spacingPx) {
    double units = 0;
    int count = 0;
    int before = -1;
    for (int c : text.codePoints().toArray()) {
      // A character that is not there is drawn by another font: about half as wide as high.
      units += advances.getOrDefault(c, 500.0);
      if (before >= 0) {
        units += pairs.getOrDefault(pair(before, c), 0.0);
      }
      before = c;
      count++;
    }
    return units * sizePx / 1000 + count * spacingPx;
  }

  @Override
  public String toString() {
    return key(family, weight);
  }

  private static long pair(int left, int right) {
    return (long) left << 32 | right;
  }

  private static String key(String family, int weight) {
    return family + " " + weight;
  }

  private static Map<String, Face> load() {
    var all = new HashMap<String, Face>();
    var order = new ArrayList<Face>();
    for (String line : text().split("\n")) {
      String[] parts = line.split(" ");
      switch (parts[0]) {
        case "face" -> {
          var face = new Face(line.substring(line.indexOf(' ', 5) + 1), Integer.parseInt(parts[1]));
          order.add(face);
          all.put(face.toString(), face);
        }
        case "a" -> {
          Face face = order.getLast();
          for (int i = 1; i < parts.length; i++) {
            int colon = parts[i].indexOf(':');
            face.advances.put(
                Integer.parseInt(parts[i], 0, colon, 10),
                Double.parseDouble(parts[i].substring(colon + 1)));
          }
        }
        case "k" -> {
          Face face = order.getLast();
          int left = Integer.parseInt(parts[1]);
          for (int i = 2; i < parts.length; i++) {
            int colon = parts[i].indexOf(':');
            face.pairs.put(
                pair(left, Integer.parseInt(parts[i], 0, colon, 10)),
                Double.parseDouble(parts[i].substring(colon + 1)));
          }
        }
        default -> throw new IllegalStateException(line);
      }
    }
    return all;
  }

  private static String text() {
    try (InputStream in = Face.class.getResourceAsStream("/giostra/core/fit/faces.txt")) {
      if (in == null) {
        throw new IllegalStateException("faces.txt is not in the core's resources");
      }
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
