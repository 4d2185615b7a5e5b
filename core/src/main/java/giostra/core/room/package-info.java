/** Where the kinds of pieces say themselves, so that nothing below has to know them. */
@NullMarked
package giostra.core.room;

import org.jspecify.annotations.NullMarked;
