package giostra.core.layout;

import giostra.core.band.Band;
import giostra.core.fit.Screen;
import giostra.core.page.Document;
import giostra.core.page.Section;
import java.util.ArrayList;
import java.util.List;

/**
 * A whole page at one width, as high as it is: its sections one under the other, each with its
 * blocks. From the fonts that ship; HTML of one's own counts nothing.
 *
 * @param width of the viewport, px
 * @param height of the page, px
 */
public record PageStrip(int width, Band band, double height, List<Strip> sections) {
  /**
   * A section in it.
   *
   * @param y px from the top of the page
   * @param height px
   * @param blocks in their order, px from the top of the section
   */
  public record Strip(Section section, double y, double height, List<SectionFlow.Stood> blocks) {}

  public PageStrip {
    sections = List.copyOf(sections);
  }

  /**
   * At a width.
   *
   * @param width of the viewport with the scrollbar, px
   * @param scrollbar px
   */
  public static PageStrip of(
      Document document, PictureSizes pictures, int width, double scrollbar) {
    Band band = document.bands().at(width);
    var screen = new Screen(width, Screen.USUAL_HEIGHT);
    var all = new ArrayList<Strip>();
    double y = 0;
    for (Section section : document.page().sections()) {
      var flow = new SectionFlow(document, section, band, pictures, scrollbar);
      double height = flow.height(width, screen);
      all.add(new Strip(section, y, height, flow.stood(width, screen)));
      y += height;
    }
    return new PageStrip(width, band, y, all);
  }
}
