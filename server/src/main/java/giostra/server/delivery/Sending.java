package giostra.server.delivery;

import giostra.server.release.ReleaseService.Kept;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.IntConsumer;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.ByteArrayResource;
import org.springframework.core.io.Resource;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Sends a release so that visitors have one whole release at any moment, whenever it is cut off:
 * what is new goes first, under names that say what is in it, then the page itself, and only then
 * goes what neither this release nor the one before it has, since somebody may still read that one.
 * Which files there are ours a list beside them says; nothing else is ever written over or removed.
 */
final class Sending {
  /** The page: the one file whose bytes change under its name. */
  static final String PAGE = "index.html";

  /** Which files there are ours. */
  static final String LIST = ".giostra.json";

  private static final JsonMapper JSON = JsonMapper.builder().build();

  private final Store store;
  private final String folder;

  /**
   * @param folder of the page, with a slash at its end; empty for the place itself
   */
  Sending(Store store, String folder) {
    this.store = store;
    this.folder = folder;
  }

  /**
   * What is known of the files that are there.
   *
   * @param page the id of the page that they are of
   * @param release the one that the page there is of; 0 as long as none is
   * @param current paths of that release
   * @param all paths of ours that may be there
   */
  record Known(String page, int release, Set<String> current, Set<String> all) {
    static Known read(byte[] bytes) throws Trouble {
      try {
        JsonNode json = JSON.readTree(bytes);
        if (json.path("page").isString()) {
          return new Known(
              json.path("page").asString(),
              json.path("release").asInt(),
              paths(json.path("current")),
              paths(json.path("all")));
        }
      } catch (JacksonException e) {
        // Told below.
      }
      throw Trouble.lasting("The file " + LIST + " there is not one that Giostra wrote.");
    }

    private static Set<String> paths(JsonNode json) {
      var paths = new LinkedHashSet<String>();
      json.valueStream().map(JsonNode::asString).filter(Known::isOurs).forEach(paths::add);
      return paths;
    }

    /** Nothing outside its own folder, whoever has written the list since. */
    private static boolean isOurs(String path) {
      return !path.isEmpty()
          && !path.startsWith("/")
          && !path.contains("\\")
          && List.of(path.split("/", -1)).stream()
              .noneMatch(part -> part.isEmpty() || part.equals(".") || part.equals(".."));
    }

    byte[] written() {
      Map<String, Object> json = new LinkedHashMap<>();
      json.put("page", page);
      json.put("release", release);
      json.put("current", current);
      json.put("all", all);
      return JSON.writeValueAsBytes(json);
    }
  }

  /**
   * Sends what is not there yet.
   *
   * @param release its number
   * @param files of it
   * @param told how many files are there, each time that there are more
   * @param goesOn whether it is still this release that is to go there; asked between files
   * @return whether all of it is there
   */
  boolean send(String page, int release, List<Kept> files, IntConsumer told, BooleanSupplier goesOn)
      throws Trouble {
    @Nullable Kept index = null;
    for (Kept each : files) {
      index = each.path().equals(PAGE) ? each : index;
    }
    if (index == null) {
      throw Trouble.lasting("Release " + release + " has no " + PAGE + ".");
    }
    Known before = known(page);
    var paths = new LinkedHashSet<String>();
    files.forEach(each -> paths.add(each.path()));
    var all = new LinkedHashSet<>(before.all());
    all.addAll(paths);
    list(new Known(page, before.release(), before.current(), all));
    int sent = 0;
    for (Kept each : files) {
      if (!each.path().equals(PAGE)) {
        if (!goesOn.getAsBoolean()) {
          return false;
        }
        sendUnlessThere(each);
        sent++;
        told.accept(sent);
      }
    }
    if (!goesOn.getAsBoolean()) {
      return false;
    }
    put(index, false);
    told.accept(sent + 1);
    var kept = new LinkedHashSet<>(paths);
    // Sent again it is its own forerunner: what was kept for the one before it stays.
    kept.addAll(before.release() == release ? before.all() : before.current());
    for (String path : all) {
      if (!kept.contains(path)) {
        store.remove(folder + path);
      }
    }
    list(new Known(page, release, paths, kept));
    store.finish("Release " + release);
    return true;
  }

  private Known known(String page) throws Trouble {
    Optional<byte[]> list = store.read(folder + LIST);
    if (list.isPresent()) {
      Known known = Known.read(list.get());
      if (!known.page().equals(page)) {
        throw Trouble.lasting(
            "The folder there has another page in it, " + known.page() + "; give another folder.");
      }
      return known;
    }
    if (store.size(folder + PAGE).isPresent()) {
      throw Trouble.lasting(
          "There is a page at "
              + folder
              + PAGE
              + " already that Giostra did not put there; give another folder, or take it away.");
    }
    return new Known(page, 0, Set.of(), Set.of());
  }

  private void sendUnlessThere(Kept file) throws Trouble {
    OptionalLong there = store.size(folder + file.path());
    // Its name says what is in it, so that it is whole if it is as long.
    if (there.isEmpty() || there.getAsLong() != file.bytes()) {
      put(file, true);
    }
  }

  private void put(Kept file, boolean lasting) throws Trouble {
    store.put(folder + file.path(), file.content(), file.type(), lasting);
  }

  private void list(Known known) throws Trouble {
    Resource bytes = new ByteArrayResource(known.written());
    store.put(folder + LIST, bytes, "application/json", false);
  }
}
