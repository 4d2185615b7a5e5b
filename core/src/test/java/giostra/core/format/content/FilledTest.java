package giostra.core.format.content;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.look.Values;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Piece;
import giostra.core.testing.Demo;
import giostra.core.value.Setting;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Items from tables, and tables from items. */
class FilledTest {
  private static final Filled.Media MEDIA =
      named ->
          named.toLowerCase(Locale.ROOT).startsWith("lamp-walk")
              ? Optional.of("lamp-walk")
              : Optional.empty();

  private static Supplier<String> ids() {
    var next = new AtomicInteger();
    return () -> "new-" + next.incrementAndGet();
  }

  private static Table table(String csv) {
    return Csv.read(csv.getBytes(StandardCharsets.UTF_8)).table();
  }

  private static Filled filled(String csv, String piece) {
    Piece found = Demo.document().piece(piece);
    Table table = table(csv);
    return Filled.of(table, Mapping.proposed(table, found), found, MEDIA, ids());
  }

  @ParameterizedTest
  @CsvSource({
    "Heading, heading",
    "TITLE, heading",
    "headline, heading",
    "Question, heading",
    "Text, text",
    "Body, text",
    "answer, text",
    "Picture, picture",
    "Image, picture",
    "Alt text, alt",
    "Text alternative, alt",
    "URL, link",
    "buttonLink, buttonLink",
    "Button’s link, buttonLink",
    "Notes of mine, ''"
  })
  void columnsAreKnownByTheirNames(String column, String field) {
    Piece cards = Demo.document().piece("houses");
    assertThat(Mapping.proposed(table(column + ",x\n1,2"), cards).fields())
        .containsExactly(field, "");
  }

  @Test
  void aFieldIsProposedOnce() {
    Piece cards = Demo.document().piece("houses");
    assertThat(Mapping.proposed(table("Title,Heading,Text\n1,2,3"), cards).fields())
        .containsExactly("heading", "", "text");
  }

  @Test
  void rowsBecomeItems() {
    Filled filled =
        filled("Heading,Text,Image\nFirst,Some words,lamp-walk.jpg\nSecond,,\n", "houses");
    assertThat(filled.faults()).isEmpty();
    assertThat(filled.items()).extracting(Item::id).containsExactly("new-1", "new-2");
    Values first = filled.items().getFirst().values();
    assertThat(first.get(ItemSettings.HEADING)).isEqualTo("First");
    assertThat(first.get(ItemSettings.PICTURE)).isEqualTo("lamp-walk");
    assertThat(filled.items().getLast().values().set()).containsOnlyKeys("heading");
  }

  @Test
  void aRowThatCannotBeReadIsNamedAndKept() {
    Filled filled =
        filled("title,to,decimals\nA,12,0\nB,many,0\nC,3,9\nD,4,0,and more\nE,5\n", "figures");
    assertThat(filled.items())
        .extracting(item -> item.values().get(ItemSettings.HEADING))
        .containsExactly("A", "E");
    assertThat(filled.left()).extracting(Table.Row::number).containsExactly(3, 4, 5);
    assertThat(filled.faults()).extracting(Filled.Fault::row).containsExactly(3, 4, 5);
    assertThat(filled.faults())
        .extracting(Filled.Fault::column)
        .containsExactly("to", "decimals", "4");
    assertThat(filled.faults().get(1).message()).contains("Decimals is 9; it must be");
    assertThat(filled.faults().get(2).message()).contains("and more");
  }

  @Test
  void mediaThatAreNotThereAreNamed() {
    Filled filled = filled("Heading,Picture\nA,holiday.jpg\n", "houses");
    assertThat(filled.items()).isEmpty();
    assertThat(filled.faults().getFirst().message())
        .isEqualTo("Picture is holiday.jpg; it must be the id or file name of media of the site");
  }

  @Test
  void aMappingIsOfTheTableAndTheKind() {
    Piece cards = Demo.document().piece("houses");
    Table table = table("a,b\n1,2");
    assertThatThrownBy(() -> Filled.of(table, new Mapping(List.of("heading")), cards, MEDIA, ids()))
        .hasMessageContaining("each of the 2 columns");
    Filled unknown =
        Filled.of(table, new Mapping(List.of("heading", "decimals")), cards, MEDIA, ids());
    assertThat(unknown.faults().getFirst().message())
        .contains("Field is decimals; it must be one of");
  }

  static Stream<Piece> pieces() {
    return Demo.document().pieces().stream().filter(piece -> !piece.items().isEmpty());
  }

  /** Out and in again, as CSV and as JSON: every field that the kind has says what it said. */
  @ParameterizedTest
  @MethodSource("pieces")
  void whatIsWrittenIsReadBack(Piece piece) {
    Filled.Written out = Filled.written(piece);
    Filled.Media known = Optional::of;
    Table csv =
        Csv.read(Csv.write(out.head(), out.rows()).getBytes(StandardCharsets.UTF_8)).table();
    for (Table table : List.of(csv, JsonRows.read(JsonRows.write(out.head(), out.rows())))) {
      Mapping mapping = Mapping.proposed(table, piece);
      assertThat(mapping.fields()).isEqualTo(table.head());
      Filled back = Filled.of(table, mapping, piece, known, ids());
      assertThat(back.faults()).isEmpty();
      for (String id : out.head()) {
        Setting<?> setting = piece.items().getFirst().type().setting(id);
        assertThat(back.items())
            .extracting(item -> item.values().get(setting))
            .as(id)
            .isEqualTo(piece.items().stream().map(item -> item.values().get(setting)).toList());
      }
    }
  }
}
