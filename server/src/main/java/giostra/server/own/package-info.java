/** Pages that somebody brings: places in them are filled, and they are given back. */
@NullMarked
package giostra.server.own;

import org.jspecify.annotations.NullMarked;
