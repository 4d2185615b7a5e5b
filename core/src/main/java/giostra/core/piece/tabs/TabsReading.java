package giostra.core.piece.tabs;

import giostra.core.band.Viewport;
import giostra.core.layout.Heights;
import giostra.core.page.Document;
import giostra.core.piece.tabs.TabsSettings.HeadsSide;

/**
 * What the engine computes for tabs at one viewport. All in CSS px.
 *
 * @param band id of the band
 * @param folds whether they are an accordion here
 * @param columns of the headings
 * @param head width of a heading; for headings of natural width, {@link TabsBand#head}
 * @param headingRows rows that the headings take, or lines the heading that has most
 */
public record TabsReading(
    String piece,
    String band,
    boolean folds,
    HeadsSide side,
    int columns,
    double head,
    int headingRows) {

  /**
   * Reads tabs.
   *
   * @param heights of the same tabs
   */
  public static TabsReading of(Document document, Tabs piece, Heights heights, Viewport viewport) {
    TabsBand in =
        TabsBand.in(document, piece, document.bands().at(viewport.width()), viewport.scrollbar());
    return new TabsReading(
        piece.id(),
        in.band().id(),
        in.folds(),
        in.side(),
        in.grid().columns(),
        in.head().at(viewport.width()),
        heights.headingRows(viewport.width()));
  }
}
