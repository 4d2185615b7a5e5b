package giostra.core.media;

import giostra.core.value.Refused;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Attribute;
import org.jsoup.nodes.DataNode;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.TextNode;
import org.jsoup.parser.Parser;

/**
 * A vector picture of the site. Nothing that runs or fetches is taken, and the refusal names it; so
 * are pictures refused that grow without bounds when they are drawn. Source: SVG 2, "Secure static
 * mode".
 *
 * @param markup clean, with a view box
 * @param width in px
 * @param height in px
 */
public record VectorPicture(String markup, int width, int height) {
  /** Characters at the most: a drawing with more is better a photograph. Practice. */
  static final int MOST_CHARACTERS = 2_000_000;

  static final int MOST_ELEMENTS = 20_000;
  static final int DEEPEST = 64;

  private static final String WHAT = "The vector picture";

  /** Ways of CSS to load something; what is on the drawing itself is taken out before. */
  private static final List<String> LOADS =
      List.of(
          "url(",
          "src(",
          "image(",
          "image-set(",
          "cross-fade(",
          "element(",
          "paint(",
          "@import",
          "@font-face",
          "@namespace",
          "expression(",
          "-moz-binding",
          "behavior:",
          "javascript:",
          "data:",
          "\\");

  private static final Pattern COMMENT = Pattern.compile("/\\*.*?(\\*/|$)", Pattern.DOTALL);
  private static final Pattern OWN = Pattern.compile("url\\(\\s*(['\"]?)#[^)'\"#(]*\\1\\s*\\)");
  private static final Pattern ENTITY = Pattern.compile("<!ENTITY", Pattern.CASE_INSENSITIVE);

  /** Whether bytes begin as one does. */
  public static boolean looksLikeOne(String start) {
    return Pattern.compile(
            "^\\uFEFF?\\s*(<\\?xml[^>]*>\\s*)?(<!--.*?-->\\s*)*(<!DOCTYPE[^\\[>]*(\\[.*?\\]\\s*)?>\\s*)?(<!--.*?-->\\s*)*<svg[\\s>]",
            Pattern.CASE_INSENSITIVE | Pattern.DOTALL)
        .matcher(start)
        .find();
  }

  /**
   * Reads one.
   *
   * @throws Refused naming the first thing that is not taken
   */
  public static VectorPicture read(String text) {
    if (text.length() > MOST_CHARACTERS) {
      throw new Refused(WHAT, text.length() + " characters long", "of at most 2 million");
    }
    if (ENTITY.matcher(text).find()) {
      throw new Refused(WHAT, "with <!ENTITY", "one without entities of its own");
    }
    if (depth(text) > DEEPEST) {
      throw new Refused(WHAT, "nested deeper than " + DEEPEST, "at most " + DEEPEST + " deep");
    }
    Document parsed = Jsoup.parse(text, "", Parser.xmlParser());
    Element svg = parsed.selectFirst("svg");
    if (svg == null) {
      throw new Refused(WHAT, "without an svg element", "SVG markup");
    }
    // What editors keep for themselves is no part of the picture.
    svg.getAllElements().stream()
        .filter(each -> each.tagName().contains(":") || each.tagName().equals("metadata"))
        .toList()
        .forEach(Element::remove);
    var all = svg.getAllElements();
    if (all.size() > MOST_ELEMENTS) {
      throw new Refused(WHAT, "of " + all.size() + " elements", "of at most " + MOST_ELEMENTS);
    }
    all.forEach(VectorPicture::check);
    // Nothing of it is for a reader of its source.
    svg.forEachNode(each -> {
      if (!(each instanceof Element || each instanceof TextNode || each instanceof DataNode)) {
        each.remove();
      }
    });
    if (svg.select("use").size() > 200 || svg.select("use use, defs use").size() > 40) {
      throw new Refused(WHAT, "with too many uses of its own parts", "at most 200, 40 nested");
    }
    double[] size = size(svg);
    svg.attr("xmlns", "http://www.w3.org/2000/svg");
    svg.attr("viewBox", svg.hasAttr("viewBox") ? svg.attr("viewBox") : box(size));
    svg.attr("width", Integer.toString((int) Math.round(size[0])));
    svg.attr("height", Integer.toString((int) Math.round(size[1])));
    parsed.outputSettings().prettyPrint(false).syntax(Document.OutputSettings.Syntax.xml);
    return new VectorPicture(svg.outerHtml(), (int) Math.round(size[0]), (int) Math.round(size[1]));
  }

  /** How deep elements are nested, told without building them, in one go. */
  private static int depth(String text) {
    int depth = 0;
    int deepest = 0;
    for (int at = text.indexOf('<'); at >= 0; at = text.indexOf('<', at)) {
      int end = text.indexOf('>', at);
      if (end < 0) {
        break;
      }
      char first = text.charAt(at + 1);
      if (first == '/') {
        depth--;
      } else if (Character.isLetter(first) && text.charAt(end - 1) != '/') {
        deepest = Math.max(deepest, ++depth);
      }
      at = end;
    }
    return deepest;
  }

  private static String box(double[] size) {
    return "0 0 " + Math.round(size[0]) + " " + Math.round(size[1]);
  }

  private static void check(Element each) {
    String tag = each.tagName().toLowerCase(Locale.ROOT);
    if (!Svg.draws(tag)) {
      throw new Refused(WHAT, "with <" + cut(tag) + ">", "one of shapes, text and paint only");
    }
    if (tag.equals("style") && loads(each.data() + each.text())) {
      throw new Refused(WHAT, "with a style that asks for a file", "one without addresses");
    }
    for (Attribute attribute : each.attributes().asList()) {
      String name = attribute.getKey().toLowerCase(Locale.ROOT);
      String value = attribute.getValue().strip();
      if (name.startsWith("on")) {
        throw new Refused(WHAT, "with " + cut(name), "one without anything that runs");
      }
      boolean leads = name.endsWith("href") && !value.startsWith("#");
      if (leads || !name.startsWith("xmlns") && loads(value)) {
        throw new Refused(WHAT, "with " + name + "=" + cut(value), "one without addresses");
      }
      if (!Svg.isKnown(name)) {
        each.removeAttr(attribute.getKey());
      }
    }
  }

  /** Whether a style, or a value that may be one, asks for anything that is not in the drawing. */
  private static boolean loads(String css) {
    String lower = COMMENT.matcher(css.toLowerCase(Locale.ROOT)).replaceAll("");
    String others = OWN.matcher(lower).replaceAll("");
    return LOADS.stream().anyMatch(others::contains);
  }

  private static String cut(String value) {
    return value.length() > 60 ? value.substring(0, 60) + "…" : value;
  }

  private static double[] size(Element svg) {
    double width = length(svg.attr("width"));
    double height = length(svg.attr("height"));
    String[] box = svg.attr("viewBox").strip().split("[ ,]+");
    if (box.length == 4 && (width <= 0 || height <= 0)) {
      width = length(box[2]);
      height = length(box[3]);
    }
    if (!(width >= 1 && height >= 1 && width <= 20_000 && height <= 20_000)) {
      throw new Refused(
          WHAT, "without a size", "one with a viewBox, or width and height, of 1 to 20000 px");
    }
    return new double[] {width, height};
  }

  /** A length in px; 0 for one in another unit, or none. */
  private static double length(String text) {
    String number = text.strip().replaceAll("px$", "");
    return number.matches("\\d*\\.?\\d+") ? Double.parseDouble(number) : 0;
  }
}
