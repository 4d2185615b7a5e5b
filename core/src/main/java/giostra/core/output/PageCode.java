package giostra.core.output;

import giostra.core.page.CodeSettings;
import giostra.core.page.Document;
import giostra.core.page.Node;
import giostra.core.value.OwnCode;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * Code of somebody's own on a published page, and what has to be let in for it.
 *
 * @param head markup in the head, after all else
 * @param end markup after all else
 * @param sources by directives of a Content-Security-Policy: origins, and hashes of what stands in
 *     the page. Source: Content Security Policy 3.
 */
public record PageCode(String head, String end, Map<String, Set<String>> sources) {
  /** None. */
  public static final PageCode NONE = new PageCode("", "", Map.of());

  /** What code asks in turn may be any of these, and where its forms are sent. */
  private static final List<String> NAMED =
      List.of(
          "script-src",
          "connect-src",
          "img-src",
          "media-src",
          "style-src",
          "font-src",
          "frame-src",
          "form-action");

  static PageCode of(Document document) {
    List<Node> from = List.of(document.site(), document.page());
    String head = joined(from, CodeSettings.HEAD);
    String end = joined(from, CodeSettings.END);
    if (head.isEmpty() && end.isEmpty()) {
      return NONE;
    }
    var sources = new TreeMap<String, Set<String>>();
    for (Node node : from) {
      read(node, CodeSettings.HEAD, OwnCode.Where.HEAD, sources);
      read(node, CodeSettings.END, OwnCode.Where.END, sources);
    }
    var named = new TreeSet<String>();
    for (Node node : from) {
      String hosts = node.values().get(CodeSettings.HOSTS);
      if (!hosts.isEmpty()) {
        named.addAll(List.of(hosts.split(" ")));
      }
    }
    NAMED.forEach(directive -> add(sources, directive, named));
    return new PageCode(head, end, sources);
  }

  private static void read(
      Node node, Setting<String> setting, OwnCode.Where where, Map<String, Set<String>> sources) {
    OwnCode code = OwnCode.read(setting.label(), node.values().get(setting).strip(), where);
    add(sources, "script-src", code.scriptHosts());
    add(sources, "script-src", hashes(code.scripts()));
    add(sources, "style-src", code.styleHosts());
    add(sources, "style-src", hashes(code.styles()));
    add(sources, "img-src", code.imageHosts());
    add(sources, "frame-src", code.frameHosts());
  }

  private static String joined(List<Node> from, Setting<String> setting) {
    var all = new ArrayList<String>();
    for (Node node : from) {
      String text = node.values().get(setting);
      if (!text.isBlank()) {
        all.add(text.strip());
      }
    }
    return String.join("\n", all);
  }

  private static Set<String> hashes(List<String> texts) {
    var all = new TreeSet<String>();
    texts.forEach(text -> all.add(Hash.source(text)));
    return all;
  }

  private static void add(Map<String, Set<String>> to, String directive, Set<String> sources) {
    if (!sources.isEmpty()) {
      to.computeIfAbsent(directive, _ -> new TreeSet<>()).addAll(sources);
    }
  }
}
