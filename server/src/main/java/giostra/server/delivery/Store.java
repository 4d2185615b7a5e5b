package giostra.server.delivery;

import java.util.Optional;
import java.util.OptionalLong;
import org.springframework.core.io.Resource;

/**
 * A place that takes files by their paths, such as {@code evenings/index.html}. What is put is
 * there whole or not at all, where the place can do so; who asks for it meanwhile gets what was
 * there before.
 */
interface Store extends AutoCloseable {
  /** A small file, as it is there. */
  Optional<byte[]> read(String path) throws Trouble;

  /** How many bytes a file has there. */
  OptionalLong size(String path) throws Trouble;

  /**
   * Puts a file there.
   *
   * @param lasting whether what is under such a path never changes
   */
  void put(String path, Resource bytes, String type, boolean lasting) throws Trouble;

  /** Takes a file away; one that is not there is away. */
  void remove(String path) throws Trouble;

  /** All that was put and removed is to be seen now, at the latest. */
  default void finish(String message) throws Trouble {}

  @Override
  void close();
}
