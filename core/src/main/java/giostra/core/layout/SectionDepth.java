package giostra.core.layout;

import giostra.core.band.Band;
import giostra.core.page.Document;
import giostra.core.page.Section;
import giostra.core.page.SectionSettings;
import java.util.Arrays;
import java.util.List;

/**
 * The picture under a section that moves more slowly than the page: it is higher than its section
 * by as much as it lags behind while that goes through the screen. Source: Scroll-driven Animations
 * 1, "View Progress Timelines", over the range {@code cover}.
 *
 * @param share of the page's way that it lags behind, 0 to 0.6
 */
public record SectionDepth(double share) {
  /** That of a section in a band; none where an edge cuts its picture. */
  public static SectionDepth of(Document document, Section section, Band band) {
    boolean cut =
        Arrays.stream(SectionEdge.Side.values())
            .filter(side -> SectionEdge.neighbour(document, section, side).isPresent())
            .anyMatch(side -> !SectionEdge.of(document, section, side, band).straight());
    boolean pictured = !section.values().get(SectionSettings.GROUND).isEmpty();
    int percent = Resolution.value(document, section, SectionSettings.DEPTH, band);
    return new SectionDepth(cut || !pictured ? 0 : percent / 100.0);
  }

  /** Whether there is none. */
  public boolean flat() {
    return share == 0;
  }

  /** How much higher than its section the picture is, px. */
  public double more(double section, double screen) {
    return share * (section + screen);
  }

  /**
   * How far above the section the picture begins: when it comes, half way, and when it goes; px.
   */
  public List<Double> above(double section, double screen) {
    double more = more(section, screen);
    return flat() ? List.of(0.0) : List.of(more, more / 2, 0.0);
  }
}
