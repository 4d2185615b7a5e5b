package giostra.server.delivery;

import giostra.server.bucket.Buckets;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.function.Supplier;
import org.springframework.core.io.Resource;
import software.amazon.awssdk.core.exception.SdkException;
import software.amazon.awssdk.core.exception.SdkServiceException;
import software.amazon.awssdk.core.sync.RequestBody;
import software.amazon.awssdk.services.s3.S3Client;
import software.amazon.awssdk.services.s3.model.NoSuchKeyException;

/** A bucket of a store that speaks as S3 does; each file comes to be there whole. */
final class S3Store implements Store {
  private static final String FOR_GOOD = "public, max-age=31536000, immutable";
  private static final String ASKED_EACH_TIME = "no-cache";

  private final S3Client client;
  private final String bucket;

  S3Store(String address, String bucket, String account, String secret) {
    this.bucket = bucket;
    this.client = Buckets.open(address, account, secret);
  }

  private static <T> T asked(String what, Supplier<T> ask) throws Trouble {
    try {
      return ask.get();
    } catch (SdkServiceException e) {
      throw Trouble.answer(e.statusCode(), what);
    } catch (SdkException | UncheckedIOException e) {
      throw Trouble.passing("It cannot be reached, or broke off.");
    }
  }

  @Override
  public Optional<byte[]> read(String path) throws Trouble {
    return asked(
        "GET",
        () -> {
          try {
            return Optional.of(
                client.getObjectAsBytes(get -> get.bucket(bucket).key(path)).asByteArray());
          } catch (NoSuchKeyException e) {
            return Optional.empty();
          }
        });
  }

  @Override
  public OptionalLong size(String path) throws Trouble {
    return asked(
        "HEAD",
        () -> {
          try {
            return OptionalLong.of(
                client.headObject(head -> head.bucket(bucket).key(path)).contentLength());
          } catch (NoSuchKeyException e) {
            return OptionalLong.empty();
          }
        });
  }

  @Override
  public void put(String path, Resource bytes, String type, boolean lasting) throws Trouble {
    RequestBody body;
    try {
      body = RequestBody.fromContentProvider(() -> open(bytes), bytes.contentLength(), type);
    } catch (IOException e) {
      throw Trouble.lasting("A file of the release cannot be read.");
    }
    asked(
        "PUT",
        () ->
            client.putObject(
                put ->
                    put.bucket(bucket)
                        .key(path)
                        .contentType(type)
                        .cacheControl(lasting ? FOR_GOOD : ASKED_EACH_TIME),
                body));
  }

  private static InputStream open(Resource bytes) {
    try {
      return bytes.getInputStream();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Override
  public void remove(String path) throws Trouble {
    asked("DELETE", () -> client.deleteObject(delete -> delete.bucket(bucket).key(path)));
  }

  @Override
  public void close() {
    client.close();
  }
}
