package giostra.server.page;

import giostra.core.band.Bands;
import giostra.core.band.Refused;
import giostra.core.band.Values;
import giostra.core.format.DocumentJson;
import giostra.core.format.EditJson;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Node;
import giostra.core.page.Page;
import giostra.core.page.PageSettings;
import giostra.core.page.Site;
import giostra.core.page.SiteSettings;
import giostra.server.site.SiteEntity;
import giostra.server.site.SiteRows;
import giostra.server.stock.StockService;
import giostra.server.web.Conflict;
import giostra.server.web.Gone;
import java.time.Clock;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;

/**
 * Pages and their revisions. Each change reads the head, computes in the core, and appends; what is
 * acknowledged is committed.
 */
@Service
public class PageService {
  private final SiteRows sites;
  private final PageRows pages;
  private final RevisionRows revisions;
  private final StockService stock;
  private final Clock clock;
  private final Documents documents = new Documents();

  PageService(
      SiteRows sites, PageRows pages, RevisionRows revisions, StockService stock, Clock clock) {
    this.sites = sites;
    this.stock = stock;
    this.pages = pages;
    this.revisions = revisions;
    this.clock = clock;
  }

  /**
   * A page at its newest revision.
   *
   * @param liveRelease id of the release that is live, if any
   */
  public record Head(
      String id,
      String siteId,
      String slug,
      int revision,
      boolean canUndo,
      boolean canRedo,
      Document document,
      @Nullable Long liveRelease) {}

  /** What a change came to: the page before and after it. */
  public record Change(Document before, Head after) {}

  /** Makes a site with the usual bands. */
  @Transactional
  public SiteEntity addSite(String name) {
    if (name.isBlank() || name.length() > 120) {
      throw new Refused("Name of the site", name, "1 to 120 characters");
    }
    return addSite(word(name), name);
  }

  /** Makes a site with an id, or another one where that is taken. */
  @Transactional
  public SiteEntity addSite(String wanted, String name) {
    String id = word(wanted);
    String free = sites.existsById(id) ? id + "-" + clock.millis() % 100_000 : id;
    Values values = Values.NONE.with(SiteSettings.NAME, Values.ALL, name);
    Site site = new Site(Bands.INITIAL, values);
    return sites.save(
        new SiteEntity(free, name, DocumentJson.write(site).toString(), clock.instant()));
  }

  /**
   * Makes a page.
   *
   * @param document a whole document, or null for an empty page; its site part is put aside, since
   *     the site has its own, unless the site has no page yet
   */
  @Transactional
  public Head addPage(String siteId, String title, @Nullable JsonNode document) {
    SiteEntity site = sites.hold(siteId).orElseThrow(() -> new Gone("site", siteId));
    Document read = document == null ? empty(site, title) : DocumentJson.read(document);
    if (document != null) {
      read = adopt(site, read);
    }
    String name = read.page().values().get(PageSettings.TITLE);
    return made(siteId, freeSlug(siteId, word(name.isBlank() ? "page" : name)), read);
  }

  private Head made(String siteId, String slug, Document read) {
    var row = new PageEntity();
    row.id = siteId + "-" + slug;
    row.siteId = siteId;
    row.slug = slug;
    row.createdAt = clock.instant();
    pages.save(row);
    RevisionEntity first = append(row, "made", read, List.of(), List.of());
    return head(row, first, read);
  }

  /** A site. */
  @Transactional(readOnly = true)
  public SiteEntity site(String siteId) {
    return sites.findById(siteId).orElseThrow(() -> new Gone("site", siteId));
  }

  /** Makes a page of a document with the slug that it had elsewhere. */
  @Transactional
  public Head importPage(String siteId, String slug, Document document) {
    SiteEntity site = sites.hold(siteId).orElseThrow(() -> new Gone("site", siteId));
    return made(siteId, freeSlug(siteId, word(slug)), adopt(site, document));
  }

  private Document adopt(SiteEntity site, Document read) {
    if (pages.findBySiteIdOrderByCreatedAt(site.id()).isEmpty()) {
      keep(site, read.site());
      return read;
    }
    Site own = site(site);
    if (!own.bands().all().stream()
        .map(b -> b.id())
        .toList()
        .equals(read.bands().all().stream().map(b -> b.id()).toList())) {
      throw new Refused(
              "bands of the document", ids(read.bands()), "those of the site: " + ids(own.bands()))
          .at("/site/bands");
    }
    return new Document(own, read.page());
  }

  private static String ids(Bands bands) {
    return String.join(", ", bands.all().stream().map(b -> b.id()).toList());
  }

  private Document empty(SiteEntity site, String title) {
    if (title.isBlank()) {
      throw new Refused("Title of the page", title, "1 to 200 characters");
    }
    Values values = Values.NONE.with(PageSettings.TITLE, Values.ALL, title);
    return new Document(site(site), new Page("page", values, List.of()));
  }

  private static Site site(SiteEntity site) {
    var json = JsonNodeFactory.instance.objectNode().put("giostra", DocumentJson.VERSION);
    json.set("site", DocumentJson.parse(site.document()));
    json.set("page", DocumentJson.write(new Page("page", Values.NONE, List.of())));
    return DocumentJson.read(json).site();
  }

  private String freeSlug(String siteId, String slug) {
    String free = slug;
    for (int i = 2; pages.existsBySiteIdAndSlug(siteId, free); i++) {
      free = slug + "-" + i;
    }
    return free;
  }

  private static String word(String name) {
    String word =
        java.text.Normalizer.normalize(name, java.text.Normalizer.Form.NFD)
            .toLowerCase(Locale.ROOT)
            .replaceAll("\\p{M}", "")
            .replaceAll("[^a-z0-9]+", "-")
            .replaceAll("^-+|-+$", "");
    String cut = word.substring(0, Math.min(40, word.length()));
    return cut.isEmpty() || !Character.isLetter(cut.charAt(0)) ? "p-" + cut : cut;
  }

  /** All sites, oldest first. */
  @Transactional(readOnly = true)
  public List<SiteEntity> sites() {
    return sites.inOrder();
  }

  /** The pages of a site, oldest first. */
  @Transactional(readOnly = true)
  public List<Head> pages(String siteId) {
    return pages.findBySiteIdOrderByCreatedAt(siteId).stream().map(this::head).toList();
  }

  /** A page at its newest revision. */
  @Transactional(readOnly = true)
  public Head head(String pageId) {
    return head(page(pageId));
  }

  /** The page of a site with that slug. */
  @Transactional(readOnly = true)
  public Optional<Head> find(String siteId, String slug) {
    return pages.findBySiteIdAndSlug(siteId, slug).map(this::head);
  }

  /** A page as it is shown: with what it links to put in. */
  @Transactional(readOnly = true)
  public Document shown(Head head) {
    return stock.expanded(head.siteId(), head.document());
  }

  /** The revisions of a page, newest first. */
  @Transactional(readOnly = true)
  public List<RevisionRows.Line> history(String pageId) {
    page(pageId);
    return revisions.lines(pageId);
  }

  /** Says which release of a page is live. */
  @Transactional
  public void setLive(String pageId, long release) {
    pages.hold(pageId).orElseThrow(() -> new Gone("page", pageId)).liveRelease = release;
  }

  /**
   * Applies edits made on some revision. Where others have edited meanwhile, they are applied on
   * top if they touch other paths.
   *
   * @throws Conflict with the newer document when they touch the same ones
   */
  @Transactional
  public Change edit(String pageId, int base, JsonNode json) {
    PageEntity page = hold(pageId, json);
    RevisionEntity head = headRow(page);
    Document before = documents.of(head);
    if (base > head.number || base < 0) {
      throw new Refused("revision", Integer.toString(base), "0 to " + head.number).at("/revision");
    }
    List<Edit> edits = readOn(page, base, head, before, json);
    if (base < head.number) {
      refuseOverlap(page, base, before, edits);
    }
    Edits.Applied applied = applyOrConflict(page, base, head, before, edits);
    if (edits.isEmpty() || applied.document().equals(before)) {
      return new Change(before, head(page, head, before));
    }
    RevisionEntity next = append(page, "edit", applied.document(), edits, applied.inverse());
    shareSite(page, edits, applied.document());
    return new Change(before, head(page, next, applied.document()));
  }

  /**
   * Applies edits that are computed of the page as it stands, as one step of undo: nothing can come
   * between reading and writing.
   */
  @Transactional
  public Change change(String pageId, Function<Document, List<Edit>> edits) {
    PageEntity page = hold(pageId, null);
    Document before = documents.of(headRow(page));
    List<Edit> made = edits.apply(before);
    Edits.Applied applied = Edits.apply(before, made);
    if (applied.document().equals(before)) {
      return new Change(before, head(page, headRow(page), before));
    }
    RevisionEntity next = append(page, "edit", applied.document(), made, applied.inverse());
    shareSite(page, made, applied.document());
    return new Change(before, head(page, next, applied.document()));
  }

  private List<Edit> readOn(
      PageEntity page, int base, RevisionEntity head, Document before, JsonNode json) {
    try {
      return EditJson.read(json, before.bands());
    } catch (Refused | DocumentJson.Faults e) {
      if (base < head.number) {
        // It may have been right on the revision it was made on: a band that is gone since, say.
        throw conflict(page, head, before, e.getMessage() == null ? "" : e.getMessage());
      }
      throw e;
    }
  }

  private Edits.Applied applyOrConflict(
      PageEntity page, int base, RevisionEntity head, Document before, List<Edit> edits) {
    try {
      return Edits.apply(before, edits);
    } catch (Refused e) {
      if (base < head.number) {
        throw conflict(page, head, before, e.getMessage() == null ? "" : e.getMessage());
      }
      throw e;
    }
  }

  /** Pages are held in one order, the site first: a change of the site changes all its pages. */
  private PageEntity hold(String pageId, @Nullable JsonNode edits) {
    PageEntity page = page(pageId);
    boolean site =
        edits == null
            || edits.toString().contains("\"site\"")
            || edits.toString().contains("Band")
            || edits.toString().contains("Breakpoint");
    if (site) {
      sites.hold(page.siteId);
      pages.holdAll(page.siteId);
    }
    return pages.hold(pageId).orElseThrow(() -> new Gone("page", pageId));
  }

  private void refuseOverlap(PageEntity page, int base, Document before, List<Edit> edits) {
    Set<String> mine = new HashSet<>();
    edits.forEach(edit -> mine.addAll(Edits.touched(before, edit)));
    RevisionEntity at =
        revisions
            .findByPageIdAndNumber(page.id, base)
            .orElseThrow(() -> new Gone("revision", Integer.toString(base)));
    Document then = DocumentJson.read(at.document);
    for (RevisionEntity later :
        revisions.findByPageIdAndNumberGreaterThanOrderByNumber(page.id, base)) {
      for (Edit edit : EditJson.read(DocumentJson.parse(later.edits), then.bands())) {
        for (String theirs : Edits.touched(then, edit)) {
          if (mine.stream().anyMatch(path -> Edits.meet(path, theirs))) {
            throw conflict(page, headRow(page), before, theirs + " was changed in another window");
          }
        }
      }
      then = DocumentJson.read(later.document);
    }
  }

  private Conflict conflict(PageEntity page, RevisionEntity head, Document newer, String why) {
    return new Conflict(
        "Your change was made on an older revision, and cannot be put on the newer one: " + why,
        Map.of("page", page.id, "revision", head.number, "document", DocumentJson.write(newer)));
  }

  /** Appends the revision that takes the newest change back. */
  @Transactional
  public Change undo(String pageId) {
    PageEntity page = hold(pageId, null);
    RevisionEntity head = headRow(page);
    if (head.undoTarget == null) {
      throw new Refused("Undo", "at the first change", "used after a change");
    }
    RevisionEntity rest = row(page, head.undoRest);
    return again(
        page,
        head,
        row(page, head.undoTarget),
        "undo",
        next -> {
          next.undoTarget = rest.undoTarget;
          next.undoRest = rest.undoRest;
          next.redoTarget = next.number;
          next.redoRest = head.number;
        });
  }

  /** Appends the revision that takes the newest undo back. */
  @Transactional
  public Change redo(String pageId) {
    PageEntity page = hold(pageId, null);
    RevisionEntity head = headRow(page);
    if (head.redoTarget == null) {
      throw new Refused("Redo", "at the newest change", "used after an undo");
    }
    RevisionEntity rest = row(page, head.redoRest);
    return again(
        page,
        head,
        row(page, head.redoTarget),
        "redo",
        next -> {
          next.undoTarget = next.number;
          next.undoRest = head.number;
          next.redoTarget = rest.redoTarget;
          next.redoRest = rest.redoRest;
        });
  }

  private Change again(
      PageEntity page,
      RevisionEntity head,
      RevisionEntity target,
      String kind,
      java.util.function.Consumer<RevisionEntity> stacks) {
    Document before = documents.of(head);
    List<Edit> edits = EditJson.read(DocumentJson.parse(target.inverse), before.bands());
    Edits.Applied applied = Edits.apply(before, edits);
    RevisionEntity next = append(page, kind, applied.document(), edits, applied.inverse());
    stacks.accept(next);
    shareSite(page, edits, applied.document());
    return new Change(before, head(page, next, applied.document()));
  }

  /** Appends a revision with the document of an older one. */
  @Transactional
  public Change restore(String pageId, int number) {
    PageEntity page = hold(pageId, null);
    RevisionEntity head = headRow(page);
    Document before = documents.of(head);
    Document old =
        DocumentJson.read(
            revisions
                .findByPageIdAndNumber(pageId, number)
                .orElseThrow(() -> new Gone("revision", Integer.toString(number)))
                .document);
    List<Edit> edits = List.of(new Edit.Replace(old));
    Edits.Applied applied = Edits.apply(before, edits);
    RevisionEntity next = append(page, "restore", old, edits, applied.inverse());
    if (!old.site().equals(before.site())) {
      shareSite(page, List.of(new Edit.SetBands(old.bands())), old);
    }
    return new Change(before, head(page, next, old));
  }

  /** What is said of the site on one page is said on all of them. */
  private void shareSite(PageEntity from, List<Edit> edits, Document document) {
    if (edits.stream().noneMatch(edit -> edit.ofSite() || edit instanceof Edit.Replace)) {
      return;
    }
    sites.findById(from.siteId).ifPresent(site -> keep(site, document.site()));
    List<Edit> shared = edits.stream().filter(Edit::ofSite).toList();
    for (PageEntity other : pages.findBySiteIdOrderByCreatedAt(from.siteId)) {
      if (!other.id.equals(from.id) && !shared.isEmpty()) {
        Document before = documents.of(headRow(other));
        Edits.Applied applied = Edits.apply(before, shared);
        append(other, "site", applied.document(), shared, applied.inverse());
      }
    }
  }

  private static void keep(SiteEntity row, Site site) {
    String name = site.values().get(SiteSettings.NAME);
    row.set(name.isBlank() ? row.name() : name, DocumentJson.write(site).toString());
  }

  private RevisionEntity append(
      PageEntity page, String kind, Document document, List<Edit> edits, List<Edit> inverse) {
    var row = new RevisionEntity();
    row.pageId = page.id;
    row.number = kind.equals("made") ? 0 : page.head + 1;
    row.kind = kind;
    row.document = DocumentJson.text(document);
    row.edits = EditJson.write(edits).toString();
    row.inverse = EditJson.write(inverse).toString();
    row.createdAt = Instant.now(clock);
    if (!kind.equals("made")) {
      row.undoTarget = row.number;
      row.undoRest = page.head;
    }
    page.head = row.number;
    RevisionEntity saved = revisions.save(row);
    documents.keep(saved, document);
    stock.follow(page.id, document);
    return saved;
  }

  private Head head(PageEntity page) {
    RevisionEntity row = headRow(page);
    return head(page, row, documents.of(row));
  }

  private static Head head(PageEntity page, RevisionEntity row, Document document) {
    return new Head(
        page.id,
        page.siteId,
        page.slug,
        row.number,
        row.undoTarget != null,
        row.redoTarget != null,
        document,
        page.liveRelease);
  }

  private PageEntity page(String id) {
    return pages.findById(id).orElseThrow(() -> new Gone("page", id));
  }

  private RevisionEntity headRow(PageEntity page) {
    return row(page, page.head);
  }

  private RevisionEntity row(PageEntity page, @Nullable Integer number) {
    return revisions
        .findByPageIdAndNumber(page.id, number == null ? 0 : number)
        .orElseThrow(() -> new IllegalStateException("page " + page.id + " lost a revision"));
  }

  /** Something on a page, by id; a Gone when it is not there. */
  static Node node(Document document, String id) {
    return document.find(id).orElseThrow(() -> new Gone("node", id));
  }
}
