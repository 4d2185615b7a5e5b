package giostra.server.testing;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.ThreadLocalRandom;
import java.util.stream.Stream;

/**
 * A PostgreSQL server of its own on a free loopback port, in a folder that goes with it. PostgreSQL
 * refuses to run as root, so there the postgres user of Debian's package runs it.
 */
public final class Postgres implements AutoCloseable {
  private final Path bin;
  private final Path data;
  private final int port;

  private Postgres(Path bin, Path data, int port) {
    this.bin = bin;
    this.data = data;
    this.port = port;
  }

  /** Makes one and starts it. */
  public static Postgres start() {
    try {
      Path data = Files.createTempDirectory("giostra-test-db");
      if (asRoot()) {
        run(List.of("chown", "postgres", data.toString()));
      }
      var made = new Postgres(newestBin(), data, freePort());
      made.asDatabaseUser(
          "initdb",
          "-D",
          data.toString(),
          "-U",
          "giostra",
          "-A",
          "trust",
          "-E",
          "UTF8",
          "--locale=C.UTF-8",
          "--no-sync");
      made.up();
      made.asDatabaseUser(
          "createdb",
          "-h",
          "127.0.0.1",
          "-p",
          Integer.toString(made.port),
          "-U",
          "giostra",
          "giostra");
      return made;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Starts it again after {@link #down()}. */
  public void up() {
    asDatabaseUser(
        "pg_ctl",
        "-D",
        data.toString(),
        "-w",
        "-t",
        "30",
        "-l",
        data + "/log",
        "-o",
        "-p " + port + " -c listen_addresses=127.0.0.1 -c unix_socket_directories='' -c fsync=off",
        "start");
  }

  /** Stops it; its data stays. */
  public void down() {
    asDatabaseUser("pg_ctl", "-D", data.toString(), "-m", "fast", "-w", "stop");
  }

  /** Where JDBC finds it. */
  public String url() {
    return "jdbc:postgresql://127.0.0.1:" + port + "/giostra";
  }

  @Override
  public void close() {
    down();
    try (Stream<Path> files = Files.walk(data)) {
      files.sorted(Comparator.reverseOrder()).forEach(file -> file.toFile().delete());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void asDatabaseUser(String program, String... arguments) {
    var command = new ArrayList<String>();
    if (asRoot()) {
      command.addAll(List.of("runuser", "-u", "postgres", "--"));
    }
    command.add(bin.resolve(program).toString());
    command.addAll(List.of(arguments));
    run(command);
  }

  private static void run(List<String> command) {
    try {
      Path log = Files.createTempFile("giostra-test", ".log");
      int code =
          new ProcessBuilder(command)
              .directory(Path.of("/").toFile())
              .redirectErrorStream(true)
              .redirectOutput(log.toFile())
              .start()
              .waitFor();
      if (code != 0) {
        throw new IllegalStateException(
            String.join(" ", command) + " ended with " + code + ": " + Files.readString(log));
      }
      Files.delete(log);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  private static boolean asRoot() {
    return System.getProperty("user.name").equals("root");
  }

  private static Path newestBin() throws IOException {
    try (Stream<Path> versions = Files.list(Path.of("/usr/lib/postgresql"))) {
      return versions
          .max(Comparator.comparingInt(path -> Integer.parseInt(path.getFileName().toString())))
          .orElseThrow(() -> new IllegalStateException("no PostgreSQL: apt-get install postgresql"))
          .resolve("bin");
    }
  }

  /**
   * A loopback port that nobody listens on now. It is below those that the system gives away by
   * itself, or somebody else would have it before it is opened.
   */
  public static int freePort() {
    for (int i = 0; i < 100; i++) {
      int port = ThreadLocalRandom.current().nextInt(20_000, 32_000);
      try (var socket = new ServerSocket(port, 1, InetAddress.getLoopbackAddress())) {
        return socket.getLocalPort();
      } catch (IOException e) {
        // Somebody listens there.
      }
    }
    throw new IllegalStateException("no port is free");
  }
}
