package giostra.core.output;

import java.util.stream.Stream;

/** Attributes of an element: names and values in turn. */
public final class Attributes {
  private Attributes() {}

  /** These and those. */
  public static String[] with(String[] some, String... more) {
    return Stream.of(some, more).flatMap(Stream::of).toArray(String[]::new);
  }
}
