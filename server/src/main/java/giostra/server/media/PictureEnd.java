package giostra.server.media;

import giostra.core.value.Refused;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;

/**
 * Where the picture in a file ends and how many frames it has, told by its blocks without drawing
 * any. What comes behind the end is no part of the picture, and is refused: it would be another
 * file in disguise. Sources: PNG specification, "Chunk layout"; GIF89a, "Block sizes"; WebP
 * container specification, "RIFF file format"; the layouts are from memory.
 */
final class PictureEnd {
  /** Frames a picture may have: a minute at ten a second. Practice. */
  static final int MOST_FRAMES = 600;

  private static final String WHOLE = "a picture and nothing behind it";

  private PictureEnd() {}

  /** Frames of a picture; 1 for one that stands still. */
  static int frames(String type, byte[] bytes) {
    int frames =
        switch (type) {
          case "image/png" -> png(bytes);
          case "image/gif" -> gif(bytes);
          case "image/webp" -> webp(bytes);
          default -> jpeg(bytes);
        };
    if (frames > MOST_FRAMES) {
      throw new Refused("it", "of " + frames + " frames", "of at most " + MOST_FRAMES);
    }
    return frames;
  }

  private static Refused cutOff() {
    return new Refused("it", "cut off", "a whole picture");
  }

  private static void end(byte[] bytes, int end) {
    if (end > bytes.length) {
      throw cutOff();
    }
    if (bytes.length > end) {
      throw new Refused("it", (bytes.length - end) + " bytes longer than its picture", WHOLE);
    }
  }

  private static int png(byte[] bytes) {
    ByteBuffer in = ByteBuffer.wrap(bytes);
    int frames = 1;
    in.position(8);
    while (in.remaining() >= 12) {
      long length = Integer.toUnsignedLong(in.getInt());
      byte[] name = new byte[4];
      in.get(name);
      String chunk = new String(name, StandardCharsets.ISO_8859_1);
      if (length > in.remaining() - 4L) {
        throw cutOff();
      }
      if (chunk.equals("acTL") && length >= 4) {
        frames =
            (int) Math.min(Integer.MAX_VALUE, Integer.toUnsignedLong(in.getInt(in.position())));
      }
      in.position(in.position() + (int) length + 4);
      if (chunk.equals("IEND")) {
        end(bytes, in.position());
        return frames;
      }
    }
    throw cutOff();
  }

  private static int webp(byte[] bytes) {
    ByteBuffer in = ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN);
    if (bytes.length < 12) {
      throw cutOff();
    }
    long size = Integer.toUnsignedLong(in.getInt(4)) + 8;
    end(bytes, (int) Math.min(Integer.MAX_VALUE, size));
    int frames = 0;
    in.position(12);
    while (in.remaining() >= 8) {
      byte[] name = new byte[4];
      in.get(name);
      long length = Integer.toUnsignedLong(in.getInt());
      if (new String(name, StandardCharsets.ISO_8859_1).equals("ANMF")) {
        frames++;
      }
      if (length > in.remaining()) {
        throw cutOff();
      }
      // The last may be without the byte that makes it even.
      in.position((int) Math.min(in.limit(), in.position() + length + length % 2));
    }
    return Math.max(1, frames);
  }

  private static int gif(byte[] bytes) {
    ByteBuffer in = ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN);
    if (bytes.length < 14) {
      throw cutOff();
    }
    in.position(13);
    skipTable(in, bytes[10]);
    int frames = 0;
    while (in.hasRemaining()) {
      switch (in.get() & 0xFF) {
        case 0x21 -> {
          skip(in, 1);
          blocks(in);
        }
        case 0x2C -> {
          frames++;
          skip(in, 8);
          need(in, 1);
          skipTable(in, in.get());
          skip(in, 1);
          blocks(in);
        }
        case 0x3B -> {
          end(bytes, in.position());
          if (frames == 0) {
            throw new Refused("it", "without a frame", "a picture");
          }
          return frames;
        }
        default -> throw new Refused("it", "damaged", "a whole picture");
      }
    }
    throw cutOff();
  }

  private static void skipTable(ByteBuffer in, byte flags) {
    if ((flags & 0x80) != 0) {
      skip(in, 3 << ((flags & 7) + 1));
    }
  }

  private static void blocks(ByteBuffer in) {
    int length;
    do {
      need(in, 1);
      length = in.get() & 0xFF;
      skip(in, length);
    } while (length > 0);
  }

  private static void need(ByteBuffer in, int bytes) {
    if (in.remaining() < bytes) {
      throw cutOff();
    }
  }

  private static void skip(ByteBuffer in, int bytes) {
    need(in, bytes);
    in.position(in.position() + bytes);
  }

  /** Cameras put further pictures behind the first, so only what is certainly none is refused. */
  private static int jpeg(byte[] bytes) {
    String all = new String(bytes, StandardCharsets.ISO_8859_1);
    int end = all.lastIndexOf("\u00FF\u00D9");
    String behind = end < 0 ? "" : all.substring(end + 2);
    for (String sign :
        new String[] {"PK\u0003\u0004", "PK\u0005\u0006", "<script", "<html", "%PDF", "<?php"}) {
      if (behind.contains(sign)) {
        throw new Refused("it", behind.length() + " bytes longer than its picture", WHOLE);
      }
    }
    return 1;
  }
}
