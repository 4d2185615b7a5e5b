/**
 * The icons that ship with Giostra: found by name and by what they are tagged with. Start at {@link
 * giostra.server.icon.IconSet}.
 */
@NullMarked
package giostra.server.icon;

import org.jspecify.annotations.NullMarked;
