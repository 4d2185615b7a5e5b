package giostra.server.release;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import giostra.server.bell.Heard;
import giostra.server.host.Prepared;
import giostra.server.media.BlobStore;
import giostra.server.page.LiveChanged;
import giostra.server.web.CannotKeep;
import giostra.server.web.Gone;
import giostra.server.web.Packed;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.io.Resource;
import org.springframework.dao.DataAccessException;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * Live pages as they are sent: which files a release has is asked of the database once, and again
 * when it tells that something has changed; small files wait in memory, plain and packed. So a live
 * page costs no query, and is there while the database is away, as it was when it could last be
 * asked. Large files are told where they lie. What is none of this goes the usual way: addresses
 * that lead elsewhere, or nowhere.
 */
@Component
class LiveFiles implements Prepared {
  private static final Logger LOG = LoggerFactory.getLogger(LiveFiles.class);

  private static final Pattern ADDRESS =
      Pattern.compile("/live/([a-z0-9-]{1,80})/([a-z0-9-]{1,120})/([A-Za-z0-9._/-]{0,200})");

  private static final String INDEX = "index.html";
  private static final byte[] NOTHING = new byte[0];
  private static final int MOST_PAGES = 2_000;

  /** Whose files are read before anybody asks, in case the database goes away soon. */
  private static final int FIRST_PAGES = 200;

  /** So long nobody asks anew what a database that was away would say, in ns. */
  private static final long HOLDS = 1_000_000_000L;

  /** Bytes of all files that wait. */
  private static final long MOST = 48L << 20;

  /** Bytes of a file that waits; larger ones are read as they are sent. */
  private static final long LARGEST = 512 << 10;

  private final ReleaseRows rows;
  private final BlobStore blobs;

  /** By "site/page". */
  private final Cache<String, Known> pages = Caffeine.newBuilder().maximumSize(MOST_PAGES).build();

  /** How often something of a site has changed, as far as was heard. */
  private final Map<String, Long> changes = new ConcurrentHashMap<>();

  /** How often nobody knew what was not heard. */
  private final AtomicLong missed = new AtomicLong();

  /** When the database could not be asked last, by {@link System#nanoTime()}. */
  private final AtomicLong away = new AtomicLong(System.nanoTime() - HOLDS);

  private final Cache<String, Body> bodies =
      Caffeine.newBuilder()
          .maximumWeight(MOST)
          .weigher((String _, Body body) -> body.weight())
          .build();

  LiveFiles(ReleaseRows rows, BlobStore blobs) {
    this.rows = rows;
    this.blobs = blobs;
  }

  /** How often a site had changed when something was read. */
  private record Stand(long changes, long missed) {}

  /** The files of the release that is live, by their path. */
  private record Known(Stand stand, Map<String, Ready> files) {}

  /** A file with what its answer says. */
  private record Ready(
      String hash, String tag, String type, String policy, String caching, long bytes) {}

  @EventListener(ApplicationReadyEvent.class)
  void started() {
    Thread.ofVirtual().name("what is live").start(this::readNewest);
  }

  private void readNewest() {
    try {
      rows.newest(Limit.of(FIRST_PAGES)).forEach(each -> find(each.site(), each.slug(), INDEX));
    } catch (DataAccessException | TransactionException e) {
      LOG.warn("which pages are live is read when they are asked for: {}", e.getMessage());
    }
  }

  @TransactionalEventListener(fallbackExecution = true)
  void changed(LiveChanged change) {
    forget(change.site());
  }

  @EventListener
  void heard(Heard heard) {
    if (heard.kind().equals("live")) {
      forget(heard.site());
    } else if (heard.kind().equals("missed")) {
      missed.incrementAndGet();
    }
  }

  /** Waits for nobody who reads: what was read before this counts no longer. */
  private void forget(String site) {
    changes.merge(site, 1L, Long::sum);
  }

  private Stand stand(String site) {
    return new Stand(changes.getOrDefault(site, 0L), missed.get());
  }

  @Override
  public @Nullable Answer waiting(String path) {
    Matcher address = ADDRESS.matcher(path);
    if (!address.matches()) {
      return null;
    }
    String site = address.group(1);
    Known known = pages.getIfPresent(site + "/" + address.group(2));
    if (known == null || !known.stand.equals(stand(site))) {
      return null;
    }
    Ready file = known.files.get(name(address));
    Body body = file == null || file.bytes > LARGEST ? null : bodies.getIfPresent(file.hash);
    return file == null || body == null ? null : answer(file, body, null);
  }

  @Override
  public @Nullable Answer read(String path) {
    Matcher address = ADDRESS.matcher(path);
    Ready file = address.matches() ? find(address.group(1), address.group(2), name(address)) : null;
    if (file == null) {
      return null;
    }
    if (file.bytes > LARGEST) {
      Path lies = lies(file.hash);
      return lies == null ? null : answer(file, null, lies);
    }
    try {
      // Many who ask at once have it packed once.
      return answer(file, bodies.get(file.hash, this::body), null);
    } catch (Gone | CannotKeep | UncheckedIOException e) {
      // Whoever asks the usual way is told what is wrong.
      return null;
    }
  }

  private static String name(Matcher address) {
    return address.group(3).isEmpty() ? INDEX : address.group(3);
  }

  private static Answer answer(Ready file, @Nullable Body body, @Nullable Path lies) {
    return new Answer(file.tag, file.type, file.policy, file.caching, file.bytes, body, lies);
  }

  private @Nullable Ready find(String site, String page, String path) {
    String key = site + "/" + page;
    Known known = pages.getIfPresent(key);
    boolean late = known == null || !known.stand.equals(stand(site));
    if (late && (known == null || System.nanoTime() - away.get() > HOLDS)) {
      try {
        // Many who ask at once read it once.
        known =
            pages
                .asMap()
                .compute(
                    key,
                    (_, before) ->
                        before == null || !before.stand.equals(stand(site))
                            ? read(site, page)
                            : before);
      } catch (DataAccessException | TransactionException e) {
        // What was live when it could last be asked; of what never was, the usual way says what is
        // away.
        away.set(System.nanoTime());
        LOG.warn("what is live of {} cannot be read: {}", key, e.getMessage());
      }
    }
    return known == null ? null : known.files.get(path);
  }

  private @Nullable Known read(String site, String page) {
    // Before it is read: what changes meanwhile counts.
    Stand stand = stand(site);
    List<ReleaseRows.LiveFile> files = rows.liveFiles(site, page);
    var all = new HashMap<String, Ready>();
    for (ReleaseRows.LiveFile file : files) {
      boolean index = file.path().equals(INDEX);
      all.put(
          file.path(),
          new Ready(
              file.hash(),
              LiveController.tag(file.hash()),
              file.type(),
              file.policy(),
              index ? LiveController.ASKS : LiveController.FOR_GOOD,
              file.bytes()));
    }
    // What is not live is not remembered: it may be in a moment.
    return files.isEmpty() ? null : new Known(stand, all);
  }

  private Body body(String hash) {
    try (var in = blobs.open(hash).getInputStream()) {
      byte[] plain = in.readAllBytes();
      byte[] gzip = Packed.packed(plain);
      boolean worth = gzip.length < plain.length * 9L / 10;
      return worth ? Body.of(plain, gzip, Packed.brotli(plain)) : Body.of(plain, NOTHING, NOTHING);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Where a large file lies; none where it lies on no disk of this machine. */
  private @Nullable Path lies(String hash) {
    try {
      Resource file = blobs.open(hash);
      return file.isFile() ? file.getFile().toPath() : null;
    } catch (IOException | Gone | CannotKeep e) {
      return null;
    }
  }
}
