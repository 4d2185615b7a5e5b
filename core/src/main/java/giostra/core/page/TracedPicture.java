package giostra.core.page;

import giostra.core.band.Band;
import giostra.core.value.Setting;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * A picture that a page is held against at the widths of one band. Narrower bands do not have it
 * from wider ones: what is true of a page at one width is not at another.
 *
 * @param picture its id
 * @param wide px that it is drawn wide
 * @param left px from the left end of the page
 * @param top px from the top of the page
 */
public record TracedPicture(String picture, int wide, int left, int top) {
  /** That of a band. */
  public static Optional<TracedPicture> of(Page page, Band band) {
    String picture = own(page, PageSettings.TRACE, band);
    return picture.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new TracedPicture(
                picture,
                own(page, PageSettings.TRACE_WIDE, band),
                own(page, PageSettings.TRACE_LEFT, band),
                own(page, PageSettings.TRACE_TOP, band)));
  }

  /** Px that a picture is high which is so wide, to the nearest, 1 at the least. */
  public static int high(int wide, int pictureWidth, int pictureHeight) {
    return (int) Math.max(1, Math.round((double) wide * pictureHeight / pictureWidth));
  }

  @SuppressWarnings("unchecked") // values are only ever put in through their settings
  private static <T> T own(Page page, Setting<T> setting, Band band) {
    Map<String, Object> byBand = page.values().set().getOrDefault(setting.id(), Map.of());
    return (T) Objects.requireNonNullElse(byBand.get(band.id()), setting.initial());
  }
}
