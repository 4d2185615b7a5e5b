package giostra.server.media;

import com.drew.imaging.FileType;
import com.drew.imaging.FileTypeDetector;
import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Directory;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.jpeg.JpegDirectory;
import com.drew.metadata.png.PngDirectory;
import com.drew.metadata.webp.WebpDirectory;
import giostra.core.band.Refused;
import java.io.BufferedInputStream;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import org.jspecify.annotations.Nullable;

/**
 * What the bytes of a picture say of it; the name it came with says nothing.
 *
 * @param type media type
 * @param extension of its file
 * @param width as shown, in px: turned where its orientation says so
 */
record PictureFacts(String type, String extension, int width, int height) {
  /** Pixels a picture may have: 50 million, as of common cameras. Common practice, no source. */
  static final long MOST_PIXELS = 50_000_000;

  /**
   * Reads them.
   *
   * @throws Refused for anything but jpeg, png and webp, and for too many pixels
   */
  static PictureFacts read(String name, byte[] bytes) {
    try {
      FileType type =
          FileTypeDetector.detectFileType(new BufferedInputStream(new ByteArrayInputStream(bytes)));
      Metadata metadata =
          switch (type) {
            case Jpeg, Png, WebP ->
                ImageMetadataReader.readMetadata(new ByteArrayInputStream(bytes));
            default ->
                throw new Refused(
                    "Picture " + name,
                    type == FileType.Unknown ? "of no known type" : type.getName(),
                    "jpeg, png or webp");
          };
      return switch (type) {
        case Jpeg -> jpeg(name, metadata);
        case Png ->
            of(
                name,
                "image/png",
                "png",
                metadata.getFirstDirectoryOfType(PngDirectory.class),
                PngDirectory.TAG_IMAGE_WIDTH,
                PngDirectory.TAG_IMAGE_HEIGHT,
                false);
        default ->
            of(
                name,
                "image/webp",
                "webp",
                metadata.getFirstDirectoryOfType(WebpDirectory.class),
                WebpDirectory.TAG_IMAGE_WIDTH,
                WebpDirectory.TAG_IMAGE_HEIGHT,
                false);
      };
    } catch (IOException | ImageProcessingException e) {
      throw new Refused("Picture " + name, "damaged (" + e.getMessage() + ")", "a whole picture");
    }
  }

  private static PictureFacts jpeg(String name, Metadata metadata) {
    ExifIFD0Directory exif = metadata.getFirstDirectoryOfType(ExifIFD0Directory.class);
    Integer orientation = exif == null ? null : exif.getInteger(ExifIFD0Directory.TAG_ORIENTATION);
    return of(
        name,
        "image/jpeg",
        "jpg",
        metadata.getFirstDirectoryOfType(JpegDirectory.class),
        JpegDirectory.TAG_IMAGE_WIDTH,
        JpegDirectory.TAG_IMAGE_HEIGHT,
        orientation != null && orientation >= 5);
  }

  private static PictureFacts of(
      String name,
      String type,
      String extension,
      @Nullable Directory directory,
      int widthTag,
      int heightTag,
      boolean turned) {
    Integer width = directory == null ? null : directory.getInteger(widthTag);
    Integer height = directory == null ? null : directory.getInteger(heightTag);
    if (width == null || height == null || width < 1 || height < 1) {
      throw new Refused("Picture " + name, "without a size", "a whole picture");
    }
    if ((long) width * height > MOST_PIXELS) {
      throw new Refused(
          "Picture " + name, "%d x %d px".formatted(width, height), "of at most 50 million px");
    }
    return turned
        ? new PictureFacts(type, extension, height, width)
        : new PictureFacts(type, extension, width, height);
  }
}
