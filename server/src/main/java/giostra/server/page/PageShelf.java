package giostra.server.page;

import giostra.core.look.Values;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.PageSettings;
import giostra.core.page.Site;
import giostra.core.page.SiteSettings;
import giostra.core.value.Refused;
import giostra.server.site.Ids;
import giostra.server.site.SiteRows;
import giostra.server.web.Gone;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What sites and pages are called, and what is put away. */
@Service
public class PageShelf {
  private final SiteRows sites;
  private final PageRows pages;
  private final History history;
  private final Documents documents;
  private final Heads heads;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  PageShelf(
      SiteRows sites,
      PageRows pages,
      History history,
      Documents documents,
      Heads heads,
      ApplicationEventPublisher events,
      Clock clock) {
    this.events = events;
    this.sites = sites;
    this.pages = pages;
    this.history = history;
    this.documents = documents;
    this.heads = heads;
    this.clock = clock;
  }

  /**
   * Names a site.
   *
   * @throws Refused for a name that is none
   */
  @Transactional
  public void nameSite(String siteId, String name) {
    SiteRows.SiteLine site = history.holdSite(siteId);
    if (name.isBlank()) {
      throw new Refused("Name of the site", name, "1 to 120 characters");
    }
    history.append(
        site,
        List.of(new Edit.SetValue(Site.ID, SiteSettings.NAME.id(), Values.ALL, name.strip())));
  }

  /**
   * Names a page, and says at which address it is. The one that it had leads to it from then on.
   *
   * @throws Refused for an address that another page of the site has
   */
  @Transactional
  public PageService.Head name(String pageId, String title, String address) {
    History.Held held = history.hold(pageId);
    String slug = Ids.word(address, "p");
    if (!slug.equals(address)) {
      throw new Refused(
          "Address", address, "of lower-case letters, digits and single hyphens, such as " + slug);
    }
    if (title.isBlank()) {
      throw new Refused("Title of the page", title, "1 to 200 characters");
    }
    String siteId = held.site().id();
    if (!slug.equals(held.page().slug())) {
      pages
          .find(siteId, slug)
          .ifPresent(other -> {
            throw new Refused(
                "Address",
                slug
                    + ", where "
                    + (other.putAwayAt() == null
                        ? "another page is"
                        : "a page was that is put away"),
                "free on this site");
          });
      pages.noteFormer(siteId, held.page().slug(), pageId);
      pages.forgetFormer(siteId, slug);
      pages.address(pageId, slug);
      events.publishEvent(new LiveChanged(siteId));
    }
    Document before = documents.of(held.page());
    history.append(
        held,
        "edit",
        null,
        List.of(
            new Edit.SetValue(
                before.page().id(), PageSettings.TITLE.id(), Values.ALL, title.strip())));
    return heads.of(heads.page(pageId));
  }

  /** A page that is put away. */
  public record Away(String id, String siteId, String site, String title, Instant since) {}

  /** The pages of the sites that are there which are put away, the last one first. */
  @Transactional(readOnly = true)
  public List<Away> putAway() {
    return pages.putAway().stream()
        .map(page ->
            new Away(
                page.id(),
                page.siteId(),
                sites.line(page.siteId()).map(SiteRows.SiteLine::name).orElse(""),
                page.title().isBlank() ? page.slug() : page.title(),
                Objects.requireNonNull(page.putAwayAt())))
        .toList();
  }

  /** Puts a page away: it is on no shelf and live no more, until it is brought back. */
  @Transactional
  public void putAway(String pageId) {
    History.Held held = history.hold(pageId);
    pages.putAway(pageId, clock.instant());
    events.publishEvent(new LiveChanged(held.site().id()));
  }

  /** Brings a page back as it was. */
  @Transactional
  public void bringBack(String pageId) {
    PageRows.PageLine page = pages.line(pageId).orElseThrow(() -> new Gone("page", pageId));
    history.holdSite(page.siteId());
    pages.putAway(pageId, null);
  }

  /**
   * Forgets a page for good.
   *
   * @param elsewhere forgets what belongs to it elsewhere
   * @throws Refused for one that is not put away
   */
  @Transactional
  public void drop(String pageId, Runnable elsewhere) {
    PageRows.PageLine page = pages.line(pageId).orElseThrow(() -> new Gone("page", pageId));
    history.holdSite(page.siteId());
    if (pages.line(pageId).filter(each -> each.putAwayAt() != null).isEmpty()) {
      throw new Refused("Page " + pageId, "on the shelf", "put away before it is dropped");
    }
    elsewhere.run();
    pages.deleteRevisions(pageId);
    pages.deleteFormer(pageId);
    pages.delete(pageId);
  }

  /** Ids of all pages of a site, those that are put away as well. */
  @Transactional(readOnly = true)
  public List<String> idsOf(String siteId) {
    return pages.allOfSite(siteId).stream().map(PageRows.PageLine::id).toList();
  }

  /** Ids of pages that were put away before a time. */
  @Transactional(readOnly = true)
  public List<String> putAwayBefore(Instant time) {
    return pages.putAwayBefore(time);
  }
}
