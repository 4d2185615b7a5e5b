package giostra.core.output;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * The page script's types of plans are made of the compiler's, words and all: {@code
 * -Dgiostra.write=true} writes them anew.
 */
class PlanTypesTest {
  private static final Path ROOT = Path.of(System.getProperty("giostra.root"));
  private static final Path TYPES = ROOT.resolve("runtime/src/plan.ts");

  @Test
  void theScriptsTypesAreThoseOfTheCompiler() throws IOException {
    String types = types();
    if (Boolean.getBoolean("giostra.write")) {
      Files.writeString(TYPES, types);
    }
    assertThat(Files.readString(TYPES)).isEqualTo(types);
  }

  /** What is left out is what a script takes for nothing: no list that it would go through. */
  @Test
  void whatIsEmptyOrFalseIsLeftOut() {
    assertThat(PlanJson.write(new Plan.FlipBoxes(false, false, Optional.empty()))).isEqualTo("{}");
    assertThat(PlanJson.write(new Plan.FlipBoxes(true, false, Optional.of(200L))))
        .isEqualTo("{\"hover\":true,\"intent\":200}");
    assertThat(
            PlanJson.write(
                new Plan.Accordion(
                    false,
                    false,
                    Optional.empty(),
                    true,
                    false,
                    List.of(),
                    List.of("(width<9px)"))))
        .isEqualTo("{\"mayClose\":true,\"always\":[],\"tallest\":[\"(width<9px)\"]}");
    assertThat(PlanJson.write(new Plan.Cue(0.5, 2, "\"so\"\n</script>")))
        .isEqualTo("[0.5,2,\"\\\"so\\\"\\u000a</script>\"]");
  }

  private static String types() throws IOException {
    String source =
        Files.readString(ROOT.resolve("core/src/main/java/giostra/core/output/Plan.java"));
    var out =
        new StringBuilder(
            "// Made of giostra.core.output.Plan by PlanTypesTest: change it there.\n");
    for (Class<?> each :
        Arrays.stream(Plan.class.getDeclaredClasses())
            .filter(Class::isRecord)
            .sorted((a, b) -> place(source, a) - place(source, b))
            .toList()) {
      Map<String, String> words = words(source, each);
      out.append("\n/** ").append(words.get("")).append(" */\n");
      boolean row = Plan.Row.class.isAssignableFrom(each);
      out.append(row ? "export type " : "export interface ").append(named(each));
      out.append(row ? " = readonly [\n" : " {\n");
      for (RecordComponent part : each.getRecordComponents()) {
        assertThat(words).as("what is said of %s", each).containsKey(part.getName());
        String said = words.getOrDefault(part.getName(), "");
        boolean some = part.getType() == Optional.class || part.getType() == boolean.class;
        out.append("  /** ").append(said.substring(0, 1).toUpperCase(Locale.ROOT));
        out.append(said.substring(1)).append(". */\n");
        String head = "  " + (row ? "" : "readonly ") + part.getName() + (some ? "?:" : ":");
        String type = type(part.getGenericType());
        // As the formatter has it: one under the other where they are too long for a line.
        out.append(head)
            .append(
                head.length() + type.length() + 2 > 100
                    ? "\n    | " + type.replace(" | ", "\n    | ")
                    : " " + type)
            .append(row ? ",\n" : ";\n");
      }
      out.append(row ? "];\n" : "}\n");
    }
    return out.toString();
  }

  private static int place(String source, Class<?> record) {
    return source.indexOf("  record " + record.getSimpleName() + "(");
  }

  /** What is said of a record, and by name of its components, without the tags. */
  private static Map<String, String> words(String source, Class<?> record) {
    int at = place(source, record);
    String comment =
        source.substring(source.lastIndexOf("/**", at) + 3, source.lastIndexOf("*/", at));
    String plain = comment.replaceAll("\\s*\\n\\s*\\*\\s*", " ").strip();
    var words = new LinkedHashMap<String, String>();
    String[] parts = plain.split("@param ");
    words.put("", parts[0].strip());
    Pattern named = Pattern.compile("(\\w+) (.*)", Pattern.DOTALL);
    for (String part : List.of(parts).subList(1, parts.length)) {
      Matcher found = named.matcher(part.strip());
      assertThat(found.matches()).as(part).isTrue();
      words.put(found.group(1), found.group(2));
    }
    return words;
  }

  private static String named(Class<?> record) {
    return record.getSimpleName() + (Plan.class.isAssignableFrom(record) ? "Plan" : "");
  }

  private static String type(Type type) {
    if (type instanceof ParameterizedType of) {
      Type[] args = of.getActualTypeArguments();
      if (of.getRawType() == Optional.class) {
        return type(args[0]);
      }
      if (of.getRawType() == Map.class) {
        return "Readonly<Record<" + type(args[0]) + ", " + type(args[1]) + ">>";
      }
      return "readonly " + inList(type(args[0])) + "[]";
    }
    Class<?> plain = (Class<?>) type;
    if (plain.isEnum()) {
      return Arrays.stream(plain.getEnumConstants())
          .map(each -> "'" + Css.word((Enum<?>) each) + "'")
          .collect(Collectors.joining(" | "));
    }
    if (plain == String.class) {
      return "string";
    }
    if (plain == boolean.class || plain == Boolean.class) {
      return "boolean";
    }
    return plain.isRecord() ? named(plain) : "number";
  }

  private static String inList(String type) {
    return type.contains(" | ") ? "(" + type + ")" : type;
  }
}
