/**
 * Items from files: a file that was uploaded, which of its columns go where, what could not be
 * read, and pieces that follow a file. Start at {@link giostra.server.content.IntakeService}.
 */
@NullMarked
package giostra.server.content;

import org.jspecify.annotations.NullMarked;
