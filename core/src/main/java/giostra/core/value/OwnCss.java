package giostra.core.value;

import com.helger.css.decl.CSSDeclaration;
import com.helger.css.decl.CSSMediaRule;
import com.helger.css.decl.CSSSelector;
import com.helger.css.decl.CSSStyleRule;
import com.helger.css.decl.CSSSupportsRule;
import com.helger.css.decl.CascadingStyleSheet;
import com.helger.css.decl.ICSSTopLevelRule;
import com.helger.css.parser.ReadOnlyToken;
import com.helger.css.reader.CSSReader;
import com.helger.css.reader.CSSReaderSettings;
import com.helger.css.reader.errorhandler.CSSParseError;
import com.helger.css.reader.errorhandler.CollectingCSSParseErrorHandler;
import com.helger.css.reader.errorhandler.DoNothingCSSInterpretErrorHandler;
import com.helger.css.writer.CSSWriterSettings;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Rules of CSS that somebody writes for one place of a page. They are taken apart by a parser and
 * written anew, so that nothing stands in a sheet that it did not understand; they hold below that
 * place alone, and load nothing. Source: CSS Syntax 3; Selectors 4; CSS Values 4, "Functional
 * Notations".
 */
public final class OwnCss {
  /** Brackets in brackets at the most: a parser that goes down them has a stack that ends. */
  private static final int DEEPEST = 12;

  private static final String SELF = ":scope";
  private static final CSSWriterSettings WRITER = new CSSWriterSettings(true);
  private static final Pattern STRING = Pattern.compile("\"[^\"]*\"|'[^']*'");
  private static final Pattern FUNCTION = Pattern.compile("([-\\w]+)\\(");

  /** Functions that fetch nothing. */
  private static final Set<String> FUNCTIONS =
      Set.of(
          ("abs blur brightness calc circle clamp color color-mix conic-gradient contrast counter"
                  + " counters cubic-bezier drop-shadow ellipse env fit-content grayscale hsl hsla"
                  + " hue-rotate hwb inset invert lab lch light-dark linear linear-gradient matrix"
                  + " matrix3d max min minmax mod oklab oklch opacity perspective polygon"
                  + " radial-gradient rect rem repeat repeating-conic-gradient"
                  + " repeating-linear-gradient repeating-radial-gradient rgb rgba rotate rotate3d"
                  + " rotatex rotatey rotatez round saturate scale scale3d scalex scaley scalez"
                  + " sepia sign skew skewx skewy steps translate translate3d translatex"
                  + " translatey translatez var xywh")
              .split(" "));

  private final List<ICSSTopLevelRule> rules;

  private OwnCss(List<ICSSTopLevelRule> rules) {
    this.rules = rules;
  }

  /**
   * Reads some.
   *
   * @throws Refused naming the line and what is wrong there
   */
  public static OwnCss read(String text) {
    if (text.indexOf('\\') >= 0) {
      throw refused(line(text, text.indexOf('\\')), "a backslash", "written without escapes");
    }
    depth(text);
    var own = new OwnCss(List.copyOf(parsed(text).getAllRules()));
    own.check();
    return own;
  }

  private static CascadingStyleSheet parsed(String text) {
    var errors = new CollectingCSSParseErrorHandler();
    @Nullable CascadingStyleSheet sheet =
        CSSReader.readFromStringReader(
            text,
            new CSSReaderSettings()
                .setBrowserCompliantMode(false)
                .setUseSourceLocation(true)
                .setCustomErrorHandler(errors)
                .setInterpretErrorHandler(new DoNothingCSSInterpretErrorHandler()));
    if (errors.hasParseErrors()) {
      CSSParseError first = errors.getAllParseErrors().getFirst();
      // What is wrong by itself, or else what was skipped.
      ReadOnlyToken at =
          first.getFirstSkippedToken() == null
              ? first.getLastValidToken()
              : first.getFirstSkippedToken();
      throw refused(
          at == null ? 1 : at.getBeginLine(),
          at == null ? "something" : "" + at.getImage(),
          "rules such as .g-card { rotate: 1deg }, alone or in @media or @supports");
    }
    if (sheet == null) {
      throw refused(1, text.strip(), "rules such as .g-card { rotate: 1deg }");
    }
    if (sheet.hasImportRules() || sheet.hasNamespaceRules()) {
      throw refused(1, sheet.hasImportRules() ? "@import" : "@namespace", "without it");
    }
    return sheet;
  }

  /** Before anything goes down into it. */
  private static void depth(String text) {
    int depth = 0;
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      if (c == '{' || c == '(' || c == '[') {
        depth++;
      } else if (c == '}' || c == ')' || c == ']') {
        depth--;
      }
      if (depth > DEEPEST || depth < 0) {
        throw refused(
            line(text, i),
            depth < 0 ? "a bracket that closes nothing" : "more than " + DEEPEST + " brackets",
            "in brackets that fit");
      }
    }
    if (depth > 0) {
      throw refused(line(text, text.length()), "a bracket that is not closed", "closed");
    }
  }

  private static int line(String text, int at) {
    return 1 + (int) text.substring(0, at).chars().filter(c -> c == '\n').count();
  }

  private static Refused refused(int line, String found, String allowed) {
    String shown = found.length() > 60 ? found.substring(0, 60) + "…" : found;
    return new Refused("CSS", String.format(Locale.ROOT, "%s in line %d", shown, line), allowed);
  }

  private void check() {
    rules.forEach(OwnCss::check);
  }

  private static void check(ICSSTopLevelRule rule) {
    switch (rule) {
      case CSSStyleRule style -> {
        style.getAllSelectors().forEach(each -> scoped(each, style, ""));
        style.getAllDeclarations().forEach(each -> check(each, style));
      }
      case CSSMediaRule media -> media.getAllRules().forEach(OwnCss::check);
      case CSSSupportsRule supports -> supports.getAllRules().forEach(OwnCss::check);
      default ->
          throw new Refused(
              "CSS",
              rule.getAsCSSString(WRITER, 0).lines().findFirst().orElse("a rule"),
              "rules such as .g-card { rotate: 1deg }, alone or in @media or @supports");
    }
  }

  private static void check(CSSDeclaration declaration, CSSStyleRule in) {
    String bare = STRING.matcher(declaration.getAsCSSString(WRITER, 0)).replaceAll("''");
    var functions = FUNCTION.matcher(bare);
    while (functions.find()) {
      String name = functions.group(1).toLowerCase(Locale.ROOT);
      if (!FUNCTIONS.contains(name)) {
        throw refused(in, name + "()", "without it: nothing is loaded from here");
      }
    }
    if (bare.indexOf('<') >= 0 || bare.indexOf('@') >= 0 || bare.indexOf('{') >= 0) {
      throw refused(in, bare, "a property and its value");
    }
  }

  private static Refused refused(CSSStyleRule rule, String found, String allowed) {
    var at = rule.getSourceLocation();
    return refused(at == null ? 1 : at.getFirstTokenBeginLineNumber(), found, allowed);
  }

  /** A selector that finds nothing but what is below a place, or that itself. */
  private static String scoped(CSSSelector selector, CSSStyleRule in, String place) {
    String text = selector.getAsCSSString(WRITER, 0).strip();
    if (!text.startsWith(SELF)) {
      return place + " " + text;
    }
    String rest = text.substring(SELF.length());
    if (rest.startsWith("+") || rest.startsWith("~") || rest.matches("[-\\w].*")) {
      throw refused(in, text, "a selector of what is in it");
    }
    return place + rest;
  }

  /**
   * The rules as a sheet has them, one text each.
   *
   * @param place selector of where they hold
   */
  public List<String> under(String place) {
    return rules.stream().map(rule -> under(rule, place)).filter(text -> !text.isEmpty()).toList();
  }

  private static String under(ICSSTopLevelRule rule, String place) {
    return switch (rule) {
      case CSSStyleRule style -> under(style, place);
      case CSSMediaRule media ->
          block(
              "@media "
                  + media.getAllMediaQueries().stream()
                      .map(query -> query.getAsCSSString(WRITER, 0))
                      .collect(Collectors.joining(",")),
              media.getAllRules(),
              place);
      case CSSSupportsRule supports ->
          block(
              "@supports "
                  + supports.getAllSupportConditionMembers().stream()
                      .map(member -> member.getAsCSSString(WRITER, 0))
                      .collect(Collectors.joining(" ")),
              supports.getAllRules(),
              place);
      default -> throw new IllegalStateException("a rule that was not checked");
    };
  }

  private static String under(CSSStyleRule style, String place) {
    if (style.getDeclarationCount() == 0) {
      return "";
    }
    return style.getAllSelectors().stream()
            .map(each -> scoped(each, style, place))
            .collect(Collectors.joining(","))
        + style.getAllDeclarations().stream()
            .map(each -> each.getAsCSSString(WRITER, 0))
            .collect(Collectors.joining(";", "{", "}"));
  }

  private static String block(String condition, Iterable<ICSSTopLevelRule> rules, String place) {
    var inside = new StringBuilder();
    rules.forEach(rule -> inside.append(under(rule, place)));
    return inside.isEmpty() ? "" : condition + "{" + inside + "}";
  }
}
