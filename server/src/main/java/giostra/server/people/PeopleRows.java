package giostra.server.people;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;
import org.springframework.transaction.annotation.Transactional;

/** People, keys and tokens: rows are inserted, never merged. */
@Transactional(readOnly = true)
interface PeopleRows extends Repository<PersonEntity, String> {
  /**
   * Somebody who can be let in.
   *
   * @param address that they sign in with; null where they have none
   * @param password as Argon2 writes it; null where they have none
   * @param roles "site:role", with commas between; null for none
   */
  record Person(
      String id,
      String name,
      boolean owns,
      @Nullable String address,
      @Nullable String password,
      @Nullable String roles) {}

  String PERSON =
      """
      select p.id as "id", p.name as "name", p.owns as "owns", p.address as "address",
        p.password as "password",
        (select string_agg(r.site_id || ':' || r.role, ',') from site_role r
          where r.person_id = p.id) as "roles"
      from person p where p.ended_at is null and
      """;

  /** A token, as its owner sees it again: not the words that let one in. */
  record TokenLine(
      String id,
      String name,
      boolean changes,
      Instant madeAt,
      @Nullable Instant until,
      @Nullable Instant usedAt) {}

  /** A token that somebody shows. */
  record Shown(String id, String person, String name, boolean changes, @Nullable Instant usedAt) {}

  @Query(value = PERSON + " p.id = ?1", nativeQuery = true)
  Optional<Person> person(String id);

  @Query(value = PERSON + " p.address = ?1", nativeQuery = true)
  Optional<Person> addressed(String address);

  @Query(value = "select id from site where id = ?1", nativeQuery = true)
  Optional<String> site(String id);

  @Query(value = "select name from site where id = ?1", nativeQuery = true)
  Optional<String> siteName(String id);

  @Query(value = "select site_id from page where id = ?1", nativeQuery = true)
  Optional<String> siteOfPage(String id);

  @Query(
      value = "select p.site_id from intake i join page p on p.id = i.page_id where i.id = ?1",
      nativeQuery = true)
  Optional<String> siteOfIntake(String id);

  /** The link that a guest's key is of. */
  @Query(value = "select id from review_link where hash = ?1 and until > ?2", nativeQuery = true)
  Optional<String> linkOf(String hash, Instant now);

  /** A link for review that has not ended, to a page that is there. */
  record Link(String id, String page, String site, @Nullable Integer release) {}

  @Query(
      value =
          """
          select l.id as "id", l.page_id as "page", p.site_id as "site",
            l.release_number as "release"
          from review_link l join page p on p.id = l.page_id join site s on s.id = p.site_id
          where l.id = ?1 and l.until > ?2 and p.put_away_at is null and s.put_away_at is null
          """,
      nativeQuery = true)
  Optional<Link> link(String id, Instant now);

  // --- who has a part in what ---

  /**
   * Somebody who has a part in a site, or in the installation.
   *
   * @param role on the site; owner where they own all
   * @param signs whether they have come in, and chosen a password
   */
  record PartLine(
      String id, String name, @Nullable String address, boolean owns, String role, boolean signs) {}

  @Query(
      value =
          """
          select p.id as "id", p.name as "name", p.address as "address", p.owns as "owns",
            coalesce(r.role, 'owner') as "role", p.password is not null as "signs"
          from person p left join site_role r on r.person_id = p.id and r.site_id = ?1
          where p.ended_at is null and (p.owns or r.role is not null)
          order by p.owns desc, p.made_at, p.id
          """,
      nativeQuery = true)
  List<PartLine> parts(String site);

  @Query(
      value =
          """
          select p.id as "id", p.name as "name", p.address as "address", p.owns as "owns",
            coalesce((select string_agg(s.name || ': ' || r.role, ', ' order by s.name)
              from site_role r join site s on s.id = r.site_id where r.person_id = p.id), '')
              as "role",
            p.password is not null as "signs"
          from person p where p.ended_at is null
          order by p.owns desc, p.made_at, p.id
          """,
      nativeQuery = true)
  List<PartLine> all();

  @Query(value = "select count(*) from person where ended_at is null", nativeQuery = true)
  long count();

  @Transactional
  @Modifying
  @Query(
      value =
          "insert into person (id, name, address, made_at) values (?1, ?2, ?3, ?4)"
              + " on conflict do nothing",
      nativeQuery = true)
  int addPerson(String id, String name, String address, Instant at);

  @Transactional
  @Modifying
  @Query(
      value =
          "insert into site_role (site_id, person_id, role) values (?1, ?2, ?3)"
              + " on conflict (site_id, person_id) do update set role = excluded.role",
      nativeQuery = true)
  void giveRole(String site, String person, String role);

  @Transactional
  @Modifying
  @Query(value = "delete from site_role where site_id = ?1 and person_id = ?2", nativeQuery = true)
  int takeRole(String site, String person);

  @Transactional
  @Modifying
  @Query(
      value =
          "update person set name = ?2, address = ?3 where id = ?1 and not exists"
              + " (select from person o where o.address = ?3 and o.id <> ?1)",
      nativeQuery = true)
  int rename(String id, String name, @Nullable String address);

  @Transactional
  @Modifying
  @Query(value = "update person set password = ?2 where id = ?1", nativeQuery = true)
  void choose(String id, @Nullable String password);

  /** Lets somebody in no longer; the address is free again. */
  @Transactional
  @Modifying
  @Query(
      value =
          "update person set ended_at = ?2, address = null, password = null"
              + " where id = ?1 and not owns and ended_at is null",
      nativeQuery = true)
  int end(String id, Instant at);

  @Transactional
  @Modifying
  @Query(value = "delete from site_role where person_id = ?1", nativeQuery = true)
  void dropRoles(String person);

  @Transactional
  @Modifying
  @Query(value = "delete from access_token where person_id = ?1", nativeQuery = true)
  void dropTokens(String person);

  @Transactional
  @Modifying
  @Query(value = "delete from way_in where person_id = ?1", nativeQuery = true)
  void dropWaysIn(String person);

  // --- passwords that were wrong ---

  /** How often an address was tried in vain, and when last. */
  record Failed(int failures, Instant lastAt) {}

  @Query(
      value =
          "select failures as \"failures\", last_at as \"lastAt\" from failed_sign_in"
              + " where address = ?1",
      nativeQuery = true)
  Optional<Failed> failed(String address);

  /**
   * Counts one more try before it is known whether it is right, unless it has to wait: asked and
   * counted as one, so that many at once are no way around it.
   *
   * @param free tries that do not wait; after them the wait doubles from a second
   * @param longest that one waits, in seconds
   * @return 0 where it has to wait
   */
  @Transactional
  @Modifying
  @Query(
      value =
          """
          insert into failed_sign_in values (?1, 1, ?2)
          on conflict (address) do update set failures = failed_sign_in.failures + 1, last_at = ?2
            where failed_sign_in.failures < ?3 or failed_sign_in.last_at + make_interval(
              secs => least(?4, power(2, least(20, failed_sign_in.failures - ?3)))) <= ?2
          """,
      nativeQuery = true)
  int countTry(String address, Instant at, int free, int longest);

  @Transactional
  @Modifying
  @Query(
      value = "delete from failed_sign_in where address = ?1 or last_at < ?2",
      nativeQuery = true)
  void forgetFailed(String address, Instant before);

  @Transactional
  @Modifying
  @Query(
      value = "insert into way_in (hash, person_id, until) values (?1, ?2, ?3)",
      nativeQuery = true)
  void addWayIn(String hash, String person, Instant until);

  /** Uses a key: whose it is, once. */
  @Transactional
  @Query(
      value = "delete from way_in where hash = ?1 and until > ?2 returning person_id",
      nativeQuery = true)
  Optional<String> useWayIn(String hash, Instant now);

  @Transactional
  @Modifying
  @Query(value = "delete from way_in where until <= ?1", nativeQuery = true)
  void dropOldWaysIn(Instant now);

  /** Two that are made at once are counted one after the other. */
  @Query(value = "select id from person where id = ?1 for update", nativeQuery = true)
  Optional<String> lock(String person);

  /** Adds a token, within the lock; nothing where the person has as many as there may be. */
  @Transactional
  @Modifying
  @Query(
      value =
          """
          insert into access_token (id, person_id, name, hash, changes, made_at, until)
            select ?1, p.id, ?3, ?4, ?5, ?6, ?7 from person p
            where p.id = ?2 and (select count(*) from access_token t where t.person_id = ?2) < ?8
          """,
      nativeQuery = true)
  int addToken(
      String id,
      String person,
      String name,
      String hash,
      boolean changes,
      Instant madeAt,
      @Nullable Instant until,
      int most);

  @Query(
      value =
          """
          select id as "id", name as "name", changes as "changes", made_at as "madeAt",
            until as "until", used_at as "usedAt"
          from access_token where person_id = ?1 order by made_at, id
          """,
      nativeQuery = true)
  List<TokenLine> tokens(String person);

  @Transactional
  @Modifying
  @Query(value = "delete from access_token where person_id = ?1 and id = ?2", nativeQuery = true)
  int dropToken(String person, String id);

  @Query(
      value =
          """
          select t.id as "id", t.person_id as "person", t.name as "name", t.changes as "changes",
            t.used_at as "usedAt"
          from access_token t join person p on p.id = t.person_id
          where t.hash = ?1 and (t.until is null or t.until > ?2) and p.ended_at is null
          """,
      nativeQuery = true)
  Optional<Shown> shown(String hash, Instant now);

  @Transactional
  @Modifying
  @Query(value = "update access_token set used_at = ?2 where id = ?1", nativeQuery = true)
  void used(String id, Instant now);

  // --- passkeys ---

  /**
   * A passkey, as whoever has it sees it.
   *
   * @param copied whether what keeps it may bring it to other devices
   */
  record PasskeyLine(
      String id, String name, boolean copied, Instant madeAt, @Nullable Instant usedAt) {}

  /**
   * A passkey, as it is kept.
   *
   * @param handle of whoever has it; bytes are base64url
   */
  record Passkey(
      String id,
      String handle,
      String name,
      String attestation,
      String publicKey,
      long uses,
      boolean mayBeCopied,
      boolean isCopied,
      String transports,
      Instant madeAt) {}

  @Query(
      value =
          """
          select id as "id", name as "name", may_be_copied as "copied", made_at as "madeAt",
            used_at as "usedAt"
          from passkey where person_id = ?1 order by made_at, id
          """,
      nativeQuery = true)
  List<PasskeyLine> passkeyLines(String person);

  String PASSKEY =
      """
      select k.id as "id", p.handle as "handle", k.name as "name", k.attestation as "attestation",
        k.public_key as "publicKey", k.uses as "uses", k.may_be_copied as "mayBeCopied",
        k.is_copied as "isCopied", k.transports as "transports", k.made_at as "madeAt"
      from passkey k join person p on p.id = k.person_id where p.ended_at is null and
      """;

  @Query(value = PASSKEY + " k.id = ?1", nativeQuery = true)
  Optional<Passkey> passkey(String id);

  @Query(value = PASSKEY + " p.handle = ?1 order by k.made_at, k.id", nativeQuery = true)
  List<Passkey> passkeys(String handle);

  @Query(value = PERSON + " p.handle = ?1", nativeQuery = true)
  Optional<Person> handled(String handle);

  @Query(value = "select handle from person where id = ?1", nativeQuery = true)
  Optional<String> handle(String person);

  /** Gives somebody a handle, unless they have one. */
  @Transactional
  @Modifying
  @Query(
      value = "update person set handle = ?2 where id = ?1 and handle is null",
      nativeQuery = true)
  void giveHandle(String person, String handle);

  /** Adds a passkey, within the lock; nothing where it is there, or there are as many as may be. */
  @Transactional
  @Modifying
  @Query(
      value =
          """
          insert into passkey (id, person_id, name, attestation, public_key, uses, may_be_copied,
              is_copied, transports, made_at)
            select ?1, p.id, ?3, ?4, ?5, ?6, ?7, ?8, ?9, ?10 from person p
            where p.id = ?2 and (select count(*) from passkey k where k.person_id = ?2) < ?11
          on conflict (id) do nothing
          """,
      nativeQuery = true)
  int addPasskey(
      String id,
      String person,
      String name,
      String attestation,
      String publicKey,
      long uses,
      boolean mayBeCopied,
      boolean isCopied,
      String transports,
      Instant madeAt,
      int most);

  /**
   * Notes that a passkey was used.
   *
   * @param uses as it counts them itself
   * @return 0 where it counts no further than it had: then there are two of it. Source: W3C
   *     WebAuthn, 7.2, "signature counter"
   */
  @Transactional
  @Modifying
  @Query(
      value =
          """
          update passkey set uses = ?2, used_at = ?3
          where id = ?1 and (uses < ?2 or uses = 0 and ?2 = 0)
          """,
      nativeQuery = true)
  int usedPasskey(String id, long uses, Instant at);

  @Transactional
  @Modifying
  @Query(value = "delete from passkey where person_id = ?1 and id = ?2", nativeQuery = true)
  int dropPasskey(String person, String id);

  @Transactional
  @Modifying
  @Query(value = "delete from passkey where person_id = ?1", nativeQuery = true)
  void dropPasskeys(String person);

  @Query(value = "select secret from drawn_secret where name = ?1", nativeQuery = true)
  String drawnSecret(String name);

  /** Takes an answer, once. */
  @Transactional
  @Modifying
  @Query(
      value = "insert into used_answer values (?1, ?2) on conflict (hash) do nothing",
      nativeQuery = true)
  int useAnswer(String hash, Instant until);

  @Transactional
  @Modifying
  @Query(value = "delete from used_answer where until <= ?1", nativeQuery = true)
  void dropOldAnswers(Instant now);
}
