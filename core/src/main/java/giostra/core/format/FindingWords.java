package giostra.core.format;

import giostra.core.page.Document;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.Node;
import giostra.core.page.Piece;
import giostra.core.snag.Rule;
import giostra.core.snag.Snag;
import java.util.List;

/** What is said of findings to whoever has not worked on the page. */
final class FindingWords {
  private FindingWords() {}

  /** The piece, and the item in it. */
  static String where(Document document, Snag snag) {
    Node node = document.node(snag.place().node());
    String name = Fields.called(node);
    if (node instanceof Piece piece && !snag.place().item().isEmpty()) {
      List<Item> items = piece.items();
      for (int i = 0; i < items.size(); i++) {
        if (items.get(i).id().equals(snag.place().item())) {
          return name + ", " + Fields.called(items.get(i), i);
        }
      }
    }
    return name;
  }

  /** What a rule looks for, for whoever has not worked on the page. */
  static String asked(Rule rule) {
    return switch (rule) {
      case NARROW -> "items too narrow to be comfortable";
      case BROKEN_WORD -> "words that break anywhere for want of room";
      case NO_ROOM -> "what is wider than its room";
      case WRAPPED_HEADINGS -> "headings of tabs in too many rows";
      case CUT_OFF -> "content that is cut off";
      case NO_GLYPH -> "characters that no font has";
      case NO_FAMILY -> "families without files";
      case UNKNOWN_PICTURE -> "pictures of unknown size";
      case ENLARGED -> "pictures drawn larger than they are";
      case HEAVY -> "pictures that are heavy together";
      case BACKWARDS -> "seasons that end before they begin";
      case NOBODY -> "times at which nothing is on show";
      case HASTY -> "stops that go before they are read";
      case LATE_WORDS -> "words that come when their slide goes";
      case CLIP -> "clips without poster, second format or captions";
      case CONTRAST -> "words and signs hard to tell from their ground";
      case JUMP -> "what moves its neighbours when it is touched";
      case HOVER_ONLY -> "what is seen under a mouse alone";
      case LOW_TARGET -> "buttons that are lower than a finger hits";
      case RING -> "focus rings that nobody sees";
      case COVERED -> "arrows and buttons over words";
      case OVER_PICTURE -> "words hard to read on a picture";
      case ORDER -> "columns seen in another order than read";
      case CROWDED -> "too many quotations in view";
      case UNLIKE -> "quotations of very uneven length side by side";
      case LARGE_PORTRAIT -> "portraits too large for their words";
      case EMPTY -> "items with nothing in them";
      case SAME_WORDS -> "buttons that say the same and lead elsewhere";
      case UNTOLD -> "pictures without words for who does not see them";
      case UNEVEN -> "what stands side by side and is not equally high";
      case NOWHERE -> "links to places that are not there";
      case SAME_ANCHOR -> "places that are called the same";
      case SKIPPED_LEVEL -> "headings that skip a level";
      case LONE_LAST -> "one item alone in the last row";
      case CLOSE -> "texts about to take another line";
      case EDGE_OVER -> "edges of sections over their neighbour";
      case CUT_SHADOW -> "shadows that are cut";
      case OWN_CODE -> "what own code does";
      case OWN_CSS -> "what own CSS touches";
      case NO_EFFECT -> "values without effect";
    };
  }
}
