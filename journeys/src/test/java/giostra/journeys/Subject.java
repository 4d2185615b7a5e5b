package giostra.journeys;

import giostra.core.band.Bands;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Column;
import giostra.core.page.Document;
import giostra.core.page.Edits;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Node;
import giostra.core.page.PageSettings;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.Site;
import giostra.core.piece.carousel.Carousel;
import giostra.core.value.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * The document that settings are tried on: one of each type of node, everything initial but words.
 * Its content is 1120 px wide at 1280, 720 at 800 and 310 at 390.
 */
final class Subject {
  /** Widths of the live page, one in each band. */
  static final List<Integer> WIDTHS = List.of(1280, 800, 390);

  private Subject() {}

  static Document document() {
    List<Block> blocks =
        List.of(
            new Block.Heading(
                "heading", Values.NONE.with(BlockSettings.HEADING_TEXT, Values.ALL, "A heading")),
            new Block.Text(
                "text", Values.NONE.with(BlockSettings.PARAGRAPHS, Values.ALL, "Some words.")),
            new Block.Picture("picture", Values.NONE),
            new Block.Button(
                "button", Values.NONE.with(BlockSettings.LABEL, Values.ALL, "A button")),
            new Block.Columns("columns", Values.NONE, List.of(column("left"), column("right"))),
            new Carousel("cards", Values.NONE, items()));
    // Its own, since the site that it stands on has others.
    Values padding = Values.NONE.with(SectionSettings.PADDING, "desktop", Length.px(40));
    return new Document(
        new Site(Bands.INITIAL, Values.NONE),
        new giostra.core.page.Page(
            "page",
            Values.NONE.with(PageSettings.TITLE, Values.ALL, "Subject"),
            List.of(new Section("section", padding, blocks))));
  }

  /** The same section once for each case, with what the case needs; ids end in its number. */
  static Document of(List<SettingCase> cases) {
    var sections = new ArrayList<Section>();
    sections.add(plain("before"));
    for (int at = 0; at < cases.size(); at++) {
      Document own = Edits.apply(document(), cases.get(at).needs()).document();
      sections.add((Section) numbered(own.node("section"), at));
    }
    sections.add(plain("after"));
    Document one = document();
    return new Document(one.site(), one.page().holding(sections));
  }

  /** What the first and the last of them have as a neighbour, so that their edges show. */
  private static Section plain(String id) {
    Values words = Values.NONE.with(BlockSettings.PARAGRAPHS, Values.ALL, "A neighbour.");
    return new Section(id, Values.NONE, List.of(new Block.Text(id + "-text", words)));
  }

  private static Node numbered(Node node, int at) {
    return node.type()
        .make(
            id(node.id(), at),
            node.values(),
            node.children().stream().map(child -> numbered(child, at)).toList());
  }

  /** The id of a node in the section of a case. */
  static String id(String id, int at) {
    return id + "-" + at;
  }

  /** A probe with the ids of the section of a case. */
  static String scoped(String probe, int at) {
    return probe
        .replaceAll("#g-([a-z]+)", "#g-$1-" + at)
        .replaceAll("\\[data-(item|block)=([a-z0-9-]+)]", "[data-$1=$2-" + at + "]");
  }

  private static Column column(String id) {
    Values words = Values.NONE.with(BlockSettings.PARAGRAPHS, Values.ALL, "In a column.");
    return new Column(id, Values.NONE, List.of(new Block.Text(id + "-text", words)));
  }

  private static List<Item> items() {
    return IntStream.range(0, 7)
        .mapToObj(i ->
            new Item(
                "item-" + i,
                Values.NONE
                    .with(ItemSettings.HEADING, Values.ALL, "Card " + i)
                    .with(ItemSettings.TEXT, Values.ALL, "Words. ".repeat(i * 4 + 1).strip())))
        .toList();
  }
}
