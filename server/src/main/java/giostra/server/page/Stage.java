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
import java.util.LinkedHashMap;
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
    Shipped shipped = files.shipped(media.lookup(siteId));
    Compiled compiled = Compiler.compile(stock.expanded(siteId, document), shipped);
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
    Compiled now = compile(siteId, after);
    known.put(after, now);
    List<RulePatch> rules = RulePatch.between(old.css(), now.css());
    int count = RulePatch.rules(old.css()).size();
    if (!shell(old).equals(shell(now))) {
      return new Swap(now.html(), null, now.cssPath(), old.cssPath(), rules, count);
    }
    var changed = new LinkedHashMap<String, String>();
    now.blocks()
        .forEach((id, html) -> {
          if (!html.equals(old.blocks().get(id))) {
            changed.put(id, html);
          }
        });
    return new Swap(null, changed, now.cssPath(), old.cssPath(), rules, count);
  }

  private Compiled lately(String siteId, Document document) {
    Compiled compiled = known.getIfPresent(document);
    return compiled == null ? compile(siteId, document) : compiled;
  }

  /** A page without its blocks and the name of its sheet. */
  private static String shell(Compiled page) {
    var shell = new StringBuilder();
    int at = 0;
    for (String block : page.blocks().values()) {
      int start = page.html().indexOf(block, at);
      shell.append(page.html(), at, start).append('\u0000');
      at = start + block.length();
    }
    String rest = shell.append(page.html().substring(at)).toString();
    return String.join(",", page.blocks().keySet()) + rest.replace(page.cssPath(), "");
  }
}
