/**
 * What the engine finds wrong or without effect, as values: where, when, what was measured, what is
 * required, and ways out as edits. Start at {@link giostra.core.snag.Rule}, the registry.
 */
@NullMarked
package giostra.core.snag;

import org.jspecify.annotations.NullMarked;
