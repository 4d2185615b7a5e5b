package giostra.core.value;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * Selectors of rules in rules, as they are without: {@code &} is what the rule around is of, and
 * what does not name it lies below it. Of several selectors around each is written by itself, so
 * that a rule is as strong as if it had been written out. Source: CSS Nesting 1, "Nesting
 * Selector", "Relative selectors"; there all of a list are as strong as the strongest.
 */
final class CssNesting {
  /** So many in a sheet: lists in lists grow with the power of their depth. */
  static final int MOST = 500;

  private static final String SELF = ":scope";

  /** So many selectors of rules in rules were written out. */
  private int written;

  /** The selectors of a list; commas in brackets and strings part nothing. */
  static List<String> list(String head) {
    var all = new ArrayList<String>();
    int depth = 0;
    int from = 0;
    for (int i = 0; i < head.length(); i++) {
      char c = head.charAt(i);
      if (c == '"' || c == '\'') {
        i = Math.max(i, head.indexOf(c, i + 1));
      } else if (c == '(' || c == '[') {
        depth++;
      } else if (c == ')' || c == ']') {
        depth--;
      } else if (c == ',' && depth == 0) {
        all.add(head.substring(from, i).strip());
        from = i + 1;
      }
    }
    all.add(head.substring(from).strip());
    return all;
  }

  /**
   * What a list is of in a rule, or in a sheet, where there is none around it.
   *
   * @param around the selectors of the rule around, none in a sheet
   * @throws Refused naming the line, where {@code &} cannot stand, or when there are too many of a
   *     sheet
   */
  List<String> within(List<String> around, String head, int line) {
    var all = new ArrayList<String>();
    for (String each : list(head)) {
      if (around.isEmpty()) {
        all.add(named(each, SELF, List.of(SELF), line));
        continue;
      }
      for (String outer : around) {
        all.add(named(below(each), outer, around, line));
      }
      written += around.size();
      if (written > MOST) {
        throw OwnCss.refused(line, "more than " + MOST + " selectors", "fewer in one another");
      }
    }
    return all;
  }

  /** With what is left out: that it lies below what is around. */
  private static String below(String selector) {
    boolean relative =
        !selector.isEmpty() && ">+~".indexOf(selector.charAt(0)) >= 0 || find(selector, 0) < 0;
    return relative ? "& " + selector : selector;
  }

  /** Where the next nesting selector stands that is in no string, or -1. */
  private static int find(String selector, int from) {
    for (int i = from; i < selector.length(); i++) {
      char c = selector.charAt(i);
      if (c == '&') {
        return i;
      }
      if (c == '"' || c == '\'') {
        i = Math.max(i, selector.indexOf(c, i + 1));
      }
    }
    return -1;
  }

  private static String named(String selector, String outer, List<String> around, int line) {
    var written = new StringBuilder();
    int from = 0;
    for (int at = find(selector, 0); at >= 0; at = find(selector, at + 1)) {
      written.append(selector, from, at);
      from = at + 1;
      if (from < selector.length() && wordy(selector.charAt(from))) {
        throw OwnCss.refused(
            line, selector, "& before a class, a state or a blank: names are not put together");
      }
      if (at == 0) {
        written.append(outer);
      } else if (around.stream().anyMatch(each -> each.startsWith(SELF))) {
        throw OwnCss.refused(
            line, selector, "& at its beginning, where it is the place itself or begins with it");
      } else {
        written.append(around.stream().collect(Collectors.joining(",", ":is(", ")")));
      }
    }
    return written.append(selector.substring(from)).toString();
  }

  private static boolean wordy(char c) {
    return Character.isLetterOrDigit(c) || c == '-' || c == '_';
  }
}
