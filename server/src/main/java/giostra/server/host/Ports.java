package giostra.server.host;

import giostra.server.Settings;
import giostra.server.web.ProblemAnswer;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.InetAddress;
import java.net.URI;
import java.net.UnknownHostException;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.apache.catalina.connector.Connector;
import org.apache.coyote.AbstractProtocol;
import org.apache.tomcat.util.threads.VirtualThreadExecutor;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
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
 * The three origins, each on a port of its own: the bench, the stage and the live pages. What is
 * previewed and what is published can hold what somebody else has written; neither can act as the
 * bench, or read it. The stage answers previews and nothing else, the third port live pages and
 * their snippets and nothing else; an address of a live page on the bench leads there.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
public class Ports extends OncePerRequestFilter
    implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
  private static final Set<String> LOOPBACK = Set.of("127.0.0.1", "localhost", "[::1]");

  /** Ms within which the head of a request comes, and between two parts of its body. */
  private static final String TIMEOUT_MS = "20000";

  private static final Set<String> READS = Set.of("GET", "HEAD");

  private final Settings.Origins known;
  private final String address;

  /** What it is called by, in small letters. */
  private final Set<String> names = new TreeSet<>();

  private final Connector stage;

  /** What of live pages is not prepared is asked for here, by what listens for visitors. */
  private final Connector behindLive;

  private final LiveListener live;
  private int benchPort;

  Ports(Settings settings, LiveListener live, @Value("${server.address}") String address) {
    this.known = settings.origins();
    this.address = address;
    this.live = live;
    this.stage = connector(address, settings.stagePort());
    this.behindLive = connector("127.0.0.1", 0);
    boolean loopback = isLoopback(address);
    if (!loopback) {
      checkNamed();
    }
    live.open();
    names.addAll(loopback ? LOOPBACK : Set.of(address));
    known.all().forEach(each -> names.add(URI.create(each).getHost().toLowerCase(Locale.ROOT)));
  }

  /** Where others reach it, what they call it is known, and what lets them in is not overheard. */
  private void checkNamed() {
    if (known.all().size() < 3
        || !known.bench().startsWith("https:")
        || !known.stage().startsWith("https:")
        || common().isEmpty() && !known.bench().equals(known.stage())) {
      throw new IllegalStateException(
          "GIOSTRA_ADDRESS is "
              + address
              + ", which others than this machine reach. Then GIOSTRA_BENCH_ORIGIN,"
              + " GIOSTRA_STAGE_ORIGIN and GIOSTRA_LIVE_ORIGIN must say by which names they do, the"
              + " first two by https and beneath one domain, as in https://bench.club.example and"
              + " https://stage.club.example; a server before this one has the certificate.");
    }
  }

  private static Connector connector(String address, int port) {
    Connector made = new Connector("org.apache.coyote.http11.Http11NioProtocol");
    made.setPort(port);
    made.setProperty("address", address);
    made.setProperty("compression", "on");
    made.setProperty("connectionTimeout", TIMEOUT_MS);
    // Whoever asks for much keeps the connection for it.
    made.setProperty("maxKeepAliveRequests", "10000");
    ((AbstractProtocol<?>) made.getProtocolHandler())
        .setExecutor(new VirtualThreadExecutor("port-" + port + "-"));
    return made;
  }

  /** Takes what answers for live pages; it needs the database, and this is there before. */
  @EventListener(ApplicationReadyEvent.class)
  void ready(ApplicationReadyEvent event) {
    live.isBefore(
        new LiveListener.Behind(
            behindLive::getLocalPort,
            this::isCalled,
            event.getApplicationContext().getBeanProvider(Prepared.class).getIfAvailable()));
  }

  @Override
  public void customize(TomcatServletWebServerFactory factory) {
    factory.addAdditionalConnectors(stage, behindLive);
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
    return origin(known.bench(), benchPort);
  }

  /** Origin of the stage. */
  public String stage() {
    return origin(known.stage(), stage.getLocalPort());
  }

  /** Origin of the live pages and the snippets. */
  public String live() {
    return origin(known.live(), live.port());
  }

  /** What the cookie of a session is called: cookies know hosts, and no ports. */
  public String cookie() {
    return known.bench().isEmpty() ? "giostra-" + benchPort : "giostra";
  }

  /** All three. */
  public Set<String> all() {
    return Set.of(bench(), stage(), live());
  }

  /**
   * The domain that the bench and the stage have in common, where both are named: what follows the
   * first dot of each.
   */
  public Optional<String> common() {
    if (known.bench().isEmpty() || known.stage().isEmpty()) {
      return Optional.empty();
    }
    String bench = URI.create(known.bench()).getHost();
    String stage = URI.create(known.stage()).getHost();
    String after = bench.substring(bench.indexOf('.') + 1);
    return !bench.equals(stage) && after.contains(".") && stage.endsWith("." + after)
        ? Optional.of(after)
        : Optional.empty();
  }

  /**
   * The name of the bench, where it has one that passkeys can belong to: no number, and by https or
   * on this machine. Source: W3C WebAuthn, 5.1.2 (RP ID), and Secure Contexts, 3.1.
   */
  public Optional<String> named() {
    if (known.bench().isEmpty()) {
      return Optional.empty();
    }
    String host = URI.create(known.bench()).getHost().toLowerCase(Locale.ROOT);
    boolean number = host.matches("[0-9.]+");
    boolean safe = known.bench().startsWith("https:") || host.equals("localhost");
    return number || !safe ? Optional.empty() : Optional.of(host);
  }

  private String origin(String configured, int port) {
    return configured.isEmpty()
        ? "http://" + (address.contains(":") ? "[" + address + "]" : address) + ":" + port
        : configured;
  }

  /**
   * Whether the server is called by a name of its own, so that no name that somebody else has bound
   * to this machine leads anywhere.
   *
   * @param host as a request names it, without a port
   */
  private boolean isCalled(String host) {
    return names.contains(host.toLowerCase(Locale.ROOT));
  }

  /** Whether nobody but this machine reaches it. */
  private static boolean isLoopback(String address) {
    try {
      return InetAddress.getByName(address).isLoopbackAddress();
    } catch (UnknownHostException e) {
      return false;
    }
  }

  /** Whether an address is one of live pages or snippets. */
  static boolean isPublished(String path) {
    return path.startsWith("/live/") || path.startsWith("/snippets/");
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String path = request.getRequestURI();
    int port = request.getLocalPort();
    if (!isCalled(request.getServerName())) {
      ProblemAnswer.write(
          request, response, 403, "Cannot be taken", "The host is none of this server's.");
    } else if (port == behindLive.getLocalPort()) {
      if (!isPublished(path)) {
        NotThere.answer(request, response);
      } else if (!READS.contains(request.getMethod()) && !request.getMethod().equals("OPTIONS")) {
        response.setHeader("Allow", "GET, HEAD, OPTIONS");
        response.setStatus(HttpServletResponse.SC_METHOD_NOT_ALLOWED);
      } else {
        chain.doFilter(request, response);
      }
    } else if (port == stage.getLocalPort()) {
      if (path.matches("/api/pages/[^/]+/preview(/.*)?") && READS.contains(request.getMethod())) {
        chain.doFilter(request, response);
      } else {
        NotThere.answer(request, response);
      }
    } else if (isPublished(path)) {
      @Nullable String query = request.getQueryString();
      // Code, and not 302: what is asked by another method stays that.
      response.setStatus(308);
      response.setHeader("Location", live() + path + (query == null ? "" : "?" + query));
      response.setHeader("Access-Control-Allow-Origin", "*");
    } else if (known.bench().isEmpty()
        && !request.getServerName().equals(address)
        && LOOPBACK.contains(request.getServerName())
        && isPage(path)) {
      // One name for all three, since a browser takes others for another place.
      response.setStatus(HttpServletResponse.SC_TEMPORARY_REDIRECT);
      response.setHeader("Location", bench() + path);
    } else {
      chain.doFilter(request, response);
    }
  }

  private static boolean isPage(String path) {
    return path.equals("/") || path.startsWith("/pages/") || path.startsWith("/sites/");
  }
}
