package giostra.core.room;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import giostra.core.layout.LaidOut;
import giostra.core.look.Part;
import giostra.core.look.Values;
import giostra.core.output.Written;
import giostra.core.page.NodeType;
import giostra.core.page.PieceRoom;
import giostra.core.snag.Judged;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.lang.module.ModuleDescriptor;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** A kind of piece is a room of its own, and nobody but a few has to know which there are. */
class RoomsTest {
  private static final Path ROOT = Path.of(System.getProperty("giostra.root"));

  private static final JavaClasses CORE =
      new ClassFileImporter()
          .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
          .importPackages("giostra.core");

  /** All that names a kind outside its own folder: what CONTRIBUTING.md says a new one touches. */
  private static final Set<String> NAMED =
      Set.of(
          "core/src/main/java/giostra/core/output/Plan.java",
          "core/src/main/java/giostra/core/page/LookSettings.java",
          "core/src/main/java/giostra/core/page/NodeType.java",
          "core/src/main/java/module-info.java",
          "core/src/main/resources/META-INF/services/giostra.core.room.Room",
          "core/src/main/resources/giostra/core/dress/looks.json",
          "runtime/build.mjs",
          "workbench/src/app.css",
          "workbench/src/bench/document.ts",
          "workbench/src/dress/Dresses.tsx",
          "workbench/src/map/KindSign.tsx",
          "workbench/src/map/Moving.tsx",
          "workbench/src/map/icons.ts");

  @Test
  void thereIsARoomForEachKindInTheOrderInWhichPeopleSeeThem() {
    assertThat(Rooms.words())
        .isEqualTo(
            Arrays.stream(NodeType.values())
                .filter(NodeType::isPiece)
                .map(NodeType::word)
                .toList());
    assertThat(Rooms.all())
        .allSatisfy(room ->
            assertThat(room)
                .isInstanceOf(LaidOut.class)
                .isInstanceOf(Written.class)
                .isInstanceOf(Judged.class));
  }

  @Test
  void aRoomMakesPiecesOfItsOwnKind() {
    for (Room each : Rooms.all()) {
      var room = Rooms.of(each.word(), PieceRoom.class);
      var made = room.piece("some", Values.NONE, List.of());
      assertThat(made.type().word()).isEqualTo(each.word());
      assertThat(made.getClass().getPackage()).isEqualTo(room.getClass().getPackage());
      assertThat(room.parts()).extracting(Part::id).doesNotHaveDuplicates();
      assertThat(room.parts()).containsAll(room.between()).containsAll(room.under().values());
    }
    assertThatThrownBy(() -> Rooms.of("page", PieceRoom.class)).hasMessageContaining("page");
  }

  /** With a module path the module says what there is, with a class path the file of services. */
  @Test
  void theModuleSaysTheSameAsTheServices() throws IOException {
    List<String> listed =
        Files.readAllLines(
            ROOT.resolve("core/src/main/resources/META-INF/services/giostra.core.room.Room"));
    try (InputStream in =
        Files.newInputStream(ROOT.resolve("core/target/classes/module-info.class"))) {
      var module = ModuleDescriptor.read(in);
      assertThat(module.provides())
          .singleElement()
          .satisfies(provided -> {
            assertThat(provided.service()).isEqualTo(Room.class.getName());
            assertThat(provided.providers()).isEqualTo(listed);
          });
      // What is offered is written down: every package is, but for the rooms that nobody asks.
      Set<String> offered =
          module.exports().stream()
              .map(ModuleDescriptor.Exports::source)
              .collect(Collectors.toCollection(TreeSet::new));
      Set<String> kept =
          CORE.stream()
              .map(each -> each.getPackageName())
              .collect(Collectors.toCollection(TreeSet::new));
      kept.remove("");
      kept.removeAll(offered);
      assertThat(kept)
          .contains("giostra.core.room", "giostra.core.piece.slider", "giostra.core.piece.video")
          .allMatch(
              name -> name.equals("giostra.core.room") || name.startsWith("giostra.core.piece."));
    }
  }

  @Test
  void noRoomKnowsAnotherAndNothingInTheCoreKnowsARoom() {
    slices().matching("giostra.core.piece.(*)..").should().notDependOnEachOther().check(CORE);
    noClasses()
        .that()
        .resideOutsideOfPackage("giostra.core.piece..")
        .should()
        .dependOnClassesThat()
        .resideInAPackage("giostra.core.piece..")
        .check(CORE);
  }

  /** Flip boxes have the one name that means nothing else anywhere. */
  @Test
  void whatAKindTouchesIsItsFolderAndAFewFiles() throws IOException {
    var kind = Pattern.compile("flip-boxes|FlipBoxes|flipBoxes|FLIP_BOXES|flipboxes");
    try (Stream<Path> files =
        Stream.of(
                "core/src/main",
                "server/src/main",
                "runtime/src",
                "workbench/src",
                "bench/src/main")
            .map(ROOT::resolve)
            .flatMap(RoomsTest::within)) {
      Set<String> naming =
          Stream.concat(files, Stream.of(ROOT.resolve("runtime/build.mjs")))
              .filter(file -> kind.matcher(text(file)).find())
              .map(file -> ROOT.relativize(file).toString())
              .filter(file -> !file.contains("/core/piece/flipboxes/"))
              // What was said of kinds in older documents: a new one was not yet there.
              .filter(file -> !file.endsWith("/format/OneHome.java"))
              // Its own script, what is generated from its plan, the demo that has some.
              .filter(file -> !file.endsWith("/flip-boxes.ts") && !file.endsWith("/plan.ts"))
              .filter(file -> !file.contains("/giostra/demo/") && !file.contains("/generated/"))
              .collect(Collectors.toCollection(TreeSet::new));
      assertThat(naming).isEqualTo(new TreeSet<>(NAMED));
    }
    String said = text(ROOT.resolve("CONTRIBUTING.md"));
    assertThat(NAMED)
        .allMatch(
            file -> said.contains(Objects.requireNonNull(Path.of(file).getFileName()).toString()));
  }

  private static Stream<Path> within(Path folder) {
    try {
      return Files.walk(folder)
          .filter(file ->
              file.toString().matches(".*\\.(java|ts|tsx|css|json|properties)|.*services/[^/]+"));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static String text(Path file) {
    try {
      return Files.readString(file, StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
