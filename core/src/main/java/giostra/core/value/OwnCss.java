package giostra.core.value;

import com.helger.css.CSSSourceLocation;
import com.helger.css.decl.CSSDeclaration;
import com.helger.css.decl.CSSKeyframesBlock;
import com.helger.css.decl.CSSKeyframesRule;
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
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Rules of CSS that somebody writes for one place of a page. They are taken apart by a parser and
 * written anew, so that nothing stands in a sheet that it did not understand; they hold below that
 * place alone, and load nothing. Rules in rules are written out, since the parser does not know
 * them. Source: CSS Syntax 3; Selectors 4; CSS Nesting 1; CSS Conditional Rules 5; CSS Values 4,
 * "Functional Notations".
 */
public final class OwnCss {
  /** Brackets in brackets at the most: a parser that goes down them has a stack that ends. */
  private static final int DEEPEST = 12;

  private static final String OPENS = "{([";
  private static final String CLOSES = "})]";

  private static final String SELF = ":scope";
  private static final CSSWriterSettings WRITER = new CSSWriterSettings(true);

  /** Values as they were: the short form says 0 for 0deg and 0s, which is neither. */
  private static final CSSWriterSettings VALUES = new CSSWriterSettings(false);

  private static final Pattern STRING = Pattern.compile("\"[^\"]*\"|'[^']*'");
  private static final Pattern FUNCTION = Pattern.compile("([-\\w]+)\\(");
  private static final Pattern WORD = Pattern.compile("[-\\w]+");
  private static final Pattern NAME = Pattern.compile("[a-zA-Z][-\\w]{0,39}");
  private static final Set<String> ANIMATION = Set.of("animation", "animation-name");
  private static final Set<String> CONDITIONS = Set.of("@media", "@supports", "@container");

  private static final Set<String> MOMENTS = Set.of("from", "to");

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

  private static final String ALLOWED =
      "rules such as .g-card { rotate: 1deg }, alone, in one another or in @media, @supports or"
          + " @container, or @keyframes";

  /** Rules in a sheet, or under a condition. */
  private sealed interface Rule {}

  private record Conditional(String condition, List<Rule> rules) implements Rule {}

  private record Single(ICSSTopLevelRule rule) implements Rule {}

  private final List<Rule> rules;

  private OwnCss(List<Rule> rules) {
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
    String bare = CssBlocks.bare(text);
    depth(bare);
    return new OwnCss(rules(CssBlocks.of(bare), List.of(), new CssNesting()));
  }

  /**
   * What stands in blocks.
   *
   * @param around selectors of the rule that they stand in, none in a sheet
   * @param nesting of the whole sheet
   */
  private static List<Rule> rules(
      List<CssBlocks.Part> parts, List<String> around, CssNesting nesting) {
    var rules = new ArrayList<Rule>();
    for (CssBlocks.Part part : parts) {
      switch (part) {
        case CssBlocks.Declarations(int line, String text) when around.isEmpty() ->
            // Some at-rules have no block; nothing else is a rule without one.
            rules.addAll(single(line, text.startsWith("@") ? text : text + "{}"));
        case CssBlocks.Declarations(int line, String text) ->
            rules.addAll(single(line, String.join(",", around) + "{" + text + "}"));
        case CssBlocks.Block block when block.head().startsWith("@") -> {
          Optional<String> condition = condition(block);
          if (condition.isPresent()) {
            rules.add(new Conditional(condition.get(), rules(block.inside(), around, nesting)));
          } else if (around.isEmpty()) {
            rules.addAll(single(block.line(), block.written()));
          } else {
            throw refused(block.line(), block.head(), "outside of other rules, or " + ALLOWED);
          }
        }
        case CssBlocks.Block block ->
            rules.addAll(
                rules(block.inside(), nesting.within(around, block.head(), block.line()), nesting));
      }
    }
    return List.copyOf(rules);
  }

  /** Rules as the parser understands them, which finds them in the line that they were in. */
  private static List<Rule> single(int line, String text) {
    List<ICSSTopLevelRule> rules = parsed("\n".repeat(line - 1) + text).getAllRules();
    rules.forEach(OwnCss::check);
    return rules.stream().<Rule>map(Single::new).toList();
  }

  /** What a block stands under, where it is one that holds at times. */
  private static Optional<String> condition(CssBlocks.Block block) {
    String head = block.head();
    String name = head.split("[\\s(]", 2)[0].toLowerCase(Locale.ROOT);
    if (!CONDITIONS.contains(name)) {
      return Optional.empty();
    }
    String asked = head.substring(name.length()).replaceAll("\\s+", " ").strip();
    if (name.equals("@container")) {
      return Optional.of(name + " " + CssCondition.container(asked, block.line()));
    }
    if (name.equals("@media") && asked.chars().anyMatch(c -> "<>=".indexOf(c) >= 0)) {
      return Optional.of(name + " " + CssCondition.media(asked, block.line()));
    }
    List<ICSSTopLevelRule> read =
        parsed("\n".repeat(block.line() - 1) + head + "{a{b:c}}").getAllRules();
    return Optional.of(
        switch (read.isEmpty() ? null : read.getFirst()) {
          case CSSMediaRule media ->
              "@media "
                  + media.getAllMediaQueries().stream()
                      .map(each -> each.getAsCSSString(WRITER, 0))
                      .collect(Collectors.joining(","));
          case CSSSupportsRule supports ->
              "@supports "
                  + supports.getAllSupportConditionMembers().stream()
                      .map(each -> each.getAsCSSString(WRITER, 0))
                      .collect(Collectors.joining(" "));
          case null, default -> throw refused(block.line(), head, ALLOWED);
        });
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
          ALLOWED);
    }
    if (sheet == null) {
      throw refused(1, text.strip(), "rules such as .g-card { rotate: 1deg }");
    }
    if (sheet.hasImportRules() || sheet.hasNamespaceRules()) {
      throw refused(1, sheet.hasImportRules() ? "@import" : "@namespace", "without it");
    }
    return sheet;
  }

  /** Before anything goes down into it: each bracket is closed by one of its kind. */
  private static void depth(String text) {
    var open = new ArrayDeque<Character>();
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      if (c == '"' || c == '\'') {
        i = Math.max(i, text.indexOf(c, i + 1));
      } else if (OPENS.indexOf(c) >= 0) {
        open.push(CLOSES.charAt(OPENS.indexOf(c)));
        if (open.size() > DEEPEST) {
          throw refused(
              line(text, i), "more than " + DEEPEST + " brackets", "in brackets that fit");
        }
      } else if (CLOSES.indexOf(c) >= 0 && (open.isEmpty() || open.pop() != c)) {
        throw refused(line(text, i), "a bracket that closes nothing", "in brackets that fit");
      }
    }
    if (!open.isEmpty()) {
      throw refused(line(text, text.length()), "a bracket that is not closed", "closed");
    }
  }

  private static int line(String text, int at) {
    return 1 + (int) text.substring(0, at).chars().filter(c -> c == '\n').count();
  }

  static Refused refused(int line, String found, String allowed) {
    String shown = found.length() > 60 ? found.substring(0, 60) + "…" : found;
    return new Refused("CSS", String.format(Locale.ROOT, "%s in line %d", shown, line), allowed);
  }

  private static void check(ICSSTopLevelRule rule) {
    switch (rule) {
      case CSSStyleRule style -> {
        style.getAllSelectors().forEach(each -> scoped(each, style, ""));
        style.getAllDeclarations().forEach(each -> check(each, style.getSourceLocation()));
      }
      case CSSKeyframesRule frames -> check(frames);
      default ->
          throw new Refused(
              "CSS", rule.getAsCSSString(WRITER, 0).lines().findFirst().orElse("a rule"), ALLOWED);
    }
  }

  private static void check(CSSKeyframesRule frames) {
    String name = frames.getAnimationName();
    if (!NAME.matcher(name).matches()) {
      throw refused(frames.getSourceLocation(), name, "a name of letters, digits, - and _");
    }
    for (CSSKeyframesBlock block : frames.getAllBlocks()) {
      for (String at : block.getAllKeyframesSelectors()) {
        if (!MOMENTS.contains(at) && !at.matches("\\d{1,3}(\\.\\d{1,6})?%")) {
          throw refused(frames.getSourceLocation(), at, "from, to or a share such as 50%");
        }
      }
      block.getAllDeclarations().forEach(each -> check(each, frames.getSourceLocation()));
    }
  }

  private static void check(CSSDeclaration declaration, @Nullable CSSSourceLocation in) {
    @Nullable CSSSourceLocation own = declaration.getSourceLocation();
    @Nullable CSSSourceLocation at = own == null ? in : own;
    String bare = STRING.matcher(declaration.getAsCSSString(WRITER, 0)).replaceAll("''");
    var functions = FUNCTION.matcher(bare);
    while (functions.find()) {
      String name = functions.group(1).toLowerCase(Locale.ROOT);
      if (!FUNCTIONS.contains(name)) {
        throw refused(at, name + "()", "without it: nothing is loaded from here");
      }
    }
    if (bare.indexOf('<') >= 0 || bare.indexOf('@') >= 0 || bare.indexOf('{') >= 0) {
      throw refused(at, bare, "a property and its value");
    }
  }

  private static Refused refused(@Nullable CSSSourceLocation at, String found, String allowed) {
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
      throw refused(in.getSourceLocation(), text, "a selector of what is in it");
    }
    return place + rest;
  }

  /**
   * The rules as a sheet has them, one text each. Animations are called by the owner's name too, as
   * others may have some of the same name, and are there for those alone who have not asked for
   * less motion.
   *
   * @param place selector of where they hold
   * @param owner id of the node that they are of
   */
  public List<String> under(String place, String owner) {
    var names = new HashSet<String>();
    rules.forEach(rule -> named(rule, names));
    var at = new At(place, owner, names);
    return rules.stream().map(rule -> under(rule, at)).filter(text -> !text.isEmpty()).toList();
  }

  /** Where rules hold, whose they are, and what animations are called in them. */
  private record At(String place, String owner, Set<String> names) {
    String own(String name) {
      return name + "-" + owner;
    }
  }

  private static void named(Rule rule, Set<String> names) {
    switch (rule) {
      case Conditional under -> under.rules().forEach(each -> named(each, names));
      case Single(CSSKeyframesRule frames) -> names.add(frames.getAnimationName());
      case Single _ -> {}
    }
  }

  private static String under(Rule rule, At at) {
    return switch (rule) {
      case Conditional(String condition, List<Rule> rules) -> {
        String inside = rules.stream().map(each -> under(each, at)).collect(Collectors.joining());
        yield inside.isEmpty() ? "" : condition + "{" + inside + "}";
      }
      case Single(CSSStyleRule style) -> under(style, at);
      case Single(CSSKeyframesRule frames) -> under(frames, at);
      case Single _ -> throw new IllegalStateException("a rule that was not checked");
    };
  }

  private static String under(CSSKeyframesRule frames, At at) {
    return "@media (prefers-reduced-motion:no-preference){@keyframes "
        + at.own(frames.getAnimationName())
        + frames.getAllBlocks().stream()
            .map(block ->
                String.join(",", block.getAllKeyframesSelectors())
                    + written(block.getAllDeclarations(), at))
            .collect(Collectors.joining("", "{", "}}"));
  }

  private static String under(CSSStyleRule style, At at) {
    if (style.getDeclarationCount() == 0) {
      return "";
    }
    return style.getAllSelectors().stream()
            .map(each -> scoped(each, style, at.place()))
            .collect(Collectors.joining(","))
        + written(style.getAllDeclarations(), at);
  }

  private static String written(List<CSSDeclaration> declarations, At at) {
    return declarations.stream()
        .map(each -> written(each, at))
        .collect(Collectors.joining(";", "{", "}"));
  }

  private static String written(CSSDeclaration declaration, At at) {
    String text = declaration.getAsCSSString(VALUES, 0);
    String property = declaration.getProperty().toLowerCase(Locale.ROOT);
    if (at.names().isEmpty() || !ANIMATION.contains(property)) {
      return text;
    }
    String value = text.substring(text.indexOf(':') + 1);
    return property
        + ":"
        + WORD.matcher(value)
            .replaceAll(
                word -> at.names().contains(word.group()) ? at.own(word.group()) : word.group());
  }
}
