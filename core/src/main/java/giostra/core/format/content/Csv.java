package giostra.core.format.content;

import giostra.core.value.Refused;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVException;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/**
 * Tables as comma-separated values. Source: RFC 4180; beyond it a byte order mark, line ends of all
 * systems and other separators are read, since spreadsheets write them.
 */
public final class Csv {
  /** Larger files hold no list for a page. */
  public static final int MOST_BYTES = 16 * 1024 * 1024;

  private static final List<Character> SEPARATORS = List.of(',', ';', '\t', '|');

  /** What a spreadsheet takes for the beginning of a formula. */
  private static final String FORMULAS = "=+-@\t\r";

  private static final Pattern NUMBER = Pattern.compile("[+-]?\\d{1,40}([.,]\\d{1,40})?");

  /** So many rows tell which character separates. */
  private static final int LOOKED_AT = 20;

  private Csv() {}

  /**
   * A file that was read.
   *
   * @param separator between its cells
   */
  public record Read(Table table, char separator) {}

  /**
   * Reads a file.
   *
   * @throws Refused when it is too large, no UTF-8, has no row, too many, or a quotation mark that
   *     nothing ends; naming the row or the byte
   */
  public static Read read(byte[] bytes) {
    String text = text(bytes);
    char separator = separator(text);
    List<Table.Row> rows = rows(text, separator, Table.MOST_ROWS + 1);
    if (rows.isEmpty()) {
      throw new Refused("The file", "without a row", "a table with a row of names");
    }
    if (rows.size() > Table.MOST_ROWS) {
      throw new Refused(
          "Number of rows", "more than " + Table.MOST_ROWS, "at most " + Table.MOST_ROWS);
    }
    List<String> head =
        rows.getFirst().cells().stream().map(c -> c.strip().replaceAll("\\s+", " ")).toList();
    if (head.size() > Table.MOST_COLUMNS) {
      throw new Refused(
          "Number of columns", Integer.toString(head.size()), "at most " + Table.MOST_COLUMNS);
    }
    return new Read(new Table(head, rows.subList(1, rows.size())), separator);
  }

  /** Text that must be UTF-8; a byte order mark before it is no part of it. */
  static String text(byte[] bytes) {
    if (bytes.length > MOST_BYTES) {
      throw new Refused(
          "Size of the file",
          bytes.length / 1024 / 1024 + " MB",
          "at most " + MOST_BYTES / 1024 / 1024 + " MB");
    }
    ByteBuffer in = ByteBuffer.wrap(bytes);
    try {
      String text =
          StandardCharsets.UTF_8
              .newDecoder()
              .onMalformedInput(CodingErrorAction.REPORT)
              .onUnmappableCharacter(CodingErrorAction.REPORT)
              .decode(in)
              .toString();
      return text.startsWith("\uFEFF") ? text.substring(1) : text;
    } catch (CharacterCodingException notUtf8) {
      throw new Refused("The file", "no UTF-8 at byte " + in.position(), "a text in UTF-8");
    }
  }

  /** The separator that makes the most columns in rows that agree about them. */
  private static char separator(String text) {
    char best = ',';
    int most = 1;
    for (char each : SEPARATORS) {
      int columns = agreed(text, each);
      if (columns > most) {
        most = columns;
        best = each;
      }
    }
    return best;
  }

  /** Columns of the first row, if most of the rows after it have as many; else 0. */
  private static int agreed(String text, char separator) {
    List<Table.Row> some;
    try {
      some = rows(text, separator, LOOKED_AT);
    } catch (Refused unreadable) {
      return 0;
    }
    if (some.isEmpty()) {
      return 0;
    }
    int columns = some.getFirst().cells().size();
    long alike = some.stream().filter(row -> row.cells().size() == columns).count();
    return 2 * alike > some.size() ? columns : 0;
  }

  /** Rows that are not blank, up to so many. */
  private static List<Table.Row> rows(String text, char separator, int most) {
    CSVFormat format = CSVFormat.RFC4180.builder().setDelimiter(separator).get();
    var rows = new ArrayList<Table.Row>();
    try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
      for (CSVRecord each : parser) {
        if (rows.size() == most) {
          break;
        }
        List<String> cells = each.stream().map(Csv::plain).toList();
        if (cells.stream().anyMatch(cell -> !cell.isBlank())) {
          rows.add(new Table.Row(Math.toIntExact(each.getRecordNumber()), cells));
        }
      }
      return rows;
    } catch (UncheckedIOException | CSVException e) {
      throw broken(rows);
    } catch (IOException e) {
      throw broken(rows);
    }
  }

  private static Refused broken(List<Table.Row> read) {
    int row = read.isEmpty() ? 1 : read.getLast().number() + 1;
    return new Refused(
        "Row " + row,
        "broken by a quotation mark",
        "one in which quoted cells end with one, before a separator or the end of the line");
  }

  /**
   * Writes a table as RFC 4180 has it: commas, CR LF, a quotation mark doubled. Cells that a
   * spreadsheet would take for a formula begin with an apostrophe, which is its sign of a text and
   * is taken away in reading. Source: OWASP, "CSV Injection" (from memory).
   */
  public static String write(List<String> head, List<List<String>> rows) {
    var out = new StringBuilder();
    try (var printer = new CSVPrinter(out, CSVFormat.RFC4180)) {
      printer.printRecord(head.stream().map(Csv::guarded));
      for (List<String> row : rows) {
        printer.printRecord(row.stream().map(Csv::guarded));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  private static String guarded(String cell) {
    return startsFormula(cell) || isGuarded(cell) ? "'" + cell : cell;
  }

  private static String plain(String cell) {
    return isGuarded(cell) ? cell.substring(1) : cell;
  }

  /** A number computes nothing, whatever its sign. */
  private static boolean startsFormula(String cell) {
    return !cell.isEmpty()
        && FORMULAS.indexOf(cell.charAt(0)) >= 0
        && !NUMBER.matcher(cell).matches();
  }

  /** Whether apostrophes, and nothing else, stand before what would be a formula. */
  private static boolean isGuarded(String cell) {
    String rest = cell.replaceFirst("^'+", "");
    return rest.length() < cell.length() && startsFormula(rest);
  }
}
