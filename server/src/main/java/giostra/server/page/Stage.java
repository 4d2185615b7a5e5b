package giostra.server.page;

import giostra.core.output.Compiled;
import giostra.core.output.Compiler;
import giostra.core.output.Shipped;
import giostra.core.page.Document;
import giostra.server.host.PageFiles;
import giostra.server.media.MediaService;
import giostra.server.stock.StockService;
import java.util.ArrayDeque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Compiles pages for the stage, and says what of a compiled page changed. */
@Component
public class Stage {
  private static final int KEPT = 64;
  private static final int KNOWN = 12;

  private final MediaService media;
  private final StockService stock;
  private final PageFiles files;

  /** Sheets that stages may still ask for, by path; a convenience only, any of them can go. */
  private final Map<String, String> sheets =
      new LinkedHashMap<>() {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, String> eldest) {
          return size() > KEPT;
        }
      };

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

  /** What was compiled last, told by the document itself and not by what is in it. */
  private record Known(Document document, Compiled compiled) {}

  private final ArrayDeque<Known> known = new ArrayDeque<>();

  /** Compiles a page of a site. */
  public Compiled compile(String siteId, Document document) {
    Shipped shipped = files.shipped(media.lookup(siteId));
    Compiled compiled = Compiler.compile(stock.expanded(siteId, document), shipped);
    synchronized (sheets) {
      sheets.put(compiled.cssPath(), compiled.css());
    }
    return compiled;
  }

  /** A sheet that was compiled lately. */
  @Nullable String sheet(String path) {
    synchronized (sheets) {
      return sheets.get(path);
    }
  }

  /** From one document to the next. */
  public Swap between(String siteId, Document before, Document after) {
    Compiled old = lately(siteId, before);
    Compiled now = compile(siteId, after);
    keep(after, now);
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
    synchronized (known) {
      for (Known each : known) {
        if (each.document() == document) {
          return each.compiled();
        }
      }
    }
    return compile(siteId, document);
  }

  private void keep(Document document, Compiled compiled) {
    synchronized (known) {
      known.addFirst(new Known(document, compiled));
      while (known.size() > KNOWN) {
        known.removeLast();
      }
    }
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
