package giostra.core.band;

import giostra.core.value.Require;

/**
 * What a page is shown in. Media queries see {@link #width}; the layout has {@link #layoutWidth}.
 * Source: Media Queries 4, "width" ("including the size of a rendered scroll bar (if any)").
 *
 * @param width in CSS px, with the scrollbar
 * @param height in CSS px
 * @param scrollbar width of a classic scrollbar in CSS px; 0 where it overlays the page
 * @param density device px per CSS px
 */
public record Viewport(double width, double height, double scrollbar, double density) {
  /** No classic scrollbar is wider, in px. Common practice, no source. */
  public static final double WIDEST_SCROLLBAR = 40;

  public Viewport {
    Require.above(0, "viewport width (px)", width);
    Require.above(0, "viewport height (px)", height);
    Require.within(0, WIDEST_SCROLLBAR, "scrollbar (px)", scrollbar);
    Require.within(0.25, 8, "density", density);
  }

  /** Width that the layout has, in px. */
  public double layoutWidth() {
    return width - scrollbar;
  }
}
