/**
 * What one and the same content costs in one way and in another: px of height, and what is found.
 */
@org.jspecify.annotations.NullMarked
package giostra.core.cost;
