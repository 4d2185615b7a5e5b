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
  /** Somebody. */
  record Person(String id, String name) {}

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

  @Query(
      value = "select id as \"id\", name as \"name\" from person where id = ?1",
      nativeQuery = true)
  Optional<Person> person(String id);

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
          from access_token t where t.hash = ?1 and (t.until is null or t.until > ?2)
          """,
      nativeQuery = true)
  Optional<Shown> shown(String hash, Instant now);

  @Transactional
  @Modifying
  @Query(value = "update access_token set used_at = ?2 where id = ?1", nativeQuery = true)
  void used(String id, Instant now);
}
