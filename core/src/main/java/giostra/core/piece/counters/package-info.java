/**
 * All of counters: settings, parts, flow, output, findings, sheet. Start at {@link
 * giostra.core.piece.counters.CountersRoom}.
 */
@NullMarked
package giostra.core.piece.counters;

import org.jspecify.annotations.NullMarked;
