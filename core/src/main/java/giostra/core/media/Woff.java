package giostra.core.media;

import giostra.core.value.Refused;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.BufferUnderflowException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.InflaterInputStream;
import org.brotli.dec.BrotliInputStream;

/**
 * Packed fonts, unpacked as far as words are measured: outlines that were packed by a way of their
 * own stay away, everything else is as it was. Sources: WOFF File Format 2.0 (W3C), WOFF File
 * Format 1.0 (W3C), OpenType, "Organization of an OpenType Font".
 */
public final class Woff {
  /** How large a font may be once it is unpacked, bytes. */
  public static final int MOST_UNPACKED = 16 * 1024 * 1024;

  private static final int MOST_TABLES = 200;
  private static final String WHOLE = "a whole font file";

  /** Tags by their number in a directory. Source: WOFF 2.0, 4.1, "Known Table Tags". */
  private static final List<String> KNOWN =
      List.of(
          ("cmap,head,hhea,hmtx,maxp,name,OS/2,post,cvt ,fpgm,glyf,loca,prep,CFF ,VORG,EBDT,EBLC,gasp,"
                  + "hdmx,kern,LTSH,PCLT,VDMX,vhea,vmtx,BASE,GDEF,GPOS,GSUB,EBSC,JSTF,MATH,CBDT,CBLC,"
                  + "COLR,CPAL,SVG ,sbix,acnt,avar,bdat,bloc,bsln,cvar,fdsc,feat,fmtx,fvar,gvar,hsty,"
                  + "just,lcar,mort,morx,opbd,prop,trak,Zapf,Silf,Glat,Gloc,Feat,Sill")
              .split(","));

  private Woff() {}

  /** Whether bytes begin as a packed font does, of either version. */
  public static boolean looksLikeOne(byte[] bytes) {
    return version(bytes) > 0;
  }

  /** 1 or 2, as the first bytes have it; 0 for what is no packed font. */
  public static int version(byte[] bytes) {
    if (bytes.length < 4) {
      return 0;
    }
    return switch (new String(bytes, 0, 4, StandardCharsets.ISO_8859_1)) {
      case "wOFF" -> 1;
      case "wOF2" -> 2;
      default -> 0;
    };
  }

  /**
   * A font as it was before it was packed, without outlines that were packed by their own way.
   *
   * @throws Refused when it is damaged, larger than allowed, or several fonts in one
   */
  public static byte[] unpacked(byte[] bytes) {
    try {
      ByteBuffer in = ByteBuffer.wrap(bytes);
      return version(bytes) == 2 ? second(in) : first(in);
    } catch (Refused e) {
      throw e;
    } catch (BufferUnderflowException | IndexOutOfBoundsException | IllegalArgumentException e) {
      throw new Refused("it", "a font that ends too early", WHOLE);
    } catch (IOException e) {
      throw new Refused("it", "a font whose packed bytes are damaged", WHOLE);
    }
  }

  private static byte[] first(ByteBuffer in) throws IOException {
    int flavour = in.getInt(4);
    int tables = tables(in.getShort(12));
    in.position(44);
    var all = new LinkedHashMap<String, byte[]>();
    long room = MOST_UNPACKED;
    for (int i = 0; i < tables; i++) {
      String tag = tag(in);
      int from = in.getInt();
      int packed = in.getInt();
      int length = in.getInt();
      in.getInt();
      room = left(room, length);
      byte[] kept = taken(in.duplicate().position(from), packed);
      all.put(tag, packed == length ? kept : whole(inflater(kept), length));
    }
    return written(flavour, all);
  }

  private static byte[] taken(ByteBuffer in, int length) {
    if (length < 0 || length > in.remaining()) {
      throw new BufferUnderflowException();
    }
    byte[] taken = new byte[length];
    in.get(taken);
    return taken;
  }

  private static InputStream inflater(byte[] kept) {
    return new InflaterInputStream(new ByteArrayInputStream(kept));
  }

  private record Entry(String tag, int length, boolean own) {}

  private static byte[] second(ByteBuffer in) throws IOException {
    int flavour = in.getInt(4);
    if (flavour == 0x74746366) {
      throw new Refused("it", "several fonts in one file", "one font a file");
    }
    int count = tables(in.getShort(12));
    int packed = in.getInt(20);
    in.position(48);
    var entries = new Entry[count];
    long room = MOST_UNPACKED;
    for (int i = 0; i < count; i++) {
      int flags = in.get() & 0xff;
      String tag = (flags & 0x3f) == 0x3f ? tag(in) : KNOWN.get(flags & 0x3f);
      int version = flags >> 6;
      int length = number(in);
      // Outlines are packed by their own way unless version 3 says that they are not.
      boolean outline = tag.equals("glyf") || tag.equals("loca");
      boolean own = outline ? version != 3 : version != 0;
      int stored = own ? number(in) : length;
      room = left(room, stored);
      entries[i] = new Entry(tag, stored, own);
    }
    var all = new LinkedHashMap<String, byte[]>();
    byte[] stream = taken(in, packed);
    try (var out = new BrotliInputStream(new ByteArrayInputStream(stream))) {
      byte[] narrowed = new byte[0];
      for (Entry each : entries) {
        byte[] table = whole(out, each.length());
        if (!each.own()) {
          all.put(each.tag(), table);
        } else if (each.tag().equals("hmtx")) {
          narrowed = table;
        }
      }
      if (narrowed.length > 0) {
        all.put("hmtx", widths(narrowed, all));
      }
    }
    return written(flavour, all);
  }

  /** Widths with bearings of nothing: no width depends on them. Source: WOFF 2.0, 5.4. */
  private static byte[] widths(byte[] narrowed, Map<String, byte[]> tables) {
    int widths = ByteBuffer.wrap(table(tables, "hhea")).getShort(34) & 0xffff;
    int glyphs = ByteBuffer.wrap(table(tables, "maxp")).getShort(4) & 0xffff;
    ByteBuffer from = ByteBuffer.wrap(narrowed).position(1);
    ByteBuffer to = ByteBuffer.allocate(4 * widths + 2 * Math.max(0, glyphs - widths));
    for (int i = 0; i < widths; i++) {
      to.putShort(from.getShort()).putShort((short) 0);
    }
    return to.array();
  }

  private static byte[] table(Map<String, byte[]> tables, String tag) {
    byte[] table = tables.get(tag);
    if (table == null) {
      throw new Refused("it", "a font without the table " + tag, WHOLE);
    }
    return table;
  }

  private static byte[] whole(InputStream in, int length) throws IOException {
    byte[] all = in.readNBytes(length);
    if (all.length < length) {
      throw new Refused("it", "a font that ends too early", WHOLE);
    }
    return all;
  }

  private static int tables(short count) {
    int all = count & 0xffff;
    if (all == 0 || all > MOST_TABLES) {
      throw new Refused("it", "a font of " + all + " tables", "one of 1 to " + MOST_TABLES);
    }
    return all;
  }

  private static long left(long room, int length) {
    if (length < 0 || length > room) {
      throw new Refused(
          "it",
          "a font that is larger once it is unpacked",
          "one of at most " + MOST_UNPACKED / 1024 / 1024 + " MB unpacked");
    }
    return room - length;
  }

  private static String tag(ByteBuffer in) {
    byte[] four = new byte[4];
    in.get(four);
    return new String(four, StandardCharsets.ISO_8859_1);
  }

  /** Seven bits a byte, the highest bit says that more follow. Source: WOFF 2.0, 4.1. */
  private static int number(ByteBuffer in) {
    long all = 0;
    for (int i = 0; i < 5; i++) {
      int each = in.get() & 0xff;
      if (i == 0 && each == 0x80) {
        break;
      }
      all = all << 7 | (each & 0x7f);
      if (all > Integer.MAX_VALUE) {
        break;
      }
      if ((each & 0x80) == 0) {
        return (int) all;
      }
    }
    throw new Refused("it", "a font with a length that is no number", WHOLE);
  }

  /** A font file of such tables. Sums are nothing: who measures asks for none. */
  private static byte[] written(int flavour, Map<String, byte[]> tables) {
    int size = 12 + 16 * tables.size();
    for (byte[] each : tables.values()) {
      size += (each.length + 3) & ~3;
    }
    ByteBuffer to = ByteBuffer.allocate(size);
    to.putInt(flavour).putShort((short) tables.size()).putShort((short) 0).putInt(0);
    int at = 12 + 16 * tables.size();
    // A directory is looked up by halves, so it is in order.
    for (String tag : tables.keySet().stream().sorted().toList()) {
      byte[] table = table(tables, tag);
      to.put(tag.getBytes(StandardCharsets.ISO_8859_1)).putInt(0).putInt(at).putInt(table.length);
      to.put(at, table);
      at += (table.length + 3) & ~3;
    }
    return to.array();
  }
}
