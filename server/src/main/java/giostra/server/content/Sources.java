package giostra.server.content;

import giostra.core.format.content.Filled;
import giostra.core.format.content.Source;
import giostra.core.page.Document;
import giostra.core.page.Feed;
import giostra.core.page.Piece;
import giostra.core.value.WordsKind;
import giostra.server.media.BlobStore;
import giostra.server.media.MediaService;
import giostra.server.page.PageService;
import giostra.server.site.Ids;
import giostra.server.web.Gone;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The files with content that a site has, and the pieces that follow them. */
@Component
public class Sources {
  private final SourceRows rows;
  private final BlobStore blobs;
  private final MediaService media;
  private final PageService pages;
  private final EntityManager entities;
  private final Clock clock;

  Sources(
      SourceRows rows,
      BlobStore blobs,
      MediaService media,
      PageService pages,
      EntityManager entities,
      Clock clock) {
    this.entities = entities;
    this.rows = rows;
    this.blobs = blobs;
    this.media = media;
    this.pages = pages;
    this.clock = clock;
  }

  /** Something of which there is no other: a word and chance. */
  static String id(String word) {
    return word + "-" + Ids.chance();
  }

  /**
   * Keeps a file.
   *
   * @throws giostra.core.value.Refused when it is none with content for items
   */
  @Transactional
  public SourceEntity add(String siteId, String name, byte[] bytes) {
    SourceEntity row = made(siteId, name, bytes);
    entities.persist(row);
    return row;
  }

  private SourceEntity made(String siteId, String name, byte[] bytes) {
    Source.read(bytes);
    var row = new SourceEntity();
    row.id = id("source");
    row.siteId = siteId;
    row.name = new WordsKind(200, false).read("Name of the file", name);
    row.hash = blobs.put(bytes);
    row.createdAt = clock.instant();
    return row;
  }

  @Transactional(readOnly = true)
  public SourceEntity get(String siteId, String id) {
    return rows.findBySiteIdAndId(siteId, id).orElseThrow(() -> new Gone("file with content", id));
  }

  /**
   * A file as others see it.
   *
   * @param replacedBy id of a newer one
   */
  public record Kept(String id, String name, @Nullable String replacedBy) {}

  /** The files of a site, oldest first. */
  @Transactional(readOnly = true)
  public List<Kept> of(String siteId) {
    return rows.findBySiteIdOrderByCreatedAt(siteId).stream()
        .map(row -> new Kept(row.id, row.name, row.replacedBy))
        .toList();
  }

  /** The bytes of one. */
  @Transactional(readOnly = true)
  public byte[] bytes(String siteId, String id) {
    return blobs.get(get(siteId, id).hash);
  }

  /** Keeps a file on a new site, under the id that it had elsewhere. */
  @Transactional
  public void restore(
      String siteId, String id, String name, @Nullable String replacedBy, byte[] bytes) {
    SourceEntity row = made(siteId, name, bytes);
    row.id = id;
    row.replacedBy = replacedBy;
    entities.persist(row);
  }

  /** Gives a site all files with content that another one has, under the same ids. */
  @Transactional
  public void copy(String from, String to) {
    for (SourceEntity each : rows.findBySiteIdOrderByCreatedAt(from)) {
      var row = new SourceEntity();
      row.siteId = to;
      row.id = each.id;
      row.name = each.name;
      row.hash = each.hash;
      row.replacedBy = each.replacedBy;
      row.createdAt = each.createdAt;
      entities.persist(row);
    }
  }

  /** Takes all of a site's out of it. */
  @Transactional
  public void deleteAll(String siteId) {
    rows.deleteAll(rows.findBySiteIdOrderByCreatedAt(siteId));
  }

  /** What is in a file. */
  Source read(SourceEntity source) {
    return Source.read(blobs.get(source.hash));
  }

  /** Says that a file has a newer one. */
  @Transactional
  public void replaced(String siteId, String id, String by) {
    rows.findBySiteIdAndId(siteId, id).ifPresent(row -> row.replacedBy = by);
  }

  /** The media of a site by their ids and by the names of their files, whatever their case. */
  Filled.Media media(String siteId) {
    Map<String, String> byName = new HashMap<>();
    for (MediaService.Media each : media.of(siteId)) {
      byName.putIfAbsent(each.id(), each.id());
      String name = each.name().toLowerCase(Locale.ROOT);
      byName.putIfAbsent(name, each.id());
      byName.putIfAbsent(name.replaceAll("\\.[a-z0-9]+$", ""), each.id());
    }
    return named -> Optional.ofNullable(byName.get(named.toLowerCase(Locale.ROOT)));
  }

  /**
   * What a piece is filled from.
   *
   * @param name of the file
   * @param newer name of a file that has replaced it since, through another piece
   */
  record FeedReply(
      String source,
      String name,
      Instant uploaded,
      String key,
      Map<String, String> columns,
      @Nullable String newer) {}

  /** What a piece of a page is filled from; null for one that is filled by hand. */
  @Nullable FeedReply feed(String pageId, String pieceId) {
    PageService.Head head = pages.head(pageId);
    Document document = head.document();
    Piece piece = document.piece(pieceId);
    return Feed.of(piece)
        .flatMap(feed ->
            rows.findBySiteIdAndId(head.siteId(), feed.source())
                .map(row ->
                    new FeedReply(
                        row.id,
                        row.name,
                        row.createdAt,
                        feed.key(),
                        feed.columns(),
                        row.replacedBy == null
                            ? null
                            : rows.findBySiteIdAndId(head.siteId(), row.replacedBy)
                                .map(newer -> newer.name)
                                .orElse(null))))
        .orElse(null);
  }
}
