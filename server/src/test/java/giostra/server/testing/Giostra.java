package giostra.server.testing;

import giostra.server.GiostraServer;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * The application as it is shipped, with the demo, on free ports over a database of its own.
 * Started once for all tests of a module; a test takes an {@link Api} as a parameter.
 *
 * <p>Spring's own extension calls JUnit 6, so this is ours.
 */
public final class Giostra implements ParameterResolver, BeforeAllCallback {
  private static volatile boolean started;

  @Override
  public void beforeAll(ExtensionContext context) {
    running();
  }

  /** Whether somebody has started it. */
  public static boolean isRunning() {
    return started;
  }

  @Override
  public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
    return parameter.getParameter().getType() == Api.class;
  }

  @Override
  public Api resolveParameter(ParameterContext parameter, ExtensionContext context) {
    return running();
  }

  /** The running application; started when nobody has yet, stopped when the run ends. */
  public static Api running() {
    Api api = Shared.RUNNING.api();
    started = true;
    return api;
  }

  /** A part of the running application, for whoever has to stop or start it. */
  public static <T> T bean(Class<T> type) {
    return Shared.RUNNING.app().getBean(type);
  }

  /** Where the running application tells its figures, without a slash at the end. */
  public static String figures() {
    String port =
        Shared.RUNNING.app().getEnvironment().getRequiredProperty("local.management.port");
    return "http://127.0.0.1:" + port;
  }

  /** The database of the running application, for whoever has to spoil something in it. */
  public static String database() {
    return Shared.DATABASE.url();
  }

  /** The folder beneath which the running application may send releases. */
  public static Path folders() {
    return Path.of(
        Shared.RUNNING.app().getEnvironment().getRequiredProperty("giostra.deliveries.folders"));
  }

  /** One for all engines of tests in this process. */
  private static final class Shared {
    static final Postgres DATABASE = Postgres.start();
    static final Running RUNNING = start(DATABASE);

    static {
      Runtime.getRuntime()
          .addShutdownHook(
              new Thread(() -> {
                RUNNING.close();
                DATABASE.close();
              }));
    }

    private Shared() {}
  }

  /** Starts the application over a database. */
  public static Running start(Postgres database, String... more) {
    try {
      var arguments =
          new ArrayList<String>(
              List.of(
                  "--server.port=0",
                  "--giostra.stage-port=0",
                  "--giostra.live-port=0",
                  "--giostra.owner-secret=" + Api.SECRET,
                  "--management.server.port=0",
                  "--giostra.falena-port=" + Postgres.freePort(),
                  "--giostra.cantina-port=" + Postgres.freePort(),
                  "--giostra.posta-port=0",
                  "--giostra.mail.port=0",
                  "--giostra.deliveries.every=200ms",
                  "--giostra.deliveries.folders=" + Files.createTempDirectory("giostra-delivered"),
                  "--spring.datasource.url=" + database.url(),
                  "--giostra.blobs=" + Files.createTempDirectory("giostra-test-blobs")));
      // What is said twice would be taken for a list of both.
      for (String each : more) {
        String name = each.substring(0, each.indexOf('=') + 1);
        arguments.removeIf(usual -> usual.startsWith(name));
        arguments.add(each);
      }
      // It is closed after the tests, not by a hook of its own in their midst.
      var spring = new SpringApplication(GiostraServer.class);
      spring.setRegisterShutdownHook(false);
      ConfigurableApplicationContext app = spring.run(arguments.toArray(String[]::new));
      var server = ((WebServerApplicationContext) app).getWebServer();
      return new Running(
          app, new Api("http://127.0.0.1:" + (server == null ? 0 : server.getPort())));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** The application, running. */
  public record Running(ConfigurableApplicationContext app, Api api) implements AutoCloseable {
    @Override
    public void close() {
      app.close();
    }
  }
}
