/** Publishing: releases as static files, the live pages, the bundle. */
@NullMarked
package giostra.server.release;

import org.jspecify.annotations.NullMarked;
