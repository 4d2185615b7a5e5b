package giostra.server.people;

import giostra.server.web.Gone;
import giostra.server.web.NotAllowed;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Holds each operation to the role that it needs on the site that its address is about, before its
 * body is read. What somebody has no part in is not there for them.
 */
@Configuration
class Allowed implements WebMvcConfigurer, HandlerInterceptor {
  private static final Set<String> READS = Set.of("GET", "HEAD", "OPTIONS");

  private final PeopleRows rows;

  Allowed(PeopleRows rows) {
    this.rows = rows;
  }

  @Override
  public void addInterceptors(InterceptorRegistry registry) {
    registry.addInterceptor(this);
  }

  @Override
  public boolean preHandle(
      HttpServletRequest request, HttpServletResponse response, Object handler) {
    if (request.getDispatcherType() == DispatcherType.REQUEST
        && handler instanceof HandlerMethod method) {
      Who.asking().ifPresent(who -> check(request, method, who));
    }
    return true;
  }

  /** What an operation is about, as its address says. */
  private record About(String what, String id, Optional<String> site) {}

  private static String pattern(HttpServletRequest request) {
    return String.valueOf(request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE));
  }

  private Optional<About> about(HttpServletRequest request) {
    String pattern = pattern(request);
    Map<?, ?> named =
        request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE)
                instanceof Map<?, ?> map
            ? map
            : Map.of();
    if (pattern.startsWith("/api/sites/{siteId}")) {
      String site = String.valueOf(named.get("siteId"));
      return Optional.of(new About("site", site, rows.site(site)));
    }
    if (pattern.startsWith("/api/pages/{id}")) {
      String page = String.valueOf(named.get("id"));
      return Optional.of(new About("page", page, rows.siteOfPage(page)));
    }
    if (pattern.startsWith("/api/intakes/{intake}")) {
      String intake = String.valueOf(named.get("intake"));
      return Optional.of(new About("intake", intake, rows.siteOfIntake(intake)));
    }
    return Optional.empty();
  }

  private void check(HttpServletRequest request, HandlerMethod method, Who who) {
    // By what answers, never by how it was written: /%61pi/ is /api/ as well.
    String pattern = pattern(request);
    if (!pattern.startsWith("/api/") && !pattern.startsWith("/v3/")) {
      // The bench's own files hold nothing of anybody's.
      return;
    }
    boolean reads = READS.contains(request.getMethod());
    @Nullable Needs said =
        AnnotatedElementUtils.findMergedAnnotation(method.getMethod(), Needs.class);
    Optional<About> about = about(request);
    if (about.isEmpty()) {
      Role needed = said == null ? (reads ? Role.NONE : Role.OWNER) : said.value();
      if (who.review() != null && (said == null || needed.may(Role.REVIEWER))) {
        throw Role.GUEST.tooLittle(Role.REVIEWER);
      }
      if (needed == Role.OWNER && !who.owns()) {
        throw new NotAllowed("This is for an owner of the installation. Nothing was changed.");
      }
      if (!who.anywhere().may(needed)) {
        throw who.anywhere().tooLittle(needed);
      }
      return;
    }
    About of = about.get();
    Role needed = said == null ? (reads ? Role.REVIEWER : Role.DESIGNER) : said.value();
    if (of.site().isEmpty()) {
      // Whoever owns all is told by the operation itself what is not there.
      if (!who.owns()) {
        throw new Gone(of.what(), of.id());
      }
      return;
    }
    Role role = who.on(of.site().get());
    Who.@Nullable Review review = who.review();
    if (review != null && !(of.what().equals("page") && review.page().equals(of.id()))
        || role == Role.NONE) {
      throw new Gone(of.what(), of.id());
    }
    if (!role.may(needed)) {
      throw role.tooLittle(needed);
    }
  }
}
