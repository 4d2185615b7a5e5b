package giostra.journeys;

import giostra.core.band.Bands;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Column;
import giostra.core.page.Document;
import giostra.core.page.GridSettings;
import giostra.core.page.Item;
import giostra.core.page.NodeType;
import giostra.core.page.PageSettings;
import giostra.core.page.PageSettings.Direction;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.Site;
import giostra.core.piece.accordion.AccordionSettings;
import giostra.core.piece.tabs.TabsSettings;
import giostra.core.value.Length;
import java.util.ArrayList;
import java.util.List;

/** A page with all kinds of piece, three levels deep: tabs, in them columns, in these a piece. */
final class Nested {
  private Nested() {}

  /** Its words are English in both directions: a checker reads the language off them. */
  static Document document(String direction) {
    var sections = new ArrayList<Section>();
    int n = 0;
    for (NodeType outer : List.of(NodeType.TABS, NodeType.ACCORDION)) {
      var items = new ArrayList<Item>();
      var filled = (Piece) Subjects.block(outer, "n" + n);
      List<NodeType> inner =
          List.of(
              NodeType.CAROUSEL,
              NodeType.SLIDER,
              outer == NodeType.TABS ? NodeType.ACCORDION : NodeType.TABS,
              NodeType.FLIP_BOXES,
              NodeType.COUNTERS);
      for (int i = 0; i < inner.size(); i++) {
        Item item = filled.items().get(i);
        items.add(
            new Item(item.id(), item.values(), List.of(columns("c" + n + "-" + i, inner.get(i)))));
      }
      Values values =
          filled
              .values()
              .with(PieceSettings.NAME, Values.ALL, "Outer " + outer.word())
              .with(TabsSettings.FORM, "phone", TabsSettings.Form.ACCORDION);
      if (outer == NodeType.ACCORDION) {
        values =
            filled
                .values()
                .with(AccordionSettings.OPEN_FIRST, Values.ALL, AccordionSettings.OpenFirst.ALL)
                .with(AccordionSettings.SEVERAL, Values.ALL, true)
                .with(AccordionSettings.SEARCH, Values.ALL, true)
                .with(AccordionSettings.FILTER, Values.ALL, true)
                .with(AccordionSettings.FAQ, Values.ALL, true)
                .with(AccordionSettings.SHARE, Values.ALL, true);
      }
      Block piece = (Block) outer.make("outer-" + n, values, items);
      sections.add(section("s" + n, List.of(heading("h" + n, "Nested in " + outer.word()), piece)));
      n++;
    }
    for (NodeType kind : NodeType.values()) {
      if (kind.isPiece()) {
        Block piece =
            (Block)
                ((Piece) Subjects.block(kind, "p" + n)).with(values(kind, "Plain " + kind.word()));
        sections.add(section("s" + n, List.of(heading("h" + n, "A " + kind.word()), piece)));
        n++;
      }
    }
    Values page =
        Values.NONE
            .with(PageSettings.TITLE, Values.ALL, "All kinds")
            .with(PageSettings.LANGUAGE, Values.ALL, "en")
            .with(
                PageSettings.DIRECTION,
                Values.ALL,
                direction.equals("rtl") ? Direction.RTL : Direction.LTR);
    return new Document(
        new Site(Bands.INITIAL, Values.NONE), new giostra.core.page.Page("page", page, sections));
  }

  private static Block columns(String id, NodeType kind) {
    Block piece =
        (Block) ((Piece) Subjects.block(kind, id + "-p")).with(values(kind, "Inner " + id));
    return new Block.Columns(
        id,
        Values.NONE.with(BlockSettings.RATIO, "phone", giostra.core.value.Shares.STACK),
        List.of(
            new Column(id + "-a", Values.NONE, List.of(Subjects.block(NodeType.TEXT, id + "-t"))),
            new Column(id + "-b", Values.NONE, List.of(piece))));
  }

  /** On a phone one box or figure in a row: more have no room this deep. */
  private static Values values(NodeType kind, String name) {
    Values values = Values.NONE.with(PieceSettings.NAME, Values.ALL, name);
    return kind == NodeType.FLIP_BOXES || kind == NodeType.COUNTERS || kind == NodeType.VIDEO
        ? values.with(GridSettings.COLUMNS, "tablet", 2).with(GridSettings.COLUMNS, "phone", 1)
        : values;
  }

  private static Block heading(String id, String words) {
    int level = id.equals("h0") ? 1 : 2;
    return new Block.Heading(
        id,
        Values.NONE
            .with(BlockSettings.HEADING_TEXT, Values.ALL, words)
            .with(BlockSettings.LEVEL, Values.ALL, level));
  }

  private static Section section(String id, List<Block> blocks) {
    return new Section(
        id, Values.NONE.with(SectionSettings.PADDING, "desktop", Length.px(40)), blocks);
  }
}
