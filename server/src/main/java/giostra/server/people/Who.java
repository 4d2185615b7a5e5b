package giostra.server.people;

import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;

/**
 * Who asks.
 *
 * @param person their id; empty for a guest
 * @param name what they are called
 * @param owns whether they own the installation, and so every site
 * @param roles what they may do, by site
 * @param changes whether they may change anything, or only look: a token may be of either kind
 * @param itself whether it is the person, and no program of theirs
 * @param review the link that a guest came by; null for everybody else
 */
public record Who(
    String person,
    String name,
    boolean owns,
    Map<String, Role> roles,
    boolean changes,
    boolean itself,
    @Nullable Review review) {
  public Who {
    roles = Map.copyOf(roles);
  }

  /**
   * A link for review.
   *
   * @param page id of the one page that it leads to
   * @param release number of the release that it shows; null for the page as it stands
   */
  public record Review(String link, String page, String site, @Nullable Integer release) {}

  /** Who asks for what is done on this thread; nobody for what the server does by itself. */
  public static Optional<Who> asking() {
    Authentication in = SecurityContextHolder.getContext().getAuthentication();
    return in != null && in.getPrincipal() instanceof Who who ? Optional.of(who) : Optional.empty();
  }

  /** What they may do on a site. */
  public Role on(String site) {
    return owns ? Role.OWNER : Objects.requireNonNullElse(roles.get(site), Role.NONE);
  }

  /** The most that they may do anywhere. */
  Role anywhere() {
    return owns ? Role.OWNER : roles.values().stream().max(Role::compareTo).orElse(Role.NONE);
  }

  /** Whether whoever asks has a part in a site. */
  public static boolean sees(String site) {
    return asking().map(who -> who.on(site).may(Role.GUEST)).orElse(true);
  }

  /**
   * Holds whoever asks to a role on a site, where that cannot be told by the address.
   *
   * @throws giostra.server.web.NotAllowed where they have less
   */
  public static void needed(String site, Role needed) {
    asking()
        .filter(who -> !who.on(site).may(needed))
        .ifPresent(who -> {
          throw who.on(site).tooLittle(needed);
        });
  }
}
