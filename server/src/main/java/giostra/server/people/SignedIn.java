package giostra.server.people;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.AuthorityUtils;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Finds out who asks: by a token, as programs show one (RFC 6750), or by the session of a browser.
 * A session holds the person's id alone, so that what is true of them is true at once.
 */
final class SignedIn extends OncePerRequestFilter {
  /** Of a session, whose it is. */
  static final String PERSON = "person";

  private static final String BEARER = "Bearer ";
  private final PeopleService people;
  private final Guests guests;

  SignedIn(PeopleService people, Guests guests) {
    this.people = people;
    this.guests = guests;
  }

  /** The token that a request shows, if it shows one. */
  static Optional<String> token(HttpServletRequest request) {
    @Nullable String said = request.getHeader("Authorization");
    return said != null && said.regionMatches(true, 0, BEARER, 0, BEARER.length())
        ? Optional.of(said.substring(BEARER.length()).strip())
        : Optional.empty();
  }

  private Optional<Who> who(HttpServletRequest request) {
    Optional<String> token = token(request);
    if (token.isPresent()) {
      return people.shows(token.get());
    }
    @Nullable HttpSession session = request.getSession(false);
    return session != null && session.getAttribute(PERSON) instanceof String person
        ? person.startsWith(Guests.LINK) ? guests.guest(person) : people.person(person)
        : Optional.empty();
  }

  private static List<GrantedAuthority> authorities(Who who) {
    var all = new ArrayList<String>(List.of("LOOKS"));
    if (who.changes()) {
      all.add("CHANGES");
    }
    if (who.itself()) {
      all.add("ITSELF");
    }
    return AuthorityUtils.createAuthorityList(all);
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    Optional<Who> who = who(request);
    SecurityContext context = SecurityContextHolder.createEmptyContext();
    who.ifPresent(each ->
        context.setAuthentication(
            new UsernamePasswordAuthenticationToken(each, null, authorities(each))));
    if (who.isPresent()) {
      SecurityContextHolder.setContext(context);
    }
    try {
      chain.doFilter(request, response);
    } finally {
      SecurityContextHolder.clearContext();
    }
  }
}
