/**
 * What happens in time: easing curves, counts, how numbers are written. Times are {@link
 * java.time.Duration} or ms since the start; nothing here has a clock. Start at {@link
 * giostra.core.tempo.Count}.
 */
@NullMarked
package giostra.core.tempo;

import org.jspecify.annotations.NullMarked;
