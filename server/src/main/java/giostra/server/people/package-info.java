/** Who may act: people, their sessions in browsers, and tokens for programs. */
@NullMarked
package giostra.server.people;

import org.jspecify.annotations.NullMarked;
