package giostra.core.piece.counters;

import giostra.core.output.Attributes;
import giostra.core.output.GridOutput;
import giostra.core.output.Html;
import giostra.core.output.Plan;
import giostra.core.output.Writing;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.LinkSettings.Link;
import giostra.core.page.PageSettings;
import giostra.core.page.PieceSettings;
import giostra.core.piece.counters.CounterSettings.Order;
import giostra.core.piece.counters.CounterSettings.Pace;
import giostra.core.piece.counters.CounterSettings.Repeat;
import giostra.core.tempo.Count;
import giostra.core.tempo.NumberStyle;
import giostra.core.value.Easing;
import java.util.Locale;
import java.util.Optional;

/**
 * Writes counters. The final value stands in the markup, for readers, for who has no script or asks
 * for less motion; the script lays the running one over it. Beside it, unseen, stands the widest
 * value on the way, so that nothing moves while it counts.
 */
final class CounterOutput {
  private final Writing writing;
  private final Counters piece;
  private final Html out;

  CounterOutput(Writing writing, Counters piece) {
    this.writing = writing;
    this.piece = piece;
    this.out = writing.out();
  }

  void html() {
    String name = piece.values().get(PieceSettings.NAME);
    writing.root(
        piece, "counters", plan(), "role", name.isEmpty() ? "" : "group", "aria-label", name);
    out.open("div", "class", "g-grid");
    piece.onShow().forEach(this::figure);
    out.close("div").close("div");
  }

  private void figure(Item item) {
    Locale locale =
        Locale.forLanguageTag(writing.document().page().values().get(PageSettings.LANGUAGE));
    NumberStyle style = Counting.style(piece, item, locale);
    Count count = Counting.count(piece, item);
    String prefix = item.values().get(ItemSettings.PREFIX);
    String suffix = item.values().get(ItemSettings.SUFFIX);
    Link link = ItemSettings.LINK.in(item.values());
    boolean linked = link.leads() && !Fields.off(piece, "link");
    out.open(
        "div",
        Attributes.with(
            writing.item(
                item,
                "g-figure",
                "data-from-value",
                plain(item.values().get(ItemSettings.FROM)),
                "data-to-value",
                plain(item.values().get(ItemSettings.TO)),
                "data-decimals",
                Integer.toString(style.decimals()),
                "data-prefix",
                prefix,
                "data-suffix",
                suffix),
            Writing.off(item)));
    out.open("div", "class", "g-sign");
    writing.icon(piece, item, "");
    writing.picture(piece, item, ItemSettings.PICTURE, "g-shot");
    out.close("div");
    out.open("div", "class", "g-number");
    out.element("span", prefix + style.format(count.end()) + suffix, "class", "g-final");
    out.raw("<span class=\"g-run\" aria-hidden=\"true\"></span>");
    out.element(
        "span", Counting.widest(piece, item, locale), "class", "g-widest", "aria-hidden", "true");
    out.close("div");
    String title = Fields.shown(piece, item, ItemSettings.HEADING);
    if (!title.isEmpty()) {
      out.open("p", "class", "g-title");
      if (linked) {
        writing.link(link, "g-whole-of").text(title).close("a");
      } else {
        out.text(title);
      }
      out.close("p");
    }
    out.close("div");
  }

  private static String plain(double value) {
    return java.math.BigDecimal.valueOf(value).toPlainString();
  }

  private Plan plan() {
    var v = piece.values();
    boolean timed = v.get(CounterSettings.PACE) == Pace.TIME;
    return new Plan.Counters(
        writing.document().page().values().get(PageSettings.LANGUAGE),
        timed ? Writing.ms(v.get(CounterSettings.DURATION)) : Optional.empty(),
        v.get(CounterSettings.CURVE).easing()
                instanceof Easing.Bezier(var x1, var y1, var x2, var y2)
            ? Optional.of(new Plan.Curve(x1, y1, x2, y2))
            : Optional.empty(),
        v.get(CounterSettings.STEP),
        v.get(CounterSettings.BEAT).toMillis(),
        v.get(CounterSettings.GROUPING),
        v.get(CounterSettings.COMPACT),
        v.get(CounterSettings.STARTS_AT) / 100.0,
        v.get(CounterSettings.REPEAT) == Repeat.EVERY_TIME,
        Writing.ms(v.get(CounterSettings.DELAY)),
        Writing.ms(v.get(CounterSettings.SEQUENCE)));
  }

  void css() {
    String id = "#g-" + piece.id();
    writing.frame(piece);
    new GridOutput(writing, piece).css("flex");
    String[] parts = {"g-sign", "g-number", "g-title"};
    String[] words = {"ICON", "NUMBER", "TITLE"};
    for (int i = 0; i < parts.length; i++) {
      String word = words[i];
      writing.put(
          id + " ." + parts[i],
          "order",
          piece,
          CounterSettings.ORDER,
          order -> Integer.toString(place(order, word)));
    }
  }

  private static int place(Order order, String word) {
    return java.util.List.of(order.name().split("_")).indexOf(word);
  }
}
