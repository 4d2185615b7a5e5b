package giostra.server.delivery;

import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.Optional;
import java.util.OptionalLong;
import org.springframework.core.io.Resource;

/** A folder of this machine. Each file is written beside its place and moved there whole. */
final class FolderStore implements Store {
  private static final String PART = ".giostra-part";
  private static final int CHUNK = 1 << 16;

  private final Path root;
  private final Path folder;

  /**
   * @param root beneath which all must be, links followed
   * @param folder relative to it
   */
  FolderStore(Path root, String folder) {
    this.root = root;
    this.folder = root.resolve(folder).normalize();
  }

  /** Where a file is; nowhere outside the root, by names or by links. */
  private Path at(String path) throws Trouble {
    Path at = folder.resolve(path).normalize();
    if (!at.startsWith(root)) {
      throw Trouble.lasting("The folder is not beneath the one that this server may write to.");
    }
    try {
      Path there = at.getParent();
      while (there != null && !Files.exists(there, LinkOption.NOFOLLOW_LINKS)) {
        there = there.getParent();
      }
      Files.createDirectories(root);
      if (there != null
          && there.startsWith(root)
          && !there.toRealPath().startsWith(root.toRealPath())) {
        throw Trouble.lasting("A link leads out of the folder that this server may write to.");
      }
    } catch (IOException e) {
      throw failed(e);
    }
    return at;
  }

  @Override
  public Optional<byte[]> read(String path) throws Trouble {
    try {
      return Optional.of(Files.readAllBytes(at(path)));
    } catch (NoSuchFileException e) {
      return Optional.empty();
    } catch (IOException e) {
      throw failed(e);
    }
  }

  @Override
  public OptionalLong size(String path) throws Trouble {
    try {
      return OptionalLong.of(Files.size(at(path)));
    } catch (NoSuchFileException e) {
      return OptionalLong.empty();
    } catch (IOException e) {
      throw failed(e);
    }
  }

  @Override
  public void put(String path, Resource bytes, String type, boolean lasting) throws Trouble {
    Path to = at(path);
    // One at a time writes there: a part that a killed server left is written over.
    Path part = to.resolveSibling(to.getFileName() + PART);
    try {
      Files.createDirectories(to.getParent());
      try (InputStream in = bytes.getInputStream();
          FileChannel out =
              FileChannel.open(
                  part,
                  StandardOpenOption.CREATE,
                  StandardOpenOption.WRITE,
                  StandardOpenOption.TRUNCATE_EXISTING,
                  LinkOption.NOFOLLOW_LINKS)) {
        var from = Channels.newChannel(in);
        ByteBuffer some = ByteBuffer.allocate(CHUNK);
        while (from.read(some) >= 0) {
          some.flip();
          while (some.hasRemaining()) {
            out.write(some);
          }
          some.clear();
        }
        out.force(true);
      }
      Files.move(part, to, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
    } catch (IOException e) {
      throw failed(e);
    }
  }

  @Override
  public void remove(String path) throws Trouble {
    Path at = at(path);
    try {
      Files.deleteIfExists(at);
      Files.deleteIfExists(at.resolveSibling(at.getFileName() + PART));
    } catch (IOException e) {
      throw failed(e);
    }
  }

  /** A full disk may be emptied, and rights given: it is tried again. */
  private static Trouble failed(IOException e) {
    String why =
        e instanceof FileSystemException in && in.getReason() != null
            ? in.getReason()
            : e instanceof FileSystemException
                ? e.getClass().getSimpleName()
                : String.valueOf(e.getMessage());
    return Trouble.passing("The folder cannot be written: " + why + ".");
  }

  @Override
  public void close() {}
}
