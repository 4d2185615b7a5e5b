package giostra.core.snag;

import giostra.core.page.Item;
import giostra.core.page.Piece;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;

/** What clips of items lack, at every width. */
public final class Lacks {
  private Lacks() {}

  /**
   * One finding for each that an item of a piece lacks.
   *
   * @param lacks names of texts that say it
   */
  public static List<Snag> of(Piece piece, Looked at, Function<Item, Stream<String>> lacks) {
    return piece.onShow().stream()
        .flatMap(item ->
            lacks
                .apply(item)
                .map(what ->
                    Snag.of(Rule.CLIP, piece.id(), Extent.always(at.document()), Said.of(what))
                        .of(item.id())))
        .toList();
  }
}
