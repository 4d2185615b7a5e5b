package giostra.core.own;

import giostra.core.value.Refused;
import java.util.List;

/**
 * By what an element is known again in a page that has changed.
 *
 * @param id its id; empty for none
 * @param print what it looks like in itself: its tag, its classes and how its text begins
 * @param alone whether no other element looked so
 * @param within id of the nearest element around it that has one; empty for none
 * @param way from there or the root down, each step the tag and which it is of those that its
 *     parent has
 * @param among how many of its tag each of those parents had
 */
public record Mark(
    String id, String print, boolean alone, String within, List<String> way, List<Integer> among) {
  /**
   * Keeps what it is given.
   *
   * @throws Refused without a way
   */
  public Mark {
    if (way.isEmpty()) {
      throw new Refused("way of a mark", "empty", "one step at the least");
    }
    way = List.copyOf(way);
    among = List.copyOf(among);
  }

  /** Its tag, in lower case. */
  String tag() {
    return way.getLast().substring(0, way.getLast().lastIndexOf(':'));
  }

  /** Its tag and its classes. */
  String kind() {
    return print.substring(0, print.indexOf('\n'));
  }
}
