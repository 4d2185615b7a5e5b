/**
 * What fits where: tracks, their stops, and widths as functions of the viewport's width. CSS px,
 * positions growing in reading order (mirrored where it runs right to left). Knows no document and
 * no clock. Start at {@link giostra.core.fit.Track}.
 */
@NullMarked
package giostra.core.fit;

import org.jspecify.annotations.NullMarked;
