package giostra.core.fit;

import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_face_collect_unicodes;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_face_get_glyph_count;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_language_from_string;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_set_create;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_set_destroy;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_set_get_population;
import static org.lwjgl.util.harfbuzz.HarfBuzz.hb_style_get_value;
import static org.lwjgl.util.harfbuzz.OpenType.HB_OT_NAME_ID_FONT_FAMILY;
import static org.lwjgl.util.harfbuzz.OpenType.HB_OT_NAME_ID_TYPOGRAPHIC_FAMILY;
import static org.lwjgl.util.harfbuzz.OpenType.hb_ot_name_get_utf8;
import static org.lwjgl.util.harfbuzz.OpenType.hb_ot_var_find_axis_info;

import giostra.core.media.Woff;
import giostra.core.value.Refused;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.lwjgl.system.MemoryStack;
import org.lwjgl.util.harfbuzz.hb_ot_var_axis_info_t;

/**
 * What the bytes of a font say of it. Sources: OpenType, "name", "OS/2", "fvar"; RFC 8081, "The
 * 'font' Top-Level Media Type".
 *
 * @param type media type
 * @param family what it is called, without the name of its style
 * @param lightest the least of its weights, 1 to 1000
 * @param heaviest the greatest; as the least, where it has one
 * @param slanted whether it is italic or oblique
 * @param restricted whether it says that it must not be put into documents. Source: OpenType,
 *     "OS/2", fsType
 * @param characters how many it has
 */
public record FontFile(
    String type,
    String family,
    int lightest,
    int heaviest,
    boolean slanted,
    boolean restricted,
    int characters) {
  /** How large one may be, bytes: pages wait for it. */
  public static final int MOST_BYTES = 4 * 1024 * 1024;

  private static final Set<Integer> PLAIN = Set.of(0x00010000, 0x74727565);
  private static final int CFF = 0x4f54544f;
  private static final String ALLOWED = "a whole font: woff2, woff, ttf or otf";
  private static final int LONGEST_NAME = 60;

  /** Whether bytes begin as a font does. */
  public static boolean looksLikeOne(byte[] bytes) {
    return !type(bytes).isEmpty();
  }

  private static String type(byte[] bytes) {
    if (bytes.length < 4) {
      return "";
    }
    int start = ByteBuffer.wrap(bytes).getInt();
    if (start == CFF) {
      return "font/otf";
    }
    if (PLAIN.contains(start)) {
      return "font/ttf";
    }
    return switch (Woff.version(bytes)) {
      case 1 -> "font/woff";
      case 2 -> "font/woff2";
      default -> "";
    };
  }

  /**
   * A font that words are measured with: unpacked, where it is packed.
   *
   * @throws Refused when it is none
   */
  static byte[] plain(byte[] bytes) {
    return Woff.looksLikeOne(bytes) ? Woff.unpacked(bytes) : bytes;
  }

  /**
   * Reads one.
   *
   * @throws Refused saying what is wrong with it
   */
  public static FontFile read(byte[] bytes) {
    if (bytes.length > MOST_BYTES) {
      throw new Refused(
          "it",
          "a font of " + bytes.length / 1024 + " KB",
          "at most " + MOST_BYTES / 1024 / 1024 + " MB; packed as woff2 it is smallest");
    }
    byte[] plain = plain(bytes);
    var tables = tables(plain);
    for (String asked : List.of("cmap", "head", "hhea", "hmtx", "maxp")) {
      if (!tables.containsKey(asked)) {
        throw new Refused("it", "a font without the table " + asked, ALLOWED);
      }
    }
    // Widths of weights in between come out of outlines then, and those stay packed.
    if (tables.containsKey("fvar")
        && Stream.of("HVAR", "glyf", "CFF2").noneMatch(tables::containsKey)) {
      throw new Refused(
          "it", "a packed variable font without the table HVAR", "the same as a plain ttf");
    }
    try (var face = new NativeFont(plain)) {
      int characters = characters(face);
      if (hb_face_get_glyph_count(face.face()) < 2 || characters == 0) {
        throw new Refused("it", "a font without letters", ALLOWED);
      }
      int weight =
          Math.clamp(
              Math.round(hb_style_get_value(face.font(400), NativeFont.tag("wght"))), 1, 1000);
      int[] weights = weights(face, weight);
      return new FontFile(
          type(bytes),
          family(face),
          weights[0],
          weights[1],
          hb_style_get_value(face.font(400), NativeFont.tag("ital")) > 0 || leans(plain, tables),
          restricted(plain, tables),
          characters);
    }
  }

  /** Where its tables are, by their names. */
  private static TreeMap<String, int[]> tables(byte[] plain) {
    var all = new TreeMap<String, int[]>();
    if (plain.length < 12) {
      throw new Refused("it", "a font that ends too early", ALLOWED);
    }
    ByteBuffer in = ByteBuffer.wrap(plain);
    int count = in.getShort(4) & 0xffff;
    if (12 + 16 * count > plain.length) {
      throw new Refused("it", "a font that ends too early", ALLOWED);
    }
    for (int i = 0; i < count; i++) {
      int at = 12 + 16 * i;
      long from = in.getInt(at + 8) & 0xffffffffL;
      long length = in.getInt(at + 12) & 0xffffffffL;
      String tag = new String(plain, at, 4, StandardCharsets.ISO_8859_1);
      if (from + length > plain.length) {
        throw new Refused(
            "it", "a font whose table " + tag.strip() + " reaches beyond its end", ALLOWED);
      }
      all.put(tag, new int[] {(int) from, (int) length});
    }
    return all;
  }

  private static int characters(NativeFont face) {
    long all = hb_set_create();
    try {
      hb_face_collect_unicodes(face.face(), all);
      return hb_set_get_population(all);
    } finally {
      hb_set_destroy(all);
    }
  }

  private static int[] weights(NativeFont face, int one) {
    try (MemoryStack stack = MemoryStack.stackPush()) {
      var axis = hb_ot_var_axis_info_t.calloc(stack);
      return hb_ot_var_find_axis_info(face.face(), NativeFont.tag("wght"), axis)
          ? new int[] {
            Math.clamp(Math.round(axis.min_value()), 1, 1000),
            Math.clamp(Math.round(axis.max_value()), 1, 1000)
          }
          : new int[] {one, one};
    }
  }

  private static String family(NativeFont face) {
    var found = new ArrayList<String>();
    for (int name : List.of(HB_OT_NAME_ID_TYPOGRAPHIC_FAMILY, HB_OT_NAME_ID_FONT_FAMILY)) {
      try (MemoryStack stack = MemoryStack.stackPush()) {
        ByteBuffer text = stack.malloc(400);
        var length = stack.ints(text.capacity());
        hb_ot_name_get_utf8(face.face(), name, hb_language_from_string("en"), length, text);
        byte[] read = new byte[Math.min(Math.max(0, length.get(0)), text.capacity() - 1)];
        text.get(0, read);
        found.add(clean(new String(read, StandardCharsets.UTF_8)));
      }
    }
    return found.stream().filter(each -> !each.isEmpty()).findFirst().orElse("Font without a name");
  }

  private static String clean(String name) {
    String clean = name.replaceAll("[\\p{Cntrl}\\p{Cf}\\ufffd\"<>\\\\]", "").strip();
    return clean.codePointCount(0, clean.length()) > LONGEST_NAME
        ? clean.substring(0, clean.offsetByCodePoints(0, LONGEST_NAME))
        : clean;
  }

  /** Whether it says that it is oblique. Source: OpenType, "OS/2", fsSelection bit 9. */
  private static boolean leans(byte[] plain, TreeMap<String, int[]> tables) {
    return (short16(plain, tables.get("OS/2"), 62) & 1 << 9) != 0;
  }

  private static boolean restricted(byte[] plain, TreeMap<String, int[]> tables) {
    return (short16(plain, tables.get("OS/2"), 8) & 0xf) == 2;
  }

  private static int short16(byte[] plain, int @Nullable [] table, int at) {
    return table == null || table[1] < at + 2
        ? 0
        : ByteBuffer.wrap(plain).getShort(table[0] + at) & 0xffff;
  }
}
