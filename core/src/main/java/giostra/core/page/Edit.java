package giostra.core.page;

import giostra.core.band.Bands;
import giostra.core.look.StyleKey;
import org.jspecify.annotations.Nullable;

/**
 * One change of a document. Applying it is a pure function, see {@link Edits}; the types are
 * closed, so that each has its inverse.
 */
public sealed interface Edit {

  /**
   * Sets one value, or takes it away so that it is inherited.
   *
   * @param node id of the node
   * @param setting id of the setting
   * @param band id of the band; empty for a setting without bands
   * @param value raw, as JSON has it; null to inherit
   */
  record SetValue(String node, String setting, String band, @Nullable Object value)
      implements Edit {}

  /**
   * Sets one value of a style, or takes it away so that what is farther out holds.
   *
   * @param node id of what says it
   * @param value raw, as JSON has it; null to take it away
   */
  record SetStyle(String node, StyleKey key, String band, @Nullable Object value) implements Edit {}

  /**
   * Puts in a node with all it holds.
   *
   * @param index place among the parent's children; beyond the last is the end
   */
  record AddNode(String parent, int index, Node node) implements Edit {}

  /** Takes a node out with all it holds. */
  record RemoveNode(String node) implements Edit {}

  /**
   * Moves a node.
   *
   * @param index place among the children that the parent has without it
   */
  record MoveNode(String node, String parent, int index) implements Edit {}

  /**
   * Moves the breakpoint at the narrow end of a band; values stay with their bands.
   *
   * @param from in CSS px
   */
  record MoveBreakpoint(String band, double from) implements Edit {}

  /** Cuts a band in two; the new one takes the upper part. */
  record AddBand(String band, String name, double from) implements Edit {}

  /** Removes a band, and with it the values set in it. */
  record RemoveBand(String band) implements Edit {}

  /** Puts other bands in place of all; values of bands that are no more go. */
  record SetBands(Bands bands) implements Edit {}

  /** Puts another page in place of the whole page; the site stays. */
  record ReplacePage(Page page) implements Edit {}

  /** Puts another document in place of all of it, its site included. */
  record Replace(Document document) implements Edit {}

  /** Whether it changes what all pages of a site share. */
  default boolean ofSite() {
    return switch (this) {
      case SetValue(var node, _, _, _) -> Site.has(node);
      case SetStyle(var node, _, _, _) -> Site.has(node);
      case AddNode(_, _, var node) -> Site.has(node.id());
      case RemoveNode(var node) -> Site.has(node);
      case MoveNode(var node, _, _) -> Site.has(node);
      case MoveBreakpoint _, AddBand _, RemoveBand _, SetBands _ -> true;
      case ReplacePage _, Replace _ -> false;
    };
  }
}
