/**
 * Bands of viewport widths and the values that settings have in them. Lengths are CSS px, viewport
 * widths include a classic scrollbar as media queries do. Knows no document. Start at {@link
 * giostra.core.band.Bands} and {@link giostra.core.value.Setting}.
 */
@NullMarked
package giostra.core.band;

import org.jspecify.annotations.NullMarked;
