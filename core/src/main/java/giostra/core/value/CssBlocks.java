package giostra.core.value;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntPredicate;

/**
 * CSS as blocks in blocks, before anybody asks what it says: which text stands before which braces.
 * Comments are blanks. Source: CSS Syntax 3, "consume a block's contents": what comes first of a
 * semicolon and a brace says whether it is a declaration or a rule.
 */
public final class CssBlocks {
  /** What stands in a block, or in a sheet. */
  public sealed interface Part {
    /** The line that it begins in, from 1. */
    int line();
  }

  /** Declarations one after another, as they were written, each with its semicolon. */
  public record Declarations(int line, String text) implements Part {}

  /** What has braces. */
  public record Block(int line, String head, List<Part> inside, String body) implements Part {
    public Block {
      inside = List.copyOf(inside);
    }

    /** As it was written, but for its place in the sheet. */
    public String written() {
      return head + "{" + body + "}";
    }
  }

  private final String text;
  private int at;
  private int line = 1;

  private CssBlocks(String text) {
    this.text = text;
  }

  /**
   * The parts of a sheet.
   *
   * @param bare without comments, with brackets that fit
   */
  public static List<Part> of(String bare) {
    return new CssBlocks(bare).parts();
  }

  /**
   * Without comments; lines stay.
   *
   * @throws Refused naming the line of a text or a comment that does not end
   */
  public static String bare(String text) {
    var bare = new StringBuilder(text);
    int line = 1;
    for (int i = 0; i < bare.length(); i++) {
      char c = bare.charAt(i);
      if (c == '\n') {
        line++;
      } else if (c == '"' || c == '\'') {
        int end = i + 1;
        while (end < bare.length() && bare.charAt(end) != c && bare.charAt(end) != '\n') {
          end++;
        }
        if (end == bare.length() || bare.charAt(end) != c) {
          throw OwnCss.refused(line, bare.substring(i, end), "a text that ends in its line");
        }
        i = end;
      } else if (c == '/' && bare.indexOf("/*", i) == i) {
        int end = bare.indexOf("*/", i + 2);
        if (end < 0) {
          throw OwnCss.refused(line, "a comment that does not end", "ended with */");
        }
        for (int blank = i; blank < end + 2; blank++) {
          if (bare.charAt(blank) != '\n') {
            bare.setCharAt(blank, ' ');
          }
        }
        i--;
      }
    }
    return bare.toString();
  }

  /** Up to the brace that closes these, or the end. */
  private List<Part> parts() {
    var all = new ArrayList<Part>();
    var declared = new StringBuilder();
    int declaredAt = line;
    while (true) {
      skip(Character::isWhitespace);
      if (at >= text.length() || text.charAt(at) == '}') {
        break;
      }
      int begins = line;
      String head = upTo();
      char end = at < text.length() ? text.charAt(at) : '}';
      if (end == '{') {
        if (!declared.isEmpty()) {
          all.add(new Declarations(declaredAt, declared.toString()));
          declared.setLength(0);
        }
        at++;
        int from = at;
        List<Part> inside = parts();
        all.add(new Block(begins, head.strip(), inside, text.substring(from, at)));
        at++;
        continue;
      }
      if (declared.isEmpty()) {
        declaredAt = begins;
      }
      // Each in the line that it was in, for whoever tells what is wrong with it.
      int now = declaredAt + (int) declared.chars().filter(c -> c == '\n').count();
      declared.append("\n".repeat(Math.max(0, begins - now))).append(head).append(';');
      if (end == ';') {
        at++;
      }
    }
    if (!declared.isEmpty()) {
      all.add(new Declarations(declaredAt, declared.toString()));
    }
    return List.copyOf(all);
  }

  private void skip(IntPredicate some) {
    while (at < text.length() && some.test(text.charAt(at))) {
      if (text.charAt(at++) == '\n') {
        line++;
      }
    }
  }

  /** What stands before the next semicolon or brace that is in no bracket and no string. */
  private String upTo() {
    int from = at;
    int depth = 0;
    for (; at < text.length(); at++) {
      char c = text.charAt(at);
      if (c == '\n') {
        line++;
      } else if (c == '"' || c == '\'') {
        at = text.indexOf(c, at + 1);
      } else if (c == '(' || c == '[') {
        depth++;
      } else if (c == ')' || c == ']') {
        depth--;
      } else if (c == '}' || depth <= 0 && (c == ';' || c == '{')) {
        break;
      }
    }
    return text.substring(from, at);
  }
}
