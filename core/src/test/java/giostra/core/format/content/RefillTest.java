package giostra.core.format.content;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.look.Values;
import giostra.core.page.Feed;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Piece;
import giostra.core.piece.accordion.Accordion;
import giostra.core.value.Refused;
import giostra.core.value.Setting;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import org.junit.jupiter.api.Test;

/** A piece that follows a file: what comes of new data, and what stays the designer's. */
class RefillTest {
  private static final Feed FEED =
      new Feed("prices", "Id", Map.of("heading", "Title", "text", "Text"));
  private static final String BEFORE = "Id,Title,Text\na,Ferns,Old\nb,Palms,Tall\nc,Moss,Low\n";

  private final AtomicInteger next = new AtomicInteger();
  private final Supplier<String> ids = () -> "item-" + next.incrementAndGet();

  private static Table table(String csv) {
    return Csv.read(csv.getBytes(StandardCharsets.UTF_8)).table();
  }

  /** An accordion that was filled from {@link #BEFORE}. */
  private Piece filled() {
    Table table = table(BEFORE);
    Piece empty = new Accordion("asked", FEED.in(Values.NONE), List.of());
    Filled filled =
        Filled.of(
            table, new Mapping(List.of("", "heading", "text")), empty, _ -> Optional.empty(), ids);
    return empty.holding(Refill.marked(filled, table, "Id"));
  }

  private Refill refilled(Piece piece, String now, String... keep) {
    return Refill.of(
        piece,
        Feed.of(piece).orElseThrow(),
        table(BEFORE),
        table(now),
        Set.of(keep),
        _ -> Optional.empty(),
        ids);
  }

  private static List<String> headings(Piece piece) {
    return piece.items().stream().map(item -> item.values().get(ItemSettings.HEADING)).toList();
  }

  private static Piece with(Piece piece, int index, Setting<String> setting, String value) {
    var items = new ArrayList<>(piece.items());
    Item item = items.get(index);
    items.set(index, item.with(item.values().with(setting, Values.ALL, value)));
    return piece.holding(items);
  }

  @Test
  void aFeedIsReadBackAsItWasWritten() {
    assertThat(Feed.of(filled())).contains(FEED);
    assertThat(Feed.without(FEED.in(Values.NONE))).isEqualTo(Values.NONE);
  }

  @Test
  void theSameFileChangesNothing() {
    Piece piece = filled();
    Refill again = refilled(piece, BEFORE);
    assertThat(again.piece()).isEqualTo(piece);
    assertThat(again.added()).isEmpty();
    assertThat(again.changed()).isEmpty();
    assertThat(again.going()).isEmpty();
  }

  @Test
  void newWordsComeIn() {
    Refill again = refilled(filled(), BEFORE.replace("Old", "New"));
    assertThat(again.changed()).extracting(Item::id).containsExactly("item-1");
    assertThat(again.piece().items().getFirst().values().get(ItemSettings.TEXT)).isEqualTo("New");
  }

  @Test
  void whatWasWrittenByHandStaysAndIsNamed() {
    Piece mine = with(filled(), 0, ItemSettings.TEXT, "In my own words");
    Refill again = refilled(mine, BEFORE.replace("Old", "New").replace("Ferns", "All ferns"));
    Values first = again.piece().items().getFirst().values();
    assertThat(first.get(ItemSettings.TEXT)).isEqualTo("In my own words");
    assertThat(first.get(ItemSettings.HEADING)).isEqualTo("All ferns");
    assertThat(again.kept()).extracting(Refill.Own::field).containsExactly("Text");
  }

  @Test
  void theOrderOfTheDesignerStaysAndNewRowsStandBehindTheOneBeforeThem() {
    Piece piece = filled();
    var turned = new ArrayList<>(piece.items());
    Collections.reverse(turned);
    String now = BEFORE.replace("b,Palms", "x,Orchids,New\nb,Palms");
    Refill again = refilled(piece.holding(turned), now);
    assertThat(headings(again.piece())).containsExactly("Moss", "Palms", "Ferns", "Orchids");
    assertThat(again.added()).hasSize(1);
  }

  @Test
  void rowsAtTheHeadStandFirstAndSeveralKeepTheirOrder() {
    Refill again = refilled(filled(), BEFORE.replace("a,Ferns", "x,One,1\ny,Two,2\na,Ferns"));
    assertThat(headings(again.piece())).containsExactly("One", "Two", "Ferns", "Palms", "Moss");
  }

  @Test
  void whatGoesIsNamedAndCanBeKept() {
    String now = BEFORE.replace("b,Palms,Tall\n", "");
    Piece piece = filled();
    Refill again = refilled(piece, now);
    assertThat(again.going()).extracting(Item::id).containsExactly("item-2");
    assertThat(headings(again.piece())).containsExactly("Ferns", "Moss");
    Refill keeping = refilled(piece, now, "item-2");
    assertThat(headings(keeping.piece())).containsExactly("Ferns", "Palms", "Moss");
    assertThat(keeping.piece().items().get(1).values().get(Feed.ROW)).isEmpty();
  }

  /** Of rows that say the same in the key's column, nobody knows which one cannot be read. */
  @Test
  void whereKeysRepeatAndARowCannotBeReadNoneOfTheirItemsGoes() {
    String before = "Id,Title,Text\na,Ferns,One\na,Palms,Two\na,Moss,Three\nb,Lilies,Four\n";
    Piece empty = new Accordion("asked", FEED.in(Values.NONE), List.of());
    Filled filled =
        Filled.of(
            table(before),
            new Mapping(List.of("", "heading", "text")),
            empty,
            _ -> Optional.empty(),
            ids);
    Piece piece = empty.holding(Refill.marked(filled, table(before), "Id"));
    for (String title : List.of("Ferns", "Palms", "Moss")) {
      String now = before.replace(title, "w".repeat(100_000));
      Refill again =
          Refill.of(piece, FEED, table(before), table(now), Set.of(), _ -> Optional.empty(), ids);
      assertThat(again.filled().left()).hasSize(1);
      assertThat(again.going()).as(title).isEmpty();
      assertThat(headings(again.piece())).containsExactly("Ferns", "Palms", "Moss", "Lilies");
      assertThat(again.added()).isEmpty();
    }
  }

  @Test
  void whatWasDeletedOrAddedByHandStaysSo() {
    Piece piece = filled();
    var items = new ArrayList<>(piece.items());
    items.remove(1);
    items.add(new Item("mine", Values.NONE.with(ItemSettings.HEADING, Values.ALL, "By hand")));
    Refill again = refilled(piece.holding(items), BEFORE.replace("Low", "Very low"));
    assertThat(headings(again.piece())).containsExactly("Ferns", "Moss", "By hand");
  }

  @Test
  void aRowThatCannotBeReadLeavesItsItemAlone() {
    Refill again = refilled(filled(), BEFORE.replace("b,Palms,Tall", "b,Palms,Tall,and more"));
    assertThat(again.going()).isEmpty();
    assertThat(again.filled().faults()).hasSize(1);
    assertThat(headings(again.piece())).containsExactly("Ferns", "Palms", "Moss");
  }

  @Test
  void rowsOfTheSameNameAreToldApartByNumber() {
    Table twice = table("Id,Title\na,One\na,Two\n");
    Piece empty = new Accordion("asked", Values.NONE, List.of());
    Filled filled =
        Filled.of(twice, new Mapping(List.of("", "heading")), empty, _ -> Optional.empty(), ids);
    assertThat(Refill.marked(filled, twice, "Id"))
        .extracting(item -> item.values().get(Feed.ROW))
        .containsExactly("a", "a (2)");
  }

  @Test
  void withoutTheColumnThatTellsRowsApartNothingIsFilled() {
    assertThatThrownBy(() -> refilled(filled(), "Name,Title\nx,y\n"))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("Column that tells rows apart is Id; it must be one of Name, Title");
  }
}
