package giostra.core.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.band.Bands;
import giostra.core.look.Values;
import giostra.core.piece.accordion.Accordion;
import giostra.core.piece.accordion.AccordionSettings;
import giostra.core.piece.accordion.Categories;
import giostra.core.piece.accordion.Categories.Category;
import giostra.core.value.Refused;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Categories of an accordion's questions, and what it takes to change them. */
class CategoriesTest {
  /** Four questions: b is listed first, a and c come as they are used, d has no question. */
  private static final Document PAGE =
      page(
          Values.NONE.with(AccordionSettings.CATEGORIES, Values.ALL, "b , d"),
          question("q1", "a"),
          question("q2", "b"),
          question("q3", " a "),
          hidden(question("q4", "c")),
          question("q5", ""));

  private static Item question(String id, String category) {
    return new Item(id, Values.NONE.with(ItemSettings.CATEGORY, Values.ALL, category));
  }

  private static Item hidden(Item item) {
    return item.with(item.values().with(ItemSettings.HIDDEN, Values.ALL, true));
  }

  private static Document page(Values values, Item... items) {
    var piece = new Accordion("asked", values, List.of(items));
    var section = new Section("section", Values.NONE, List.of(piece));
    return new Document(
        new Site(Bands.INITIAL, Values.NONE), new Page("page", Values.NONE, List.of(section)));
  }

  private static Accordion asked(Document document) {
    return (Accordion) document.piece("asked");
  }

  /** What there is after edits, which can be undone to the letter. */
  private static Accordion after(Document document, List<Edit> edits) {
    Edits.Applied there = Edits.apply(document, edits);
    assertThat(Edits.apply(there.document(), there.inverse()).document()).isEqualTo(document);
    return asked(there.document());
  }

  private static List<String> names(Accordion piece) {
    return Categories.all(piece).stream().map(Category::name).toList();
  }

  @Test
  void listedOnesComeFirstThenTheOthersAsTheyAreUsed() {
    assertThat(Categories.all(asked(PAGE)))
        .containsExactly(
            new Category("b", List.of("q2")),
            new Category("d", List.of()),
            new Category("a", List.of("q1", "q3")),
            new Category("c", List.of("q4")));
    assertThat(Categories.of(asked(PAGE)))
        .as("visitors choose among those with a question on show")
        .containsExactly("b", "a");
  }

  @Test
  void renamedItKeepsItsPlaceAndItsQuestions() {
    Accordion now = after(PAGE, Categories.renamed(asked(PAGE), "a", " Tickets "));
    assertThat(names(now)).containsExactly("b", "d", "Tickets", "c");
    assertThat(Categories.all(now).get(2).questions()).containsExactly("q1", "q3");
  }

  @Test
  void underTheNameOfAnotherTheyBecomeOne() {
    Accordion now = after(PAGE, Categories.renamed(asked(PAGE), "a", "b"));
    assertThat(Categories.all(now).getFirst())
        .isEqualTo(new Category("b", List.of("q1", "q2", "q3")));
    assertThat(names(now)).containsExactly("b", "d", "c");
  }

  @Test
  void deletedItsQuestionsGoWhereTheyAreSent() {
    Accordion there = after(PAGE, Categories.deleted(asked(PAGE), "a", "c"));
    assertThat(Categories.all(there).getLast())
        .isEqualTo(new Category("c", List.of("q1", "q3", "q4")));
    Accordion nowhere = after(PAGE, Categories.deleted(asked(PAGE), "a", ""));
    assertThat(names(nowhere)).containsExactly("b", "d", "c");
    assertThat(nowhere.items()).hasSize(5);
  }

  @Test
  void aPageThatShowsOnlySomeFollows() {
    Document some =
        Edits.apply(PAGE, new Edit.SetValue("asked", "only", Values.ALL, "a, c")).document();
    assertThat(ids(asked(some))).containsExactly("q1", "q3");
    assertThat(ids(after(some, Categories.renamed(asked(some), "a", "Tickets"))))
        .containsExactly("q1", "q3");
    assertThat(ids(after(some, Categories.deleted(asked(some), "a", "b"))))
        .as("it shows the one that they went to")
        .containsExactly("q1", "q2", "q3");
  }

  private static List<String> ids(Accordion piece) {
    return Categories.shown(piece).stream().map(Item::id).toList();
  }

  @Test
  void movedTheOthersStayInTheirOrder() {
    assertThat(names(after(PAGE, Categories.moved(asked(PAGE), "c", 0))))
        .containsExactly("c", "b", "d", "a");
    assertThat(names(after(PAGE, Categories.moved(asked(PAGE), "b", 3))))
        .containsExactly("d", "a", "c", "b");
  }

  @Test
  void anAddedOneStandsLastWithoutAQuestion() {
    Accordion now = after(PAGE, Categories.added(asked(PAGE), "Weather"));
    assertThat(Categories.all(now).getLast()).isEqualTo(new Category("Weather", List.of()));
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "  ", "one, two"})
  void aNameIsOneNameOfALine(String name) {
    assertThatThrownBy(() -> Categories.added(asked(PAGE), name))
        .isInstanceOf(Refused.class)
        .hasMessageContaining("1 to 80 characters without a comma");
    assertThatThrownBy(() -> Categories.renamed(asked(PAGE), "a", name))
        .isInstanceOf(Refused.class);
  }

  @Test
  void whatThereIsNotIsNamed() {
    assertThatThrownBy(() -> Categories.renamed(asked(PAGE), "e", "f"))
        .hasMessage("Category is e; it must be one of b, d, a, c");
    assertThatThrownBy(() -> Categories.deleted(asked(PAGE), "a", "e"))
        .hasMessage("Category is e; it must be one of b, d, a, c");
    assertThatThrownBy(() -> Categories.moved(asked(PAGE), "a", 4))
        .hasMessage("Place of a category is 4; it must be 0 to 3");
    assertThatThrownBy(() -> Categories.added(asked(PAGE), "d"))
        .hasMessageContaining("one that there is not yet");
  }
}
