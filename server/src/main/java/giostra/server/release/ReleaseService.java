package giostra.server.release;

import giostra.core.output.Compiled;
import giostra.server.host.PageFiles;
import giostra.server.host.Policy;
import giostra.server.host.Types;
import giostra.server.media.BlobStore;
import giostra.server.media.MediaService;
import giostra.server.page.PageService;
import giostra.server.page.Stage;
import giostra.server.web.Gone;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.zip.GZIPOutputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.core.io.Resource;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Publishes pages: a release is a set of plain files that never changes. */
@Service
public class ReleaseService {
  private final ReleaseRows releases;
  private final ReleaseFileRows files;
  private final PageService pages;
  private final Stage stage;
  private final PageFiles shipped;
  private final MediaService media;
  private final BlobStore blobs;
  private final Clock clock;

  ReleaseService(
      ReleaseRows releases,
      ReleaseFileRows files,
      PageService pages,
      Stage stage,
      PageFiles shipped,
      MediaService media,
      BlobStore blobs,
      Clock clock) {
    this.releases = releases;
    this.files = files;
    this.pages = pages;
    this.stage = stage;
    this.shipped = shipped;
    this.media = media;
    this.blobs = blobs;
    this.clock = clock;
  }

  /**
   * One file of a release.
   *
   * @param bytes its size
   * @param gzip its size gzipped
   */
  public record FileLine(String path, String type, long bytes, long gzip) {}

  /** A release in a list. */
  public record Line(long id, int number, int revision, Instant createdAt, boolean live) {}

  /** A release with its files. */
  public record Release(Line line, String address, List<FileLine> files) {}

  /** A file as it is served. */
  public record Served(String path, String hash, String type, Resource bytes, String policy) {}

  /** Publishes the newest revision; it is live when this returns. */
  @Transactional
  public Release publish(String pageId) {
    PageService.Head head = pages.head(pageId);
    Compiled page = stage.compile(head.siteId(), head.document());
    Map<String, byte[]> all = files(head, page);
    var release = new ReleaseEntity();
    release.policy = Policy.live(page.origins());
    release.pageId = pageId;
    release.number =
        releases.findByPageIdOrderByNumberDesc(pageId).stream()
                .findFirst()
                .map(r -> r.number)
                .orElse(0)
            + 1;
    release.revision = head.revision();
    release.createdAt = clock.instant();
    releases.save(release);
    all.forEach((path, bytes) -> {
      var file = new ReleaseFileEntity();
      file.releaseId = release.id;
      file.path = path;
      file.hash = blobs.put(bytes);
      file.type = Types.of(path);
      file.bytes = bytes.length;
      files.save(file);
    });
    pages.setLive(pageId, release.id);
    return release(head, release);
  }

  /** The files of a page as it is now. */
  private Map<String, byte[]> files(PageService.Head head, Compiled page) {
    var all = new LinkedHashMap<String, byte[]>();
    all.put("index.html", page.html().getBytes(StandardCharsets.UTF_8));
    all.put(page.cssPath(), page.css().getBytes(StandardCharsets.UTF_8));
    shipped
        .all()
        .forEach((path, bytes) -> {
          if (page.scripts().contains(path) || !shipped.scripts().contains(path)) {
            all.put(path, bytes);
          }
        });
    media.prepare(head.siteId(), page.pictures());
    page.pictures().forEach(path -> all.put(path, media.bytes(head.siteId(), path)));
    return all;
  }

  /** The releases of a page, newest first. */
  @Transactional(readOnly = true)
  public List<Release> of(String pageId) {
    PageService.Head head = pages.head(pageId);
    return releases.findByPageIdOrderByNumberDesc(pageId).stream()
        .map(release -> release(head, release))
        .toList();
  }

  /** The release of a page that is live. */
  @Transactional(readOnly = true)
  public Optional<Line> live(String pageId) {
    Long id = pages.head(pageId).liveRelease();
    return id == null ? Optional.empty() : releases.findById(id).map(r -> line(r, true));
  }

  /** Makes an older release live again. */
  @Transactional
  public Release bringBack(String pageId, int number) {
    ReleaseEntity release =
        releases
            .findByPageIdAndNumber(pageId, number)
            .orElseThrow(() -> new Gone("release", Integer.toString(number)));
    pages.setLive(pageId, release.id);
    return release(pages.head(pageId), release);
  }

  /** A file of the live release. */
  @Transactional(readOnly = true)
  public Served served(String siteId, String slug, String path) {
    PageService.Head head = pages.find(siteId, slug).orElseThrow(() -> new Gone("page", slug));
    Long live = head.liveRelease();
    if (live == null) {
      throw new Gone("release of page", slug);
    }
    ReleaseFileEntity file =
        files.findByReleaseIdAndPath(live, path).orElseThrow(() -> new Gone("file", path));
    return new Served(path, file.hash, file.type, blobs.open(file.hash), policy(live));
  }

  private String policy(long release) {
    return releases.findById(release).map(r -> r.policy).orElse("");
  }

  /** The live release, or the page as it is when there is none, as a zip. */
  @Transactional(readOnly = true)
  public byte[] bundle(String pageId) {
    PageService.Head head = pages.head(pageId);
    Long live = head.liveRelease();
    var out = new ByteArrayOutputStream();
    try (var zip = new ZipOutputStream(out)) {
      if (live == null) {
        for (Map.Entry<String, byte[]> file :
            files(head, stage.compile(head.siteId(), head.document())).entrySet()) {
          put(zip, file.getKey(), file.getValue(), clock.instant());
        }
      } else {
        Instant at = releases.findById(live).map(r -> r.createdAt).orElse(clock.instant());
        for (ReleaseFileEntity file : files.findByReleaseIdOrderByPath(live)) {
          put(zip, file.path, blobs.get(file.hash), at);
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  private static void put(ZipOutputStream zip, String path, byte[] bytes, Instant at)
      throws IOException {
    var entry = new ZipEntry(path);
    entry.setTime(at.toEpochMilli());
    zip.putNextEntry(entry);
    zip.write(bytes);
    zip.closeEntry();
  }

  private Release release(PageService.Head head, ReleaseEntity release) {
    Long live = pages.head(head.id()).liveRelease();
    return new Release(
        line(release, live != null && live == release.id),
        "/live/" + head.siteId() + "/" + head.slug() + "/",
        files.findByReleaseIdOrderByPath(release.id).stream()
            .map(f -> new FileLine(f.path, f.type, f.bytes, gzip(f)))
            .toList());
  }

  /** Pictures and fonts are squeezed already; they travel as they are. */
  private long gzip(ReleaseFileEntity file) {
    if (!file.type.startsWith("text/")) {
      return file.bytes;
    }
    var out = new ByteArrayOutputStream();
    try (var zip = new GZIPOutputStream(out)) {
      zip.write(blobs.get(file.hash));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.size();
  }

  private static Line line(ReleaseEntity r, boolean live) {
    return new Line(r.id, r.number, r.revision, r.createdAt, live);
  }
}
