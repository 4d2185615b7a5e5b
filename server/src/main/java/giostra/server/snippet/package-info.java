/** Sections and pieces of pages in pages of somebody else's. */
@org.jspecify.annotations.NullMarked
package giostra.server.snippet;
