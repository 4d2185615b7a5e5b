/**
 * A real database and the real application for tests, each with data of its own. Start at {@link
 * giostra.server.testing.Giostra}.
 */
@NullMarked
package giostra.server.testing;

import org.jspecify.annotations.NullMarked;
