/**
 * All of accordions: settings, parts, flow, output, findings, sheet. Start at {@link
 * giostra.core.piece.accordion.AccordionRoom}.
 */
@NullMarked
package giostra.core.piece.accordion;

import org.jspecify.annotations.NullMarked;
