package giostra.core.value;

import java.util.Set;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Attribute;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.parser.Parser;

/**
 * A vector picture of one's own: SVG markup, or the bare data of a path. Nothing that runs, fetches
 * or names something outside is taken, and the refusal says what it was. Source: SVG 2, "Secure
 * static mode".
 */
public final class OwnIcon {
  /** Characters at the most. */
  public static final int MOST = 20_000;

  private static final String NUMBER = "-?\\d{0,9}\\.?\\d{1,9}";
  private static final Pattern BOX = Pattern.compile(NUMBER + "([ ,]+" + NUMBER + "){3}");
  private static final Pattern PATH = Pattern.compile("[MmZzLlHhVvCcSsQqTtAa0-9eE.,+\\-\\s]+");
  private static final Set<String> TAGS =
      Set.of(
          "svg",
          "g",
          "path",
          "circle",
          "ellipse",
          "line",
          "polyline",
          "polygon",
          "rect",
          "title",
          "desc",
          "defs",
          "lineargradient",
          "radialgradient",
          "stop");
  private static final Set<String> ATTRIBUTES =
      Set.of(
          "d",
          "cx",
          "cy",
          "r",
          "rx",
          "ry",
          "x",
          "y",
          "x1",
          "x2",
          "y1",
          "y2",
          "width",
          "height",
          "points",
          "transform",
          "viewbox",
          "offset",
          "stop-color",
          "stop-opacity",
          "gradientunits",
          "gradienttransform",
          "id");

  private static final Set<String> PAINT =
      Set.of(
          "fill",
          "fill-rule",
          "fill-opacity",
          "clip-rule",
          "stroke",
          "stroke-width",
          "stroke-linecap",
          "stroke-linejoin",
          "stroke-miterlimit",
          "stroke-dasharray",
          "stroke-opacity",
          "opacity");

  private OwnIcon() {}

  /**
   * Clean markup of a picture, with a view box. Cleaned again it stays the same.
   *
   * @throws Refused naming the first thing that is not taken
   */
  public static String clean(String text) {
    String now = cleaned(text);
    String again = cleaned(now);
    if (!cleaned(again).equals(again)) {
      throw new Refused("icon", "markup that reads differently each time", "plain SVG");
    }
    if (again.length() > MOST) {
      throw new Refused("icon", again.length() + " characters long, cleaned", "of at most " + MOST);
    }
    return again;
  }

  private static String cleaned(String text) {
    if (text.length() > MOST) {
      throw new Refused("icon", text.length() + " characters long", "of at most " + MOST);
    }
    if (!text.contains("<")) {
      if (!PATH.matcher(text).matches() || !text.strip().matches("(?s)[Mm].*")) {
        throw new Refused("icon", shortened(text), "path data that begins with M");
      }
      return "<svg viewBox=\"0 0 24 24\"><path d=\""
          + text.strip().replaceAll("\\s+", " ")
          + "\" /></svg>";
    }
    if (Pattern.compile("<!(ENTITY|DOCTYPE)", Pattern.CASE_INSENSITIVE).matcher(text).find()) {
      throw new Refused("icon", "<!DOCTYPE or <!ENTITY", "SVG without a document type or entities");
    }
    Document parsed = Jsoup.parse(text, "", Parser.xmlParser());
    Element svg = parsed.selectFirst("svg");
    if (svg == null) {
      throw new Refused("icon", shortened(text), "SVG markup with an svg element");
    }
    for (Element each : svg.getAllElements()) {
      check(each);
    }
    String box = svg.attr("viewBox");
    if (box.isEmpty() && svg.hasAttr("width") && svg.hasAttr("height")) {
      box = "0 0 " + digits(svg.attr("width")) + " " + digits(svg.attr("height"));
    }
    if (!BOX.matcher(box).matches()) {
      throw new Refused("view box of the icon", box.isEmpty() ? "missing" : box, "four numbers");
    }
    parsed.outputSettings().prettyPrint(false).syntax(Document.OutputSettings.Syntax.xml);
    svg.select("title, desc").remove();
    paintWithin(svg);
    svg.clearAttributes();
    svg.attr("viewBox", box);
    return svg.outerHtml();
  }

  /**
   * What the outermost element says of paint, a group within it says: pages paint the outermost
   * one. Icons made of lines say there that they are not filled.
   */
  private static void paintWithin(Element svg) {
    var group = new Element("g");
    for (Attribute attribute : svg.attributes().asList()) {
      if (PAINT.contains(attribute.getKey().toLowerCase(java.util.Locale.ROOT))) {
        group.attr(attribute.getKey(), attribute.getValue());
      }
    }
    if (!group.attributes().isEmpty()) {
      svg.childNodesCopy().forEach(group::appendChild);
      svg.empty();
      svg.appendChild(group);
    }
  }

  private static void check(Element each) {
    String tag = each.tagName().toLowerCase(java.util.Locale.ROOT);
    if (!TAGS.contains(tag)) {
      throw new Refused(
          "icon", "<" + shortened(each.tagName()) + ">", "shapes, groups and gradients only");
    }
    for (Attribute attribute : each.attributes().asList()) {
      String name = attribute.getKey().toLowerCase(java.util.Locale.ROOT);
      String value = attribute.getValue().toLowerCase(java.util.Locale.ROOT);
      if (name.startsWith("xmlns")
          || name.equals("class")
          || name.equals("role")
          || name.startsWith("aria-")
          || name.startsWith("data-")
          || name.equals("version")
          || name.equals("focusable")
          || name.equals("xml:space")) {
        each.removeAttr(attribute.getKey());
      } else if (name.startsWith("on")) {
        throw new Refused("icon", name, "without anything that runs");
      } else if (value.contains("javascript:")
          || (value.contains("url(") && !value.matches("url\\(\\s*#[\\w-]+\\s*\\)"))) {
        throw new Refused("icon", name + "=" + shortened(value), "without addresses");
      } else if (name.endsWith("href") || name.equals("style")) {
        throw new Refused("icon", name + "=" + shortened(value), "without " + name);
      } else if (!ATTRIBUTES.contains(name) && !PAINT.contains(name)) {
        throw new Refused("icon", name, "made of shapes, their paint and their places only");
      }
    }
  }

  private static String digits(String length) {
    return length.replaceAll("[^0-9.]", "");
  }

  private static String shortened(String text) {
    return text.length() > 60 ? text.substring(0, 60) + "\u2026" : text;
  }
}
