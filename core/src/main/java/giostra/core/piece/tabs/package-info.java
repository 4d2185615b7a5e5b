/**
 * All of tabs: settings, parts, flow, output, findings, sheet. Start at {@link
 * giostra.core.piece.tabs.TabsRoom}.
 */
@NullMarked
package giostra.core.piece.tabs;

import org.jspecify.annotations.NullMarked;
