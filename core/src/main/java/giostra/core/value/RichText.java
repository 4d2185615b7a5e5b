package giostra.core.value;

import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Attribute;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Entities;
import org.jsoup.nodes.TextNode;
import org.jsoup.safety.Cleaner;
import org.jsoup.safety.Safelist;

/**
 * Long text as clean HTML: what is kept is on a list, everything else goes. Cleaning what is clean
 * changes nothing.
 */
public final class RichText {
  private static final Pattern TAG = Pattern.compile("</?[a-zA-Z][^>]*>|<!--|&[a-z]+;|&#\\d+;");

  private static final Safelist KEPT =
      new Safelist()
          .addTags(
              "p",
              "br",
              "h2",
              "h3",
              "h4",
              "h5",
              "h6",
              "ul",
              "ol",
              "li",
              "a",
              "strong",
              "em",
              "blockquote",
              "code",
              "pre",
              "img",
              "hr",
              "s",
              "u",
              "sub",
              "sup")
          .addAttributes("a", "href", "target", "rel", "aria-label")
          .addAttributes("img", "data-picture", "alt")
          .addAttributes("ol", "start")
          .addProtocols("a", "href", "http", "https", "mailto", "tel", "#")
          .preserveRelativeLinks(true);

  private static final Safelist OWN =
      new Safelist(KEPT)
          .addTags(
              "div",
              "span",
              "section",
              "article",
              "figure",
              "figcaption",
              "dl",
              "dt",
              "dd",
              "table",
              "caption",
              "thead",
              "tbody",
              "tr",
              "th",
              "td",
              "small",
              "abbr",
              "time",
              "form",
              "fieldset",
              "legend",
              "label",
              "input",
              "textarea",
              "select",
              "option",
              "button")
          .addAttributes(":all", "class", "lang", "dir", "title")
          .addAttributes("form", "action", "method", "autocomplete")
          .addAttributes("label", "for")
          .addAttributes(
              "input",
              "type",
              "name",
              "value",
              "placeholder",
              "required",
              "checked",
              "min",
              "max",
              "step",
              "minlength",
              "maxlength",
              "pattern",
              "autocomplete",
              "id",
              "aria-label")
          .addAttributes(
              "textarea",
              "name",
              "rows",
              "cols",
              "placeholder",
              "required",
              "maxlength",
              "id",
              "aria-label")
          .addAttributes("select", "name", "required", "multiple", "id", "aria-label")
          .addAttributes("option", "value", "selected")
          .addAttributes("button", "type", "name", "value")
          .addAttributes("th", "scope", "colspan", "rowspan")
          .addAttributes("td", "colspan", "rowspan")
          .addAttributes("time", "datetime")
          .addProtocols("form", "action", "http", "https");

  /** What tidying may add to a short text. */
  private static final int SOME = 1_000;

  /** Practice: what is nested as it should not be comes to rest in two or three. */
  private static final int ROUNDS = 6;

  private RichText() {}

  /** Whether a text is markup, and not plain words. */
  public static boolean isMarkup(String text) {
    boolean may = text.indexOf('<') >= 0 || text.indexOf('&') >= 0;
    return may && TAG.matcher(text).find();
  }

  /** Clean HTML: headings, paragraphs, lists, links, emphasis, quotations, code, pictures. */
  public static String clean(String html) {
    return with(KEPT, html);
  }

  /** As {@link #clean}, with tables, divisions and form fields. */
  public static String cleanOwn(String html) {
    return with(OWN, html);
  }

  /**
   * What is clean is clean again: a browser, or this, may read something else from what was written
   * than it was written from, and again from that.
   */
  private static String with(Safelist list, String html) {
    String clean = once(list, html);
    // What grows by being read grows again by being read again.
    boolean bounded = clean.length() <= 2 * html.length() + SOME;
    for (int i = 0; i < ROUNDS && bounded; i++) {
      String again = once(list, clean);
      if (again.equals(clean)) {
        return clean;
      }
      clean = again;
    }
    // Nothing that people write; the words of it are left.
    return once(list, Entities.escape(words(clean)));
  }

  private static String once(Safelist list, String html) {
    Document dirty = Parsed.fragment(html, "https://site.invalid/");
    if (isBlownUp(dirty, html.length())) {
      return Entities.escape(dirty.text()).strip();
    }
    dirty.select("b").tagName("strong");
    dirty.select("i").tagName("em");
    dirty.select("h1").tagName("h2");
    dirty.select("script, style, template, noscript, iframe, object, svg, math").remove();
    Document clean = new Cleaner(list).clean(dirty);
    for (Element link : clean.select("a[target]")) {
      // Source: HTML, "Link type noopener": a new window gets no hold of this one.
      link.attr("target", "_blank");
    }
    for (Element picture : clean.select("img:not([data-picture])")) {
      // A picture that is not of this site would be fetched from elsewhere.
      picture.remove();
    }
    clean.outputSettings(
        new Document.OutputSettings()
            .prettyPrint(false)
            .charset(java.nio.charset.StandardCharsets.UTF_8));
    // A non-breaking space is written as itself: as a reference it would take six characters.
    return clean.body().html().replace("&nbsp;", "\u00A0").strip();
  }

  /**
   * Whether it has become much more than it was: a link that is not closed is put into each cell of
   * the tables after it, with the whole of its address. Source: HTML, 13.2.4.3, "reconstruct the
   * active formatting elements".
   */
  private static boolean isBlownUp(Document parsed, int characters) {
    long most = 2L * characters + SOME;
    long all = 0;
    for (Element each : parsed.getAllElements()) {
      all += 2L;
      for (Attribute attribute : each.attributes()) {
        all += attribute.getKey().length() + attribute.getValue().length();
      }
      if (all > most) {
        return true;
      }
    }
    return false;
  }

  /** Whether something is in it. @param selector of what, as CSS says it */
  public static boolean has(String text, String selector) {
    return isMarkup(text) && Jsoup.parseBodyFragment(text).selectFirst(selector) != null;
  }

  /** The words alone, blocks parted by line ends: what is searched, counted and measured. */
  public static String words(String text) {
    if (!isMarkup(text)) {
      return text;
    }
    var out = new StringBuilder();
    Jsoup.parseBodyFragment(text)
        .body()
        .traverse((node, _) -> {
          if (node instanceof TextNode words) {
            out.append(words.text());
          } else if (node instanceof Element element
              && (element.isBlock() || element.tagName().equals("br"))
              && !out.isEmpty()
              && out.charAt(out.length() - 1) != '\n') {
            out.append('\n');
          }
        });
    return out.toString().strip();
  }
}
