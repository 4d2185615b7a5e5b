/**
 * Who is on show when: seasons as wall-clock times of a zone, the calendar of several. Instants are
 * {@link java.time.Instant}; nothing here has a clock. Start at {@link
 * giostra.core.season.Almanac}.
 */
@NullMarked
package giostra.core.season;

import org.jspecify.annotations.NullMarked;
