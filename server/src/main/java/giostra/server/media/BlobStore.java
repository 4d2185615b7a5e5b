package giostra.server.media;

import org.springframework.core.io.Resource;

/** Keeps bytes by the hash of what they are; the same bytes are kept once. */
public interface BlobStore extends AutoCloseable {
  /** Keeps bytes and returns their SHA-256 in hexadecimal. */
  String put(byte[] bytes);

  /** The bytes of a hash; a Gone when there are none. */
  byte[] get(String hash);

  /** The bytes of a hash to be read in part, since clips are large. */
  Resource open(String hash);

  @Override
  void close();
}
