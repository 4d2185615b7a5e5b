package giostra.core.output;

import giostra.core.media.IconSprite;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** The icons that a page uses, gathered in one sprite within it: from disk nothing else works. */
public final class Icons {
  private final Shipped.IconSet set;
  private final Optional<IconSprite> own;
  private final Map<String, IconSprite.Symbol> used = new TreeMap<>();

  /**
   * @param own icons of the site's own, which come before those of the set
   */
  public Icons(Shipped.IconSet set, Optional<IconSprite> own) {
    this.set = set;
    this.own = own;
  }

  /**
   * Writes an icon.
   *
   * @param value its name, or markup of one's own; nothing is written for what is not there
   * @param colours whether a picture of one's own keeps its colours
   */
  public void write(Html out, String value, boolean colours, String classes) {
    if (value.startsWith("<svg")) {
      String own = colours ? "g-icon g-own " : "g-icon g-own g-tint ";
      out.raw(
          value.replaceFirst(
              "<svg", "<svg class=\"" + (own + classes).strip() + "\" aria-hidden=\"true\""));
      return;
    }
    Optional<IconSprite.Symbol> mine = own.flatMap(sprite -> sprite.find(value));
    mine.or(() -> set.find(value).map(drawing -> new IconSprite.Symbol("0 0 24 24", drawing)))
        .ifPresent(symbol -> {
          used.put(value, symbol);
          String painted = mine.isPresent() ? "g-icon g-own g-sign " : "g-icon ";
          out.raw(
              String.format(
                  Locale.ROOT,
                  "<svg class=\"%s\" aria-hidden=\"true\"><use href=\"#g-i-%s\"/></svg>",
                  (painted + classes).strip(),
                  value));
        });
  }

  /** The same, of which none is used yet. */
  Icons afresh() {
    return new Icons(set, own);
  }

  /** What was used, by name. */
  public Map<String, IconSprite.Symbol> used() {
    return used;
  }

  /** A sprite; empty where no icon of the set is used. */
  public static String sprite(Map<String, IconSprite.Symbol> used) {
    if (used.isEmpty()) {
      return "";
    }
    var sprite =
        new StringBuilder("<svg class=\"g-sprite\" width=\"0\" height=\"0\" aria-hidden=\"true\">");
    used.forEach((name, symbol) ->
        sprite
            .append("<symbol id=\"g-i-")
            .append(name)
            .append("\" viewBox=\"")
            .append(symbol.box())
            .append("\">")
            .append(symbol.draw())
            .append("</symbol>"));
    return sprite.append("</svg>").toString();
  }
}
