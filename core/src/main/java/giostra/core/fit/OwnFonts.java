package giostra.core.fit;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import giostra.core.value.Refused;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Function;
import java.util.stream.IntStream;

/**
 * Fonts that sites brought along. A file's id ends with the beginning of its hash, so that what is
 * in it never changes; a family is named by the ids of its files.
 */
public final class OwnFonts {
  private static final String UPRIGHT = "own:";
  private static final String SLANTED = "own-slanted:";

  /** Fonts that are held at once, in bytes; what is not held is read again. */
  private static final long MOST_HELD = 96L * 1024 * 1024;

  /** Files that have a place in memory, as bytes, so that what is not there is forgotten too. */
  private static final int LEAST = 4096;

  private static final List<Function<String, Optional<byte[]>>> SOURCES =
      new CopyOnWriteArrayList<>();

  private static final LoadingCache<String, Held> HELD =
      Caffeine.newBuilder()
          .maximumWeight(MOST_HELD)
          .weigher((String _, Held held) -> held.bytes())
          .build(OwnFonts::read);

  private OwnFonts() {}

  /** What is asked for files, until it is closed. */
  public interface Source extends AutoCloseable {
    @Override
    void close();
  }

  /** Where the bytes of a file are asked for by its id, whatever site has it, besides others. */
  public static Source from(Function<String, Optional<byte[]>> files) {
    SOURCES.add(files);
    HELD.invalidateAll();
    return () -> {
      SOURCES.remove(files);
      HELD.invalidateAll();
    };
  }

  /** A file with that id came or went: what was measured with it is forgotten. */
  public static void changed(String id) {
    HELD.invalidate(id);
    HarfBuzz.shipped().forget();
  }

  /** A file that is there or not. */
  private record Held(Optional<Sized> file, int bytes) {}

  /** A file with the weights that it has. */
  record Sized(NativeFont font, FontFile said) {}

  /**
   * Weights that a file stands for where a family has several.
   *
   * @param at the place of the file
   * @param from the least, 1 to 1000
   * @param to the greatest
   * @param slanted whether slanted letters are drawn with it
   */
  public record Share(int at, int from, int to, boolean slanted) {}

  /** The name of the family that some files are. */
  public static String family(List<String> files) {
    return UPRIGHT + String.join(" ", files);
  }

  static boolean is(String family) {
    return family.startsWith(UPRIGHT) || family.startsWith(SLANTED);
  }

  /** Its slanted letters, where it has some. */
  static String slanted(String family) {
    return family.startsWith(UPRIGHT)
            && !files(SLANTED + family.substring(UPRIGHT.length())).isEmpty()
        ? SLANTED + family.substring(UPRIGHT.length())
        : family;
  }

  /** Those of its files that are there, lightest first. */
  static List<Sized> files(String family) {
    var all = new ArrayList<Sized>();
    for (String id : family.substring(family.indexOf(':') + 1).split(" ")) {
      Objects.requireNonNull(HELD.get(id)).file().ifPresent(all::add);
    }
    boolean slanted = family.startsWith(SLANTED);
    List<Sized> some = all.stream().filter(each -> each.said().slanted() == slanted).toList();
    // A family of slanted files alone is as upright as it gets.
    return (some.isEmpty() && !slanted ? all : some)
        .stream().sorted(Comparator.comparing(each -> each.said().lightest())).toList();
  }

  /** The file that letters of a weight are drawn from. */
  static Optional<NativeFont> at(String family, int weight) {
    List<Sized> files = files(family);
    return nearest(files.stream().map(Sized::said).toList(), weight)
        .map(at -> files.get(at).font());
  }

  /**
   * The file for a weight: where none has it, lighter ones first below 400, bolder ones first above
   * 500, and in between what lies between. Source: CSS Fonts 4, 5.2, "font style matching".
   *
   * @return its place
   */
  private static Optional<Integer> nearest(List<FontFile> files, int weight) {
    Comparator<Integer> byRank = Comparator.comparing(at -> rank(files.get(at), weight));
    return IntStream.range(0, files.size()).boxed().min(byRank);
  }

  /** How far a file is from a weight, in the order in which they are taken. */
  private static int rank(FontFile file, int weight) {
    int above = file.lightest() - weight;
    int below = weight - file.heaviest();
    if (above <= 0 && below <= 0) {
      return 0;
    }
    if (above > 0) {
      boolean first = weight > 500 || (weight >= 400 && file.lightest() <= 500);
      return first ? above : (weight >= 400 ? 4000 : 2000) + above;
    }
    return weight < 400 ? below : 2000 + below;
  }

  /**
   * Which weights each of some files stands for, so that a page asks for none that no file has and
   * no browser makes letters bolder by itself.
   */
  public static List<Share> shares(List<FontFile> files) {
    boolean upright = files.stream().anyMatch(each -> !each.slanted());
    var all = new ArrayList<Share>();
    for (boolean slanted : new boolean[] {false, true}) {
      var some = new ArrayList<Integer>();
      for (int i = 0; i < files.size(); i++) {
        if ((files.get(i).slanted() && upright) == slanted) {
          some.add(i);
        }
      }
      List<FontFile> said = some.stream().map(files::get).toList();
      int[] taken = new int[1001];
      Arrays.fill(taken, -1);
      for (int weight = 1; weight <= 1000 && !some.isEmpty(); weight++) {
        taken[weight] = some.get(nearest(said, weight).orElseThrow());
      }
      for (int from = 1; from <= 1000 && !some.isEmpty(); ) {
        int to = from;
        while (to < 1000 && taken[to + 1] == taken[from]) {
          to++;
        }
        all.add(new Share(taken[from], from, to, slanted));
        from = to + 1;
      }
    }
    return all;
  }

  private static Held read(String id) {
    try {
      Optional<byte[]> bytes =
          SOURCES.stream().flatMap(source -> source.apply(id).stream()).findFirst();
      return bytes
          .map(each -> {
            byte[] plain = FontFile.plain(each);
            return new Held(
                Optional.of(new Sized(new NativeFont(plain), FontFile.read(each))),
                plain.length + LEAST);
          })
          .orElse(new Held(Optional.empty(), LEAST));
    } catch (Refused e) {
      // What was taken in by an earlier release may be no font any more; letters stand in for it.
      return new Held(Optional.empty(), LEAST);
    }
  }
}
