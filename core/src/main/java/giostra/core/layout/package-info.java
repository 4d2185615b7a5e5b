/**
 * A document laid out: which values hold in each band and why, how wide containers are at any
 * viewport width, what each track comes to. CSS px. Start at {@link
 * giostra.core.layout.TrackLayout}.
 */
@NullMarked
package giostra.core.layout;

import org.jspecify.annotations.NullMarked;
