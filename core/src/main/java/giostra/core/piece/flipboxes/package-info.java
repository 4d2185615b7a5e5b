/**
 * All of flip boxes: settings, parts, flow, output, findings, sheet. Start at {@link
 * giostra.core.piece.flipboxes.FlipRoom}.
 */
@NullMarked
package giostra.core.piece.flipboxes;

import org.jspecify.annotations.NullMarked;
