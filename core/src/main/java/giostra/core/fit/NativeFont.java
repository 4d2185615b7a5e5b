package giostra.core.fit;

import static org.lwjgl.util.harfbuzz.HarfBuzz.HB_MEMORY_MODE_READONLY;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_blob_create;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_blob_destroy;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_face_create;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_face_destroy;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_font_create;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_font_destroy;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_font_get_h_extents;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_font_get_nominal_glyph;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_font_make_immutable;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_font_set_scale;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_font_set_variations;

import java.lang.ref.Cleaner;
import java.lang.ref.Reference;
import java.nio.ByteBuffer;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ConcurrentHashMap;
import org.lwjgl.system.Configuration;
import org.lwjgl.system.MemoryStack;
import org.lwjgl.system.MemoryUtil;
import org.lwjgl.util.harfbuzz.hb_font_extents_t;
import org.lwjgl.util.harfbuzz.hb_variation_t;

/**
 * A font as HarfBuzz has it, with its weights. It is freed when it is closed, or when nobody holds
 * it any more.
 */
final class NativeFont implements AutoCloseable {
  /** Font units are told this much finer, so that weights in between are not rounded. */
  static final int FINE = 64;

  /** What the size of a font is told as: thousandths, {@link #FINE} times finer. */
  static final int SCALE = 1000 * FINE;

  static {
    // Memory as Java has it since 22; the other way warns, and goes with a later Java.
    Configuration.MEMORY_BACKEND.set("ffm");
  }

  private static final Cleaner CLEANER = Cleaner.create();

  /** What is freed; it must not hold what holds it. */
  private record Held(ByteBuffer bytes, long blob, long face, Map<Integer, Long> fonts)
      implements Runnable {
    @Override
    public void run() {
      fonts.values().forEach(font -> hb_font_destroy(font));
      hb_face_destroy(face);
      hb_blob_destroy(blob);
      MemoryUtil.memFree(bytes);
    }
  }

  private final Held held;
  private final Cleaner.Cleanable cleanable;

  /** A font out of the bytes of a plain file. */
  NativeFont(byte[] plain) {
    this(MemoryUtil.memAlloc(plain.length).put(plain).flip());
  }

  private NativeFont(ByteBuffer kept) {
    long blob = hb_blob_create(kept, HB_MEMORY_MODE_READONLY, MemoryUtil.NULL, null);
    held = new Held(kept, blob, hb_face_create(blob, 0), new ConcurrentHashMap<>());
    cleanable = CLEANER.register(this, held);
  }

  /** The face; whoever has it keeps this. */
  long face() {
    return held.face();
  }

  /** The font at a weight, which it has or is nearest to it. */
  long font(int weight) {
    return Objects.requireNonNull(held.fonts().computeIfAbsent(weight, this::made));
  }

  /** Whether it draws a character. */
  boolean draws(int codePoint) {
    try (MemoryStack stack = MemoryStack.stackPush()) {
      return hb_font_get_nominal_glyph(font(400), codePoint, stack.mallocInt(1));
    } finally {
      Reference.reachabilityFence(this);
    }
  }

  /** How far its letters reach. Source: OpenType 1.9, "hhea", "OS/2"; HarfBuzz, "h_extents". */
  Shaper.Reach reach() {
    try (MemoryStack stack = MemoryStack.stackPush()) {
      hb_font_extents_t extents = hb_font_extents_t.calloc(stack);
      hb_font_get_h_extents(font(400), extents);
      return new Shaper.Reach(
          extents.ascender() / (double) SCALE, -extents.descender() / (double) SCALE);
    } finally {
      Reference.reachabilityFence(this);
    }
  }

  private long made(int weight) {
    long font = hb_font_create(held.face());
    hb_font_set_scale(font, SCALE, SCALE);
    try (MemoryStack stack = MemoryStack.stackPush()) {
      hb_variation_t.Buffer variations = hb_variation_t.calloc(1, stack);
      variations.get(0).tag(tag("wght")).value(weight);
      hb_font_set_variations(font, variations);
    }
    hb_font_make_immutable(font);
    return font;
  }

  /** The number that a tag of four letters is. */
  static int tag(String name) {
    return name.charAt(0) << 24 | name.charAt(1) << 16 | name.charAt(2) << 8 | name.charAt(3);
  }

  @Override
  public void close() {
    cleanable.clean();
  }
}
