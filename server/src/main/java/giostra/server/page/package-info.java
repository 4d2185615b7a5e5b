/**
 * Pages: documents, revisions, edits, readings. Start at {@link giostra.server.page.PageService}.
 */
@NullMarked
package giostra.server.page;

import org.jspecify.annotations.NullMarked;
