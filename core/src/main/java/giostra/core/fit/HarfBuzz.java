package giostra.core.fit;

import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_buffer_add_utf16;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_buffer_create;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_buffer_destroy;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_buffer_get_glyph_positions;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_buffer_guess_segment_properties;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_shape;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.lang.UProperty;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.lang.ref.Reference;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.lwjgl.system.MemoryStack;
import org.lwjgl.system.MemoryUtil;
import org.lwjgl.util.harfbuzz.hb_feature_t;
import org.lwjgl.util.harfbuzz.hb_glyph_position_t;

/**
 * The shaper that browsers have, on the files that pages are sent, slice by slice as their {@code
 * unicode-range}s part them. Words that were shaped are remembered. Source: HarfBuzz, by LWJGL's
 * binding; CSS Fonts 4, "Character range: the unicode-range descriptor".
 */
final class HarfBuzz implements Shaper {
  private static final String FONTS = "/giostra/core/fit/fonts/";

  /**
   * Characters of words that are remembered, some 16 MB. A page of 60 pieces has some 3 000 words.
   */
  private static final int REMEMBERED = 4_000_000;

  /** What a word takes beside its characters, as so many of them. */
  private static final int BESIDE = 60;

  /** About half as wide as high: a character that is not there is drawn by another font. */
  private static final double ANOTHER = 500;

  /**
   * How wide a character is that another font draws. Ideographs, syllables and kana are as wide as
   * they are high in every font, marks lie over what is before them. Source: UAX #11, "East Asian
   * Width" (wide, fullwidth).
   */
  private static double elsewhere(int codePoint) {
    if (Face.unseen(codePoint) || Character.getType(codePoint) == Character.NON_SPACING_MARK) {
      return 0;
    }
    int width = UCharacter.getIntPropertyValue(codePoint, UProperty.EAST_ASIAN_WIDTH);
    return width == UCharacter.EastAsianWidth.WIDE || width == UCharacter.EastAsianWidth.FULLWIDTH
        ? EM
        : ANOTHER;
  }

  /** One file of a family, and the characters that pages ask it for. */
  private record Slice(NativeFont font, NavigableMap<Integer, Integer> ranges) {
    boolean asked(int codePoint) {
      Map.Entry<Integer, Integer> near = ranges.floorEntry(codePoint);
      return near != null && codePoint <= near.getValue();
    }
  }

  /** The files of a family, and from which of them characters were found to be drawn. */
  private record Slices(List<Slice> files, Map<Integer, Optional<Slice>> found) {
    Slices(List<Slice> files) {
      this(files, new ConcurrentHashMap<>());
    }

    Optional<Slice> drawing(int codePoint) {
      return found.computeIfAbsent(codePoint, this::look);
    }

    private Optional<Slice> look(int codePoint) {
      // Where two have a character, the later is asked first. Source: CSS Fonts 4, "unicode-range".
      return files.reversed().stream()
          .filter(each -> each.asked(codePoint) && each.font().draws(codePoint))
          .findFirst();
    }
  }

  private record Word(String text, String family, int weight, Manner manner) {}

  private static final class Only {
    static final HarfBuzz SHAPER = new HarfBuzz();
  }

  private final Map<String, Slices> families = new LinkedHashMap<>();
  private final LoadingCache<Word, Double> known =
      Caffeine.newBuilder()
          .maximumWeight(REMEMBERED)
          .weigher((Word word, Double _) -> word.text().length() + BESIDE)
          .build(this::shaped);

  private HarfBuzz() {
    var files = new HashMap<String, byte[]>();
    for (String line : new String(bytes("index.txt"), StandardCharsets.UTF_8).split("\n")) {
      String[] parts = line.split("\\|");
      byte[] file = files.computeIfAbsent(parts[1], HarfBuzz::bytes);
      int from = Integer.parseInt(parts[2]);
      byte[] font = Arrays.copyOfRange(file, from, from + Integer.parseInt(parts[3]));
      families
          .computeIfAbsent(parts[0], _ -> new Slices(new ArrayList<>()))
          .files()
          .add(new Slice(new NativeFont(font), ranges(parts[4])));
    }
  }

  /** The one there is; its fonts stay in memory. */
  static HarfBuzz shipped() {
    return Only.SHAPER;
  }

  /** Forgets how wide words are: a font changed. */
  void forget() {
    known.invalidateAll();
  }

  @Override
  public Set<String> families() {
    return families.keySet();
  }

  @Override
  public boolean has(String family, int codePoint) {
    if (OwnFonts.is(family)) {
      List<OwnFonts.Sized> files = OwnFonts.files(family);
      return !files.isEmpty() && files.stream().allMatch(each -> each.font().draws(codePoint));
    }
    Slices slices = families.get(family);
    return slices != null && slices.drawing(codePoint).isPresent();
  }

  @Override
  public boolean knows(String family) {
    return OwnFonts.is(family) ? !OwnFonts.files(family).isEmpty() : families.containsKey(family);
  }

  @Override
  public Optional<Reach> reach(String family) {
    Optional<NativeFont> font =
        OwnFonts.is(family)
            ? OwnFonts.at(family, 400)
            : Optional.ofNullable(families.get(family))
                .flatMap(slices -> slices.drawing('x'))
                .map(Slice::font);
    return font.map(NativeFont::reach);
  }

  @Override
  public double width(String text, String family, int weight, Manner manner) {
    return Objects.requireNonNull(known.get(new Word(text, family, weight, manner)));
  }

  /** The font that a character is drawn from. */
  private @Nullable NativeFont font(String family, int weight, int codePoint) {
    return own(family, weight, codePoint)
        .or(() ->
            further(codePoint)
                .map(each -> Objects.requireNonNull(families.get(each.family())))
                .flatMap(each -> each.drawing(codePoint))
                .map(Slice::font))
        .orElse(null);
  }

  private Optional<NativeFont> own(String family, int weight, int codePoint) {
    if (OwnFonts.is(family)) {
      return OwnFonts.at(family, weight).filter(font -> font.draws(codePoint));
    }
    return Objects.requireNonNull(families.get(family)).drawing(codePoint).map(Slice::font);
  }

  /** Runs of one font are shaped by themselves, as browsers do it. */
  private double shaped(Word word) {
    double width = 0;
    NativeFont at = null;
    var run = new StringBuilder();
    for (int codePoint : word.text().codePoints().toArray()) {
      NativeFont own = font(word.family(), word.weight(), codePoint);
      // What is not drawn joins what stands before it.
      boolean joins = own == at || (own == null && at != null && Face.unseen(codePoint));
      if (!joins) {
        width += width(run, at, word);
        run.setLength(0);
        at = own;
      }
      run.appendCodePoint(codePoint);
    }
    return width + width(run, at, word);
  }

  private static double width(StringBuilder run, @Nullable NativeFont font, Word word) {
    if (run.isEmpty()) {
      return 0;
    }
    if (font == null) {
      return run.codePoints().mapToDouble(HarfBuzz::elsewhere).sum();
    }
    long buffer = hb_buffer_create();
    ByteBuffer text = MemoryUtil.memUTF16(run, false);
    try (MemoryStack stack = MemoryStack.stackPush()) {
      hb_buffer_add_utf16(buffer, text, 0, run.length());
      hb_buffer_guess_segment_properties(buffer);
      hb_shape(font.font(word.weight()), buffer, features(word.manner(), stack));
      hb_glyph_position_t.Buffer places = hb_buffer_get_glyph_positions(buffer);
      long units = 0;
      for (int i = 0; places != null && i < places.limit(); i++) {
        units += places.get(i).x_advance();
      }
      return units * EM / NativeFont.SCALE;
    } finally {
      Reference.reachabilityFence(font);
      hb_buffer_destroy(buffer);
      MemoryUtil.memFree(text);
    }
  }

  /** How wide a text is in one font, whatever it has of it. */
  static double width(String text, NativeFont font) {
    return width(new StringBuilder(text), font, new Word(text, "", 400, Manner.RUNNING));
  }

  /** What is off where letters are spaced. The last was found by measuring in Chromium. */
  private static final List<String> APART = List.of("liga", "clig", "calt");

  /** What is on for figures. */
  private static final List<String> FIGURES = List.of("tnum", "lnum");

  private static hb_feature_t.@Nullable Buffer features(Manner manner, MemoryStack stack) {
    return switch (manner) {
      case RUNNING -> null;
      case SPACED -> features(APART, 0, stack);
      case FIGURES -> features(FIGURES, 1, stack);
    };
  }

  private static hb_feature_t.Buffer features(List<String> names, int value, MemoryStack stack) {
    hb_feature_t.Buffer features = hb_feature_t.calloc(names.size(), stack);
    for (int i = 0; i < names.size(); i++) {
      features.get(i).tag(NativeFont.tag(names.get(i))).value(value).start(0).end(-1);
    }
    return features;
  }

  /** {@code U+0000-00FF,U+0131}: by the first code point of each range its last. */
  private static NavigableMap<Integer, Integer> ranges(String written) {
    var all = new TreeMap<Integer, Integer>();
    for (String each : written.strip().split(",")) {
      String[] ends = each.substring(2).split("-");
      int from = Integer.parseInt(ends[0], 16);
      all.merge(from, ends.length > 1 ? Integer.parseInt(ends[1], 16) : from, Math::max);
    }
    return all;
  }

  private static byte[] bytes(String name) {
    try (InputStream in = HarfBuzz.class.getResourceAsStream(FONTS + name)) {
      if (in == null) {
        throw new IllegalStateException(name + " is not in the core's resources");
      }
      return in.readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
