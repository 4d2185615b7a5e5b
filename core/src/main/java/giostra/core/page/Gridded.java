package giostra.core.page;

/** A piece whose items stand in rows. */
public interface Gridded extends Piece {
  /** Whether it has no more columns than items, so that one by itself is as wide as it can be. */
  default boolean fillsColumns() {
    return false;
  }
}
