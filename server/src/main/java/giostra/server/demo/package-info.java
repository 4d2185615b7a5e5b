/** Loads the demo site into an empty database. */
@NullMarked
package giostra.server.demo;

import org.jspecify.annotations.NullMarked;
