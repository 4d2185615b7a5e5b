/** What tests of several modules draw at random. */
@NullMarked
package giostra.core.testing;

import org.jspecify.annotations.NullMarked;
