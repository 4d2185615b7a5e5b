package giostra.server.page;

import giostra.core.fit.Likeness;
import giostra.core.page.TracedPicture;
import giostra.server.media.Likening;
import giostra.server.web.Gone;
import giostra.server.web.Limited;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** How much a page is like the picture that it is held against. */
@RestController
class TraceController {
  /** Bytes of a drawing of {@link Likeness#MOST} px at the most. */
  private static final long MOST_BYTES = 32L << 20;

  /** Regions that are told. */
  private static final int MOST_REGIONS = 60;

  private final PageService pages;
  private final Likening likening;

  TraceController(PageService pages, Likening likening) {
    this.pages = pages;
    this.likening = likening;
  }

  /**
   * How much they are alike, in shares from 0 to 1.
   *
   * @param drawn px of what is drawn in either
   * @param share which share of these is alike
   * @param ground which share of the rest is
   * @param regions the least alike, with something drawn in them
   */
  record MatchReply(long drawn, double share, double ground, List<RegionReply> regions) {}

  /**
   * A part of the picture as it lies there, px, and which share of what is drawn in it is alike.
   */
  record RegionReply(int x, int y, int wide, int high, double share) {
    static RegionReply of(Likeness.Region region) {
      return new RegionReply(region.x(), region.y(), region.wide(), region.high(), region.share());
    }
  }

  /**
   * Holds a page against the picture that a band has for it.
   *
   * @param request the page where the picture lies, drawn in px of CSS, as PNG
   */
  @PostMapping(path = "/api/pages/{id}/match", consumes = "image/png")
  MatchReply match(@PathVariable String id, @RequestParam String band, HttpServletRequest request)
      throws IOException {
    PageService.Head head = pages.head(id);
    TracedPicture traced =
        TracedPicture.of(head.document().page(), head.document().bands().band(band))
            .orElseThrow(() -> new Gone("trace of the band", band));
    Likeness found;
    // All of it is here before anybody waits for it, and not in memory while it waits itself.
    Path drawing = Files.createTempFile("giostra-drawing", ".png");
    try {
      try (OutputStream out = Files.newOutputStream(drawing)) {
        Limited.copy(request.getInputStream(), out, MOST_BYTES, "The drawing");
      }
      found = likening.of(head.siteId(), traced, drawing);
    } finally {
      Files.delete(drawing);
    }
    return new MatchReply(
        found.drawn(),
        found.share(),
        found.groundShare(),
        found.regions().stream()
            .filter(each -> each.share() < 1)
            .limit(MOST_REGIONS)
            .map(RegionReply::of)
            .toList());
  }
}
