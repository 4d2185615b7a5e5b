package giostra.server.delivery;

import giostra.core.value.Refused;
import giostra.core.value.WordsKind;
import giostra.server.Settings;
import java.io.IOException;
import java.net.URI;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.eclipse.jgit.lib.Constants;
import org.eclipse.jgit.lib.Repository;
import org.springframework.stereotype.Component;

/**
 * Reads where releases are to go, and opens it. Nothing is sent to a host that whoever runs this
 * server has not named, nor written outside the folder that is for it.
 */
@Component
class Stores {
  private static final WordsKind NAME = new WordsKind(80, false);
  private static final WordsKind SHORT = new WordsKind(400, false);
  private static final int LONGEST_FOLDER = 200;

  /** What all stores and servers take in a path. */
  private static final Pattern FOLDER = Pattern.compile("[A-Za-z0-9_-][A-Za-z0-9._-]*");

  /** Source: the rules for names of buckets, from memory. */
  private static final Pattern BUCKET = Pattern.compile("[a-z0-9][a-z0-9.-]{1,61}[a-z0-9]");

  private final Settings settings;

  Stores(Settings settings) {
    this.settings = settings;
  }

  /**
   * A place as somebody gives it.
   *
   * @param sort by its word
   * @param address of a store, a repository or a server; of a folder its path
   * @param place bucket or branch; empty where there is none
   * @param folder in it, beneath which pages stand; empty for none
   * @param account who one is there; empty for nobody
   * @param follows whether each release is sent by itself
   */
  record DestinationAsked(
      String name,
      String sort,
      String address,
      String place,
      String folder,
      String account,
      String secret,
      boolean follows) {}

  /**
   * Fills in what is asked for.
   *
   * @throws Refused for what cannot be such a place
   */
  DestinationEntity read(DestinationAsked asked) {
    var to = new DestinationEntity();
    to.name = NAME.read("Name of the place", asked.name());
    if (to.name.isBlank()) {
      throw new Refused("Name of the place", asked.name(), "a name, such as Club's own server");
    }
    to.sort = sort(asked.sort());
    to.folder = folder("Folder", asked.folder());
    to.account = SHORT.read("Account", asked.account());
    to.secret = SHORT.read("Secret", asked.secret());
    to.follows = asked.follows();
    String place = asked.place().strip();
    switch (to.sort) {
      case FOLDER -> to.address = path("Path", asked.address());
      case WEBDAV -> {
        String address = address(asked.address()).toString();
        to.address = address.endsWith("/") ? address : address + "/";
      }
      case S3 -> {
        to.address = address(asked.address()).toString();
        if (!BUCKET.matcher(place).matches()) {
          throw new Refused(
              "Bucket",
              place,
              "3 to 63 small letters, digits, dots and hyphens, such as club-pages");
        }
        if (to.account.isEmpty() || to.secret.isEmpty()) {
          throw new Refused("Account", to.account, "an access key and its secret");
        }
        to.place = place;
      }
      case GIT -> {
        to.address =
            asked.address().contains(":")
                ? address(asked.address()).toString()
                : path("Repository", asked.address());
        if (!Repository.isValidRefName(Constants.R_HEADS + place)) {
          throw new Refused("Branch", place, "the name of a branch, such as pages");
        }
        to.place = place;
      }
    }
    return to;
  }

  private static Sort sort(String word) {
    for (Sort each : Sort.values()) {
      if (word(each).equals(word)) {
        return each;
      }
    }
    throw new Refused("Kind of place", word, "folder, s3, git or webdav");
  }

  /** The word of a kind of places. */
  static String word(Sort sort) {
    return sort.name().toLowerCase(Locale.ROOT);
  }

  /** Parts of a path, with a slash at its end; empty for none. */
  private static String folder(String what, String given) {
    // Its length is asked first: what is read takes no longer for what is refused.
    boolean fits = given.length() <= LONGEST_FOLDER;
    String path = fits ? given.strip().replaceAll("^/+|/+$", "") : given;
    if (path.isEmpty()) {
      return "";
    }
    boolean plain =
        fits
            && List.of(path.split("/", -1)).stream()
                .allMatch(part -> FOLDER.matcher(part).matches());
    if (!plain) {
      throw new Refused(
          what,
          given,
          "names of letters, digits, dots, hyphens and underscores with slashes between, such as"
              + " club/pages");
    }
    return path + "/";
  }

  private String path(String what, String given) {
    String path = folder(what, given);
    if (path.isEmpty()) {
      throw new Refused(
          what,
          given,
          "a path beneath the folder that this server may write to, such as club/pages");
    }
    return path.substring(0, path.length() - 1);
  }

  private URI address(String given) {
    String allowed =
        "an address that begins with http or https, of a host that this server may send to: "
            + String.join(", ", hosts())
            + " (whoever runs it names them: GIOSTRA_DELIVERY_HOSTS)";
    URI uri;
    try {
      uri = URI.create(given.strip());
    } catch (IllegalArgumentException e) {
      throw new Refused("Address", given, allowed);
    }
    boolean web = "http".equals(uri.getScheme()) || "https".equals(uri.getScheme());
    if (!web
        || uri.getHost() == null
        || uri.getRawUserInfo() != null
        || uri.getRawQuery() != null
        || uri.getRawFragment() != null
        || !uri.equals(uri.normalize())
        || !isAllowed(uri)) {
      throw new Refused("Address", given, allowed);
    }
    return uri;
  }

  private boolean isAllowed(URI uri) {
    return hosts().contains(uri.getAuthority().toLowerCase(Locale.ROOT));
  }

  private List<String> hosts() {
    return settings.deliveries().hosts();
  }

  /** Opens a place. Hosts are asked for anew: they may have been taken off the list. */
  Store open(DestinationEntity to) throws Trouble {
    boolean local = to.sort == Sort.FOLDER || (to.sort == Sort.GIT && !to.address.contains(":"));
    if (!local && !isAllowed(URI.create(to.address))) {
      throw Trouble.lasting("This server may not send to that host any more.");
    }
    Path root = settings.deliveries().folders().toAbsolutePath().normalize();
    return switch (to.sort) {
      case FOLDER -> new FolderStore(root, to.address);
      case WEBDAV -> new WebDavStore(to.address, to.account, to.secret);
      case S3 -> new S3Store(to.address, to.place, to.account, to.secret);
      case GIT ->
          new GitStore(
              local ? repository(root, to.address) : to.address, to.place, to.account, to.secret);
    };
  }

  private static String repository(Path root, String path) throws Trouble {
    try {
      Path there = root.resolve(path).toRealPath();
      if (!there.startsWith(root.toRealPath())) {
        throw Trouble.lasting("A link leads out of the folder that this server may write to.");
      }
      return there.toUri().toString();
    } catch (IOException e) {
      throw Trouble.lasting("There is no repository at " + path + " beneath that folder.");
    }
  }
}
