package giostra.core.media;

import giostra.core.value.Refused;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/**
 * The elements of a WebM file, as far as they say what is in it. Sources: RFC 8794 (EBML), RFC 9559
 * (Matroska); the ids are from memory and checked against ffprobe.
 */
final class Webm {
  private static final int EBML = 0x1A45DFA3;
  private static final int DOC_TYPE = 0x4282;
  private static final int SEGMENT = 0x18538067;
  private static final int INFO = 0x1549A966;
  private static final int SCALE = 0x2AD7B1;
  private static final int DURATION = 0x4489;
  private static final int TRACKS = 0x1654AE6B;
  private static final int TRACK = 0xAE;
  private static final int TRACK_TYPE = 0x83;
  private static final int CODEC = 0x86;
  private static final int CODEC_PRIVATE = 0x63A2;
  private static final int VIDEO = 0xE0;
  private static final int PIXEL_WIDTH = 0xB0;
  private static final int PIXEL_HEIGHT = 0xBA;
  private static final int DISPLAY_WIDTH = 0x54B0;
  private static final int DISPLAY_HEIGHT = 0x54BA;
  private static final int CLUSTER = 0x1F43B675;

  private final List<String> codecs = new ArrayList<>();
  private int width;
  private int height;
  private double scale = 1_000_000;
  private double length;

  private Webm() {}

  private record Element(int id, ByteBuffer content) {
    long number() {
      long value = 0;
      for (int i = 0; i < Math.min(8, content.limit()); i++) {
        value = (value << 8) | (content.get(i) & 0xFF);
      }
      return value;
    }

    double real() {
      return content.limit() == 4
          ? content.getFloat(0)
          : content.limit() == 8 ? content.getDouble(0) : 0;
    }

    String text() {
      byte[] bytes = new byte[content.limit()];
      content.get(0, bytes);
      return new String(bytes, StandardCharsets.US_ASCII).replace("\0", "");
    }
  }

  static boolean looksLikeOne(byte[] bytes) {
    return bytes.length > 8 && ByteBuffer.wrap(bytes).getInt() == EBML;
  }

  static ClipFacts read(byte[] bytes) {
    var reader = new Webm();
    ByteBuffer in = ByteBuffer.wrap(bytes);
    Element head = next(in);
    String type =
        elements(head.content, false).stream()
            .filter(each -> each.id == DOC_TYPE)
            .map(Element::text)
            .findFirst()
            .orElse("none");
    if (!type.equals("webm")) {
      throw new Refused("The clip", "of the type " + type, "webm or mp4");
    }
    Element segment = next(in);
    if (segment.id != SEGMENT) {
      throw damaged("without a segment");
    }
    for (Element each : elements(segment.content, true)) {
      switch (each.id) {
        case INFO -> reader.info(each.content);
        case TRACKS -> reader.tracks(each.content);
        default -> {}
      }
    }
    if (reader.codecs.isEmpty()) {
      throw damaged("without a track that can be played");
    }
    long ms = Math.round(reader.length * reader.scale / 1_000_000);
    return new ClipFacts("video/webm", reader.width, reader.height, ms, reader.codecs);
  }

  private static Refused damaged(String how) {
    return new Refused("The clip", how, "a whole webm file");
  }

  /** The elements of one level, up to the first cluster where there are clusters. */
  private static List<Element> elements(ByteBuffer in, boolean untilCluster) {
    var all = new ArrayList<Element>();
    ByteBuffer at = in.duplicate().rewind();
    while (at.hasRemaining() && all.size() < 4096) {
      Element each = next(at);
      if (untilCluster && each.id == CLUSTER) {
        break;
      }
      all.add(each);
    }
    return all;
  }

  private static Element next(ByteBuffer in) {
    int id = (int) variable(in, true);
    long size = variable(in, false);
    // A segment or cluster that was written live has no known size: it reaches to the end.
    long known = size < 0 && (id == SEGMENT || id == CLUSTER) ? in.remaining() : size;
    boolean rest = id == SEGMENT || id == CLUSTER;
    if (known < 0 || (known > in.remaining() && !rest)) {
      throw damaged("cut off");
    }
    int length = (int) Math.min(known, in.remaining());
    ByteBuffer content = in.slice(in.position(), length);
    in.position(in.position() + length);
    return new Element(id, content);
  }

  /** A number of variable length; -1 for a size that is not known. */
  private static long variable(ByteBuffer in, boolean marked) {
    if (!in.hasRemaining()) {
      throw damaged("cut off");
    }
    int first = in.get() & 0xFF;
    int more = Integer.numberOfLeadingZeros(first) - 24;
    if (more > (marked ? 3 : 7) || in.remaining() < more) {
      throw damaged("cut off");
    }
    long value = marked ? first : first & (0x7F >> more);
    boolean ones = value == (0x7F >> more);
    for (int i = 0; i < more; i++) {
      int next = in.get() & 0xFF;
      ones &= next == 0xFF;
      value = value << 8 | next;
    }
    return !marked && ones ? -1 : value;
  }

  private void info(ByteBuffer info) {
    for (Element each : elements(info, false)) {
      switch (each.id) {
        case SCALE -> scale = each.number();
        case DURATION -> length = each.real();
        default -> {}
      }
    }
  }

  private void tracks(ByteBuffer tracks) {
    for (Element each : elements(tracks, false)) {
      if (each.id == TRACK) {
        track(each.content);
      }
    }
  }

  private void track(ByteBuffer track) {
    long type = 0;
    String codec = "";
    ByteBuffer own = ByteBuffer.allocate(0);
    for (Element each : elements(track, false)) {
      switch (each.id) {
        case TRACK_TYPE -> type = each.number();
        case CODEC -> codec = each.text();
        case CODEC_PRIVATE -> own = each.content;
        case VIDEO -> {
          if (width == 0) {
            size(each.content);
          }
        }
        default -> {}
      }
    }
    String name =
        switch (codec) {
          case "V_VP8" -> "vp8";
          case "V_VP9" -> "vp9";
          case "V_AV1" -> own.limit() >= 4 ? Av1.codec(own) : "av01";
          case "A_OPUS" -> "opus";
          case "A_VORBIS" -> "vorbis";
          default -> "";
        };
    if (!name.isEmpty() && type == 1) {
      codecs.addFirst(name);
    } else if (!name.isEmpty() && type == 2) {
      codecs.add(name);
    }
  }

  private void size(ByteBuffer video) {
    int shownWidth = 0;
    int shownHeight = 0;
    for (Element each : elements(video, false)) {
      switch (each.id) {
        case PIXEL_WIDTH -> width = (int) each.number();
        case PIXEL_HEIGHT -> height = (int) each.number();
        case DISPLAY_WIDTH -> shownWidth = (int) each.number();
        case DISPLAY_HEIGHT -> shownHeight = (int) each.number();
        default -> {}
      }
    }
    if (shownWidth > 0 && shownHeight > 0) {
      width = shownWidth;
      height = shownHeight;
    }
  }
}
