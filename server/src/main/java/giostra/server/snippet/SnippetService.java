package giostra.server.snippet;

import giostra.core.layout.RoomHeights;
import giostra.core.output.Hash;
import giostra.core.output.Html;
import giostra.core.output.Snippet;
import giostra.core.page.Document;
import giostra.core.value.Refused;
import giostra.server.host.PageFiles;
import giostra.server.media.BlobStore;
import giostra.server.media.MediaService;
import giostra.server.page.PageService;
import giostra.server.page.Revisions;
import giostra.server.page.Stage;
import giostra.server.release.ReleaseService;
import giostra.server.stock.StockService;
import giostra.server.web.Conflict;
import giostra.server.web.Gone;
import giostra.server.web.Packed;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.URISyntaxException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Service;

/**
 * Sections and pieces in pages of somebody else's. What is answered of one is made with its release
 * and never changes; who follows a page gets that of the release that is live.
 */
@Service
public class SnippetService {
  private static final Logger LOG = LoggerFactory.getLogger(SnippetService.class);

  /** Where one was seen is noted so often, and in so many places, at the most. */
  private static final Duration SEEN_AGAIN = Duration.ofHours(1);

  private static final int MOST_PLACES = 200;
  private static final int LONGEST_ORIGIN = 300;

  /** From the files of a release to the scripts. */
  private static final String SCRIPTS = "../../../scripts/";

  private static final String OLD_PAGE = oldPage();

  private final SnippetRows rows;
  private final ReleaseService releases;
  private final PageService pages;
  private final Revisions revisions;
  private final StockService stock;
  private final MediaService media;
  private final Stage stage;
  private final PageFiles files;
  private final BlobStore blobs;
  private final Clock clock;

  SnippetService(
      SnippetRows rows,
      ReleaseService releases,
      PageService pages,
      Revisions revisions,
      StockService stock,
      MediaService media,
      Stage stage,
      PageFiles files,
      BlobStore blobs,
      Clock clock) {
    this.rows = rows;
    this.releases = releases;
    this.pages = pages;
    this.revisions = revisions;
    this.stock = stock;
    this.media = media;
    this.stage = stage;
    this.files = files;
    this.blobs = blobs;
    this.clock = clock;
  }

  /**
   * What somebody pastes.
   *
   * @param release that is live, of which it was made
   * @param follows what shows the release that is live, whichever that is
   * @param stays what shows this release for good
   * @param plain what asks for no script: its markup as it is now
   * @param gzip bytes of its answer on the way
   */
  public record SnippetTaken(
      String node, int release, String follows, String stays, String plain, long gzip) {}

  /** A section or a piece in a release, as whoever compiles it needs it. */
  private record Held(PageService.Place page, ReleaseService.Held release, Document shown) {
    Set<String> paths() {
      return release.files().stream().map(file -> file.path()).collect(Collectors.toSet());
    }
  }

  /**
   * Takes a snippet of a section or a piece of the release that is live. From now on each release
   * has it.
   *
   * @param origin of this server, as whoever asks knows it
   */
  public SnippetTaken take(String pageId, String node, String origin) {
    Held held = live(pageId);
    Snippet.alone(held.shown(), node);
    rows.take(pageId, node, clock.instant());
    return taken(held, node, origin);
  }

  /**
   * What asks for no script, of the release that is live; nobody has taken it.
   *
   * @param origin of this server, as whoever asks knows it
   * @throws Refused when there is no such section or piece
   */
  public String plain(String pageId, String node, String origin) {
    Held held = live(pageId);
    Snippet.alone(held.shown(), node);
    return plain(held, node, origin);
  }

  private Held live(String pageId) {
    ReleaseService.Line live =
        releases
            .live(pageId)
            .orElseThrow(() ->
                new Conflict("Nothing is published yet: a snippet shows what is live.", Map.of()));
    return held(pageId, live.number());
  }

  private static String folder(Held held, String origin) {
    return origin + "/snippets/" + held.page().siteId() + "/" + held.page().slug() + "/";
  }

  private String plain(Held held, String node, String origin) {
    return new Html()
            .open("giostra-piece")
            .raw(
                made(held, node, false)
                    .at(
                        folder(held, origin) + held.release().number() + "/",
                        live(origin, held.page())))
            .close("giostra-piece")
            .toString()
        + "\n";
  }

  private SnippetTaken taken(Held held, String node, String origin) {
    Document alone = Snippet.alone(held.shown(), node);
    int live = held.release().number();
    String answer = answer(held, node);
    String folder = folder(held, origin);
    List<RoomHeights.Point> heights = RoomHeights.of(alone, media.sizes(held.page().siteId()));
    var until = new Until(origin, held.page(), node, RoomHeights.css(heights, "p"));
    return new SnippetTaken(
        node,
        live,
        loader(origin + "/snippets/scripts/" + PageFiles.PIECE + ".js", "")
            + until.element(folder + "live/" + node + ".html"),
        pinned(origin) + until.element(folder + live + "/" + node + ".html"),
        plain(held, node, origin),
        Packed.gzip(answer.getBytes(StandardCharsets.UTF_8)));
  }

  /**
   * What stands in a page before the piece is there, and where it cannot be had: a link to the live
   * page, in as much room as the piece will take.
   *
   * @param heights rules for a paragraph
   */
  private record Until(String origin, PageService.Place page, String node, String heights) {
    private static final String ROOM =
        ":host{" + Snippet.BORDER + ";container-type:inline-size!important}p{margin:0}";
    private static final String NOT_TO_BE_HAD =
        ":host([data-missing]) p{min-height:0!important}"
            + "@media (scripting: none){p{min-height:0!important}}";

    String element(String src) {
      String live = live(origin, page);
      return new Html()
          .open("giostra-piece", "src", src)
          .raw("<template shadowrootmode=\"open\"><style>" + ROOM + heights + NOT_TO_BE_HAD)
          .raw("</style><p><slot></slot></p></template>\n")
          .open("a", "href", live + "#g-" + node)
          .text(live.substring(live.indexOf("//") + 2))
          .close("a")
          .close("giostra-piece")
          .raw("\n")
          .toString();
    }
  }

  private static String live(String origin, PageService.Place page) {
    return origin + "/live/" + page.siteId() + "/" + page.slug() + "/";
  }

  private static String loader(String address, String integrity) {
    return new Html()
        .open(
            "script",
            "src",
            address,
            "integrity",
            integrity,
            "crossorigin",
            integrity.isEmpty() ? "" : "anonymous",
            "async",
            "async")
        .close("script")
        .raw("\n")
        .toString();
  }

  private String pinned(String origin) {
    PageFiles.Script piece = script(PageFiles.PIECE);
    return loader(origin + "/snippets/scripts/" + piece.file(), Hash.integrity(piece.bytes()));
  }

  private PageFiles.Script script(String name) {
    return Objects.requireNonNull(files.inRooms().get(name), name);
  }

  private Held held(String pageId, int number) {
    ReleaseService.Held held = releases.held(pageId, number);
    PageService.Place page = pages.place(pageId);
    Document was = revisions.was(pageId, held.revision(), held.siteRevision());
    return new Held(page, held, stock.expanded(page.siteId(), was));
  }

  private Optional<String> known(String page, int release, String node) {
    return rows.answer(page, release, node)
        .map(hash -> new String(blobs.get(hash), StandardCharsets.UTF_8));
  }

  /** What is answered of one that was taken after its release. */
  private String late(PageService.Place page, int release, String node) {
    try {
      return answer(held(page.id(), release), node);
    } catch (Refused e) {
      throw new Gone("section or piece in release " + release, node);
    }
  }

  /** What is answered of one, made where it is not there yet. */
  private String answer(Held held, String node) {
    String page = held.page().id();
    int release = held.release().number();
    return known(page, release, node)
        .orElseGet(() -> {
          String made = made(held, node, true).kept();
          files.inRooms().values().forEach(each -> rows.keep(each.file(), blobs.put(each.bytes())));
          rows.answered(page, release, node, blobs.put(made.getBytes(StandardCharsets.UTF_8)));
          return made;
        });
  }

  private Snippet made(Held held, String node, boolean scripted) {
    Map<String, String> scripts =
        files.inRooms().entrySet().stream()
            .collect(Collectors.toMap(Map.Entry::getKey, each -> SCRIPTS + each.getValue().file()));
    return stage.snippet(
        held.page().siteId(),
        held.shown(),
        held.release().at(),
        node,
        scripts,
        held.paths()::contains,
        scripted);
  }

  /** With a release come the snippets that were taken of its page. */
  @EventListener
  void published(ReleaseService.Published published) {
    List<String> taken = rows.taken(published.page());
    if (taken.isEmpty()) {
      return;
    }
    Held held = held(published.page(), published.number());
    for (String node : taken) {
      try {
        answer(held, node);
      } catch (RuntimeException e) {
        // The page is published all the same; whoever asks for this one is told.
        LOG.warn("No snippet of {} with release {}", node, published.number(), e);
      }
    }
  }

  /**
   * An answer, with the addresses of its files.
   *
   * @param tag names what is in it
   */
  record Answer(String html, String tag) {}

  /**
   * What a page of another origin is answered with.
   *
   * @param number of a release; {@code live} for the one that is
   */
  Answer answer(String siteId, String slug, String number, String node, String origin) {
    PageService.Place page = pages.find(siteId, slug).orElseThrow(() -> new Gone("page", slug));
    int release =
        number.equals("live")
            ? releases.live(page.id()).orElseThrow(() -> new Gone("release of page", slug)).number()
            : number(number);
    if (!rows.taken(page.id()).contains(node)) {
      throw new Gone("snippet", node);
    }
    String kept = known(page.id(), release, node).orElseGet(() -> late(page, release, node));
    String base = origin + "/snippets/" + siteId + "/" + slug + "/" + release + "/";
    String html = Snippet.at(kept, base, live(origin, page));
    return new Answer(html, Hash.of(html));
  }

  /** A page that somebody else might have made long ago, with a snippet in it, wide and narrow. */
  String oldPage(String siteId, String slug, String node, String origin) {
    PageService.Place page = pages.find(siteId, slug).orElseThrow(() -> new Gone("page", slug));
    if (!rows.taken(page.id()).contains(node)) {
      throw new Gone("snippet", node);
    }
    String folder = origin + "/snippets/" + siteId + "/" + slug + "/live/";
    String element =
        new Html()
            .open("giostra-piece", "src", folder + node + ".html")
            .close("giostra-piece")
            .toString();
    return OLD_PAGE
        .replace("{{script}}", loader(origin + "/snippets/scripts/" + PageFiles.PIECE + ".js", ""))
        .replace("{{snippet}}", element);
  }

  private static String oldPage() {
    try (InputStream in = SnippetService.class.getResourceAsStream("old-page.html")) {
      return new String(
          Objects.requireNonNull(in, "old-page.html").readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static int number(String written) {
    try {
      return Integer.parseInt(written);
    } catch (NumberFormatException e) {
      throw new Gone("release", written);
    }
  }

  /** A script that answers ask for, of this version or an earlier one. */
  byte[] scriptFile(String file) {
    return files.inRooms().values().stream()
        .filter(each -> each.file().equals(file))
        .findFirst()
        .map(PageFiles.Script::bytes)
        .orElseGet(() -> blobs.get(rows.script(file).orElseThrow(() -> new Gone("script", file))));
  }

  /** The script that pages ask for by a name that stays. */
  byte[] piece() {
    return script(PageFiles.PIECE).bytes();
  }

  /**
   * Notes where one is seen: by the origin alone, and never so that an answer waits for it to work.
   *
   * @param referer what a browser says of the page that asks; nothing where it says nothing
   */
  void seen(String siteId, String slug, String node, String referer, Set<String> own) {
    String from = origin(referer);
    if (from.isEmpty() || own.contains(from)) {
      return;
    }
    Instant now = clock.instant();
    try {
      pages
          .find(siteId, slug)
          .ifPresent(
              page -> rows.see(page.id(), node, from, now, now.minus(SEEN_AGAIN), MOST_PLACES));
    } catch (DataAccessException e) {
      LOG.warn("Where {} is seen was not noted", node, e);
    }
  }

  private static String origin(String referer) {
    try {
      URI address = new URI(referer);
      String scheme = Objects.requireNonNullElse(address.getScheme(), "").toLowerCase(Locale.ROOT);
      String from = scheme + "://" + address.getRawAuthority();
      boolean web = scheme.equals("http") || scheme.equals("https");
      return web
              && address.getHost() != null
              && address.getRawUserInfo() == null
              && from.length() <= LONGEST_ORIGIN
          ? from
          : "";
    } catch (URISyntaxException e) {
      return "";
    }
  }

  /** A place where one was seen. */
  record SnippetPlace(String origin, Instant at) {}

  /** One that somebody took, and where it was seen, the latest first. */
  record SnippetLine(String node, List<SnippetPlace> seen) {}

  List<SnippetLine> of(String pageId) {
    pages.place(pageId);
    Map<String, List<SnippetPlace>> seen =
        rows.seen(pageId).stream()
            .collect(
                Collectors.groupingBy(
                    SnippetRows.Seen::getNode,
                    Collectors.mapping(
                        each -> new SnippetPlace(each.getOrigin(), each.getAt()),
                        Collectors.toList())));
    return rows.taken(pageId).stream()
        .map(node -> new SnippetLine(node, seen.getOrDefault(node, List.of())))
        .toList();
  }
}
