package giostra.core.format.content;

import giostra.core.value.Refused;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;

/**
 * A file with content for items, or text that was pasted, as a table. What it is, its bytes say:
 * its name counts for nothing.
 *
 * @param form what it was found to be
 */
public record Source(Table table, Form form) {
  /** What a file with content may be. */
  public enum Form {
    COMMAS("commas between cells"),
    SEMICOLONS("semicolons between cells"),
    TABS("tabs between cells"),
    BARS("bars between cells"),
    JSON("a list in JSON"),
    QUESTIONS("questions with their answers");

    private final String says;

    Form(String says) {
      this.says = says;
    }

    /** In words. */
    public String says() {
      return says;
    }
  }

  private static final List<String> HEAD = List.of("Question", "Answer");

  /**
   * Reads one.
   *
   * @throws Refused saying what is wrong with it, and where
   */
  public static Source read(byte[] bytes) {
    String start = start(bytes);
    if (start.startsWith("<")) {
      return questions(new String(bytes, StandardCharsets.UTF_8));
    }
    if (start.startsWith("{") || start.startsWith("[")) {
      String text = Csv.text(bytes);
      List<Questions.Question> found = Questions.in(text);
      return found.isEmpty()
          ? new Source(JsonRows.read(text), Form.JSON)
          : new Source(table(found), Form.QUESTIONS);
    }
    Csv.Read read = Csv.read(bytes);
    Form form =
        switch (read.separator()) {
          case ';' -> Form.SEMICOLONS;
          case '\t' -> Form.TABS;
          case '|' -> Form.BARS;
          default -> Form.COMMAS;
        };
    return new Source(read.table(), form);
  }

  /** So many characters tell a kind of text from another, in lower case. */
  private static String start(byte[] bytes) {
    String start =
        new String(bytes, 0, Math.min(bytes.length, 400), StandardCharsets.UTF_8)
            .replace("\uFEFF", "");
    return start.strip().toLowerCase(Locale.ROOT);
  }

  private static Source questions(String html) {
    if (html.length() > Csv.MOST_BYTES) {
      throw new Refused("Size of the text", html.length() + " characters", "at most 16 million");
    }
    List<Questions.Question> found = Questions.in(html);
    if (found.isEmpty()) {
      throw new Refused(
          "The markup",
          "without a question",
          "one with dt and dd, details, headings with text below them, or an FAQPage in JSON-LD");
    }
    return new Source(table(found), Form.QUESTIONS);
  }

  private static Table table(List<Questions.Question> questions) {
    var rows = new java.util.ArrayList<Table.Row>();
    for (Questions.Question each : questions) {
      rows.add(new Table.Row(rows.size() + 1, List.of(each.question(), each.answer())));
    }
    return new Table(HEAD, rows);
  }
}
