/**
 * All of sliders: settings, parts, flow, output, findings, sheet. Start at {@link
 * giostra.core.piece.slider.SliderRoom}.
 */
@NullMarked
package giostra.core.piece.slider;

import org.jspecify.annotations.NullMarked;
