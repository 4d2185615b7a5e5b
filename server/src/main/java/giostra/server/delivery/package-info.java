/** Releases go to other places: folders, stores, repositories, web servers. */
@NullMarked
package giostra.server.delivery;

import org.jspecify.annotations.NullMarked;
