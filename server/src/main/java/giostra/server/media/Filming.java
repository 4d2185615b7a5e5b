package giostra.server.media;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import giostra.core.fit.Samples;
import giostra.core.layout.PictureSizes;
import giostra.core.layout.PictureSizes.Film;
import giostra.core.layout.PictureSizes.Frame;
import giostra.core.value.Refused;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * What is seen on clips, for whoever asks whether words on them can be read. No library that runs
 * here draws them: a browser does, and gives some frames, one under the other in one picture.
 */
@Component
class Filming {
  /** Frames at the most. */
  static final int MOST = 24;

  /** Px that a frame is wide, at the most. */
  static final int WIDEST = 128;

  /** Px that a frame is high, at the most: of what stands more upright nothing is judged. */
  static final int MOST_HIGH = 4 * WIDEST;

  /** Bytes of the picture, at the most: as many as without any compression. */
  static final int MOST_BYTES = MOST * WIDEST * MOST_HIGH * 4;

  private static final Logger LOG = LoggerFactory.getLogger(Filming.class);
  private static final int KEPT = 64;

  private final FramesRows rows;
  private final BlobStore blobs;

  /** By hashes: what is in a clip does not change. */
  private final Cache<String, List<Samples>> known =
      Caffeine.newBuilder().maximumSize(KEPT).build();

  Filming(FramesRows rows, BlobStore blobs) {
    this.rows = rows;
    this.blobs = blobs;
  }

  /** Those that there are of some clips, by the hashes of these. */
  Map<String, FramesEntity> of(Collection<MediaEntity> clips) {
    List<String> hashes = clips.stream().map(clip -> clip.hash).distinct().toList();
    return hashes.isEmpty()
        ? Map.of()
        : rows.findAllById(hashes).stream()
            .collect(Collectors.toMap(each -> each.source, Function.identity()));
  }

  /**
   * Takes the frames of a clip in.
   *
   * @param frames how many there are in the picture, one under the other, evenly over the clip's
   *     time
   * @throws Refused when the picture is none of such frames
   */
  void take(MediaEntity clip, int frames, byte[] png) {
    String allowed =
        "a PNG of 1 to "
            + MOST
            + " frames one under the other, each "
            + WIDEST
            + " px wide at the most and of the clip’s shape";
    if (frames < 1 || frames > MOST) {
      throw new Refused("Frames", Integer.toString(frames), "from 1 to " + MOST);
    }
    if (png.length > MOST_BYTES) {
      throw new Refused("Picture of the frames", png.length + " bytes", allowed);
    }
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(png))) {
      ImageReader reader = ImageIO.getImageReadersByFormatName("png").next();
      try {
        reader.setInput(in);
        // Its size first: what is larger is not even unpacked.
        int wide = reader.getWidth(0);
        int high = reader.getHeight(0);
        double shape = (double) clip.width / Math.max(1, clip.height);
        boolean fits =
            wide <= WIDEST
                && high <= frames * MOST_HIGH
                && high % frames == 0
                && Math.abs(wide - shape * high / frames) <= Math.max(2, shape + 1);
        if (!fits) {
          throw new Refused("Picture of the frames", wide + " x " + high + " px", allowed);
        }
        reader.read(0);
      } finally {
        reader.dispose();
      }
    } catch (IOException | RuntimeException e) {
      throw e instanceof Refused refused
          ? refused
          : new Refused("Picture of the frames", "no PNG that can be read", allowed);
    }
    rows.insert(clip.hash, blobs.put(png), frames);
  }

  /** What is seen on a clip; nothing where the picture of its frames is gone. */
  Optional<Film> film(MediaEntity clip, FramesEntity of) {
    List<Samples> frames = known.get(of.source, _ -> read(of));
    return frames.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new Film(
                new PictureSizes.Size(clip.width, clip.height),
                IntStream.range(0, frames.size())
                    .mapToObj(i ->
                        new Frame(
                            clip.durationMs / 1000.0 * (i + 0.5) / frames.size(), frames.get(i)))
                    .toList()));
  }

  private List<Samples> read(FramesEntity of) {
    try {
      BufferedImage all = ImageIO.read(new ByteArrayInputStream(blobs.get(of.hash)));
      int high = all.getHeight() / of.frames;
      return IntStream.range(0, of.frames)
          .mapToObj(i -> Samples.of(all.getWidth(), high, (x, y) -> all.getRGB(x, y + i * high)))
          .toList();
    } catch (IOException | RuntimeException e) {
      // What cannot be looked at is not judged.
      LOG.warn("cannot look at the frames of {}", of.source, e);
      return List.of();
    }
  }
}
