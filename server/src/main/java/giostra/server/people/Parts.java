package giostra.server.people;

import giostra.core.value.Refused;
import giostra.server.site.Ids;
import giostra.server.web.Gone;
import giostra.server.web.NotAllowed;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who has a part in which site. */
@Service
class Parts {
  /** How long an invitation can be used. */
  static final Duration INVITED = Duration.ofDays(7);

  private static final int LONGEST_NAME = 80;
  private static final int MOST_PEOPLE = 1000;

  private final PeopleRows rows;
  private final PeopleService people;
  private final Passwords passwords;
  private final Post post;
  private final Clock clock;

  Parts(PeopleRows rows, PeopleService people, Passwords passwords, Post post, Clock clock) {
    this.rows = rows;
    this.people = people;
    this.passwords = passwords;
    this.post = post;
    this.clock = clock;
  }

  Optional<PeopleRows.Person> person(String id) {
    return rows.person(id);
  }

  private PeopleRows.Person known(String id) {
    return rows.person(id).orElseThrow(() -> new Gone("person", id));
  }

  /** Who has a part in a site, those who own all first. */
  List<PeopleRows.PartLine> of(String site) {
    return rows.parts(site);
  }

  /** All who can be let in. */
  List<PeopleRows.PartLine> all() {
    return rows.all();
  }

  /**
   * Somebody who was invited.
   *
   * @param mailed whether the message with the way in was taken
   * @param address that lets them in, to be handed over; empty where whoever invites may not know
   * @param mailbox where the message can be read, while it goes to the stand-in; else empty
   */
  record Invited(String person, boolean mailed, String address, String mailbox) {}

  /**
   * Gives somebody a part in a site, and lets them in where they have not been. Nothing is held
   * while the message is sent.
   */
  Invited invite(String site, String siteName, String address, String name, String role, Who by) {
    String to = Post.address(address);
    String called = name(name);
    Role given = Role.given(role);
    Optional<PeopleRows.Person> before = rows.addressed(to);
    if (before.isPresent() && before.get().owns()) {
      throw new Refused("address", to, "one of somebody who does not own all sites already")
          .at("/address");
    }
    PeopleRows.Person person = before.orElseGet(() -> add(called, to));
    rows.giveRole(site, person.id(), given.word());
    String key = people.address(people.key(person.id(), INVITED));
    boolean mailed =
        post.send(
            to,
            by.name() + " asks you to work on " + siteName,
            String.format(
                Locale.ROOT,
                "%s gives you a part in the site “%s”, as %s.%n%nThis address lets one browser in,"
                    + " once, within seven days:%n%s%n%nYou can choose a password there.%n",
                by.name(),
                siteName,
                given.word(),
                key));
    // Whoever owns one site alone comes in as nobody else: what lets people in is theirs to read.
    boolean told = by.owns();
    return new Invited(person.id(), mailed, told ? key : "", told ? post.mailbox() : "");
  }

  private PeopleRows.Person add(String name, String address) {
    if (rows.count() >= MOST_PEOPLE) {
      throw new Refused("person", "the " + (MOST_PEOPLE + 1) + "st", "at most " + MOST_PEOPLE);
    }
    rows.addPerson(Ids.chance(), name, address, clock.instant());
    return rows.addressed(address).orElseThrow(() -> new Gone("person", address));
  }

  static String name(String typed) {
    String name = typed.strip();
    if (name.isEmpty()
        || name.length() > LONGEST_NAME
        || name.chars().anyMatch(Character::isISOControl)) {
      throw new Refused(
              "name",
              name.isEmpty() ? "empty" : name,
              "1 to " + LONGEST_NAME + " characters, none of control")
          .at("/name");
    }
    return name;
  }

  /** Says what somebody may do on a site in which they have a part. */
  @Transactional
  void change(String site, String person, String role) {
    Role given = Role.given(role);
    if (known(person).owns() || rows.takeRole(site, person) == 0) {
      throw new Gone("part that can be changed for", person);
    }
    rows.giveRole(site, person, given.word());
  }

  /** Takes somebody's part in a site. */
  void take(String site, String person) {
    if (rows.takeRole(site, person) == 0) {
      throw new Gone("part that can be taken from", person);
    }
  }

  /** A new way in for somebody who has lost theirs; what they were sent before opens nothing. */
  Invited restore(String id, Who by) {
    PeopleRows.Person person = known(id);
    rows.dropWaysIn(id);
    String key = people.address(people.key(id, INVITED));
    @Nullable String to = person.address();
    boolean mailed =
        to != null
            && post.send(
                to,
                "A way in to Giostra",
                String.format(
                    Locale.ROOT,
                    "%s sends you a new way in. This address lets one browser in, once, within"
                        + " seven days:%n%s%n",
                    by.name(),
                    key));
    rows.choose(id, null);
    rows.dropPasskeys(id);
    return new Invited(id, mailed, key, post.mailbox());
  }

  /**
   * Lets somebody in no more, nowhere.
   *
   * @throws NotAllowed for who owns all
   */
  @Transactional
  void end(String id) {
    if (known(id).owns()) {
      throw new NotAllowed("Who owns the installation stays. Nothing was changed.");
    }
    rows.end(id, clock.instant());
    rows.dropRoles(id);
    rows.dropTokens(id);
    rows.dropWaysIn(id);
    rows.dropPasskeys(id);
  }

  /** What somebody is called, and what they sign in with. */
  void rename(String id, String name, String address) {
    String called = name(name);
    @Nullable String to = address.isBlank() ? null : Post.address(address);
    if (to == null && known(id).password() != null) {
      throw new Refused("address", "empty", "one, to sign in with the password").at("/address");
    }
    if (rows.rename(id, called, to) == 0) {
      throw new Refused("address", String.valueOf(to), "one that nobody else has").at("/address");
    }
  }

  /** Chooses a password. */
  void choose(String id, String password, String before) {
    PeopleRows.Person person = known(id);
    @Nullable String address = person.address();
    if (address == null) {
      throw new Refused("address", "none", "one to sign in with, before a password is chosen");
    }
    if (person.password() != null && !passwords.fits(before, person.password())) {
      throw new Refused("before", "another", "the password that there was").at("/before");
    }
    rows.choose(id, passwords.kept(password, person.name(), address));
  }
}
