package giostra.server.media;

import giostra.core.output.Shipped;
import giostra.server.web.Gone;
import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The pictures of sites. */
@Service
public class MediaService {
  private final MediaRows rows;
  private final BlobStore blobs;
  private final Clock clock;

  MediaService(MediaRows rows, BlobStore blobs, Clock clock) {
    this.rows = rows;
    this.blobs = blobs;
    this.clock = clock;
  }

  /**
   * A picture as the bench sees it.
   *
   * @param path relative to a page that shows it
   */
  public record Media(
      String id,
      String name,
      String alt,
      String type,
      int width,
      int height,
      long bytes,
      String path) {}

  /**
   * Takes a picture in. The same bytes on the same site are one picture.
   *
   * @throws giostra.core.band.Refused when the bytes are not a picture that we take
   */
  @Transactional
  public Media add(String siteId, String name, String alt, byte[] bytes) {
    PictureFacts facts = PictureFacts.read(name, bytes);
    String hash = blobs.put(bytes);
    List<MediaEntity> same = rows.findBySiteIdAndHash(siteId, hash);
    if (!same.isEmpty()) {
      return media(same.getFirst());
    }
    var row = new MediaEntity();
    row.id = freeId(name, hash);
    row.siteId = siteId;
    row.name = name;
    row.alt = alt;
    row.hash = hash;
    row.type = facts.type();
    row.width = facts.width();
    row.height = facts.height();
    row.bytes = bytes.length;
    row.createdAt = clock.instant();
    return media(rows.save(row));
  }

  private String freeId(String name, String hash) {
    String word =
        name.replaceAll("\\.[A-Za-z]+$", "")
            .toLowerCase(Locale.ROOT)
            .replaceAll("[^a-z0-9]+", "-")
            .replaceAll("^-+|-+$", "");
    String base = word.isEmpty() ? "picture" : word.substring(0, Math.min(40, word.length()));
    return rows.existsById(base) ? base + "-" + hash.substring(0, 8) : base;
  }

  /** All pictures of a site, oldest first. */
  @Transactional(readOnly = true)
  public List<Media> of(String siteId) {
    return rows.findBySiteIdOrderByCreatedAt(siteId).stream().map(MediaService::media).toList();
  }

  /** A site's pictures as the compiler looks them up. */
  @Transactional(readOnly = true)
  public Shipped.Media lookup(String siteId) {
    var found = new HashMap<String, Shipped.Picture>();
    for (MediaEntity row : rows.findBySiteIdOrderByCreatedAt(siteId)) {
      found.put(
          row.id, new Shipped.Picture(row.id, path(row), row.type, row.width, row.height, row.alt));
    }
    return id -> Optional.ofNullable(found.get(id));
  }

  /** A picture's bytes with its type. */
  public record File(String type, String hash, byte[] bytes) {}

  /** The file of a picture. */
  @Transactional(readOnly = true)
  public File file(String id) {
    MediaEntity row = rows.findById(id).orElseThrow(() -> new Gone("picture", id));
    return new File(row.type, row.hash, blobs.get(row.hash));
  }

  private static Media media(MediaEntity row) {
    return new Media(
        row.id, row.name, row.alt, row.type, row.width, row.height, row.bytes, path(row));
  }

  private static String path(MediaEntity row) {
    String extension = row.type.equals("image/jpeg") ? "jpg" : row.type.substring(6);
    return "media/" + row.hash.substring(0, 16) + "." + extension;
  }
}
