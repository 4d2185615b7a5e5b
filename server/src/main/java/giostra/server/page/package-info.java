/**
 * Pages, what they share with their site, and the one history of both: a change is numbered within
 * its site without gaps, whatever it touches, and is taken back as one. Start at {@link
 * giostra.server.page.History}.
 */
@NullMarked
package giostra.server.page;

import org.jspecify.annotations.NullMarked;
