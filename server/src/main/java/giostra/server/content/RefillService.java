package giostra.server.content;

import giostra.core.format.content.Refill;
import giostra.core.page.Edits;
import giostra.core.page.Feed;
import giostra.core.page.Fields;
import giostra.core.page.Item;
import giostra.core.page.Piece;
import giostra.core.value.Refused;
import giostra.server.page.PageService;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** New files for pieces that follow one. */
@Service
class RefillService {
  private static final int SHOWN = 200;

  private final Sources sources;
  private final PageService pages;

  RefillService(Sources sources, PageService pages) {
    this.sources = sources;
    this.pages = pages;
  }

  /** An item by its id, with what it is called. */
  record Named(String id, String name) {}

  /** A field of an item that keeps what was written by hand. */
  record OwnWords(String item, String field) {}

  /**
   * What a new file would change; nothing is changed yet.
   *
   * @param faults what cannot be read of it, in words with row and column
   */
  record RefillReply(
      String source,
      String file,
      List<String> added,
      List<String> changed,
      List<OwnWords> kept,
      List<Named> going,
      List<String> faults) {}

  /** Keeps a newer file of a piece's source and says what it would change. */
  @Transactional
  public RefillReply look(String pageId, String pieceId, String name, byte[] bytes) {
    PageService.Head head = pages.head(pageId);
    Piece piece = head.document().piece(pieceId);
    Feed feed = feed(piece);
    SourceEntity source = sources.add(head.siteId(), name, bytes);
    Refill refill = refill(head.siteId(), piece, feed, source, Set.of());
    return new RefillReply(
        source.id,
        source.name,
        refill.added().stream().limit(SHOWN).map(RefillService::name).toList(),
        refill.changed().stream().limit(SHOWN).map(RefillService::name).toList(),
        refill.kept().stream()
            .limit(SHOWN)
            .map(own -> new OwnWords(name(own.item()), own.field()))
            .toList(),
        refill.going().stream().map(item -> new Named(item.id(), name(item))).toList(),
        refill.filled().faults().stream()
            .limit(SHOWN)
            .map(f ->
                String.format(
                    Locale.ROOT, "Row %d, column %s: %s", f.row(), f.column(), f.message()))
            .toList());
  }

  /** Fills a piece with a newer file, as one step of undo. */
  @Transactional
  public void apply(String pageId, String pieceId, String sourceId, Set<String> keep) {
    String siteId = pages.place(pageId).siteId();
    SourceEntity source = sources.get(siteId, sourceId);
    pages.change(
        pageId,
        document -> {
          Piece piece = document.piece(pieceId);
          Feed feed = feed(piece);
          Refill refill = refill(siteId, piece, feed, source, keep);
          sources.replaced(siteId, feed.source(), source.id);
          Feed newer = new Feed(source.id, feed.key(), feed.columns());
          return Edits.replacing(document, refill.piece().with(newer.in(refill.piece().values())));
        });
  }

  private Refill refill(
      String siteId, Piece piece, Feed feed, SourceEntity source, Set<String> keep) {
    return Refill.of(
        piece,
        feed,
        sources.read(sources.get(siteId, feed.source())).table(),
        sources.read(source).table(),
        keep,
        sources.media(siteId),
        () -> Sources.id("item"));
  }

  private static Feed feed(Piece piece) {
    return Feed.of(piece)
        .orElseThrow(() -> new Refused("Piece", piece.id(), "one that is filled from a file"));
  }

  private static String name(Item item) {
    String row = item.values().get(Feed.ROW);
    String called = Fields.called(item, 0);
    return called.equals("1") && !row.isEmpty() ? row : called;
  }
}
