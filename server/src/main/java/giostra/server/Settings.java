package giostra.server;

import giostra.core.media.ClipHost;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * What is configured.
 *
 * @param blobs folder for the bytes of media and releases
 * @param stagePort the second port, an origin of its own for the stage; 0 takes a free one
 * @param falenaPort the third port, where the stand-in for a host of clips answers
 * @param cantinaPort the one after the figures', where the stand-in for places that take files
 *     answers
 * @param cantina who may write there
 * @param deliveries where releases may go
 * @param demo whether an empty database gets the demo site
 * @param hosts of clips that pages may use
 */
@ConfigurationProperties("giostra")
public record Settings(
    Path blobs,
    int stagePort,
    int falenaPort,
    int cantinaPort,
    Cantina cantina,
    Deliveries deliveries,
    boolean demo,
    List<Host> hosts) {
  public Settings {
    hosts = hosts == null ? List.of() : List.copyOf(hosts);
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
