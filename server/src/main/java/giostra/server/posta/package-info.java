/**
 * Posta, the stand-in for a server of mail: it takes every message and shows it to this machine.
 */
@NullMarked
package giostra.server.posta;

import org.jspecify.annotations.NullMarked;
