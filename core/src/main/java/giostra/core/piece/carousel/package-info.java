/**
 * All of carousels: settings, parts, flow, output, findings, sheet. Start at {@link
 * giostra.core.piece.carousel.CarouselRoom}.
 */
@NullMarked
package giostra.core.piece.carousel;

import org.jspecify.annotations.NullMarked;
