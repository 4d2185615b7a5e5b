/** The words that published pieces say themselves, in the languages that ship. */
@NullMarked
package giostra.core.words;

import org.jspecify.annotations.NullMarked;
