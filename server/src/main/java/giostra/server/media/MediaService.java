package giostra.server.media;

import giostra.core.layout.PictureSizes;
import giostra.core.output.Shipped;
import giostra.server.web.Gone;
import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The pictures of sites. */
@Service
public class MediaService {
  private final MediaRows rows;
  private final BlobStore blobs;
  private final Renditions renditions;
  private final Clock clock;

  MediaService(MediaRows rows, BlobStore blobs, Renditions renditions, Clock clock) {
    this.rows = rows;
    this.renditions = renditions;
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
      found.put(row.id, shipped(row));
    }
    return id -> Optional.ofNullable(found.get(id));
  }

  private static Shipped.Picture shipped(MediaEntity row) {
    String whole = path(row);
    int dot = whole.lastIndexOf('.');
    return new Shipped.Picture(
        row.id,
        whole,
        row.type,
        row.width,
        row.height,
        row.alt,
        Renditions.widths(row).stream()
            .map(width ->
                new Shipped.Rendition(
                    width, whole.substring(0, dot) + "-" + width + whole.substring(dot)))
            .toList());
  }

  private static final Pattern PATH =
      Pattern.compile("media/([0-9a-f]{16})(?:-(\\d{1,5}))?\\.[a-z]+");

  /**
   * The bytes of a file by the path that a page asks for it: a picture, or one of its sizes. In no
   * transaction of its own: making sizes takes a connection, and two for one request would starve.
   */
  public byte[] bytes(String siteId, String path) {
    var match = PATH.matcher(path);
    if (!match.matches()) {
      throw new Gone("picture", path);
    }
    MediaEntity row =
        rows.findFirstBySiteIdAndHashStartingWith(siteId, match.group(1))
            .orElseThrow(() -> new Gone("picture", path));
    return match.group(2) == null
        ? blobs.get(row.hash)
        : renditions.get(row, Integer.parseInt(match.group(2)));
  }

  /** A site's pictures as the engine measures them. */
  @Transactional(readOnly = true)
  public PictureSizes sizes(String siteId) {
    var found = new HashMap<String, PictureSizes.Size>();
    for (MediaEntity row : rows.findBySiteIdOrderByCreatedAt(siteId)) {
      found.put(row.id, new PictureSizes.Size(row.width, row.height));
    }
    return new Sizes(Map.copyOf(found));
  }

  /** Sizes as a value: equal when all of them are. */
  private record Sizes(Map<String, PictureSizes.Size> byId) implements PictureSizes {
    @Override
    public Optional<Size> find(String id) {
      return Optional.ofNullable(byId.get(id));
    }
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
