package giostra.server.testing;

import giostra.server.GiostraServer;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
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
public final class Giostra implements ParameterResolver {
  private static final ExtensionContext.Namespace NAMESPACE =
      ExtensionContext.Namespace.create(Giostra.class);

  @Override
  public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
    return parameter.getParameter().getType() == Api.class;
  }

  @Override
  public Api resolveParameter(ParameterContext parameter, ExtensionContext context) {
    return running(context);
  }

  /** The running application; started when nobody has yet. */
  public static Api running(ExtensionContext context) {
    return context
        .getRoot()
        .getStore(NAMESPACE)
        .getOrComputeIfAbsent("app", _ -> new Running(), Running.class)
        .api;
  }

  private static final class Running implements AutoCloseable {
    private final Postgres database = Postgres.start();
    private final ConfigurableApplicationContext app;
    private final Api api;

    Running() {
      try {
        app =
            new SpringApplication(GiostraServer.class)
                .run(
                    "--server.port=0",
                    "--giostra.stage-port=0",
                    "--giostra.falena-port=" + Postgres.freePort(),
                    "--spring.datasource.url=" + database.url(),
                    "--giostra.blobs=" + Files.createTempDirectory("giostra-test-blobs"));
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
      var server = ((WebServerApplicationContext) app).getWebServer();
      api = new Api("http://127.0.0.1:" + (server == null ? 0 : server.getPort()));
    }

    @Override
    public void close() {
      app.close();
      database.close();
    }
  }
}
