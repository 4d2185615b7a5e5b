/** Review: links for people without an account, and the remarks that anybody leaves on a page. */
@NullMarked
package giostra.server.review;

import org.jspecify.annotations.NullMarked;
