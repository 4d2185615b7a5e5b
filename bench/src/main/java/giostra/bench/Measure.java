package giostra.bench;

import giostra.core.band.Bands;
import giostra.core.look.Values;
import giostra.core.output.Compiler;
import giostra.core.output.Shipped;
import giostra.core.page.Block;
import giostra.core.page.Document;
import giostra.core.page.Page;
import giostra.core.page.Piece;
import giostra.core.page.Section;
import giostra.core.page.Site;
import giostra.core.page.Starters;
import giostra.server.testing.Postgres;
import giostra.server.testing.Process;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.zip.GZIPOutputStream;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.TimeValue;

/** Prints what is measured beside its budget. It never fails a build: machines differ. */
public final class Measure {
  private Measure() {}

  public static void main(String[] args) throws IOException, RunnerException, InterruptedException {
    sizes();
    List<Double> times = EditToStage.measure();
    System.out.printf(
        "edit to stage, 60 pieces, 50 edits: median %.0f ms, 95th percentile %.0f ms (budget 100)%n",
        times.get(times.size() / 2), times.get((int) Math.ceil(times.size() * 0.95) - 1));
    try (Postgres database = Postgres.start();
        Process app = Process.start(database)) {
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

  private static void sizes() throws IOException {
    var all = new ByteArrayOutputStream();
    for (String name : Shipped.SCRIPTS) {
      byte[] script = script(name + ".js");
      all.write(script);
      System.out.printf("script %s: %d bytes gzip%n", name, gzip(script));
    }
    System.out.printf("all scripts: %d bytes gzip (budget 20480)%n", gzip(all.toByteArray()));
    String bare = css(new Block.Heading("heading", Values.NONE));
    for (Starters.Starter starter : Starters.ALL) {
      if (starter.node() instanceof Piece piece) {
        String css = css(piece);
        int shared = 0;
        while (css.charAt(shared) == bare.charAt(shared)) {
          shared++;
        }
        System.out.printf(
            "CSS of %s, kind and piece: %d bytes gzip (budget 1500)%n",
            starter.id(), gzip(css.substring(shared).getBytes(StandardCharsets.UTF_8)));
      }
    }
  }

  private static byte[] script(String name) throws IOException {
    try (InputStream script = Measure.class.getResourceAsStream("/giostra/runtime/" + name)) {
      if (script == null) {
        throw new IllegalStateException("the runtime was not built");
      }
      return script.readAllBytes();
    }
  }

  private static String css(Block block) {
    var section = new Section("section", Values.NONE, List.of(block));
    var page = new Page("page", Values.NONE, List.of(section));
    return Compiler.compile(
            new Document(new Site(Bands.INITIAL, Values.NONE), page), Shipped.scriptsOnly())
        .css();
  }

  private static int gzip(byte[] bytes) throws IOException {
    var out = new ByteArrayOutputStream();
    try (var zip = new GZIPOutputStream(out)) {
      zip.write(bytes);
    }
    return out.size();
  }
}
