package giostra.bench;

import giostra.core.page.PieceSettings;
import giostra.server.testing.Api;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;

/** What a page costs as it grows, and how many people the server bears; over HTTP, in ms. */
final class Growth {
  private static final int EDITS = 60;
  private static final int LOOKS = 20;

  /** Seconds that editors edit before it counts. */
  private static final int UNCOUNTED = Integer.getInteger("giostra.uncounted", 10);

  private Growth() {}

  /** The value below which a share of some times lies. */
  static double share(List<Double> times, double share) {
    List<Double> sorted = times.stream().sorted().toList();
    return sorted.isEmpty() ? 0 : sorted.get((int) Math.ceil(sorted.size() * share) - 1);
  }

  private static double ms(long since) {
    return (System.nanoTime() - since) / 1e6;
  }

  /** Prints times of edits, readings, findings and publishing at pages of 10 to 500 pieces. */
  static void pages(Api api) {
    // Whatever is compiled by the way is compiled before anything counts.
    for (int pieces : new int[] {10, 60, 10, 60, 200, 500}) {
      String id = api.newPage(LargePage.mixed(pieces));
      var edits = new ArrayList<Double>();
      JsonNode page = api.page(id);
      int site = page.path("siteRevision").asInt();
      int revision = revision(page);
      for (int edit = 0; edit < EDITS; edit++) {
        // As the bench asks: it has what stood before.
        String asked = "/api/pages/" + id + "/edits?has=" + revision + "." + site;
        String body = edit(revision, "piece-" + edit % pieces, edit);
        long since = System.nanoTime();
        Api.Answer answer = api.post(asked, body);
        if (edit >= EDITS / 6) {
          edits.add(ms(since));
        }
        revision = revision(checked(answer).json().path("page"));
      }
      System.out.printf(
          "%d pieces: edit %.0f ms (95 %% in %.0f), readings %s, findings %s, publishing %s%n",
          pieces,
          share(edits, 0.5),
          share(edits, 0.95),
          timed(() -> api.get("/api/pages/" + id + "/readings?width=1280")),
          timed(() -> api.get("/api/pages/" + id + "/snags")),
          timed(() -> api.post("/api/pages/" + id + "/releases", null)));
    }
  }

  /** Prints what the shelf takes once it has some pages, two of them large. */
  static void shelf(Api api, int... pages) {
    String site = api.newSite("Shelf");
    api.newPage(site, LargePage.mixed(500));
    api.newPage(site, LargePage.mixed(500));
    int made = 2;
    for (int wanted : pages) {
      for (; made < wanted; made++) {
        api.newPage(site, LargePage.mixed(4));
      }
      var all = new ArrayList<Double>();
      var found = new ArrayList<Double>();
      for (int round = 0; round < LOOKS; round++) {
        long since = System.nanoTime();
        checked(api.get("/api/shelf?find=&from=0"));
        all.add(ms(since));
        since = System.nanoTime();
        checked(api.get("/api/shelf?find=pieces&from=50"));
        found.add(ms(since));
      }
      System.out.printf(
          "shelf of %d pages: first %.0f ms, then median %.0f (95 %% in %.0f); searched, from the 50th"
              + " %.0f (95 %% in %.0f) (budget 100)%n",
          wanted,
          all.getFirst(),
          share(all, 0.5),
          share(all, 0.95),
          share(found, 0.5),
          share(found, 0.95));
    }
  }

  /**
   * Prints how long edits take that many people make, each one a second on a page of their own.
   * They begin before it counts, so that on both sides what is compiled by the way is compiled.
   */
  static void editors(Api api, int people, int seconds) throws InterruptedException {
    List<String> pages =
        Stream.generate(() -> LargePage.mixed(10)).limit(people).map(api::newPage).toList();
    var times = new ArrayList<Double>();
    var wrong = new AtomicInteger();
    var done = new CountDownLatch(people);
    long start = System.nanoTime() + TimeUnit.SECONDS.toNanos(1);
    long counts = start + TimeUnit.SECONDS.toNanos(UNCOUNTED);
    try (var threads = Executors.newVirtualThreadPerTaskExecutor()) {
      for (int person = 0; person < people; person++) {
        JsonNode page = api.page(pages.get(person));
        long first = start + TimeUnit.SECONDS.toNanos(1) * person / people;
        threads.submit(() -> {
          var editor = new Editor(api, page);
          for (int edit = 0; edit < UNCOUNTED + seconds; edit++) {
            // Counted from when it was to be sent: who waits in a queue has waited.
            long due = first + TimeUnit.SECONDS.toNanos(edit);
            TimeUnit.NANOSECONDS.sleep(due - System.nanoTime());
            boolean taken = editor.edits("piece-" + edit % 10, edit);
            if (due >= counts) {
              synchronized (times) {
                times.add(ms(due));
              }
              wrong.addAndGet(taken ? 0 : 1);
            }
          }
          done.countDown();
          return null;
        });
      }
      done.await();
    }
    System.out.printf(
        "%d editors, an edit a second each, %d s: median %.0f ms, 95 %% in %.0f (budget 300), 99 %% in"
            + " %.0f; %d refused or failed%n",
        people, seconds, share(times, 0.5), share(times, 0.95), share(times, 0.99), wrong.get());
  }

  /**
   * Against a server that runs: its address, then "pages", "shelf", "moving", "drawing" or how many
   * editors.
   */
  public static void main(String[] args) throws InterruptedException {
    var api = new Api(args[0]);
    if (args[1].equals("pages")) {
      pages(api);
    } else if (args[1].equals("shelf")) {
      shelf(api, 150, 1000);
    } else if (args[1].equals("moving")) {
      Moving.measure(api);
    } else if (args[1].equals("drawing")) {
      Drawing.measure(api);
    } else {
      editors(api, Integer.parseInt(args[1]), 20);
    }
  }

  /** An edit of a length of a piece, as it is sent. */
  static String edit(int revision, String piece, int number) {
    return """
    {"revision":%d,"edits":[{"type":"SetValue","node":"%s","setting":"%s","band":"desktop","value":"%dpx"}]}
    """
        .formatted(revision, piece, PieceSettings.SPACE_ABOVE.id(), number % 40);
  }

  static int revision(JsonNode answer) {
    return answer.path("revision").asInt();
  }

  private static Api.Answer checked(Api.Answer answer) {
    if (answer.status() >= 300) {
      throw new IllegalStateException(answer.json().path("detail").asString());
    }
    return answer;
  }

  private static String timed(java.util.function.Supplier<Api.Answer> asked) {
    long since = System.nanoTime();
    checked(asked.get());
    double first = ms(since);
    since = System.nanoTime();
    checked(asked.get());
    return "%.0f ms (again %.0f)".formatted(first, ms(since));
  }
}
