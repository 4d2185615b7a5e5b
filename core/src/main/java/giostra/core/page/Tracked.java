package giostra.core.page;

/** A piece whose items stand on a track. */
public interface Tracked extends Piece {
  /** Whether one item fills the view, so that the words on it come and go with it. */
  default boolean oneByOne() {
    return false;
  }
}
