package giostra.core.output;

import giostra.core.layout.Outline;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.BlockSettings.Shape;
import giostra.core.page.Column;
import giostra.core.page.Document;
import giostra.core.page.ItemSettings;
import giostra.core.page.LinkSettings.Link;
import giostra.core.page.MarkSettings;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings.Extent;
import giostra.core.value.Aspect;
import giostra.core.value.Focus;
import giostra.core.value.Shares;
import java.util.ArrayList;

/** Writes a block of a section with all that is in it; pieces are written by their kind. */
final class BlockOutput {
  private final Document document;
  private final Writing writing;
  private final Html out;

  BlockOutput(Document document, Shipped shipped, Outline outline, Icons icons) {
    this.document = document;
    this.writing = new Writing(document, shipped, outline, icons, this::wrapped);
    this.out = writing.out;
  }

  /** Writes it. */
  BlockFiles write(Section section, BlockFiles.Given given) {
    Block block = given.block();
    wrapped(block);
    if (block instanceof Piece piece) {
      // Only a piece that stands in a section by itself may leave its measure.
      writing.css.put(
          "#g-" + section.id() + ">.g-block[data-block=" + block.id() + "]",
          "inline-size",
          band ->
              writing.value(piece, PieceSettings.EXTENT, band) == Extent.EDGE
                  ? "100%"
                  : writing.content(section, band));
    }
    String html = out.toString();
    return new BlockFiles(given, html, Gathered.of(writing, Document.walk(block).toList(), html));
  }

  private void wrapped(Block block) {
    if (block instanceof Piece piece && piece.values().get(PieceSettings.HIDDEN)) {
      return;
    }
    String anchor = block instanceof Piece piece ? piece.values().get(MarkSettings.ANCHOR) : "";
    out.open("div", "class", "g-block", "id", anchor, "data-block", block.id());
    inside(block);
    out.close("div");
    writing.styles().of(block);
    if (block instanceof Piece piece) {
      writing.ownCss(piece);
    }
    if (block instanceof Piece piece) {
      shown(piece);
    }
  }

  private void shown(Piece piece) {
    boolean everywhere =
        document.bands().all().stream()
            .allMatch(band -> writing.value(piece, PieceSettings.SHOWN, band));
    if (!everywhere) {
      writing.css.put(
          ".g-block[data-block=" + piece.id() + "]",
          "display",
          band -> writing.value(piece, PieceSettings.SHOWN, band) ? "block" : "none");
    }
  }

  private void inside(Block block) {
    switch (block) {
      case Block.Heading heading -> heading(heading);
      case Block.Text text -> text(text);
      case Block.Picture picture -> picture(picture);
      case Block.Button button -> button(button);
      case Block.OwnHtml own ->
          out.open("div", "class", "g-own-html", "id", "g-" + own.id())
              .raw(own.values().get(BlockSettings.MARKUP))
              .close("div");
      // It is its slide that writes it.
      case Block.Pin _ -> {}
      case Block.Columns columns -> columns(columns);
      case Piece piece -> Written.of(piece).write(piece, writing);
    }
  }

  private void heading(Block.Heading heading) {
    int level = heading.values().get(BlockSettings.LEVEL);
    out.element(
        "h" + level, heading.values().get(BlockSettings.HEADING_TEXT), "id", "g-" + heading.id());
    writing.put("#g-" + heading.id(), "text-align", heading, BlockSettings.ALIGN, Css::word);
  }

  private void text(Block.Text text) {
    String id = "#g-" + text.id();
    out.open("div", "class", "g-text g-copy", "id", "g-" + text.id());
    writing.text(text, text.values().get(BlockSettings.PARAGRAPHS), 0);
    out.close("div");
    writing.put(id, "text-align", text, BlockSettings.ALIGN, Css::word);
    writing.put(
        id, "inline-size", text, BlockSettings.LINE_MEASURE, m -> "min(100%," + m.css() + ")");
    writing.put(id, "margin-inline", text, BlockSettings.ALIGN, Css::standing);
  }

  private void picture(Block.Picture block) {
    writing
        .pictures
        .find(block.values().get(BlockSettings.SOURCE))
        .ifPresent(picture -> {
          String alt = block.values().get(BlockSettings.ALT);
          out.open("div", "class", "g-picture", "id", "g-" + block.id());
          writing.image(
              writing.there(block),
              picture,
              alt.isEmpty() ? picture.alt() : alt,
              widths -> widths.block(block, Pictures.size(picture)),
              "loading",
              "lazy");
          out.close("div");
          String image = "#g-" + block.id() + ">img";
          writing.put(
              image, "aspect-ratio", block, BlockSettings.SHAPE, s -> shape(s, picture).css());
          Focus focus = Writing.focus(block, BlockSettings.FOCUS, picture);
          if (!focus.equals(Focus.CENTER)) {
            writing.css.put(image, "object-position", _ -> focus.css());
          }
        });
  }

  private static Aspect shape(Shape shape, Shipped.Picture picture) {
    return shape.aspect().orElseGet(() -> Pictures.size(picture).aspect());
  }

  private void button(Block.Button button) {
    String label = button.values().get(BlockSettings.LABEL);
    if (label.isEmpty()) {
      return;
    }
    Link link = BlockSettings.LINK.in(button.values());
    Link leading = link.leads() ? link : new Link("#", false, java.util.List.of(), link.label());
    out.open("div", "class", "g-press", "id", "g-" + button.id());
    writing.button(
        label,
        leading,
        "g-button",
        button.values().get(ItemSettings.BUTTON_ICON),
        button.values().get(ItemSettings.BUTTON_ICON_SIDE) == ItemSettings.IconSide.BEFORE);
    out.close("div");
    writing.put("#g-" + button.id(), "text-align", button, BlockSettings.ALIGN, Css::word);
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
    writing.put(id, "grid-template-columns", columns, BlockSettings.RATIO, r -> template(r, count));
    writing.put(id, "gap", columns, BlockSettings.GAP, g -> g.css());
    order(columns, count);
  }

  /** Columns in another order than they are read in, where a band asks for it. */
  private void order(Block.Columns columns, int count) {
    boolean some =
        document.bands().all().stream()
            .anyMatch(b -> !writing.value(columns, BlockSettings.ORDER, b).isEmpty());
    if (!some) {
      return;
    }
    for (int i = 0; i < count; i++) {
      int at = i;
      writing.put(
          "#g-" + columns.id() + ">.g-column:nth-child(" + (i + 1) + ")",
          "order",
          columns,
          BlockSettings.ORDER,
          order -> Integer.toString(BlockSettings.seen(order, count).indexOf(at)));
    }
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
}
