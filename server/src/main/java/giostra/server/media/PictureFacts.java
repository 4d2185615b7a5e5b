package giostra.server.media;

import com.drew.imaging.FileType;
import com.drew.imaging.FileTypeDetector;
import com.drew.imaging.ImageProcessingException;
import com.drew.imaging.jpeg.JpegMetadataReader;
import com.drew.imaging.png.PngChunk;
import com.drew.imaging.png.PngChunkReader;
import com.drew.imaging.png.PngChunkType;
import com.drew.imaging.png.PngHeader;
import com.drew.imaging.riff.RiffReader;
import com.drew.lang.StreamReader;
import com.drew.metadata.Directory;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifReader;
import com.drew.metadata.jpeg.JpegDirectory;
import com.drew.metadata.jpeg.JpegReader;
import com.drew.metadata.webp.WebpDirectory;
import com.drew.metadata.webp.WebpRiffHandler;
import giostra.core.value.Refused;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What the bytes of a picture say of it; the name it came with says nothing.
 *
 * @param type media type
 * @param width as shown, in px: turned where its orientation says so
 */
record PictureFacts(String type, int width, int height) {
  /** Pixels a picture may have: 50 million, as of common cameras. Common practice, no source. */
  static final long MOST_PIXELS = 50_000_000;

  /** From here on a picture lies on its side. Source: Exif 2.32, 4.6.4, Orientation. */
  static final int SIDEWAYS = 5;

  /** Pixels in all frames of one that moves. Practice. */
  static final long MOST_MOVING = 400_000_000;

  /**
   * Reads them.
   *
   * @param taken what is taken, in words
   * @throws Refused for anything but jpeg, png, webp and gif, for too many pixels or frames, and
   *     for files with something behind the picture
   */
  static PictureFacts read(byte[] bytes, String taken) {
    try {
      FileType type = FileTypeDetector.detectFileType(new ByteArrayInputStream(bytes));
      String media =
          switch (type) {
            case Jpeg -> "image/jpeg";
            case Png -> "image/png";
            case WebP -> "image/webp";
            case Gif -> "image/gif";
            default ->
                throw new Refused(
                    "it", type == FileType.Unknown ? "of no known type" : type.getName(), taken);
          };
      // What its blocks say of their lengths is true before anybody takes room for them.
      long frames = PictureEnd.frames(media, bytes);
      PictureFacts facts =
          switch (type) {
            case Jpeg -> jpeg(bytes);
            case Png -> png(bytes);
            case WebP -> webp(bytes);
            default -> gif(bytes);
          };
      if (frames * facts.width * facts.height > MOST_MOVING) {
        throw new Refused(
            "it",
            String.format(
                Locale.ROOT, "%d frames of %d x %d px", frames, facts.width, facts.height),
            "of at most 400 million px in all its frames");
      }
      return facts;
    } catch (IOException | ImageProcessingException e) {
      throw new Refused("it", "damaged (" + e.getMessage() + ")", "a whole picture");
    } catch (IndexOutOfBoundsException | NegativeArraySizeException e) {
      throw new Refused("it", "damaged", "a whole picture");
    }
  }

  /** Of all that a picture may say its size alone is read: the rest may grow by being unpacked. */
  private static PictureFacts png(byte[] bytes) throws IOException, ImageProcessingException {
    for (PngChunk chunk :
        new PngChunkReader()
            .extract(
                new StreamReader(new ByteArrayInputStream(bytes)), Set.of(PngChunkType.IHDR))) {
      var header = new PngHeader(chunk.getBytes());
      return of("image/png", header.getImageWidth(), header.getImageHeight(), false);
    }
    return of("image/png", null, null, false);
  }

  private static PictureFacts webp(byte[] bytes) throws IOException, ImageProcessingException {
    var metadata = new Metadata();
    new RiffReader()
        .processRiff(
            new StreamReader(new ByteArrayInputStream(bytes)),
            new WebpRiffHandler(metadata) {
              @Override
              public boolean shouldAcceptChunk(String fourCC) {
                return fourCC.startsWith("VP8");
              }
            });
    return of(
        "image/webp",
        metadata.getFirstDirectoryOfType(WebpDirectory.class),
        WebpDirectory.TAG_IMAGE_WIDTH,
        WebpDirectory.TAG_IMAGE_HEIGHT,
        false);
  }

  /** GIF89a, 18: the logical screen. */
  private static PictureFacts gif(byte[] bytes) {
    if (bytes.length < 10) {
      throw new Refused("it", "cut off", "a whole picture");
    }
    ByteBuffer in = ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN);
    return of(
        "image/gif",
        Short.toUnsignedInt(in.getShort(6)),
        Short.toUnsignedInt(in.getShort(8)),
        false);
  }

  private static Metadata metadata(byte[] bytes) throws IOException, ImageProcessingException {
    return JpegMetadataReader.readMetadata(
        new ByteArrayInputStream(bytes), List.of(new JpegReader(), new ExifReader()));
  }

  private static PictureFacts jpeg(byte[] bytes) throws IOException, ImageProcessingException {
    Metadata metadata = metadata(bytes);
    return of(
        "image/jpeg",
        metadata.getFirstDirectoryOfType(JpegDirectory.class),
        JpegDirectory.TAG_IMAGE_WIDTH,
        JpegDirectory.TAG_IMAGE_HEIGHT,
        orientation(metadata) >= SIDEWAYS);
  }

  private static int orientation(Metadata metadata) {
    ExifIFD0Directory exif = metadata.getFirstDirectoryOfType(ExifIFD0Directory.class);
    Integer said = exif == null ? null : exif.getInteger(ExifIFD0Directory.TAG_ORIENTATION);
    return said == null || said < 1 || said > 8 ? 1 : said;
  }

  /** How a camera says that it was held, 1 to 8; 1 where nothing is said. */
  static int orientation(byte[] bytes) {
    try {
      return FileTypeDetector.detectFileType(new ByteArrayInputStream(bytes)) == FileType.Jpeg
          ? orientation(metadata(bytes))
          : 1;
    } catch (IOException | ImageProcessingException e) {
      return 1;
    }
  }

  private static PictureFacts of(
      String type, @Nullable Directory directory, int widthTag, int heightTag, boolean turned) {
    return directory == null
        ? of(type, null, null, turned)
        : of(type, directory.getInteger(widthTag), directory.getInteger(heightTag), turned);
  }

  private static PictureFacts of(
      String type, @Nullable Integer width, @Nullable Integer height, boolean turned) {
    if (width == null || height == null || width < 1 || height < 1) {
      throw new Refused("it", "without a size", "a whole picture");
    }
    if ((long) width * height > MOST_PIXELS) {
      throw new Refused(
          "it",
          String.format(Locale.ROOT, "%d x %d px", width, height),
          "of at most 50 million px");
    }
    return turned ? new PictureFacts(type, height, width) : new PictureFacts(type, width, height);
  }
}
