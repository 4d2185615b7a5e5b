/** What happened is told to all servers that share a database. */
@NullMarked
package giostra.server.bell;

import org.jspecify.annotations.NullMarked;
