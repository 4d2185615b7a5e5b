package giostra.core.testing;

import giostra.core.fit.Samples;
import giostra.core.layout.PictureSizes;
import giostra.core.value.Focus;
import java.util.Optional;
import java.util.function.IntBinaryOperator;

/**
 * One picture for all, 400 by 300 px.
 *
 * @param pixel as 0xAARRGGBB, by its column and row
 */
public record OnePicture(IntBinaryOperator pixel) implements PictureSizes {
  @Override
  public Optional<Size> find(String id) {
    return id.isEmpty() ? Optional.empty() : Optional.of(new Size(400, 300));
  }

  @Override
  public Optional<Seen> seen(String id) {
    return find(id).map(_ -> new Seen(Samples.of(400, 300, pixel), Focus.CENTER));
  }
}
