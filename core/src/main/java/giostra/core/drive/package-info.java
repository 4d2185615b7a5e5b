/**
 * What happens in time on a page: the settings of a piece become a {@link giostra.core.tempo.Score}
 * over its stops. Start at {@link giostra.core.drive.Pacing}.
 */
@NullMarked
package giostra.core.drive;

import org.jspecify.annotations.NullMarked;
