/**
 * Pages that somebody brings along: places in them are found and filled, and all the rest of them
 * stays as it was, byte for byte.
 */
@NullMarked
package giostra.core.own;

import org.jspecify.annotations.NullMarked;
