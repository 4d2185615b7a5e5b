package giostra.server.embed;

import giostra.core.media.ClipHost;
import giostra.core.value.Parsed;
import giostra.core.value.Refused;
import giostra.server.Settings;
import giostra.server.embed.HostClient.Trouble;
import giostra.server.media.MediaService;
import java.net.URI;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.jsoup.nodes.Element;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/** Share addresses, and what their hosts say of them. Source: oEmbed 1.0. */
@Service
class EmbedService {
  private static final int MOST_ANSWER = 256 * 1024;
  private static final int MOST_PICTURE = 5 * 1024 * 1024;

  private final List<ClipHost> hosts;
  private final HostClient client;
  private final MediaService media;
  private final JsonMapper json;

  EmbedService(Settings settings, HostClient client, MediaService media, JsonMapper json) {
    this.hosts = settings.clipHosts();
    this.client = client;
    this.media = media;
    this.json = json;
  }

  /**
   * What is known of an address.
   *
   * @param known whether a host knows it
   * @param file whether it looks like a file that could be played as it is
   * @param start second that the address asks to start at
   * @param title as the host says it; empty when it says nothing
   * @param picture whether the host has one to take for a poster
   * @param said what to make of it, in words
   */
  record EmbedReply(
      boolean known,
      boolean file,
      String host,
      double start,
      String title,
      String author,
      int width,
      int height,
      boolean picture,
      String said) {}

  /** Looks an address up, and asks its host about it. */
  EmbedReply look(String address) {
    Optional<ClipHost.Share> found = ClipHost.find(hosts, address);
    if (found.isEmpty()) {
      return unknown(address);
    }
    ClipHost.Share share = found.get();
    if (share.host().oembed().isEmpty()) {
      return known(share, "", "", 0, 0, false, share.host().name() + " says nothing of its clips.");
    }
    try {
      HostAnswer answer = ask(share);
      return known(
          share,
          answer.title(),
          answer.author(),
          answer.width(),
          answer.height(),
          !answer.picture().isEmpty(),
          share.host().name()
              + (answer.type().equals("rich") ? " has this to show." : " knows this clip."));
    } catch (Trouble e) {
      return known(share, "", "", 0, 0, false, share.host().name() + ": " + e.getMessage());
    }
  }

  private static EmbedReply known(
      ClipHost.Share share,
      String title,
      String author,
      int width,
      int height,
      boolean picture,
      String said) {
    return new EmbedReply(
        true,
        false,
        share.host().name(),
        share.start(),
        title,
        author,
        width,
        height,
        picture,
        said);
  }

  private EmbedReply unknown(String address) {
    boolean file =
        address
            .toLowerCase(Locale.ROOT)
            .replaceAll("[?#].*", "")
            .matches("https?://.+\\.(mp4|m4v|webm)");
    String names = String.join(", ", hosts.stream().map(ClipHost::name).toList());
    String said =
        "No host that is set up knows this address"
            + (hosts.isEmpty() ? "." : " (there is " + names + ").")
            + (file
                ? " It looks like a file: choose “address” to play it as it is."
                : " If it is a file, choose “address” to try it as it is.");
    return new EmbedReply(false, file, "", 0, "", "", 0, 0, false, said);
  }

  /**
   * Takes the picture that a host has of a clip into the library.
   *
   * @throws Refused when there is none to be had, with the reason
   */
  MediaService.Media poster(String siteId, String address) {
    ClipHost.Share share =
        ClipHost.find(hosts, address)
            .orElseThrow(() -> new Refused("Address", address, "one of a host that is set up"));
    try {
      HostAnswer answer = ask(share);
      HostClient.Reply reply = client.get(answer.picture(), origins(share), MOST_PICTURE);
      if (reply.status() != 200) {
        throw new Trouble("It answers " + reply.status() + " when asked for its picture.");
      }
      String name = share.host().name().toLowerCase(Locale.ROOT) + "-" + share.id() + ".jpg";
      return media.add(siteId, name, answer.title(), reply.bytes());
    } catch (Trouble e) {
      throw new Refused(
          "The picture of " + share.host().name(), "not to be had: " + e.getMessage(), "there");
    }
  }

  /** Asks for JSON; a host that has none is asked for XML. Source: oEmbed, 2.3.5, "501". */
  private HostAnswer ask(ClipHost.Share share) throws Trouble {
    HostClient.Reply reply = ask(share, "json");
    return reply.status() == 501
        ? checked(HostAnswer.ofXml(well(ask(share, "xml"))), share)
        : checked(HostAnswer.ofJson(json, well(reply)), share);
  }

  private HostClient.Reply ask(ClipHost.Share share, String format) throws Trouble {
    String address =
        share.host().oembed()
            + (share.host().oembed().contains("?") ? "&" : "?")
            + "format="
            + format
            + "&url="
            + URLEncoder.encode(share.page(), StandardCharsets.UTF_8);
    return client.get(address, origins(share), MOST_ANSWER);
  }

  private static byte[] well(HostClient.Reply reply) throws Trouble {
    return switch (reply.status()) {
      case 200 -> reply.bytes();
      case 401, 403 -> throw new Trouble("This clip is private.");
      case 404 -> throw new Trouble("It has no such clip.");
      default -> throw new Trouble("It answers " + reply.status() + ".");
    };
  }

  /** Source: oEmbed, 2.3.4 "Response parameters"; that the player is its own is our condition. */
  private static HostAnswer checked(HostAnswer answer, ClipHost.Share share) throws Trouble {
    if (!answer.version().equals("1.0")) {
      throw new Trouble("Its answer is not oEmbed 1.0.");
    }
    switch (answer.type()) {
      case "video", "rich" -> {}
      case "photo" ->
          throw new Trouble(
              "It says that this is a picture; take it into the library by its address, "
                  + answer.file());
      case "link" -> throw new Trouble("It says that this is a page to link to, and no more.");
      default ->
          throw new Trouble(
              "It says that this is of the type “" + answer.type() + "”, not a video.");
    }
    Element body = Parsed.fragment(answer.html(), "").body();
    if (!body.select("script, object, embed, [onload], [onerror], [onclick]").isEmpty()) {
      throw new Trouble("What it says of its player has a script in it; it is not used.");
    }
    Element frame = body.selectFirst("iframe[src]");
    if (frame == null || !frame.attr("src").startsWith(share.origin() + "/")) {
      throw new Trouble("Its player is not in its own place; it is not used.");
    }
    return answer;
  }

  private static Set<String> origins(ClipHost.Share share) {
    var all = new HashSet<String>();
    all.add(share.origin());
    for (String each : List.of(share.host().oembed(), share.page())) {
      URI uri = URI.create(each);
      all.add(uri.getScheme() + "://" + uri.getAuthority());
    }
    return all;
  }
}
