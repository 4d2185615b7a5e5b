package giostra.server.review;

import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.Fields;
import giostra.core.page.Node;
import giostra.core.page.PageSettings;
import giostra.core.value.Refused;
import giostra.server.bell.Bell;
import giostra.server.host.Ports;
import giostra.server.page.PageService;
import giostra.server.page.Revisions;
import giostra.server.people.Guests;
import giostra.server.people.Role;
import giostra.server.people.Who;
import giostra.server.web.Gone;
import giostra.server.web.NotAllowed;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Links for review, and what people remark. */
@Service
class ReviewService {
  private static final int MOST_REMARKS = 2000;
  private static final int MOST_LINKS = 50;
  private static final int LONGEST_TEXT = 4000;
  private static final int LONGEST_NAME = 80;
  private static final int LONGEST_DAYS = 365;
  private static final int NARROWEST = 200;
  private static final int WIDEST = 10_000;

  private final ReviewRows rows;
  private final PageService pages;
  private final Revisions revisions;
  private final Guests guests;
  private final Ports ports;
  private final Bell bell;
  private final Clock clock;

  ReviewService(
      ReviewRows rows,
      PageService pages,
      Revisions revisions,
      Guests guests,
      Ports ports,
      Bell bell,
      Clock clock) {
    this.rows = rows;
    this.pages = pages;
    this.revisions = revisions;
    this.guests = guests;
    this.ports = ports;
    this.bell = bell;
    this.clock = clock;
  }

  // --- remarks ---

  /** The remarks of a page, oldest first; a guest gets those of guests alone. */
  List<ReviewRows.RemarkLine> remarks(String page, Who who) {
    return rows.remarks(page).stream()
        .filter(each -> who.review() == null || each.guest())
        .toList();
  }

  /**
   * Leaves a remark.
   *
   * @param name of a guest, who has no other
   */
  @Transactional
  void remark(String page, Who who, String name, String node, int width, String text) {
    Who.@Nullable Review review = who.review();
    String author = review == null ? who.name() : words("name", name, LONGEST_NAME);
    String said = words("text", text, LONGEST_TEXT);
    if (width < NARROWEST || width > WIDEST) {
      throw new Refused("width", Integer.toString(width), NARROWEST + " to " + WIDEST + " px")
          .at("/width");
    }
    if (seen(page, who).find(node).isEmpty()) {
      throw new Refused("node", node, "something that is on the page").at("/node");
    }
    int added =
        rows.add(
            page,
            review == null ? null : review.link(),
            review != null,
            review == null ? who.person() : null,
            author,
            node,
            width,
            said,
            clock.instant(),
            MOST_REMARKS);
    if (added == 0) {
      throw new Refused(
          "remark", "the " + (MOST_REMARKS + 1) + "st", "at most " + MOST_REMARKS + " on a page");
    }
    ring(page);
  }

  private static String words(String what, String typed, int longest) {
    String text = typed.strip();
    if (text.isEmpty()
        || text.length() > longest
        || text.chars().anyMatch(each -> Character.isISOControl(each) && each != '\n')) {
      throw new Refused(
              what,
              text.isEmpty() ? "empty" : text.length() + " characters",
              "1 to " + longest + " characters, none of control")
          .at("/" + what);
    }
    return text;
  }

  /** Ticks a remark off, or opens it again. */
  @Transactional
  void tick(String page, long remark, boolean done, Who who) {
    if (rows.tick(page, remark, done ? clock.instant() : null, done ? who.name() : null) == 0) {
      throw new Gone("remark", Long.toString(remark));
    }
    ring(page);
  }

  /** Drops a remark: one's own, or any where one builds the page. */
  @Transactional
  void drop(String page, long remark, Who who) {
    ReviewRows.RemarkLine line =
        rows.remark(page, remark).orElseThrow(() -> new Gone("remark", Long.toString(remark)));
    boolean own = !who.person().isEmpty() && who.person().equals(line.person());
    if (!own && !who.on(pages.place(page).siteId()).may(Role.DESIGNER)) {
      throw new NotAllowed("It is somebody else’s remark; a designer can drop it.");
    }
    rows.drop(page, remark);
    ring(page);
  }

  private void ring(String page) {
    bell.ring(pages.place(page).siteId(), page, "remarked", Map.of());
  }

  // --- what a guest sees ---

  /**
   * Something on a page that a remark can hang on.
   *
   * @param within ids of what it stands in, from the page on
   */
  record Spot(String id, String called, List<String> within) {}

  /**
   * A page for review.
   *
   * @param name of the link; empty for people with an account
   * @param release number of the release that is shown; null for the page as it stands
   * @param until when the link ends; null for people with an account
   */
  record Reviewed(
      String page,
      String site,
      String title,
      String name,
      String stage,
      @Nullable Integer release,
      @Nullable Instant until,
      List<Spot> spots) {}

  /** What is looked at. */
  @Transactional(readOnly = true)
  Reviewed reviewed(String page, Who who) {
    Document document = seen(page, who);
    Optional<ReviewRows.LinkLine> link = link(who);
    return new Reviewed(
        page,
        pages.place(page).siteId(),
        document.page().values().get(PageSettings.TITLE),
        link.map(ReviewRows.LinkLine::name).orElse(""),
        ports.stage(),
        link.map(ReviewRows.LinkLine::release).orElse(null),
        link.map(ReviewRows.LinkLine::until).orElse(null),
        document
            .nodes()
            .map(node ->
                new Spot(
                    node.id(),
                    called(node),
                    document.path(node.id()).stream().map(each -> each.id()).toList()))
            .toList());
  }

  /** What people see of it names it best. */
  private static String called(Node node) {
    String words =
        switch (node) {
          case Block.Heading heading -> heading.values().get(BlockSettings.HEADING_TEXT);
          case Block.Button button -> button.values().get(BlockSettings.LABEL);
          default -> "";
        };
    return words.isBlank() ? Fields.called(node) : words;
  }

  private Optional<ReviewRows.LinkLine> link(Who who) {
    Who.@Nullable Review review = who.review();
    return review == null ? Optional.empty() : rows.link(review.link(), clock.instant());
  }

  private Document seen(String page, Who who) {
    Who.@Nullable Review review = who.review();
    return revisions.reviewed(page, review == null ? null : review.release());
  }

  // --- links ---

  List<ReviewRows.LinkLine> links(String page) {
    return rows.links(page, clock.instant());
  }

  /**
   * A link that was made.
   *
   * @param address that lets people in; it is told once
   */
  record LinkMade(String id, String address) {}

  /**
   * Makes a link.
   *
   * @param days that it works
   * @param release number of the release that it shows; null for the page as it stands
   */
  @Transactional
  LinkMade makeLink(String page, String name, int days, @Nullable Integer release) {
    String called = words("name", name, LONGEST_NAME);
    if (days < 1 || days > LONGEST_DAYS) {
      throw new Refused("days", Integer.toString(days), "a whole number from 1 to " + LONGEST_DAYS)
          .at("/days");
    }
    // It is there, or this says that it is not.
    revisions.reviewed(page, release);
    pages.hold(page);
    Instant now = clock.instant();
    Guests.Key key = guests.key();
    int added =
        rows.addLink(
            key.id(),
            key.mixed(),
            page,
            release,
            called,
            now,
            now.plus(Duration.ofDays(days)),
            MOST_LINKS);
    if (added == 0) {
      throw new Refused("link", "the " + (MOST_LINKS + 1) + "st", "at most " + MOST_LINKS);
    }
    return new LinkMade(key.id(), ports.bench() + "/review#key=" + key.secret());
  }

  /** Ends a link: nobody gets in by it, and who is in is out. */
  @Transactional
  void dropLink(String page, String link) {
    if (rows.dropLink(page, link) == 0) {
      throw new Gone("link", link);
    }
  }
}
