package giostra.core.output;

import java.util.Map;
import java.util.TreeMap;

/** The icons that a page uses, gathered in one sprite within it: from disk nothing else works. */
final class Icons {
  private final Shipped.IconSet set;
  private final Map<String, String> used = new TreeMap<>();

  Icons(Shipped.IconSet set) {
    this.set = set;
  }

  /**
   * Writes an icon.
   *
   * @param value its name, or markup of one's own; nothing is written for what is not there
   * @param colours whether a picture of one's own keeps its colours
   */
  void write(Html out, String value, boolean colours, String classes) {
    if (value.startsWith("<svg")) {
      String own = colours ? "g-icon g-own " : "g-icon g-own g-tint ";
      out.raw(
          value.replaceFirst(
              "<svg", "<svg class=\"" + (own + classes).strip() + "\" aria-hidden=\"true\""));
      return;
    }
    set.find(value)
        .ifPresent(drawing -> {
          used.put(value, drawing);
          out.raw(
              "<svg class=\"%s\" aria-hidden=\"true\"><use href=\"#g-i-%s\"/></svg>"
                  .formatted(("g-icon " + classes).strip(), value));
        });
  }

  /** The sprite; empty where no icon of the set is used. */
  String sprite() {
    if (used.isEmpty()) {
      return "";
    }
    var sprite =
        new StringBuilder("<svg class=\"g-sprite\" width=\"0\" height=\"0\" aria-hidden=\"true\">");
    used.forEach((name, drawing) ->
        sprite
            .append("<symbol id=\"g-i-")
            .append(name)
            .append("\" viewBox=\"0 0 24 24\">")
            .append(drawing)
            .append("</symbol>"));
    return sprite.append("</svg>").toString();
  }
}
