package giostra.server.release;

import giostra.core.page.Document;
import giostra.core.page.PageDifference;
import giostra.core.value.PickKind;
import giostra.server.page.PageService;
import giostra.server.page.Revisions;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** In what two releases differ, or the page as it stands from one. */
@RestController
class DifferenceController {
  private final PageService pages;
  private final Revisions revisions;
  private final ReleaseService releases;

  DifferenceController(PageService pages, Revisions revisions, ReleaseService releases) {
    this.pages = pages;
    this.revisions = revisions;
    this.releases = releases;
  }

  /**
   * Something in which they differ.
   *
   * @param node id of what it is of; empty for the site
   * @param name what that is called
   * @param how added, gone, moved or changed
   * @param what name of the setting or style; empty unless something is said otherwise
   * @param band name of the band; empty for what is the same in all
   * @param then as it was; empty where nothing was set
   * @param now as it is; empty where nothing is set
   */
  record DifferenceReply(
      String node, String name, String how, String what, String band, String then, String now) {}

  /** From one release to another, or to the page as it stands where no other is named. */
  @GetMapping("/api/pages/{id}/difference")
  List<DifferenceReply> difference(
      @PathVariable String id,
      @RequestParam int from,
      @RequestParam(required = false) @Nullable Integer to) {
    Document then = was(id, from);
    Document now = to == null ? pages.head(id).document() : was(id, to);
    return PageDifference.between(then, now).stream()
        .map(each ->
            new DifferenceReply(
                each.node(),
                each.name(),
                PickKind.word(each.how()),
                each.what(),
                each.band(),
                each.then(),
                each.now()))
        .toList();
  }

  private Document was(String id, int number) {
    ReleaseService.Held held = releases.held(id, number);
    return revisions.was(id, held.revision(), held.siteRevision());
  }
}
