package giostra.core.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.core.band.Bands;
import giostra.core.look.Values;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A piece that becomes another kind and comes back has lost nothing that its items say. */
class ConversionTest {
  private static Document page(Node piece) {
    var section = new Section("section", Values.NONE, List.of((Block) piece));
    return new Document(
        new Site(Bands.INITIAL, Values.NONE), new Page("page", Values.NONE, List.of(section)));
  }

  static Stream<Starters.Starter> pieces() {
    return Starters.ALL.stream().filter(starter -> starter.node() instanceof Piece);
  }

  @ParameterizedTest
  @MethodSource("pieces")
  void itemsStayAsTheyAreThroughEveryKindAndBack(Starters.Starter starter) {
    Document document = page(starter.node());
    Piece first = document.pieces().getFirst();
    for (NodeType kind : NodeType.values()) {
      if (!kind.isPiece() || kind == first.type()) {
        continue;
      }
      Document there =
          Edits.apply(document, Conversion.of(document, first, kind).edits()).document();
      Piece converted = there.piece(first.id());
      assertThat(converted.type()).isEqualTo(kind);
      assertThat(converted.items()).isEqualTo(first.items());
      Document back =
          Edits.apply(there, Conversion.of(there, converted, first.type()).edits()).document();
      assertThat(back.piece(first.id()).items()).isEqualTo(first.items());
    }
  }

  @ParameterizedTest
  @MethodSource("pieces")
  void undoGivesThePieceBackWithAllItsSettings(Starters.Starter starter) {
    Document document = page(starter.node());
    Piece piece = document.pieces().getFirst();
    NodeType other = piece.type() == NodeType.TABS ? NodeType.ACCORDION : NodeType.TABS;
    Edits.Applied there = Edits.apply(document, Conversion.of(document, piece, other).edits());
    assertThat(Edits.apply(there.document(), there.inverse()).document()).isEqualTo(document);
  }

  @ParameterizedTest
  @MethodSource("pieces")
  void aPieceIsNotMadeWhatItIsAlready(Starters.Starter starter) {
    Document document = page(starter.node());
    Piece piece = document.pieces().getFirst();
    assertThatThrownBy(() -> Conversion.of(document, piece, piece.type()))
        .hasMessageContaining("another kind of piece than");
  }
}
