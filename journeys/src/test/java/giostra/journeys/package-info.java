/**
 * The product as people meet it, driven in Debian's Chromium: the bench, and published pages. Start
 * at {@link giostra.journeys.WalkJourney}.
 */
@NullMarked
package giostra.journeys;

import org.jspecify.annotations.NullMarked;
