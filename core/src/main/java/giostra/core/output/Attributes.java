package giostra.core.output;

import java.util.stream.Stream;

/** Attributes of an element: names and values in turn. */
final class Attributes {
  private Attributes() {}

  /** These and those. */
  static String[] with(String[] some, String... more) {
    return Stream.of(some, more).flatMap(Stream::of).toArray(String[]::new);
  }
}
