package giostra.core.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import giostra.core.band.Bands;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.State;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.page.Item;
import giostra.core.page.Node;
import giostra.core.page.Page;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.page.Starters;
import giostra.core.piece.tabs.Tabs;
import giostra.core.snag.Snags;
import giostra.core.testing.InTurn;
import giostra.core.value.Refused;
import giostra.core.value.Setting;
import giostra.core.value.ToggleKind;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A length in em is a multiple of some letters' size, also where a part has no letters itself. */
class EmLengthsTest {
  static Stream<Arguments> starters() {
    return Starters.ALL.stream()
        .filter(starter -> starter.node() instanceof Piece)
        .map(starter -> new Arguments(starter.id(), (Block) starter.node()));
  }

  /** What would take a piece out of sight, and so out of what is read. */
  private static final List<String> NOT_SHOWN = List.of("hidden", "disabled");

  record Arguments(String id, Block piece) {
    @Override
    public String toString() {
      return id;
    }
  }

  @InTurn(InTurn.EACH_CASE)
  @ParameterizedTest
  @MethodSource("starters")
  void everyLengthOfEveryPartIsReadInEm(Arguments of) {
    Document document =
        new Document(
            new Site(Bands.INITIAL, Values.NONE),
            new Page(
                "page",
                Values.NONE,
                List.of(new Section("section", Values.NONE, List.of(within(of.piece()))))));
    for (Setting<?> setting : of.piece().type().settings()) {
      if (setting.kind() instanceof ToggleKind && !NOT_SHOWN.contains(setting.id())) {
        for (String band : setting.byBand() ? List.of("desktop") : List.of(Values.ALL)) {
          document = tried(document, new Edit.SetValue(of.piece().id(), setting.id(), band, true));
        }
      }
    }
    int set = 0;
    for (Node node : document.nodes().toList()) {
      for (Part part : node.type().parts()) {
        for (Property<?> property : part.properties()) {
          Edit edit =
              new Edit.SetStyle(node.id(), part.key(property, State.REST), "desktop", "1.5em");
          Document next = tried(document, edit);
          set += next == document ? 0 : 1;
          document = next;
        }
      }
    }
    assertThat(set).isGreaterThan(4);
    Document all = document;
    assertThatCode(() -> Snags.of(all, PictureSizes.NONE, 0)).doesNotThrowAnyException();
    assertThatCode(() ->
            all.pieces()
                .forEach(piece -> Heights.of(all, piece, PictureSizes.NONE, 0, 800).at(1_000)))
        .doesNotThrowAnyException();
  }

  /** In a panel, whose height is that of what it holds. */
  private static Block within(Block piece) {
    return new Tabs("outer", Values.NONE, List.of(new Item("inner", Values.NONE, List.of(piece))));
  }

  /** A document after an edit, or as it was where that is refused. */
  private static Document tried(Document document, Edit edit) {
    try {
      return Edits.apply(document, List.of(edit)).document();
    } catch (Refused refused) {
      return document;
    }
  }
}
