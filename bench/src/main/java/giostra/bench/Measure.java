package giostra.bench;

import giostra.core.output.Compiled;
import giostra.core.output.Compiler;
import giostra.core.output.Shipped;
import giostra.core.page.Document;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.zip.GZIPOutputStream;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.TimeValue;

/** Prints what is measured beside its budget. It never fails a build: machines differ. */
public final class Measure {
  private Measure() {}

  public static void main(String[] args) throws IOException, RunnerException {
    sizes();
    List<Double> times = EditToStage.measure();
    System.out.printf(
        "edit to stage, 60 pieces, 50 edits: median %.0f ms, 95th percentile %.0f ms (budget 100)%n",
        times.get(times.size() / 2), times.get((int) Math.ceil(times.size() * 0.95) - 1));
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
    try (InputStream script = Measure.class.getResourceAsStream("/giostra/runtime/giostra.js")) {
      if (script == null) {
        throw new IllegalStateException("the runtime was not built");
      }
      System.out.printf("page script: %d bytes gzip (budget 9000)%n", gzip(script.readAllBytes()));
    }
    Shipped shipped = new Shipped("giostra.js", List.of(), id -> Optional.empty());
    Document page = LargePage.document();
    Compiled compiled = Compiler.compile(page, shipped);
    int start = compiled.css().indexOf(".g-carousel");
    int end = compiled.css().indexOf("#g-section-0");
    int own = compiled.css().indexOf("#g-carousel-0");
    int next = compiled.css().indexOf("#g-section-1");
    String piece = compiled.css().substring(start, end) + compiled.css().substring(own, next);
    System.out.printf(
        "CSS of a carousel, kind and piece: %d bytes gzip (budget 1500)%n",
        gzip(piece.getBytes(StandardCharsets.UTF_8)));
  }

  private static int gzip(byte[] bytes) throws IOException {
    var out = new ByteArrayOutputStream();
    try (var zip = new GZIPOutputStream(out)) {
      zip.write(bytes);
    }
    return out.size();
  }
}
