/**
 * What the engine finds wrong or without effect, as values: where, what was measured, what is
 * required, and a fix as edits. Start at {@link giostra.core.snag.NoEffect} and {@link
 * giostra.core.snag.Narrow}.
 */
@NullMarked
package giostra.core.snag;

import org.jspecify.annotations.NullMarked;
