package giostra.core.snag;

/**
 * Where on a page something is found, as near as can be told.
 *
 * @param node id of the piece, or of the block
 * @param item id of the item; empty for the whole node
 * @param part id of the part; empty where no single part is meant
 * @param value id of the setting, or the written key of the style, that it is about; empty where it
 *     is about none
 * @param cause id of the setting, or key of the style, to look at; empty where there is none
 */
public record Place(String node, String item, String part, String value, String cause) {
  /** The whole of a node. */
  static Place of(String node) {
    return new Place(node, "", "", "", "");
  }
}
