package giostra.core.layout;

import giostra.core.page.Block;
import giostra.core.page.BlockSettings;
import giostra.core.page.Document;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.ItemSettings;
import giostra.core.page.Piece;
import giostra.core.page.PieceSettings;
import giostra.core.page.Section;
import giostra.core.page.Site;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The levels of the headings that pieces have, which follow from the headings before them so that
 * none is skipped. Source: WCAG 2.2, technique G141, "Organizing a page using headings".
 */
public final class Outline {
  private static final int DEEPEST = 6;

  /**
   * What a section has of it.
   *
   * @param before level of the last heading before the section, 0 where there is none
   * @param heard the same, headings of items among them
   * @param after level of the last heading up to its end
   * @param heardAfter the same, headings of items among them
   * @param titles levels of the headings over its pieces, by id
   * @param items levels of the headings in its pieces, by id
   * @param skips of headings that skip a level, by id: the level that they may have at the most
   */
  public record Part(
      Section section,
      Site site,
      int before,
      int heard,
      int after,
      int heardAfter,
      Map<String, Integer> titles,
      Map<String, Integer> items,
      Map<String, Integer> skips) {
    public Part {
      titles = Map.copyOf(titles);
      items = Map.copyOf(items);
      skips = Map.copyOf(skips);
    }

    /** Whether all its headings have the levels that they have in the other. */
    public boolean same(Part other) {
      return titles.equals(other.titles) && items.equals(other.items);
    }
  }

  private final Document document;
  private final Map<String, Integer> titles = new HashMap<>();
  private final Map<String, Integer> items = new HashMap<>();
  private final Map<String, Integer> skips = new HashMap<>();
  private final Map<Section, Part> parts = new IdentityHashMap<>();

  /** The level of the last heading; 0 before the first. */
  private int last;

  /** The same, the headings of items among them: what somebody hears before the next. */
  private int heard;

  private Outline(Document document) {
    this.document = document;
  }

  /** That of a page, in reading order; what is hidden for good counts nothing. */
  public static Outline of(Document document) {
    return of(document, List.of());
  }

  /**
   * The same, taken over from what was found before of sections that nothing has changed for.
   *
   * @param known of any sections
   */
  public static Outline of(Document document, List<Part> known) {
    Map<Section, Part> before = new IdentityHashMap<>();
    known.forEach(part -> before.put(part.section(), part));
    var outline = new Outline(document);
    for (Section section : document.page().sections()) {
      Part part = before.get(section);
      if (part == null
          || part.before() != outline.last
          || part.heard() != outline.heard
          || !part.site().equals(document.site())) {
        part = new Outline(document).part(section, outline.last, outline.heard);
      }
      outline.parts.put(section, part);
      outline.titles.putAll(part.titles());
      outline.items.putAll(part.items());
      outline.skips.putAll(part.skips());
      outline.last = part.after();
      outline.heard = part.heardAfter();
    }
    return outline;
  }

  private Part part(Section section, int before, int heardBefore) {
    last = before;
    heard = heardBefore;
    walk(section.blocks());
    return new Part(
        section, document.site(), before, heardBefore, last, heard, titles, items, skips);
  }

  /**
   * What a section of the page has of it.
   *
   * @throws IllegalArgumentException for a section of another page
   */
  public Part of(Section section) {
    Part part = parts.get(section);
    if (part == null) {
      throw new IllegalArgumentException(section.id() + " is no section of that page");
    }
    return part;
  }

  /** The level of the heading over a piece, 1 to 6. */
  public int title(Piece piece) {
    return titles.getOrDefault(piece.id(), 2);
  }

  /** The level of the headings of its items, 1 to 6. */
  public int items(Piece piece) {
    return items.getOrDefault(piece.id(), 2);
  }

  /** The level that a heading may have at the most, where it skips one; else nothing. */
  public Optional<Integer> skips(String heading) {
    return Optional.ofNullable(skips.get(heading));
  }

  private int below() {
    // A page has a heading of the first level, though it may say none.
    return Math.min(DEEPEST, Math.max(1, last) + 1);
  }

  private void walk(List<? extends Block> blocks) {
    for (Block block : blocks) {
      switch (block) {
        case Block.Heading heading -> heading(heading);
        case Block.Columns columns -> columns.columns().forEach(column -> walk(column.blocks()));
        case Piece piece when !piece.values().get(PieceSettings.HIDDEN) -> piece(piece);
        case Block _ -> {}
      }
    }
  }

  private void heading(Block.Heading heading) {
    int level = heading.values().get(BlockSettings.LEVEL);
    if (!heading.values().get(BlockSettings.HEADING_TEXT).isEmpty()) {
      if (heard > 0 && level > heard + 1) {
        skips.put(heading.id(), heard + 1);
      }
      heard = level;
    }
    last = level;
  }

  private void piece(Piece piece) {
    titles.put(piece.id(), below());
    if (!piece.values().get(PieceSettings.TITLE).isEmpty()) {
      last = below();
      heard = last;
    }
    LaidOut<Piece> room = LaidOut.of(piece);
    int level = room.level(piece, below());
    items.put(piece.id(), level);
    int after = last;
    // Where there are tabs no heading of their level is on the page, and none may be skipped.
    boolean tabbed = room.tabbed(document, piece);
    int panel = tabbed ? Math.max(1, level - 1) : level;
    boolean headed = !tabbed && room.headed();
    for (Item item : piece.inOrder()) {
      last = panel;
      if (headed && !Fields.shown(piece, item, ItemSettings.HEADING).isEmpty()) {
        heard = level;
      }
      walk(item.panel());
    }
    last = after;
  }
}
