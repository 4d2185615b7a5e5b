/**
 * What the bytes of clips, captions and vector pictures say of themselves. They are read within
 * bounds: a file that claims more than it has is refused, never believed. Times are in ms, sizes in
 * px. Start at {@link giostra.core.media.ClipFacts}.
 */
@NullMarked
package giostra.core.media;

import org.jspecify.annotations.NullMarked;
