package giostra.core.page;

import giostra.core.look.Values;
import java.util.List;

/**
 * Anything in a document that has an id, can be set, and may hold others.
 *
 * <p>The types are closed: whoever switches over them answers for each. Ids are unique in a
 * document and stable over releases.
 */
public sealed interface Node permits Site, Look, Page, Section, Block, Column, Item {
  /** Its id: lower-case letters, digits and hyphens, a letter first. */
  String id();

  /** What is set on it. */
  Values values();

  /** What it holds, in reading order. */
  List<? extends Node> children();

  /** Its type, which says what can be set on it and what it may hold. */
  NodeType type();

  /** The same node with other values. */
  Node with(Values values);

  /**
   * The same node holding others.
   *
   * @throws giostra.core.value.Refused when one of them does not belong in it
   */
  Node holding(List<? extends Node> children);
}
