/**
 * The parts of everything that is seen on a page, and what each looks like where nobody has said
 * anything: sizes, colours and faces stand here and nowhere else. The sheets that ship and the
 * engine's heights both read them. Values are our own; no source. Start at {@link
 * giostra.core.anatomy.Anatomy}.
 */
@NullMarked
package giostra.core.anatomy;

import org.jspecify.annotations.NullMarked;
