/**
 * The document: a site's bands, one page, its sections, blocks and pieces, and the edits that
 * change them. Everything is an immutable value. Start at {@link giostra.core.page.Document} and
 * {@link giostra.core.page.Edit}.
 */
@NullMarked
package giostra.core.page;

import org.jspecify.annotations.NullMarked;
