/**
 * The site's media as people look after them: what there is, where it is used, what it lacks. Start
 * at {@link giostra.server.library.LibraryService}.
 */
@NullMarked
package giostra.server.library;

import org.jspecify.annotations.NullMarked;
