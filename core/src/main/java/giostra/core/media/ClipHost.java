package giostra.core.media;

import giostra.core.value.Require;
import java.net.URI;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A host of clips, by configuration alone: which addresses are its own, and how a clip of it is put
 * in a page.
 *
 * @param name what people call it
 * @param forms addresses that people share, with <code>{id}</code> where that of the clip stands in
 *     the path or in the query; the first is that of its page
 * @param embed address of the player, with <code>{id}</code>; it starts by itself
 * @param startParameter name of the parameter of the player's address that says the second it
 *     starts at
 * @param oembed address of its oEmbed endpoint; empty when it has none
 */
public record ClipHost(
    String name, List<String> forms, String embed, String startParameter, String oembed) {
  private static final Pattern ID = Pattern.compile("[A-Za-z0-9_-]{1,64}");
  private static final Pattern SOURCE =
      Pattern.compile(
          "<iframe\\b[^>]*\\bsrc\\s*=\\s*[\"']?([^\"'\\s>]+)", Pattern.CASE_INSENSITIVE);
  private static final Pattern CLOCK =
      Pattern.compile("(?:(\\d{1,2})h)?(?:(\\d{1,3})m)?(?:(\\d{1,6})s?)?");

  public ClipHost {
    forms = List.copyOf(forms);
    if (forms.isEmpty()) {
      throw new IllegalArgumentException("host " + name + " has no address forms");
    }
  }

  /**
   * A clip of a host.
   *
   * @param id of the clip, there
   * @param start second that the address asks to start at, 0 for none
   */
  public record Share(ClipHost host, String id, double start) {
    /** Address of its page. */
    public String page() {
      return host.forms().getFirst().replace("{id}", id);
    }

    /** Address of its player, from a second on. */
    public String player(double from) {
      String address = host.embed().replace("{id}", id);
      return from > 0
          ? address
              + (address.contains("?") ? "&" : "?")
              + host.startParameter()
              + "="
              + Require.number(from)
          : address;
    }

    /** Origin of its player, as a Content-Security-Policy has it. */
    public String origin() {
      URI player = URI.create(host.embed().replace("{id}", "x"));
      return player.getScheme() + "://" + player.getAuthority();
    }
  }

  /** The clip that an address stands for, at the first host that knows it. */
  public static Optional<Share> find(List<ClipHost> hosts, String address) {
    Matcher pasted = SOURCE.matcher(address);
    String text = pasted.find() ? pasted.group(1).replace("&amp;", "&") : address.strip();
    return hosts.stream().flatMap(host -> host.share(text).stream()).findFirst();
  }

  private Optional<Share> share(String text) {
    Optional<Parts> given = Parts.of(text.matches("(?i)https?://.*") ? text : "https://" + text);
    return given.flatMap(parts ->
        forms.stream()
            .flatMap(form -> id(form, parts).stream())
            .findFirst()
            .map(id -> new Share(this, id, parts.start())));
  }

  private static Optional<String> id(String form, Parts given) {
    Parts own = Parts.of(form.replace("{id}", "-id-")).orElseThrow();
    if (!own.place.equals(given.place) || own.path.size() != given.path.size()) {
      return Optional.empty();
    }
    String id = "";
    for (int i = 0; i < own.path.size(); i++) {
      if (own.path.get(i).equals("-id-")) {
        id = given.path.get(i);
      } else if (!own.path.get(i).equals(given.path.get(i))) {
        return Optional.empty();
      }
    }
    for (Map.Entry<String, String> wanted : own.query.entrySet()) {
      String value = given.query.getOrDefault(wanted.getKey(), "");
      if (wanted.getValue().equals("-id-")) {
        id = value;
      } else if (!wanted.getValue().equals(value)) {
        return Optional.empty();
      }
    }
    return ID.matcher(id).matches() ? Optional.of(id) : Optional.empty();
  }

  /** An address taken apart; http and https are one, and so are an address with and without www. */
  private record Parts(
      String place, List<String> path, Map<String, String> query, Map<String, String> fragment) {
    static Optional<Parts> of(String address) {
      URI uri;
      try {
        uri = URI.create(address.strip());
      } catch (IllegalArgumentException e) {
        return Optional.empty();
      }
      if (uri.getHost() == null || uri.getUserInfo() != null) {
        return Optional.empty();
      }
      String place = uri.getHost().toLowerCase(Locale.ROOT).replaceFirst("^www\\.", "");
      String path = uri.getPath() == null ? "" : uri.getPath();
      return Optional.of(
          new Parts(
              uri.getPort() < 0 ? place : place + ":" + uri.getPort(),
              List.of(path.replaceAll("^/+|/+$", "").split("/+")),
              pairs(uri.getRawQuery()),
              pairs(uri.getRawFragment())));
    }

    private static Map<String, String> pairs(@org.jspecify.annotations.Nullable String text) {
      var pairs = new LinkedHashMap<String, String>();
      for (String pair : text == null || text.isEmpty() ? new String[0] : text.split("&")) {
        String[] parts = pair.split("=", 2);
        String value = parts.length > 1 ? URLDecoder.decode(parts[1], StandardCharsets.UTF_8) : "";
        pairs.put(parts[0], value);
      }
      return pairs;
    }

    /** Seconds of {@code t=1m30s}, {@code start=90} or {@code #t=1:30}. */
    double start() {
      for (Map<String, String> some : List.of(query, fragment)) {
        for (String name : List.of("t", "start", "time_continue")) {
          String value = some.get(name);
          if (value != null) {
            return seconds(value);
          }
        }
      }
      return 0;
    }

    private static double seconds(String value) {
      if (value.matches("\\d{1,2}(:\\d{1,2}){1,2}")) {
        double all = 0;
        for (String part : value.split(":")) {
          all = all * 60 + Integer.parseInt(part);
        }
        return all;
      }
      Matcher clock = CLOCK.matcher(value.toLowerCase(Locale.ROOT));
      if (!clock.matches()) {
        return 0;
      }
      double all = 0;
      int[] worth = {3600, 60, 1};
      for (int i = 0; i < 3; i++) {
        String part = clock.group(i + 1);
        all += part == null ? 0 : Double.parseDouble(part) * worth[i];
      }
      return all;
    }
  }
}
