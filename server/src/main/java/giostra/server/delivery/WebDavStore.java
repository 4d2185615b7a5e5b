package giostra.server.delivery;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublisher;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.net.http.HttpTimeoutException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Base64;
import java.util.HashSet;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import org.springframework.core.io.Resource;
import org.springframework.web.util.UriUtils;

/**
 * A web server that takes files. What changes under its name is put beside its place and moved over
 * it, since servers may show half of what is put. Source: RFC 4918; RFC 7617 for who one is.
 */
final class WebDavStore implements Store {
  private static final Duration PATIENCE = Duration.ofSeconds(30);
  private static final int CREATED = 201;
  private static final int METHOD_NOT_ALLOWED = 405;
  private static final int NOT_FOUND = 404;
  private static final int MOST_READ = 4 << 20;
  private static final String PART = ".giostra-part";

  private final HttpClient client =
      HttpClient.newBuilder()
          .version(HttpClient.Version.HTTP_1_1)
          .connectTimeout(Duration.ofSeconds(5))
          .followRedirects(HttpClient.Redirect.NEVER)
          .build();
  private final String address;
  private final String account;
  private final String secret;
  private final Set<String> made = new HashSet<>();

  /**
   * @param address with a slash at its end
   * @param account empty for none
   */
  WebDavStore(String address, String account, String secret) {
    this.address = address;
    this.account = account;
    this.secret = secret;
  }

  private URI uri(String path) {
    return URI.create(address + UriUtils.encodePath(path, StandardCharsets.UTF_8));
  }

  private HttpRequest.Builder to(URI uri) {
    HttpRequest.Builder request = HttpRequest.newBuilder(uri).timeout(PATIENCE);
    if (!account.isEmpty()) {
      byte[] both = (account + ":" + secret).getBytes(StandardCharsets.UTF_8);
      request.header("Authorization", "Basic " + Base64.getEncoder().encodeToString(both));
    }
    return request;
  }

  private <T> HttpResponse<T> ask(HttpRequest request, HttpResponse.BodyHandler<T> how)
      throws Trouble {
    try {
      return client.send(request, how);
    } catch (HttpTimeoutException e) {
      throw Trouble.passing("It did not answer within " + PATIENCE.toSeconds() + " seconds.");
    } catch (IOException e) {
      throw Trouble.passing("It cannot be reached, or broke off.");
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw Trouble.passing("Sending was cut off.");
    }
  }

  private int ask(String method, URI uri, BodyPublisher body, String... headers) throws Trouble {
    HttpRequest.Builder request = to(uri).method(method, body);
    if (headers.length > 0) {
      request.headers(headers);
    }
    return ask(request.build(), BodyHandlers.discarding()).statusCode();
  }

  @Override
  public Optional<byte[]> read(String path) throws Trouble {
    var answer = ask(to(uri(path)).GET().build(), BodyHandlers.ofInputStream());
    try (var in = answer.body()) {
      if (answer.statusCode() == NOT_FOUND) {
        return Optional.empty();
      }
      if (answer.statusCode() != 200) {
        throw Trouble.answer(answer.statusCode(), "GET");
      }
      byte[] bytes = in.readNBytes(MOST_READ + 1);
      if (bytes.length > MOST_READ) {
        throw Trouble.lasting("The file " + path + " there is not one that Giostra wrote.");
      }
      return Optional.of(bytes);
    } catch (IOException e) {
      throw Trouble.passing("Its answer broke off.");
    }
  }

  @Override
  public OptionalLong size(String path) throws Trouble {
    HttpRequest request = to(uri(path)).method("HEAD", BodyPublishers.noBody()).build();
    var answer = ask(request, BodyHandlers.discarding());
    return switch (answer.statusCode()) {
      // A length that is not told is no length: it is put anew.
      case 200 -> OptionalLong.of(answer.headers().firstValueAsLong("content-length").orElse(-1));
      case NOT_FOUND -> OptionalLong.empty();
      default -> throw Trouble.answer(answer.statusCode(), "HEAD");
    };
  }

  @Override
  public void put(String path, Resource bytes, String type, boolean lasting) throws Trouble {
    folders(path);
    String at = lasting ? path : path + PART;
    int status = ask("PUT", uri(at), body(bytes), "Content-Type", type);
    if (status < 200 || status > 299) {
      throw Trouble.answer(status, "PUT");
    }
    if (!lasting) {
      int moved =
          ask(
              "MOVE",
              uri(at),
              BodyPublishers.noBody(),
              "Destination",
              uri(path).toASCIIString(),
              "Overwrite",
              "T");
      if (moved < 200 || moved > 299) {
        throw Trouble.answer(moved, "MOVE");
      }
    }
  }

  private static BodyPublisher body(Resource bytes) throws Trouble {
    try {
      return BodyPublishers.fromPublisher(
          BodyPublishers.ofInputStream(() -> {
            try {
              return bytes.getInputStream();
            } catch (IOException e) {
              throw new UncheckedIOException(e);
            }
          }),
          bytes.contentLength());
    } catch (IOException | IllegalArgumentException e) {
      throw Trouble.lasting("A file of the release cannot be read.");
    }
  }

  /** Makes what a file is to lie in: a server that lacks it refuses the file. */
  private void folders(String path) throws Trouble {
    for (int slash = path.indexOf('/'); slash >= 0; slash = path.indexOf('/', slash + 1)) {
      String folder = path.substring(0, slash + 1);
      if (made.add(folder)) {
        int status = ask("MKCOL", uri(folder), BodyPublishers.noBody());
        // Where there is one already it may not be made again.
        if (status != CREATED && status != METHOD_NOT_ALLOWED && status != 200) {
          made.remove(folder);
          throw Trouble.answer(status, "MKCOL");
        }
      }
    }
  }

  @Override
  public void remove(String path) throws Trouble {
    int status = ask("DELETE", uri(path), BodyPublishers.noBody());
    if (status != NOT_FOUND && (status < 200 || status > 299)) {
      throw Trouble.answer(status, "DELETE");
    }
  }

  @Override
  public void close() {
    client.shutdownNow();
  }
}
