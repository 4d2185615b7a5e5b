package giostra.server.own;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import giostra.core.output.Snippet;
import giostra.core.own.Mark;
import giostra.core.own.OwnPage;
import giostra.core.own.Side;
import giostra.core.own.Spot;
import giostra.core.value.Refused;
import giostra.server.media.BlobStore;
import giostra.server.page.PageService;
import giostra.server.site.Ids;
import giostra.server.snippet.SnippetService;
import giostra.server.web.Conflict;
import giostra.server.web.Gone;
import jakarta.persistence.EntityManager;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Pages that somebody brings, with sections and pieces of a page of ours in places of them. What
 * they came with is kept as it came; what is put in is that of the release that is live when they
 * are given back.
 */
@Service
class OwnPageService {
  private static final Logger LOG = LoggerFactory.getLogger(OwnPageService.class);
  private static final int MOST_PLACES = 60;
  private static final int MOST_PAGES = 50;

  /** How a section or a piece comes into a page. */
  enum Form {
    /** It shows the release that is live, whichever that is. */
    FOLLOWS,
    /** It shows one release for good. */
    STAYS,
    /** Its markup as it is, without script. */
    PLAIN
  }

  /** A place as it is kept. */
  record Kept(String id, Mark mark, String called, Side side, String node, Form form) {}

  /**
   * A place in a page.
   *
   * @param spot number of the element that it is at; null where nobody knows any more
   * @param called what that element was called when it was pointed at
   * @param node of the section or piece that stands there
   */
  record OwnPlace(
      String id, @Nullable Integer spot, String called, Side side, String node, Form form) {}

  /**
   * A page in a list.
   *
   * @param places how many there are
   * @param lost how many of them were not found again
   */
  record OwnPageLine(String id, String name, Instant broughtAt, int places, int lost) {}

  /** An element that something can be put at. */
  record OwnSpot(int number, int depth, String called, List<Side> sides) {}

  /**
   * A page that somebody brought.
   *
   * @param entry the path of its HTML
   * @param files how many came with it
   * @param encoding as browsers call it
   */
  record OwnPageReply(
      String id,
      String name,
      String entry,
      int files,
      String encoding,
      int revision,
      Instant broughtAt,
      List<OwnPlace> places,
      List<OwnSpot> spots) {}

  /**
   * A place that is asked for.
   *
   * @param id of one that is there; empty for a new one
   * @param spot number of its element; null for the one that it has
   */
  record OwnPlaceAsked(String id, @Nullable Integer spot, Side side, String node, Form form) {}

  /** A file as it is given back. */
  record Given(String name, boolean packed, byte[] bytes) {}

  /** A page as it is kept. */
  private record Loaded(OwnPageEntity row, List<OwnFileEntity> files) {}

  /** A page with its HTML, read. */
  private record Opened(OwnPageEntity row, List<OwnFileEntity> files, OwnPage page) {}

  private final OwnPageRows rows;
  private final OwnFileRows files;
  private final PageService pages;
  private final SnippetService snippets;
  private final BlobStore blobs;
  private final EntityManager entities;
  private final TransactionTemplate transaction;
  private final TransactionTemplate moment;
  private final JsonMapper mapper;
  private final Clock clock;

  /** What was read of them, by the hashes of their HTML: some of the largest, or many of most. */
  private final Cache<String, OwnPage> known =
      Caffeine.newBuilder()
          .maximumWeight(3L * OwnPage.MOST_BYTES)
          .weigher((String _, OwnPage page) -> page.weight())
          .build();

  OwnPageService(
      OwnPageRows rows,
      OwnFileRows files,
      PageService pages,
      SnippetService snippets,
      BlobStore blobs,
      EntityManager entities,
      PlatformTransactionManager transactions,
      JsonMapper mapper,
      Clock clock) {
    this.rows = rows;
    this.files = files;
    this.pages = pages;
    this.snippets = snippets;
    this.blobs = blobs;
    this.entities = entities;
    this.transaction = new TransactionTemplate(transactions);
    this.moment = new TransactionTemplate(transactions);
    moment.setReadOnly(true);
    moment.setIsolationLevel(TransactionDefinition.ISOLATION_REPEATABLE_READ);
    this.mapper = mapper;
    this.clock = clock;
  }

  // --- brought -----------------------------------------------------------------------------------

  /** All that were brought for a page, the newest first. */
  List<OwnPageLine> of(String pageId) {
    pages.place(pageId);
    return rows.findByPageIdOrderByBroughtAtDescId(pageId).stream().map(this::line).toList();
  }

  /** One that cannot be read any more takes no others with it: none of its places is known. */
  private OwnPageLine line(OwnPageEntity row) {
    int places = kept(row).size();
    int lost = places;
    try {
      List<OwnPlace> all = places(opened(row.pageId, row.id));
      places = all.size();
      lost = (int) all.stream().filter(place -> place.spot() == null).count();
    } catch (Gone e) {
      LOG.warn("a page of one's own cannot be read: {}", row.id, e);
    }
    return new OwnPageLine(row.id, row.name, row.broughtAt, places, lost);
  }

  /**
   * Takes a page in.
   *
   * @throws Refused for a file that is none
   */
  OwnPageReply bring(String pageId, String called, byte[] bytes) {
    pages.place(pageId);
    Brought brought = Brought.of(called, bytes);
    OwnPage.of(html(brought));
    List<OwnFileEntity> kept = keep(brought);
    var row = new OwnPageEntity();
    row.id = Ids.chance();
    row.pageId = pageId;
    row.name = brought.name();
    row.entry = brought.entry();
    row.packed = brought.packed();
    row.broughtAt = clock.instant();
    transaction.executeWithoutResult(_ -> {
      pages.hold(pageId);
      if (rows.countByPageId(pageId) >= MOST_PAGES) {
        throw new Refused("Pages of one’s own", "more than " + MOST_PAGES, "at most so many");
      }
      entities.persist(row);
      add(row.id, kept);
    });
    return open(pageId, row.id);
  }

  /**
   * Takes it in as it is now; places are found again, or stay to be pointed at anew.
   *
   * @throws Refused for a file that is none; what was there stays
   */
  OwnPageReply bringAnew(String pageId, String id, String called, byte[] bytes) {
    row(pageId, id);
    Brought brought = Brought.of(called, bytes);
    OwnPage page = OwnPage.of(html(brought));
    List<OwnFileEntity> now = keep(brought);
    transaction.executeWithoutResult(_ -> {
      OwnPageEntity row = rows.held(id, pageId).orElseThrow(() -> new Gone("page", id));
      List<Kept> places =
          kept(row).stream()
              .map(each -> page.find(each.mark()).map(spot -> at(each, page, spot)).orElse(each))
              .toList();
      files.clear(id);
      entities.flush();
      add(id, now);
      rows.bring(
          id,
          brought.name(),
          brought.entry(),
          brought.packed(),
          mapper.writeValueAsString(places),
          clock.instant());
    });
    return open(pageId, id);
  }

  private static Kept at(Kept place, OwnPage page, Spot spot) {
    return new Kept(
        place.id(), page.mark(spot), spot.called(), place.side(), place.node(), place.form());
  }

  private static byte[] html(Brought brought) {
    byte[] html = brought.files().get(brought.entry());
    if (html == null) {
      throw new Gone("file", brought.entry());
    }
    return html;
  }

  private List<OwnFileEntity> keep(Brought brought) {
    var all = new ArrayList<OwnFileEntity>();
    brought
        .files()
        .forEach((path, bytes) -> {
          var file = new OwnFileEntity();
          file.place = all.size();
          file.path = path;
          file.hash = blobs.put(bytes);
          file.bytes = bytes.length;
          all.add(file);
        });
    return all;
  }

  private void add(String id, List<OwnFileEntity> all) {
    for (OwnFileEntity each : all) {
      each.ownPageId = id;
      entities.persist(each);
    }
  }

  /** Takes it away. */
  void drop(String pageId, String id) {
    Integer dropped = transaction.execute(_ -> rows.drop(id, pageId));
    if (dropped == null || dropped == 0) {
      throw new Gone("page", id);
    }
  }

  // --- its places --------------------------------------------------------------------------------

  /** A page with its places. */
  OwnPageReply open(String pageId, String id) {
    Opened opened = opened(pageId, id);
    OwnPageEntity row = opened.row();
    return new OwnPageReply(
        row.id,
        row.name,
        row.entry,
        opened.files().size(),
        opened.page().encoding(),
        row.revision,
        row.broughtAt,
        places(opened),
        opened.page().spots().stream()
            .map(each ->
                new OwnSpot(
                    each.number(),
                    each.depth(),
                    each.called(),
                    each.sides().stream().sorted().toList()))
            .toList());
  }

  /**
   * Says which places there are.
   *
   * @param revision that it is told of
   * @throws Conflict where somebody else changed it since
   * @throws Refused for a place where nothing can stand, and for what is not on the page
   */
  OwnPageReply place(String pageId, String id, int revision, List<OwnPlaceAsked> asked) {
    if (asked.size() > MOST_PLACES) {
      throw new Refused("Places", Integer.toString(asked.size()), "at most " + MOST_PLACES);
    }
    Opened opened = opened(pageId, id);
    List<Kept> there = kept(opened.row());
    var all = new ArrayList<Kept>();
    var ids = new HashSet<String>();
    for (OwnPlaceAsked each : asked) {
      Kept place = placed(pageId, opened.page(), there, each);
      if (!ids.add(place.id())) {
        throw new Refused("Place", place.id(), "told once");
      }
      all.add(place);
    }
    // Those that are known have room beside one another.
    opened.page().with(puts(opened.page(), all, _ -> ""));
    String places = mapper.writeValueAsString(all);
    Integer done = transaction.execute(_ -> rows.place(id, revision, places));
    if (done == null || done == 0) {
      throw new Conflict(
          "Somebody else has changed the places of this page meanwhile.",
          Map.of("page", open(pageId, id)));
    }
    return open(pageId, id);
  }

  private Kept placed(String pageId, OwnPage page, List<Kept> there, OwnPlaceAsked asked) {
    Optional<Kept> before = there.stream().filter(each -> each.id().equals(asked.id())).findFirst();
    if (before.isEmpty() && !asked.id().isEmpty()) {
      throw new Refused("Place", asked.id(), "one of the page, or none for a new one");
    }
    boolean same = before.isPresent() && asked.node().equals(before.get().node());
    if (!same) {
      Snippet.alone(pages.head(pageId).document(), asked.node());
    }
    String place = before.map(Kept::id).orElseGet(Ids::chance);
    if (asked.spot() == null) {
      Kept was =
          before.orElseThrow(() -> new Refused("Element of a new place", "missing", "its number"));
      page.find(was.mark())
          .filter(_ -> was.side() != asked.side())
          .ifPresent(spot -> page.check(spot, asked.side()));
      return new Kept(place, was.mark(), was.called(), asked.side(), asked.node(), asked.form());
    }
    Spot spot = page.spot(asked.spot());
    page.check(spot, asked.side());
    return new Kept(
        place, page.mark(spot), spot.called(), asked.side(), asked.node(), asked.form());
  }

  private List<OwnPlace> places(Opened opened) {
    return kept(opened.row()).stream()
        .map(each ->
            new OwnPlace(
                each.id(),
                found(opened.page(), each).map(Spot::number).orElse(null),
                each.called(),
                each.side(),
                each.node(),
                each.form()))
        .toList();
  }

  /** The element of a place, as long as something can stand on that side of it. */
  private static Optional<Spot> found(OwnPage page, Kept place) {
    return page.find(place.mark()).filter(spot -> spot.sides().contains(place.side()));
  }

  private List<Kept> kept(OwnPageEntity row) {
    return mapper.readValue(row.places, new TypeReference<List<Kept>>() {});
  }

  private OwnPageEntity row(String pageId, String id) {
    return rows.findByIdAndPageId(id, pageId).orElseThrow(() -> new Gone("page", id));
  }

  /** A page and its files as they were at one moment, whoever brings it anew meanwhile. */
  private Opened opened(String pageId, String id) {
    Loaded loaded =
        Objects.requireNonNull(
            moment.execute(
                _ -> new Loaded(row(pageId, id), files.findByOwnPageIdOrderByPlace(id))));
    OwnPageEntity row = loaded.row();
    List<OwnFileEntity> all = loaded.files();
    String html =
        all.stream()
            .filter(each -> each.path.equals(row.entry))
            .map(each -> each.hash)
            .findFirst()
            .orElseThrow(() -> new Gone("file", row.entry));
    OwnPage page = Objects.requireNonNull(known.get(html, hash -> OwnPage.of(blobs.get(hash))));
    return new Opened(row, all, page);
  }

  private static List<OwnPage.Put> puts(
      OwnPage page, List<Kept> places, Function<Kept, String> lines) {
    return places.stream()
        .flatMap(each ->
            found(page, each).stream()
                .map(spot -> new OwnPage.Put(spot, each.side(), lines.apply(each))))
        .toList();
  }

  // --- given back --------------------------------------------------------------------------------

  /**
   * It as it came, with what is live in its places.
   *
   * @param origin of this server, as visitors know it
   * @throws Conflict where nothing is live, or a place is not known any more
   */
  Given give(String pageId, String id, String origin) {
    Opened opened = opened(pageId, id);
    OwnPageEntity row = opened.row();
    List<Kept> places = kept(row);
    for (Kept each : places) {
      Optional<Spot> spot = found(opened.page(), each);
      // What was brought anew may be written otherwise there.
      spot.ifPresent(found -> opened.page().check(found, each.side()));
      if (spot.isEmpty()) {
        throw new Conflict(
            "The place at "
                + each.called()
                + " was not found again: point at it anew, or take it"
                + " away.",
            Map.of());
      }
    }
    byte[] html =
        opened.page().with(puts(opened.page(), places, each -> lines(pageId, each, origin)));
    if (!row.packed) {
      return new Given(row.name, false, html);
    }
    var out = new ByteArrayOutputStream();
    try (var zip = new ZipOutputStream(out)) {
      for (OwnFileEntity file : opened.files()) {
        var entry = new ZipEntry(file.path);
        entry.setTimeLocal(LocalDateTime.ofInstant(row.broughtAt, ZoneOffset.UTC));
        zip.putNextEntry(entry);
        zip.write(file.path.equals(row.entry) ? html : blobs.get(file.hash));
        zip.closeEntry();
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return new Given(row.name, true, out.toByteArray());
  }

  private String lines(String pageId, Kept place, String origin) {
    SnippetService.SnippetTaken taken = snippets.take(pageId, place.node(), origin);
    return switch (place.form()) {
      case FOLLOWS -> taken.follows();
      case STAYS -> taken.stays();
      case PLAIN -> taken.plain();
    };
  }

  // --- seen --------------------------------------------------------------------------------------

  /**
   * A file to be looked at.
   *
   * @param encoding of the page; empty for what is not the page
   */
  record Seen(String path, String encoding, byte[] bytes) {}

  /**
   * A file of it, its HTML with what is live in its places and its elements numbered.
   *
   * @param path of the file; empty for the page
   */
  Seen see(String pageId, String id, String path, String origin) {
    OwnPageEntity row = row(pageId, id);
    if (!path.isEmpty() && !path.equals(row.entry)) {
      OwnFileEntity file =
          files.findByOwnPageIdAndPath(id, path).orElseThrow(() -> new Gone("file", path));
      return new Seen(path, "", blobs.get(file.hash));
    }
    Opened opened = opened(pageId, id);
    OwnPage page = opened.page();
    List<OwnPage.Put> puts =
        puts(page, kept(opened.row()), each -> seen(pageId, page, each, origin));
    return new Seen(opened.row().entry, page.encoding(), page.numbered(puts));
  }

  /** What is seen in a place: nothing moves there, and what is not live yet is told. */
  private String seen(String pageId, OwnPage page, Kept place, String origin) {
    String lines;
    try {
      lines = snippets.plain(pageId, place.node(), origin);
      lines = page.has(lines) ? lines : ascii(lines);
    } catch (Conflict | Refused e) {
      lines =
          "<div style=\"all:initial;display:block;padding:24px;border:2px dashed;"
              + "font:16px sans-serif\">Nothing of this is live yet.</div>";
    }
    return "<div style=\"display:contents\" data-giostra-place=\""
        + place.id()
        + "\">"
        + lines
        + "</div>";
  }

  /** In letters that are in any encoding; of styles some may be lost where they are seen. */
  private static String ascii(String lines) {
    var out = new StringBuilder();
    lines
        .codePoints()
        .forEach(each -> {
          if (each < 128) {
            out.append((char) each);
          } else {
            out.append("&#").append(each).append(';');
          }
        });
    return out.toString();
  }
}
