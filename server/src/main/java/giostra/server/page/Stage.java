package giostra.server.page;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import giostra.core.output.Compiled;
import giostra.core.output.Compiler;
import giostra.core.output.Sheet;
import giostra.core.output.Shipped;
import giostra.core.output.Snippet;
import giostra.core.page.ConditionSettings;
import giostra.core.page.Document;
import giostra.server.host.PageFiles;
import giostra.server.media.MediaService;
import giostra.server.stock.StockService;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Compiles pages for the stage, and says what of a compiled page changed. */
@Component
public class Stage {
  /** Characters of the sheets that are remembered, together, and for how long each is. */
  private static final long MOST_SHEETS = 8_000_000;

  private static final Duration SHEETS_KEPT = Duration.ofMinutes(5);

  /** Characters of the pages that are remembered, together. */
  private static final long MOST_PAGES = 24_000_000;

  private final MediaService media;
  private final StockService stock;
  private final PageFiles files;
  private final Meters meters;

  /** Sheets that stages may still ask for, by path; a convenience only, any of them can go. */
  private final Cache<String, Sheet> sheets =
      Caffeine.newBuilder()
          .expireAfterAccess(SHEETS_KEPT)
          .maximumWeight(MOST_SHEETS)
          .weigher((String _, Sheet each) -> each.length())
          .build();

  /** What was compiled last of a page. */
  private record Newest(Document document, Compiled compiled) {}

  /**
   * By page. What is compiled next takes over from it what has not changed, so none of it is ever
   * wrong, and any of it can go.
   */
  private final Cache<String, Newest> newest =
      Caffeine.newBuilder()
          .maximumWeight(MOST_PAGES)
          .weigher((String _, Newest each) -> each.compiled().weight())
          .build();

  Stage(MediaService media, StockService stock, PageFiles files, Meters meters) {
    this.media = media;
    this.stock = stock;
    this.files = files;
    this.meters = meters;
  }

  /**
   * What a stage has to change.
   *
   * @param html the whole page, when more than blocks changed
   * @param blocks markup by block id, when only blocks changed
   * @param css path of the sheet
   * @param from path of the sheet that the patches are for
   * @param rules patches that make the old sheet the new one, applied in order; without them the
   *     whole sheet has to be taken
   * @param count rules that the old sheet has at its top: another count asks for the whole sheet
   */
  public record Swap(
      @Nullable String html,
      @Nullable Map<String, String> blocks,
      String css,
      String from,
      @Nullable List<RulePatch> rules,
      int count) {}

  /** Compiles a document that is none of a page as it stands: what was, what is assumed. */
  public Compiled compile(String siteId, Document document) {
    return compiled(stock.expanded(siteId, document), siteId, null);
  }

  /** Compiles a page as it stands. */
  public Compiled compile(PageService.Head head) {
    Newest known = newest.getIfPresent(head.id());
    Compiled compiled = next(head.siteId(), head.document(), known);
    newest.put(head.id(), new Newest(head.document(), compiled));
    return compiled;
  }

  /** Compiles a page as it stands, for visitors that come from a moment on. */
  public Compiled published(PageService.Head head, Instant at) {
    Document shown = stock.expanded(head.siteId(), head.document());
    return ConditionSettings.seasons(shown) ? published(head.siteId(), shown, at) : compile(head);
  }

  /**
   * Compiles a document that is none of a page as it stands, for visitors that come from a moment
   * on.
   *
   * @param shown with what is kept on the site in it
   */
  public Compiled published(String siteId, Document shown, Instant at) {
    return noted(Compiler.compile(shown, shipped(siteId, shown, at)));
  }

  /**
   * A section or a piece of a document, for a page of somebody else's.
   *
   * @param shown with what is kept on the site in it
   * @param at when it was published
   * @param scripts where scripts that run in a room are, by name, seen from the release
   * @param there whether a file is among those of its release, by its path
   * @param scripted whether scripts run there
   */
  public Snippet snippet(
      String siteId,
      Document shown,
      Instant at,
      String node,
      Map<String, String> scripts,
      Predicate<String> there,
      boolean scripted) {
    return Snippet.of(shown, shipped(siteId, shown, at), node, scripts, there, scripted);
  }

  private Shipped shipped(String siteId, Document shown, Instant at) {
    Shipped shipped = shipped(siteId);
    return ConditionSettings.seasons(shown) ? shipped.at(at) : shipped;
  }

  private Compiled next(String siteId, Document document, @Nullable Newest known) {
    return known == null
        ? compile(siteId, document)
        : compiled(stock.expanded(siteId, document), siteId, known.compiled());
  }

  /**
   * @param before what is taken over where it has not changed
   */
  private Compiled compiled(Document document, String siteId, @Nullable Compiled before) {
    Shipped shipped = shipped(siteId);
    return noted(
        meters.compile.record(() ->
            before == null
                ? Compiler.compile(document, shipped)
                : Compiler.compile(document, shipped, before)));
  }

  private Shipped shipped(String siteId) {
    return files.shipped(media.lookup(siteId));
  }

  private Compiled noted(Compiled compiled) {
    sheets.put(compiled.cssPath(), compiled.sheet());
    return compiled;
  }

  /** A sheet that was compiled lately. */
  @Nullable String sheet(String path) {
    Sheet sheet = sheets.getIfPresent(path);
    return sheet == null ? null : sheet.css();
  }

  /** From one document of a page to the newest. */
  public Swap between(Document before, PageService.Head after) {
    Newest known = newest.getIfPresent(after.id());
    // Told by the document itself, not by what is in it.
    Compiled old =
        known != null && known.document() == before
            ? known.compiled()
            : next(after.siteId(), before, known);
    Compiled now = next(after.siteId(), after.document(), new Newest(before, old));
    newest.put(after.id(), new Newest(after.document(), now));
    return swap(old, now);
  }

  /**
   * There and back.
   *
   * @param to what shows a page as it would be
   * @param back what shows it as it is again
   */
  public record Trial(Swap to, Swap back) {}

  /** What a stage has to change to show a page as it would be after edits, and as it is again. */
  public Trial trial(PageService.Head head, Document tried) {
    Compiled now = compile(head);
    Compiled then = compiled(stock.expanded(head.siteId(), tried), head.siteId(), now);
    return new Trial(swap(now, then), swap(then, now));
  }

  private static Swap swap(Compiled from, Compiled to) {
    List<RulePatch> rules = RulePatch.between(from.sheet(), to.sheet());
    return to.blocksSince(from)
        .map(changed -> swap(null, changed, from, to, rules))
        .orElseGet(() -> swap(to.html(), null, from, to, rules));
  }

  private static Swap swap(
      @Nullable String html,
      @Nullable Map<String, String> blocks,
      Compiled old,
      Compiled now,
      @Nullable List<RulePatch> rules) {
    return new Swap(html, blocks, now.cssPath(), old.cssPath(), rules, old.sheet().rules());
  }
}
