package giostra.server.release;

import giostra.core.output.Compiled;
import giostra.core.page.Document;
import giostra.server.host.PageFiles;
import giostra.server.host.Types;
import giostra.server.media.MediaService;
import giostra.server.page.Stage;
import giostra.server.web.Packed;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** What a page would weigh on the way if it were published. */
@Component
class Weighing {
  private final Stage stage;
  private final PageFiles shipped;
  private final MediaService media;

  Weighing(Stage stage, PageFiles shipped, MediaService media) {
    this.stage = stage;
    this.shipped = shipped;
    this.media = media;
  }

  /**
   * Bytes on the way: packed where that is sent packed.
   *
   * @param bands what somebody fetches of pictures who sees all of it, from the narrowest band on,
   *     each for screens of one, two and three device px for a px
   */
  record Weight(
      long markup, long styles, long scripts, long fonts, List<ReleaseService.BandLine> bands) {
    /** All of it in a band, for each of its screens. */
    List<Long> all(ReleaseService.BandLine band) {
      return band.bytes().stream()
          .map(pictures -> pictures + markup + styles + scripts + fonts)
          .toList();
    }
  }

  /** Weighs a document of a site at a moment. Its pictures are cut where they are not yet. */
  Weight of(String siteId, Document document, Instant at) {
    Compiled page = stage.published(siteId, document, at);
    Compiled.Published published = page.published();
    long scripts = 0;
    long fonts = 0;
    for (Map.Entry<String, byte[]> file : shipped.of(page).entrySet()) {
      if (Types.of(file.getKey()).startsWith("font/")) {
        fonts += file.getValue().length;
      } else {
        scripts += Packed.gzip(file.getValue());
      }
    }
    media.prepare(siteId, page.pictures());
    var sizes = new HashMap<String, Long>();
    page.pictures().forEach(path -> sizes.put(path, media.size(siteId, path)));
    return new Weight(
        packed(published.html()),
        packed(published.css()),
        scripts,
        fonts,
        BandWeights.of(document.bands().all(), page.fetched(), sizes).stream()
            .map(BandWeights::line)
            .toList());
  }

  private static long packed(String text) {
    return Packed.gzip(text.getBytes(StandardCharsets.UTF_8));
  }
}
