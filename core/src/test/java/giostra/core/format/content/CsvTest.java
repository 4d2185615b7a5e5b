package giostra.core.format.content;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.value.Refused;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.apache.commons.csv.CSVFormat;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Tables as comma-separated values. Source: RFC 4180, section 2; its examples are from memory. */
class CsvTest {
  private static Csv.Read read(String text) {
    return Csv.read(text.getBytes(StandardCharsets.UTF_8));
  }

  private static List<List<String>> cells(String text) {
    return read(text).table().rows().stream().map(Table.Row::cells).toList();
  }

  @Test
  void theExamplesOfTheStandard() {
    String head = "one,two,three\r\n";
    // 1 and 2: each record on a line; the last may or may not end with a line break.
    assertThat(cells(head + "aaa,bbb,ccc\r\nzzz,yyy,xxx\r\n"))
        .isEqualTo(cells(head + "aaa,bbb,ccc\r\nzzz,yyy,xxx"))
        .containsExactly(List.of("aaa", "bbb", "ccc"), List.of("zzz", "yyy", "xxx"));
    // 4: spaces are part of a cell. 5: cells may be quoted.
    assertThat(cells(head + "\"aaa\", bbb,ccc\r\n")).containsExactly(List.of("aaa", " bbb", "ccc"));
    // 6: line breaks, quotation marks and commas in quoted cells.
    assertThat(cells(head + "\"aaa\",\"b\r\nbb\",\"c,cc\"\r\nzzz,yyy,xxx"))
        .containsExactly(List.of("aaa", "b\r\nbb", "c,cc"), List.of("zzz", "yyy", "xxx"));
    // 7: a quotation mark in a quoted cell is doubled.
    assertThat(cells(head + "\"aaa\",\"b\"\"bb\",\"ccc\""))
        .containsExactly(List.of("aaa", "b\"bb", "ccc"));
  }

  @Test
  void marksLineEndsAndBlankLinesOfAllSystems() {
    for (String end : List.of("\r\n", "\n", "\r")) {
      String text = "\uFEFFname,role" + end + end + "Ada,one" + end + ",," + end + "Bo,two" + end;
      assertThat(read(text).table().head()).containsExactly("name", "role");
      assertThat(cells(text)).containsExactly(List.of("Ada", "one"), List.of("Bo", "two"));
    }
  }

  @ParameterizedTest
  @ValueSource(chars = {',', ';', '\t', '|'})
  void theSeparatorIsFoundOut(char separator) {
    // Other marks stand in cells; the rows agree about one only.
    String table =
        "heading#text\n\"1, 2; 3|4\t5\"#\"x#y\"\nA, b; c, d|e#f\n".replace('#', separator);
    assertThat(read(table).separator()).isEqualTo(separator);
    assertThat(read(table).table().head()).containsExactly("heading", "text");
  }

  @Test
  void oneColumnHasNoSeparator() {
    assertThat(read("heading\nfirst\nsecond").table().rows()).hasSize(2);
  }

  @Test
  void rowsKeepTheirNumbersAndTheirOwnLength() {
    Table table = read("a,b\n1\n\n1,2,3\n").table();
    assertThat(table.rows()).extracting(Table.Row::number).containsExactly(2, 4);
    assertThat(table.rows().getFirst().cell(1)).isEmpty();
    assertThat(table.rows().getLast().cells()).hasSize(3);
  }

  @Test
  void whatCannotBeReadIsNamed() {
    assertThatThrownBy(() -> read("a,b\n1,\"2\" x\n"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("Row 2 is broken by a quotation mark");
    assertThatThrownBy(() -> read("a,b\n1,2\n3,\"4\n"))
        .hasMessageContaining("Row 3 is broken by a quotation mark");
    assertThatThrownBy(() -> read("  \n")).hasMessageContaining("without a row");
    assertThatThrownBy(() -> Csv.read(new byte[] {'a', '\n', (byte) 0xE4, 'b'}))
        .hasMessageContaining("no UTF-8 at byte 2");
    assertThatThrownBy(() -> read("a\n" + "1\n".repeat(Table.MOST_ROWS)))
        .hasMessageContaining("more than 20000");
    assertThatThrownBy(() -> read("a,".repeat(Table.MOST_COLUMNS + 1) + "\n"))
        .hasMessageContaining("Number of columns");
  }

  /** A large file is refused before anything of it is looked at. */
  @Test
  void fortyMegabytesAreRefusedByTheirSize() {
    assertThatThrownBy(() -> Csv.read(new byte[40 * 1024 * 1024]))
        .hasMessage("Size of the file is 40 MB; it must be at most 16 MB");
  }

  @Property
  void whatIsWrittenIsReadBack(@ForAll("rows") List<List<String>> rows) {
    List<String> head = List.of("one", "two", "three");
    String text = Csv.write(head, rows);
    assertThat(text).startsWith("one,two,three\r\n");
    assertThat(cells(text))
        .isEqualTo(
            rows.stream().filter(row -> row.stream().anyMatch(cell -> !cell.isBlank())).toList());
  }

  /** Source: OWASP, "CSV Injection" (from memory): what a cell must not begin with. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "=1+1",
        "+A1",
        "-2+3",
        "@SUM(A1)",
        "\t=1",
        "\r=1",
        "=cmd|' /C calc'!A0",
        "-",
        "'=1"
      })
  void noCellStartsAFormula(String cell) throws IOException {
    String text = Csv.write(List.of("one", "=two"), List.of(List.of(cell, "''+3a")));
    List<String> raw =
        CSVFormat.RFC4180.parse(new StringReader(text)).getRecords().stream()
            .flatMap(record -> record.stream())
            .toList();
    assertThat(raw).noneMatch(each -> "=+-@\t\r".indexOf(each.charAt(0)) >= 0);
    assertThat(cells(text)).containsExactly(List.of(cell, "''+3a"));
    assertThat(Csv.read(text.getBytes(StandardCharsets.UTF_8)).table().head())
        .containsExactly("one", "=two");
  }

  @Test
  void numbersStayNumbers() {
    assertThat(Csv.write(List.of("n"), List.of(List.of("-5"), List.of("+3.5"), List.of("-0,25"))))
        .isEqualTo("n\r\n-5\r\n+3.5\r\n\"-0,25\"\r\n");
  }

  @Provide
  Arbitrary<List<List<String>>> rows() {
    Arbitrary<String> cell =
        Arbitraries.strings().withChars("ab ,;\t|\"\n\r\u00e4\u4e16'=+-@7").ofMaxLength(8);
    return cell.list().ofSize(3).list().ofMaxSize(12);
  }
}
