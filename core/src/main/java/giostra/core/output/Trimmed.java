package giostra.core.output;

import giostra.core.value.CssBlocks;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;

/**
 * A sheet without the rules that meet nothing on its page: that has one tone of three, no link over
 * a whole slide, and none of the parts that a look speaks of for other pieces of its kind. A rule
 * goes where each of its selectors asks for a class of ours that neither the markup has nor a
 * script gives. What is asked in brackets is left alone, since one of it may do or none of it; and
 * so are selectors with texts or escapes, which somebody wrote. Source: Selectors 4.
 */
final class Trimmed {
  /** Classes that page scripts give to elements, or to those that they make. */
  static final Set<String> GIVEN = Set.of("g-now", "g-message");

  private static final Set<String> GROUPS = Set.of("@media", "@supports", "@container");
  private static final Pattern CLASS = Pattern.compile("\\.(g-[-\\w]+)");
  private static final Pattern WRITTEN = Pattern.compile("[\"'\\\\]");

  private final Set<String> there;

  private Trimmed(Set<String> there) {
    this.there = there;
  }

  /**
   * Trims.
   *
   * @param css without comments
   * @param html of the page
   */
  static String of(String css, String html) {
    var there = new HashSet<>(GIVEN);
    Jsoup.parse(html).getAllElements().forEach(each -> there.addAll(each.classNames()));
    return new Trimmed(there).rules(CssBlocks.of(css));
  }

  private String rules(List<CssBlocks.Part> parts) {
    var out = new StringBuilder();
    for (CssBlocks.Part part : parts) {
      if (part instanceof CssBlocks.Block block) {
        rule(block, out);
      } else if (part instanceof CssBlocks.Declarations said) {
        out.append(said.text());
      }
    }
    return out.toString();
  }

  private void rule(CssBlocks.Block block, StringBuilder out) {
    String head = block.head();
    if (GROUPS.contains(head.split("[\\s(]", 2)[0])) {
      String inside = rules(block.inside());
      if (!inside.isEmpty()) {
        out.append(head).append('{').append(inside).append('}');
      }
      return;
    }
    if (head.startsWith("@") || WRITTEN.matcher(head).find()) {
      out.append(block.written());
      return;
    }
    List<String> met = selectors(head).stream().filter(this::meets).toList();
    if (!met.isEmpty()) {
      out.append(String.join(",", met)).append('{').append(block.body()).append('}');
    }
  }

  private boolean meets(String selector) {
    return CLASS
        .matcher(bare(selector))
        .results()
        .map((MatchResult found) -> found.group(1))
        .allMatch(there::contains);
  }

  /** A list, parted at the commas that stand in no bracket. */
  private static List<String> selectors(String list) {
    var all = new ArrayList<String>();
    int depth = 0;
    int from = 0;
    for (int at = 0; at < list.length(); at++) {
      char c = list.charAt(at);
      depth += deeper(c);
      if (c == ',' && depth == 0) {
        all.add(list.substring(from, at));
        from = at + 1;
      }
    }
    all.add(list.substring(from));
    return all;
  }

  /** A selector without what stands in brackets. */
  private static String bare(String selector) {
    var bare = new StringBuilder();
    int depth = 0;
    for (int at = 0; at < selector.length(); at++) {
      char c = selector.charAt(at);
      depth += deeper(c);
      if (depth == 0) {
        bare.append(c);
      }
    }
    return bare.toString();
  }

  private static int deeper(char c) {
    return switch (c) {
      case '(', '[' -> 1;
      case ')', ']' -> -1;
      default -> 0;
    };
  }
}
