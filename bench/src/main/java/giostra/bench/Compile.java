package giostra.bench;

import giostra.core.fit.Face;
import giostra.core.fit.TextFit;
import giostra.core.format.DocumentJson;
import giostra.core.layout.PictureSizes;
import giostra.core.look.Values;
import giostra.core.output.Compiled;
import giostra.core.output.Compiler;
import giostra.core.output.Shipped;
import giostra.core.page.Document;
import giostra.core.page.Edit;
import giostra.core.page.Edits;
import giostra.core.snag.Snags;
import giostra.core.snag.Sweep;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
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
  private static final Shipped SHIPPED = Shipped.scriptsOnly();
  private static final PictureSizes NO_PICTURES = _ -> Optional.empty();
  private static final Face FACE = Face.of("Source Sans 3 Variable", 400);
  private static final String WORDS =
      "A path of lamps leads from the gate to the great dome, and on the way there is a bench for "
          .repeat(3);
  private final Document demo = demo();
  private final Document large = LargePage.document();
  private final Document edited = edited();
  private final Sweep sweep = new Sweep();
  private final TextFit measured = TextFit.of(WORDS, FACE, 16, 0, Locale.ENGLISH);
  private boolean turn;
  private double width = 100;

  private Document edited() {
    String item = large.pieces().getFirst().items().getFirst().id();
    Edit edit = new Edit.SetValue(item, "heading", Values.ALL, "Another heading");
    return Edits.apply(large, List.of(edit)).document();
  }

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
  public int sweepOfTheDemoPage() {
    return Snags.of(demo, NO_PICTURES, 0).size();
  }

  @Benchmark
  public int sweepOf60Pieces() {
    return Snags.of(large, NO_PICTURES, 0).size();
  }

  /** One item's heading changes, there and back. */
  @Benchmark
  public int sweepAfterOneEdit() {
    turn = !turn;
    return sweep.of(turn ? edited : large, NO_PICTURES, 0).size();
  }

  /** Lines of a text of 60 words at a width it was not asked at before. */
  @Benchmark
  public int linesOfATextAtANewWidth() {
    width = width >= 700 ? 100 : width + 0.37;
    return TextFit.of(WORDS, FACE, 16, 0, Locale.ENGLISH).lines(width);
  }

  /** The same where the text has been measured. */
  @Benchmark
  public int linesOfAMeasuredText() {
    width = width >= 700 ? 100 : width + 0.37;
    return measured.lines(width);
  }
}
