package giostra.server.page;

import giostra.core.band.Bands;
import giostra.core.dress.Wardrobe;
import giostra.core.dress.WholeDress;
import giostra.core.format.DocumentJson;
import giostra.core.format.EditJson;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Linking;
import giostra.core.page.Node;
import giostra.core.page.Page;
import giostra.core.page.PageSettings;
import giostra.core.page.Path;
import giostra.core.page.Site;
import giostra.core.page.SiteSettings;
import giostra.core.value.Refused;
import giostra.server.site.Ids;
import giostra.server.site.SiteRows;
import giostra.server.stock.StockService;
import giostra.server.web.Conflict;
import giostra.server.web.Gone;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;

/**
 * Pages and what is done to them. Each change holds the site, reads, computes in the core, and
 * appends, see {@link History}; what is acknowledged is committed.
 */
@Service
public class PageService {
  private final SiteRows sites;
  private final PageRows pages;
  private final History history;
  private final Documents documents;
  private final Heads heads;
  private final StockService stock;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  PageService(
      SiteRows sites,
      PageRows pages,
      History history,
      Documents documents,
      Heads heads,
      StockService stock,
      ApplicationEventPublisher events,
      Clock clock) {
    this.events = events;
    this.sites = sites;
    this.pages = pages;
    this.history = history;
    this.documents = documents;
    this.heads = heads;
    this.stock = stock;
    this.clock = clock;
  }

  /**
   * A page at its newest revision.
   *
   * @param siteRevision number of the newest revision of what it shares with its site
   * @param liveRelease id of the release that is live, if any
   */
  public record Head(
      String id,
      String siteId,
      String slug,
      int revision,
      int siteRevision,
      boolean canUndo,
      boolean canRedo,
      Document document,
      @Nullable Long liveRelease) {}

  /**
   * A page whose document may not be there to read.
   *
   * @param head none for a page that is broken
   * @param said what is wrong with it; empty when nothing is
   */
  public record Shown(String id, String slug, @Nullable Head head, String said) {}

  /**
   * What a change came to: the page before and after it.
   *
   * @param was the revisions that it stood at before
   */
  public record Change(Document before, Base was, Head after) {}

  /**
   * The revision that edits were made on.
   *
   * @param site number of the site's; null for the one that the page's was made with
   */
  public record Base(int page, @Nullable Integer site) {
    /** As an asker says it: "12.3". */
    String written() {
      return page + "." + site;
    }
  }

  // --- sites ---

  /** Makes a site with the usual bands. */
  @Transactional
  public SiteRows.SiteLine addSite(String name) {
    return addSite(name, name);
  }

  /** Makes a site with an id, or another one where that is taken. */
  @Transactional
  public SiteRows.SiteLine addSite(String wanted, String name) {
    return addSite(wanted, name, null);
  }

  /**
   * Makes a site that wears a dress.
   *
   * @param dress id of one that ships; null for none
   */
  @Transactional
  public SiteRows.SiteLine addSite(String wanted, String name, @Nullable String dress) {
    if (name.isBlank()) {
      throw new Refused("Name of the site", name, "1 to 120 characters");
    }
    Values values = Values.NONE.with(SiteSettings.NAME, Values.ALL, SiteSettings.NAME.read(name));
    String id = Ids.next(Ids.word(wanted, "site"), free -> insertSite(free, name));
    Site bare = new Site(Bands.INITIAL, values);
    history.made(id, dress == null ? bare : dressed(bare, WholeDress.named(dress)));
    return site(id);
  }

  private static Site dressed(Site site, WholeDress dress) {
    var nowhere = new Document(site, new Page("page", Values.NONE, List.of()));
    return Edits.apply(nowhere, dress.wear(site)).document().site();
  }

  private boolean insertSite(String id, String name) {
    return sites.insert(id, name, clock.instant()) == 1;
  }

  /** A site. */
  @Transactional(readOnly = true)
  public SiteRows.SiteLine site(String siteId) {
    return sites.line(siteId).orElseThrow(() -> new Gone("site", siteId));
  }

  /** All sites, oldest first. */
  @Transactional(readOnly = true)
  public List<SiteRows.SiteLine> sites() {
    return sites.inOrder();
  }

  // --- pages ---

  /**
   * Makes a page.
   *
   * @param document a whole document, or null for an empty page; its site part is put aside, since
   *     the site has its own, unless the site has no page yet
   */
  @Transactional
  public Head addPage(String siteId, String title, @Nullable JsonNode document) {
    SiteRows.SiteLine site = history.holdSite(siteId);
    Document read = document == null ? empty(site, title) : DocumentJson.read(document);
    String name = read.page().values().get(PageSettings.TITLE);
    return made(site, Ids.word(name.isBlank() ? "page" : name, "p"), read);
  }

  /** Makes a page of a document with the slug that it had elsewhere. */
  @Transactional
  public Head importPage(String siteId, String slug, Document document) {
    return made(history.holdSite(siteId), Ids.word(slug, "p"), document);
  }

  /** The site is held. */
  private Head made(SiteRows.SiteLine site, String wanted, Document read) {
    boolean first = pages.allOfSite(site.id()).isEmpty();
    Site own = ofSite(site);
    if (!first && !DocumentJson.ids(own.bands()).equals(DocumentJson.ids(read.bands()))) {
      throw new Refused(
              "bands of the document", ids(read.bands()), "those of the site: " + ids(own.bands()))
          .at("/site/bands");
    }
    String slug = Ids.next(wanted, free -> pages.find(site.id(), free).isEmpty());
    String id =
        Ids.next(
            site.id() + "-" + slug,
            free -> pages.insert(free, site.id(), slug, clock.instant()) == 1);
    pages.forgetFormer(site.id(), slug);
    // The first page of a site brings its bands and its widths along, unless that wears something.
    boolean bare = own.looks().isEmpty() && own.values().styles().set().isEmpty();
    boolean fits = DocumentJson.ids(own.bands()).equals(DocumentJson.ids(read.bands()));
    history.made(
        site,
        own,
        id,
        first && (bare || !fits) ? read : new Document(Wardrobe.bringing(own, read), read.page()));
    return head(id);
  }

  private static String ids(Bands bands) {
    return String.join(", ", DocumentJson.ids(bands));
  }

  private Document empty(SiteRows.SiteLine site, String title) {
    if (title.isBlank()) {
      throw new Refused("Title of the page", title, "1 to 200 characters");
    }
    Values values =
        Values.NONE.with(PageSettings.TITLE, Values.ALL, PageSettings.TITLE.read(title));
    return new Document(ofSite(site), new Page("page", values, List.of()));
  }

  private Site ofSite(SiteRows.SiteLine site) {
    return documents.site(site.id(), site.head());
  }

  /** What the pages of a site share, as it stands. */
  @Transactional(readOnly = true)
  public Site shared(String siteId) {
    return ofSite(site(siteId));
  }

  /** The pages of a site, oldest first, those that are broken as well. */
  @Transactional(readOnly = true)
  public List<Shown> shelf(String siteId) {
    return pages.ofSite(siteId).stream().map(heads::shown).toList();
  }

  /** A page that is there, whether it can be read or not. */
  @Transactional(readOnly = true)
  public Shown opened(String pageId) {
    return heads.shown(heads.page(pageId));
  }

  /** The pages of a site that can be read, oldest first. */
  @Transactional(readOnly = true)
  public List<Head> pages(String siteId) {
    var all = new ArrayList<Head>();
    for (Shown each : shelf(siteId)) {
      if (each.head() != null) {
        all.add(each.head());
      }
    }
    return all;
  }

  /** A page at its newest revision. */
  @Transactional(readOnly = true)
  public Head head(String pageId) {
    return heads.of(heads.page(pageId));
  }

  /** Where a page is, whatever has become of its document. */
  public record Place(String id, String siteId, String slug, @Nullable Long liveRelease) {}

  /** Where a page is. */
  @Transactional(readOnly = true)
  public Place place(String pageId) {
    return place(heads.page(pageId));
  }

  private static Place place(PageRows.PageLine page) {
    return new Place(page.id(), page.siteId(), page.slug(), page.liveRelease());
  }

  /** The page of a site that has an address; none for what is put away. */
  @Transactional(readOnly = true)
  public Optional<Place> find(String siteId, String slug) {
    return pages
        .find(siteId, slug)
        .filter(page -> page.putAwayAt() == null)
        .map(PageService::place);
  }

  /** The page of a site that had an address before. */
  @Transactional(readOnly = true)
  public Optional<Place> formerly(String siteId, String slug) {
    return pages
        .formerly(siteId, slug)
        .flatMap(pages::line)
        .filter(page -> page.putAwayAt() == null)
        .map(PageService::place);
  }

  /** A page as it is shown: with what it links to put in. */
  @Transactional(readOnly = true)
  public Document shown(Head head) {
    return stock.expanded(head.siteId(), head.document());
  }

  /**
   * Keeps a piece or section of a page on its site.
   *
   * @throws Refused as {@link StockService#keep} does
   */
  @Transactional
  public StockService.Kept keep(String pageId, String node, String name) {
    History.Held held = history.hold(pageId);
    return stock.keep(held.site().id(), pageId, documents.of(held.page()), node, name);
  }

  /**
   * Keeps something on a site no longer.
   *
   * @throws Refused naming the pages that link to it, those that are put away as well
   */
  @Transactional
  public void dropKept(String siteId, String id) {
    history.holdSite(siteId);
    var uses = new ArrayList<String>();
    for (PageRows.PageLine page : pages.allOfSite(siteId)) {
      Head head = heads.shown(page).head();
      if (head != null && Linking.used(head.document()).contains(id)) {
        String title = head.document().page().values().get(PageSettings.TITLE);
        uses.add(page.putAwayAt() == null ? title : title + " (put away)");
      }
    }
    if (!uses.isEmpty()) {
      throw new Refused(
          "Kept piece", id + " is linked to on " + String.join(", ", uses), "linked to nowhere");
    }
    stock.drop(siteId, id);
  }

  /** Holds the site of a page until the transaction ends. */
  @Transactional
  public void hold(String pageId) {
    history.hold(pageId);
  }

  /** Says which release of a page is live. */
  @Transactional
  public void setLive(String pageId, long release) {
    pages.live(pageId, release);
    events.publishEvent(new LiveChanged(heads.page(pageId).siteId()));
  }

  // --- changes ---

  /**
   * Applies edits made on some revision. Where others have edited meanwhile, they are applied on
   * top if they touch other paths.
   *
   * @param key given by whoever makes the change: sent twice, it happens once
   * @throws Conflict with the newer document when they touch the same ones
   */
  @Transactional
  public Change edit(String pageId, Base base, @Nullable String key, JsonNode json) {
    History.Held held = history.hold(pageId);
    Document before = documents.of(held.page());
    if (history.done(held.site().id(), key)) {
      return changed(held, before, history.stand(held));
    }
    boolean newest = current(held, base);
    long since = newest ? held.site().lastChange() : since(held, base);
    newest |= since == held.site().lastChange();
    try {
      List<Edit> edits = EditJson.read(json, before.bands());
      Edits.Applied applied = Edits.apply(before, edits);
      if (!newest) {
        Optional<Path> theirs =
            history.overtaken(held.site().id(), since, History.parts(pageId, applied.paths()));
        if (theirs.isPresent()) {
          throw conflict(held, before, theirs.get().says() + " was changed in another window");
        }
      }
      return changed(held, before, history.append(held, "edit", key, edits, applied));
    } catch (Refused | DocumentJson.Faults e) {
      if (!newest) {
        // It may have been right on the revision it was made on: a band that is gone since, say.
        throw conflict(held, before, String.valueOf(e.getMessage()));
      }
      throw e;
    }
  }

  /**
   * A page as it stands, and as somebody has it.
   *
   * @throws Gone for revisions that there never were
   */
  @Transactional(readOnly = true)
  public Change since(String pageId, Base base) {
    PageRows.PageLine page = heads.page(pageId);
    Integer site = base.site();
    Document before =
        site == null ? documents.at(page, base.page()) : documents.at(page, base.page(), site);
    return new Change(before, base, heads.of(page));
  }

  private static boolean current(History.Held held, Base base) {
    return base.page() == held.page().head()
        && (base.site() == null || base.site() == held.site().head());
  }

  /** The number of the newest change that whoever made edits has seen. */
  private long since(History.Held held, Base base) {
    within("revision", base.page(), held.page().head());
    long since = history.changeOf(held.page().id(), base.page());
    Integer site = base.site();
    if (site == null) {
      return since;
    }
    within("siteRevision", site, held.site().head());
    return Math.max(since, history.changeOfSite(held.site().id(), site));
  }

  private static void within(String what, int number, int head) {
    if (number < 0 || number > head) {
      throw new Refused(what, Integer.toString(number), "0 to " + head).at("/" + what);
    }
  }

  /**
   * Applies edits that are computed of the page as it stands, as one step of undo: nothing can come
   * between reading and writing.
   */
  @Transactional
  public Change change(String pageId, Function<Document, List<Edit>> edits) {
    History.Held held = history.hold(pageId);
    Document before = documents.of(held.page());
    return changed(held, before, history.append(held, "edit", null, edits.apply(before)));
  }

  private Change changed(History.Held held, Document before, History.Stand stand) {
    return new Change(before, held.stood(), heads.of(stand));
  }

  private Conflict conflict(History.Held held, Document newer, String why) {
    return new Conflict(
        "Your change was made on an older revision, and cannot be put on the newer one: " + why,
        Map.of(
            "page",
            held.page().id(),
            "revision",
            held.page().head(),
            "siteRevision",
            held.site().head(),
            "document",
            DocumentJson.write(newer)));
  }

  /** Appends the change that takes back the newest one that was made from this page. */
  @Transactional
  public Change undo(String pageId, @Nullable String key) {
    return again(pageId, true, key);
  }

  /** Appends the change that takes the newest undo back. */
  @Transactional
  public Change redo(String pageId, @Nullable String key) {
    return again(pageId, false, key);
  }

  private Change again(String pageId, boolean back, @Nullable String key) {
    History.Held held = history.hold(pageId);
    Document before = documents.of(held.page());
    if (history.done(held.site().id(), key)) {
      return changed(held, before, history.stand(held));
    }
    try {
      return changed(held, before, history.again(held, back, key));
    } catch (History.Overtaken e) {
      throw new Conflict(
          String.format(
              Locale.ROOT,
              "%s has changed since from elsewhere, so it cannot be %s. Nothing is changed.",
              e.getMessage(),
              back ? "taken back" : "brought again"),
          Map.of(
              "page",
              pageId,
              "revision",
              held.page().head(),
              "siteRevision",
              held.site().head(),
              "document",
              DocumentJson.write(before)));
    }
  }

  // --- what goes with a band ---

  /**
   * The values that would go with a band, on all pages of the site.
   *
   * @param page title of the page
   */
  public record Going(String page, String value) {}

  /** The values that would go with a band. */
  @Transactional(readOnly = true)
  public List<Going> goingWith(String pageId, String band) {
    Head head = head(pageId);
    head.document().bands().band(band);
    var all = new ArrayList<Going>();
    for (Head each : pages(head.siteId())) {
      String title = each.document().page().values().get(PageSettings.TITLE);
      for (String value : Edits.goingWith(each.document(), band)) {
        // What the site itself sets is told once.
        if (!value.startsWith(Site.ID + " / ") || each.id().equals(pageId)) {
          all.add(new Going(title.isBlank() ? each.slug() : title, value));
        }
      }
    }
    return all;
  }

  /** Something on a page, by id; a Gone when it is not there. */
  static Node node(Document document, String id) {
    return document.find(id).orElseThrow(() -> new Gone("node", id));
  }
}
