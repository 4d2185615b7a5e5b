/** Measurements for {@code ./giostra bench}. Start at {@link giostra.bench.Measure}. */
@NullMarked
package giostra.bench;

import org.jspecify.annotations.NullMarked;
