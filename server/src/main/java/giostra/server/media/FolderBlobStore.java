package giostra.server.media;

import giostra.core.output.Hash;
import giostra.server.Settings;
import giostra.server.web.Gone;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.stereotype.Component;

/** Blobs in a folder, spread over 256 sub-folders. A file appears whole or not at all. */
@Component
class FolderBlobStore implements BlobStore {
  private final Path folder;

  FolderBlobStore(Settings settings) {
    this.folder = settings.blobs();
  }

  @Override
  public String put(byte[] bytes) {
    String hash = Hash.full(bytes);
    Path file = file(hash);
    if (Files.exists(file)) {
      return hash;
    }
    try {
      Files.createDirectories(file.getParent());
      Path part = Files.createTempFile(file.getParent(), "part", null);
      try (var out = FileChannel.open(part, StandardOpenOption.WRITE)) {
        ByteBuffer left = ByteBuffer.wrap(bytes);
        while (left.hasRemaining()) {
          out.write(left);
        }
        // On the disk before anybody is told that it is kept.
        out.force(true);
      }
      Files.move(part, file, StandardCopyOption.ATOMIC_MOVE);
    } catch (FileAlreadyExistsException e) {
      // Somebody else kept the same bytes meanwhile.
    } catch (IOException e) {
      throw new UncheckedIOException("cannot keep a file in " + folder, e);
    }
    return hash;
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

  private Path file(String hash) {
    return folder.resolve(hash.substring(0, 2)).resolve(hash);
  }
}
