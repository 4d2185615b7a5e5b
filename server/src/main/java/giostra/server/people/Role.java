package giostra.server.people;

import giostra.core.value.Refused;
import giostra.server.web.NotAllowed;
import java.util.Arrays;
import java.util.Locale;

/** What somebody may do on a site; each may do what those before it may. */
public enum Role {
  /** In, with no part in the site. */
  NONE,
  /** Comes by a link for review: looks at one page and leaves remarks. */
  GUEST,
  /** Looks, and leaves remarks. */
  REVIEWER,
  /** Fills: texts, pictures, items. */
  WRITER,
  /** Builds and publishes. */
  DESIGNER,
  /** Says who has a part in the site, and puts it away. */
  OWNER;

  /** As it is written. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** Whether somebody who has it may do what another is needed for. */
  public boolean may(Role needed) {
    return compareTo(needed) >= 0;
  }

  /**
   * One that somebody can be given.
   *
   * @throws Refused naming those there are
   */
  static Role given(String word) {
    return Arrays.stream(values())
        .filter(role -> role.may(REVIEWER) && role.word().equals(word))
        .findFirst()
        .orElseThrow(() ->
            new Refused("role", word, "one of reviewer, writer, designer, owner").at("/role"));
  }

  /** Says that somebody may do too little. */
  NotAllowed tooLittle(Role needed) {
    return new NotAllowed(
        String.format(
            Locale.ROOT,
            "You are %s here; this needs %s. Nothing was changed.",
            article(),
            needed.article()));
  }

  private String article() {
    return switch (this) {
      case NONE -> "no part of it";
      case OWNER -> "an owner";
      default -> "a " + word();
    };
  }
}
