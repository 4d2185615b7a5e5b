package giostra.server.page;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One change of a style sheet: rules that go and rules that come at a place. A stage that takes
 * patches instead of a whole sheet lays out only what they touch.
 *
 * @param group index of the grouping rule ({@code @media}) that it lies in, or null for the sheet
 *     itself
 * @param at index of the first rule that goes, among its siblings
 * @param remove how many go
 * @param insert rules that come in their place, in order
 */
record RulePatch(@Nullable Integer group, int at, int remove, List<String> insert) {
  RulePatch {
    insert = List.copyOf(insert);
  }

  /** Beyond so many patches a whole sheet is quicker. */
  private static final int MOST = 40;

  /** From one sheet to another; null when a whole sheet is the better answer. */
  static @Nullable List<RulePatch> between(String before, String after) {
    List<String> old = rules(before);
    List<String> now = rules(after);
    var patches = new ArrayList<RulePatch>();
    if (sameGroups(old, now)) {
      for (int i = 0; i < old.size(); i++) {
        if (!old.get(i).equals(now.get(i))) {
          one(i, old.get(i), now.get(i), patches);
        }
      }
    } else {
      return null;
    }
    return patches.size() > MOST ? null : patches;
  }

  private static void one(int at, String old, String now, List<RulePatch> out) {
    if (!old.startsWith("@media")) {
      out.add(new RulePatch(null, at, 1, List.of(now)));
      return;
    }
    List<String> inOld = rules(inside(old));
    List<String> inNow = rules(inside(now));
    int start = 0;
    int shared = Math.min(inOld.size(), inNow.size());
    if (inOld.size() == inNow.size()) {
      for (int i = 0; i < shared; i++) {
        if (!inOld.get(i).equals(inNow.get(i))) {
          out.add(new RulePatch(at, i, 1, List.of(inNow.get(i))));
        }
      }
      return;
    }
    while (start < shared && inOld.get(start).equals(inNow.get(start))) {
      start++;
    }
    int end = 0;
    while (end < shared - start
        && inOld.get(inOld.size() - 1 - end).equals(inNow.get(inNow.size() - 1 - end))) {
      end++;
    }
    out.add(
        new RulePatch(
            at, start, inOld.size() - start - end, inNow.subList(start, inNow.size() - end)));
  }

  /** Whether both have as many rules, with the same conditions at the same places. */
  private static boolean sameGroups(List<String> old, List<String> now) {
    if (old.size() != now.size()) {
      return false;
    }
    for (int i = 0; i < old.size(); i++) {
      boolean grouped = old.get(i).startsWith("@") || now.get(i).startsWith("@");
      if (grouped && !head(old.get(i)).equals(head(now.get(i)))) {
        return false;
      }
    }
    return true;
  }

  private static String head(String rule) {
    return rule.substring(0, rule.indexOf('{'));
  }

  private static String inside(String rule) {
    return rule.substring(rule.indexOf('{') + 1, rule.lastIndexOf('}'));
  }

  /** The rules of a sheet of ours, which has neither comments nor braces in strings. */
  static List<String> rules(String css) {
    var rules = new ArrayList<String>();
    int depth = 0;
    int start = 0;
    for (int i = 0; i < css.length(); i++) {
      char c = css.charAt(i);
      if (c == '{') {
        depth++;
      } else if (c == '}' && --depth == 0) {
        rules.add(css.substring(start, i + 1).strip());
        start = i + 1;
      }
    }
    return rules;
  }
}
