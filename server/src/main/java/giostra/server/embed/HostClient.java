package giostra.server.embed;

import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpTimeoutException;
import java.time.Duration;
import java.util.Set;
import org.springframework.stereotype.Component;

/**
 * Asks hosts. Nothing but their own origins is asked, wherever they send us; they have a few
 * seconds and so many bytes.
 */
@Component
class HostClient {
  private static final Duration PATIENCE = Duration.ofSeconds(4);
  private static final int MOST_REDIRECTS = 3;

  private final HttpClient client =
      HttpClient.newBuilder()
          .connectTimeout(Duration.ofSeconds(2))
          .followRedirects(HttpClient.Redirect.NEVER)
          .build();

  /** An answer of a host. */
  record Reply(int status, byte[] bytes) {}

  /** What kept a host from being asked, or from answering; in words. */
  static final class Trouble extends Exception {
    private static final long serialVersionUID = 1;

    Trouble(String message) {
      super(message);
    }
  }

  /**
   * Gets something.
   *
   * @param origins that may be asked, as {@code http://name:port}
   */
  Reply get(String address, Set<String> origins, int mostBytes) throws Trouble {
    URI uri = uri(address);
    for (int i = 0; i <= MOST_REDIRECTS; i++) {
      String origin = uri.getScheme() + "://" + uri.getAuthority();
      if (!origins.contains(origin)) {
        throw new Trouble("It sends us to " + origin + ", which is not its own place.");
      }
      HttpResponse<InputStream> response = ask(uri);
      int status = response.statusCode();
      if (status < 300 || status > 399) {
        return new Reply(status, read(response, mostBytes));
      }
      close(response);
      uri = uri.resolve(uri(response.headers().firstValue("location").orElse("")));
    }
    throw new Trouble("It sends us round in a circle.");
  }

  private static URI uri(String address) throws Trouble {
    try {
      return URI.create(address);
    } catch (IllegalArgumentException e) {
      throw new Trouble("It answers with an address that is none: " + address);
    }
  }

  private HttpResponse<InputStream> ask(URI uri) throws Trouble {
    var request = HttpRequest.newBuilder(uri).timeout(PATIENCE).header("Accept", "*/*").build();
    try {
      return client.send(request, HttpResponse.BodyHandlers.ofInputStream());
    } catch (HttpTimeoutException e) {
      throw new Trouble("It did not answer within " + PATIENCE.toSeconds() + " seconds.");
    } catch (IOException e) {
      throw new Trouble("It cannot be reached.");
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new Trouble("Asking it was cut off.");
    }
  }

  private static byte[] read(HttpResponse<InputStream> response, int most) throws Trouble {
    try (InputStream in = response.body()) {
      byte[] bytes = in.readNBytes(most + 1);
      if (bytes.length > most) {
        throw new Trouble("It answers with more than " + most / 1024 + " kB.");
      }
      return bytes;
    } catch (IOException e) {
      throw new Trouble("Its answer broke off.");
    }
  }

  private static void close(HttpResponse<InputStream> response) {
    try {
      response.body().close();
    } catch (IOException e) {
      // It was not wanted any more.
    }
  }
}
