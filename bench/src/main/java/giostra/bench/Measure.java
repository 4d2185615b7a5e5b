package giostra.bench;

import giostra.core.band.Bands;
import giostra.core.dress.ShippedLooks;
import giostra.core.dress.Wardrobe;
import giostra.core.look.Values;
import giostra.core.output.Compiler;
import giostra.core.output.Shipped;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.NodeType;
import giostra.core.page.Page;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.page.Starters;
import giostra.core.value.CssBlocks;
import giostra.server.testing.Postgres;
import giostra.server.testing.Process;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.zip.GZIPOutputStream;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.TimeValue;

/** Prints what is measured beside its budget. It never fails a build: machines differ. */
public final class Measure {
  private Measure() {}

  /**
   * Everything; or one of what takes long, alone: serving, growing, lasting and how many minutes.
   */
  public static void main(String[] args) throws IOException, RunnerException, InterruptedException {
    String asked = String.join(" ", args);
    if (asked.isEmpty()) {
      everything();
    } else if (asked.equals("serving")) {
      serving();
    } else if (asked.equals("growing")) {
      growing();
    } else if (asked.matches("lasting [1-9][0-9]{0,3}")) {
      lasting(Integer.parseInt(args[1]));
    } else {
      System.err.println(
          "giostra: \"" + asked + "\" is not measured: serving, growing, or lasting and minutes");
      System.exit(2);
    }
  }

  private static void everything() throws IOException, RunnerException, InterruptedException {
    sizes();
    List<Double> times = EditToStage.measure();
    System.out.printf(
        "edit to stage, 60 pieces, 50 edits: median %.0f ms, 95th percentile %.0f ms (budget 100)%n",
        times.get(times.size() / 2), times.get((int) Math.ceil(times.size() * 0.95) - 1));
    try (Postgres database = Postgres.start();
        Process app = Process.startAsShipped(database)) {
      serving();
      Growth.pages(app.api());
      Growth.editors(app.api(), 50, 20);
      Moving.measure(app.api());
      Drawing.measure(app.api());
    }
    new Runner(
            new OptionsBuilder()
                .include(Compile.class.getSimpleName())
                .jvmArgsAppend("-Dgiostra.root=" + System.getProperty("giostra.root"))
                .forks(1)
                .warmupIterations(3)
                .measurementIterations(5)
                .warmupTime(TimeValue.seconds(2))
                .measurementTime(TimeValue.seconds(2))
                .build())
        .run();
  }

  /** Alone: {@code ./giostra bench serving}. */
  private static void serving() throws IOException, InterruptedException {
    try (Postgres database = Postgres.start();
        Process app = Process.startAsShipped(database, "--giostra.demo=true")) {
      Serving.compare(app.api());
      Serving.slow(app.api());
    }
  }

  /** Alone: {@code ./giostra bench growing}: how many it bears, once all is compiled. */
  private static void growing() throws InterruptedException {
    try (Postgres database = Postgres.start();
        Process app = Process.startAsShipped(database, "--giostra.demo=true")) {
      Growth.shelf(app.api(), 150, 1000);
      for (int people : new int[] {200, 20, 100, 200, 400}) {
        Growth.editors(app.api(), people, 30);
      }
    }
  }

  /** Alone: {@code ./giostra bench lasting MINUTES}. */
  private static void lasting(int minutes) throws IOException, InterruptedException {
    try (Postgres database = Postgres.start();
        Process app = Process.startAsShipped(database, "--giostra.demo=true")) {
      Lasting.measure(app, 40, minutes);
    }
  }

  private static void sizes() throws IOException {
    var all = new ByteArrayOutputStream();
    for (String name : Shipped.SCRIPTS) {
      byte[] script = script(name + ".js");
      all.write(script);
      System.out.printf("script %s: %d bytes gzip%n", name, gzip(script));
    }
    System.out.printf("all scripts: %d bytes gzip (budget 20480)%n", gzip(all.toByteArray()));
    Set<String> bare =
        rules(
                Compiler.compile(
                        document(new Block.Heading("heading", Values.NONE)), Shipped.scriptsOnly())
                    .css())
            .collect(Collectors.toSet());
    for (Starters.Starter starter : Starters.ALL) {
      if (starter.node() instanceof Piece piece) {
        // What one starts with wears a look; the piece alone says nothing of how it looks.
        Piece plain = (Piece) piece.type().make(piece.id(), Values.NONE, piece.items());
        System.out.printf(
            "CSS of %s, kind and piece: %d bytes gzip (budget 1500), as one starts with it %d (2500)%n",
            starter.id(), own(document(plain), bare), own(document(piece), bare));
      }
    }
    dressed(bare);
  }

  /** Each kind in that of the looks that ship which takes most. */
  private static void dressed(Set<String> bare) throws IOException {
    for (NodeType kind : NodeType.values()) {
      int most = 0;
      String by = "";
      for (ShippedLooks.Shipped look : ShippedLooks.of(kind)) {
        Starters.Starter starter =
            Starters.ALL.stream()
                .filter(each -> each.node().type() == kind)
                .findFirst()
                .orElseThrow();
        Document plain = document((Block) starter.node());
        int own = own(Wardrobe.wearing(plain, (Piece) starter.node(), look.id()), bare);
        by = own > most ? look.id() : by;
        most = Math.max(most, own);
      }
      if (most > 0) {
        System.out.printf(
            "CSS of a dressed %s, at most: %d bytes gzip in %s (budget 2500)%n",
            kind.word(), most, by);
      }
    }
  }

  /** What a published sheet has that is not there for every page. */
  private static int own(Document document, Set<String> everyPage) throws IOException {
    String css = Compiler.compile(document, Shipped.scriptsOnly()).published().css();
    return gzip(
        rules(css)
            .filter(each -> !everyPage.contains(each))
            .collect(Collectors.joining())
            .getBytes(StandardCharsets.UTF_8));
  }

  private static Stream<String> rules(String css) {
    return CssBlocks.of(css).stream()
        .filter(CssBlocks.Block.class::isInstance)
        .map(each -> ((CssBlocks.Block) each).written());
  }

  private static byte[] script(String name) throws IOException {
    try (InputStream script = Measure.class.getResourceAsStream("/giostra/runtime/" + name)) {
      if (script == null) {
        throw new IllegalStateException("the runtime was not built");
      }
      return script.readAllBytes();
    }
  }

  private static Document document(Block block) {
    var section = new Section("section", Values.NONE, List.of(block));
    var page = new Page("page", Values.NONE, List.of(section));
    return new Document(new Site(Bands.INITIAL, Values.NONE), page);
  }

  private static int gzip(byte[] bytes) throws IOException {
    var out = new ByteArrayOutputStream();
    try (var zip = new GZIPOutputStream(out)) {
      zip.write(bytes);
    }
    return out.size();
  }
}
