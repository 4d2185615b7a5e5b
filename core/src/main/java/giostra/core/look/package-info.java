/**
 * Where a value comes from: layers from one item out to the site, states, bands, and the one rule
 * that decides between them. Start at {@link giostra.core.look.Cascade}.
 */
@NullMarked
package giostra.core.look;

import org.jspecify.annotations.NullMarked;
