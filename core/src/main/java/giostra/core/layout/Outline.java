package giostra.core.layout;

import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Categories;
import giostra.core.page.Document;
import giostra.core.page.Item;
import giostra.core.page.PanelSettings;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.page.Section;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The levels of the headings that pieces have, which follow from the headings before them so that
 * none is skipped. Source: WCAG 2.2, technique G141, "Organizing a page using headings".
 */
public final class Outline {
  private static final int DEEPEST = 6;

  private final Document document;
  private final Map<String, Integer> titles = new HashMap<>();
  private final Map<String, Integer> items = new HashMap<>();

  /** The level of the last heading; a page has one of the first level. */
  private int last = 1;

  private Outline(Document document) {
    this.document = document;
  }

  /** That of a page, in reading order; what is hidden for good counts nothing. */
  public static Outline of(Document document) {
    var outline = new Outline(document);
    for (Section section : document.page().sections()) {
      outline.walk(section.blocks());
    }
    return outline;
  }

  /** The level of the heading over a piece, 1 to 6. */
  public int title(Piece piece) {
    return titles.getOrDefault(piece.id(), 2);
  }

  /** The level of the headings of its items, 1 to 6. */
  public int items(Piece piece) {
    return items.getOrDefault(piece.id(), 2);
  }

  private int below() {
    return Math.min(DEEPEST, last + 1);
  }

  private void walk(List<? extends Block> blocks) {
    for (Block block : blocks) {
      switch (block) {
        case Block.Heading heading -> last = heading.values().get(BlockSettings.LEVEL);
        case Block.Columns columns -> columns.columns().forEach(column -> walk(column.blocks()));
        case Piece piece when !piece.values().get(PieceSettings.HIDDEN) -> piece(piece);
        case Block _ -> {}
      }
    }
  }

  private void piece(Piece piece) {
    titles.put(piece.id(), below());
    if (!piece.values().get(PieceSettings.TITLE).isEmpty()) {
      last = below();
    }
    int level =
        switch (piece) {
          case Piece.Tabs _, Piece.Accordion _ -> {
            int own = piece.values().get(PanelSettings.LEVEL);
            yield own == 0 ? below() : own;
          }
          case Piece.Tracked _, Piece.FlipBoxes _, Piece.Counters _, Piece.Video _ -> below();
        };
    items.put(piece.id(), level);
    int after = last;
    for (Item item : shown(piece)) {
      last = panel(piece, level);
      walk(item.blocks());
    }
    last = after;
  }

  private static List<Item> shown(Piece piece) {
    return piece instanceof Piece.Accordion questions
        ? Categories.shown(questions)
        : piece.onShow();
  }

  /** Where there are tabs no heading of their level is on the page, and none may be skipped. */
  private int panel(Piece piece, int level) {
    boolean tabbed =
        piece instanceof Piece.Tabs tabs
            && TabsBand.of(document, tabs, 0).stream().anyMatch(band -> !band.folds());
    return tabbed ? Math.max(1, level - 1) : level;
  }
}
