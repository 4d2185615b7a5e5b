package giostra.server.media;

import giostra.core.fit.Likeness;
import giostra.core.page.TracedPicture;
import giostra.core.value.Refused;
import giostra.core.value.Require;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import net.coobird.thumbnailator.Thumbnails;
import org.springframework.stereotype.Component;

/** Holds drawings of pages against pictures of the library. */
@Component
public class Likening {
  /** Px of the file of a picture that is held against a page: what can be decoded in memory. */
  private static final long MOST_PIXELS = 12_000_000;

  private final MediaService media;

  Likening(MediaService media) {
    this.media = media;
  }

  /**
   * How much a page is like its picture. One at a time: each takes some 100 MB.
   *
   * @param drawing the page where the picture lies, in px of CSS, as PNG
   * @throws Refused when either cannot be read, or they are not of one size
   */
  public synchronized Likeness of(String siteId, TracedPicture traced, Path drawing)
      throws IOException {
    MediaService.File file = media.file(siteId, traced.picture());
    if (!file.type().startsWith("image/") || file.type().equals("image/svg+xml")) {
      throw new Refused("Trace", file.type(), "a JPEG, PNG, WebP or GIF of the library");
    }
    if (!file.address().isEmpty()) {
      throw new Refused("Trace", file.address(), "a picture that is kept here");
    }
    byte[] bytes = file.bytes().getContentAsByteArray();
    PictureFacts facts = facts(bytes, "Trace");
    if ((long) facts.width() * facts.height() > MOST_PIXELS) {
      throw new Refused(
          "Trace",
          String.format(Locale.ROOT, "%d x %d px", facts.width(), facts.height()),
          "a picture of at most 12 million px");
    }
    int wide = traced.wide();
    int high = TracedPicture.high(wide, facts.width(), facts.height());
    Require.within(1, Likeness.MOST, "px of a trace", (double) wide * high);
    byte[] drawn = Files.readAllBytes(drawing);
    PictureFacts of = facts(drawn, "The drawing");
    if (of.width() != wide || of.height() != high) {
      throw new Refused(
          "The drawing",
          String.format(Locale.ROOT, "%d x %d px", of.width(), of.height()),
          String.format(Locale.ROOT, "%d x %d px, as the trace lies there", wide, high));
    }
    return Likeness.of(picture(drawn, wide, high), picture(bytes, wide, high));
  }

  private static PictureFacts facts(byte[] bytes, String what) {
    try {
      return PictureFacts.read(bytes, "a picture");
    } catch (Refused e) {
      throw new Refused(what, e.found(), e.allowed());
    }
  }

  /** Read as it is shown, laid on white. */
  private static Likeness.Picture picture(byte[] bytes, int wide, int high) throws IOException {
    BufferedImage image = Thumbnails.of(new ByteArrayInputStream(bytes)).scale(1).asBufferedImage();
    var laid = new BufferedImage(wide, high, BufferedImage.TYPE_INT_RGB);
    Graphics2D on = laid.createGraphics();
    try {
      on.setRenderingHint(
          RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
      on.drawImage(image, 0, 0, wide, high, Color.WHITE, null);
    } finally {
      on.dispose();
    }
    return new Likeness.Picture(wide, high, laid.getRGB(0, 0, wide, high, null, 0, wide));
  }
}
