/**
 * Documents and edits as JSON, in and out, and the JSON Schema that describes them. Start at {@link
 * giostra.core.format.DocumentJson}.
 */
@NullMarked
package giostra.core.format;

import org.jspecify.annotations.NullMarked;
