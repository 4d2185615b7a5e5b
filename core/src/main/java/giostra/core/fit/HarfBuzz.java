package giostra.core.fit;

import static org.lwjgl.util.harfbuzz.HarfBuzz.HB_MEMORY_MODE_READONLY;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_blob_create;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_buffer_add_utf16;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_buffer_create;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_buffer_destroy;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_buffer_get_glyph_positions;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_buffer_guess_segment_properties;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_face_create;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_font_create;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_font_get_nominal_glyph;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_font_make_immutable;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_font_set_scale;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_font_set_variations;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_shape;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.lang.UProperty;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.lwjgl.system.Configuration;
import org.lwjgl.system.MemoryStack;
import org.lwjgl.system.MemoryUtil;
import org.lwjgl.util.harfbuzz.hb_feature_t;
import org.lwjgl.util.harfbuzz.hb_glyph_position_t;
import org.lwjgl.util.harfbuzz.hb_variation_t;

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

  /** Font units are told this much finer, so that weights in between are not rounded. */
  private static final int FINE = 64;

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

  /** Whole numbers of code points, both ends in. */
  private record Range(int from, int to) {}

  /** One file of a family, and the characters that pages ask it for. */
  private record Slice(long face, List<Range> ranges, Map<Integer, Long> fonts) {
    boolean asked(int codePoint) {
      return ranges.stream().anyMatch(each -> each.from() <= codePoint && codePoint <= each.to());
    }
  }

  private record Word(String text, String family, int weight, Manner manner) {}

  private static final class Only {
    static final HarfBuzz SHAPER = new HarfBuzz();
  }

  private final Map<String, List<Slice>> families = new LinkedHashMap<>();
  private final LoadingCache<Word, Double> known =
      Caffeine.newBuilder()
          .maximumWeight(REMEMBERED)
          .weigher((Word word, Double _) -> word.text().length() + BESIDE)
          .build(this::shaped);

  private HarfBuzz() {
    // Memory as Java has it since 22; the other way warns, and goes with a later Java.
    Configuration.MEMORY_BACKEND.set("ffm");
    for (String line : new String(bytes("index.txt"), StandardCharsets.UTF_8).split("\n")) {
      String[] parts = line.split("\\|");
      families
          .computeIfAbsent(parts[0], _ -> new ArrayList<>())
          .add(new Slice(face(bytes(parts[1])), ranges(parts[2]), new ConcurrentHashMap<>()));
    }
  }

  /** The one there is; its fonts stay in memory. */
  static HarfBuzz shipped() {
    return Only.SHAPER;
  }

  @Override
  public Set<String> families() {
    return families.keySet();
  }

  @Override
  public boolean has(String family, int codePoint) {
    return slice(family, codePoint) != null;
  }

  @Override
  public double width(String text, String family, int weight, Manner manner) {
    return Objects.requireNonNull(known.get(new Word(text, family, weight, manner)));
  }

  /** The slice that a character is drawn from. */
  private @Nullable Slice slice(String family, int codePoint) {
    // Where two have a character, the later is asked first. Source: CSS Fonts 4, "unicode-range".
    for (Slice slice : families.getOrDefault(family, List.of()).reversed()) {
      if (slice.asked(codePoint) && drawn(slice, codePoint)) {
        return slice;
      }
    }
    return null;
  }

  private static boolean drawn(Slice slice, int codePoint) {
    try (MemoryStack stack = MemoryStack.stackPush()) {
      return hb_font_get_nominal_glyph(font(slice, 400), codePoint, stack.mallocInt(1));
    }
  }

  /** Runs of one slice are shaped by themselves, as browsers do it. */
  private double shaped(Word word) {
    double width = 0;
    Slice at = null;
    var run = new StringBuilder();
    for (int codePoint : word.text().codePoints().toArray()) {
      Slice own = slice(word.family(), codePoint);
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

  private static double width(StringBuilder run, @Nullable Slice slice, Word word) {
    if (run.isEmpty()) {
      return 0;
    }
    if (slice == null) {
      return run.codePoints().mapToDouble(HarfBuzz::elsewhere).sum();
    }
    long buffer = hb_buffer_create();
    ByteBuffer text = MemoryUtil.memUTF16(run, false);
    try (MemoryStack stack = MemoryStack.stackPush()) {
      hb_buffer_add_utf16(buffer, text, 0, run.length());
      hb_buffer_guess_segment_properties(buffer);
      hb_shape(font(slice, word.weight()), buffer, features(word.manner(), stack));
      hb_glyph_position_t.Buffer places = hb_buffer_get_glyph_positions(buffer);
      long units = 0;
      for (int i = 0; places != null && i < places.limit(); i++) {
        units += places.get(i).x_advance();
      }
      return units * EM / SCALE;
    } finally {
      hb_buffer_destroy(buffer);
      MemoryUtil.memFree(text);
    }
  }

  /** What the size of a font is told as: thousandths, {@link #FINE} times finer. */
  private static final int SCALE = 1000 * FINE;

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
      features.get(i).tag(tag(names.get(i))).value(value).start(0).end(-1);
    }
    return features;
  }

  private static long font(Slice slice, int weight) {
    return slice
        .fonts()
        .computeIfAbsent(
            weight,
            _ -> {
              long font = hb_font_create(slice.face());
              hb_font_set_scale(font, SCALE, SCALE);
              try (MemoryStack stack = MemoryStack.stackPush()) {
                hb_variation_t.Buffer variations = hb_variation_t.calloc(1, stack);
                variations.get(0).tag(tag("wght")).value(weight);
                hb_font_set_variations(font, variations);
              }
              hb_font_make_immutable(font);
              return font;
            });
  }

  private static int tag(String name) {
    return name.charAt(0) << 24 | name.charAt(1) << 16 | name.charAt(2) << 8 | name.charAt(3);
  }

  private static long face(byte[] bytes) {
    ByteBuffer kept = MemoryUtil.memAlloc(bytes.length).put(bytes).flip();
    return hb_face_create(hb_blob_create(kept, HB_MEMORY_MODE_READONLY, MemoryUtil.NULL, null), 0);
  }

  /** {@code U+0000-00FF,U+0131}. */
  private static List<Range> ranges(String written) {
    var all = new ArrayList<Range>();
    for (String each : written.strip().split(",")) {
      String[] ends = each.substring(2).split("-");
      int from = Integer.parseInt(ends[0], 16);
      all.add(new Range(from, ends.length > 1 ? Integer.parseInt(ends[1], 16) : from));
    }
    return List.copyOf(all);
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
