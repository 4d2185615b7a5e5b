package giostra.bench;

import giostra.core.band.Bands;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Node;
import giostra.core.page.NodeType;
import giostra.core.page.Page;
import giostra.core.page.PageSettings;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.piece.carousel.Carousel;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Pages with many pieces, ten items in each. */
final class LargePage {
  private LargePage() {}

  /** 60 carousels. */
  static Document document() {
    List<Section> sections =
        IntStream.range(0, 60)
            .mapToObj(s -> new Section("section-" + s, Values.NONE, List.of(carousel(s))))
            .toList();
    Values title = Values.NONE.with(PageSettings.TITLE, Values.ALL, "Sixty pieces");
    return new Document(new Site(Bands.INITIAL, Values.NONE), new Page("page", title, sections));
  }

  /** A page of pieces of all kinds in turn, "piece-0" and so on, each in a section of its own. */
  static Document mixed(int pieces) {
    List<NodeType> kinds = Stream.of(NodeType.values()).filter(NodeType::isPiece).toList();
    List<Section> sections =
        IntStream.range(0, pieces)
            .mapToObj(s ->
                new Section(
                    "section-" + s,
                    Values.NONE,
                    List.of((Block) of(kinds.get(s % kinds.size()), s))))
            .toList();
    Values title = Values.NONE.with(PageSettings.TITLE, Values.ALL, pieces + " pieces");
    return new Document(new Site(Bands.INITIAL, Values.NONE), new Page("page", title, sections));
  }

  private static Node of(NodeType kind, int number) {
    return kind.make("piece-" + number, Values.NONE, carousel(number).items());
  }

  private static Carousel carousel(int number) {
    List<Item> items =
        IntStream.range(0, 10)
            .mapToObj(i ->
                new Item(
                    "item-" + number + "-" + i,
                    Values.NONE
                        .with(ItemSettings.HEADING, Values.ALL, "Card " + i)
                        .with(ItemSettings.TEXT, Values.ALL, "Words on a card. ".repeat(4))))
            .toList();
    return new Carousel("carousel-" + number, Values.NONE, items);
  }
}
