package giostra.core.output;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A stylesheet as values, so that two can be compared without reading CSS.
 *
 * @param fixed the rules that all pages with these kinds have
 * @param groups what the page itself says, in order
 */
public record Sheet(Fixed fixed, List<Group> groups) {
  public Sheet {
    groups = List.copyOf(groups);
  }

  /**
   * Rules that hold under one condition.
   *
   * @param condition a media query; empty for rules that hold everywhere, which lie at the sheet's
   *     top
   */
  public record Group(String condition, List<String> rules) {
    /** How many rules it has at the sheet's top. */
    public int atTop() {
      return condition.isEmpty() ? rules.size() : 1;
    }
  }

  /**
   * Rules that hardly an edit changes.
   *
   * @param count how many it has at its top
   * @param hash names the text
   */
  public record Fixed(String text, int count, String hash) {
    /** What is known of a text, taken over where it is the one of before. */
    static Fixed of(String text, @Nullable Fixed before) {
      return before != null && before.text.equals(text)
          ? before
          : new Fixed(text, atTop(text), Hash.of(text));
    }

    private static int atTop(String text) {
      int depth = 0;
      int count = 0;
      // Sheets of ours have neither comments nor braces in strings.
      for (int i = 0; i < text.length(); i++) {
        char c = text.charAt(i);
        if (c == '{') {
          depth++;
        } else if (c == '}' && --depth == 0) {
          count++;
        }
      }
      return count;
    }
  }

  /** The CSS text. */
  public String css() {
    var out = new StringBuilder(fixed.text);
    for (Group group : groups) {
      if (!group.condition().isEmpty()) {
        out.append("@media ").append(group.condition()).append('{');
      }
      group.rules().forEach(out::append);
      if (!group.condition().isEmpty()) {
        out.append('}');
      }
    }
    return out.toString();
  }

  /** About how many characters it has. */
  public int length() {
    return fixed.text.length()
        + groups.stream().flatMap(group -> group.rules().stream()).mapToInt(String::length).sum();
  }

  /** How many rules the sheet has at its top. */
  public int rules() {
    return fixed.count + groups.stream().mapToInt(Group::atTop).sum();
  }

  /**
   * One change of a sheet: rules that go and rules that come at a place. A stage that takes changes
   * instead of a whole sheet lays out only what they touch.
   *
   * @param group index of the grouping rule that it lies in, among the rules at the sheet's top; -1
   *     for the sheet itself
   * @param at index of the first rule that goes, among its siblings
   * @param remove how many go
   * @param insert rules that come in their place, in order
   */
  public record Patch(int group, int at, int remove, List<String> insert) {
    public Patch {
      insert = List.copyOf(insert);
    }
  }

  /**
   * What makes another sheet of this one, to be done in order.
   *
   * @throws IllegalArgumentException when the fixed parts or the conditions differ, see {@link
   *     #comparable}
   */
  public List<Patch> patchesTo(Sheet other) {
    if (!comparable(other)) {
      throw new IllegalArgumentException("sheets of other kinds or bands");
    }
    var patches = new ArrayList<Patch>();
    int top = fixed.count;
    for (int i = 0; i < groups.size(); i++) {
      Group old = groups.get(i);
      Group now = other.groups.get(i);
      boolean plain = old.condition().isEmpty();
      between(old.rules(), now.rules(), plain ? -1 : top, plain ? top : 0, patches);
      // What comes before is changed already.
      top += now.atTop();
    }
    return patches;
  }

  /** Whether both have the same fixed part and the same conditions. */
  public boolean comparable(Sheet other) {
    return fixed.equals(other.fixed)
        && groups.stream()
            .map(Group::condition)
            .toList()
            .equals(other.groups.stream().map(Group::condition).toList());
  }

  private static void between(
      List<String> old, List<String> now, int group, int first, List<Patch> out) {
    if (old.size() == now.size()) {
      for (int i = 0; i < old.size(); i++) {
        if (!old.get(i).equals(now.get(i))) {
          out.add(new Patch(group, first + i, 1, List.of(now.get(i))));
        }
      }
      return;
    }
    int shared = Math.min(old.size(), now.size());
    int start = 0;
    while (start < shared && old.get(start).equals(now.get(start))) {
      start++;
    }
    int end = 0;
    while (end < shared - start
        && old.get(old.size() - 1 - end).equals(now.get(now.size() - 1 - end))) {
      end++;
    }
    out.add(
        new Patch(
            group, first + start, old.size() - start - end, now.subList(start, now.size() - end)));
  }
}
