/** The application around the core. Packages are by feature; start at {@link GiostraServer}. */
@NullMarked
package giostra.server;

import org.jspecify.annotations.NullMarked;
