/**
 * All of video pieces: settings, parts, flow, output, findings, sheet. Start at {@link
 * giostra.core.piece.video.VideoRoom}.
 */
@NullMarked
package giostra.core.piece.video;

import org.jspecify.annotations.NullMarked;
