package giostra.server.shelf;

import giostra.core.page.Linking;
import giostra.core.value.Refused;
import giostra.server.host.Ports;
import giostra.server.page.PageService;
import giostra.server.people.Who;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * What is on the shelf, some pages at a time. A page is opened for it only where nobody has since
 * it was changed; one that is broken takes no other off it.
 */
@Component
class Overview {
  private static final Logger LOG = LoggerFactory.getLogger(Overview.class);

  /** Pages of one answer. */
  static final int MOST = 50;

  /** Pages of one site while nothing is sought: one that has many hides no other. */
  static final int OF_SITE = 12;

  /** How long what is sought may be. */
  private static final int LONGEST = 200;

  private final ShelfRows rows;
  private final PageService pages;
  private final Counting counting;
  private final Built built;
  private final Ports port;

  Overview(ShelfRows rows, PageService pages, Counting counting, Built built, Ports port) {
    this.rows = rows;
    this.pages = pages;
    this.counting = counting;
    this.built = built;
    this.port = port;
  }

  /**
   * Some of what is there.
   *
   * @param find stands in the name of a site, or in the title or the address of a page; when it is
   *     blank, the first pages of each site
   * @param from how many pages come before
   */
  ShelfReply some(String find, int from) {
    if (find.length() > LONGEST || find.chars().anyMatch(Character::isISOControl)) {
      throw new Refused(
          "What is sought", find, "at most " + LONGEST + " characters long, none of control");
    }
    if (from < 0) {
      throw new Refused("from", Integer.toString(from), "0 or more");
    }
    int ofSite = find.isBlank() ? OF_SITE : Integer.MAX_VALUE;
    List<ShelfRows.Line> lines = rows.lines(like(find.strip()), ofSite, MOST + 1, from, asking());
    boolean more = lines.size() > MOST;
    List<ShelfRows.Line> shown = more ? lines.subList(0, MOST) : lines;
    Map<String, String> pictures =
        counting.pictures(shown.stream().map(ShelfRows.Line::getSite).collect(Collectors.toSet()));
    var bySite = new LinkedHashMap<String, List<ShelfRows.Line>>();
    shown.forEach(line -> bySite.computeIfAbsent(line.getSite(), _ -> new ArrayList<>()).add(line));
    List<ShelfReply.ShelfSite> sites =
        bySite.values().stream().map(each -> site(each, pictures)).toList();
    return new ShelfReply(port.stage(), sites, more ? from + MOST : null);
  }

  /** Whose sites are shown; null for all. */
  private static @Nullable String asking() {
    return Who.asking().filter(who -> !who.owns()).map(Who::person).orElse(null);
  }

  /** As a pattern of SQL, in which what people type means nothing else. */
  private static String like(String find) {
    return "%" + find.replaceAll("([\\\\%_])", "\\\\$1") + "%";
  }

  private ShelfReply.ShelfSite site(List<ShelfRows.Line> lines, Map<String, String> pictures) {
    ShelfRows.Line first = lines.getFirst();
    List<ShelfReply.ShelfPage> all =
        lines.stream()
            .filter(line -> line.getPage() != null)
            .map(line -> page(line, pictures))
            .toList();
    return new ShelfReply.ShelfSite(
        first.getSite(), first.getSiteName(), first.getSitePages(), all);
  }

  private ShelfReply.ShelfPage page(ShelfRows.Line line, Map<String, String> pictures) {
    ShelfRows.Line read = read(line);
    String id = Objects.requireNonNull(line.getPage());
    String slug = Objects.requireNonNull(line.getSlug());
    String said = Objects.requireNonNullElse(read.getSaid(), "");
    if (!Boolean.FALSE.equals(read.getBroken())) {
      return new ShelfReply.ShelfPage(id, slug, slug, 0, 0, 0, null, false, said, true);
    }
    boolean known = counting.of(read, pictures).equals(read.getCountedOf());
    if (!known) {
      counting.ask(id);
    }
    boolean failed = known && Boolean.TRUE.equals(read.getFailed());
    int head = Objects.requireNonNull(read.getHead());
    return new ShelfReply.ShelfPage(
        id,
        Objects.requireNonNullElse(read.getTitle(), ""),
        slug,
        head,
        Objects.requireNonNullElse(read.getPieces(), 0),
        known ? read.getSnags() : null,
        read.getLiveNumber(),
        older(read.getLiveRevision(), head)
            || older(read.getLiveSiteRevision(), read.getSiteHead()),
        failed ? "This page cannot be looked through for snags." : said,
        false);
  }

  private static boolean older(@Nullable Integer live, int now) {
    return live != null && live < now;
  }

  /** A line with what was read of its page as it stands. */
  private ShelfRows.Line read(ShelfRows.Line line) {
    String of = built.word() + " " + line.getHead() + " " + line.getSiteHead();
    if (of.equals(line.getReadOf())) {
      return line;
    }
    String page = Objects.requireNonNull(line.getPage());
    try {
      PageService.Shown shown = pages.opened(page);
      PageService.Head head = shown.head();
      rows.note(
          page,
          of,
          head == null ? 0 : head.document().pieces().size(),
          head != null && head.document().nodes().anyMatch(Linking::linked),
          shown.said(),
          head == null);
      return rows.line(page).stream().findFirst().orElse(line);
    } catch (RuntimeException e) {
      // It went meanwhile, say.
      LOG.warn("page {} cannot be shown", page, e);
      return line;
    }
  }
}
