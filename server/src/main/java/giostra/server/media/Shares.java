package giostra.server.media;

import giostra.core.fit.Crop;
import giostra.core.output.SharePicture;
import giostra.core.value.Focus;
import giostra.server.web.Gone;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import net.coobird.thumbnailator.Thumbnails;
import org.springframework.stereotype.Component;

/** Pictures cut for whoever is sent a page's address, see {@link SharePicture}. */
@Component
class Shares {
  private static final double QUALITY = 0.86;

  private final BlobStore blobs;

  Shares(BlobStore blobs) {
    this.blobs = blobs;
  }

  /** A picture as JPEG, on white where it is seen through; Gone for what no page asks for. */
  byte[] get(MediaEntity picture, SharePicture.Size size, Focus focus) {
    if (Renditions.widths(picture).isEmpty()
        || !SharePicture.sizes(picture.width, picture.height).contains(size)) {
      throw new Gone("picture of " + size.width() + " x " + size.height() + " px", picture.id);
    }
    try {
      BufferedImage cut =
          Pixels.within(
              blobs.get(picture.hash),
              Renditions.widths(picture).getLast(),
              whole -> cut(whole, size, focus));
      var out = new ByteArrayOutputStream();
      Thumbnails.of(cut).scale(1).outputFormat("jpg").outputQuality(QUALITY).toOutputStream(out);
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException("cannot cut " + picture.name, e);
    }
  }

  private static BufferedImage cut(BufferedImage whole, SharePicture.Size size, Focus focus)
      throws IOException {
    Crop.Part shown =
        new Crop(
                size.width(),
                size.height(),
                whole.getWidth(),
                whole.getHeight(),
                Crop.Fit.COVER,
                focus)
            .shown();
    int x = (int) Math.round(shown.x());
    int y = (int) Math.round(shown.y());
    BufferedImage part =
        whole.getSubimage(
            x,
            y,
            Math.min(whole.getWidth() - x, (int) Math.round(shown.width())),
            Math.min(whole.getHeight() - y, (int) Math.round(shown.height())));
    BufferedImage scaled =
        Thumbnails.of(part).forceSize(size.width(), size.height()).asBufferedImage();
    var opaque = new BufferedImage(size.width(), size.height(), BufferedImage.TYPE_INT_RGB);
    Graphics2D on = opaque.createGraphics();
    on.drawImage(scaled, 0, 0, Color.WHITE, null);
    on.dispose();
    return opaque;
  }
}
