package giostra.server.people;

import giostra.server.host.Ports;
import giostra.server.web.ProblemAnswer;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpMethod;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.context.RequestAttributeSecurityContextRepository;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.CsrfTokenRequestHandler;
import org.springframework.security.web.csrf.XorCsrfTokenRequestAttributeHandler;
import org.springframework.security.web.util.matcher.RequestMatcher;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.session.web.http.CookieSerializer;
import org.springframework.session.web.http.DefaultCookieSerializer;

/**
 * Who may do what: whoever is in looks, whoever may change things changes them, and nobody else
 * gets anything but published pages, the bench's own files and the way in.
 */
@Configuration
class Guard {
  /** The bench's own files, which hold nothing of anybody's, and whether the server lives. */
  private static final String[] OPEN = {
    "/", "/pages/**", "/sites/**", "/review", "/assets/**", "/icon.svg", "/livez", "/readyz"
  };

  /** What visitors get needs no guard: it is published. */
  private static final RequestMatcher PUBLISHED =
      request ->
          request.getRequestURI().startsWith("/live/")
              || request.getRequestURI().startsWith("/snippets/");

  /** Days that a browser stays in while nobody uses it. */
  private static final int DAYS = 30;

  /** Ms within which it is not noted again that a browser was used. */
  private static final int NOTED = 60_000;

  /** Published pages take no notice of who asks. */
  @Bean
  @Order(1)
  SecurityFilterChain published(HttpSecurity http) {
    return http.securityMatcher(PUBLISHED)
        .authorizeHttpRequests(all -> all.anyRequest().permitAll())
        .csrf(AbstractHttpConfigurer::disable)
        .headers(AbstractHttpConfigurer::disable)
        .requestCache(AbstractHttpConfigurer::disable)
        .anonymous(AbstractHttpConfigurer::disable)
        .logout(AbstractHttpConfigurer::disable)
        .sessionManagement(how -> how.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
        .build();
  }

  @Bean
  @Order(2)
  SecurityFilterChain bench(HttpSecurity http, PeopleService people, Guests guests, Ports ports) {
    var tokens = new CookieCsrfTokenRepository();
    tokens.setCookieName("giostra-form");
    tokens.setHeaderName("Giostra-Form");
    tokens.setCookieCustomizer(cookie ->
        cookie.sameSite("Strict").httpOnly(true).secure(ports.bench().startsWith("https:")));
    return http
        // A program that shows a token was not sent by a page.
        .csrf(csrf ->
                csrf.csrfTokenRepository(tokens)
                    .csrfTokenRequestHandler(new Form())
                    .requireCsrfProtectionMatcher(request ->
                        CsrfFilter.DEFAULT_CSRF_MATCHER.matches(request)
                            && SignedIn.token(request).isEmpty()))
        .addFilterBefore(new SignedIn(people, guests), CsrfFilter.class)
        .authorizeHttpRequests(all ->
            // What goes on of a request has been asked about when it came.
            all.dispatcherTypeMatchers(
                    DispatcherType.ASYNC, DispatcherType.ERROR, DispatcherType.FORWARD)
                .permitAll()
                .requestMatchers(HttpMethod.GET, OPEN)
                .permitAll()
                .requestMatchers(HttpMethod.HEAD, OPEN)
                .permitAll()
                .requestMatchers(HttpMethod.GET, "/api/me")
                .permitAll()
                .requestMatchers(
                    HttpMethod.POST,
                    "/api/ways-in",
                    "/api/sign-ins",
                    "/api/sign-ins/*",
                    "/api/reviews")
                .permitAll()
                // A program lets nobody in: what it made would outlive its token.
                .requestMatchers(
                    "/api/keys", "/api/me/**", "/api/people/**", "/api/sites/*/people/**")
                .hasAuthority("ITSELF")
                .requestMatchers(HttpMethod.GET, "/**")
                .hasAuthority("LOOKS")
                .requestMatchers(HttpMethod.HEAD, "/**")
                .hasAuthority("LOOKS")
                .anyRequest()
                .hasAuthority("CHANGES"))
        .exceptionHandling(how ->
            how.authenticationEntryPoint((request, response, e) -> signIn(request, response))
                .accessDeniedHandler((request, response, e) -> denied(request, response)))
        // What stands elsewhere already: types are said by OwnOrigin, frames by each policy.
        .headers(headers ->
            headers.frameOptions(frames -> frames.disable()).xssProtection(each -> each.disable()))
        .requestCache(AbstractHttpConfigurer::disable)
        .logout(AbstractHttpConfigurer::disable)
        .httpBasic(AbstractHttpConfigurer::disable)
        .formLogin(AbstractHttpConfigurer::disable)
        .securityContext(context ->
            context.securityContextRepository(new RequestAttributeSecurityContextRepository()))
        // A session is begun where somebody is let in, under a name of its own; see the controller.
        .sessionManagement(AbstractHttpConfigurer::disable)
        .build();
  }

  /** The token comes as a header alone: no body is read before it is known who sends it. */
  private static final class Form implements CsrfTokenRequestHandler {
    private final CsrfTokenRequestHandler masked = new XorCsrfTokenRequestAttributeHandler();

    @Override
    public void handle(
        HttpServletRequest request, HttpServletResponse response, Supplier<CsrfToken> token) {
      masked.handle(request, response, token);
    }

    @Override
    public @Nullable String resolveCsrfTokenValue(HttpServletRequest request, CsrfToken token) {
      return request.getHeader(token.getHeaderName()) == null
          ? null
          : masked.resolveCsrfTokenValue(request, token);
    }
  }

  private static void signIn(HttpServletRequest request, HttpServletResponse response)
      throws IOException {
    boolean token = SignedIn.token(request).isPresent();
    // RFC 6750, 3: the scheme that is asked for, and what was wrong with what was shown.
    response.setHeader(
        "WWW-Authenticate", token ? "Bearer error=\"invalid_token\"" : "Bearer realm=\"Giostra\"");
    ProblemAnswer.write(
        request,
        response,
        401,
        "Not signed in",
        token
            ? "The token is none of this server's, or it has ended."
            : "Nobody is signed in. Sign in with address and password, or open the address that"
                + " ./giostra start prints; a program shows a token.");
  }

  private static void denied(HttpServletRequest request, HttpServletResponse response)
      throws IOException {
    @Nullable Authentication in = SecurityContextHolder.getContext().getAuthentication();
    if (in == null || !(in.getPrincipal() instanceof Who who)) {
      // Who is not in has nothing to show either: that is not what is wrong.
      signIn(request, response);
      return;
    }
    String why =
        SignedIn.token(request).isEmpty()
            ? "The request does not come from a page of the bench that is open now; load it anew."
            : who.changes()
                ? "A token lets nobody in and ends nobody; a browser that is in does."
                : "This token only looks; to change something needs one that may.";
    ProblemAnswer.write(request, response, 403, "Not allowed", why);
  }

  /**
   * The cookie of a session. The stage stands on another name where names are configured: what the
   * two have in common is the cookie's.
   */
  @Bean
  CookieSerializer cookie(Ports ports) {
    var cookie =
        new DefaultCookieSerializer() {
          @Override
          public void writeCookieValue(CookieValue value) {
            setUseSecureCookie(ports.bench().startsWith("https:"));
            setCookieName(ports.cookie());
            super.writeCookieValue(value);
          }

          @Override
          public List<String> readCookieValues(HttpServletRequest request) {
            setCookieName(ports.cookie());
            return super.readCookieValues(request);
          }
        };
    cookie.setSameSite("Strict");
    cookie.setUseHttpOnlyCookie(true);
    cookie.setCookiePath("/");
    cookie.setCookieMaxAge(DAYS * 24 * 60 * 60);
    ports.common().ifPresent(cookie::setDomainName);
    return cookie;
  }

  /**
   * A browser that is used is noted once a minute, and not with each of its requests: that would
   * write to the disk for each picture of a stage.
   */
  @Bean
  SessionRepositoryCustomizer<JdbcIndexedSessionRepository> sessions() {
    return sessions -> {
      sessions.setDefaultMaxInactiveInterval(java.time.Duration.ofDays(DAYS));
      sessions.setUpdateSessionQuery(
          """
          with now as (
            select ? as session_id, cast(? as bigint) as at, cast(? as int) as lasts,
              cast(? as bigint) as ends, cast(? as varchar) as person, ? as id)
          update %TABLE_NAME% s
          set session_id = n.session_id, last_access_time = n.at, max_inactive_interval = n.lasts,
            expiry_time = n.ends, principal_name = n.person
          from now n
          where s.primary_id = n.id
            and (n.at - s.last_access_time >=\
          """
              + NOTED
              + """
                   or s.session_id <> n.session_id
                  or s.principal_name is distinct from n.person)
              """);
    };
  }
}
