package giostra.server.media;

import giostra.core.output.Hash;
import giostra.server.web.CannotKeep;
import giostra.server.web.Gone;
import java.io.IOException;
import java.io.UncheckedIOException;
import org.springframework.core.io.Resource;
import software.amazon.awssdk.core.exception.SdkException;
import software.amazon.awssdk.core.exception.SdkServiceException;
import software.amazon.awssdk.core.sync.RequestBody;
import software.amazon.awssdk.services.s3.S3Client;
import software.amazon.awssdk.services.s3.model.NoSuchKeyException;

/**
 * Blobs in a store of objects that several servers share. Each keeps beside it what it was asked
 * for: bytes never change, so that what lies there is right, and what is live goes on while the
 * store is away. That folder may be emptied at any time. What an installation kept in a folder
 * before it had a store goes there when it is first asked for.
 */
final class SharedBlobStore implements BlobStore {
  private static final int INSUFFICIENT_STORAGE = 507;

  /** Beneath the folder for bytes, apart from what was kept in that alone. */
  static final String FOLDER = "of-the-store";

  private final FolderBlobStore here;
  private final FolderBlobStore before;
  private final S3Client store;
  private final String bucket;

  SharedBlobStore(FolderBlobStore here, FolderBlobStore before, S3Client store, String bucket) {
    this.here = here;
    this.before = before;
    this.store = store;
    this.bucket = bucket;
  }

  @Override
  public String put(byte[] bytes) {
    String hash = Hash.full(bytes);
    if (here.has(hash)) {
      // It came from the store, or went there first.
      return hash;
    }
    try {
      store.putObject(
          put -> put.bucket(bucket).key(hash).contentType("application/octet-stream"),
          RequestBody.fromBytes(bytes));
    } catch (SdkServiceException e) {
      throw e.statusCode() == INSUFFICIENT_STORAGE ? CannotKeep.noRoom(e) : CannotKeep.away(e);
    } catch (SdkException e) {
      throw CannotKeep.away(e);
    }
    return here.put(bytes);
  }

  @Override
  public byte[] get(String hash) {
    bring(hash);
    return here.get(hash);
  }

  @Override
  public Resource open(String hash) {
    bring(hash);
    return here.open(hash);
  }

  private void bring(String hash) {
    if (here.has(hash)) {
      return;
    }
    try (var from = store.getObject(get -> get.bucket(bucket).key(hash))) {
      here.take(hash, from);
    } catch (NoSuchKeyException e) {
      if (!before.has(hash)) {
        throw new Gone("file", hash);
      }
      put(before.get(hash));
    } catch (SdkException | IOException | UncheckedIOException e) {
      throw CannotKeep.away(e);
    }
  }

  @Override
  public void close() {
    store.close();
  }
}
