package giostra.server.shelf;

import giostra.server.page.PageService;
import giostra.server.page.PageShelf;
import giostra.server.people.Made;
import giostra.server.people.Needs;
import giostra.server.people.Role;
import giostra.server.people.Who;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Whole pages and sites: named, copied, moved, put away, brought back, dropped. */
@RestController
class ShelfController {
  private final ShelfService shelf;
  private final PageShelf whole;
  private final Overview overview;
  private final PageService pages;
  private final Made made;

  ShelfController(
      ShelfService shelf, PageShelf whole, Overview overview, PageService pages, Made made) {
    this.made = made;
    this.whole = whole;
    this.overview = overview;
    this.shelf = shelf;
    this.pages = pages;
  }

  /**
   * A new site.
   *
   * @param dress id of the whole dress that it wears from the start; null for none
   */
  record NewSite(String name, @Nullable String dress) {}

  /** What a page is called, and the last part of its address. */
  record PageName(String title, String slug) {}

  /** What a site is called. */
  record SiteName(String name) {}

  /**
   * Where a page is copied to.
   *
   * @param site null for the one that it is of
   * @param title of the copy; null for that of the page
   */
  record CopyRequest(@Nullable String site, @Nullable String title) {}

  /** Where a page is moved to. */
  record MoveRequest(String site) {}

  /** What was made. */
  record MadeReply(String id) {}

  /**
   * Some pages with their sites, first what was worked on last; not all of a site that has many.
   *
   * @param find stands in the name of the site, or in the title or address of the page: then all
   *     that are found
   * @param from how many pages come before
   */
  @GetMapping("/api/shelf")
  ShelfReply shelf(
      @RequestParam(defaultValue = "") String find, @RequestParam(defaultValue = "0") int from) {
    return overview.some(find, from);
  }

  /** A site by its name. */
  record SiteReply(String id, String name) {}

  /** All sites that are there, oldest first. */
  @GetMapping("/api/sites")
  List<SiteReply> sites() {
    return pages.sites().stream()
        .filter(each -> Who.sees(each.id()))
        .map(each -> new SiteReply(each.id(), each.name()))
        .toList();
  }

  @Needs(Role.DESIGNER)
  @PostMapping("/api/sites")
  @ResponseStatus(HttpStatus.CREATED)
  SiteReply addSite(@RequestBody NewSite body) {
    var site = pages.addSite(body.name(), body.name(), body.dress());
    made.site(site.id());
    return new SiteReply(site.id(), site.name());
  }

  @PutMapping("/api/pages/{id}/name")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void name(@PathVariable String id, @RequestBody PageName body) {
    whole.name(id, body.title(), body.slug());
  }

  @PostMapping("/api/pages/{id}/copies")
  @ResponseStatus(HttpStatus.CREATED)
  MadeReply copy(@PathVariable String id, @RequestBody CopyRequest body) {
    String site = body.site() == null ? pages.place(id).siteId() : body.site();
    Who.needed(site, Role.DESIGNER);
    return new MadeReply(shelf.copy(id, site, body.title() == null ? "" : body.title()).id());
  }

  /** What a page would lose on another site. */
  @GetMapping("/api/pages/{id}/losses")
  ShelfService.Losses losses(@PathVariable String id, @RequestParam String site) {
    Who.needed(site, Role.REVIEWER);
    return shelf.losses(id, site);
  }

  @PostMapping("/api/pages/{id}/move")
  MadeReply move(@PathVariable String id, @RequestBody MoveRequest body) {
    Who.needed(body.site(), Role.DESIGNER);
    return new MadeReply(shelf.move(id, body.site()).id());
  }

  /** All that is put away, and until when it can be brought back. */
  @GetMapping("/api/away")
  List<ShelfService.AwayReply> away() {
    return shelf.away().stream().filter(each -> Who.sees(each.siteId())).toList();
  }

  @PostMapping("/api/pages/{id}/away")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void putAway(@PathVariable String id) {
    whole.putAway(id);
  }

  @DeleteMapping("/api/pages/{id}/away")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void bringBack(@PathVariable String id) {
    whole.bringBack(id);
  }

  /** Drops a page that is put away, for good. */
  @Needs(Role.OWNER)
  @DeleteMapping("/api/pages/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void drop(@PathVariable String id) {
    shelf.dropPage(id);
  }

  @Needs(Role.OWNER)
  @PutMapping("/api/sites/{siteId}/name")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void nameSite(@PathVariable String siteId, @RequestBody SiteName body) {
    whole.nameSite(siteId, body.name());
  }

  @Needs(Role.DESIGNER)
  @PostMapping("/api/sites/{siteId}/copies")
  @ResponseStatus(HttpStatus.CREATED)
  MadeReply copySite(@PathVariable String siteId, @RequestBody SiteName body) {
    String copy = shelf.copySite(siteId, body.name());
    made.site(copy);
    return new MadeReply(copy);
  }

  @Needs(Role.OWNER)
  @PostMapping("/api/sites/{siteId}/away")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void putAwaySite(@PathVariable String siteId) {
    shelf.putAwaySite(siteId);
  }

  @Needs(Role.OWNER)
  @DeleteMapping("/api/sites/{siteId}/away")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void bringBackSite(@PathVariable String siteId) {
    shelf.bringBackSite(siteId);
  }

  /** Drops a site that is put away, for good. */
  @Needs(Role.OWNER)
  @DeleteMapping("/api/sites/{siteId}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void dropSite(@PathVariable String siteId) {
    shelf.dropSite(siteId);
  }
}
