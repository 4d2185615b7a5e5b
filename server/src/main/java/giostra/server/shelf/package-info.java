/**
 * What is done to whole pages and sites: named, copied, moved, put away, brought back, dropped.
 * Start at {@link giostra.server.shelf.ShelfService}.
 */
@NullMarked
package giostra.server.shelf;

import org.jspecify.annotations.NullMarked;
