/** Where the application listens and what it serves besides the API. */
@NullMarked
package giostra.server.host;

import org.jspecify.annotations.NullMarked;
