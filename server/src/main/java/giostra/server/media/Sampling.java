package giostra.server.media;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import giostra.core.fit.Samples;
import java.io.IOException;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** The colours of pictures, for whoever asks whether words on them can be read. */
@Component
class Sampling {
  private static final Logger LOG = LoggerFactory.getLogger(Sampling.class);

  /** Px that are enough for a grid of {@link Samples#MOST} cells. */
  private static final int ENOUGH = 960;

  private static final int MOST_BYTES = 48 << 20;

  private final Renditions renditions;
  private final BlobStore blobs;

  /** By hashes: what is in a picture does not change. */
  private final Cache<String, Optional<Samples>> known =
      Caffeine.newBuilder()
          .maximumWeight(MOST_BYTES)
          .weigher((String _, Optional<Samples> samples) -> samples.map(Samples::bytes).orElse(16))
          .build();

  Sampling(Renditions renditions, BlobStore blobs) {
    this.renditions = renditions;
    this.blobs = blobs;
  }

  /** Those of a picture; nothing of one that has no px, moves, or cannot be read. */
  Optional<Samples> of(MediaEntity picture) {
    return Pixels.areReadOf(picture.type)
        ? known.get(picture.hash, _ -> read(picture))
        : Optional.empty();
  }

  private Optional<Samples> read(MediaEntity picture) {
    try {
      byte[] bytes =
          Renditions.widths(picture).stream()
              .filter(width -> width >= ENOUGH)
              .findFirst()
              .map(width -> renditions.get(picture, width))
              .orElseGet(() -> blobs.get(picture.hash));
      return Optional.of(
          Pixels.within(
              bytes,
              ENOUGH,
              image -> Samples.of(image.getWidth(), image.getHeight(), image::getRGB)));
    } catch (IOException | RuntimeException e) {
      // What cannot be looked at is not judged.
      LOG.warn("cannot look at the colours of {}", picture.name, e);
      return Optional.empty();
    }
  }
}
