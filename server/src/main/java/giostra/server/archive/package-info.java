/**
 * A whole site as one file: its pages, its media, what is kept on it. Start at {@link
 * giostra.server.archive.ArchiveService}; the format is described in {@code docs/formats}.
 */
@NullMarked
package giostra.server.archive;

import org.jspecify.annotations.NullMarked;
