package giostra.core.value;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * When rules hold, as far as the parser of CSS does not know it: conditions of containers, and
 * those of screens with ranges. Read and written anew. Source: Media Queries 4, "Syntax", "Range";
 * CSS Conditional Rules 5, "Container queries".
 */
final class CssCondition {
  private static final Set<String> JOINS = Set.of("and", "or", "not", "only");
  private static final Set<String> SUMS = Set.of("calc", "min", "max", "clamp");
  private static final Set<String> COMPARES = Set.of("<", ">", "=", "<=", ">=");

  private enum Sort {
    NAME,
    /** A name with a bracket right after it. */
    CALL,
    NUMBER,
    SIGN,
    END
  }

  private record Token(Sort sort, String text) {
    boolean is(String sign) {
      return sort == Sort.SIGN && text.equals(sign);
    }

    boolean says(String word) {
      return sort == Sort.NAME && text.equalsIgnoreCase(word);
    }
  }

  private final String text;
  private final int line;
  private final List<Token> tokens;
  private int at;

  private CssCondition(String text, int line) {
    this.text = text;
    this.line = line;
    this.tokens = tokens();
  }

  /**
   * What stands after {@code @container}.
   *
   * @throws Refused naming the line
   */
  static String container(String text, int line) {
    var read = new CssCondition(text, line);
    Token first = read.now();
    String name = "";
    if (first.sort == Sort.NAME && !JOINS.contains(first.text.toLowerCase(Locale.ROOT))) {
      name = read.take().text + " ";
    }
    return name + read.whole(read.condition());
  }

  /**
   * What stands after {@code @media}.
   *
   * @throws Refused naming the line
   */
  static String media(String text, int line) {
    var read = new CssCondition(text, line);
    var all = new ArrayList<String>();
    do {
      all.add(read.query());
    } while (read.took(","));
    return read.whole(String.join(",", all));
  }

  private String query() {
    var said = new StringBuilder();
    Token second = tokens.get(Math.min(at + 1, tokens.size() - 1));
    boolean turned = (now().says("not") || now().says("only")) && second.sort == Sort.NAME;
    if (turned) {
      said.append(take().text).append(' ');
    }
    if (now().sort != Sort.NAME || now().says("not")) {
      return said + condition();
    }
    said.append(take().text);
    if (now().says("and")) {
      take();
      said.append(" and ").append(condition());
    }
    return said.toString();
  }

  private String condition() {
    if (now().says("not")) {
      take();
      return "not " + bracket();
    }
    var said = new StringBuilder(bracket());
    // And and or are not mixed without brackets.
    String join = now().text;
    if (now().says("and") || now().says("or")) {
      while (now().says(join)) {
        take();
        said.append(' ').append(join).append(' ').append(bracket());
      }
    }
    return said.toString();
  }

  private String bracket() {
    if (now().sort == Sort.CALL && now().text.equalsIgnoreCase("style")) {
      take();
      expect("(");
      return "style(" + feature() + closed();
    }
    expect("(");
    boolean within = now().is("(") || now().says("not") || now().text.equalsIgnoreCase("style");
    return "(" + (within ? condition() : feature()) + closed();
  }

  private String closed() {
    expect(")");
    return ")";
  }

  private String feature() {
    String first = value();
    if (took(":")) {
      return first + ":" + value();
    }
    var said = new StringBuilder(first);
    boolean named = Character.isLetter(first.charAt(0)) && first.indexOf('(') < 0;
    for (int more = 0; more < 2 && COMPARES.contains(now().text); more++) {
      said.append(' ').append(take().text).append(' ');
      // A name is compared with what can be reckoned, and that with a name.
      boolean name = now().sort == Sort.NAME;
      if (name == named) {
        throw refused();
      }
      said.append(value());
      named = name;
    }
    return said.toString();
  }

  private String value() {
    if (now().sort == Sort.CALL && SUMS.contains(now().text.toLowerCase(Locale.ROOT))) {
      return take().text + sum();
    }
    if (now().sort != Sort.NAME && now().sort != Sort.NUMBER) {
      throw refused();
    }
    Token value = take();
    if (value.sort == Sort.NUMBER && took("/")) {
      if (now().sort != Sort.NUMBER) {
        throw refused();
      }
      return value.text + "/" + take().text;
    }
    return value.text;
  }

  /** What is reckoned in brackets: numbers and signs; blanks stand where CSS asks for them. */
  private String sum() {
    expect("(");
    var said = new StringBuilder("(");
    boolean empty = true;
    while (!now().is(")")) {
      if (now().is("(")) {
        said.append(sum());
      } else if (now().sort == Sort.NUMBER || now().is(",") || now().is("*") || now().is("/")) {
        said.append(take().text);
      } else if (now().is("+") || now().is("-")) {
        said.append(' ').append(take().text).append(' ');
      } else {
        throw refused();
      }
      empty = false;
    }
    if (empty) {
      throw refused();
    }
    return said + closed();
  }

  private Token now() {
    return tokens.get(at);
  }

  private Token take() {
    return now().sort == Sort.END ? now() : tokens.get(at++);
  }

  private boolean took(String sign) {
    if (!now().is(sign)) {
      return false;
    }
    take();
    return true;
  }

  private void expect(String sign) {
    if (!took(sign)) {
      throw refused();
    }
  }

  private String whole(String said) {
    if (now().sort != Sort.END) {
      throw refused();
    }
    return said;
  }

  private Refused refused() {
    return OwnCss.refused(
        line,
        text.isEmpty() ? "no condition" : text,
        "a condition such as (min-width: 30em) or (width >= 400px)");
  }

  private List<Token> tokens() {
    var all = new ArrayList<Token>();
    int i = 0;
    while (i < text.length()) {
      char c = text.charAt(i);
      int end = i + 1;
      if (Character.isWhitespace(c)) {
        i++;
        continue;
      }
      if (digit(i) || (c == '-' || c == '+' || c == '.') && digit(i + 1)) {
        while (end < text.length() && (wordy(end) || text.charAt(end) == '.')) {
          end++;
        }
        end += end < text.length() && text.charAt(end) == '%' ? 1 : 0;
        all.add(new Token(Sort.NUMBER, number(text.substring(i, end))));
      } else if (wordy(i)) {
        while (end < text.length() && wordy(end)) {
          end++;
        }
        boolean call = end < text.length() && text.charAt(end) == '(';
        all.add(new Token(call ? Sort.CALL : Sort.NAME, text.substring(i, end)));
      } else if ("<>=".indexOf(c) >= 0) {
        end += c != '=' && end < text.length() && text.charAt(end) == '=' ? 1 : 0;
        all.add(new Token(Sort.SIGN, text.substring(i, end)));
      } else if ("():,/*+".indexOf(c) >= 0) {
        all.add(new Token(Sort.SIGN, text.substring(i, end)));
      } else {
        throw refused();
      }
      i = end;
    }
    all.add(new Token(Sort.END, ""));
    return all.stream()
        // A minus by itself is a sign, and no name.
        .map(each -> each.text.equals("-") ? new Token(Sort.SIGN, "-") : each)
        .toList();
  }

  private String number(String text) {
    int unit = text.length();
    while (unit > 0 && !Character.isDigit(text.charAt(unit - 1))) {
      unit--;
    }
    try {
      new java.math.BigDecimal(text.substring(0, unit));
    } catch (NumberFormatException e) {
      throw refused();
    }
    return text;
  }

  private boolean digit(int i) {
    return i < text.length() && text.charAt(i) >= '0' && text.charAt(i) <= '9';
  }

  private boolean wordy(int i) {
    char c = text.charAt(i);
    return c >= 'a' && c <= 'z' || c >= 'A' && c <= 'Z' || digit(i) || c == '-' || c == '_';
  }
}
