package giostra.core.layout;

import giostra.core.anatomy.PageParts;
import giostra.core.band.Band;
import giostra.core.fit.Flow;
import giostra.core.fit.Line;
import giostra.core.layout.TextStyle.Text;
import giostra.core.look.Part;
import giostra.core.look.Property;
import giostra.core.look.Scope;
import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.BlockSettings.Shape;
import giostra.core.page.Document;
import giostra.core.page.GridSettings;
import giostra.core.page.GridSettings.Heights;
import giostra.core.page.GridSettings.LastRow;
import giostra.core.page.Gridded;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.LinkSettings.Link;
import giostra.core.page.Node;
import giostra.core.page.PageSettings;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.value.Length;
import giostra.core.value.Setting;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Blocks and whole pieces as they flow in one band. */
public final class BlockFlows {
  private final Document document;
  private final Band band;
  private final double scrollbar;
  private final Locale locale;
  private final PictureSizes pictures;
  private final ItemFlows items;
  private final Map<String, Scope> scopes = new HashMap<>();

  /**
   * @param scrollbar width of a classic scrollbar, px; 0 where they lie over what scrolls
   */
  public BlockFlows(Document document, Band band, PictureSizes pictures, double scrollbar) {
    this.document = document;
    this.scrollbar = scrollbar;
    this.band = band;
    this.locale = Locale.forLanguageTag(document.page().values().get(PageSettings.LANGUAGE));
    this.pictures = pictures;
    this.items = new ItemFlows(this, locale, pictures);
  }

  /** What they are of. */
  public Document document() {
    return document;
  }

  /** The band that they flow in. */
  public Band band() {
    return band;
  }

  /** Width of a classic scrollbar, px. */
  public double scrollbar() {
    return scrollbar;
  }

  /** What a thin scrollbar takes of what scrolls, px. Found by measuring in Chromium. */
  public double thinScrollbar() {
    return Math.min(scrollbar, 10);
  }

  /** What items of all kinds hold. */
  public ItemFlows items() {
    return items;
  }

  /** That of the page. */
  public Locale locale() {
    return locale;
  }

  /** What holds of a node. */
  public <T> T value(Node node, Setting<T> setting) {
    return Resolution.value(document, node, setting, band);
  }

  /** What holds of a part of a node. */
  public PartBox part(Node node, Part part) {
    return new PartBox(part, scope(node), band);
  }

  private Scope scope(Node node) {
    Scope known = scopes.get(node.id());
    if (known == null) {
      // Most items say nothing of themselves: those of a piece share what is said of that.
      known =
          node instanceof Item && node.values().styles().set().isEmpty()
              ? scope(holder(node))
              : Resolution.scope(document, node);
      scopes.put(node.id(), known);
    }
    return known;
  }

  private Node holder(Node item) {
    List<Node> way = document.path(item.id());
    return way.get(way.size() - 2);
  }

  /** How words of a node are set. */
  public TextStyle words(Node node, Part part) {
    return part(node, part).words();
  }

  /** The items of a piece that show in this band. */
  public List<Item> shown(Piece piece) {
    return piece.inOrder().stream().filter(item -> item.onShow(document.bands(), band)).toList();
  }

  /** Whether a block shows in this band. */
  boolean shows(Block block) {
    return !(block instanceof Piece piece)
        || (!piece.values().get(PieceSettings.HIDDEN) && value(piece, PieceSettings.SHOWN));
  }

  /** Blocks one under the other; those that do not show here leave no distance. */
  public Flow blocks(List<? extends Block> blocks) {
    return Flow.stack(
        blocks.stream()
            .filter(this::shows)
            .map(block ->
                new Flow.Spaced(part(block, PageParts.BLOCK).px(Property.ABOVE), block(block)))
            .toList());
  }

  CopyFlow copy(Node node, Part part) {
    return new CopyFlow(words(node, part), each -> part(node, each), locale, pictures);
  }

  Flow block(Block block) {
    return switch (block) {
      case Block.Heading heading ->
          words(heading, PageParts.heading(heading.values().get(BlockSettings.LEVEL)))
              .of(heading.values().get(BlockSettings.HEADING_TEXT), locale);
      case Block.Text text -> text(text);
      case Block.Picture picture -> picture(picture);
      case Block.Button button -> button(button);
      // What somebody wrote is not known to be high in any width.
      case Block.OwnHtml _ -> Flow.NONE;
      // It lies over its slide and takes no room.
      case Block.Pin _ -> Flow.NONE;
      case Block.Columns columns -> new ColumnsLaid(this, columns).flow();
      // What is wrong within it is told where it is looked at itself.
      case Piece piece -> {
        Flow whole = piece(piece);
        yield (width, screen) -> whole.height(width, screen.unheard());
      }
    };
  }

  /** A text, no wider than its measure; one in em is of its own letters. */
  private Flow text(Block.Text text) {
    Flow flow = copy(text, PageParts.TEXT).of(text.values().get(BlockSettings.PARAGRAPHS), 0);
    Length measure = value(text, BlockSettings.LINE_MEASURE);
    if (measure.unit() != Length.Unit.EM) {
      return flow.narrowed(Line.of(measure));
    }
    TextStyle style = words(text, PageParts.TEXT);
    return (width, screen) -> {
      double most = measure.amount() * style.size().applyAsDouble(screen);
      return flow.height(Math.min(width, most), screen);
    };
  }

  private Flow picture(Block.Picture block) {
    Shape shape = value(block, BlockSettings.SHAPE);
    return pictures
        .find(block.values().get(BlockSettings.SOURCE))
        .map(size -> Flow.ratio(shape.aspect().orElseGet(size::aspect)))
        .map(new RoomAround(part(block, PageParts.PICTURE))::around)
        .orElse(Flow.NONE);
  }

  private Flow button(Block.Button button) {
    String label = button.values().get(BlockSettings.LABEL);
    return label.isEmpty()
        ? Flow.NONE
        : items.buttons(
            button,
            List.of(
                items.button(
                    button,
                    PageParts.BUTTON,
                    label,
                    !button.values().get(ItemSettings.BUTTON_ICON).isEmpty())));
  }

  /** A whole piece as it stands before anybody does anything. */
  Flow piece(Piece piece) {
    Flow inside = LaidOut.of(piece).flow(piece, this);
    double around =
        value(piece, PieceSettings.SPACE_ABOVE).constantPx()
            + value(piece, PieceSettings.SPACE_BELOW).constantPx();
    return Flow.stack(List.of(over(piece), inside), 0)
        .narrowed(Line.of(value(piece, PieceSettings.WIDTH)))
        .within(Line.SAME, around);
  }

  /** The heading and the button over a piece, with the distance below them. */
  private Flow over(Piece piece) {
    String title = piece.values().get(PieceSettings.TITLE);
    String label = piece.values().get(PieceSettings.TITLE_BUTTON);
    Link link = PieceSettings.TITLE_LINK.in(piece.values());
    boolean pressed = !label.isEmpty() && link.leads();
    if (title.isEmpty() && !pressed) {
      return Flow.NONE;
    }
    // Headings over pieces are said by their section, their page and their site.
    Text heading =
        words(piece, PageParts.heading(Outline.of(document).title(piece))).of(title, locale);
    PartBox over = part(piece, PageParts.OVER);
    ItemFlows.Button button = items.button(piece, PageParts.BUTTON, pressed ? label : "", false);
    return (width, screen) -> {
      var row = new ArrayList<Flow.Box>();
      if (!title.isEmpty()) {
        row.add(
            new Flow.Box(Math.min(width, heading.natural(screen)), heading.height(width, screen)));
      }
      if (pressed) {
        row.add(button.in(width, screen));
      }
      return Flow.wrapping(row, over.px(Property.GAP_ACROSS), over.px(Property.GAP))
              .height(width, screen)
          + over.px(Property.BELOW);
    };
  }

  /** Items in rows. */
  Flow grid(Gridded piece, List<Flow> parts) {
    int columns = GridBand.columns(document, piece, band, parts.size());
    Line gap = Line.of(value(piece, GridSettings.GAP));
    boolean all = value(piece, GridSettings.HEIGHTS) == Heights.ALL;
    int last = parts.isEmpty() ? 0 : (parts.size() - 1) % columns + 1;
    boolean stretched =
        value(piece, GridSettings.LAST_ROW) == LastRow.STRETCH && last > 0 && last < columns;
    if (!stretched || all) {
      return Flow.rows(parts, columns, gap, all);
    }
    List<Flow> full = parts.subList(0, parts.size() - last);
    Flow rest = Flow.rows(parts.subList(full.size(), parts.size()), last, gap, false);
    return full.isEmpty()
        ? rest
        : (width, screen) ->
            Flow.rows(full, columns, gap, false).height(width, screen)
                + gap.at(width)
                + rest.height(width, screen);
  }
}
