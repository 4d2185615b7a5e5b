/**
 * What is kept on a site and put in on its pages. Start at {@link
 * giostra.server.stock.StockService}.
 */
@NullMarked
package giostra.server.stock;

import org.jspecify.annotations.NullMarked;
