package giostra.core.piece.flipboxes;

import giostra.core.output.Attributes;
import giostra.core.output.Css;
import giostra.core.output.GridOutput;
import giostra.core.output.Html;
import giostra.core.output.Pictures;
import giostra.core.output.Plan;
import giostra.core.output.Writing;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.PanelSettings.Trigger;
import giostra.core.page.PieceSettings;
import giostra.core.value.Setting;
import java.util.List;

/**
 * Writes flip boxes. Both faces lie in one cell, so that a box is as tall as its taller face. The
 * hidden face is inert, which the script says; without script both show, one under the other.
 */
final class FlipOutput {
  private final Writing writing;
  private final FlipBoxes piece;
  private final Html out;
  private final int level;

  FlipOutput(Writing writing, FlipBoxes piece) {
    this.writing = writing;
    this.piece = piece;
    this.out = writing.out();
    this.level = writing.outline().items(piece);
  }

  void html() {
    String name = piece.values().get(PieceSettings.NAME);
    Trigger trigger = piece.values().get(FlipSettings.TRIGGER);
    writing.root(
        piece,
        "flip-boxes",
        new Plan.FlipBoxes(
            trigger == Trigger.HOVER, trigger == Trigger.FOCUS, Writing.intent(piece)),
        "role",
        name.isEmpty() ? "" : "group",
        "aria-label",
        name,
        "data-manner",
        Css.word(piece.values().get(FlipSettings.MANNER)));
    out.open("div", "class", "g-grid");
    List<Item> items = piece.onShow();
    items.forEach(this::box);
    out.close("div").close("div");
  }

  private String turn(Item item) {
    return switch (item.values().get(ItemSettings.TURN)) {
      case AS_PIECE -> Css.word(piece.values().get(FlipSettings.TURN));
      case LEFT -> "left";
      case RIGHT -> "right";
      case UP -> "up";
      case DOWN -> "down";
    };
  }

  private void box(Item item) {
    String back = "g-" + item.id() + "-back";
    out.open(
        "div",
        Attributes.with(writing.item(item, "g-box", "data-turn", turn(item)), Writing.off(item)));
    out.open("div", "class", "g-turn");
    out.open("div", "class", "g-face g-front");
    writing.picture(piece, item, ItemSettings.PICTURE, "g-shot");
    face(item, Fields.icon(piece, item), ItemSettings.HEADING, ItemSettings.TEXT, false);
    String heading = item.values().get(ItemSettings.HEADING);
    out.open(
            "button",
            "type",
            "button",
            "class",
            "g-over-turn",
            "aria-expanded",
            "false",
            "aria-controls",
            back,
            "aria-label",
            writing.labels().turnOver(heading))
        .close("button");
    out.close("div");
    out.open("div", "class", "g-face g-back", "id", back);
    writing
        .pictures()
        .find(item.values().get(ItemSettings.BACK_PICTURE))
        .ifPresent(picture -> {
          out.open("div", "class", "g-shot");
          writing.image(
              writing.there(item),
              picture,
              picture.alt(),
              widths -> widths.item(piece, item, Pictures.size(picture)),
              "loading",
              "lazy");
          out.close("div");
        });
    face(
        item,
        item.values().get(ItemSettings.BACK_ICON),
        ItemSettings.BACK_HEADING,
        ItemSettings.BACK_TEXT,
        true);
    out.open(
            "button",
            "type",
            "button",
            "class",
            "g-turn-back",
            "aria-label",
            writing.labels().turnBack())
        .raw(
            "<svg viewBox=\"0 0 24 24\" aria-hidden=\"true\"><path d=\"M4 9h11a5 5 0 0 1 0 10H8M4 9l4-4M4 9l4 4\"/></svg>")
        .close("button");
    out.close("div").close("div").close("div");
  }

  private void face(
      Item item, String icon, Setting<String> heading, Setting<String> text, boolean pressed) {
    out.open("div", "class", "g-body");
    writing.icon(piece, item, icon, "");
    String words = item.values().get(heading);
    if (!words.isEmpty() && !Fields.off(piece, "heading")) {
      out.element("h" + level, words);
    }
    String copy = item.values().get(text);
    if (!copy.isBlank() && !Fields.off(piece, "text")) {
      out.open("div", "class", "g-copy");
      writing.text(item, copy, piece.values().get(PieceSettings.SHORTEN));
      out.close("div");
    }
    if (pressed) {
      writing.buttons(piece, item);
    }
    out.close("div");
  }

  void css() {
    String id = "#g-" + piece.id();
    writing.frame(piece);
    new GridOutput(writing, piece).css("block");
    writing.put(id, "--g-least", piece, FlipSettings.LEAST_HEIGHT, h -> h.css());
    writing
        .css()
        .put(id, "--g-time", _ -> piece.values().get(FlipSettings.DURATION).toMillis() + "ms");
  }
}
