package giostra.server.page;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import giostra.core.output.Compiled;
import giostra.core.output.Compiler;
import giostra.core.output.Shipped;
import giostra.core.page.Document;
import giostra.server.host.PageFiles;
import giostra.server.media.MediaService;
import giostra.server.stock.StockService;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Compiles pages for the stage, and says what of a compiled page changed. */
@Component
public class Stage {
  /** Characters of the sheets that are remembered, together. */
  private static final long MOST_SHEETS = 16_000_000;

  /** Characters of the pages that are remembered, together. */
  private static final long MOST_PAGES = 24_000_000;

  private final MediaService media;
  private final StockService stock;
  private final PageFiles files;

  /** Sheets that stages may still ask for, by path; a convenience only, any of them can go. */
  private final Cache<String, String> sheets =
      Caffeine.newBuilder()
          .maximumWeight(MOST_SHEETS)
          .weigher((String _, String css) -> css.length())
          .build();

  /** What was compiled last, told by the document itself and not by what is in it. */
  private final Cache<Document, Compiled> known =
      Caffeine.newBuilder()
          .weakKeys()
          .maximumWeight(MOST_PAGES)
          .weigher((Document _, Compiled page) -> 2 * page.html().length() + page.css().length())
          .build();

  Stage(MediaService media, StockService stock, PageFiles files) {
    this.media = media;
    this.stock = stock;
    this.files = files;
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

  /** Compiles a page of a site. */
  public Compiled compile(String siteId, Document document) {
    return noted(Compiler.compile(stock.expanded(siteId, document), shipped(siteId)));
  }

  private Shipped shipped(String siteId) {
    return files.shipped(media.lookup(siteId));
  }

  private Compiled noted(Compiled compiled) {
    sheets.put(compiled.cssPath(), compiled.css());
    return compiled;
  }

  /** A sheet that was compiled lately. */
  @Nullable String sheet(String path) {
    return sheets.getIfPresent(path);
  }

  /** From one document to the next. */
  public Swap between(String siteId, Document before, Document after) {
    Compiled old = lately(siteId, before);
    Compiled now = noted(Compiler.compile(stock.expanded(siteId, after), shipped(siteId), old));
    known.put(after, now);
    List<RulePatch> rules = RulePatch.between(old.sheet(), now.sheet());
    return now.blocksSince(old)
        .map(changed -> swap(null, changed, old, now, rules))
        .orElseGet(() -> swap(now.html(), null, old, now, rules));
  }

  private static Swap swap(
      @Nullable String html,
      @Nullable Map<String, String> blocks,
      Compiled old,
      Compiled now,
      @Nullable List<RulePatch> rules) {
    return new Swap(html, blocks, now.cssPath(), old.cssPath(), rules, old.sheet().rules());
  }

  private Compiled lately(String siteId, Document document) {
    Compiled compiled = known.getIfPresent(document);
    return compiled == null ? compile(siteId, document) : compiled;
  }
}
