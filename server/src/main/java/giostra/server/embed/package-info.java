/**
 * What hosts of clips say of theirs, over oEmbed. Only hosts that are configured are ever asked,
 * and nothing they answer is believed unchecked. Start at {@link
 * giostra.server.embed.EmbedService}.
 */
@NullMarked
package giostra.server.embed;

import org.jspecify.annotations.NullMarked;
