package giostra.core.value;

import java.net.URI;
import java.net.URISyntaxException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import org.jsoup.nodes.Attribute;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.TextNode;
import org.jsoup.parser.Parser;

/**
 * HTML of one's own in the head of a page, or at its end: read as browsers read it (the HTML
 * Standard's parsing, by jsoup), so that nothing in it can swallow what comes after it. It is
 * written as it was given.
 *
 * @param scripts what each script holds that stands in it and is run
 * @param styles what each sheet holds that stands in it
 * @param scriptHosts origins that scripts are fetched from
 * @param styleHosts origins that sheets are fetched from
 * @param imageHosts origins that pictures are fetched from
 * @param frameHosts origins of frames
 */
public record OwnCode(
    List<String> scripts,
    List<String> styles,
    Set<String> scriptHosts,
    Set<String> styleHosts,
    Set<String> imageHosts,
    Set<String> frameHosts) {
  /** Where it stands. */
  public enum Where {
    HEAD(
        "what may stand in a head, all of it closed: meta, link, script, style, noscript, template"),
    END("HTML in which all is closed");

    private final String allowed;

    Where(String allowed) {
      this.allowed = allowed;
    }

    /** What may stand there. */
    public String allowed() {
      return allowed;
    }
  }

  private static final String MARK = "giostra-goes-on";

  /** Characters of what is refused that are told. */
  private static final int MOST_SAID = 80;

  /** An origin; nothing in it can end an entry of a policy. */
  private static final Pattern HOST = Pattern.compile("[a-z0-9.-]{1,253}");

  /** Source: the HTML Standard, "JavaScript MIME type" and the types of a script element. */
  private static final Pattern RUN =
      Pattern.compile(
          "|module|importmap|speculationrules|(text|application)/(x-)?(java|ecma)script");

  /** Elements that a page has once, and has already. */
  private static final Set<String> OURS = Set.of("base", "title", "html", "head", "body");

  /**
   * Reads it.
   *
   * @throws Refused where it is not whole, does not belong there, or would not work under the
   *     policy of published pages
   */
  public static OwnCode read(String what, String html, Where where) {
    Element inside = whole(what, html, where);
    var found =
        new OwnCode(
            new ArrayList<>(),
            new ArrayList<>(),
            new TreeSet<>(),
            new TreeSet<>(),
            new TreeSet<>(),
            new TreeSet<>());
    for (Element each : inside.getAllElements()) {
      if (each != inside && !each.id().equals(MARK)) {
        found.take(what, each);
      }
    }
    return found;
  }

  /** What it is read into: nothing of it may lie elsewhere, and nothing may lie in it. */
  private static Element whole(String what, String html, Where where) {
    // A letter after the end is in no element of it either: one that sets letters is closed.
    String end =
        where == Where.HEAD ? "<meta id=" + MARK + ">" : "<hr><span id=" + MARK + ">a</span>";
    String start = "<!DOCTYPE html><html><head>";
    Document page =
        Parsed.page(
            Parser.htmlParser(),
            where == Where.HEAD
                ? start + html + end + "</head><body><hr></body></html>"
                : start + "</head><body><main></main>" + html + end + "</body></html>");
    Element mark = page.getElementById(MARK);
    if (where == Where.HEAD && mark != null) {
      for (var node : page.body().childNodes()) {
        boolean blank = node instanceof TextNode text && text.isBlank();
        if (!blank && node != mark && !node.nodeName().equals("hr")) {
          throw new Refused(what, shortened(node.outerHtml().strip()), where.allowed());
        }
      }
    }
    Element inside = where == Where.HEAD ? page.head() : page.body();
    if (mark == null || mark.parent() != inside || mark.nextElementSibling() != null) {
      throw new Refused(what, "something that is not closed", where.allowed());
    }
    // Browsers give what such a tag says to the one that is there.
    for (Element one : page.select("html, body")) {
      if (one.attributesSize() > 0) {
        throw new Refused(what, "<" + one.normalName() + ">", "without it: the page has one");
      }
    }
    return inside;
  }

  private void take(String what, Element each) {
    String name = each.normalName();
    if (OURS.contains(name) || (name.equals("meta") && each.hasAttr("charset"))) {
      throw new Refused(what, "<" + name + ">", "without it: the page has one");
    }
    for (Attribute attribute : each.attributes()) {
      String key = attribute.getKey().toLowerCase(Locale.ROOT);
      if (key.startsWith("on")) {
        throw new Refused(
            what,
            key + " on <" + name + ">",
            "a script that listens: published pages run nothing that stands in attributes");
      }
      if (attribute.getValue().strip().toLowerCase(Locale.ROOT).startsWith("javascript:")) {
        throw new Refused(what, attribute.getValue(), "an address, and no script");
      }
    }
    switch (name) {
      case "script" -> {
        String type = each.attr("type").strip().toLowerCase(Locale.ROOT);
        if (each.hasAttr("src")) {
          host(what, each, "src", scriptHosts);
        } else if (RUN.matcher(type).matches()) {
          scripts.add(held(each));
        }
      }
      case "style" -> styles.add(held(each));
      case "link" -> {
        if (each.attr("rel").toLowerCase(Locale.ROOT).contains("stylesheet")) {
          host(what, each, "href", styleHosts);
        }
      }
      case "img" -> host(what, each, "src", imageHosts);
      case "iframe" -> host(what, each, "src", frameHosts);
      default -> {}
    }
  }

  /** In drawings it is text as any other. */
  private static String held(Element each) {
    return each.data().isEmpty() ? each.wholeText() : each.data();
  }

  private static String shortened(String text) {
    return text.length() > MOST_SAID ? text.substring(0, MOST_SAID) + "…" : text;
  }

  private static void host(String what, Element each, String attribute, Set<String> hosts) {
    String address = each.attr(attribute).strip();
    try {
      URI uri = new URI(address.startsWith("//") ? "https:" + address : address);
      if (uri.getHost() == null) {
        if (uri.isOpaque() || uri.getRawAuthority() != null) {
          throw new Refused(what, address, "an address such as https://stats.example/seen.js");
        }
        return;
      }
      String host = uri.getHost().toLowerCase(Locale.ROOT);
      String scheme = uri.getScheme().toLowerCase(Locale.ROOT);
      if (!HOST.matcher(host).matches() || !(scheme.equals("https") || scheme.equals("http"))) {
        throw new Refused(what, address, "an address such as https://stats.example/seen.js");
      }
      hosts.add(scheme + "://" + host + (uri.getPort() < 0 ? "" : ":" + uri.getPort()));
    } catch (URISyntaxException e) {
      throw new Refused(what, address, "an address such as https://stats.example/seen.js");
    }
  }
}
