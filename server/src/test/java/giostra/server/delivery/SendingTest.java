package giostra.server.delivery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import giostra.server.release.ReleaseService.Kept;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.TreeMap;
import java.util.function.IntFunction;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.core.io.ByteArrayResource;
import org.springframework.core.io.Resource;

/** What visitors have while a release is sent, wherever it is cut off. */
class SendingTest {
  /** Cut off: no trouble that anything could be said of any more. */
  private static final class Killed extends Error {
    private static final long serialVersionUID = 1;
  }

  /** A place in memory that is cut off after so many steps. */
  private static final class Memory implements Store {
    private final TreeMap<String, byte[]> files = new TreeMap<>();
    private int left = Integer.MAX_VALUE;
    private int steps;
    private boolean halves;

    private void step() {
      steps++;
      if (left-- <= 0) {
        throw new Killed();
      }
    }

    @Override
    public Optional<byte[]> read(String path) {
      step();
      return Optional.ofNullable(files.get(path));
    }

    @Override
    public OptionalLong size(String path) {
      step();
      byte[] there = files.get(path);
      return there == null ? OptionalLong.empty() : OptionalLong.of(there.length);
    }

    @Override
    public void put(String path, Resource bytes, String type, boolean lasting) {
      byte[] all = bytes(bytes);
      if (halves && lasting && left == 0) {
        files.put(path, java.util.Arrays.copyOf(all, all.length / 2));
      }
      step();
      files.put(path, all);
    }

    @Override
    public void remove(String path) {
      step();
      files.remove(path);
    }

    @Override
    public void close() {}
  }

  private static byte[] bytes(Resource resource) {
    try {
      return resource.getContentAsByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Kept file(String path, String text) {
    byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
    return new Kept(path, "text/plain", bytes.length, new ByteArrayResource(bytes));
  }

  /** A release of a page that names its files: some are of each release, some of this one alone. */
  private static List<Kept> release(int number) {
    List<String> own =
        Stream.of(
                "page." + number + ".css", "media/" + number + ".webp", "media/all.webp", "all.js")
            .toList();
    var files = new ArrayList<Kept>();
    files.add(file("index.html", "release " + number + "\n" + String.join("\n", own)));
    own.forEach(path -> files.add(file(path, "what is in " + path)));
    return files;
  }

  private static boolean send(Store store, int release) throws Trouble {
    return new Sending(store, "club/").send("page", release, release(release), _ -> {}, () -> true);
  }

  /** The release that visitors have: whole, or none. */
  private static int seen(Memory store) {
    byte[] page = store.files.get("club/index.html");
    if (page == null) {
      return 0;
    }
    List<String> lines = new String(page, StandardCharsets.UTF_8).lines().toList();
    for (String path : lines.subList(1, lines.size())) {
      assertThat(store.files).as("%s of %s", path, lines.getFirst()).containsKey("club/" + path);
      assertThat(store.files.get("club/" + path)).asString().isEqualTo("what is in " + path);
    }
    return Integer.parseInt(lines.getFirst().substring("release ".length()));
  }

  private static void cutAnywhere(List<Integer> before, int release, boolean halves)
      throws Trouble {
    IntFunction<Memory> fresh =
        _ -> {
          var store = new Memory();
          store.files.put("club/notes.txt", "somebody's".getBytes(StandardCharsets.UTF_8));
          try {
            for (int each : before) {
              send(store, each);
            }
          } catch (Trouble e) {
            throw new IllegalStateException(e);
          }
          store.steps = 0;
          return store;
        };
    Memory whole = fresh.apply(0);
    send(whole, release);
    int last = before.isEmpty() ? 0 : before.getLast();
    for (int cut = 0; cut < whole.steps; cut++) {
      Memory store = fresh.apply(cut);
      store.left = cut;
      store.halves = halves;
      assertThatThrownBy(() -> send(store, release)).isInstanceOf(Killed.class);
      assertThat(seen(store)).as("cut at %s", cut).isIn(last, release);
      // Whoever goes on leaves what there would be without the cut.
      store.left = Integer.MAX_VALUE;
      send(store, release);
      assertThat(seen(store)).isEqualTo(release);
      assertThat(store.files.keySet()).as("cut at %s", cut).containsAll(whole.files.keySet());
      send(store, release + 1);
      send(store, release + 2);
      Memory uncut = fresh.apply(0);
      for (int each : List.of(release, release + 1, release + 2)) {
        send(uncut, each);
      }
      assertThat(store.files.keySet()).isEqualTo(uncut.files.keySet());
    }
    assertThat(whole.steps).isGreaterThanOrEqualTo(8);
  }

  @Test
  void whereverItIsCutOffVisitorsHaveAWholeRelease() throws Trouble {
    cutAnywhere(List.of(), 1, false);
    cutAnywhere(List.of(1), 2, false);
    cutAnywhere(List.of(1, 2), 3, false);
    cutAnywhere(List.of(1, 2, 3), 2, false);
    cutAnywhere(List.of(1, 2), 3, true);
  }

  /** Who reads the page of before still gets its pictures; what neither has goes. */
  @Test
  void whatNeitherHasIsTakenAway() throws Trouble {
    var store = new Memory();
    send(store, 1);
    send(store, 2);
    assertThat(store.files).containsKeys("club/page.1.css", "club/page.2.css");
    send(store, 3);
    assertThat(store.files)
        .containsKeys("club/page.2.css", "club/page.3.css", "club/media/all.webp")
        .doesNotContainKeys("club/page.1.css", "club/media/1.webp");
  }

  /** What is there is not sent again. */
  @Test
  void onlyWhatIsNewIsSent() throws Trouble {
    var store = new Memory();
    send(store, 1);
    byte[] kept = store.files.get("club/media/all.webp");
    send(store, 2);
    assertThat(store.files.get("club/media/all.webp")).isSameAs(kept);
  }

  @Test
  void whatIsNotOursIsNotWrittenOver() throws Trouble {
    var store = new Memory();
    byte[] theirs = "theirs".getBytes(StandardCharsets.UTF_8);
    store.files.put("club/index.html", theirs);
    assertThatThrownBy(() -> send(store, 1))
        .isInstanceOf(Trouble.class)
        .hasMessageContaining("club/index.html")
        .hasMessageContaining("did not put there");
    assertThat(store.files).containsOnlyKeys("club/index.html");
    store.files.clear();
    send(store, 1);
    assertThatThrownBy(
            () -> new Sending(store, "club/").send("another", 1, release(1), _ -> {}, () -> true))
        .hasMessageContaining("another page");
    store.files.put("club/.giostra.json", theirs);
    assertThatThrownBy(() -> send(store, 2)).hasMessageContaining(".giostra.json");
  }

  /** A list that somebody has changed removes nothing outside its folder. */
  @Test
  void aListLeadsNowhereElse() throws Trouble {
    var store = new Memory();
    send(store, 1);
    store.files.put("secret.txt", new byte[] {1});
    String list = new String(store.files.get("club/.giostra.json"), StandardCharsets.UTF_8);
    store.files.put(
        "club/.giostra.json",
        list.replace(
                "\"all.js\"",
                "\"all.js\",\"../secret.txt\",\"/secret.txt\",\"a//../../secret.txt\"")
            .getBytes(StandardCharsets.UTF_8));
    send(store, 2);
    send(store, 3);
    assertThat(store.files).containsKey("secret.txt");
  }

  @Test
  void whatIsOvertakenStops() throws Trouble {
    var store = new Memory();
    send(store, 1);
    boolean whole = new Sending(store, "club/").send("page", 2, release(2), _ -> {}, () -> false);
    assertThat(whole).isFalse();
    assertThat(seen(store)).isEqualTo(1);
  }
}
