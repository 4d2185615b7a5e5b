-- What a page is called, at its newest revision: pages are sought by it.
alter table page add title text not null default '';
update page p set title = coalesce(
  (select r.document #>> '{values,title}' from revision r
    where r.page_id = p.id and r.number = p.head), '');

-- What the shelf shows of a page, so that it need not be opened. Each can go at any time: it is
-- read anew where it was read of other revisions, or by another program.
create table shelf_line (
  page_id text primary key references page on delete cascade,
  read_of text not null,
  pieces integer not null,
  -- whether it shows something that is kept on the site
  linked boolean not null,
  -- what is wrong with it; empty when nothing is
  said text not null,
  broken boolean not null
);

-- How much was found on a page, and of what: which of its revisions, the pictures of its site and
-- what is kept there, by which program.
create table shelf_count (
  page_id text primary key references page on delete cascade,
  counted_of text not null,
  snags integer not null,
  -- whether it could not be gone through
  failed boolean not null
);
