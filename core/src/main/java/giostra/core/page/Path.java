package giostra.core.page;

import giostra.core.anatomy.Anatomy;
import giostra.core.look.StyleKey;
import giostra.core.value.Refused;

/**
 * What a change touches. Two changes can stand in either order, and one can be taken back without
 * the other, unless their paths meet.
 *
 * <p>Ids of nodes are unique on a page; whoever compares paths of two pages compares bands only,
 * see {@link #reaches}.
 */
public sealed interface Path {

  /** All of a node: it was put in or taken out. */
  record OfNode(String node) implements Path {}

  /** Where a node stands. */
  record OfPlace(String node) implements Path {}

  /**
   * One value.
   *
   * @param band empty for a setting without bands
   */
  record OfValue(String node, String setting, String band) implements Path {}

  /** One value of a style. */
  record OfStyle(String node, StyleKey key, String band) implements Path {}

  /** A band, with every value that any page sets in it. */
  record OfBand(String band) implements Path {}

  /** Something that came or went sets a value in that band. */
  record OfUse(String band) implements Path {}

  /** The list of bands: their breakpoints and names. */
  record OfBands() implements Path {}

  /** Everything on a page. */
  record OfPage() implements Path {}

  /** Whether both touch the same thing of one page, or of its site. */
  default boolean meets(Path other) {
    return oneWay(this, other) || oneWay(other, this);
  }

  private static boolean oneWay(Path one, Path other) {
    return switch (one) {
      case OfPage _ ->
          switch (other) {
            case OfBand _, OfUse _, OfPage _ -> true;
            case OfNode _, OfPlace _, OfValue _, OfStyle _, OfBands _ -> !other.ofSite();
          };
      case OfNode(var node) ->
          switch (other) {
            case OfNode(var its) -> node.equals(its);
            case OfPlace(var its) -> node.equals(its);
            case OfValue(var its, _, _) -> node.equals(its);
            case OfStyle(var its, _, _) -> node.equals(its);
            case OfBand _, OfUse _, OfBands _, OfPage _ -> false;
          };
      case OfBand _ -> one.reaches(other);
      case OfPlace _, OfValue _, OfStyle _, OfUse _, OfBands _ ->
          one.equals(other) && !(one instanceof OfUse);
    };
  }

  /** Whether it is of what all pages share. */
  default boolean ofSite() {
    return switch (this) {
      case OfBand _, OfBands _ -> true;
      case OfNode(var node) -> Site.has(node);
      case OfPlace(var node) -> Site.has(node);
      case OfValue(var node, _, _) -> Site.has(node);
      case OfStyle(var node, _, _) -> Site.has(node);
      case OfUse _, OfPage _ -> false;
    };
  }

  /** Whether it reaches what lies on another page of the site: only a whole band does. */
  default boolean reaches(Path elsewhere) {
    return this instanceof OfBand(var band)
        && switch (elsewhere) {
          case OfBand(var its) -> band.equals(its);
          case OfUse(var its) -> band.equals(its);
          case OfValue(_, _, var its) -> band.equals(its);
          case OfStyle(_, _, var its) -> band.equals(its);
          case OfPage _ -> true;
          case OfNode _, OfPlace _, OfBands _ -> false;
        };
  }

  /** As people are told of it. */
  default String says() {
    return switch (this) {
      case OfNode(var node) -> node;
      case OfPlace(var node) -> "the place of " + node;
      case OfValue(var node, var setting, var band) ->
          node + " / " + setting + (band.isEmpty() ? "" : " / " + band);
      case OfStyle(var node, var key, var band) -> node + " / " + Anatomy.said(key) + " / " + band;
      case OfBand(var band) -> "the band " + band;
      case OfUse(var band) -> "values in the band " + band;
      case OfBands _ -> "the bands";
      case OfPage _ -> "the whole page";
    };
  }

  /** As it is kept; {@link #parse} reads it back. */
  default String written() {
    return switch (this) {
      case OfNode(var node) -> "node " + node;
      case OfPlace(var node) -> "place " + node;
      case OfValue(var node, var setting, var band) ->
          ("value " + node + " " + setting + " " + band).strip();
      case OfStyle(var node, var key, var band) ->
          "style " + node + " " + key.written() + " " + band;
      case OfBand(var band) -> "band " + band;
      case OfUse(var band) -> "use " + band;
      case OfBands _ -> "bands";
      case OfPage _ -> "page";
    };
  }

  /** Reads what {@link #written} wrote. */
  static Path parse(String written) {
    String[] parts = written.split(" ");
    return switch (parts[0]) {
      case "node" -> new OfNode(parts[1]);
      case "place" -> new OfPlace(parts[1]);
      case "value" -> new OfValue(parts[1], parts[2], parts.length > 3 ? parts[3] : "");
      case "style" -> new OfStyle(parts[1], StyleKey.parse(parts[2]), parts[3]);
      case "band" -> new OfBand(parts[1]);
      case "use" -> new OfUse(parts[1]);
      case "bands" -> new OfBands();
      case "page" -> new OfPage();
      default -> throw new Refused("path", written, "one that was written here");
    };
  }
}
