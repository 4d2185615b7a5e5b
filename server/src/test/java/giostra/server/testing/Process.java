package giostra.server.testing;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** The packaged application in a process of its own, as the start command runs it. */
public final class Process implements AutoCloseable {
  private final java.lang.Process process;
  private final Api api;

  /** It lives for seconds: what it would gain later it loses by compiling now. */
  private static final List<String> BRIEF =
      List.of("-XX:+UseSerialGC", "-Xmx384m", "-XX:TieredStopAtLevel=1");

  private Process(java.lang.Process process, Api api) {
    this.process = process;
    this.api = api;
  }

  /**
   * Starts it over a database and waits until it answers.
   *
   * @param more what is configured otherwise, as arguments
   */
  public static Process start(Postgres database, String... more) {
    return start(BRIEF, Postgres.freePort(), database, more);
  }

  /** Starts it with names for its origins, all of them localhost on ports of their own. */
  public static Process startNamed(Postgres database, String... more) {
    int bench = Postgres.freePort();
    int stage = Postgres.freePort();
    int live = Postgres.freePort();
    var all =
        new ArrayList<String>(
            List.of(
                "--giostra.stage-port=" + stage,
                "--giostra.live-port=" + live,
                "--giostra.origins.bench=http://localhost:" + bench,
                "--giostra.origins.stage=http://localhost:" + stage,
                "--giostra.origins.live=http://localhost:" + live));
    all.addAll(List.of(more));
    return start(BRIEF, bench, database, all.toArray(String[]::new));
  }

  /** Starts it as the start command does, for whoever measures how fast it is. */
  public static Process startAsShipped(Postgres database, String... more) {
    return start(
        List.of("@" + System.getProperty("giostra.root") + "/server/java.args"),
        Postgres.freePort(),
        database,
        more);
  }

  private static Process start(List<String> machine, int port, Postgres database, String... more) {
    try {
      var command =
          new ArrayList<String>(
              List.of(
                  Path.of(System.getProperty("java.home"), "bin/java").toString(),
                  "-jar",
                  Unpacked.JAR.toString(),
                  "--server.port=" + port,
                  "--giostra.stage-port=0",
                  "--giostra.live-port=0",
                  "--giostra.owner-secret=" + Api.SECRET,
                  "--management.server.port=0",
                  "--giostra.falena-port=" + Postgres.freePort(),
                  "--giostra.cantina-port=" + Postgres.freePort(),
                  "--giostra.posta-port=0",
                  "--giostra.mail.port=0",
                  "--giostra.demo=false",
                  "--spring.datasource.url=" + database.url()));
      command.addAll(1, machine);
      if (List.of(more).stream().noneMatch(each -> each.startsWith("--giostra.blobs="))) {
        command.add("--giostra.blobs=" + Files.createTempDirectory("giostra-test-blobs"));
      }
      // What is given again is given once: two values of one name would be a list.
      for (String each : more) {
        command.removeIf(usual -> usual.startsWith(each.replaceFirst("=.*", "=")));
      }
      command.addAll(List.of(more));
      var builder = new ProcessBuilder(command);
      // As the start command does: each arena of the C library keeps what it once had.
      builder.environment().put("MALLOC_ARENA_MAX", "2");
      java.lang.Process process =
          builder
              .redirectErrorStream(true)
              .redirectOutput(Files.createTempFile("giostra-test", ".log").toFile())
              .start();
      var started = new Process(process, new Api("http://127.0.0.1:" + port));
      started.await();
      return started;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * The application's jar, laid out as the start command does: out of nested jars it starts slowly.
   */
  private static final class Unpacked {
    private static final Path JAR = unpack();

    private Unpacked() {}

    private static Path unpack() {
      Path root = Path.of(System.getProperty("giostra.root"));
      try {
        Path target = root.resolve("server/target/app");
        java.lang.Process tools =
            new ProcessBuilder(
                    Path.of(System.getProperty("java.home"), "bin/java").toString(),
                    "-Djarmode=tools",
                    "-jar",
                    root.resolve("server/target/giostra-server-app.jar").toString(),
                    "extract",
                    "--force",
                    "--destination",
                    target.toString())
                .redirectErrorStream(true)
                .redirectOutput(Files.createTempFile("giostra-test", ".log").toFile())
                .start();
        if (tools.onExit().join().exitValue() != 0) {
          throw new IllegalStateException("the application's jar could not be laid out");
        }
        return target.resolve("giostra-server-app.jar");
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
  }

  private void await() {
    Instant end = Instant.now().plus(Duration.ofSeconds(150));
    while (Instant.now().isBefore(end) && process.isAlive()) {
      try {
        if (api.get("/readyz").status() == 200) {
          return;
        }
      } catch (UncheckedIOException notYet) {
        // It listens a little later.
      }
      try {
        Thread.sleep(100);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        throw new IllegalStateException(e);
      }
    }
    throw new IllegalStateException("the application did not answer");
  }

  /** Talks to it. */
  public Api api() {
    return api;
  }

  /** What it holds of the machine's memory, in bytes, as Linux says it (VmRSS). */
  public long resident() {
    try (Stream<String> lines = Files.lines(Path.of("/proc/" + process.pid() + "/status"))) {
      String held = lines.filter(line -> line.startsWith("VmRSS:")).findFirst().orElseThrow();
      return Long.parseLong(held.replaceAll("\\D", "")) << 10;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Ends it at once, as SIGKILL does. */
  public void kill() {
    process.destroyForcibly();
    process.onExit().join();
  }

  @Override
  public void close() {
    process.destroy();
    process.onExit().join();
  }
}
