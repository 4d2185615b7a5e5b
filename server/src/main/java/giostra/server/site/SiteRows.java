package giostra.server.site;

import giostra.server.web.Gone;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

/**
 * The rows of sites. They are read as values, never as objects that Hibernate keeps: what was read
 * before a lock is not what stands behind it.
 */
public interface SiteRows extends Repository<SiteEntity, String> {
  /**
   * A site.
   *
   * @param id stands in addresses
   * @param head number of its newest revision
   * @param lastChange number of the newest change of it or of its pages
   * @param putAwayAt when it was put away; null for one that is there
   */
  record SiteLine(
      String id,
      String name,
      int head,
      long lastChange,
      @Nullable Instant putAwayAt,
      Instant createdAt) {}

  String NEW =
      "new giostra.server.site.SiteRows$SiteLine("
          + "s.id, s.name, s.head, s.lastChange, s.putAwayAt, s.createdAt)";

  String LINE = "select " + NEW + " from SiteEntity s ";

  /** Holds a site until the transaction ends: nobody else changes it or its pages meanwhile. */
  @Query(value = "select id from site where id = ?1 for update", nativeQuery = true)
  Optional<String> hold(String id);

  /**
   * Holds a site until the transaction ends.
   *
   * @throws Gone when there is none
   */
  default void held(String id) {
    if (hold(id).isEmpty()) {
      throw new Gone("site", id);
    }
  }

  /** One of them. */
  @Query(LINE + "where s.id = ?1")
  Optional<SiteLine> line(String id);

  /** All that are there, oldest first. */
  @Query(LINE + "where s.putAwayAt is null order by s.createdAt, s.id")
  List<SiteLine> inOrder();

  /** All that are put away, the last one first. */
  @Query(LINE + "where s.putAwayAt is not null order by s.putAwayAt desc, s.id")
  List<SiteLine> putAway();

  /** Takes an id for a new site; 0 when it is taken. */
  @Modifying(flushAutomatically = true)
  @Query(
      value = "insert into site (id, name, created_at) values (?1, ?2, ?3) on conflict do nothing",
      nativeQuery = true)
  int insert(String id, String name, Instant at);

  /** After a change. */
  @Modifying(flushAutomatically = true)
  @Query("update SiteEntity s set s.head = ?2, s.lastChange = ?3, s.name = ?4 where s.id = ?1")
  void changed(String id, int head, long change, String name);

  /** Puts a site away, or brings it back with null. */
  @Modifying(flushAutomatically = true)
  @Query("update SiteEntity s set s.putAwayAt = ?2 where s.id = ?1")
  void putAway(String id, @Nullable Instant at);

  /** Sites that were put away before a time. */
  @Query("select s.id from SiteEntity s where s.putAwayAt < ?1")
  List<String> putAwayBefore(Instant time);

  /** Forgets the history of a site that has no pages any more. */
  @Modifying(flushAutomatically = true)
  @Query(value = "delete from site_revision where site_id = ?1", nativeQuery = true)
  void deleteRevisions(String id);

  @Modifying(flushAutomatically = true)
  @Query(value = "delete from change where site_id = ?1", nativeQuery = true)
  void deleteChanges(String id);

  /** Forgets a site. */
  @Modifying(flushAutomatically = true)
  @Query(value = "delete from site where id = ?1", nativeQuery = true)
  void delete(String id);
}
