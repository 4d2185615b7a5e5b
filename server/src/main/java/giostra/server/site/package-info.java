/** Sites and the shelf. */
@NullMarked
package giostra.server.site;

import org.jspecify.annotations.NullMarked;
