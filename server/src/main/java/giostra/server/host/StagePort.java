package giostra.server.host;

import giostra.server.Settings;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.apache.catalina.connector.Connector;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.boot.web.server.context.WebServerInitializedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * The second port: an origin of its own for the stage, so that what is previewed can never act as
 * the bench. It answers previews and nothing else.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
public class StagePort extends OncePerRequestFilter
    implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
  private final int wanted;
  private final String address;
  private @Nullable Connector connector;
  private int benchPort;

  StagePort(Settings settings, @Value("${server.address}") String address) {
    this.wanted = settings.stagePort();
    this.address = address;
  }

  @Override
  public void customize(TomcatServletWebServerFactory factory) {
    Connector second = new Connector("org.apache.coyote.http11.Http11NioProtocol");
    second.setPort(wanted);
    second.setProperty("address", address);
    second.setProperty("compression", "on");
    factory.addAdditionalConnectors(second);
    connector = second;
  }

  @EventListener
  void started(WebServerInitializedEvent event) {
    // Figures are told on another port.
    if (!WebServerApplicationContext.hasServerNamespace(
        event.getApplicationContext(), "management")) {
      benchPort = event.getWebServer().getPort();
    }
  }

  /** Origin of the bench. */
  public String bench() {
    return "http://" + address + ":" + benchPort;
  }

  /** Origin of the stage. */
  public String stage() {
    return "http://" + address + ":" + port();
  }

  private int port() {
    return connector == null ? wanted : connector.getLocalPort();
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    boolean preview = request.getRequestURI().matches("/api/pages/[^/]+/preview(/.*)?");
    if (request.getLocalPort() == port() && !preview) {
      response.sendError(HttpServletResponse.SC_NOT_FOUND);
    } else {
      chain.doFilter(request, response);
    }
  }
}
