package giostra.server.page;

import giostra.core.format.DocumentJson;
import giostra.core.format.EditJson;
import giostra.core.format.Upgrade;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Filling;
import giostra.core.page.Node;
import giostra.core.page.Page;
import giostra.core.page.PageSettings;
import giostra.core.page.Path;
import giostra.core.page.ReadBack;
import giostra.core.page.Site;
import giostra.core.page.SiteSettings;
import giostra.core.value.Refused;
import giostra.server.bell.Bell;
import giostra.server.people.Role;
import giostra.server.people.Who;
import giostra.server.site.SiteRows;
import giostra.server.stock.StockService;
import giostra.server.web.Gone;
import giostra.server.web.NotAllowed;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;

/**
 * The one history of a site and its pages. Whoever changes something holds the site first, and only
 * then reads; what comes of it is checked, and appended as one change with the next number.
 *
 * <p>Everything here runs in a transaction of its caller's.
 */
@Component
class History {
  private static final Logger LOG = LoggerFactory.getLogger(History.class);

  /** Characters of a page's document at the most. */
  static final int MOST_TEXT = 16_000_000;

  /** Stands for the page where there is none. */
  private static final Page NO_PAGE = new Page("page", Values.NONE, List.of());

  private static final JsonNodeFactory MAKE = JsonNodeFactory.instance;

  private final SiteRows sites;
  private final PageRows pages;
  private final HistoryRows rows;
  private final Documents documents;
  private final StockService stock;
  private final Texts texts;
  private final EntityManager entities;
  private final Bell bell;
  private final Clock clock;

  History(
      SiteRows sites,
      PageRows pages,
      HistoryRows rows,
      Documents documents,
      StockService stock,
      Texts texts,
      EntityManager entities,
      Bell bell,
      Clock clock) {
    this.bell = bell;
    this.sites = sites;
    this.pages = pages;
    this.rows = rows;
    this.documents = documents;
    this.stock = stock;
    this.texts = texts;
    this.entities = entities;
    this.clock = clock;
  }

  /**
   * A site that nobody else can change until the transaction ends.
   *
   * @param kept whether something of the page is kept on the site, and follows it
   */
  record Held(SiteRows.SiteLine site, PageRows.PageLine page, boolean kept) {
    Held {
      if (!site.id().equals(page.siteId())) {
        throw new IllegalArgumentException("page " + page.id() + " is not of " + site.id());
      }
    }

    /** The revisions that it stands at. */
    PageService.Base stood() {
      return new PageService.Base(page.head(), site.head());
    }
  }

  /** Holds the site of a page; what is read from then on is what stands. */
  Held hold(String pageId) {
    if (pages.hold(pageId).isEmpty()) {
      throw new Gone("page", pageId);
    }
    Held held = pages.held(pageId).orElseThrow(() -> new Gone("page", pageId));
    if (held.page.putAwayAt() != null) {
      throw new Refused("Page " + pageId, "put away", "brought back before it is changed");
    }
    return held;
  }

  /** Holds a site. */
  SiteRows.SiteLine holdSite(String siteId) {
    sites.held(siteId);
    return sites.line(siteId).orElseThrow(() -> new Gone("site", siteId));
  }

  /** Whether a change with that key has happened already. */
  boolean done(String siteId, @Nullable String key) {
    return key != null && rows.done(siteId, key);
  }

  /** Where a change stands in the stacks of undo and redo of its page. */
  record Stacks(
      long root,
      @Nullable Long undoTarget,
      @Nullable Long undoRest,
      @Nullable Long redoTarget,
      @Nullable Long redoRest) {}

  /**
   * A change that is to be appended.
   *
   * @param kind what people call it: made, edit, undo, redo, restore
   * @param key given by whoever makes it; null for one that is made here
   * @param edits of the page that it is made from, those of the site included
   * @param applied what they come to
   * @param others edits of other pages; pages that are not in it get those of the site
   */
  record Step(
      String kind,
      @Nullable String key,
      List<Edit> edits,
      Edits.Applied applied,
      Map<String, List<Edit>> others) {}

  /**
   * A page as it stands, and what undo and redo have on it; known without asking where the
   * transaction has made it so itself.
   */
  record Stand(PageRows.PageLine page, Ways ways) {}

  /** What is held, as it stands. */
  Stand stand(Held held) {
    return new Stand(held.page, ways(held.page));
  }

  /** Appends edits of what is held as one change that undo takes back. */
  Stand append(Held held, String kind, @Nullable String key, List<Edit> edits) {
    return append(held, kind, key, edits, Edits.apply(documents.of(held.page), edits));
  }

  /**
   * Appends a change that undo takes back; nothing when it changes nothing.
   *
   * @param kind what people call it: edit, restore
   * @param applied what the edits come to
   */
  Stand append(
      Held held, String kind, @Nullable String key, List<Edit> edits, Edits.Applied applied) {
    if (applied.document().equals(documents.of(held.page))) {
      return stand(held);
    }
    long number = held.site.lastChange() + 1;
    return append(
        held,
        new Step(kind, key, edits, applied, Map.of()),
        new Stacks(number, number, held.page.lastChange(), null, null));
  }

  private Stand append(Held held, Step step, Stacks stacks) {
    Document before = documents.of(held.page);
    Who.asking()
        .filter(who -> who.on(held.site.id()) == Role.WRITER)
        .ifPresent(who -> fills(held, before, step, stacks, who));
    Document after = step.applied.document();
    ReadBack.check(before, after);
    long number = held.site.lastChange() + 1;
    boolean ofSite = !after.site().equals(before.site());
    int siteNumber = held.site.head();
    if (ofSite) {
      siteNumber++;
      List<Edit> shared = shared(step.edits, before.site(), after.site());
      site(held.site.id(), siteNumber, number, after.site(), shared, step.applied);
      for (PageRows.PageLine other : pages.allOfSite(held.site.id())) {
        if (!other.id().equals(held.page.id())) {
          follow(other, number, siteNumber, step.others.getOrDefault(other.id(), shared), after);
        }
      }
    }
    int head = held.page.head();
    if (!after.page().equals(before.page())) {
      head++;
      insert(held.page, head, step.kind, number, siteNumber, step.edits, step.applied);
      if (held.kept) {
        stock.follow(held.site.id(), held.page.id(), after);
      }
    } else {
      documents.keep(held.page.id(), head, siteNumber, after);
    }
    change(held.site.id(), number, held.page.id(), step.kind, step.key, stacks);
    ring(held.site.id(), held.page.id(), head, siteNumber, ofSite);
    changed(held.site, siteNumber, number, after.site());
    pages.changed(held.page.id(), head, title(after), number);
    return new Stand(
        held.page.at(title(after), head, siteNumber, number),
        new Ways(stacks.undoTarget != null, stacks.redoTarget != null));
  }

  /** Who writes fills, and takes back what they have done themselves. */
  private void fills(Held held, Document before, Step step, Stacks stacks, Who who) {
    if (stacks.root != held.site.lastChange() + 1) {
      String by = change(held.site.id(), stacks.root).personId;
      if (!who.person().equals(by)) {
        throw new NotAllowed(
            "That change is somebody else's, and a writer takes back their own. Nothing was"
                + " changed.");
      }
      return;
    }
    Filling.beyond(before, step.edits)
        .ifPresent(what -> {
          throw new NotAllowed(
              "This changes "
                  + what
                  + ". A writer fills in texts, pictures and items; a designer does the rest."
                  + " Nothing was changed.");
        });
  }

  private static String title(Document document) {
    return document.page().values().get(PageSettings.TITLE);
  }

  /**
   * The first revision of a page that was inserted in this transaction.
   *
   * @param before what the site's pages shared until now
   */
  void made(SiteRows.SiteLine site, Site before, String pageId, Document document) {
    ReadBack.check(document);
    PageRows.PageLine page = pages.line(pageId).orElseThrow(() -> new Gone("page", pageId));
    long number = site.lastChange() + 1;
    int siteNumber = site.head();
    if (!document.site().equals(before)) {
      siteNumber++;
      List<Edit> edits = Edits.siteEdits(before, document.site());
      List<Edit> back = Edits.siteEdits(document.site(), before);
      site(site.id(), siteNumber, number, document.site(), edits, back, Set.of(new Path.OfBands()));
    }
    insert(page, 0, "made", number, siteNumber, document, List.of(), List.of(), Set.of());
    stock.follow(site.id(), pageId, document);
    change(site.id(), number, pageId, "made", null, new Stacks(number, null, null, null, null));
    changed(site, siteNumber, number, document.site());
    pages.changed(pageId, 0, title(document), number);
  }

  /** The first revision of a site that was inserted in this transaction. */
  void made(String siteId, Site site) {
    ReadBack.check(new Document(site, NO_PAGE));
    site(siteId, 0, 0, site, List.of(), List.of(), Set.of());
    change(siteId, 0, null, "made", null, new Stacks(0, null, null, null, null));
  }

  /** Appends a change of what all pages share that is made from none of them. */
  void append(SiteRows.SiteLine site, List<Edit> edits) {
    Site before = documents.site(site.id(), site.head());
    Edits.Applied applied = Edits.apply(new Document(before, NO_PAGE), edits);
    Document after = applied.document();
    if (after.site().equals(before)) {
      return;
    }
    ReadBack.check(new Document(before, NO_PAGE), after);
    long number = site.lastChange() + 1;
    int siteNumber = site.head() + 1;
    site(site.id(), siteNumber, number, after.site(), edits, applied);
    for (PageRows.PageLine each : pages.allOfSite(site.id())) {
      follow(each, number, siteNumber, edits, after);
    }
    change(site.id(), number, null, "site", null, new Stacks(number, null, null, null, null));
    changed(site, siteNumber, number, after.site());
    ring(site.id(), "", -1, siteNumber, true);
  }

  /** Others hear of it when it is committed. */
  private void ring(String site, String page, int revision, int siteRevision, boolean ofSite) {
    bell.ring(
        site,
        page,
        "changed",
        Map.of(
            "page",
            page,
            "revision",
            revision,
            "siteRevision",
            siteRevision,
            "ofSite",
            ofSite,
            "by",
            Who.asking().map(Who::name).orElse("")));
  }

  private void changed(SiteRows.SiteLine site, int siteNumber, long number, Site now) {
    String name = now.values().get(SiteSettings.NAME);
    sites.changed(site.id(), siteNumber, number, name.isBlank() ? site.name() : name);
  }

  /** The edits of a change that concern all pages. */
  private static List<Edit> shared(List<Edit> edits, Site before, Site after) {
    return edits.stream().anyMatch(Edit.Replace.class::isInstance)
        ? Edits.siteEdits(before, after)
        : edits.stream().filter(Edit::ofSite).toList();
  }

  /** Another page takes part in what changes on its site. One that is broken holds up no other. */
  private void follow(
      PageRows.PageLine page, long number, int siteNumber, List<Edit> edits, Document from) {
    Document before;
    Edits.Applied applied;
    try {
      before = documents.of(page);
      applied = Edits.apply(before, edits);
    } catch (RuntimeException e) {
      LOG.warn("page {} cannot follow a change of its site", page.id(), e);
      return;
    }
    Document after =
        new Document(from.site(), Edits.fitted(applied.document().page(), from.bands()));
    if (after.page().equals(before.page())) {
      documents.keep(page.id(), page.head(), siteNumber, after);
    } else {
      int head = page.head() + 1;
      insert(
          page,
          head,
          "site",
          number,
          siteNumber,
          edits,
          new Edits.Applied(after, applied.inverse(), applied.paths()));
      stock.follow(page.siteId(), page.id(), after);
      pages.changed(page.id(), head, title(after));
    }
  }

  private void insert(
      PageRows.PageLine page,
      int head,
      String kind,
      long number,
      int siteNumber,
      List<Edit> edits,
      Edits.Applied applied) {
    insert(
        page,
        head,
        kind,
        number,
        siteNumber,
        applied.document(),
        edits,
        applied.inverse(),
        applied.paths());
  }

  private void insert(
      PageRows.PageLine page,
      int head,
      String kind,
      long number,
      int siteNumber,
      Document document,
      List<Edit> edits,
      List<Edit> inverse,
      Set<Path> paths) {
    var row = new RevisionEntity();
    row.pageId = page.id();
    row.number = head;
    row.siteNumber = siteNumber;
    row.kind = kind;
    persist(row, number, document.page(), edits, inverse, paths);
    documents.keep(page.id(), head, siteNumber, document);
  }

  private void site(
      String siteId, int head, long number, Site site, List<Edit> edits, Edits.Applied applied) {
    site(
        siteId,
        head,
        number,
        site,
        edits,
        applied.inverse().stream().filter(Edit::ofSite).toList(),
        ofSite(applied.paths()));
  }

  private void site(
      String siteId,
      int head,
      long number,
      Site site,
      List<Edit> edits,
      List<Edit> inverse,
      Set<Path> paths) {
    var row = new SiteRevisionEntity();
    row.siteId = siteId;
    row.number = head;
    persist(row, number, site, edits, inverse, paths);
  }

  private void persist(
      RevisionContent row,
      long number,
      Node content,
      List<Edit> edits,
      List<Edit> inverse,
      Set<Path> paths) {
    row.change = number;
    row.version = DocumentJson.VERSION;
    row.document = texts.text(content);
    if (row.document.length() > MOST_TEXT) {
      throw new Refused(
          "The page", row.document.length() + " characters long", "of at most " + MOST_TEXT);
    }
    row.edits = EditJson.write(edits).toString();
    row.inverse = EditJson.write(inverse).toString();
    row.paths = written(paths);
    row.createdAt = clock.instant();
    entities.persist(row);
  }

  private void change(
      String siteId,
      long number,
      @Nullable String pageId,
      String kind,
      @Nullable String key,
      Stacks stacks) {
    var row = new ChangeEntity();
    row.siteId = siteId;
    row.number = number;
    // Keys of clients have no spaces.
    row.key = key == null ? "change " + number : key;
    row.kind = kind;
    row.pageId = pageId;
    row.root = stacks.root;
    row.undoTarget = stacks.undoTarget;
    row.undoRest = stacks.undoRest;
    row.redoTarget = stacks.redoTarget;
    row.redoRest = stacks.redoRest;
    row.personId = Who.asking().map(Who::person).filter(id -> !id.isEmpty()).orElse(null);
    row.createdAt = clock.instant();
    entities.persist(row);
  }

  // --- taking back, bringing again ---

  /** The newest change that was made from a page. */
  ChangeEntity newest(Held held) {
    return change(held.site.id(), held.page.lastChange());
  }

  private ChangeEntity change(String siteId, @Nullable Long number) {
    return rows.change(siteId, Objects.requireNonNull(number))
        .orElseThrow(() -> new IllegalStateException(siteId + " lost change " + number));
  }

  /** Whether undo and redo have something to take back on a page. */
  record Ways(boolean undo, boolean redo) {}

  /** What undo and redo have on a page. */
  Ways ways(PageRows.PageLine page) {
    Optional<ChangeEntity> newest = rows.change(page.siteId(), page.lastChange());
    return new Ways(
        newest.map(c -> c.undoTarget != null).orElse(false),
        newest.map(c -> c.redoTarget != null).orElse(false));
  }

  /**
   * Appends the change that takes the newest change of a page back, or that brings again what was
   * taken back last.
   *
   * @throws Refused when there is none
   * @throws Overtaken when something else has changed since what it would change
   */
  Stand again(Held held, boolean back, @Nullable String key) {
    ChangeEntity newest = newest(held);
    Long wanted = back ? newest.undoTarget : newest.redoTarget;
    if (wanted == null) {
      throw back
          ? new Refused("Undo", "at the first change", "used after a change")
          : new Refused("Redo", "at the newest change", "used after an undo");
    }
    String siteId = held.site.id();
    ChangeEntity target = change(siteId, wanted);
    Optional<SiteRevisionEntity> site = rows.siteOf(siteId, target.number);
    List<RevisionEntity> touched = rows.pagesOf(siteId, target.number);
    var mine = new ArrayList<Part>();
    site.ifPresent(each -> mine.add(new Part(null, paths(each.paths))));
    touched.forEach(each -> mine.add(new Part(each.pageId, paths(each.paths))));
    overtaken(siteId, target.number, mine)
        .ifPresent(path -> {
          throw new Overtaken(path);
        });
    Document before = documents.of(held.page);
    List<Edit> ofSite =
        site.map(each -> edits(each.inverse, each.version, before)).orElse(List.of());
    List<Edit> own = ofSite;
    var others = new HashMap<String, List<Edit>>();
    for (RevisionEntity each : touched) {
      List<Edit> inverse = edits(each.inverse, each.version, before);
      if (each.pageId.equals(held.page.id())) {
        own = inverse;
      } else {
        others.put(each.pageId, inverse);
      }
    }
    Edits.Applied applied = Edits.apply(before, own);
    var step = new Step(back ? "undo" : "redo", key, own, applied, others);
    long number = held.site.lastChange() + 1;
    ChangeEntity rest = change(siteId, back ? newest.undoRest : newest.redoRest);
    return append(
        held,
        step,
        back
            ? new Stacks(target.root, rest.undoTarget, rest.undoRest, number, newest.number)
            : new Stacks(target.root, number, newest.number, rest.redoTarget, rest.redoRest));
  }

  private static List<Edit> edits(String json, int version, Document now) {
    return EditJson.read(
        Upgrade.edits(DocumentJson.parse(json), version, id -> now.find(id).map(Node::type)),
        now.bands());
  }

  // --- what meets what ---

  /** Something that has changed since what somebody wanted to change. */
  static final class Overtaken extends RuntimeException {
    private static final long serialVersionUID = 1L;

    Overtaken(Path path) {
      super(path.says());
    }
  }

  /**
   * What is touched of a page.
   *
   * @param page null for what all pages share
   */
  record Part(@Nullable String page, Set<Path> paths) {}

  /** What edits that are made from a page touch. */
  static List<Part> parts(String pageId, Set<Path> paths) {
    Set<Path> shared = ofSite(paths);
    return shared.isEmpty()
        ? List.of(new Part(pageId, paths))
        : List.of(new Part(pageId, paths), new Part(null, shared));
  }

  private static Set<Path> ofSite(Set<Path> paths) {
    return paths.stream().filter(Path::ofSite).collect(Collectors.toSet());
  }

  /** The number of the change that made a revision of a page. */
  long changeOf(String pageId, int number) {
    return rows.revision(pageId, number)
        .orElseThrow(() -> new Gone("revision", "" + number))
        .change;
  }

  /** The number of the change that made a revision of a site. */
  long changeOfSite(String siteId, int number) {
    return rows.site(siteId, number)
        .orElseThrow(() -> new Gone("revision of the site", "" + number))
        .change;
  }

  /** Something of these that has changed since a change, and has not been taken back again. */
  Optional<Path> overtaken(String siteId, long since, List<Part> mine) {
    var later = new ArrayList<HistoryRows.Touched>(rows.siteSince(siteId, since));
    later.addAll(rows.pagesSince(siteId, since));
    var times = new HashMap<Long, Set<Long>>();
    later.forEach(
        each -> times.computeIfAbsent(each.root(), _ -> new HashSet<>()).add(each.change()));
    for (HistoryRows.Touched each : later) {
      // Made and taken back since, it is as if it had never been.
      if (Objects.requireNonNull(times.get(each.root())).size() % 2 == 1) {
        for (Path theirs : paths(each.paths())) {
          for (Part part : mine) {
            if (part.paths.stream()
                .anyMatch(path -> meets(part.page, path, each.pageId(), theirs))) {
              return Optional.of(theirs);
            }
          }
        }
      }
    }
    return Optional.empty();
  }

  private static boolean meets(
      @Nullable String page, Path path, @Nullable String otherPage, Path other) {
    return (page == null || otherPage == null || page.equals(otherPage))
        ? path.meets(other)
        : path.reaches(other) || other.reaches(path);
  }

  private static String written(Set<Path> paths) {
    ArrayNode all = MAKE.arrayNode();
    paths.stream().map(Path::written).sorted().forEach(all::add);
    return all.toString();
  }

  private static Set<Path> paths(String json) {
    var all = new HashSet<Path>();
    for (JsonNode each : DocumentJson.parse(json)) {
      all.add(Path.parse(each.asString()));
    }
    return all;
  }

  /** What has been done to a page, newest first. */
  List<HistoryRows.RevisionLine> lines(String pageId) {
    return rows.lines(pageId);
  }
}
