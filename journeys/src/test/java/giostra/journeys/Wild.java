package giostra.journeys;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Frame;
import com.microsoft.playwright.options.ReducedMotion;
import giostra.core.band.Band;
import giostra.core.band.Bands;
import giostra.core.look.Values;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.ClipSettings;
import giostra.core.page.Column;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.NodeType;
import giostra.core.page.PageSettings;
import giostra.core.page.PageSettings.Direction;
import giostra.core.page.PanelSettings;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.page.PinSettings;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import giostra.core.page.Site;
import giostra.core.value.Length;
import giostra.core.value.Place;
import giostra.core.value.Setting;
import giostra.core.value.Shares;
import giostra.server.testing.Api;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;

/**
 * A page as nobody would make it: pieces in panels in columns in panels, almost any setting set in
 * any band, words that no phone has room for, in both directions. The same seed draws the same
 * page.
 */
final class Wild {
  /** How deep pieces and columns stand in each other. */
  private static final int DEEPEST = 3;

  private static final List<NodeType> PIECES =
      List.of(NodeType.values()).stream().filter(NodeType::isPiece).toList();

  /** What {@link Varied} leaves as it is, and no more than a box depends on. */
  private static final List<Setting<?>> MORE =
      List.of(PieceSettings.EXTENT, PanelSettings.PANEL_HEIGHT);

  private static final List<String> LONG =
      List.of(
          "Glasshouselanternkeepersassociationmeetings",
          "Nachtgewächshausbeleuchtungsgenossenschaften",
          "visitors@moonflower-glasshouse.example",
          "https://moonflower.example/evenings/lanterns?seats=2",
          "Each of the eleven houses, and what grows in them",
          "« Venez ce soir ! Les serres ouvrent ; qui vient ? »",
          "№ 7 — 1 234 567,89 €");

  private final Varied varied;
  private final Random random;

  private Wild(long seed) {
    this.varied = new Varied(seed);
    this.random = new Random(seed * 31 + 7);
  }

  /** What is done with such a page once it is published. */
  @FunctionalInterface
  interface Look {
    /**
     * Looks.
     *
     * @param seed what it was drawn from
     */
    void at(long seed, Document document, Frame frame);
  }

  /** Draws some, publishes each and looks at it where nothing moves. */
  static void each(Api api, Chromium.Open chromium, int first, int pages, Look look) {
    for (int seed = first; seed < first + pages; seed++) {
      String id = api.newPage("velluta", document(seed));
      com.microsoft.playwright.Page page =
          chromium.page(
              new Browser.NewContextOptions()
                  .setViewportSize(1980, 860)
                  // What has not come in yet is drawn smaller than it is.
                  .setReducedMotion(ReducedMotion.REDUCE),
              true);
      Frame frame = Frames.open(page, api, api.publish(id));
      Heightened.still(frame);
      look.at(seed, api.document(id), frame);
      page.context().close();
    }
  }

  /** Draws a page. */
  static Document document(long seed) {
    return new Wild(seed).document();
  }

  private Document document() {
    boolean french = random.nextInt(5) == 0;
    Values page =
        Values.NONE
            .with(PageSettings.TITLE, Values.ALL, "Wild")
            .with(PageSettings.LANGUAGE, Values.ALL, french ? "fr" : "en")
            .with(
                PageSettings.DIRECTION,
                Values.ALL,
                random.nextInt(3) == 0 ? Direction.RTL : Direction.LTR);
    List<Section> sections = IntStream.range(0, 4).mapToObj(_ -> section()).toList();
    return new Document(
        new Site(Bands.INITIAL, Values.NONE), new giostra.core.page.Page("page", page, sections));
  }

  private Section section() {
    Values values =
        Values.NONE.with(
            SectionSettings.PADDING,
            Bands.INITIAL.lead().id(),
            random.nextBoolean()
                ? Length.px(random.nextInt(60))
                : Length.percent(random.nextInt(8)));
    values = byBand(values, SectionSettings.EXTENT, 6);
    return new Section(varied.id("section"), values, blocks(0));
  }

  private List<Block> blocks(int depth) {
    var all = new ArrayList<Block>();
    int count = 1 + random.nextInt(depth == 0 ? 2 : 1);
    for (int i = 0; i < count; i++) {
      all.add(block(depth));
    }
    return all;
  }

  private Block block(int depth) {
    return switch (random.nextInt(depth < DEEPEST ? 10 : 7)) {
      case 0 -> plain();
      case 8, 9 -> columns(depth);
      default -> piece(depth);
    };
  }

  private Block plain() {
    String id = varied.id("block");
    return switch (random.nextInt(4)) {
      case 0 ->
          new Block.Heading(
              id, Values.NONE.with(BlockSettings.HEADING_TEXT, Values.ALL, words(2, 12)));
      case 1 ->
          new Block.Button(
              id,
              Values.NONE
                  .with(BlockSettings.LABEL, Values.ALL, words(1, 6))
                  .with(BlockSettings.LINK.address(), Values.ALL, "#there"));
      case 2 ->
          new Block.Picture(id, Values.NONE.with(BlockSettings.SOURCE, Values.ALL, "lamp-walk"));
      default ->
          new Block.Text(
              id,
              Values.NONE
                  .with(BlockSettings.PARAGRAPHS, Values.ALL, words(5, 60))
                  .with(
                      BlockSettings.LINE_MEASURE,
                      Bands.INITIAL.lead().id(),
                      random.nextBoolean()
                          ? Length.parse(14 + random.nextInt(30) + "em")
                          : Length.px(200 + random.nextInt(600))));
    };
  }

  private Block columns(int depth) {
    int count = 2 + random.nextInt(2);
    List<Column> columns =
        IntStream.range(0, count)
            .mapToObj(_ -> new Column(varied.id("column"), Values.NONE, blocks(depth + 1)))
            .toList();
    Values values = Values.NONE;
    for (Band band : Bands.INITIAL.widestFirst()) {
      if (random.nextInt(3) > 0) {
        Shares ratio =
            random.nextInt(band.widest() ? 6 : 2) == 0
                ? Shares.STACK
                : new Shares(
                    IntStream.range(0, count).mapToObj(_ -> 1 + random.nextInt(3)).toList());
        values = values.with(BlockSettings.RATIO, band.id(), ratio);
      }
      if (random.nextInt(4) == 0) {
        values = values.with(BlockSettings.ORDER, band.id(), "2 1");
      }
      if (random.nextInt(3) == 0) {
        values = values.with(BlockSettings.GAP, band.id(), Length.px(random.nextInt(50)));
      }
    }
    return new Block.Columns(varied.id("columns"), values, columns);
  }

  private Piece piece(int depth) {
    Piece piece = varied.piece(PIECES.get(random.nextInt(PIECES.size())));
    Values values = piece.values();
    for (Setting<?> setting : MORE) {
      if (piece.type().settings().contains(setting)) {
        values = byBand(values, setting, 4);
      }
    }
    if (!values.get(PieceSettings.TITLE).isEmpty() && random.nextInt(3) == 0) {
      values = values.with(PieceSettings.TITLE, Values.ALL, words(1, 3));
    }
    List<Item> items = piece.items().stream().map(item -> item(piece.type(), item, depth)).toList();
    return (Piece) piece.type().make(piece.id(), values, items);
  }

  private Item item(NodeType kind, Item item, int depth) {
    Values values = item.values();
    if (random.nextInt(4) == 0) {
      values = values.with(ItemSettings.HEADING, Values.ALL, words(1, 3));
    }
    if (random.nextInt(6) == 0 && kind != NodeType.COUNTERS) {
      values = values.with(ItemSettings.TEXT, Values.ALL, words(3, 30));
    }
    if (random.nextInt(3) == 0 && kind == NodeType.COUNTERS) {
      values = values.with(ItemSettings.TO, Values.ALL, 1_234_567.0);
    }
    if (kind == NodeType.VIDEO) {
      values = values.with(ClipSettings.CLIP, Values.ALL, "bloom");
    }
    boolean holds = kind.hasPanels() && depth < DEEPEST && random.nextInt(2) == 0;
    if (kind == NodeType.SLIDER) {
      return new Item(item.id(), values, pins(item.id()));
    }
    return new Item(item.id(), values, holds ? blocks(depth + 1) : List.of());
  }

  /** Drawn by themselves, so that all else is drawn as it was before there were any. */
  private static List<Block> pins(String item) {
    var own = new Random(item.hashCode());
    Place[] places = Place.values();
    return IntStream.range(0, Math.max(0, own.nextInt(5) - 2))
        .<Block>mapToObj(n ->
            new Block.Pin(
                item + "-pin-" + n,
                Values.NONE
                    .with(PinSettings.WORDS, Values.ALL, LONG.get(own.nextInt(LONG.size())))
                    .with(PinSettings.PLACE, "desktop", places[own.nextInt(places.length)])
                    .with(PinSettings.ACROSS, "desktop", Length.px(own.nextInt(300) - 150))))
        .toList();
  }

  private Values byBand(Values values, Setting<?> setting, int oneIn) {
    Values all = values;
    for (Band band : Bands.INITIAL.widestFirst()) {
      all = varied.vary(all, setting, setting.byBand() ? band.id() : Values.ALL, oneIn);
    }
    return all;
  }

  /** Words with a long one among them, one time in two. */
  private String words(int least, int most) {
    String plain = varied.words(least, most);
    return random.nextBoolean() ? plain : plain + " " + LONG.get(random.nextInt(LONG.size()));
  }
}
