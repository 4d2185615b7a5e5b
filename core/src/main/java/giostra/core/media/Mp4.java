package giostra.core.media;

import giostra.core.value.Refused;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * The boxes of an MP4 file, as far as they say what is in it. Sources: ISO/IEC 14496-12 (the box,
 * movie, track and sample description boxes), 14496-15 (avcC), RFC 6381 (codecs); the layouts are
 * from memory and checked against ffprobe.
 */
final class Mp4 {
  /** Boxes of a file, at all depths that are looked into. */
  private static final int MOST_BOXES = 4096;

  private final List<String> codecs = new ArrayList<>();
  private int boxes;
  private int width;
  private int height;
  private long durationMs;

  private Mp4() {}

  private record Box(String type, ByteBuffer content) {}

  static boolean looksLikeOne(byte[] bytes) {
    return bytes.length > 11 && new String(bytes, 4, 4, StandardCharsets.ISO_8859_1).equals("ftyp");
  }

  static ClipFacts read(byte[] bytes) {
    var reader = new Mp4();
    Box movie =
        reader.boxes(ByteBuffer.wrap(bytes)).stream()
            .filter(box -> box.type.equals("moov"))
            .findFirst()
            .orElseThrow(() -> damaged("without a movie box (moov)"));
    reader.movie(movie.content);
    if (reader.codecs.isEmpty() && reader.width == 0) {
      throw new Refused("The clip", "without a track that can be played", "one with a picture");
    }
    return new ClipFacts(
        "video/mp4", reader.width, reader.height, reader.durationMs, reader.codecs);
  }

  private static Refused damaged(String how) {
    return new Refused("The clip", how, "a whole mp4 file");
  }

  private List<Box> boxes(ByteBuffer in) {
    var all = new ArrayList<Box>();
    while (in.remaining() >= 8) {
      if (++boxes > MOST_BOXES) {
        throw damaged("of more than " + MOST_BOXES + " boxes");
      }
      int start = in.position();
      long size = Integer.toUnsignedLong(in.getInt());
      byte[] name = new byte[4];
      in.get(name);
      if (size == 1) {
        if (in.remaining() < 8) {
          throw damaged("cut off");
        }
        size = in.getLong();
      } else if (size == 0) {
        // The last box reaches to the end.
        size = (long) in.limit() - start;
      }
      int head = in.position() - start;
      if (size < head || size > in.limit() - start) {
        throw damaged("cut off in its box " + new String(name, StandardCharsets.ISO_8859_1));
      }
      int end = Math.toIntExact(start + size);
      all.add(
          new Box(
              new String(name, StandardCharsets.ISO_8859_1),
              in.slice(in.position(), end - in.position())));
      in.position(end);
    }
    return all;
  }

  private Optional<ByteBuffer> find(ByteBuffer in, String... path) {
    ByteBuffer at = in;
    for (String step : path) {
      Optional<Box> next =
          boxes(at.duplicate()).stream().filter(box -> box.type.equals(step)).findFirst();
      if (next.isEmpty()) {
        return Optional.empty();
      }
      at = next.get().content;
    }
    return Optional.of(at);
  }

  private void movie(ByteBuffer movie) {
    durationMs = find(movie, "mvhd").map(Mp4::duration).orElse(0L);
    for (Box each : boxes(movie.duplicate())) {
      if (each.type.equals("trak")) {
        track(each.content);
      }
    }
    if (durationMs == 0) {
      // A movie in fragments says in its header how long all of them are, if anywhere.
      long scale = find(movie, "mvhd").map(Mp4::scale).orElse(1000L);
      durationMs =
          find(movie, "mvex", "mehd")
              .map(in -> in.get(0) == 1 ? in.getLong(4) : Integer.toUnsignedLong(in.getInt(4)))
              .map(length -> length * 1000 / Math.max(1, scale))
              .orElse(0L);
    }
  }

  private static long scale(ByteBuffer header) {
    need(header, 20);
    return Integer.toUnsignedLong(header.get(0) == 1 ? header.getInt(20) : header.getInt(12));
  }

  private static long duration(ByteBuffer header) {
    long scale = scale(header);
    need(header, header.get(0) == 1 ? 32 : 20);
    long length =
        header.get(0) == 1 ? header.getLong(24) : Integer.toUnsignedLong(header.getInt(16));
    // All bits set: it is not known.
    boolean unknown = length < 0 || length == 0xFFFFFFFFL;
    return unknown || scale == 0 ? 0 : Math.round(length * 1000.0 / scale);
  }

  private static void need(ByteBuffer in, int bytes) {
    if (in.remaining() < bytes) {
      throw damaged("cut off");
    }
  }

  private void track(ByteBuffer track) {
    Optional<ByteBuffer> handler = find(track, "mdia", "hdlr");
    Optional<ByteBuffer> described = find(track, "mdia", "minf", "stbl", "stsd");
    if (handler.isEmpty() || described.isEmpty()) {
      return;
    }
    need(handler.get(), 12);
    byte[] kind = new byte[4];
    handler.get().get(8, kind);
    String handles = new String(kind, StandardCharsets.ISO_8859_1);
    ByteBuffer entries = described.get();
    need(entries, 8);
    entries.position(8);
    List<Box> samples = boxes(entries.slice());
    if (samples.isEmpty()) {
      return;
    }
    Box sample = samples.getFirst();
    if (handles.equals("vide") && width == 0) {
      size(track, sample.content);
      codecs.addFirst(picture(sample));
    } else if (handles.equals("soun")) {
      codecs.add(sound(sample));
    }
    codecs.removeIf(String::isEmpty);
  }

  /** The size as shown: that of the track header, whose matrix may turn it. */
  private void size(ByteBuffer track, ByteBuffer sample) {
    need(sample, 28);
    width = Short.toUnsignedInt(sample.getShort(24));
    height = Short.toUnsignedInt(sample.getShort(26));
    Optional<ByteBuffer> header = find(track, "tkhd");
    if (header.isPresent()) {
      ByteBuffer in = header.get();
      int matrix = in.get(0) == 1 ? 52 : 40;
      need(in, matrix + 44);
      boolean turned = in.getInt(matrix) == 0 && in.getInt(matrix + 4) != 0;
      int shownWidth = in.getInt(matrix + 36) >>> 16;
      int shownHeight = in.getInt(matrix + 40) >>> 16;
      if (shownWidth > 0 && shownHeight > 0) {
        width = turned ? shownHeight : shownWidth;
        height = turned ? shownWidth : shownHeight;
      }
    }
    if (width < 1 || height < 1) {
      throw damaged("without a size");
    }
  }

  private String picture(Box sample) {
    need(sample.content, 78);
    ByteBuffer inner = sample.content.slice(78, sample.content.limit() - 78);
    return switch (sample.type) {
      case "avc1", "avc3" ->
          find(inner, "avcC")
              .filter(in -> in.remaining() >= 4)
              .map(in ->
                  String.format(
                      Locale.ROOT, "%s.%02X%02X%02X", sample.type, in.get(1), in.get(2), in.get(3)))
              .orElse(sample.type);
      case "vp09" ->
          find(inner, "vpcC")
              .filter(in -> in.remaining() >= 7)
              .map(in ->
                  String.format(
                      Locale.ROOT,
                      "vp09.%02d.%02d.%02d",
                      in.get(4),
                      in.get(5),
                      (in.get(6) & 0xFF) >> 4))
              .orElse(sample.type);
      case "av01" ->
          find(inner, "av1C").filter(in -> in.remaining() >= 4).map(Av1::codec).orElse(sample.type);
      case "hvc1", "hev1" ->
          find(inner, "hvcC")
              .filter(in -> in.remaining() >= 13)
              .map(in -> hevc(sample.type, in))
              .orElse(sample.type);
      default -> sample.type;
    };
  }

  /** Source: ISO/IEC 14496-15, Annex E. */
  private static String hevc(String entry, ByteBuffer in) {
    int first = in.get(1) & 0xFF;
    String space = List.of("", "A", "B", "C").get(first >> 6);
    int reversed = Integer.reverse(in.getInt(2));
    var constraints = new StringBuilder();
    int last = 5;
    while (last >= 0 && in.get(6 + last) == 0) {
      last--;
    }
    for (int i = 0; i <= last; i++) {
      constraints.append(String.format(Locale.ROOT, ".%X", in.get(6 + i)));
    }
    return String.format(
        Locale.ROOT,
        "%s.%s%d.%X.%s%d%s",
        entry,
        space,
        first & 0x1F,
        reversed,
        (first >> 5 & 1) == 1 ? "H" : "L",
        in.get(12) & 0xFF,
        constraints);
  }

  private String sound(Box sample) {
    need(sample.content, 28);
    if (!sample.type.equals("mp4a")) {
      return sample.type.equals("Opus") ? "opus" : sample.type;
    }
    ByteBuffer inner = sample.content.slice(28, sample.content.limit() - 28);
    return find(inner, "esds").map(Mp4::audioObject).orElse(sample.type);
  }

  /** Source: ISO/IEC 14496-1, the ES descriptor. */
  private static String audioObject(ByteBuffer in) {
    in.position(Math.min(4, in.limit()));
    String found = "mp4a";
    while (in.remaining() > 2) {
      int tag = in.get();
      int length = 0;
      int next;
      do {
        if (!in.hasRemaining()) {
          return found;
        }
        next = in.get();
        length = (length << 7) | (next & 0x7F);
      } while ((next & 0x80) != 0);
      if (tag == 3 && in.remaining() >= 3) {
        in.position(in.position() + 3);
      } else if (tag == 4 && in.remaining() >= 13) {
        found = String.format(Locale.ROOT, "mp4a.%02x", in.get());
        in.position(in.position() + 12);
      } else if (tag == 5 && in.hasRemaining()) {
        return found + "." + ((in.get() & 0xFF) >> 3);
      } else {
        in.position(Math.min(in.limit(), in.position() + length));
      }
    }
    return found;
  }
}
