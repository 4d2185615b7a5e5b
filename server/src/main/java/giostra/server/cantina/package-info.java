/**
 * Cantina: a small simulated place that takes files, so that deliveries can be tried without
 * anybody's account. It is no part of what Giostra is for.
 */
@NullMarked
package giostra.server.cantina;

import org.jspecify.annotations.NullMarked;
