package giostra.core.testing;

import giostra.core.fit.Samples;
import giostra.core.layout.PictureSizes;
import giostra.core.value.Focus;
import java.util.Optional;
import java.util.function.IntBinaryOperator;

/**
 * One picture for all, 400 by 300 px.
 *
 * @param samples what is seen of it
 */
public record OnePicture(Samples samples) implements PictureSizes {
  /**
   * @param pixel as 0xAARRGGBB, by its column and row
   */
  public OnePicture(IntBinaryOperator pixel) {
    this(Samples.of(400, 300, pixel));
  }

  @Override
  public Optional<Size> find(String id) {
    return id.isEmpty() ? Optional.empty() : Optional.of(new Size(400, 300));
  }

  @Override
  public Optional<Seen> seen(String id) {
    return find(id).map(_ -> new Seen(samples, Focus.CENTER));
  }
}
