package giostra.core.output;

import giostra.core.band.Band;
import giostra.core.band.Shares;
import giostra.core.layout.Resolution;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.BlockSettings.Shape;
import giostra.core.page.BlockSettings.Side;
import giostra.core.page.Column;
import giostra.core.page.Document;
import giostra.core.page.Page;
import giostra.core.page.PageSettings;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.SectionSettings.Extent;
import giostra.core.page.SiteSettings;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

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
  private final Labels labels;
  private final Html out = new Html();
  private final BandCss css;
  private final StringBuilder extraCss = new StringBuilder();
  private final Map<String, String> blocks = new LinkedHashMap<>();
  private final Pictures pictures;
  private int lastHeading = 1;
  private int mostItems;
  private boolean carousels;

  private Compiler(Document document, Shipped shipped) {
    this.document = document;
    this.shipped = shipped;
    this.labels = Labels.in(document.page().values().get(PageSettings.LANGUAGE));
    this.css = new BandCss(document.bands());
    this.pictures = new Pictures(shipped.media());
  }

  /** Compiles. */
  public static Compiled compile(Document document, Shipped shipped) {
    return new Compiler(document, shipped).run();
  }

  /** The pictures that a page asks for, and whether they are there. */
  static final class Pictures {
    private final Shipped.Media media;
    private final Set<String> used = new LinkedHashSet<>();
    private final Set<String> missing = new LinkedHashSet<>();

    Pictures(Shipped.Media media) {
      this.media = media;
    }

    Optional<Shipped.Picture> find(String id) {
      if (id.isEmpty()) {
        return Optional.empty();
      }
      Optional<Shipped.Picture> found = media.find(id);
      (found.isPresent() ? used : missing).add(id);
      return found;
    }
  }

  private Compiled run() {
    Page page = document.page();
    var body = new Html();
    main(page);
    String main = out.toString();
    String sheet = sheet();
    String cssPath = "style." + Hash.of(sheet) + ".css";
    head(body, page, cssPath);
    body.raw("<body><main>").raw(main).raw("</main></body></html>\n");
    return new Compiled(
        body.toString(),
        sheet,
        cssPath,
        pictures.used,
        blocks,
        carousels,
        List.copyOf(pictures.missing));
  }

  private String sheet() {
    var sheet = new StringBuilder(Stylesheet.faces(shipped.fonts())).append(Stylesheet.base());
    if (carousels) {
      sheet.append(Stylesheet.carousel());
      for (int i = 1; i < mostItems; i++) {
        sheet.append(".g-item:nth-child(%d){--g-i:%d}".formatted(i + 1, i));
      }
    }
    return sheet.append(css.css()).append(extraCss).toString();
  }

  private void head(Html head, Page page, String cssPath) {
    String direction = page.values().get(PageSettings.DIRECTION).name().toLowerCase(Locale.ROOT);
    String title = page.values().get(PageSettings.TITLE);
    String description = page.values().get(PageSettings.DESCRIPTION);
    head.raw("<!DOCTYPE html>\n")
        .open("html", "lang", page.values().get(PageSettings.LANGUAGE), "dir", direction)
        .raw("<head><meta charset=\"utf-8\">")
        .raw("<meta name=\"viewport\" content=\"width=device-width,initial-scale=1\">")
        .element("title", title.isEmpty() ? siteName() : title);
    if (!description.isEmpty()) {
      head.open("meta", "name", "description", "content", description);
    }
    pictures
        .find(page.values().get(PageSettings.ICON))
        .ifPresent(
            icon -> head.open("link", "rel", "icon", "href", icon.path(), "type", icon.type()));
    pictures
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
    if (carousels) {
      head.raw("<script src=\"" + shipped.script() + "\" defer></script>");
    }
    head.close("head");
  }

  private String siteName() {
    String name = document.site().values().get(SiteSettings.NAME);
    return name.isEmpty() ? "Untitled" : name;
  }

  private void main(Page page) {
    for (Section section : page.sections()) {
      String id = "#g-" + section.id();
      String tone = section.values().get(SectionSettings.TONE).name().toLowerCase(Locale.ROOT);
      Optional<Shipped.Picture> ground =
          pictures.find(section.values().get(SectionSettings.GROUND));
      out.open(
          "section",
          "class",
          "g-section g-" + tone + (ground.isPresent() ? " g-grounded" : ""),
          "id",
          "g-" + section.id(),
          "data-section",
          section.id(),
          "aria-label",
          section.values().get(SectionSettings.NAME));
      ground.ifPresent(
          picture -> out.image(picture, "", "class", "g-ground", "fetchpriority", "high"));
      css.put(
          id,
          "padding-block",
          band ->
              value(section, SectionSettings.SPACE_ABOVE, band).css()
                  + " "
                  + value(section, SectionSettings.SPACE_BELOW, band).css());
      css.put(id + ">.g-block", "inline-size", band -> content(section, band));
      for (Block block : section.blocks()) {
        int start = out.length();
        wrapped(block);
        blocks.put(block.id(), out.from(start));
        if (block instanceof Piece.Carousel carousel) {
          // Only a piece that stands in a section by itself may leave its measure.
          var output = new CarouselOutput(document, carousel, labels);
          css.put(
              id + ">.g-block[data-block=" + block.id() + "]",
              "inline-size",
              band -> output.toTheEdge(band) ? "100%" : content(section, band));
        }
      }
      out.close("section");
    }
  }

  private <T> T value(
      giostra.core.page.Node node, giostra.core.band.Setting<T> setting, Band band) {
    return Resolution.value(document, node, setting, band);
  }

  private String content(Section section, Band band) {
    if (value(section, SectionSettings.EXTENT, band) == Extent.EDGE) {
      return "100%";
    }
    String padding = value(section, SectionSettings.PADDING, band).css();
    String measure = value(document.site(), SiteSettings.MEASURE, band).css();
    return "max(0px,min(100%% - 2*%s,%s))".formatted(padding, measure);
  }

  private void wrapped(Block block) {
    out.open("div", "class", "g-block", "data-block", block.id());
    block(block);
    out.close("div");
  }

  private void block(Block block) {
    switch (block) {
      case Block.Heading heading -> heading(heading);
      case Block.Text text -> text(text);
      case Block.Picture picture -> picture(picture);
      case Block.Button button -> button(button);
      case Block.Columns columns -> columns(columns);
      case Piece.Carousel carousel -> {
        carousels = true;
        mostItems = Math.max(mostItems, carousel.onShow().size());
        var output = new CarouselOutput(document, carousel, labels);
        output.html(out, pictures, Math.min(6, lastHeading + 1));
        output.css(css);
        extraCss.append(output.containerCss());
      }
    }
  }

  private void heading(Block.Heading heading) {
    lastHeading = heading.values().get(BlockSettings.LEVEL);
    String tag = "h" + lastHeading;
    out.element(tag, heading.values().get(BlockSettings.HEADING_TEXT), "id", "g-" + heading.id());
    css.put(
        "#g-" + heading.id(),
        "text-align",
        band -> word(value(heading, BlockSettings.ALIGN, band)));
  }

  private void text(Block.Text text) {
    String id = "#g-" + text.id();
    out.open("div", "class", "g-text", "id", "g-" + text.id())
        .paragraphs(text.values().get(BlockSettings.PARAGRAPHS))
        .close("div");
    css.put(id, "text-align", band -> word(value(text, BlockSettings.ALIGN, band)));
    css.put(
        id,
        "inline-size",
        band -> "min(100%," + value(text, BlockSettings.LINE_MEASURE, band).css() + ")");
    css.put(
        id,
        "margin-inline",
        band -> CarouselOutput.standing(value(text, BlockSettings.ALIGN, band)));
  }

  private void picture(Block.Picture block) {
    pictures
        .find(block.values().get(BlockSettings.SOURCE))
        .ifPresent(picture -> {
          String alt = block.values().get(BlockSettings.ALT);
          out.open("div", "class", "g-picture", "id", "g-" + block.id())
              .image(picture, alt.isEmpty() ? picture.alt() : alt, "loading", "lazy")
              .close("div");
          css.put(
              "#g-" + block.id() + ">img",
              "aspect-ratio",
              band -> shape(value(block, BlockSettings.SHAPE, band), picture));
        });
  }

  private static String shape(Shape shape, Shipped.Picture picture) {
    return switch (shape) {
      case AS_IS -> picture.width() + "/" + picture.height();
      case WIDE -> "16/9";
      case SQUARE -> "1";
      case TALL -> "4/5";
    };
  }

  private void button(Block.Button button) {
    String label = button.values().get(BlockSettings.LABEL);
    if (label.isEmpty()) {
      return;
    }
    out.open("div", "class", "g-press", "id", "g-" + button.id())
        .element("a", label, "class", "g-button", "href", href(button))
        .close("div");
    css.put(
        "#g-" + button.id(), "text-align", band -> word(value(button, BlockSettings.ALIGN, band)));
  }

  private static String href(Block.Button button) {
    String link = button.values().get(BlockSettings.LINK);
    return link.isEmpty() ? "#" : link;
  }

  private void columns(Block.Columns columns) {
    String id = "#g-" + columns.id();
    out.open("div", "class", "g-columns", "id", "g-" + columns.id());
    for (Column column : columns.columns()) {
      out.open("div", "class", "g-column", "data-column", column.id());
      column.blocks().forEach(this::wrapped);
      out.close("div");
    }
    out.close("div");
    int count = columns.columns().size();
    css.put(
        id,
        "grid-template-columns",
        band -> template(value(columns, BlockSettings.RATIO, band), count));
    css.put(id, "gap", band -> value(columns, BlockSettings.GAP, band).css());
  }

  private static String template(Shares shares, int count) {
    if (shares.stacked() || count == 0) {
      return "minmax(0,1fr)";
    }
    var parts = new ArrayList<String>();
    for (int column = 0; column < count; column++) {
      parts.add("minmax(0," + shares.of(column) + "fr)");
    }
    return String.join(" ", parts);
  }

  private static String word(Side side) {
    return side.name().toLowerCase(Locale.ROOT);
  }
}
