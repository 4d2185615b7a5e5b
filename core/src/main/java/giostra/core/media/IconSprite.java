package giostra.core.media;

import giostra.core.value.OwnIcon;
import giostra.core.value.Refused;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.parser.Parser;

/**
 * Icons of one's own in one file: SVG with one symbol for each, found by its id. Where a name is
 * that of an icon that ships, the own one takes its place. Source: SVG 2, "The symbol element".
 *
 * @param symbols clean, by name, in the order of the file
 * @param odd what is strange about some, by name; those that cannot be drawn are not among the
 *     symbols
 */
public record IconSprite(Map<String, Symbol> symbols, Map<String, String> odd) {
  /** Characters at the most. */
  static final int MOST_CHARACTERS = 400_000;

  /** Symbols at the most. */
  static final int MOST_SYMBOLS = 500;

  private static final String WHAT = "The icon sprite";
  private static final Pattern BOX =
      Pattern.compile("(-?N)[ ,]+(-?N)[ ,]+(N)[ ,]+(N)".replace("N", "\\d{0,9}\\.?\\d{1,9}"));

  /**
   * One icon.
   *
   * @param box its view box
   * @param draw what is drawn in it, as SVG elements with their paint
   */
  public record Symbol(String box, String draw) {}

  public IconSprite {
    symbols = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(symbols));
    odd = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(odd));
  }

  /** Whether a vector picture is one: it draws nothing itself, it only has symbols. */
  public static boolean looksLikeOne(String svg) {
    return Pattern.compile("<symbol[\\s>]", Pattern.CASE_INSENSITIVE).matcher(svg).find();
  }

  /**
   * Reads one.
   *
   * @throws Refused naming the first thing that is not safe, or that there is no symbol with a name
   */
  public static IconSprite read(String text) {
    if (text.length() > MOST_CHARACTERS) {
      throw new Refused(WHAT, text.length() + " characters long", "of at most " + MOST_CHARACTERS);
    }
    if (Pattern.compile("<!(ENTITY|DOCTYPE)", Pattern.CASE_INSENSITIVE).matcher(text).find()) {
      throw new Refused(WHAT, "with <!DOCTYPE or <!ENTITY", "without a document type or entities");
    }
    Document parsed = Jsoup.parse(text, "", Parser.xmlParser());
    var symbols = new LinkedHashMap<String, Symbol>();
    var odd = new LinkedHashMap<String, String>();
    for (Element each : parsed.getElementsByTag("symbol")) {
      take(each, symbols, odd);
    }
    if (symbols.isEmpty() && odd.isEmpty()) {
      throw new Refused(WHAT, "without a symbol that has an id", "SVG with <symbol id=…> elements");
    }
    if (symbols.size() > MOST_SYMBOLS) {
      throw new Refused(WHAT, "of " + symbols.size() + " symbols", "of at most " + MOST_SYMBOLS);
    }
    return new IconSprite(symbols, odd);
  }

  private static void take(Element each, Map<String, Symbol> symbols, Map<String, String> odd) {
    String name = each.id();
    if (!name.matches("[a-z0-9][a-z0-9-]{0,59}")) {
      odd.put(
          name.isEmpty() ? "(no id)" : name,
          "its id must be of lower-case letters, digits and hyphens");
      return;
    }
    if (symbols.containsKey(name)) {
      odd.put(name, "there are two of that name; the first counts");
      return;
    }
    String box = each.attr("viewBox").strip();
    var numbers = BOX.matcher(box);
    if (!numbers.matches()) {
      odd.put(
          name,
          box.isEmpty() ? "it has no view box" : "its view box is “" + box + "”, not four numbers");
      return;
    }
    double wide = Double.parseDouble(numbers.group(3));
    double high = Double.parseDouble(numbers.group(4));
    if (wide <= 0 || high <= 0) {
      odd.put(name, "its view box “" + box + "” has no area");
      return;
    }
    try {
      symbols.put(name, new Symbol(box, clean(each)));
    } catch (Refused e) {
      throw new Refused("Icon " + name + " of the sprite", e.found(), e.allowed());
    }
    if (Math.abs(wide / high - 1) > 0.01) {
      odd.put(name, "its view box “" + box + "” is not square; it is drawn smaller");
    }
  }

  /** The drawing alone, its paint on a group around it: by itself a symbol keeps none. */
  private static String clean(Element symbol) {
    var around = new Element("g");
    for (String paint :
        List.of("fill", "stroke", "stroke-width", "stroke-linecap", "stroke-linejoin")) {
      if (symbol.hasAttr(paint)) {
        around.attr(paint, symbol.attr(paint));
      }
    }
    boolean painted = !around.attributes().isEmpty();
    String inside = painted ? around.html(symbol.html()).outerHtml() : symbol.html();
    String svg = OwnIcon.clean("<svg viewBox=\"0 0 1 1\">" + inside + "</svg>");
    return svg.substring(svg.indexOf('>') + 1, svg.lastIndexOf("</svg>")).strip();
  }

  /** Names of icons that are asked for and are not there, or cannot be drawn. */
  public List<String> missing(List<String> asked) {
    return asked.stream().filter(name -> !symbols.containsKey(name)).toList();
  }

  /** The symbol of a name. */
  public Optional<Symbol> find(String name) {
    return Optional.ofNullable(symbols.get(name));
  }

  /**
   * A sprite to begin with.
   *
   * @param drawings what is drawn, in a box of 24 by 24 with lines 2 wide, by name
   */
  public static String starter(Map<String, String> drawings) {
    var out = new StringBuilder("<svg xmlns=\"http://www.w3.org/2000/svg\">\n");
    drawings.forEach((name, drawing) ->
        out.append("  <symbol id=\"")
            .append(name)
            .append(
                "\" viewBox=\"0 0 24 24\" fill=\"none\" stroke=\"currentColor\" stroke-width=\"2\""
                    + " stroke-linecap=\"round\" stroke-linejoin=\"round\">")
            .append(drawing)
            .append("</symbol>\n"));
    return out.append("</svg>\n").toString();
  }
}
