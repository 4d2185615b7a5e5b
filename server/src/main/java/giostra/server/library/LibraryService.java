package giostra.server.library;

import giostra.core.page.Document;
import giostra.core.page.MediaUse;
import giostra.core.page.PageSettings;
import giostra.core.page.Site;
import giostra.core.value.Aspect;
import giostra.core.value.Refused;
import giostra.server.media.MediaService;
import giostra.server.page.PageService;
import giostra.server.site.SiteRows;
import giostra.server.stock.StockService;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The media of a site with the places that use them. */
@Service
class LibraryService {
  private final MediaService media;
  private final PageService pages;
  private final StockService stock;
  private final SiteRows sites;

  LibraryService(MediaService media, PageService pages, StockService stock, SiteRows sites) {
    this.sites = sites;
    this.media = media;
    this.pages = pages;
    this.stock = stock;
  }

  /**
   * A place that uses something.
   *
   * @param page id of the page; empty for what is kept on the site
   * @param title of the page, or the name of what is kept
   * @param node id of what uses it there
   * @param called what people call that
   */
  record UseReply(String page, String title, String node, String called, String setting) {}

  /**
   * Something of the library.
   *
   * @param shapes that it is cut to on the site, narrowest first; usual ones where it is not cut
   * @param cut whether the site cuts it
   * @param lacks whether it still wants a text alternative, or to be called decorative
   */
  record LibraryItem(
      MediaService.Media media,
      List<UseReply> uses,
      List<ShapeReply> shapes,
      boolean cut,
      boolean lacks) {}

  /** A shape, as people write it and as width over height. */
  record ShapeReply(String name, double ratio) {}

  /** All of a site, newest first. */
  @Transactional(readOnly = true)
  public List<LibraryItem> of(String siteId) {
    Map<String, List<UseReply>> uses = new HashMap<>();
    Map<String, Set<Aspect>> shapes = new HashMap<>();
    List<PageService.Head> all = pages.pages(siteId);
    for (PageService.Head head : all) {
      String title = head.document().page().values().get(PageSettings.TITLE);
      note(head.id(), title, head.document(), uses, shapes);
    }
    Site site = pages.shared(siteId);
    for (StockService.Kept kept : stock.of(siteId)) {
      Document document = stock.document(kept, site);
      note("", "Kept on the site: " + kept.name(), document, uses, shapes);
    }
    return media.of(siteId).reversed().stream()
        .map(each ->
            new LibraryItem(
                each,
                uses.getOrDefault(each.id(), List.of()),
                shapes(shapes.getOrDefault(each.id(), Set.copyOf(MediaUse.USUAL_SHAPES))),
                shapes.containsKey(each.id()),
                each.alt().isBlank() && !each.decorative() && each.sort().endsWith("picture")))
        .toList();
  }

  private static void note(
      String page,
      String title,
      Document document,
      Map<String, List<UseReply>> uses,
      Map<String, Set<Aspect>> shapes) {
    for (MediaUse use : MediaUse.of(document)) {
      uses.computeIfAbsent(use.media(), _ -> new ArrayList<>())
          .add(new UseReply(page, title, use.node(), use.called(), use.setting()));
      if (!use.shapes().isEmpty()) {
        shapes.computeIfAbsent(use.media(), _ -> new HashSet<>()).addAll(use.shapes());
      }
    }
  }

  private static List<ShapeReply> shapes(Set<Aspect> shapes) {
    return shapes.stream()
        .sorted(Comparator.comparingDouble(Aspect::ratio))
        .map(shape -> new ShapeReply(shape.written(), shape.ratio()))
        .toList();
  }

  /**
   * Takes something out of the site.
   *
   * @throws Refused when it is used, saying where
   */
  @Transactional
  public void delete(String siteId, String id) {
    // Held, so that nobody puts it on a page meanwhile.
    sites.held(siteId);
    List<UseReply> uses =
        of(siteId).stream()
            .filter(item -> item.media().id().equals(id))
            .flatMap(item -> item.uses().stream())
            .toList();
    if (!uses.isEmpty()) {
      String places =
          String.join(
              "; ", uses.stream().limit(5).map(use -> use.title() + ": " + use.called()).toList());
      throw new Refused(
          "What is deleted",
          "used in "
              + (uses.size() == 1 ? "1 place" : uses.size() + " places")
              + " ("
              + places
              + ")",
          "used nowhere");
    }
    media.delete(siteId, id);
  }
}
