package giostra.server.host;

import giostra.core.output.Origins;
import giostra.core.output.PageCode;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/** The Content-Security-Policy of published pages: everything from the page's own place. */
public final class Policy {
  private static final List<String> OWN =
      List.of("script-src", "style-src", "font-src", "img-src", "media-src", "form-action");

  private Policy() {}

  /**
   * For live pages, which only their own site may frame; with the other places that one needs, and
   * with what somebody's own code needs.
   */
  public static String live(Origins origins, PageCode code) {
    return page(origins, code) + "; frame-ancestors 'self'";
  }

  /** For previews, which only the bench may frame; nobody's own code runs there. */
  public static String preview(String bench, Origins origins) {
    return page(origins, PageCode.NONE) + "; frame-ancestors " + bench;
  }

  private static String page(Origins origins, PageCode code) {
    Map<String, Set<String>> sources = new LinkedHashMap<>();
    OWN.forEach(directive -> add(sources, directive, Set.of("'self'")));
    add(sources, "img-src", origins.images());
    add(sources, "media-src", origins.media());
    add(sources, "frame-src", origins.frames());
    code.sources().forEach((directive, from) -> add(sources, directive, from));
    return "default-src 'none'; base-uri 'none'; "
        + sources.entrySet().stream()
            .map(each -> each.getKey() + " " + String.join(" ", each.getValue()))
            .collect(Collectors.joining("; "));
  }

  private static void add(Map<String, Set<String>> to, String directive, Set<String> sources) {
    if (!sources.isEmpty()) {
      to.computeIfAbsent(directive, _ -> new TreeSet<>()).addAll(sources);
    }
  }
}
