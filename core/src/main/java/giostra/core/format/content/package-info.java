/** Items from files and into files: tables, lists of questions. */
@NullMarked
package giostra.core.format.content;

import org.jspecify.annotations.NullMarked;
