/** Stores of objects that speak as S3 does. */
@NullMarked
package giostra.server.bucket;

import org.jspecify.annotations.NullMarked;
