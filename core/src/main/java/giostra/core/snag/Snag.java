package giostra.core.snag;

import giostra.core.page.Edit;
import java.util.List;

/**
 * Something that somebody would rather not have shipped: where it is, what was found, ways out.
 *
 * @param piece id of the piece, or of the columns
 * @param item id of the item; empty for the whole piece
 * @param from first viewport width at which it is so, in px
 * @param to last viewport width, in px
 * @param band id of the band that these lie in
 * @param message what is wrong, with the range
 * @param fixes ways out, the gentlest first
 */
public record Snag(
    Rule rule,
    String piece,
    String item,
    int from,
    int to,
    String band,
    String message,
    List<Fix> fixes) {

  /** What is looked for. */
  public enum Rule {
    /** Items that are narrower than is comfortable. */
    NARROW,
    /** A word that is wider than its room, so that it breaks anywhere. */
    BROKEN_WORD,
    /** Headings of tabs that take more rows or lines than can be told apart at a glance. */
    WRAPPED_HEADINGS,
    /** A panel of fixed height whose content is higher: it scrolls within. */
    CUT_OFF,
    /** A character that no font has that ships. */
    NO_GLYPH,
    /** A picture that is drawn wider than it is, so that it blurs on any screen. */
    ENLARGED,
    /** Columns that are seen in another order than they are read in. */
    ORDER,
    /** A clip without a poster, a second format or captions. */
    CLIP,
    /** A picture given by address, of which little can be computed. */
    UNKNOWN_PICTURE,
    /** A season that ends before it begins. */
    BACKWARDS,
    /** A time at which none of the items shows. */
    NOBODY,
    /** A stop that rests for less than it takes to read it. */
    HASTY,
    /** Words that come in when their slide goes already. */
    LATE_WORDS,
    /** A sign or words of a player that are hard to tell from what they stand on. */
    CONTRAST;

    /** Whether it is of what happens in time. */
    public boolean inTime() {
      return this == HASTY || this == LATE_WORDS || this == BACKWARDS || this == NOBODY;
    }
  }

  /**
   * A way out.
   *
   * @param label what it does, in the words of a button
   * @param edits the edits that do it
   */
  public record Fix(String label, List<Edit> edits) {}

  public Snag {
    fixes = List.copyOf(fixes);
  }
}
