/**
 * Kinds of values and how they are read and written: lengths, colours, grounds, texts. Each refuses
 * what it cannot be. Start at {@link giostra.core.value.Setting}, and at {@link
 * giostra.core.value.Refused} for what a refusal says.
 */
@NullMarked
package giostra.core.value;

import org.jspecify.annotations.NullMarked;
