package giostra.bench;

import giostra.core.format.DocumentJson;
import giostra.core.output.Compiled;
import giostra.core.output.Compiler;
import giostra.core.output.Shipped;
import giostra.core.page.Document;
import giostra.core.page.Piece;
import giostra.core.snag.Narrow;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;

/** How long the core takes, warm, for the demo page and for a page of 60 pieces and 600 items. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
public class Compile {
  private static final Shipped SHIPPED =
      new Shipped("giostra.js", List.of(), id -> Optional.empty());
  private final Document demo = demo();
  private final Document large = LargePage.document();

  private static Document demo() {
    Path root = Path.of(System.getProperty("giostra.root"));
    try {
      return DocumentJson.read(
          Files.readString(root.resolve("server/src/main/resources/giostra/demo/evenings.json")));
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  @Benchmark
  public Compiled compileOfTheDemoPage() {
    return Compiler.compile(demo, SHIPPED);
  }

  @Benchmark
  public Compiled compileOf60Pieces() {
    return Compiler.compile(large, SHIPPED);
  }

  @Benchmark
  public int sweepOf60Pieces() {
    int found = 0;
    for (Piece piece : large.pieces()) {
      found += Narrow.of(large, (Piece.Carousel) piece, 0).size();
    }
    return found;
  }
}
