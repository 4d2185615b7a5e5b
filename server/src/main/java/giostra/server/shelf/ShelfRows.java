package giostra.server.shelf;

import java.util.Collection;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;
import org.springframework.transaction.annotation.Transactional;

/** What the shelf shows, read in one statement for many pages at once. */
@Transactional(readOnly = true)
interface ShelfRows extends Repository<ShelfLineEntity, String> {
  /**
   * A page on its site, or a site without a page that is sought: its page is null then. What was
   * read of the page, and what is live of it, may be null on their own.
   */
  interface Line {
    String getSite();

    String getSiteName();

    int getSiteHead();

    long getLastChange();

    /** How many pages the site has, whether they are sought or not. */
    int getSitePages();

    @Nullable String getPage();

    @Nullable String getSlug();

    @Nullable String getTitle();

    @Nullable Integer getHead();

    @Nullable String getReadOf();

    @Nullable Integer getPieces();

    @Nullable Boolean getLinked();

    @Nullable String getSaid();

    @Nullable Boolean getBroken();

    @Nullable String getCountedOf();

    @Nullable Integer getSnags();

    @Nullable Boolean getFailed();

    @Nullable Integer getLiveNumber();

    @Nullable Integer getLiveRevision();

    @Nullable Integer getLiveSiteRevision();
  }

  String COLUMNS =
      """
      select s.id as "site", s.name as "siteName", s.head as "siteHead",
             s.last_change as "lastChange",
             (select count(*) from page n where n.site_id = s.id and n.put_away_at is null)
               as "sitePages",
             p.id as "page", p.slug as "slug", p.title as "title", p.head as "head",
             l.read_of as "readOf", l.pieces as "pieces", l.linked as "linked", l.said as "said",
             l.broken as "broken",
             c.counted_of as "countedOf", c.snags as "snags", c.failed as "failed",
             r.number as "liveNumber", r.revision as "liveRevision",
             r.site_revision as "liveSiteRevision"
      """;

  String OF_PAGE =
      """
      left join shelf_line l on l.page_id = p.id
      left join shelf_count c on c.page_id = p.id
      left join release r on r.id = p.live_release
      """;

  /**
   * Pages of all sites: the site first that was worked on last, and of it the page. Which they are
   * is found first: what is read of one is not read of all that come before or after.
   *
   * @param like what the name of the site, or the title or address of the page, is like
   * @param ofSite pages of one site at the most
   * @param person who has a part in the sites; null for all sites
   */
  @Query(
      value =
          """
          with found as (
            select s.id as site_id, p.id as page_id, newest.created_at as at,
                   row_number() over (partition by s.id order by p.last_change desc, p.id) as place
            from site s
            left join change newest on newest.site_id = s.id and newest.number = s.last_change
            left join page p on p.site_id = s.id and p.put_away_at is null
            where s.put_away_at is null
              and (cast(?5 as text) is null
                or s.id in (select site_id from site_role where person_id = ?5))
              and (s.name ilike ?1 or p.title ilike ?1 or p.slug ilike ?1)),
          shown as (
            select * from found where place <= ?2
            order by at desc nulls last, site_id, place limit ?3 offset ?4)
          """
              + COLUMNS
              + "from shown join site s on s.id = shown.site_id"
              + " left join page p on p.id = shown.page_id "
              + OF_PAGE
              + "order by shown.at desc nulls last, shown.site_id, shown.place",
      nativeQuery = true)
  List<Line> lines(String like, int ofSite, int most, int from, @Nullable String person);

  /** A page that is there; nothing when it is not. */
  @Query(
      value =
          COLUMNS
              + "from page p join site s on s.id = p.site_id "
              + OF_PAGE
              + "where p.id = ?1 and p.put_away_at is null and s.put_away_at is null",
      nativeQuery = true)
  List<Line> line(String page);

  /** All pictures and clips of a site that findings depend on, in one word. */
  interface Pictures {
    String getSite();

    String getMark();
  }

  @Query(
      value =
          """
          select m.site_id as "site",
                 md5(string_agg(m.id || ' ' || m.hash || ' ' || m.focus || ' ' || m.width || ' '
                   || m.height || ' ' || m.address, ',' order by m.id)) as "mark"
          from media m where m.site_id in (?1) group by m.site_id
          """,
      nativeQuery = true)
  List<Pictures> pictures(Collection<String> sites);

  /** Notes what was read of a page; nothing when the page is gone. */
  @Transactional
  @Modifying
  @Query(
      value =
          """
          insert into shelf_line (page_id, read_of, pieces, linked, said, broken)
            select id, ?2, ?3, ?4, ?5, ?6 from page where id = ?1 for key share
          on conflict (page_id) do update
            set read_of = ?2, pieces = ?3, linked = ?4, said = ?5, broken = ?6
          """,
      nativeQuery = true)
  void note(String page, String readOf, int pieces, boolean linked, String said, boolean broken);

  /** Notes how much was found on a page; nothing when the page is gone. */
  @Transactional
  @Modifying
  @Query(
      value =
          """
          insert into shelf_count (page_id, counted_of, snags, failed)
            select id, ?2, ?3, ?4 from page where id = ?1 for key share
          on conflict (page_id) do update set counted_of = ?2, snags = ?3, failed = ?4
          """,
      nativeQuery = true)
  void count(String page, String countedOf, int snags, boolean failed);
}
