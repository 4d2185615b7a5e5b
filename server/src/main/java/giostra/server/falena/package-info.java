/**
 * Falena, a small simulated host of clips that ships with the application: a stand-in for hosts on
 * the network, on an origin of its own. It knows nothing of the rest and the rest knows it only by
 * configuration, as any other host.
 */
@NullMarked
package giostra.server.falena;

import org.jspecify.annotations.NullMarked;
