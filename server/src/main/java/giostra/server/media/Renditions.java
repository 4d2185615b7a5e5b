package giostra.server.media;

import giostra.core.fit.Ladder;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import net.coobird.thumbnailator.Thumbnails;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Pictures in fewer px. They are made of a picture when one of them is first asked for, all at
 * once, since reading a picture takes longer than writing a small one.
 */
@Component
class Renditions {
  private static final double QUALITY = 0.82;

  private final RenditionRows rows;
  private final BlobStore blobs;
  private final TransactionTemplate apart;
  private final Map<String, Object> locks = new ConcurrentHashMap<>();

  Renditions(RenditionRows rows, BlobStore blobs, PlatformTransactionManager transactions) {
    this.rows = rows;
    this.blobs = blobs;
    // What was made stays, whatever becomes of what it was made for.
    this.apart = new TransactionTemplate(transactions);
    apart.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
  }

  /** The widths of a picture in px, narrowest first; none of a type that we do not write. */
  static List<Integer> widths(MediaEntity picture) {
    return picture.type.equals("image/webp") ? List.of() : Ladder.below(picture.width);
  }

  /** The bytes of one of its widths. */
  byte[] get(MediaEntity picture, int width) {
    synchronized (locks.computeIfAbsent(picture.hash, _ -> new Object())) {
      String known = hashes(picture).get(width);
      String hash = known == null ? make(picture).get(width) : known;
      if (hash == null) {
        throw new giostra.server.web.Gone("picture of " + width + " px", picture.id);
      }
      return blobs.get(hash);
    }
  }

  private Map<Integer, String> hashes(MediaEntity picture) {
    var found = new HashMap<Integer, String>();
    rows.findBySource(picture.hash).forEach(row -> found.put(row.width, row.hash));
    return found;
  }

  private Map<Integer, String> make(MediaEntity picture) {
    var made = new HashMap<Integer, String>();
    var all = new ArrayList<RenditionEntity>();
    try {
      byte[] original = blobs.get(picture.hash);
      BufferedImage whole =
          Thumbnails.of(new ByteArrayInputStream(original)).scale(1).asBufferedImage();
      var larger = new ArrayList<BufferedImage>(List.of(whole));
      for (int width : widths(picture).reversed()) {
        // Of one at least twice as wide: that is as good as the whole, and much less work.
        BufferedImage from =
            larger.reversed().stream()
                .filter(i -> i.getWidth() >= 2 * width)
                .findFirst()
                .orElse(whole);
        BufferedImage small = Thumbnails.of(from).width(width).asBufferedImage();
        larger.add(small);
        byte[] bytes = written(small, picture.type);
        var row = new RenditionEntity();
        row.source = picture.hash;
        row.width = width;
        row.hash = blobs.put(bytes);
        row.bytes = bytes.length;
        all.add(row);
        made.put(width, row.hash);
      }
    } catch (IOException e) {
      throw new UncheckedIOException("cannot make smaller pictures of " + picture.name, e);
    }
    apart.executeWithoutResult(_ -> rows.saveAll(all));
    return made;
  }

  private static byte[] written(BufferedImage image, String type) throws IOException {
    var out = new ByteArrayOutputStream();
    Thumbnails.of(image)
        .scale(1)
        .outputFormat(type.equals("image/png") ? "png" : "jpg")
        .outputQuality(QUALITY)
        .toOutputStream(out);
    return out.toByteArray();
  }
}
