package giostra.server.media;

import com.drew.imaging.FileType;
import com.drew.imaging.FileTypeDetector;
import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Directory;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.gif.GifHeaderDirectory;
import com.drew.metadata.jpeg.JpegDirectory;
import com.drew.metadata.png.PngDirectory;
import com.drew.metadata.webp.WebpDirectory;
import giostra.core.value.Refused;
import java.io.BufferedInputStream;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Locale;
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
      FileType type =
          FileTypeDetector.detectFileType(new BufferedInputStream(new ByteArrayInputStream(bytes)));
      PictureFacts facts =
          switch (type) {
            case Jpeg -> jpeg(metadata(bytes));
            case Png ->
                of(
                    "image/png",
                    metadata(bytes).getFirstDirectoryOfType(PngDirectory.class),
                    PngDirectory.TAG_IMAGE_WIDTH,
                    PngDirectory.TAG_IMAGE_HEIGHT,
                    false);
            case WebP ->
                of(
                    "image/webp",
                    metadata(bytes).getFirstDirectoryOfType(WebpDirectory.class),
                    WebpDirectory.TAG_IMAGE_WIDTH,
                    WebpDirectory.TAG_IMAGE_HEIGHT,
                    false);
            case Gif ->
                of(
                    "image/gif",
                    metadata(bytes).getFirstDirectoryOfType(GifHeaderDirectory.class),
                    GifHeaderDirectory.TAG_IMAGE_WIDTH,
                    GifHeaderDirectory.TAG_IMAGE_HEIGHT,
                    false);
            default ->
                throw new Refused(
                    "it", type == FileType.Unknown ? "of no known type" : type.getName(), taken);
          };
      long frames = PictureEnd.frames(facts.type, bytes);
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
    }
  }

  private static Metadata metadata(byte[] bytes) throws IOException, ImageProcessingException {
    return ImageMetadataReader.readMetadata(new ByteArrayInputStream(bytes));
  }

  private static PictureFacts jpeg(Metadata metadata) {
    ExifIFD0Directory exif = metadata.getFirstDirectoryOfType(ExifIFD0Directory.class);
    Integer orientation = exif == null ? null : exif.getInteger(ExifIFD0Directory.TAG_ORIENTATION);
    return of(
        "image/jpeg",
        metadata.getFirstDirectoryOfType(JpegDirectory.class),
        JpegDirectory.TAG_IMAGE_WIDTH,
        JpegDirectory.TAG_IMAGE_HEIGHT,
        orientation != null && orientation >= 5);
  }

  private static PictureFacts of(
      String type, @Nullable Directory directory, int widthTag, int heightTag, boolean turned) {
    Integer width = directory == null ? null : directory.getInteger(widthTag);
    Integer height = directory == null ? null : directory.getInteger(heightTag);
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
