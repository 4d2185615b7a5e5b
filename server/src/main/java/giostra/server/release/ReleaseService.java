package giostra.server.release;

import giostra.core.format.ProofSheet;
import giostra.core.output.Compiled;
import giostra.core.output.Hash;
import giostra.core.page.Document;
import giostra.core.value.WordsKind;
import giostra.server.host.PageFiles;
import giostra.server.host.Policy;
import giostra.server.host.Ports;
import giostra.server.host.Types;
import giostra.server.media.BlobStore;
import giostra.server.media.MediaService;
import giostra.server.page.PageService;
import giostra.server.page.Stage;
import giostra.server.web.Gone;
import giostra.server.web.Packed;
import jakarta.persistence.EntityManager;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.core.io.Resource;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Publishes pages: a release is a set of plain files that never changes. */
@Service
public class ReleaseService {
  /** What may be said of a release. */
  static final WordsKind NOTE = new WordsKind(300, false);

  /** The page among the files of a release. */
  private static final String INDEX = "index.html";

  private final ReleaseRows releases;
  private final ReleaseFileRows files;
  private final ReleaseBandRows bands;
  private final PageService pages;
  private final Stage stage;
  private final Ports ports;
  private final PageFiles shipped;
  private final MediaService media;
  private final BlobStore blobs;
  private final EntityManager entities;
  private final TransactionTemplate transaction;
  private final Clock clock;
  private final ApplicationEventPublisher events;

  ReleaseService(
      ReleaseRows releases,
      ReleaseFileRows files,
      ReleaseBandRows bands,
      PageService pages,
      Stage stage,
      Ports ports,
      PageFiles shipped,
      MediaService media,
      BlobStore blobs,
      EntityManager entities,
      PlatformTransactionManager transactions,
      ApplicationEventPublisher events,
      Clock clock) {
    this.events = events;
    this.entities = entities;
    this.transaction = new TransactionTemplate(transactions);
    this.releases = releases;
    this.files = files;
    this.bands = bands;
    this.pages = pages;
    this.stage = stage;
    this.ports = ports;
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

  /**
   * A release in a list.
   *
   * @param note what somebody says of it; mostly empty
   */
  public record Line(
      long id,
      int number,
      int revision,
      int siteRevision,
      Instant createdAt,
      boolean live,
      String note) {}

  /**
   * What pictures weigh in a band for whoever sees all of them.
   *
   * @param name of the band
   * @param width of the screen that it is told for, px
   * @param bytes on screens of 1, 2 and 3 device px for a px
   */
  public record BandLine(String name, int width, List<Long> bytes) {}

  /**
   * A release with its files.
   *
   * @param bands from the narrowest on; none of releases that are older than this is counted
   */
  public record Release(Line line, String address, List<FileLine> files, List<BandLine> bands) {}

  /** A file as it is served. */
  public record Served(String path, String hash, String type, Resource bytes, String policy) {}

  /**
   * Publishes the newest revision; it is live when this returns, unless a newer one is by then. To
   * compile and to cut pictures takes seconds, in which nothing is held.
   */
  public Release publish(String pageId) {
    return publish(pageId, "");
  }

  /** The same, with what is said of it. */
  Release publish(String pageId, String note) {
    PageService.Head head = pages.head(pageId);
    int known = newest(pageId);
    Compiled page = stage.published(head, clock.instant());
    var kept = new ArrayList<ReleaseFileEntity>();
    files(head, page)
        .forEach((path, bytes) -> {
          var file = new ReleaseFileEntity();
          file.path = path;
          file.hash = blobs.put(bytes);
          file.type = Types.of(path);
          file.bytes = bytes.length;
          kept.add(file);
        });
    List<ReleaseBandEntity> weights =
        BandWeights.of(
            head.document().bands().all(),
            page.fetched(),
            kept.stream().collect(Collectors.toMap(file -> file.path, file -> file.bytes)));
    var release = new ReleaseEntity();
    release.policy = policy(page);
    release.pageId = pageId;
    release.note = note;
    release.revision = head.revision();
    release.siteRevision = head.siteRevision();
    transaction.executeWithoutResult(_ -> {
      pages.hold(pageId);
      int before = newest(pageId);
      release.number = before + 1;
      release.createdAt = clock.instant();
      entities.persist(release);
      for (ReleaseFileEntity file : kept) {
        file.releaseId = release.id;
        entities.persist(file);
      }
      for (ReleaseBandEntity band : weights) {
        band.releaseId = release.id;
        entities.persist(band);
      }
      boolean overtaken =
          before > known
              && releases
                  .findByPageIdAndNumber(pageId, before)
                  .filter(newer ->
                      newer.revision > release.revision
                          || newer.siteRevision > release.siteRevision)
                  .isPresent();
      if (!overtaken) {
        pages.setLive(pageId, release.id);
        events.publishEvent(new WentLive(pageId, release.number));
      }
    });
    events.publishEvent(new Published(pageId, release.number));
    return release(pages.place(pageId), release);
  }

  /** Tells that a page has another release. */
  public record Published(String page, int number) {}

  /** Tells that visitors see another release of a page, once that is so. */
  public record WentLive(String page, int number) {}

  private int newest(String pageId) {
    return releases.findByPageIdOrderByNumberDesc(pageId).stream()
        .findFirst()
        .map(release -> release.number)
        .orElse(0);
  }

  /** The files of a page as it is now. */
  private Map<String, byte[]> files(PageService.Head head, Compiled page) {
    var all = new LinkedHashMap<String, byte[]>();
    Compiled.Published published = page.published();
    all.put(INDEX, published.html().getBytes(StandardCharsets.UTF_8));
    all.put(published.cssPath(), published.css().getBytes(StandardCharsets.UTF_8));
    all.putAll(shipped.of(page));
    media.prepare(head.siteId(), page.pictures());
    page.pictures().forEach(path -> all.put(path, media.bytes(head.siteId(), path)));
    return all;
  }

  /**
   * The releases of a page, newest first: all of one moment, or one that is just published would be
   * there and not be live.
   */
  @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
  public List<Release> of(String pageId) {
    PageService.Place page = pages.place(pageId);
    return releases.findByPageIdOrderByNumberDesc(pageId).stream()
        .map(release -> release(page, release))
        .toList();
  }

  /** The release of a page that is live. */
  @Transactional(readOnly = true)
  public Optional<Line> live(String pageId) {
    Long id = pages.place(pageId).liveRelease();
    return id == null ? Optional.empty() : releases.findById(id).map(r -> line(r, true));
  }

  /**
   * Says of a release what is in it.
   *
   * @throws giostra.core.value.Refused for what is too long
   */
  @Transactional
  public Release say(String pageId, int number, String note) {
    String said = NOTE.read("Note", note);
    PageService.Place page = pages.place(pageId);
    if (releases.say(pageId, number, said) == 0) {
      throw new Gone("release", Integer.toString(number));
    }
    return release(page, releases.findByPageIdAndNumber(pageId, number).orElseThrow());
  }

  /** Makes an older release live again. */
  @Transactional
  public Release bringBack(String pageId, int number) {
    pages.hold(pageId);
    ReleaseEntity release =
        releases
            .findByPageIdAndNumber(pageId, number)
            .orElseThrow(() -> new Gone("release", Integer.toString(number)));
    pages.setLive(pageId, release.id);
    events.publishEvent(new WentLive(pageId, number));
    return release(pages.place(pageId), release);
  }

  /**
   * A file of the live release. It comes from the release alone, whatever has become of its page.
   */
  @Transactional(readOnly = true)
  public Served served(String siteId, String slug, String path) {
    PageService.Place page = pages.find(siteId, slug).orElseThrow(() -> new Gone("page", slug));
    Long live = page.liveRelease();
    if (live == null) {
      throw new Gone("release of page", slug);
    }
    return served(live, path);
  }

  /** A file of a release, whether it is live or not. */
  @Transactional(readOnly = true)
  public Served served(String siteId, String slug, int number, String path) {
    PageService.Place page = pages.find(siteId, slug).orElseThrow(() -> new Gone("page", slug));
    ReleaseEntity release =
        releases
            .findByPageIdAndNumber(page.id(), number)
            .orElseThrow(() -> new Gone("release", Integer.toString(number)));
    return served(release.id, path);
  }

  private Served served(long release, String path) {
    ReleaseRows.File file = releases.file(release, path).orElseThrow(() -> new Gone("file", path));
    return new Served(path, file.hash(), file.type(), blobs.open(file.hash()), file.policy());
  }

  /**
   * The live pages of a site as a sitemap.
   *
   * @param folder the address that theirs begin with
   */
  @Transactional(readOnly = true)
  public byte[] sitemap(String siteId, String folder) {
    List<ReleaseRows.Live> live = releases.live(siteId);
    if (live.isEmpty()) {
      throw new Gone("sitemap", siteId);
    }
    return Sitemap.of(folder, live);
  }

  /** Where a page is that had an address before; none for an address that none had. */
  @Transactional(readOnly = true)
  public Optional<String> movedTo(String siteId, String slug) {
    return pages
        .formerly(siteId, slug)
        .map(page -> "/live/" + page.siteId() + "/" + page.slug() + "/");
  }

  /**
   * The live release, or the page as it is when there is none, as a zip, with rules for web servers
   * beside its files.
   */
  public byte[] bundle(String pageId) {
    Long live = pages.place(pageId).liveRelease();
    Optional<ReleaseEntity> release = live == null ? Optional.empty() : releases.findById(live);
    var out = new ByteArrayOutputStream();
    try (var zip = new ZipOutputStream(out)) {
      if (release.isEmpty()) {
        PageService.Head head = pages.head(pageId);
        Compiled page = stage.published(head, clock.instant());
        Map<String, byte[]> all = files(head, page);
        for (Map.Entry<String, byte[]> file : all.entrySet()) {
          put(zip, file.getKey(), file.getValue(), clock.instant());
        }
        rules(zip, all.keySet(), policy(page), clock.instant());
      } else {
        Instant at = release.get().createdAt;
        List<ReleaseFileEntity> all = files.findByReleaseIdOrderByPath(release.get().id);
        for (ReleaseFileEntity file : all) {
          put(zip, file.path, blobs.get(file.hash), at);
        }
        rules(zip, all.stream().map(file -> file.path).toList(), release.get().policy, at);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  private static String policy(Compiled page) {
    return Policy.live(page.origins(), page.code());
  }

  private static void rules(
      ZipOutputStream zip, Collection<String> paths, String policy, Instant at) throws IOException {
    for (var each : new TreeMap<>(ServingRules.of(paths, policy)).entrySet()) {
      put(zip, each.getKey(), each.getValue().getBytes(StandardCharsets.UTF_8), at);
    }
  }

  private static void put(ZipOutputStream zip, String path, byte[] bytes, Instant at)
      throws IOException {
    var entry = new ZipEntry(path);
    entry.setTime(at.toEpochMilli());
    zip.putNextEntry(entry);
    zip.write(bytes);
    zip.closeEntry();
  }

  /**
   * A release as a proof sheet tells of it.
   *
   * @param revision of the page that it is of
   * @param siteRevision of its site
   */
  public record Held(
      int revision, int siteRevision, int number, Instant at, List<ProofSheet.File> files) {}

  /** The release of that number, with the hashes of its files. */
  @Transactional(readOnly = true)
  public Held held(String pageId, int number) {
    ReleaseEntity release =
        releases
            .findByPageIdAndNumber(pageId, number)
            .orElseThrow(() -> new Gone("release", Integer.toString(number)));
    return new Held(
        release.revision,
        release.siteRevision,
        release.number,
        release.createdAt,
        files.findByReleaseIdOrderByPath(release.id).stream()
            .map(file -> new ProofSheet.File(file.path, file.bytes, file.hash))
            .toList());
  }

  /** A file of a release, to be sent elsewhere. */
  public record Kept(String path, String type, long bytes, Resource content) {}

  /** The files of a release. */
  @Transactional(readOnly = true)
  public List<Kept> kept(String pageId, int number) {
    ReleaseEntity release =
        releases
            .findByPageIdAndNumber(pageId, number)
            .orElseThrow(() -> new Gone("release", Integer.toString(number)));
    return files.findByReleaseIdOrderByPath(release.id).stream()
        .map(file -> new Kept(file.path, file.type, file.bytes, blobs.open(file.hash)))
        .toList();
  }

  /**
   * A release as a proof sheet tells of it: whether its page is what would come of it now, too.
   * What is kept on the site, and the program itself, may have become others since.
   *
   * @param shown its document, with what is kept on the site in it
   */
  public ProofSheet.Release told(Held held, String siteId, Document shown) {
    Compiled now = stage.published(siteId, shown, held.at());
    String hash = Hash.full(now.published().html().getBytes(StandardCharsets.UTF_8));
    boolean same =
        held.files().stream()
            .anyMatch(file -> file.path().equals(INDEX) && file.sha256().equals(hash));
    return new ProofSheet.Release(held.number(), held.at(), held.files(), same);
  }

  /** Forgets all releases of a page; their bytes stay, since others may have them. */
  @Transactional
  public void drop(String pageId) {
    releases.deleteFiles(pageId);
    releases.deleteOf(pageId);
  }

  private Release release(PageService.Place page, ReleaseEntity release) {
    Long live = page.liveRelease();
    return new Release(
        line(release, live != null && live == release.id),
        ports.live() + "/live/" + page.siteId() + "/" + page.slug() + "/",
        files.findByReleaseIdOrderByPath(release.id).stream()
            .map(f -> new FileLine(f.path, f.type, f.bytes, gzip(f)))
            .toList(),
        bands.findByReleaseIdOrderByPlace(release.id).stream().map(BandWeights::line).toList());
  }

  /** Pictures and fonts are squeezed already; they travel as they are. */
  private long gzip(ReleaseFileEntity file) {
    if (!file.type.startsWith("text/")) {
      return file.bytes;
    }
    return Packed.gzip(blobs.get(file.hash));
  }

  private static Line line(ReleaseEntity r, boolean live) {
    return new Line(r.id, r.number, r.revision, r.siteRevision, r.createdAt, live, r.note);
  }
}
