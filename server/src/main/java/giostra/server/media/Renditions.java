package giostra.server.media;

import giostra.core.fit.Ladder;
import giostra.core.layout.PictureSizes;
import giostra.core.value.Refused;
import giostra.server.web.Gone;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import net.coobird.thumbnailator.Thumbnails;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Pictures in fewer px, as WebP: every browser that reads our style sheets reads it, and the
 * original stays beside it. They are made in the background, each kept as soon as it is there, so
 * that a stop costs the one in hand; what is asked for before it is made is made at once.
 */
@Component
class Renditions {
  private static final Logger LOG = LoggerFactory.getLogger(Renditions.class);
  private static final float QUALITY = 0.82f;

  private final RenditionRows rows;
  private final MediaRows media;
  private final BlobStore blobs;
  private final TransactionTemplate apart;
  private final Map<String, Object> locks = new ConcurrentHashMap<>();

  /** One at a time: pictures take memory, and people wait for pages, not for these. */
  private final ExecutorService worker =
      Executors.newSingleThreadExecutor(Thread.ofPlatform().name("renditions").daemon().factory());

  Renditions(
      RenditionRows rows,
      MediaRows media,
      BlobStore blobs,
      PlatformTransactionManager transactions) {
    this.rows = rows;
    this.media = media;
    this.blobs = blobs;
    // What was made stays, whatever becomes of what it was made for.
    this.apart = new TransactionTemplate(transactions);
    apart.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
  }

  /** Goes on with what a stop cut off. */
  @EventListener(ApplicationReadyEvent.class)
  void resume() {
    List<MediaEntity> all = media.findAll();
    Map<String, Integer> made = made(all);
    all.stream()
        .filter(row -> made.getOrDefault(row.hash, 0) < widths(row).size())
        .forEach(this::later);
  }

  /** Makes what a picture is still without, when there is time. */
  void later(MediaEntity picture) {
    if (widths(picture).isEmpty()) {
      return;
    }
    worker.execute(() -> {
      try {
        all(picture);
      } catch (RuntimeException e) {
        LOG.warn("no smaller files of {}", picture.name, e);
      }
    });
  }

  private Object lock(MediaEntity picture) {
    return locks.computeIfAbsent(picture.hash, _ -> new Object());
  }

  /** The widths of a picture in px, narrowest first; none of what moves or has no px. */
  static List<Integer> widths(MediaEntity picture) {
    return Pixels.areReadOf(picture.type)
        ? Ladder.below(picture.width).stream()
            .filter(width -> (double) width * width * picture.height / picture.width <= Pixels.MADE)
            .toList()
        : List.of();
  }

  /** How many there are of pictures, by their hashes. */
  Map<String, Integer> made(List<MediaEntity> pictures) {
    var found = new HashMap<String, Integer>();
    rows.findBySourceIn(pictures.stream().map(row -> row.hash).toList())
        .forEach(row -> found.merge(row.source, 1, Integer::sum));
    return found;
  }

  /**
   * The files of pictures and clips by their ids, narrowest first, their own last; of those of
   * which some are still to be made nothing.
   */
  Map<String, List<PictureSizes.File>> files(List<MediaEntity> media) {
    var made = new HashMap<String, Map<Integer, Long>>();
    rows.findBySourceIn(media.stream().map(row -> row.hash).toList())
        .forEach(row ->
            made.computeIfAbsent(row.source, _ -> new HashMap<>()).put(row.width, row.bytes));
    var found = new HashMap<String, List<PictureSizes.File>>();
    for (MediaEntity row : media) {
      List<Integer> widths = widths(row);
      Map<Integer, Long> its = made.getOrDefault(row.hash, Map.of());
      if (row.width > 0 && its.keySet().containsAll(widths)) {
        var files = new ArrayList<PictureSizes.File>();
        widths.forEach(width ->
            files.add(new PictureSizes.File(width, Objects.requireNonNull(its.get(width)))));
        files.add(new PictureSizes.File(row.width, row.bytes));
        found.put(row.id, List.copyOf(files));
      }
    }
    return Map.copyOf(found);
  }

  /** Makes all that is missing of a picture now: to decode it takes as long as to make several. */
  void all(MediaEntity picture) {
    synchronized (lock(picture)) {
      make(picture, 0);
    }
  }

  /** The bytes of one of its widths. */
  byte[] get(MediaEntity picture, int width) {
    if (!widths(picture).contains(width)) {
      throw new Gone("picture of " + width + " px", picture.id);
    }
    String known = hashes(picture).get(width);
    if (known == null) {
      synchronized (lock(picture)) {
        make(picture, width);
      }
      known = Objects.requireNonNull(hashes(picture).get(width));
    }
    return blobs.get(known);
  }

  private Map<Integer, String> hashes(MediaEntity picture) {
    var found = new HashMap<Integer, String>();
    rows.findBySource(picture.hash).forEach(row -> found.put(row.width, row.hash));
    return found;
  }

  /**
   * Makes what is missing, the widest first.
   *
   * @param only width that is asked for, when somebody waits for it; 0 for all
   */
  private void make(MediaEntity picture, int only) {
    Map<Integer, String> there = hashes(picture);
    List<Integer> missing =
        widths(picture).stream()
            .filter(width -> !there.containsKey(width) && (only == 0 || width == only))
            .toList()
            .reversed();
    if (missing.isEmpty()) {
      return;
    }
    try {
      List<Integer> widths = widths(picture);
      Pixels.within(
          blobs.get(picture.hash),
          widths.getLast(),
          whole -> {
            var scaled = new HashMap<Integer, BufferedImage>();
            for (int width : missing) {
              keep(picture, width, webp(scaled(whole, widths, width, scaled)));
            }
            return true;
          });
    } catch (IOException e) {
      LOG.warn("no smaller files of {}", picture.name, e);
      throw new Refused(
          "Picture " + picture.name,
          "of pixels that cannot be read",
          "a whole one, in RGB; put another file in its place (Media)");
    }
  }

  /**
   * A picture in a width: of the narrowest one at least twice as wide, which is as good as the
   * whole and much less work. Which one that is does not depend on what is there already, so the
   * same picture always has the same files.
   */
  private static BufferedImage scaled(
      BufferedImage whole, List<Integer> widths, int width, Map<Integer, BufferedImage> known)
      throws IOException {
    BufferedImage there = known.get(width);
    if (there != null) {
      return there;
    }
    int from = widths.stream().filter(each -> each >= 2 * width).findFirst().orElse(0);
    BufferedImage source = from == 0 ? whole : scaled(whole, widths, from, known);
    BufferedImage small = Thumbnails.of(source).width(width).asBufferedImage();
    known.put(width, small);
    return small;
  }

  private void keep(MediaEntity picture, int width, byte[] bytes) {
    String hash = blobs.put(bytes);
    apart.executeWithoutResult(_ -> rows.insert(picture.hash, width, hash, bytes.length));
  }

  private static byte[] webp(BufferedImage image) throws IOException {
    ImageWriter writer = ImageIO.getImageWritersByFormatName("webp").next();
    var out = new ByteArrayOutputStream();
    try (var stream = ImageIO.createImageOutputStream(out)) {
      ImageWriteParam how = writer.getDefaultWriteParam();
      how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
      how.setCompressionType("Lossy");
      how.setCompressionQuality(QUALITY);
      writer.setOutput(stream);
      writer.write(null, new IIOImage(image, null, null), how);
    } finally {
      writer.dispose();
    }
    return out.toByteArray();
  }
}
