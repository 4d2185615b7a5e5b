package giostra.server.shelf;

import giostra.core.dress.Wardrobe;
import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edits;
import giostra.core.page.Feed;
import giostra.core.page.Linking;
import giostra.core.page.MediaUse;
import giostra.core.page.Page;
import giostra.core.page.PageSettings;
import giostra.core.page.Piece;
import giostra.core.page.Renamed;
import giostra.core.page.Site;
import giostra.core.page.SiteSettings;
import giostra.core.value.Refused;
import giostra.server.content.IntakeService;
import giostra.server.content.Sources;
import giostra.server.media.MediaService;
import giostra.server.page.LiveChanged;
import giostra.server.page.PageService;
import giostra.server.page.PageShelf;
import giostra.server.release.ReleaseService;
import giostra.server.site.SiteRows;
import giostra.server.stock.StockService;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Whole pages and sites. What is put away can be brought back for thirty days, and is dropped then.
 */
@Service
class ShelfService {
  private static final Logger LOG = LoggerFactory.getLogger(ShelfService.class);

  /** How long what is put away can be brought back. */
  static final Duration KEPT = Duration.ofDays(30);

  private final SiteRows sites;
  private final PageService pages;
  private final PageShelf shelf;
  private final MediaService media;
  private final StockService stock;
  private final Sources sources;
  private final IntakeService intakes;
  private final ReleaseService releases;
  private final ApplicationEventPublisher events;
  private final TransactionTemplate transaction;
  private final Clock clock;

  ShelfService(
      SiteRows sites,
      PageService pages,
      PageShelf shelf,
      MediaService media,
      StockService stock,
      Sources sources,
      IntakeService intakes,
      ReleaseService releases,
      PlatformTransactionManager transactions,
      ApplicationEventPublisher events,
      Clock clock) {
    this.events = events;
    this.transaction = new TransactionTemplate(transactions);
    this.sites = sites;
    this.pages = pages;
    this.shelf = shelf;
    this.media = media;
    this.stock = stock;
    this.sources = sources;
    this.intakes = intakes;
    this.releases = releases;
    this.clock = clock;
  }

  /**
   * Something that is put away.
   *
   * @param kind page or site
   * @param siteId of a page the site that it is of; of a site itself
   * @param site name of the site that a page is of; empty for a site
   * @param until when it is dropped
   */
  record AwayReply(
      String kind,
      String id,
      String name,
      String siteId,
      String site,
      Instant since,
      Instant until) {}

  /** All that is put away, sites first. */
  @Transactional(readOnly = true)
  public List<AwayReply> away() {
    var all = new ArrayList<AwayReply>();
    for (SiteRows.SiteLine site : sites.putAway()) {
      Instant since = Objects.requireNonNull(site.putAwayAt());
      all.add(
          new AwayReply("site", site.id(), site.name(), site.id(), "", since, since.plus(KEPT)));
    }
    for (PageShelf.Away page : shelf.putAway()) {
      all.add(
          new AwayReply(
              "page",
              page.id(),
              page.title(),
              page.siteId(),
              page.site(),
              page.since(),
              page.since().plus(KEPT)));
    }
    return all;
  }

  // --- pages ---

  /**
   * What a page loses when it is copied to another site.
   *
   * @param bands names of bands that are not there, with the values that are set in them
   */
  record Losses(List<String> bands) {}

  /** What a page would lose on another site. */
  @Transactional(readOnly = true)
  public Losses losses(String pageId, String siteId) {
    Document document = pages.head(pageId).document();
    Site there = pages.shared(siteId);
    Set<String> known =
        there.bands().all().stream().map(band -> band.id()).collect(Collectors.toSet());
    return new Losses(
        document.bands().all().stream()
            .filter(band -> !known.contains(band.id()))
            .flatMap(band ->
                Edits.goingWith(document, band.id()).stream()
                    .filter(value -> !value.startsWith(Site.ID + " / "))
                    .map(value -> band.name() + ": " + value))
            .toList());
  }

  /**
   * Copies a page, within its site or to another one. There it has its own content where it was
   * linked, its media come along, and what it says for bands that are not there goes.
   *
   * @param title of the copy; empty for that of the page
   */
  @Transactional
  public PageService.Head copy(String pageId, String siteId, String title) {
    hold(pages.place(pageId).siteId(), siteId);
    PageService.Head head = pages.head(pageId);
    Document document = head.document();
    if (!siteId.equals(head.siteId())) {
      document = carried(head, siteId);
    }
    if (!title.isBlank()) {
      Values values = document.page().values();
      document =
          new Document(
              document.site(),
              document
                  .page()
                  .with(
                      values.with(
                          PageSettings.TITLE, Values.ALL, PageSettings.TITLE.read(title.strip()))));
    }
    return pages.importPage(siteId, title.isBlank() ? head.slug() : title, document);
  }

  private Document carried(PageService.Head head, String siteId) {
    Document own = head.document();
    for (String id : own.nodes().filter(Linking::linked).map(node -> node.id()).toList()) {
      own = Edits.apply(own, stock.separated(head.siteId(), own, id)).document();
    }
    Document plain =
        own.changedAll(
            node -> node instanceof Piece piece ? piece.with(Feed.without(piece.values())) : node);
    Set<String> used = MediaUse.of(plain).stream().map(MediaUse::media).collect(Collectors.toSet());
    Document carried = Renamed.of(plain, media.lend(head.siteId(), siteId, used));
    Site there = pages.shared(siteId);
    return new Document(
        Wardrobe.bringing(there, carried), Edits.fitted(carried.page(), there.bands()));
  }

  /** Moves a page to another site: copied there, and put away here. */
  @Transactional
  public PageService.Head move(String pageId, String siteId) {
    String from = pages.place(pageId).siteId();
    if (from.equals(siteId)) {
      throw new Refused("Site", siteId, "another one than the page is of");
    }
    hold(from, siteId);
    PageService.Head there = copy(pageId, siteId, "");
    shelf.putAway(pageId);
    return there;
  }

  /**
   * Drops a page for good.
   *
   * @throws Refused for one that is not put away
   */
  @Transactional
  public void dropPage(String pageId) {
    shelf.drop(
        pageId,
        () -> {
          intakes.dropOf(pageId);
          releases.drop(pageId);
        });
  }

  // --- sites ---

  /** Copies a site with its pages, media and what is kept on it; releases are not copied. */
  @Transactional
  public String copySite(String siteId, String name) {
    hold(siteId);
    SiteRows.SiteLine from = pages.site(siteId);
    String called = name.isBlank() ? from.name() + " (copy)" : name.strip();
    SiteRows.SiteLine to = pages.addSite(called);
    media.copy(siteId, to.id());
    sources.copy(siteId, to.id());
    var homes = new HashMap<String, String>();
    Site shared = pages.shared(siteId);
    Site named =
        shared.with(
            shared.values().with(SiteSettings.NAME, Values.ALL, SiteSettings.NAME.read(called)));
    for (PageService.Head head : pages.pages(siteId)) {
      Page page = head.document().page();
      PageService.Head copied = pages.importPage(to.id(), head.slug(), new Document(named, page));
      homes.put(head.id(), copied.id());
    }
    stock.copy(siteId, to.id(), homes);
    return to.id();
  }

  /** Puts a site away with all its pages. */
  @Transactional
  public void putAwaySite(String siteId) {
    hold(siteId);
    sites.putAway(siteId, clock.instant());
    events.publishEvent(new LiveChanged(siteId));
  }

  /** Brings a site back with the pages that it had. */
  @Transactional
  public void bringBackSite(String siteId) {
    hold(siteId);
    sites.putAway(siteId, null);
  }

  /**
   * Drops a site for good.
   *
   * @throws Refused for one that is not put away
   */
  @Transactional
  public void dropSite(String siteId) {
    hold(siteId);
    if (pages.site(siteId).putAwayAt() == null) {
      throw new Refused("Site " + siteId, "on the shelf", "put away before it is dropped");
    }
    for (String page : shelf.idsOf(siteId)) {
      dropPage(page);
    }
    media.deleteAll(siteId);
    stock.dropAll(siteId);
    sources.deleteAll(siteId);
    sites.deleteRevisions(siteId);
    sites.deleteChanges(siteId);
    sites.delete(siteId);
  }

  /** Everybody holds several sites in one order. */
  private void hold(String... siteIds) {
    Stream.of(siteIds).distinct().sorted().forEach(sites::held);
  }

  /**
   * Drops what was put away longer ago than it can be brought back; one that fails stops no other.
   */
  @Scheduled(fixedDelay = 3_600_000)
  public void dropOld() {
    Instant before = clock.instant().minus(KEPT);
    for (String site : sites.putAwayBefore(before)) {
      quietly("site " + site, () -> transaction.executeWithoutResult(_ -> dropSite(site)));
    }
    for (String page : shelf.putAwayBefore(before)) {
      quietly("page " + page, () -> transaction.executeWithoutResult(_ -> dropPage(page)));
    }
  }

  private static void quietly(String what, Runnable drop) {
    try {
      drop.run();
      LOG.info("{} was put away for {} days and is dropped", what, KEPT.toDays());
    } catch (RuntimeException e) {
      LOG.warn("{} is not dropped", what, e);
    }
  }
}
