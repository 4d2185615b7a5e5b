package giostra.core.output;

import giostra.core.band.Band;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.Node;
import giostra.core.page.Page;
import giostra.core.page.PageSettings;
import giostra.core.page.PageSettings.Direction;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.SectionSettings.Extent;
import giostra.core.page.SiteSettings;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * Compiles a document to the files of a page. A pure function: previews and releases call it alike,
 * and equal documents give equal bytes.
 *
 * <p>What it writes needs no style attribute and no inline script, so it runs under a strict
 * Content-Security-Policy, and it works from disk. Values are resolved: nothing it writes depends
 * on the specificity of rules elsewhere.
 */
public final class Compiler {
  private final Document document;
  private final Shipped shipped;
  private final Writing writing;
  private final BlockOutput blocks;
  private final Map<String, String> written = new LinkedHashMap<>();

  private Compiler(Document document, Shipped shipped) {
    this.document = document;
    this.shipped = shipped;
    this.writing = new Writing(document, shipped, this::wrapped);
    this.blocks = new BlockOutput(writing, this::wrapped);
  }

  /** Names of the icons that pieces show of themselves, whatever their items ask for. */
  public static List<String> ownIcons() {
    return VideoOutput.ICONS;
  }

  /** Compiles. */
  public static Compiled compile(Document document, Shipped shipped) {
    return new Compiler(document, shipped).run();
  }

  private Compiled run() {
    Page page = document.page();
    page.sections().forEach(this::section);
    String main = writing.out.toString();
    String sheet = sheet();
    String cssPath = "style." + Hash.of(sheet) + ".css";
    List<String> scripts = shipped.scripts(writing.kinds);
    var html = new Html();
    head(html, page, cssPath, scripts);
    html.raw("<body>").raw(writing.icons.sprite()).raw("<main>").raw(main);
    html.raw("</main></body></html>\n");
    return new Compiled(
        html.toString(),
        sheet,
        cssPath,
        writing.pictures.files,
        written,
        scripts,
        List.copyOf(writing.pictures.missing),
        writing.origins);
  }

  private String sheet() {
    var sheet = new StringBuilder(Stylesheet.faces(shipped.fonts())).append(Stylesheet.base());
    writing.kinds.forEach(kind -> sheet.append(Stylesheet.of(kind, writing.kinds)));
    writing.parts.forEach(part -> sheet.append(Stylesheet.part(part)));
    for (int i = 1; i < writing.mostItems; i++) {
      sheet.append(String.format(Locale.ROOT, ".g-item:nth-child(%d){--g-i:%d}", i + 1, i));
    }
    String hover = writing.hoverCss.css();
    if (!hover.isEmpty()) {
      sheet.append("@media (hover:hover) and (pointer:fine){").append(hover).append('}');
    }
    return sheet.append(writing.css.css()).append(writing.containerCss).toString();
  }

  private void head(Html head, Page page, String cssPath, List<String> scripts) {
    Direction direction = page.values().get(PageSettings.DIRECTION);
    String title = page.values().get(PageSettings.TITLE);
    String description = page.values().get(PageSettings.DESCRIPTION);
    head.raw("<!DOCTYPE html>\n")
        .open("html", "lang", page.values().get(PageSettings.LANGUAGE), "dir", Css.word(direction))
        .raw("<head><meta charset=\"utf-8\">")
        .raw("<meta name=\"viewport\" content=\"width=device-width,initial-scale=1\">")
        .element("title", title.isEmpty() ? siteName() : title);
    if (!description.isEmpty()) {
      head.open("meta", "name", "description", "content", description);
    }
    writing
        .pictures
        .find(page.values().get(PageSettings.ICON))
        .ifPresentOrElse(
            icon -> head.open("link", "rel", "icon", "href", icon.path(), "type", icon.type()),
            () -> {
              String blank = shipped.blank();
              if (!blank.isEmpty()) {
                head.open("link", "rel", "icon", "href", blank, "type", "image/svg+xml");
              }
            });
    writing
        .pictures
        .find(page.values().get(PageSettings.SHARE_PICTURE))
        .ifPresent(share -> {
          head.open(
              "meta", "property", "og:title", "content", title.isEmpty() ? siteName() : title);
          head.open("meta", "property", "og:image", "content", share.path());
        });
    for (Shipped.Font font : shipped.fonts()) {
      if (!font.path().contains("-ext")) {
        head.open(
            "link",
            "rel",
            "preload",
            "href",
            font.path(),
            "as",
            "font",
            "type",
            "font/woff2",
            "crossorigin",
            "anonymous");
      }
    }
    head.open("link", "rel", "stylesheet", "href", cssPath);
    scripts.forEach(script -> head.raw("<script src=\"" + script + "\" defer></script>"));
    head.close("head");
  }

  private String siteName() {
    String name = document.site().values().get(SiteSettings.NAME);
    return name.isEmpty() ? "Untitled" : name;
  }

  private void section(Section section) {
    String id = "#g-" + section.id();
    String tone = Css.word(section.values().get(SectionSettings.TONE));
    Optional<Shipped.Picture> ground =
        writing.pictures.find(section.values().get(SectionSettings.GROUND));
    writing.out.open(
        "section",
        "class",
        "g-section g-" + tone + (ground.isPresent() ? " g-grounded" : ""),
        "id",
        "g-" + section.id(),
        "data-section",
        section.id(),
        "aria-label",
        section.values().get(SectionSettings.NAME));
    ground.ifPresent(picture ->
        writing.image(
            picture,
            "",
            widths -> widths.ground(section, Pictures.size(picture)),
            "class",
            "g-ground",
            "fetchpriority",
            "high"));
    writing.css.put(
        id,
        "padding-block",
        band ->
            value(section, SectionSettings.SPACE_ABOVE, band).css()
                + " "
                + value(section, SectionSettings.SPACE_BELOW, band).css());
    writing.css.put(id + ">.g-block", "inline-size", band -> content(section, band));
    for (Block block : section.blocks()) {
      int start = writing.out.length();
      wrapped(block);
      written.put(block.id(), writing.out.from(start));
      if (block instanceof Piece piece) {
        // Only a piece that stands in a section by itself may leave its measure.
        writing.css.put(
            id + ">.g-block[data-block=" + block.id() + "]",
            "inline-size",
            band ->
                value(piece, PieceSettings.EXTENT, band) == Extent.EDGE
                    ? "100%"
                    : content(section, band));
      }
    }
    writing.out.close("section");
  }

  private <T> T value(Node node, giostra.core.band.Setting<T> setting, Band band) {
    return writing.value(node, setting, band);
  }

  private String content(Section section, Band band) {
    if (value(section, SectionSettings.EXTENT, band) == Extent.EDGE) {
      return "100%";
    }
    String padding = value(section, SectionSettings.PADDING, band).css();
    String measure = value(document.site(), SiteSettings.MEASURE, band).css();
    return String.format(Locale.ROOT, "max(0px,min(100%% - 2*%s,%s))", padding, measure);
  }

  private void wrapped(Block block) {
    if (block instanceof Piece piece && piece.values().get(PieceSettings.HIDDEN)) {
      return;
    }
    String anchor =
        block instanceof Piece piece
            ? piece.values().get(giostra.core.page.MarkSettings.ANCHOR)
            : "";
    writing.out.open("div", "class", "g-block", "id", anchor, "data-block", block.id());
    blocks.write(block);
    writing.out.close("div");
    if (block instanceof Piece piece) {
      shown(piece);
    }
  }

  private void shown(Piece piece) {
    boolean everywhere =
        document.bands().all().stream().allMatch(band -> value(piece, PieceSettings.SHOWN, band));
    if (!everywhere) {
      writing.css.put(
          ".g-block[data-block=" + piece.id() + "]",
          "display",
          band -> value(piece, PieceSettings.SHOWN, band) ? "block" : "none");
    }
  }
}
