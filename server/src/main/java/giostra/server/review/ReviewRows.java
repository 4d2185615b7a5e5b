package giostra.server.review;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Remarks and review links: rows are inserted, never merged. */
@Transactional(readOnly = true)
interface ReviewRows extends Repository<RemarkEntity, Long> {
  /**
   * A remark.
   *
   * @param guest whether it was left by somebody without an account
   * @param person id of who left it, if they have one
   * @param node that it hangs on; it may be gone
   * @param width of the screen that it was seen at, in CSS px
   * @param revision of the page that it was left on
   * @param doneAt when it was ticked off; null for an open one
   */
  record RemarkLine(
      long id,
      boolean guest,
      @Nullable String person,
      String author,
      String node,
      int width,
      int revision,
      String text,
      Instant madeAt,
      @Nullable Instant doneAt,
      @Nullable String doneBy) {}

  String LINE =
      """
      select id as "id", guest as "guest", person_id as "person", author as "author",
        node as "node", width as "width", revision as "revision", body as "text",
        made_at as "madeAt", done_at as "doneAt", done_by as "doneBy"
      from remark where page_id = ?1
      """;

  @Query(value = LINE + " order by id", nativeQuery = true)
  List<RemarkLine> remarks(String page);

  @Query(value = LINE + " and id = ?2", nativeQuery = true)
  Optional<RemarkLine> remark(String page, long id);

  /** Adds one, as long as the page has not too many. */
  @Transactional
  @Modifying
  @Query(
      value =
          """
          insert into remark (page_id, link_id, guest, person_id, author, node, width, revision,
              body, made_at)
            select p.id, ?2, ?3, ?4, ?5, ?6, ?7, p.head, ?8, ?9 from page p
            where p.id = ?1 and (select count(*) from remark r where r.page_id = ?1) < ?10
          """,
      nativeQuery = true)
  int add(
      String page,
      @Nullable String link,
      boolean guest,
      @Nullable String person,
      String author,
      String node,
      int width,
      String text,
      Instant at,
      int most);

  @Transactional
  @Modifying
  @Query(
      value = "update remark set done_at = ?3, done_by = ?4 where page_id = ?1 and id = ?2",
      nativeQuery = true)
  int tick(String page, long id, @Nullable Instant at, @Nullable String by);

  @Transactional
  @Modifying
  @Query(value = "delete from remark where page_id = ?1 and id = ?2", nativeQuery = true)
  int drop(String page, long id);

  /**
   * A link, as those who make them see it again: not the words that let anybody in.
   *
   * @param release number of the release that it shows; null for the page as it stands
   */
  record LinkLine(
      String id, String name, @Nullable Integer release, Instant madeAt, Instant until) {}

  @Query(
      value =
          """
          select id as "id", name as "name", release_number as "release", made_at as "madeAt",
            until as "until"
          from review_link where page_id = ?1 and until > ?2 order by made_at, id
          """,
      nativeQuery = true)
  List<LinkLine> links(String page, Instant now);

  @Query(
      value =
          """
          select id as "id", name as "name", release_number as "release", made_at as "madeAt",
            until as "until"
          from review_link where id = ?1 and until > ?2
          """,
      nativeQuery = true)
  Optional<LinkLine> link(String id, Instant now);

  @Transactional
  @Modifying
  @Query(
      value =
          """
          insert into review_link (id, hash, page_id, release_number, name, made_at, until)
            select ?1, ?2, p.id, ?4, ?5, ?6, ?7 from page p
            where p.id = ?3 and (select count(*) from review_link l
              where l.page_id = ?3 and l.until > ?6) < ?8
          """,
      nativeQuery = true)
  int addLink(
      String id,
      String hash,
      String page,
      @Nullable Integer release,
      String name,
      Instant at,
      Instant until,
      int most);

  @Transactional
  @Modifying
  @Query(value = "delete from review_link where page_id = ?1 and id = ?2", nativeQuery = true)
  int dropLink(String page, String id);
}
