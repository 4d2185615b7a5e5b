package giostra.server.release;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import giostra.server.bell.Heard;
import giostra.server.host.Prepared;
import giostra.server.media.BlobStore;
import giostra.server.page.LiveChanged;
import giostra.server.web.Gone;
import giostra.server.web.Packed;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.event.TransactionalEventListener;

/**
 * Live pages as they are sent: which files a release has is asked of the database once, and again
 * when it tells that something has changed; small files wait in memory, plain and packed. So a live
 * page costs no query, and is there while the database is away. What is none of this goes the usual
 * way: large files, parts of files, addresses that lead elsewhere.
 */
@Component
class LiveFiles implements Prepared {
  private static final Pattern ADDRESS =
      Pattern.compile("/live/([a-z0-9-]{1,80})/([a-z0-9-]{1,120})/([A-Za-z0-9._/-]{0,200})");

  private static final String INDEX = "index.html";
  private static final int MOST_PAGES = 2_000;

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

  private final Cache<String, Body> bodies =
      Caffeine.newBuilder()
          .maximumWeight(MOST)
          .weigher((String _, Body body) -> body.plain.length + body.gzip.length + 200)
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
  private record Ready(String hash, String tag, String type, String policy, String caching) {}

  /**
   * Its bytes.
   *
   * @param gzip none where packing brings nothing
   */
  private record Body(byte[] plain, byte[] gzip) {}

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
  public boolean answers(HttpServletRequest request, HttpServletResponse response)
      throws IOException {
    Matcher address = ADDRESS.matcher(request.getRequestURI());
    if (!address.matches() || request.getHeader("Range") != null) {
      return false;
    }
    String path = address.group(3).isEmpty() ? INDEX : address.group(3);
    Ready file = find(address.group(1), address.group(2), path);
    if (file == null) {
      return false;
    }
    Body body = bodies.getIfPresent(file.hash);
    if (body == null) {
      body = read(file.hash);
      if (body == null) {
        return false;
      }
      bodies.put(file.hash, body);
    }
    send(request, response, file, body);
    return true;
  }

  private @Nullable Ready find(String site, String page, String path) {
    String key = site + "/" + page;
    Known known = pages.getIfPresent(key);
    if (known == null || !known.stand.equals(stand(site))) {
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
        // The usual way says what is away.
        return null;
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
      if (file.bytes() <= LARGEST) {
        boolean index = file.path().equals(INDEX);
        all.put(
            file.path(),
            new Ready(
                file.hash(),
                LiveController.tag(file.hash()),
                file.type(),
                file.policy(),
                index ? LiveController.ASKS : LiveController.FOR_GOOD));
      }
    }
    // What is not live is not remembered: it may be in a moment.
    return files.isEmpty() ? null : new Known(stand, all);
  }

  private @Nullable Body read(String hash) {
    try (var in = blobs.open(hash).getInputStream()) {
      byte[] plain = in.readAllBytes();
      byte[] packed = Packed.packed(plain);
      boolean worth = packed.length < plain.length * 9L / 10;
      return new Body(plain, worth ? packed : new byte[0]);
    } catch (IOException | Gone e) {
      // Whoever asks the usual way is told what is wrong.
      return null;
    }
  }

  private static void send(
      HttpServletRequest request, HttpServletResponse response, Ready file, Body body)
      throws IOException {
    response.setHeader("ETag", file.tag);
    response.setHeader("Cache-Control", file.caching);
    response.setHeader("Content-Security-Policy", file.policy);
    response.setHeader("Referrer-Policy", "strict-origin-when-cross-origin");
    response.setHeader("X-Content-Type-Options", "nosniff");
    boolean packs = body.gzip.length > 0;
    if (packs) {
      response.setHeader("Vary", "Accept-Encoding");
    }
    String known = request.getHeader("If-None-Match");
    if (known != null && known.contains(file.tag)) {
      response.setStatus(HttpServletResponse.SC_NOT_MODIFIED);
      return;
    }
    String encodings = request.getHeader("Accept-Encoding");
    boolean gzip = packs && encodings != null && Packed.takesGzip(encodings);
    byte[] bytes = gzip ? body.gzip : body.plain;
    if (gzip) {
      response.setHeader("Content-Encoding", "gzip");
    } else {
      response.setHeader("Accept-Ranges", "bytes");
    }
    response.setContentType(file.type);
    response.setContentLength(bytes.length);
    if (!request.getMethod().equals("HEAD")) {
      response.getOutputStream().write(bytes);
    }
  }
}
