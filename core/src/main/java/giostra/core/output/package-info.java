/**
 * The compiler: a document to HTML, CSS and the plans that the page script executes. The same bytes
 * for the same document, whoever asks. Start at {@link giostra.core.output.Compiler}.
 */
@NullMarked
package giostra.core.output;

import org.jspecify.annotations.NullMarked;
