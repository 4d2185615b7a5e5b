/** Pictures: what is taken, where the bytes are kept. */
@NullMarked
package giostra.server.media;

import org.jspecify.annotations.NullMarked;
