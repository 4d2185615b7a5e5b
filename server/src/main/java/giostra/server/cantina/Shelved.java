package giostra.server.cantina;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentSkipListSet;

/** What is in Cantina's cellar, in memory: files and collections by their paths. */
final class Shelved {
  /** All that it keeps; more it refuses. */
  private static final long MOST = 256L << 20;

  /** A file. */
  record Kept(byte[] bytes, String type, String caching) {}

  private final Map<String, Kept> files = new ConcurrentHashMap<>();
  private final Set<String> folders = new ConcurrentSkipListSet<>();

  Optional<Kept> find(String path) {
    return Optional.ofNullable(files.get(path));
  }

  /** Whether there is room for so many more bytes. */
  boolean hasRoom(long bytes) {
    return files.values().stream().mapToLong(each -> each.bytes().length).sum() + bytes <= MOST;
  }

  void put(String path, Kept kept) {
    files.put(path, kept);
  }

  boolean remove(String path) {
    return files.remove(path) != null;
  }

  /** Moves a file over another one, if it is there. */
  boolean move(String from, String to) {
    Kept kept = files.get(from);
    if (kept == null) {
      return false;
    }
    files.put(to, kept);
    files.remove(from);
    return true;
  }

  /** Whether there is a collection of that path, which ends with a slash. */
  boolean isFolder(String path) {
    return path.equals("/dav/") || folders.contains(path);
  }

  boolean make(String folder) {
    return folders.add(folder);
  }
}
