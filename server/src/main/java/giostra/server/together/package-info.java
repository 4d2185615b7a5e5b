/** Several people on one page: they hear of each other's changes, and see where each other is. */
@NullMarked
package giostra.server.together;

import org.jspecify.annotations.NullMarked;
