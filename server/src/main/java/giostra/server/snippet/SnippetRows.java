package giostra.server.snippet;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;
import org.springframework.transaction.annotation.Transactional;

/** What is known of snippets: rows are inserted, never merged. */
@Transactional(readOnly = true)
interface SnippetRows extends Repository<SnippetEntity, SnippetEntity.Key> {
  /** Notes that somebody took one; nothing where it is noted, or the page is gone. */
  @Transactional
  @Modifying
  @Query(
      value =
          """
          insert into snippet (page_id, node, taken_at)
            select id, ?2, ?3 from page where id = ?1 for key share
          on conflict do nothing
          """,
      nativeQuery = true)
  void take(String page, String node, Instant at);

  @Query(
      value = "select node from snippet where page_id = ?1 order by taken_at, node",
      nativeQuery = true)
  List<String> taken(String page);

  @Query(
      value = "select hash from snippet_answer where page_id = ?1 and release = ?2 and node = ?3",
      nativeQuery = true)
  Optional<String> answer(String page, int release, String node);

  /** Notes what is answered; nothing where that is noted, or the page is gone. */
  @Transactional
  @Modifying
  @Query(
      value =
          """
          insert into snippet_answer (page_id, release, node, hash)
            select id, ?2, ?3, ?4 from page where id = ?1 for key share
          on conflict do nothing
          """,
      nativeQuery = true)
  void answered(String page, int release, String node, String hash);

  @Query(value = "select hash from snippet_script where file = ?1", nativeQuery = true)
  Optional<String> script(String file);

  @Transactional
  @Modifying
  @Query(
      value = "insert into snippet_script (file, hash) values (?1, ?2) on conflict do nothing",
      nativeQuery = true)
  void keep(String file, String hash);

  /** Where one was seen. */
  interface Seen {
    String getNode();

    String getOrigin();

    Instant getAt();
  }

  @Query(
      value =
          """
          select node as "node", origin as "origin", seen_at as "at"
          from snippet_seen where page_id = ?1 order by seen_at desc, origin
          """,
      nativeQuery = true)
  List<Seen> seen(String page);

  /**
   * Notes where one was seen, once in a while, and not in more places than anybody reads of.
   *
   * @param since whoever was seen since then is not noted again
   */
  @Transactional
  @Modifying
  @Query(
      value =
          """
          insert into snippet_seen as s (page_id, node, origin, seen_at)
            select p.id, ?2, ?3, ?4 from page p
            where p.id = ?1
              and ((select count(*) from snippet_seen n where n.page_id = ?1 and n.node = ?2) < ?6
                or exists (select 1 from snippet_seen n
                           where n.page_id = ?1 and n.node = ?2 and n.origin = ?3))
            for key share
          on conflict (page_id, node, origin) do update set seen_at = ?4 where s.seen_at < ?5
          """,
      nativeQuery = true)
  void see(String page, String node, String origin, Instant at, Instant since, int most);
}
