package giostra.server;

import giostra.core.media.ClipHost;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * What is configured.
 *
 * @param blobs folder for the bytes of media and releases
 * @param shared a store that several servers have in common
 * @param stagePort the second port, an origin of its own for the stage; 0 takes a free one
 * @param livePort the port of live pages and snippets, an origin of their own; 0 takes a free one
 * @param origins the names by which people reach it, where another server stands before it
 * @param ownerSecret what this machine's own command line shows as a token; empty for none
 * @param falenaPort the port where the stand-in for a host of clips answers
 * @param cantinaPort the port where the stand-in for places that take files answers
 * @param cantina who may write there
 * @param postaPort the port where the stand-in for a server of mail shows what came
 * @param mail where messages are sent
 * @param deliveries where releases may go
 * @param demo whether an empty database gets the demo site
 * @param hosts of clips that pages may use
 */
@ConfigurationProperties("giostra")
public record Settings(
    Path blobs,
    Shared shared,
    int stagePort,
    int livePort,
    Origins origins,
    String ownerSecret,
    int falenaPort,
    int cantinaPort,
    Cantina cantina,
    int postaPort,
    Mail mail,
    Deliveries deliveries,
    boolean demo,
    List<Host> hosts) {
  public Settings {
    hosts = hosts == null ? List.of() : List.copyOf(hosts);
  }

  /**
   * The names by which people reach it, each as {@code https://host}; empty where they are those of
   * the ports.
   */
  public record Origins(String bench, String stage, String live) {
    public Origins {
      for (String each : List.of(bench, stage, live)) {
        if (!each.isEmpty() && !each.matches("https?://[a-z0-9.-]+(:[0-9]{1,5})?")) {
          throw new IllegalArgumentException(
              "giostra.origins: "
                  + each
                  + " is no origin; it is a scheme and a host in small letters, with a port where it"
                  + " is not the usual one, as in https://bench.example.");
        }
      }
    }

    /** Those that are named. */
    public List<String> all() {
      return Stream.of(bench, stage, live).filter(each -> !each.isEmpty()).toList();
    }
  }

  /**
   * Where messages are sent by SMTP.
   *
   * @param host empty for the stand-in that ships, which then listens on the port
   * @param account empty where none is needed
   * @param from the address that they come from
   */
  public record Mail(String host, int port, String account, String secret, String from) {}

  /**
   * A store of objects, as S3 is one, in which several servers keep bytes.
   *
   * @param address empty where there is none, and bytes are kept in a folder
   */
  public record Shared(String address, String bucket, String account, String secret) {
    public Shared {
      if (!address.isEmpty() && bucket.isEmpty()) {
        throw new IllegalArgumentException(
            "giostra.shared: a store is named, "
                + address
                + ", and no bucket in it (GIOSTRA_STORE_BUCKET).");
      }
    }
  }

  /** Who may write to Cantina. */
  public record Cantina(String account, String secret) {}

  /**
   * Where releases may go.
   *
   * @param folders the folder beneath which they may be written
   * @param hosts that they may be sent to, as {@code name} or {@code name:port}
   */
  public record Deliveries(Path folders, List<String> hosts) {
    public Deliveries {
      hosts =
          hosts.stream()
              .map(host -> host.strip().toLowerCase(Locale.ROOT))
              .filter(host -> !host.isEmpty())
              .toList();
    }
  }

  /** A host of clips, see {@link ClipHost}. */
  public record Host(
      String name, List<String> forms, String embed, String startParameter, String oembed) {}

  /** The hosts as the core knows them. */
  public List<ClipHost> clipHosts() {
    return hosts.stream()
        .map(host ->
            new ClipHost(
                host.name(), host.forms(), host.embed(), host.startParameter(), host.oembed()))
        .toList();
  }
}
