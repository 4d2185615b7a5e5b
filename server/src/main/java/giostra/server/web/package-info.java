/** What all requests share: problems, origins. */
@NullMarked
package giostra.server.web;

import org.jspecify.annotations.NullMarked;
