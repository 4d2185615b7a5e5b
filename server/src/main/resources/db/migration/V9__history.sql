-- One history for a site and its pages: a change is numbered within its site, without gaps, and is
-- made, taken back and brought again as one, whatever it touches.
create table change (
  site_id text not null references site,
  number bigint not null,
  -- given by whoever made it: sent twice, it happens once
  key text not null,
  kind text not null,
  -- the page that it was made from; none when it was made from the shelf
  page_id text,
  -- the change that this one is, takes back or brings again
  root bigint not null,
  -- what undo and redo would take back here, and the change that has the rest of each stack
  undo_target bigint,
  undo_rest bigint,
  redo_target bigint,
  redo_rest bigint,
  created_at timestamptz not null,
  primary key (site_id, number),
  unique (site_id, key)
);

-- What all pages of a site share, after each change of it. Append-only.
create table site_revision (
  site_id text not null references site,
  number integer not null,
  change bigint not null,
  version integer not null,
  document jsonb not null,
  edits jsonb not null,
  inverse jsonb not null,
  paths jsonb not null,
  created_at timestamptz not null,
  primary key (site_id, number),
  unique (site_id, change)
);

-- The changes that there were: each revision of each page, in the order in which they came.
insert into change (site_id, number, key, kind, page_id, root, created_at)
  select id, 0, 'made', 'made', null, 0, created_at from site;
insert into change (site_id, number, key, kind, page_id, root, created_at)
  select p.site_id,
         row_number() over (partition by p.site_id order by r.created_at, r.page_id, r.number),
         'before ' || r.page_id || ' ' || r.number,
         r.kind,
         r.page_id,
         row_number() over (partition by p.site_id order by r.created_at, r.page_id, r.number),
         r.created_at
  from revision r join page p on p.id = r.page_id;

alter table revision
  add change bigint,
  add site_number integer,
  add version integer not null default 1,
  -- what was touched by a change of before nobody knows any more: everything
  add paths jsonb not null default '["page"]';
update revision r set change = c.number
  from change c where c.page_id = r.page_id and c.key = 'before ' || r.page_id || ' ' || r.number;

-- Each revision carried a copy of its site: one of them is kept for each time that it differed from
-- the one before, so that every revision still has the site that it had.
create temporary table site_copy as
  select p.site_id, r.page_id, r.number, r.change, r.created_at, r.document -> 'site' as document,
         case when r.document -> 'site' is distinct from
                lag(r.document -> 'site') over (partition by p.site_id order by r.change)
              then 1 else 0 end as first
  from revision r join page p on p.id = r.page_id;
create temporary table site_number as
  select site_id, page_id, number, change, created_at, document, first,
         sum(first) over (partition by site_id order by change) as site_number
  from site_copy;
insert into site_revision
  select id, 0, 0, 1, document, '[]', '[]', '["bands"]', created_at from site s
  where not exists (select from site_number n where n.site_id = s.id);
insert into site_revision
  select site_id, site_number - 1, change, 1, document, '[]', '[]', '["bands"]', created_at
  from site_number where first = 1;
-- Where pages had come to differ, the site is what it said itself last.
insert into change (site_id, number, key, kind, page_id, root, created_at)
  select s.id, l.number + 1, 'before site', 'site', null, l.number + 1, now()
  from site s
  join (select site_id, max(number) as number from change group by site_id) l on l.site_id = s.id
  join (select distinct on (site_id) site_id, document from site_revision order by site_id, number desc) d
    on d.site_id = s.id
  where d.document is distinct from s.document;
insert into site_revision
  select s.id,
         (select max(r.number) + 1 from site_revision r where r.site_id = s.id),
         c.number, 1, s.document, '[]', '[]', '["bands"]', c.created_at
  from site s join change c on c.site_id = s.id and c.key = 'before site';
update revision r set site_number = n.site_number - 1
  from site_number n where n.page_id = r.page_id and n.number = r.number;
drop table site_copy;
drop table site_number;

update revision set document = document -> 'page';
alter table revision
  alter column change set not null,
  alter column site_number set not null,
  alter column version drop default,
  alter column paths drop default,
  drop column undo_target,
  drop column undo_rest,
  drop column redo_target,
  drop column redo_rest;
create unique index revision_by_change on revision (page_id, change);

alter table site
  add head integer not null default 0,
  add last_change bigint not null default 0,
  add put_away_at timestamptz;
update site s set
  head = (select max(number) from site_revision r where r.site_id = s.id),
  last_change = (select max(number) from change c where c.site_id = s.id);
alter table site drop column document;

alter table page
  -- the newest change that was made from it
  add last_change bigint not null default 0,
  add put_away_at timestamptz;
update page p set last_change = (select max(r.change) from revision r where r.page_id = p.id);

alter table release add site_revision integer not null default 0;
update release l set site_revision =
  coalesce((select r.site_number from revision r where r.page_id = l.page_id and r.number = l.revision), 0);

-- Addresses that a page had before: they lead to where it is now.
create table former_address (
  site_id text not null references site,
  slug text not null,
  page_id text not null references page,
  primary key (site_id, slug)
);

-- Ids of media, kept pieces and files with content are those of a site: another may have the same.
alter table media drop constraint media_pkey, add primary key (site_id, id);
alter table source drop constraint source_replaced_by_fkey;
alter table intake drop constraint intake_source_fkey;
alter table source drop constraint source_pkey, add primary key (site_id, id);
alter table stock
  add version integer not null default 1,
  drop constraint stock_home_page_fkey,
  drop constraint stock_pkey,
  add primary key (site_id, id);
