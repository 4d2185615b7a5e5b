package giostra.server.delivery;

import giostra.server.Settings;
import java.util.List;
import org.springframework.stereotype.Component;

/** Places that ship, so that all of it can be tried without anybody's account. */
@Component
class StandIns {
  private final Settings settings;

  StandIns(Settings settings) {
    this.settings = settings;
  }

  /** A folder of this machine, and Cantina as a store and as a web server. */
  List<Stores.DestinationAsked> all() {
    String cantina = "http://127.0.0.1:" + settings.cantinaPort();
    String account = settings.cantina().account();
    String secret = settings.cantina().secret();
    return List.of(
        new Stores.DestinationAsked(
            "A folder of this machine", "folder", "tried", "", "", "", "", true),
        new Stores.DestinationAsked(
            "Cantina, a store", "s3", cantina + "/s3", "tried", "", account, secret, true),
        new Stores.DestinationAsked(
            "Cantina, a web server", "webdav", cantina + "/dav/", "", "", account, secret, true));
  }
}
