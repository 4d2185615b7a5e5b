/** Looks that ship, and what it takes to wear one: {@link giostra.core.dress.Wardrobe}. */
@NullMarked
package giostra.core.dress;

import org.jspecify.annotations.NullMarked;
