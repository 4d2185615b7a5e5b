package giostra.server.media;

import giostra.core.output.Hash;
import giostra.server.web.CannotKeep;
import giostra.server.web.Gone;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.HexFormat;
import java.util.List;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;

/** Blobs in a folder, spread over 256 sub-folders. A file appears whole or not at all. */
final class FolderBlobStore implements BlobStore {
  private static final Logger LOG = LoggerFactory.getLogger(FolderBlobStore.class);
  private static final String PART = "part";

  /** Nobody writes one file for so long. */
  private static final int PART_HOURS = 1;

  private final Path folder;

  FolderBlobStore(Path folder) {
    this.folder = folder;
    sweep();
  }

  /** What a server that was killed has left half written. */
  private void sweep() {
    if (!Files.isDirectory(folder)) {
      return;
    }
    Instant old = Instant.now().minus(PART_HOURS, ChronoUnit.HOURS);
    try (Stream<Path> all = Files.walk(folder, 2)) {
      List<Path> parts =
          all.filter(each -> each.getFileName().toString().startsWith(PART)).toList();
      for (Path each : parts) {
        // Another server may be writing one just now.
        if (Files.getLastModifiedTime(each).toInstant().isBefore(old)) {
          Files.deleteIfExists(each);
        }
      }
    } catch (IOException | UncheckedIOException e) {
      LOG.warn("what is half written stays in {}: {}", folder, e.getMessage());
    }
  }

  boolean has(String hash) {
    return Files.exists(file(hash));
  }

  @Override
  public String put(byte[] bytes) {
    String hash = Hash.full(bytes);
    if (!has(hash)) {
      try {
        take(hash, new ByteArrayInputStream(bytes));
      } catch (IOException e) {
        throw new UncheckedIOException("cannot keep a file in " + folder, e);
      }
    }
    return hash;
  }

  /**
   * Keeps what comes.
   *
   * @param hash that it must have
   * @throws IOException where it cannot be read, or is something else
   */
  void take(String hash, InputStream from) throws IOException {
    Path file = file(hash);
    Path part = null;
    try {
      Files.createDirectories(file.getParent());
      part = Files.createTempFile(file.getParent(), PART, null);
      var read = new DigestInputStream(from, MessageDigest.getInstance("SHA-256"));
      try (var out = FileChannel.open(part, StandardOpenOption.WRITE)) {
        read.transferTo(Channels.newOutputStream(out));
        // On the disk before anybody is told that it is kept.
        out.force(true);
      }
      String has = HexFormat.of().formatHex(read.getMessageDigest().digest());
      if (!has.equals(hash)) {
        throw new IOException("what came is " + has + " and not " + hash);
      }
      Files.move(part, file, StandardCopyOption.ATOMIC_MOVE);
    } catch (FileAlreadyExistsException e) {
      // Somebody else kept the same bytes meanwhile.
    } catch (IOException e) {
      if (isFull(e)) {
        throw CannotKeep.noRoom(e);
      }
      throw e;
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    } finally {
      if (part != null) {
        Files.deleteIfExists(part);
      }
    }
  }

  /** Java has no name for it; the words are those of the system. Source: POSIX, ENOSPC, EDQUOT. */
  private static boolean isFull(IOException e) {
    String said =
        e instanceof FileSystemException file ? String.valueOf(file.getReason()) : e.getMessage();
    return said != null && (said.contains("No space left") || said.contains("quota exceeded"));
  }

  @Override
  public byte[] get(String hash) {
    try {
      return Files.readAllBytes(file(hash));
    } catch (NoSuchFileException e) {
      throw new Gone("file", hash);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Override
  public Resource open(String hash) {
    Path file = file(hash);
    if (!Files.exists(file)) {
      throw new Gone("file", hash);
    }
    return new FileSystemResource(file);
  }

  @Override
  public void close() {
    // Nothing is held.
  }

  private Path file(String hash) {
    return folder.resolve(hash.substring(0, 2)).resolve(hash);
  }
}
